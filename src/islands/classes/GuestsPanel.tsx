import { useState, type SubmitEvent } from 'react';
import { CAUTION_KINDS } from '../../core/cautions/catalogue.ts';
import { BODY_PRESETS, type BodyPreset, type Guest } from '../../core/classes/guest.ts';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { CONSENT_WORDS } from '../../core/person/consent.ts';
import { cmFromMetres, metresFromCm } from '../../core/units/brands.ts';
import { readLength, writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { changeClass, eraseGuest, keepGuest } from '../../data/classes.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { TextField } from '../shared/ui/TextField.tsx';
import { showToast } from '../shared/ui/toasts.ts';
import { UnitInput } from '../shared/ui/UnitInput.tsx';
import { PRESET_WORDS, whoPanel as say } from './words.ts';

/** Signs that hold back every set-up until somebody has cleared them. */
const SIGNS = CAUTION_KINDS.filter(({ tier }) => tier !== 'adapt');
const [SHORTEST_CM, TALLEST_CM] = [120, 220];
const NOT_ASKED = '';
const NONE = 'none';

const EMPTY = { name: '', stature: '', preset: 'usual' as BodyPreset, answer: NOT_ASKED };

/** Guests of a class: a name, a height, a build, and the stop signs asked. */
export function GuestsPanel({ yogaClass, unit }: { yogaClass: YogaClass; unit: LengthUnit }) {
  const [draft, setDraft] = useState(EMPTY);
  const [problem, setProblem] = useState<string | null>(null);
  const { write, told } = useWrite();
  const put = (change: Partial<typeof EMPTY>): void => {
    setDraft((now) => ({ ...now, ...change }));
    setProblem(null);
  };
  const add = (event: SubmitEvent): void => {
    event.preventDefault();
    const name = draft.name.trim();
    const length = readLength(draft.stature, unit, say.stature);
    const statureCm = length.ok ? cmFromMetres(length.value) : 0;
    const wrong =
      name === ''
        ? say.nameMissing
        : statureCm < SHORTEST_CM || statureCm > TALLEST_CM
          ? say.statureWrong(draft.stature)
          : draft.answer === NOT_ASKED
            ? say.askFirst
            : null;
    setProblem(wrong);
    if (wrong !== null) return;
    const guest: Guest = {
      id: crypto.randomUUID(),
      name,
      statureCm,
      preset: draft.preset,
      signs: draft.answer === NONE ? [] : [draft.answer],
      askedAt: new Date().toISOString(),
    };
    write(async () => {
      await changeClass(yogaClass.id, ({ guests }) => ({ guests: [...guests, guest] }));
      setDraft(EMPTY);
    }, guest);
  };
  return (
    <details open={yogaClass.guests.length > 0}>
      <summary>
        {say.guests} ({yogaClass.guests.length})
      </summary>
      <p className="text-faint">{say.guestNote}</p>
      <ul className="mb-2" data-testid="class-guests">
        {yogaClass.guests.map((guest) => (
          <GuestLine key={guest.id} classId={yogaClass.id} guest={guest} unit={unit} />
        ))}
      </ul>
      <form onSubmit={add} data-testid="guest-form">
        <div className="flex gap-3 *:flex-1">
          <TextField
            label={say.guestName}
            value={draft.name}
            onChange={(name) => {
              put({ name });
            }}
          />
          <Field label={say.stature}>
            <UnitInput
              unit={unit}
              value={draft.stature}
              onChange={(event) => {
                put({ stature: event.target.value });
              }}
            />
          </Field>
        </div>
        <SelectField
          label={say.build}
          value={draft.preset}
          options={BODY_PRESETS.map((each) => [each, PRESET_WORDS[each]] as const)}
          onChange={(preset) => {
            put({ preset: preset as BodyPreset });
          }}
        />
        <SelectField
          label={say.askSigns}
          value={draft.answer}
          options={[
            [NOT_ASKED, '…'],
            [NONE, say.none],
            ...SIGNS.map(({ id, name }) => [id, name] as const),
          ]}
          onChange={(answer) => {
            put({ answer });
          }}
        />
        {problem !== null && <p role="alert">{problem}</p>}
        <Button type="submit" isPlain>
          {say.addGuest}
        </Button>
      </form>
      {told}
    </details>
  );
}

function GuestLine({ classId, guest, unit }: { classId: string; guest: Guest; unit: LengthUnit }) {
  const [isAsking, setIsAsking] = useState(false);
  const { write, told } = useWrite();
  const { id, name, statureCm, preset } = guest;
  const keep = (): void => {
    write(async () => {
      await keepGuest(classId, guest);
      showToast({ words: say.madePerson(name) });
    });
  };
  return (
    <li className="border-b border-hair py-1">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <strong>{name}</strong>
        <span className="text-faint">
          {writeLength(metresFromCm(statureCm), unit, 0)}, {PRESET_WORDS[preset]}
        </span>
        <span className="ml-auto flex gap-3">
          <WordButton
            aria-expanded={isAsking}
            onClick={() => {
              setIsAsking(!isAsking);
            }}
          >
            {say.makePerson}
            <span className="sr-only"> {name}</span>
          </WordButton>
          <WordButton
            onClick={() => {
              write(() => eraseGuest(classId, id));
            }}
          >
            {say.remove}
            <span className="sr-only"> {name}</span>
          </WordButton>
        </span>
      </div>
      {isAsking && (
        <div className="my-2 border-l-2 border-water pl-3">
          {CONSENT_WORDS.map((each) => (
            <p key={each}>{each}</p>
          ))}
          <Button onClick={keep}>{say.consent(name)}</Button>
        </div>
      )}
      {told}
    </li>
  );
}
