import { useState } from 'react';
import { readCueText, writeCueText } from '../../core/cues/cueText.ts';
import type { Cues } from '../../core/cues/cues.ts';
import { changeOwnCues } from '../../data/settings.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { useStoredText } from '../shared/useStoredText.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { cueEditor as say } from './words.ts';

interface CueEditorProps {
  teacher: string;
  pose: string;
  /** Stillwater’s. */
  cues: Cues;
  /** The teacher’s own; null = there are none. */
  ownText: string | null;
}

/** Cues as plain text in the teacher’s own words; what was stored can be taken back step by step. */
export function CueEditor({ teacher, pose, cues, ownText }: CueEditorProps) {
  const [earlier, setEarlier] = useState<readonly (string | null)[]>([]);
  const { write, told } = useWrite();
  const stillwaters = writeCueText(cues);
  const store = async (to: string | null): Promise<string | null> => {
    const theirs = await changeOwnCues(teacher, pose, ownText, to);
    if (theirs === null) setEarlier((all) => [...all, ownText]);
    return theirs;
  };
  const undo = (): void => {
    const last = earlier.at(-1);
    if (last === undefined) return;
    write(() => changeOwnCues(teacher, pose, ownText, last));
    setEarlier(earlier.slice(0, -1));
  };
  const { field, told: stored } = useStoredText({
    label: say.label,
    stored: ownText ?? stillwaters,
    store: (_from, to) => store(to),
    check: (text) => {
      const read = readCueText(text, cues);
      return read.ok
        ? null
        : read.problems.map(({ message, hint }) => `${message} ${hint}`).join(' ');
    },
  });
  return (
    <div data-testid="cue-editor">
      <Field label={say.label}>
        <textarea {...field} rows={20} />
      </Field>
      {stored}
      <p className="text-faint">{say.hint}</p>
      {told}
      <p className="flex flex-wrap gap-4">
        <WordButton disabled={earlier.length === 0} onClick={undo}>
          {say.undo}
        </WordButton>
        <WordButton
          disabled={ownText === null}
          onClick={() => {
            write(() => store(null));
          }}
        >
          {say.back}
        </WordButton>
      </p>
    </div>
  );
}
