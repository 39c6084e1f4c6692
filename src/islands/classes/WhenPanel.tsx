import { memo, useState } from 'react';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import { changeClass } from '../../data/classes.ts';
import { TimeFields } from '../shared/TimeFields.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { whenPanel as say } from './words.ts';

const USUAL_TIME = { start: '', minutes: 75, weeks: 10 };

/** When the class meets: once, or every week for some weeks. */
export const WhenPanel = memo(function WhenPanel({
  yogaClass: { id, time },
}: {
  yogaClass: YogaClass;
}) {
  const { start, minutes, weeks } = time ?? USUAL_TIME;
  const [typed, setTyped] = useState({
    start,
    minutes: String(minutes),
    weeks: String(weeks),
  });
  const [isMissing, setIsMissing] = useState(false);
  const [isSaved, setIsSaved] = useState(false);
  const { write, told } = useWrite();
  const save = (): void => {
    setIsMissing(typed.start === '');
    if (typed.start === '') return;
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const next = {
      start: typed.start,
      timeZone,
      minutes: Number(typed.minutes),
      weeks: Number(typed.weeks),
    };
    write(async () => {
      await changeClass(id, () => ({ time: next }));
      setIsSaved(true);
    }, next);
  };
  return (
    <section>
      <h2>{say.when}</h2>
      <form
        className="flex flex-wrap items-end gap-x-4"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <TimeFields
          time={typed}
          startLabel={say.start}
          onChange={(change) => {
            setTyped((now) => ({ ...now, ...change }));
            setIsSaved(false);
          }}
        />
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
