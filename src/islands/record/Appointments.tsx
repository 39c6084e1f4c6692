import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Person } from '../../core/person/person.ts';
import { listAppointments, removeAppointment, saveAppointment } from '../../data/appointments.ts';
import { saveFile } from '../shared/saveFile.ts';
import { TimeFields } from '../shared/TimeFields.tsx';
import { TextField } from '../shared/ui/TextField.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { appointments as say } from './words.ts';

const USUAL_TIME = { start: '', minutes: '60', weeks: '1' };

const startFormat = new Intl.DateTimeFormat(undefined, { dateStyle: 'full', timeStyle: 'short' });

/** When a person comes next; the calendar file keeps the hour when the clocks change. */
export function Appointments({ person }: { person: Person }) {
  const appointments = useLiveQuery(() => listAppointments(person.id), [person.id]) ?? [];
  const [time, setTime] = useState(USUAL_TIME);
  const [isStartMissing, setIsStartMissing] = useState(false);
  const [note, setNote] = useState('');
  const { write, told } = useWrite();
  const add = (): void => {
    const { start, minutes, weeks } = time;
    setIsStartMissing(start === '');
    if (start === '') return;
    const appointment = {
      id: crypto.randomUUID(),
      start,
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      minutes: Number(minutes),
      weeks: Number(weeks),
      note,
    };
    write(async () => {
      await saveAppointment(person.id, appointment);
      setTime((now) => ({ ...now, start: '' }));
      setNote('');
    }, appointment);
  };
  const save = async (): Promise<void> => {
    // The rules of every time zone come with it: only when they are asked for.
    const { writeCalendar } = await import('../../core/formats/calendar.ts');
    const text = writeCalendar(appointments, say.session(person.name), new Date().toISOString());
    saveFile(`${person.name}.ics`, text, 'text/calendar');
  };
  return (
    <>
      <h2>{say.nextAppointments}</h2>
      {appointments.length === 0 && <p>{say.nonePlanned}</p>}
      <ul className="grid gap-[0.35rem]">
        {appointments.map((each) => (
          <li key={each.id}>
            {say.min(
              startFormat.format(new Date(each.start)),
              each.minutes,
              each.weeks > 1 ? say.weeklyForWeeks(each.weeks) : '',
              each.note === '' ? '' : `: ${each.note}`,
            )}
            <WordButton
              className="text-faint"
              aria-label={say.remove(startFormat.format(new Date(each.start)))}
              onClick={() => {
                write(() => removeAppointment(person.id, each.id));
              }}
            >
              {say.removeWord}
            </WordButton>
          </li>
        ))}
      </ul>
      {told}
      {isStartMissing && <p role="alert">{say.startMissing}</p>}
      <form
        className="mb-4 flex flex-wrap gap-x-5 gap-y-2 [&_input]:w-auto [&_select]:w-auto"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <TimeFields
          time={time}
          startLabel={say.start}
          onChange={(change) => {
            setTime((now) => ({ ...now, ...change }));
          }}
        />
        <TextField label={say.note} value={note} onChange={setNote} />
        <div className="my-4 flex flex-wrap gap-3">
          <Button type="submit" isPlain>
            {say.addAppointment}
          </Button>
          <Button isPlain disabled={appointments.length === 0} onClick={() => void save()}>
            {say.calendarFile}
          </Button>
        </div>
      </form>
    </>
  );
}
