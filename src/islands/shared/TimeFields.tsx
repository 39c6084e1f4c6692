import { lazy, Suspense } from 'react';
import { Field } from './ui/Field.tsx';
import { timeFields as say } from './words.ts';

const DateTimeField = lazy(async () => ({
  default: (await import('./ui/DateTimeField.tsx')).DateTimeField,
}));

const LONGEST = 600;
const MOST_WEEKS = 104;

/** A time as it is typed. */
export interface TypedTime {
  readonly start: string;
  readonly minutes: string;
  readonly weeks: string;
}

interface TimeFieldsProps {
  time: TypedTime;
  startLabel: string;
  onChange: (change: Partial<TypedTime>) => void;
}

/** When something begins, how long it takes, and for how many weeks. */
export const TimeFields = ({ time, startLabel, onChange }: TimeFieldsProps) => (
  <>
    <Suspense>
      <DateTimeField
        label={startLabel}
        value={time.start}
        onChange={(start) => {
          onChange({ start });
        }}
      />
    </Suspense>
    <CountField
      label={say.minutes}
      range={[5, LONGEST]}
      value={time.minutes}
      onChange={(minutes) => {
        onChange({ minutes });
      }}
    />
    <CountField
      label={say.repeatWeeklyTimes}
      range={[1, MOST_WEEKS]}
      value={time.weeks}
      onChange={(weeks) => {
        onChange({ weeks });
      }}
    />
  </>
);

interface CountFieldProps {
  label: string;
  range: readonly [least: number, most: number];
  value: string;
  onChange: (value: string) => void;
}

const CountField = ({ label, range: [least, most], value, onChange }: CountFieldProps) => (
  <Field className="[&_input]:w-38!" label={label}>
    <input
      type="number"
      min={least}
      max={most}
      required
      value={value}
      onChange={(event) => {
        onChange(event.target.value);
      }}
    />
  </Field>
);
