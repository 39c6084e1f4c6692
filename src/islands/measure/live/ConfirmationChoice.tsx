import { setConfirmation, type Confirmation } from '../../../data/settings.ts';
import { useWrite } from '../../shared/useWrite.tsx';
import { WordSelect } from '../../shared/ui/WordSelect.tsx';
import { confirmationChoice as say } from '../words.ts';

const CONFIRMATIONS: readonly { readonly value: Confirmation; readonly words: string }[] = [
  { value: 'sound', words: say.tone },
  { value: 'voice', words: say.voice },
  { value: 'none', words: say.noSound },
];

/** How a captured reading is confirmed, to hands and eyes that are on the person. */
export function ConfirmationChoice({ value }: { value: Confirmation }) {
  const { write, told } = useWrite();
  return (
    <>
      <label>
        {say.eachReadingConfirmedBy}
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
