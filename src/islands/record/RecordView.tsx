import clsx from 'clsx';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { findActiveCautions } from '../../core/cautions/stopSigns.ts';
import { writeSessionsCsv } from '../../core/formats/sessionsCsv.ts';
import { listTimeline, type Happening } from '../../core/progress/timeline.ts';
import { listSessions, mergeIn, removeSession } from '../../data/sessions.ts';
import { listSetUps } from '../../data/setUps.ts';
import type { Session } from '../../core/sessions/session.ts';
import { findSessionTime } from '../../core/sessions/toHolds.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { saveFile } from '../shared/saveFile.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { writeDate } from '../shared/writeValue.ts';
import { HomeDays } from './HomeDays.tsx';
import { Appointments } from './Appointments.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { recordView as say } from './words.ts';

/** Everything that is known of a person in the order of time, for a colleague to take over from. */
export function RecordView() {
  const [query] = useQuery();
  const record = useRecord(query.get('id'));
  const personId = record?.person.id ?? null;
  const kept = useLiveQuery(
    async () =>
      personId === null
        ? null
        : { sessions: await listSessions(personId), setUps: await listSetUps(personId) },
    [personId],
  );
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  if (kept === undefined || kept === null) return <Missing loading />;
  const { sessions, setUps } = kept;
  const { person } = record;
  const timeline = listTimeline(record, setUps, sessions);
  const cautions = findActiveCautions(person);
  return (
    <>
      <PersonHeader person={person} here="record" />
      <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-x-14 gap-y-6 pt-2 max-tablet:grid-cols-[minmax(0,1fr)]">
        <section>
          <h1>{say.record(person.name)}</h1>
          {cautions.length > 0 && (
            <p>
              {say.health}
              {cautions.map(({ entry, kind, stops }, i) => (
                <span key={entry.id} className={stops ? 'font-bold text-stop' : ''}>
                  {i > 0 ? ', ' : ''}
                  {kind?.name ?? entry.id}
                  {entry.clearedBy === null ? '' : say.clearedBy(entry.clearedBy)}
                </span>
              ))}
              .
            </p>
          )}
          <div className="my-4 flex flex-wrap gap-3 print:hidden">
            <Button
              isPlain
              onClick={() => {
                window.print();
              }}
            >
              {say.print}
            </Button>
            <Button
              isPlain
              disabled={sessions.length === 0}
              onClick={() => {
                saveFile(say.sessionsCsv(person.name), writeSessionsCsv(sessions), 'text/csv');
              }}
            >
              {say.sessionsAsCsv}
            </Button>
          </div>
          {timeline.length === 0 ? (
            <p>{say.noEntriesYet}</p>
          ) : (
            <ol>
              {timeline.map((each, i) => (
                <Line key={`${each.at} ${String(i)}`} happening={each} before={timeline[i - 1]} />
              ))}
            </ol>
          )}
        </section>
        <section className="print:hidden">
          <Appointments person={person} />
          <HomeDays person={person} sessions={sessions} />
          <SessionList personId={person.id} sessions={sessions} />
        </section>
      </div>
    </>
  );
}

function Line({ happening, before }: { happening: Happening; before: Happening | undefined }) {
  const { at, kind, words, details, stops } = happening;
  const date = writeDate(at);
  const isNewDay = before === undefined || writeDate(before.at) !== date;
  return (
    <li className="grid grid-cols-[9.5rem_minmax(0,1fr)] gap-4 border-b border-hair py-[0.35rem] [&_p]:m-0 [&_p]:max-w-none">
      <time dateTime={at} className="text-faint">
        {isNewDay ? date : ''}
      </time>
      <div>
        <p
          className={clsx(
            ['session', 'measured'].includes(kind) && 'font-bold',
            stops && 'font-bold text-stop',
          )}
        >
          {words}
        </p>
        {details.map((each) => (
          <p key={each} className="text-faint">
            {each}
          </p>
        ))}
      </div>
    </li>
  );
}

/** Sessions to be looked at again, or removed and put back. */
function SessionList({ personId, sessions }: { personId: string; sessions: readonly Session[] }) {
  const [removed, setRemoved] = useState<Session | null>(null);
  const { write, told } = useWrite();
  const remove = (id: string): void => {
    write(async () => {
      setRemoved(await removeSession(personId, id));
    });
  };
  return (
    <>
      <h2>{say.sessions}</h2>
      {told}
      {removed !== null && (
        <p className="max-w-none rounded-md bg-mist px-[0.9rem] py-2" role="status">
          {say.sessionRemoved(writeDate(findSessionTime(removed)))}
          <WordButton
            onClick={() => {
              write(async () => {
                await mergeIn(personId, [removed]);
                setRemoved(null);
              });
            }}
          >
            {say.undo}
          </WordButton>
        </p>
      )}
      {sessions.length === 0 && (
        <p>
          {say.noneYet}
          <a href={`/session?id=${encodeURIComponent(personId)}`}>{say.planFirst}</a>
        </p>
      )}
      <ul className="grid gap-[0.35rem]">
        {sessions.map((session) => {
          const date = writeDate(findSessionTime(session));
          return (
            <li key={session.id}>
              <a
                href={`/session?id=${encodeURIComponent(personId)}&session=${encodeURIComponent(session.id)}`}
              >
                {date}
              </a>{' '}
              {session.class !== undefined && (
                <span className="text-faint">{say.inClass(session.class.name)} </span>
              )}
              <WordButton
                className="text-faint"
                aria-label={say.removeSession(date)}
                onClick={() => {
                  remove(session.id);
                }}
              >
                {say.remove}
              </WordButton>
            </li>
          );
        })}
      </ul>
    </>
  );
}
