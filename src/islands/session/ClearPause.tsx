import { useState } from 'react';
import { liftPause } from '../../core/sessions/liftPause.ts';
import type { Session } from '../../core/sessions/session.ts';
import { addEntries } from '../../data/sessions.ts';
import { TextField } from '../shared/ui/TextField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { clearPause as say } from './words.ts';

interface ClearPauseProps {
  personId: string;
  sessions: readonly Session[];
  pose: string;
}

/** Who has cleared a paused pose, and when: noted with the sign or the pain that paused it. */
export function ClearPause({ personId, sessions, pose }: ClearPauseProps) {
  const [by, setBy] = useState('');
  const [note, setNote] = useState('');
  const { write, told } = useWrite();
  const clear = async (): Promise<void> => {
    for (const { session, entries } of liftPause(sessions, pose, by.trim(), note.trim())) {
      await addEntries(personId, session, entries);
    }
  };
  return (
    <details>
      <summary>{say.hasBeenCleared}</summary>
      <form
        className="mb-4 flex flex-wrap items-end gap-x-4 *:[button]:mb-[0.7rem] *:[label]:flex-[1_1_14rem]"
        onSubmit={(event) => {
          event.preventDefault();
          if (by.trim() !== '') write(clear);
        }}
      >
        <TextField
          label={say.clearedByDoctorPhysiotherapist}
          value={by}
          required
          onChange={setBy}
        />
        <TextField label={say.note} value={note} onChange={setNote} />
        <Button type="submit" isPlain>
          {say.cleared}
        </Button>
        {told}
      </form>
    </details>
  );
}
