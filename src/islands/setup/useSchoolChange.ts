import type { ReactNode } from 'react';
import type { ChosenSchool } from '../../core/person/person.ts';
import { putSchool, type SchoolKey } from '../../data/schools.ts';
import { showToast, showUndone } from '../shared/ui/toasts.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { schoolChange as say } from './words.ts';

interface SchoolChange {
  /** Stores a school or removes it (null), says so, and offers to undo it. */
  readonly change: (key: SchoolKey, school: ChosenSchool | null, words: string) => void;
  readonly told: ReactNode;
}

/** A change of the schools of a person or of the house, with its undo. */
export function useSchoolChange(): SchoolChange {
  const { write, told } = useWrite();
  const change: SchoolChange['change'] = (key, school, words) => {
    write(async () => {
      const before = await putSchool(key, school);
      const undo = (): void => {
        write(async () => {
          await putSchool(key, before);
          showUndone();
        });
      };
      showToast({ words, action: { words: say.undo, run: undo } });
    });
  };
  return { change, told };
}
