import { toTenths } from '../../core/units/rounding.ts';
import type { PoseFinding } from '../../core/poseCheck/checkPose.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeValue } from '../shared/writeValue.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { findings as say } from './words.ts';

/** What a picture shows beside its plan; what differs by more than the error comes first. */
export function Findings({ findings }: { findings: readonly PoseFinding[] | null }) {
  const unit = useUnit();
  if (findings === null) return <p>{say.comparisonAppearsHereOnce}</p>;
  const sorted = findings.toSorted((a, b) => Number(a.isAsPlanned) - Number(b.isAsPlanned));
  const different = findings.filter((each) => !each.isAsPlanned).length;
  return (
    <div role="status">
      <h2>
        {different === 0
          ? say.asPlanned
          : different === 1
            ? say.oneThingDiffers
            : say.thingsDiffer(different)}
      </h2>
      <Table look="list" data-testid="holds">
        <caption className="sr-only">{say.photoComparedWithPlan}</caption>
        <TableHead columns={['What', 'Planned', 'Seen', 'Error', 'So it']} />
        <tbody>
          {sorted.map(({ id, name, unit: own, planned, seen, error, isAsPlanned, words }) => (
            <tr key={id}>
              <th scope="row">{name}</th>
              <td>{writeValue(toTenths(planned), own, unit)}</td>
              <td>{writeValue(toTenths(seen), own, unit)}</td>
              <td>± {writeValue(toTenths(error), own, unit)}</td>
              <td>{isAsPlanned ? words : <strong>{words}</strong>}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <p className="text-faint">{say.differenceSmallerThanError}</p>
    </div>
  );
}
