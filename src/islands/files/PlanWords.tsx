import type { MergeLine } from '../../core/merge/describeMerge.ts';
import type { ImportPlan } from '../../data/merging.ts';
import { nameField } from '../shared/fieldWords.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { Table } from '../shared/ui/Table.tsx';

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
export function PlanWords({ plan }: { plan: ImportPlan }) {
  const { isNewPerson, changes, stays, staysRemoved, removedAt, erasedAt } = plan;
  return (
    <>
      {removedAt !== null && (
        <p>Removed here on {writeDate(removedAt)}; taking the file in brings them back.</p>
      )}
      {erasedAt !== null && (
        <p className="font-semibold">
          Erased here on {writeDate(erasedAt)}, perhaps because they asked for it.
        </p>
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
