import { drawRotation } from '../../core/drawing/rotation.ts';
import { otherSide } from '../../core/measures/protocol.ts';
import { withLevel } from '../../core/poses/level.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { nameLeg } from '../../core/setup/jointReport.ts';
import { findHipRotation, type HipRotation } from '../../core/setup/hipRotation.ts';
import { listRotationSteps, listTwistSteps, type SumLine } from '../../core/setup/sayRotation.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { rotationPart as say } from './words.ts';

/** Feet, thighs and pelvis from above, and the sum from each to the rotation of its hip. */
export function RotationPart({ pose, setUp }: { pose: PoseDefinition; setUp: SetUp }) {
  const drawing = drawRotation(withLevel(pose, setUp.level), setUp);
  const twist = listTwistSteps(setUp);
  if (drawing === null) return <p>{say.none}</p>;
  return (
    <div data-testid="rotation">
      <p className="text-faint">{say.lead}</p>
      <SheetDrawing drawing={drawing} size="small" />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(min(18rem,100%),1fr))] gap-x-8">
        {[setUp.side, otherSide(setUp.side)].map((side) => {
          const rotation = findHipRotation(setUp, side);
          const place = nameLeg(side, setUp);
          return rotation === null ? (
            <p key={side}>{say.inTheAir(place)}</p>
          ) : (
            <Steps key={side} caption={say.hip(place)} steps={listRotationSteps(rotation)}>
              {sayAvailable(setUp, rotation)}
            </Steps>
          );
        })}
        {twist !== null && <Steps caption={say.twist} steps={twist} />}
      </div>
    </div>
  );
}

/** How much of the rotation the hip has, where that is known. */
function sayAvailable({ joints }: SetUp, { side, rotationDeg }: HipRotation): string | null {
  const motion = rotationDeg >= 0 ? 'external-rotation' : 'internal-rotation';
  const report = joints.find(
    (each) => each.joint === 'hip' && each.side === side && each.motion === motion,
  );
  if (report?.hasDeg == null) return null;
  const words = motion === 'external-rotation' ? say.external : say.internal;
  return say.available(words, `${report.hasDeg.toFixed(0)}°`);
}

interface StepsProps {
  caption: string;
  steps: readonly SumLine[];
  children?: string | null;
}

/** A sum, line by line. */
const Steps = ({ caption, steps, children = null }: StepsProps) => (
  <div>
    <Table look="list">
      <caption className="text-left font-bold first-letter:capitalize">{caption}</caption>
      <tbody>
        {steps.map(({ words, amount, isSum }) => (
          <tr key={words} className={isSum ? 'font-bold' : undefined}>
            <th scope="row" className={isSum ? 'font-bold' : 'font-normal'}>
              {words}
            </th>
            <td className="text-right! whitespace-nowrap tabular-nums">{amount}</td>
          </tr>
        ))}
      </tbody>
    </Table>
    {children !== null && <p className="text-faint">{children}</p>}
  </div>
);
