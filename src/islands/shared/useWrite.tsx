import { useEffect, useRef, useState, type ReactNode } from 'react';
import { saveFile } from './saveFile.ts';
import { sayWriteError } from './sayWriteError.ts';
import { AGAIN_MS } from './useStoredText.tsx';
import { WordButton } from './ui/Button.tsx';
import { useWrite as say } from './words.ts';

interface Waiting {
  readonly action: () => Promise<unknown>;
  /** What would be lost if it is never stored. */
  readonly unsaved: unknown;
}

type Told = { readonly kind: 'refused'; readonly words: string } | { readonly kind: 'gone' } | null;

/**
 * Writes in the order in which they are asked for. One that is refused says why, is tried
 * again by itself and before all later ones, and is kept until it is stored.
 *
 * @returns `write`, with what it stores where that was entered by hand, and what to show
 *   beside what was pressed; null when all is well
 */
export function useWrite(): {
  readonly write: (action: () => Promise<unknown>, unsaved?: unknown) => void;
  readonly told: ReactNode;
} {
  const [told, setTold] = useState<Told>(null);
  const waiting = useRef<Waiting[]>([]);
  const running = useRef<Promise<void>>(Promise.resolve());
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(
    () => () => {
      clearTimeout(timer.current);
    },
    [],
  );

  const writeAll = async (): Promise<void> => {
    clearTimeout(timer.current);
    for (let next = waiting.current[0]; next !== undefined; next = waiting.current[0]) {
      try {
        // Some writers answer whether what they change is still there.
        const isThere = (await next.action()) !== false;
        waiting.current.shift();
        setTold(isThere ? null : { kind: 'gone' });
      } catch (error) {
        setTold({ kind: 'refused', words: sayWriteError(error) });
        timer.current = setTimeout(tryNow, AGAIN_MS);
        return;
      }
    }
  };
  const tryNow = (): void => {
    running.current = running.current.then(writeAll);
  };
  const write = (action: () => Promise<unknown>, unsaved?: unknown): void => {
    waiting.current.push({ action, unsaved });
    tryNow();
  };
  return {
    write,
    told:
      told === null ? null : told.kind === 'gone' ? (
        <p role="alert">{say.notSavedHasBeen}</p>
      ) : (
        <Refusal
          words={told.words}
          onTryNow={tryNow}
          listUnsaved={() =>
            waiting.current.flatMap(({ unsaved }) => (unsaved === undefined ? [] : [unsaved]))
          }
        />
      ),
  };
}

interface RefusalProps {
  words: string;
  onTryNow: () => void;
  listUnsaved: () => readonly unknown[];
}

function Refusal({ words, onTryNow, listUnsaved }: RefusalProps) {
  const save = (): void => {
    saveFile('not-saved.json', JSON.stringify(listUnsaved(), null, 2));
  };
  return (
    <p role="alert">
      {say.notSavedTryingAgain(words)}
      <WordButton onClick={onTryNow}>{say.tryNow}</WordButton>{' '}
      {listUnsaved().length > 0 && <WordButton onClick={save}>{say.saveAsFile}</WordButton>}
    </p>
  );
}
