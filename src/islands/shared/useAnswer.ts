import { useEffect, useState } from 'react';
import type { Result } from '../../core/problems/problem.ts';

/**
 * An answer that is worked out elsewhere. An answer to an older question never shows.
 *
 * @param key what the answer depends on; null = nothing is asked
 * @returns null while it is on its way
 */
export function useAnswer<Answer>(
  key: string | null,
  ask: () => Promise<Result<Answer>>,
): Result<Answer> | null {
  const [landed, setLanded] = useState<{ key: string; result: Result<Answer> } | null>(null);
  useEffect(() => {
    if (key === null) return;
    let isWanted = true;
    void ask().then((result) => {
      if (isWanted) setLanded({ key, result });
    });
    return () => {
      isWanted = false;
    };
    // The key holds everything the question says.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return landed !== null && landed.key === key ? landed.result : null;
}
