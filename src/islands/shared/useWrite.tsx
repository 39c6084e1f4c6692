import { useState, type ReactNode } from 'react';
import { sayWriteError } from './sayWriteError.ts';

/**
 * A write that tells when it was refused, and can be tried again.
 *
 * @returns `write`, and what to show beside what was pressed; null when all is well
 */
export function useWrite(): {
  readonly write: (action: () => Promise<unknown>) => void;
  readonly told: ReactNode;
} {
  const [failed, setFailed] = useState<{
    readonly words: string;
    readonly again: () => Promise<unknown>;
  } | null>(null);
  const write = (action: () => Promise<unknown>): void => {
    action().then(
      (done) => {
        // Some writers answer whether what they change is still there.
        const words = done === false ? 'It is not here any more.' : null;
        setFailed(words === null ? null : { words, again: action });
      },
      (error: unknown) => {
        setFailed({ words: sayWriteError(error), again: action });
      },
    );
  };
  const told =
    failed === null ? null : (
      <p role="alert">
        Not saved. {failed.words}{' '}
        <button
          type="button"
          className="word-button"
          onClick={() => {
            write(failed.again);
          }}
        >
          Try again
        </button>
      </p>
    );
  return { write, told };
}
