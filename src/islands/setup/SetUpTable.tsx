import { nameJoint } from '../../core/setup/jointReport.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { sayNumber, writeNumber } from './sayNumber.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { setUpTable as say } from './words.ts';

const degrees = (value: number | null): string => (value === null ? '–' : `${value.toFixed(0)}°`);

/** Everything that the drawing shows, as tables: for those who do not see it, and to copy from. */
export function SetUpTable({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  const { settings, joints, balance } = setUp;
  const margins =
    balance === null
      ? []
      : ([
          [say.nearestEdge, balance.nearestEdgeCm],
          [say.itsFront, balance.aheadCm],
          [say.itsBack, balance.behindCm],
          [say.itsLeft, balance.toLeftCm],
          [say.itsRight, balance.toRightCm],
        ] as const);
  return (
    <div className="overflow-x-auto">
      <Table look="values">
        <caption className="sr-only">{say.numbersSetUp}</caption>
        <TableHead columns={['number', 'value', 'from', 'to']} />
        <tbody>
          {settings.map((each) => (
            <tr key={each.id}>
              <th scope="row">{sayNumber(each.id)}</th>
              <td>{writeNumber(each.value, each.unit, unit)}</td>
              <td>{sayNumber(each.from)}</td>
              <td>{sayNumber(each.to)}</td>
            </tr>
          ))}
          {margins.map(([words, cm]) => (
            <tr key={words}>
              <th scope="row">{say.centreMassInsideBase}</th>
              <td>{writeNumber(cm, 'cm', unit)}</td>
              <td>{say.centreMass}</td>
              <td>{words}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {joints.length > 0 && (
        <Table look="values">
          <caption className="sr-only">{say.jointsMeasuredHeldBack}</caption>
          <TableHead columns={['joint', 'measured', 'held back', 'asked', 'margin']} />
          <tbody>
            {joints.map((each) => (
              <tr key={nameJoint(each, setUp)}>
                <th scope="row">{nameJoint(each, setUp)}</th>
                <td>{degrees(each.measuredDeg)}</td>
                <td>{degrees(each.heldBackDeg)}</td>
                <td>{degrees(each.askedDeg)}</td>
                <td>{degrees(each.toSpareDeg)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </div>
  );
}
