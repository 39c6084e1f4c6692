import { useState } from 'react';
import type { Studio } from '../../core/studio/studio.ts';
import { Field } from '../shared/ui/Field.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { showToast } from '../shared/ui/toasts.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { changeStudio } from '../../data/studio.ts';
import { habits as say } from './words.ts';

const USUAL_SIDE_M = 6;

/** The room and what holds until somebody's own is known; each field is saved when it is left. */
export function HabitsPanel({ studio }: { studio: Studio }) {
  const { write, told } = useWrite();
  const put = (change: Partial<Studio>): void => {
    write(async () => {
      await changeStudio(() => change);
      showToast({ words: say.saved });
    });
  };
  const { room } = studio;
  return (
    <>
      {told}
      <SelectField
        label={say.paper}
        value={studio.paper}
        options={[
          ['A4', 'A4'],
          ['Letter', 'Letter'],
        ]}
        onChange={(paper) => {
          put({ paper: paper === 'Letter' ? 'Letter' : 'A4' });
        }}
      />
      <NumberField
        label={say.breath}
        value={studio.breathSeconds}
        range={[2, 20]}
        onChange={(breathSeconds) => {
          put({ breathSeconds });
        }}
      />
      <NumberField
        label={say.wall}
        value={studio.wallM}
        range={[0, 100]}
        onChange={(wallM) => {
          put({ wallM });
        }}
      />
      <NumberField
        label={say.roomLength}
        value={room?.lengthM ?? null}
        range={[1, 100]}
        onChange={(lengthM) => {
          put({ room: { lengthM, widthM: room?.widthM ?? USUAL_SIDE_M } });
        }}
      />
      <NumberField
        label={say.roomWidth}
        value={room?.widthM ?? null}
        range={[1, 100]}
        onChange={(widthM) => {
          put({ room: { lengthM: room?.lengthM ?? USUAL_SIDE_M, widthM } });
        }}
      />
    </>
  );
}

interface NumberFieldProps {
  label: string;
  value: number | null;
  range: readonly [least: number, most: number];
  onChange: (value: number) => void;
}

/** A number that is saved when its field is left; one out of range says why and is not. */
function NumberField({ label, value, range: [least, most], onChange }: NumberFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const number = Number((typed ?? '').replace(',', '.'));
  const isWrong = typed !== null && (typed.trim() === '' || !(number >= least && number <= most));
  return (
    <Field label={label}>
      <input
        inputMode="decimal"
        value={typed ?? value ?? ''}
        aria-invalid={isWrong}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onBlur={() => {
          if (typed === null || isWrong) return;
          setTyped(null);
          if (number !== value) onChange(number);
        }}
      />
      {isWrong && <span role="alert">{say.notANumber(least, most)}</span>}
    </Field>
  );
}
