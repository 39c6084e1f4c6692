import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { listUndo, undoImport } from '../../data/merging.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { takenInLately as say } from './words.ts';

/** Files that were taken in during the last 30 days: each can be taken back. */
export function TakenInLately() {
  const imports = useLiveQuery(listUndo, []) ?? [];
  const [done, setDone] = useState('');
  const { write, told } = useWrite();
  const undo = (id: string, name: string): void => {
    write(async () => {
      await undoImport(id);
      setDone(say.backHowBeforeImport(name));
    });
  };
  if (imports.length === 0 && done === '') return null;
  return (
    <details>
      <summary>{say.importedLastDays}</summary>
      <ul className="grid gap-[0.35rem]">
        {imports.map(({ id, name, at }) => (
          <li key={id}>
            {name}, {writeDate(at)}{' '}
            <WordButton
              onClick={() => {
                undo(id, name);
              }}
            >
              {say.undoImport}
            </WordButton>
          </li>
        ))}
      </ul>
      {told}
      {done !== '' && <p role="status">{done}</p>}
    </details>
  );
}
