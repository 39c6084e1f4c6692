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
import { PersonSentence } from '../shared/PersonSentence.tsx';
import { saveFile } from '../shared/saveFile.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { writeDate } from '../shared/words.ts';
import { Appointments } from './Appointments.tsx';
import { useWrite } from '../shared/useWrite.tsx';

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
      <PersonSentence person={person} here="record" />
      <div className="record">
        <section>
          <h1>The record of {person.name}</h1>
          {cautions.length > 0 && (
            <p>
              To mind:{' '}
              {cautions.map(({ entry, kind, stops }, i) => (
                <span key={entry.id} className={stops ? 'stop-word' : ''}>
                  {i > 0 ? ', ' : ''}
                  {kind?.name ?? entry.id}
                  {entry.clearedBy === null ? '' : ` (cleared by ${entry.clearedBy})`}
                </span>
              ))}
              .
            </p>
          )}
          <div className="button-row no-print">
            <button
              type="button"
              className="button plain"
              onClick={() => {
                window.print();
              }}
            >
              Print
            </button>
            <button
              type="button"
              className="button plain"
              disabled={sessions.length === 0}
              onClick={() => {
                saveFile(`${person.name} sessions.csv`, writeSessionsCsv(sessions), 'text/csv');
              }}
            >
              Sessions as CSV
            </button>
          </div>
          {timeline.length === 0 ? (
            <p>Nothing has happened yet.</p>
          ) : (
            <ol className="timeline">
              {timeline.map((each, i) => (
                <Line key={`${each.at} ${String(i)}`} happening={each} before={timeline[i - 1]} />
              ))}
            </ol>
          )}
        </section>
        <section className="no-print">
          <Appointments person={person} />
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
    <li className={`happening ${kind}`}>
      <time dateTime={at}>{isNewDay ? date : ''}</time>
      <div>
        <p className={stops ? 'stop-word' : ''}>{words}</p>
        {details.map((each) => (
          <p key={each} className="quiet">
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
      <h2>Sessions</h2>
      {told}
      {removed !== null && (
        <p className="notice" role="status">
          The session of {writeDate(findSessionTime(removed))} is removed.{' '}
          <button
            type="button"
            className="word-button"
            onClick={() => {
              write(async () => {
                await mergeIn(personId, [removed]);
                setRemoved(null);
              });
            }}
          >
            put it back
          </button>
        </p>
      )}
      {sessions.length === 0 && (
        <p>
          None yet. <a href={`/session?id=${encodeURIComponent(personId)}`}>Plan the first</a>
        </p>
      )}
      <ul className="plain-list">
        {sessions.map((session) => {
          const date = writeDate(findSessionTime(session));
          return (
            <li key={session.id}>
              <a
                href={`/session?id=${encodeURIComponent(personId)}&session=${encodeURIComponent(session.id)}`}
              >
                {date}
              </a>{' '}
              <button
                type="button"
                className="word-button quiet"
                aria-label={`remove the session of ${date}`}
                onClick={() => {
                  remove(session.id);
                }}
              >
                remove
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}
