import { CAUTION_KINDS, type CautionKind } from '../../core/cautions/catalogue.ts';
import type { Today } from '../../core/sessions/today.ts';
import { TextField } from '../shared/ui/TextField.tsx';
import { todayForm as say } from './words.ts';

interface TodayFormProps {
  today: Omit<Today, 'askedAt'>;
  /** Pain was noted last time, so that next morning is asked about. */
  hadPain: boolean;
  onChange: (change: Partial<Today>) => void;
}

const SORE = CAUTION_KINDS.filter(
  ({ id, tier }) => tier === 'adapt' && id !== 'guardian-needed' && id !== 'over-mobile',
);
const SIGNS = CAUTION_KINDS.filter(({ tier }) => tier !== 'adapt' && tier !== 'send-on');
const SENT_ON = ['sharp-joint-pain', 'night-pain', 'tingling', 'knee-gives-way', 'pain-after-fall'];
const NEW_SIGNS = [...SIGNS, ...CAUTION_KINDS.filter(({ id }) => SENT_ON.includes(id))];

/** What about today? Every answer may be left out. */
export function TodayForm({ today, hadPain, onChange }: TodayFormProps) {
  return (
    <div className="[&_fieldset]:mb-4 [&_legend]:font-serif [&_legend]:text-[1.1rem]">
      <Choice
        legend={say.rested}
        name="rested"
        value={today.rested}
        options={[
          ['well', 'well'],
          ['so-so', 'so-so'],
          ['poorly', 'poorly'],
        ]}
        onChange={(rested) => {
          onChange({ rested });
        }}
      />
      <Choice
        legend={say.energy}
        name="energy"
        value={today.energy ?? null}
        options={[
          ['good', 'good'],
          ['usual', 'as usual'],
          ['low', 'low'],
        ]}
        onChange={(energy) => {
          onChange({ energy });
        }}
      />
      <Choice
        legend={say.wish}
        name="wish"
        value={today.wish ?? null}
        options={[
          ['as-usual', say.asUsual],
          ['gentle', say.gentle],
        ]}
        onChange={(wish) => {
          onChange({ wish });
        }}
      />
      <Choice
        legend={say.warmCold}
        name="state"
        value={today.state}
        options={[
          ['warm', 'warmed up'],
          ['cold', 'cold'],
        ]}
        onChange={(state) => {
          onChange({ state });
        }}
      />
      {hadPain && (
        <Choice
          legend={say.morningAfterLastTime}
          name="morning"
          value={today.painNextMorning === null ? null : today.painNextMorning ? 'there' : 'gone'}
          options={[
            ['gone', 'gone'],
            ['there', 'still there'],
          ]}
          onChange={(value) => {
            onChange({ painNextMorning: value === 'there' });
          }}
        />
      )}
      <fieldset>
        <legend>{say.soreToday}</legend>
        <SoreList kinds={SORE} today={today} onChange={onChange} />
      </fieldset>
      <label className="flex min-h-11 cursor-pointer items-center gap-[0.6rem]">
        <input
          type="checkbox"
          checked={today.isInjured}
          onChange={(event) => {
            onChange({ isInjured: event.target.checked });
          }}
        />
        <span>{say.injuryOperationSinceLast}</span>
      </label>
      <TextField
        label={say.anythingNew}
        value={today.news}
        onChange={(news) => {
          onChange({ news });
        }}
      />
      <details>
        <summary>{say.stopSignToday}</summary>
        <SoreList kinds={NEW_SIGNS} today={today} onChange={onChange} />
      </details>
    </div>
  );
}

interface ChoiceProps<Value extends string> {
  legend: string;
  name: string;
  value: Value | null;
  options: readonly (readonly [Value, string])[];
  onChange: (value: Value) => void;
}

function Choice<Value extends string>({
  legend,
  name,
  value,
  options,
  onChange,
}: ChoiceProps<Value>) {
  return (
    <fieldset>
      <legend>{legend}</legend>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        {options.map(([id, words]) => (
          <label
            key={id}
            className="inline-flex min-h-11 cursor-pointer items-center gap-2 pr-[0.6rem] pl-[0.2rem] has-checked:[&_span]:underline has-checked:[&_span]:decoration-water has-checked:[&_span]:decoration-3 has-checked:[&_span]:underline-offset-5"
          >
            <input
              type="radio"
              name={name}
              checked={value === id}
              onChange={() => {
                onChange(id);
              }}
            />
            <span>{words}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

interface SoreListProps extends Pick<TodayFormProps, 'today' | 'onChange'> {
  kinds: readonly CautionKind[];
}

function SoreList({ kinds, today, onChange }: SoreListProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
      {kinds.map(({ id, name, sided }) => (
        <Sore key={id} id={id} name={name} sided={sided} today={today} onChange={onChange} />
      ))}
    </div>
  );
}

interface SoreProps {
  id: string;
  name: string;
  sided: boolean;
  today: Omit<Today, 'askedAt'>;
  onChange: (change: Partial<Today>) => void;
}

/** One thing that is sore, and on which side. */
function Sore({ id, name, sided, today, onChange }: SoreProps) {
  const entry = today.sore.find((each) => each.id === id);
  const others = today.sore.filter((each) => each.id !== id);
  return (
    <>
      <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 pr-[0.6rem] pl-[0.2rem] has-checked:[&_span]:underline has-checked:[&_span]:decoration-water has-checked:[&_span]:decoration-3 has-checked:[&_span]:underline-offset-5">
        <input
          type="checkbox"
          checked={entry !== undefined}
          onChange={(event) => {
            onChange({ sore: event.target.checked ? [...others, { id, side: null }] : others });
          }}
        />
        <span>{name.toLowerCase()}</span>
      </label>
      {entry !== undefined && sided && (
        <select
          aria-label={say.side(name)}
          value={entry.side ?? ''}
          onChange={(event) => {
            const { value } = event.target;
            const side = value === 'left' || value === 'right' ? value : null;
            onChange({ sore: [...others, { id, side }] });
          }}
        >
          <option value="">{say.bothSides}</option>
          <option value="left">{say.left}</option>
          <option value="right">{say.right}</option>
        </select>
      )}
    </>
  );
}
