import { useEffect, useState } from 'react';
import { openDatabase } from '../../data/database.ts';
import { sayWriteError } from './sayWriteError.ts';
import { Button } from './ui/Button.tsx';
import { opening as say } from './words.ts';

/** Shown while the database opens; it says so when that cannot be, and what to do. */
export function Opening() {
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let isShown = true;
    const tell = (words: string): void => {
      if (isShown) setProblem(words);
    };
    openDatabase(() => {
      tell(say.anotherTabStillUsing);
    }).catch((error: unknown) => {
      tell(say.browserCannotOpenIts(sayWriteError(error)));
    });
    return () => {
      isShown = false;
    };
  }, []);
  return problem === null ? (
    <p className="text-faint">{say.opening}</p>
  ) : (
    <div className="max-w-160 py-4" role="alert">
      <p>{problem}</p>
      <Button
        onClick={() => {
          window.location.reload();
        }}
      >
        {say.reload}
      </Button>
    </div>
  );
}
