import { useState, type SubmitEvent } from 'react';
import { makeClass, type YogaClass } from '../../core/classes/yogaClass.ts';
import { saveClass } from '../../data/classes.ts';
import { saveFile } from '../shared/saveFile.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { Button } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { classesView as say } from './words.ts';

const startFormat = new Intl.DateTimeFormat(undefined, {
  weekday: 'long',
  hour: 'numeric',
  minute: '2-digit',
});

/** Every class in one calendar file, each with its own time. */
async function saveCalendar(classes: readonly YogaClass[]): Promise<void> {
  // The rules of every time zone come with it: only when they are asked for.
  const { writeCalendar } = await import('../../core/formats/calendar.ts');
  const appointments = classes.flatMap(({ id, name, time }) =>
    time === null ? [] : [{ ...time, id, note: '', summary: say.calendarSummary(name) }],
  );
  const text = writeCalendar(appointments, say.title, new Date().toISOString());
  saveFile(`${say.title}.ics`, text, 'text/calendar');
}

/** All classes, and a new one. */
export function ClassList({
  classes,
  onOpen,
}: {
  classes: readonly YogaClass[];
  onOpen: (id: string) => void;
}) {
  const [name, setName] = useState('');
  const [isMissing, setIsMissing] = useState(false);
  const { write, told } = useWrite();
  const add = (event: SubmitEvent): void => {
    event.preventDefault();
    const trimmed = name.trim();
    setIsMissing(trimmed === '');
    if (trimmed === '') return;
    const added = makeClass(crypto.randomUUID(), trimmed);
    write(async () => {
      await saveClass(added);
      onOpen(added.id);
    }, added);
  };
  return (
    <div className="max-w-[62rem] pt-3">
      <h1>{say.title}</h1>
      {classes.length === 0 && <p>{say.none}</p>}
      <ul className="mb-6" aria-label={say.title}>
        {classes.map(({ id, name: words, time, personIds, guests }) => (
          <li key={id} className="border-b border-hair">
            <a
              className="flex min-h-14 flex-wrap items-center gap-x-4 text-[1.15rem] no-underline hover:wave"
              href={`/classes?class=${encodeURIComponent(id)}`}
              onClick={(event) => {
                event.preventDefault();
                onOpen(id);
              }}
            >
              <span className="font-serif">{words}</span>
              <span className="text-base text-faint">
                {time === null ? say.noTime : startFormat.format(new Date(time.start))}
              </span>
              <span className="ml-auto text-base text-faint">
                {say.people(personIds.length + guests.length)}
              </span>
            </a>
          </li>
        ))}
      </ul>
      <form className="flex flex-wrap items-end gap-3 [&_label]:m-0 [&_p]:w-full" onSubmit={add}>
        <Field label={say.name}>
          <input
            value={name}
            autoComplete="off"
            aria-invalid={isMissing}
            onChange={(event) => {
              setName(event.target.value);
              setIsMissing(false);
            }}
          />
        </Field>
        <Button type="submit">{say.add}</Button>
        <Button
          isPlain
          disabled={!classes.some(({ time }) => time !== null)}
          onClick={() => void saveCalendar(classes)}
        >
          {say.calendar}
        </Button>
        {isMissing && <p role="alert">{say.nameMissing}</p>}
      </form>
      {told}
    </div>
  );
}
