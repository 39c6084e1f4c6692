import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { listUndo, undoImport } from '../../data/merging.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { WordButton } from '../shared/ui/Button.tsx';

/** Files that were taken in during the last 30 days: each can be taken back. */
export function TakenInLately() {
  const imports = useLiveQuery(listUndo, []) ?? [];
  const [done, setDone] = useState('');
  const { write, told } = useWrite();
  const undo = (id: string, name: string): void => {
    write(async () => {
      await undoImport(id);
      setDone(`${name} is as before. What was changed since the file came in stays.`);
    });
  };
  if (imports.length === 0 && done === '') return null;
  return (
    <details>
      <summary>Taken in during the last 30 days</summary>
      <ul className="grid gap-[0.35rem]">
        {imports.map(({ id, name, at }) => (
          <li key={id}>
            {name}, {writeDate(at)}{' '}
            <WordButton
              onClick={() => {
                undo(id, name);
              }}
            >
              take back
            </WordButton>
          </li>
        ))}
      </ul>
      {told}
      {done !== '' && <p role="status">{done}</p>}
    </details>
  );
}
