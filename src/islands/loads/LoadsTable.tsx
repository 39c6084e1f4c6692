import { writeArmSum, writeWeightSum } from '../../core/setup/loadSums.ts';
import {
  nameLoad,
  nameWeight,
  writeArm,
  writeRange,
  writeShare,
} from '../../core/setup/sayLoads.ts';
import type { JointLoad, SetUp } from '../../core/setup/setUp.ts';
import { useUnit } from '../shared/useRecord.ts';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { loadsTable as say } from './words.ts';

/** The numbers of the drawing of loads, each with its sum. */
export function LoadsTable({ setUp }: { setUp: SetUp }) {
  const unit = useUnit();
  const { loads, weights } = setUp;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={say.region}>
      <Table
        look="values"
        className="[&_td:last-child]:min-w-44! [&_thead_th:last-child]:whitespace-normal!"
      >
        <caption className="sr-only">{say.caption}</caption>
        <TableHead columns={[say.joint, say.arm, say.line, say.torque, say.sum]} />
        <tbody>
          {loads.map((load) => (
            <tr key={`${load.joint} ${load.side ?? ''}`}>
              <th scope="row">{nameLoad(load, setUp)}</th>
              <td>{writeArm(load, unit)}</td>
              <td>{say.lineLies(load.line)}</td>
              <td>{sayTorque(load)}</td>
              <td className="text-faint">{writeArmSum(setUp, load)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {weights.length === 0 ? (
        <p>{say.seat}</p>
      ) : (
        <Table look="values" className="[&_td:last-child]:min-w-44!">
          <caption className="sr-only">{say.weightCaption}</caption>
          <TableHead columns={[say.on, say.share, say.range, say.weightSum]} />
          <tbody>
            {weights.map((weight) => (
              <tr key={`${weight.on} ${weight.side}`}>
                <th scope="row">{nameWeight(weight, setUp)}</th>
                <td>{writeShare(weight.share)}</td>
                <td>{writeRange(weight) ?? say.onlyThis}</td>
                <td className="text-faint">{writeWeightSum(setUp, weight)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      <p className="text-faint">
        {say.howTorque} {say.howHands} {say.howBack}
      </p>
    </div>
  );
}

/** “8 %”, with newton metres where the body’s mass is known. */
function sayTorque({ torqueShare, staticTorque, unit }: JointLoad): string {
  if (torqueShare === null || staticTorque === null) return say.notDetermined;
  const share = writeShare(torqueShare);
  return unit === 'N·m'
    ? `${share}, ${say.newtonMetres(Math.abs(staticTorque).toFixed(0))}`
    : share;
}
