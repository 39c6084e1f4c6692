import type { MergeLine } from '../../core/merge/describeMerge.ts';
import type { ImportPlan } from '../../data/merging.ts';
import { nameField } from '../shared/fieldWords.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { Table } from '../shared/ui/Table.tsx';
import { planWords as say } from './words.ts';

const COUNTED: readonly (readonly [kind: string, one: string, many: string])[] = [
  ['reading', 'reading', 'readings'],
  ['session', 'session', 'sessions'],
  ['set-up', 'set-up', 'set-ups'],
  ['appointment', 'appointment', 'appointments'],
  ['flow', 'flow', 'flows'],
  ['caution', 'caution', 'cautions'],
  ['not-done', say.testNotTaken, say.testsNotTaken],
  ['school', say.chosenSchool, say.chosenSchools],
  ['log', say.entrySessionsHistory, say.entriesSessionsHistory],
];

function sayAdded({ added }: ImportPlan): string {
  const counts = COUNTED.flatMap(([kind, one, many]) => {
    const count = added[kind] ?? 0;
    return count === 0 ? [] : [`${String(count)} ${count === 1 ? one : many}`];
  });
  return counts.length === 0 ? say.nothingNewImport : say.newWord(counts.join(', '));
}

/** What is new, what changes and what stays. */
export function PlanWords({ plan }: { plan: ImportPlan }) {
  const { isNewPerson, changes, stays, staysRemoved, removedAt, erasedAt } = plan;
  return (
    <>
      {removedAt !== null && <p>{say.removedHereImportingFile(writeDate(removedAt))}</p>}
      {erasedAt !== null && (
        <p className="font-semibold">{say.erasedHerePerhapsTheir(writeDate(erasedAt))}</p>
      )}
      <p>
        {isNewPerson ? say.newPersonBrowser : say.alreadyHere}
        {sayAdded(plan)}
        {staysRemoved > 0 &&
          say.removedHereRemoved(
            staysRemoved,
            staysRemoved === 1 ? 'was' : 'were',
            staysRemoved === 1 ? 'stays' : 'stay',
          )}
      </p>
      {changes.length > 0 && (
        <LineTable caption={say.whatChanges} columns={['What', 'Now', 'After']} lines={changes} />
      )}
      {stays.length > 0 && (
        <LineTable
          caption={say.whatStaysSame}
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
    <Table look="list" data-testid="holds">
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
    </Table>
  );
}
