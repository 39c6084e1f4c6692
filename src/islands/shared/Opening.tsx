import { useEffect, useState } from 'react';
import { openDatabase } from '../../data/database.ts';
import { sayWriteError } from './sayWriteError.ts';
import { Button } from './ui/Button.tsx';

/** Shown while the database opens; it says so when that cannot be, and what to do. */
export function Opening() {
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let isShown = true;
    const tell = (words: string): void => {
      if (isShown) setProblem(words);
    };
    openDatabase(() => {
      tell('Another tab holds the database of an older version. Close it, and this page goes on.');
    }).catch((error: unknown) => {
      tell(
        `This browser does not open its database. ${sayWriteError(error)} Close the app’s other tabs and reload; a private window may not allow storing at all. What was saved is not lost by this.`,
      );
    });
    return () => {
      isShown = false;
    };
  }, []);
  return problem === null ? (
    <p className="text-faint">Opening…</p>
  ) : (
    <div className="max-w-160 py-4" role="alert">
      <p>{problem}</p>
      <Button
        onClick={() => {
          window.location.reload();
        }}
      >
        Reload
      </Button>
    </div>
  );
}
