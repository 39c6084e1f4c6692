import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { listAppointments } from '../../data/appointments.ts';
import { listSessions } from '../../data/sessions.ts';
import { listSetUps } from '../../data/setUps.ts';
import { readPersonFile, writePersonFile, type PersonFile } from '../../core/formats/personFile.ts';
import type { Problem } from '../../core/problems/problem.ts';
import {
  importFile,
  listPeople,
  loadRecord,
  planImport,
  type ImportPlan,
} from '../../data/people.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { TablePanel } from './TablePanel.tsx';
import { saveFile } from '../shared/saveFile.ts';

/** Person files out and in. Nothing comes in before it is shown what would change. */
export function FilesView() {
  const people = useLiveQuery(listPeople, []);
  const here = (people ?? []).filter((each) => each.deletedAt === null);
  return (
    <div className="two-columns">
      <section>
        <h1>Take a person file in</h1>
        <ImportPanel />
        <TablePanel people={here} />
      </section>
      <section>
        <h2>Hand a person file out</h2>
        <p>
          One file holds a person with every reading, set-up and session, in an open format. Nothing
          leaves this browser unless you save a file.
        </p>
        <ul className="plain-list">
          {here.map((each) => (
            <li key={each.id}>
              <button
                type="button"
                className="word-button"
                onClick={() => void exportPerson(each.id)}
              >
                {each.person.name}
              </button>
            </li>
          ))}
        </ul>
        <p className="quiet">
          The formats: <a href="/api/schemas/person">person file</a>,{' '}
          <a href="/api/schemas/set-up">set-up file</a>,{' '}
          <a href="/api/schemas/rules">house rules</a>.
        </p>
      </section>
    </div>
  );
}

async function exportPerson(id: string): Promise<void> {
  const record = await loadRecord(id);
  if (record === null) return;
  const kept = {
    setUps: await listSetUps(id),
    sessions: await listSessions(id),
    appointments: await listAppointments(id),
  };
  saveFile(`${record.person.name}.json`, writePersonFile({ ...record, ...kept }));
}

interface Waiting {
  readonly file: PersonFile;
  readonly plan: ImportPlan;
  readonly warnings: readonly Problem[];
}

function ImportPanel() {
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [done, setDone] = useState<PersonFile | null>(null);

  const choose = async (chosen: File | undefined): Promise<void> => {
    setWaiting(null);
    setProblems([]);
    setDone(null);
    if (chosen === undefined) return;
    const read = readPersonFile(await chosen.text(), new Date().toISOString());
    if (!read.ok) {
      setProblems(read.problems);
      return;
    }
    const { file, warnings } = read.value;
    setWaiting({ file, warnings, plan: await planImport(file) });
  };
  const accept = async ({ file }: Waiting): Promise<void> => {
    await importFile(file);
    setWaiting(null);
    setDone(file);
  };

  return (
    <>
      <label className="field">
        <span>Person file (JSON)</span>
        <input
          type="file"
          accept=".json,application/json"
          onChange={(event) => void choose(event.target.files?.[0])}
        />
      </label>
      {problems.length > 0 && (
        <div role="alert">
          <h2>This file cannot come in</h2>
          <p>Nothing was changed.</p>
          <ProblemList problems={problems.slice(0, 20)} />
          {problems.length > 20 && <p>And {problems.length - 20} more.</p>}
        </div>
      )}
      {waiting !== null && (
        <div className="import-plan">
          <h2>{waiting.file.person.name}</h2>
          <p>
            {waiting.plan.isNewPerson
              ? 'A new person in this browser. '
              : 'Already here: name, cautions and notes are replaced by the file’s. '}
            {waiting.plan.added} readings come in, {waiting.plan.changed} change,{' '}
            {waiting.plan.same} stay as they are; none is removed.
          </p>
          <ProblemList problems={waiting.warnings.slice(0, 10)} />
          <div className="button-row">
            <button type="button" className="button" onClick={() => void accept(waiting)}>
              Take it in
            </button>
            <button
              type="button"
              className="button plain"
              onClick={() => {
                setWaiting(null);
              }}
            >
              Leave it
            </button>
          </div>
        </div>
      )}
      {done !== null && (
        <p role="status">
          {done.person.name} is saved here.{' '}
          <a href={`/person?id=${encodeURIComponent(done.person.id)}`}>Open</a>
        </p>
      )}
    </>
  );
}
