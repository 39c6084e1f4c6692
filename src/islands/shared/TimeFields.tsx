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
    <Field className="[&_input]:w-38!" label={say.minutes}>
      <input
        type="number"
        min={5}
        max={LONGEST}
        required
        value={time.minutes}
        onChange={(event) => {
          onChange({ minutes: event.target.value });
        }}
      />
    </Field>
    <Field className="[&_input]:w-38!" label={say.repeatWeeklyTimes}>
      <input
        type="number"
        min={1}
        max={MOST_WEEKS}
        required
        value={time.weeks}
        onChange={(event) => {
          onChange({ weeks: event.target.value });
        }}
      />
    </Field>
  </>
);
