import { useLiveQuery } from 'dexie-react-hooks';
import { listFlows } from '../../data/flows.ts';
import { listSessions } from '../../data/sessions.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecordWithHeld } from '../shared/useRecord.ts';
import { FlowEditorView } from './FlowEditorView.tsx';
import { FlowList } from './FlowList.tsx';
import { flowsView as say } from './words.ts';

/** The flows of a person: a list of them, or one to be built. */
export function FlowsView() {
  const [query, setQuery] = useQuery();
  const record = useRecordWithHeld(query.get('id'));
  const personId = record?.person.id ?? null;
  const flows = useLiveQuery(
    () => (personId === null ? undefined : listFlows(personId)),
    [personId],
  );
  const sessions = useLiveQuery(
    () => (personId === null ? undefined : listSessions(personId)),
    [personId],
  );
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  if (flows === undefined || sessions === undefined) return <Missing loading />;
  const asked = query.get('flow');
  const flow = flows.find(({ id }) => id === asked) ?? null;
  const open = (id: string | null): void => {
    setQuery({ flow: id, step: null });
  };
  return (
    <>
      <PersonHeader person={record.person} here="flows" />
      {flow === null ? (
        <>
          {asked !== null && <p role="status">{say.notFound}</p>}
          <FlowList record={record} sessions={sessions} flows={flows} onOpen={open} />
        </>
      ) : (
        <FlowEditorView
          key={flow.id}
          record={record}
          sessions={sessions}
          flow={flow}
          onOpen={open}
        />
      )}
    </>
  );
}
