import { nameJoint } from '../../core/setup/jointReport.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { sayNumber, writeNumber } from './sayNumber.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';

const degrees = (value: number | null): string => (value === null ? '–' : `${value.toFixed(0)}°`);

/** Everything that the drawing shows, as tables: for those who do not see it, and to copy from. */
export function SetUpTable({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  const { settings, joints, balance } = setUp;
  const margins =
    balance === null
      ? []
      : ([
          ['to the nearest edge', balance.nearestEdgeCm],
          ['to its front', balance.aheadCm],
          ['to its back', balance.behindCm],
          ['to its left', balance.toLeftCm],
          ['to its right', balance.toRightCm],
        ] as const);
  return (
    <div className="overflow-x-auto">
      <table className="mb-6 border-collapse [&_td]:border-b [&_td]:border-hair [&_td]:py-[0.15rem] [&_td]:pr-4 [&_td]:text-left [&_td]:whitespace-nowrap [&_td:last-child]:min-w-64 [&_td:last-child]:whitespace-normal [&_th]:border-b [&_th]:border-hair [&_th]:py-[0.15rem] [&_th]:pr-4 [&_th]:text-left [&_th]:font-normal [&_th]:whitespace-nowrap [&_thead_th]:font-serif [&_thead_th]:text-base [&_thead_th]:leading-[normal] [&_thead_th]:text-faint [&_thead_th]:italic [&_svg]:block">
        <caption className="sr-only">Numbers of the set-up</caption>
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
              <th scope="row">weight inside the base</th>
              <td>{writeNumber(cm, 'cm', unit)}</td>
              <td>weight point</td>
              <td>{words}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {joints.length > 0 && (
        <table className="mb-6 border-collapse [&_td]:border-b [&_td]:border-hair [&_td]:py-[0.15rem] [&_td]:pr-4 [&_td]:text-left [&_td]:whitespace-nowrap [&_td:last-child]:min-w-64 [&_td:last-child]:whitespace-normal [&_th]:border-b [&_th]:border-hair [&_th]:py-[0.15rem] [&_th]:pr-4 [&_th]:text-left [&_th]:font-normal [&_th]:whitespace-nowrap [&_thead_th]:font-serif [&_thead_th]:text-base [&_thead_th]:leading-[normal] [&_thead_th]:text-faint [&_thead_th]:italic [&_svg]:block">
          <caption className="sr-only">Joints: measured, held back, asked and what is left</caption>
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
        </table>
      )}
    </div>
  );
}
