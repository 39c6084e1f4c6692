import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { listUndo, undoImport } from '../../data/merging.ts';
import { sayError } from '../shared/sayError.ts';
import { writeDate } from '../shared/words.ts';

/** Files that were taken in during the last 30 days: each can be taken back. */
export function TakenInLately() {
  const imports = useLiveQuery(listUndo, []) ?? [];
  const [told, setTold] = useState('');
  const undo = async (id: string, name: string): Promise<void> => {
    try {
      await undoImport(id);
      setTold(`${name} is as before. What was changed since the file came in stays.`);
    } catch (error) {
      setTold(`It could not be taken back: ${sayError(error)}`);
    }
  };
  if (imports.length === 0 && told === '') return null;
  return (
    <details>
      <summary>Taken in during the last 30 days</summary>
      <ul className="plain-list">
        {imports.map(({ id, name, at }) => (
          <li key={id}>
            {name}, {writeDate(at)}{' '}
            <button type="button" className="word-button" onClick={() => void undo(id, name)}>
              take back
            </button>
          </li>
        ))}
      </ul>
      {told !== '' && <p role="status">{told}</p>}
    </details>
  );
}
