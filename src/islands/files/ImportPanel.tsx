import { useState } from 'react';
import { readPersonFile, type PersonFile } from '../../core/formats/personFile.ts';
import type { MergeLine } from '../../core/merge/describeMerge.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { importFile, planImport, type ImportPlan } from '../../data/merging.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { TableHead } from '../shared/TableHead.tsx';
import { sayError } from '../shared/sayError.ts';
import { nameField } from '../shared/fieldWords.ts';
import { writeDate } from '../shared/words.ts';

interface Waiting {
  readonly file: PersonFile;
  readonly plan: ImportPlan;
  readonly warnings: readonly Problem[];
}

/** A person file is merged with what is here, once it was shown what that changes. */
export function ImportPanel() {
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [failed, setFailed] = useState('');
  const [done, setDone] = useState<PersonFile | null>(null);

  const choose = async (chosen: File | undefined): Promise<void> => {
    setWaiting(null);
    setProblems([]);
    setFailed('');
    setDone(null);
    if (chosen === undefined) return;
    try {
      const read = readPersonFile(await chosen.text(), new Date().toISOString());
      if (!read.ok) {
        setProblems(read.problems);
        return;
      }
      const { file, warnings } = read.value;
      setWaiting({ file, warnings, plan: await planImport(file) });
    } catch (error) {
      setFailed(`${chosen.name} could not be read: ${sayError(error)}`);
    }
  };
  const accept = async ({ file }: Waiting): Promise<void> => {
    try {
      await importFile(file);
      setWaiting(null);
      setDone(file);
    } catch (error) {
      setFailed(`It could not be stored: ${sayError(error)}`);
    }
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
      {(problems.length > 0 || failed !== '') && (
        <div role="alert">
          <h2>This file cannot come in</h2>
          <p>Nothing was changed. {failed}</p>
          <ProblemList problems={problems.slice(0, 20)} />
          {problems.length > 20 && <p>And {problems.length - 20} more.</p>}
        </div>
      )}
      {waiting !== null && (
        <div className="import-plan">
          <PlanWords name={waiting.file.person.name} plan={waiting.plan} />
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

const COUNTED: readonly (readonly [kind: string, one: string, many: string])[] = [
  ['reading', 'reading', 'readings'],
  ['session', 'session', 'sessions'],
  ['set-up', 'set-up', 'set-ups'],
  ['appointment', 'appointment', 'appointments'],
  ['caution', 'caution', 'cautions'],
  ['not-done', 'test not taken', 'tests not taken'],
  ['school', 'chosen school', 'chosen schools'],
  ['log', 'entry of sessions or of the history', 'entries of sessions or of the history'],
];

function sayAdded({ added }: ImportPlan): string {
  const counts = COUNTED.flatMap(([kind, one, many]) => {
    const count = added[kind] ?? 0;
    return count === 0 ? [] : [`${String(count)} ${count === 1 ? one : many}`];
  });
  return counts.length === 0 ? 'Nothing new comes in.' : `New: ${counts.join(', ')}.`;
}

/** What is new, what changes and what stays. */
function PlanWords({ name, plan }: { name: string; plan: ImportPlan }) {
  const { isNewPerson, changes, stays, staysRemoved, removedAt } = plan;
  return (
    <>
      <h2>{name}</h2>
      {removedAt !== null && (
        <p>Removed here on {writeDate(removedAt)}; taking the file in brings them back.</p>
      )}
      <p>
        {isNewPerson ? 'A new person in this browser. ' : 'Already here. '}
        {sayAdded(plan)}
        {staysRemoved > 0 &&
          ` ${String(staysRemoved)} that ${staysRemoved === 1 ? 'was' : 'were'} removed here ${staysRemoved === 1 ? 'stays' : 'stay'} removed.`}
      </p>
      {changes.length > 0 && (
        <LineTable caption="What changes" columns={['What', 'Now', 'After']} lines={changes} />
      )}
      {stays.length > 0 && (
        <LineTable
          caption="What stays as it is here"
          columns={['What', 'Here', 'In the file']}
          lines={stays}
        />
      )}
    </>
  );
}

interface LineTableProps {
  caption: string;
  columns: readonly string[];
  lines: readonly MergeLine[];
}

function LineTable({ caption, columns, lines }: LineTableProps) {
  const quote = (text: string): string => (text === '' ? 'nothing' : text);
  return (
    <table className="holds">
      <caption className="pt-4 text-left font-bold">{caption}</caption>
      <TableHead columns={columns} />
      <tbody>
        {lines.map(({ what, from, to }, i) => (
          <tr key={`${what} ${String(i)}`}>
            <th scope="row">{nameField(what)}</th>
            <td>{quote(from)}</td>
            <td>{quote(to)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
