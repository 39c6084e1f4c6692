import { findSessionTime } from '../../core/sessions/toHolds.ts';
import { readSession } from '../../core/sessions/readSession.ts';
import type { Session } from '../../core/sessions/session.ts';
import { addEntries } from '../../data/sessions.ts';
import { writeDate } from '../shared/writeValue.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { Notice } from '../shared/ui/Notice.tsx';
import { openSessions as say } from './words.ts';

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
    <Notice role="status">
      {told}
      {open.map((session) => {
        const { holds } = readSession(session);
        const noted = holds.filter((each) => each.at !== null).length;
        return (
          <p key={session.id}>
            {say.sessionStillOpenLogged(writeDate(findSessionTime(session)), noted, holds.length)}
            <WordButton
              onClick={() => {
                onOpen(session.id);
              }}
            >
              {say.continue}
            </WordButton>{' '}
            <WordButton
              onClick={() => {
                write(() =>
                  addEntries(personId, session.id, [
                    { kind: 'end', why: 'ended-early', note: say.endedLater },
                  ]),
                );
              }}
            >
              {say.endNow}
            </WordButton>
          </p>
        );
      })}
    </Notice>
  );
}
