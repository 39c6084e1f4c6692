import { lazy, memo, Suspense, useState } from 'react';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { changeClass } from '../../data/classes.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { whenPanel as say } from './words.ts';

const DateTimeField = lazy(async () => ({
  default: (await import('../shared/ui/DateTimeField.tsx')).DateTimeField,
}));

const LONGEST = 600;
const MOST_WEEKS = 104;

/** When the class meets: once, or every week for some weeks. */
export const WhenPanel = memo(function WhenPanel({
  yogaClass: { id, time },
}: {
  yogaClass: YogaClass;
}) {
  const [start, setStart] = useState(time?.start ?? '');
  const [minutes, setMinutes] = useState(String(time?.minutes ?? 75));
  const [weeks, setWeeks] = useState(String(time?.weeks ?? 10));
  const [isMissing, setIsMissing] = useState(false);
  const [isSaved, setIsSaved] = useState(false);
  const { write, told } = useWrite();
  const save = (): void => {
    setIsMissing(start === '');
    if (start === '') return;
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const next = { start, timeZone, minutes: Number(minutes), weeks: Number(weeks) };
    write(async () => {
      await changeClass(id, () => ({ time: next }));
      setIsSaved(true);
    }, next);
  };
  return (
    <section>
      <h2>{say.when}</h2>
      <form
        className="flex flex-wrap items-end gap-x-4 [&_input]:w-24"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
        onChange={() => {
          setIsSaved(false);
        }}
      >
        <Suspense>
          <DateTimeField
            label={say.start}
            value={start}
            onChange={(value) => {
              setStart(value);
              setIsSaved(false);
            }}
          />
        </Suspense>
        <Field label={say.minutes}>
          <input
            type="number"
            min={5}
            max={LONGEST}
            required
            value={minutes}
            onChange={(event) => {
              setMinutes(event.target.value);
            }}
          />
        </Field>
        <Field label={say.weeks}>
          <input
            type="number"
            min={1}
            max={MOST_WEEKS}
            required
            value={weeks}
            onChange={(event) => {
              setWeeks(event.target.value);
            }}
          />
        </Field>
        <Button type="submit" isPlain>
          {say.save}
        </Button>
        <span role="status" className="text-faint">
          {isSaved ? say.saved : ''}
        </span>
        {isMissing && <p role="alert">{say.startMissing}</p>}
      </form>
      {told}
    </section>
  );
});
