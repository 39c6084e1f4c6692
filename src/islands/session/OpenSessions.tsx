import { findSessionTime } from '../../core/sessions/toHolds.ts';
import { readSession } from '../../core/sessions/readSession.ts';
import type { Session } from '../../core/sessions/session.ts';
import { addEntries } from '../../data/sessions.ts';
import { writeDate } from '../shared/words.ts';
import { useWrite } from '../shared/useWrite.tsx';

interface OpenSessionsProps {
  personId: string;
  sessions: readonly Session[];
  onOpen: (id: string) => void;
}

/** Sessions that were begun and not ended: to go on with, or to end where they stand. */
export function OpenSessions({ personId, sessions, onOpen }: OpenSessionsProps) {
  const { write, told } = useWrite();
  const open = sessions.filter((each) => readSession(each).ended === null);
  if (open.length === 0) return null;
  return (
    <div className="notice" role="status">
      {told}
      {open.map((session) => {
        const { holds } = readSession(session);
        const noted = holds.filter((each) => each.at !== null).length;
        return (
          <p key={session.id}>
            A session of {writeDate(findSessionTime(session))} is not ended: {noted} of{' '}
            {holds.length} holds noted.{' '}
            <button
              type="button"
              className="word-button"
              onClick={() => {
                onOpen(session.id);
              }}
            >
              go on with it
            </button>{' '}
            <button
              type="button"
              className="word-button"
              onClick={() => {
                write(() =>
                  addEntries(personId, session.id, [
                    { kind: 'end', why: 'ended-early', note: 'ended afterwards' },
                  ]),
                );
              }}
            >
              end it where it stands
            </button>
          </p>
        );
      })}
    </div>
  );
}
