import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { readSession } from '../../core/sessions/readSession.ts';
import { listFlows } from '../../data/flows.ts';
import { listSessions } from '../../data/sessions.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecord } from '../shared/useRecord.ts';
import { BeforeView } from './BeforeView.tsx';
import { JudgeView } from './JudgeView.tsx';
import { RunView } from './RunView.tsx';

/** A session: what about today, the plan, one pose after the other, and what comes of it. */
export function SessionView() {
  const [query, setQuery] = useQuery();
  const record = useRecord(query.get('id'));
  const personId = record?.person.id ?? null;
  const sessions = useLiveQuery(
    () => (personId === null ? undefined : listSessions(personId)),
    [personId],
  );
  const flows = useLiveQuery(
    () => (personId === null ? undefined : listFlows(personId)),
    [personId],
  );
  const session = sessions?.find((each) => each.id === query.get('session')) ?? null;
  const state = useMemo(() => (session === null ? null : readSession(session)), [session]);
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  if (sessions === undefined || flows === undefined) return <Missing loading />;
  const open = (id: string | null): void => {
    setQuery({ session: id });
  };
  return (
    <>
      <PersonHeader person={record.person} here="session" />
      {session === null || state === null ? (
        <BeforeView
          record={record}
          sessions={sessions}
          flows={flows}
          flowId={query.get('flow')}
          onFlow={(flow) => {
            setQuery({ flow });
          }}
          onOpen={open}
        />
      ) : state.ended === null ? (
        <RunView
          key={session.id}
          record={record}
          sessions={sessions}
          session={session}
          state={state}
          onLeave={() => {
            open(null);
          }}
        />
      ) : (
        <JudgeView record={record} sessions={sessions} session={session} state={state} />
      )}
    </>
  );
}
