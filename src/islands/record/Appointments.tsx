import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Person } from '../../core/person/person.ts';
import { listAppointments, removeAppointment, saveAppointment } from '../../data/appointments.ts';
import { saveFile } from '../shared/saveFile.ts';
import { TextField } from '../shared/TextField.tsx';
import { useWrite } from '../shared/useWrite.tsx';

const LONGEST = 600;
const MOST_WEEKS = 104;

const startFormat = new Intl.DateTimeFormat(undefined, { dateStyle: 'full', timeStyle: 'short' });

/** When a person comes next; the calendar file keeps the hour when the clocks change. */
export function Appointments({ person }: { person: Person }) {
  const appointments = useLiveQuery(() => listAppointments(person.id), [person.id]) ?? [];
  const [start, setStart] = useState('');
  const [minutes, setMinutes] = useState('60');
  const [weeks, setWeeks] = useState('1');
  const [note, setNote] = useState('');
  const { write, told } = useWrite();
  const add = (): void => {
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
      setStart('');
      setNote('');
    }, appointment);
  };
  const save = async (): Promise<void> => {
    // The rules of every time zone come with it: only when they are asked for.
    const { writeCalendar } = await import('../../core/formats/calendar.ts');
    const text = writeCalendar(appointments, `Session, ${person.name}`, new Date().toISOString());
    saveFile(`${person.name}.ics`, text, 'text/calendar');
  };
  return (
    <>
      <h2>Next appointments</h2>
      {appointments.length === 0 && <p>None is written down.</p>}
      <ul className="plain-list">
        {appointments.map((each) => (
          <li key={each.id}>
            {startFormat.format(new Date(each.start))}, {each.minutes} min
            {each.weeks > 1 ? `, ${String(each.weeks)} weeks in a row` : ''}
            {each.note === '' ? '' : `: ${each.note}`}{' '}
            <button
              type="button"
              className="word-button quiet"
              aria-label={`remove ${startFormat.format(new Date(each.start))}`}
              onClick={() => {
                write(() => removeAppointment(person.id, each.id));
              }}
            >
              remove
            </button>
          </li>
        ))}
      </ul>
      {told}
      <form
        className="plan-fields"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <label className="field">
          <span>Start</span>
          <input
            type="datetime-local"
            required
            value={start}
            onChange={(event) => {
              setStart(event.target.value);
            }}
          />
        </label>
        <label className="field narrow-field">
          <span>Minutes</span>
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
        </label>
        <label className="field narrow-field">
          <span>Weeks in a row</span>
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
        </label>
        <TextField label="Note" value={note} onChange={setNote} />
        <div className="button-row">
          <button type="submit" className="button plain">
            Write it down
          </button>
          <button
            type="button"
            className="button plain"
            disabled={appointments.length === 0}
            onClick={() => void save()}
          >
            Calendar file
          </button>
        </div>
      </form>
    </>
  );
}
