import { useLiveQuery } from 'dexie-react-hooks';
import type { ReactNode } from 'react';
import type { Studio } from '../../core/studio/studio.ts';
import { changeStudio, getStudio } from '../../data/studio.ts';
import { showToast, showUndone } from '../shared/ui/toasts.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { whenOpen } from '../shared/whenOpen.ts';
import { cupboardPanel as say } from './words.ts';

/** The studio of this browser; undefined while loading. */
export const useStudio = (): Studio | undefined => useLiveQuery(whenOpen(getStudio), []);

interface StudioChange {
  /** Stores a change, says so, and offers to undo it. */
  readonly change: (change: (studio: Studio) => Partial<Studio>, words: string) => void;
  readonly told: ReactNode;
}

/** A change of the studio, with its undo. */
export function useStudioChange(): StudioChange {
  const { write, told } = useWrite();
  const change: StudioChange['change'] = (step, words) => {
    write(async () => {
      const before = await changeStudio(step);
      const undo = (): void => {
        write(async () => {
          await changeStudio(() => before);
          showUndone();
        });
      };
      showToast({ words, action: { words: say.undo, run: undo } });
    });
  };
  return { change, told };
}
