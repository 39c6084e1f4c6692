import { setUnit } from '../../data/settings.ts';
import { useUnit } from './useRecord.ts';
import { useWrite } from './useWrite.tsx';
import { WordButton } from './ui/Button.tsx';
import { personHeader as say } from './words.ts';

/** The unit of lengths, changed on every page at once. */
export function UnitChoice() {
  const unit = useUnit();
  const other = unit === 'cm' ? 'in' : 'cm';
  const { write, told } = useWrite();
  return (
    <>
      <WordButton
        className="text-faint"
        onClick={() => {
          write(() => setUnit(other));
        }}
      >
        {unit}
        <span className="sr-only">{say.change(UNIT_WORDS[unit], UNIT_WORDS[other])}</span>
      </WordButton>
      {told}
    </>
  );
}

const UNIT_WORDS = { cm: say.centimetres, in: say.inches } as const;
