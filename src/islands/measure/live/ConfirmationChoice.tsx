import { setConfirmation, type Confirmation } from '../../../data/settings.ts';
import { useWrite } from '../../shared/useWrite.tsx';
import { WordSelect } from '../../shared/ui/WordSelect.tsx';

const CONFIRMATIONS: readonly { readonly value: Confirmation; readonly words: string }[] = [
  { value: 'sound', words: 'a tone' },
  { value: 'voice', words: 'a voice' },
  { value: 'none', words: 'no sound' },
];

/** How a captured reading is confirmed, to hands and eyes that are on the person. */
export function ConfirmationChoice({ value }: { value: Confirmation }) {
  const { write, told } = useWrite();
  return (
    <>
      <label>
        Confirmed by{' '}
        <WordSelect
          value={value}
          onChange={(event) => {
            const chosen = event.target.value as Confirmation;
            write(() => setConfirmation(chosen));
          }}
        >
          {CONFIRMATIONS.map((each) => (
            <option key={each.value} value={each.value}>
              {each.words}
            </option>
          ))}
        </WordSelect>
        .
      </label>
      {told}
    </>
  );
}
