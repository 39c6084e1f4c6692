import { SIDES, type Side } from '../../core/measures/protocol.ts';
import { drawFromAbove } from '../../core/drawing/sheet.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { Result } from '../../core/problems/problem.ts';
import { compareSides, type SidePair } from '../../core/whatIf/compareSides.ts';
import { nameJoint } from '../../core/setup/jointReport.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { useAnswer } from '../shared/useAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { sayNumber, writeNumber } from './sayNumber.ts';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { sidesView as say } from './words.ts';

interface SidesViewProps {
  request: PlanRequest;
  /** null = a lying or seated form: numbers alone. */
  pose: PoseDefinition | null;
}

const useSide = (request: PlanRequest, side: Side): Result<SetUp> | null => {
  const own = { ...request, side };
  const { record, poseId, rules, level } = own;
  return useAnswer(`full ${findRequestKey(own)}`, () =>
    planInWorker(findRequestKey(own), record, poseId, side, rules, level, 'full'),
  );
};

/** Left and right of one pose, side by side; a difference beyond its error is called out. */
export function SidesView({ request, pose }: SidesViewProps) {
  const unit = useUnit();
  const left = useSide(request, 'left');
  const right = useSide(request, 'right');
  if (left === null || right === null)
    return <p className="text-faint">{say.workingOutBothSides}</p>;
  if (!left.ok || !right.ok) {
    return (
      <ProblemList problems={[left, right].flatMap((each) => (each.ok ? [] : each.problems))} />
    );
  }
  const pairs = compareSides(left.value, right.value).filter(worthTelling);
  const real = pairs.filter((each) => each.isReal === true);
  return (
    <>
      <p role="status">
        {real.length === 0
          ? say.noDifferenceBetweenSides
          : say.beyondItsError(real.map((each) => sayPair(each, unit)).join('; '))}
      </p>
      {pose !== null && (
        <div className="grid grid-cols-[repeat(2,minmax(0,1fr))] gap-4" data-testid="side-by-side">
          {SIDES.map((side) => (
            <Glance
              key={side}
              pose={pose}
              setUp={side === 'left' ? left.value : right.value}
              unit={unit}
            />
          ))}
        </div>
      )}
      <div className="overflow-x-auto">
        <Table look="values">
          <caption className="sr-only">{say.leftAgainstRight}</caption>
          <TableHead columns={['number', 'left', 'right', 'difference']} />
          <tbody>
            {pairs.map((each) => (
              <tr key={each.id}>
                <th scope="row">{sayNumber(each.id)}</th>
                <td>{writeNumber(each.left, each.unit, unit)}</td>
                <td>{writeNumber(each.right, each.unit, unit)}</td>
                <td>
                  {each.isReal === true ? (
                    <strong>
                      {say.real(writeNumber(Math.abs(each.difference), each.unit, unit))}
                    </strong>
                  ) : each.isReal === false ? (
                    say.withinItsError
                  ) : (
                    writeNumber(Math.abs(each.difference), each.unit, unit)
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
    </>
  );
}

/** Where both sides show the same there is nothing to compare. */
const worthTelling = ({ difference, unit }: SidePair): boolean =>
  Math.abs(difference) >= (unit === 'cm' ? 0.25 : 0.5);

const sayPair = ({ id, difference, unit }: SidePair, lengthUnit: LengthUnit): string =>
  say.more(
    sayNumber(id),
    writeNumber(Math.abs(difference), unit, lengthUnit),
    difference > 0 ? 'left' : 'right',
  );

interface GlanceProps {
  pose: PoseDefinition;
  setUp: SetUp;
  unit: LengthUnit;
}

function Glance({ pose, setUp, unit }: GlanceProps) {
  const drawing =
    setUp.status === 'failed' ? null : drawFromAbove(pose, setUp, { unit, labelMm: 8 });
  const { limiting, side } = setUp;
  return (
    <figure>
      <figcaption>
        <strong>{side}</strong>{' '}
        {limiting === null ? say.noSetUp : say.limitedBy(nameJoint(limiting, setUp))}
      </figcaption>
      {drawing !== null && <SheetDrawing drawing={drawing} size="small" />}
    </figure>
  );
}
