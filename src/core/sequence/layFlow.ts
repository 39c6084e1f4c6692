import type { MatSize } from '../studio/studio.ts';
import type { FlowOnMat, PlannedStep } from './plannedFlow.ts';

/** Room between a foot and the mat's edge, cm. Our choice. */
const EDGE_CM = 3;
/** From the heel to the toes, and behind the heel, cm: a long foot, so that the mat is long enough. */
const TOES_AHEAD_CM = 24;
const BEHIND_HEEL_CM = 5;

/**
 * Lays a flow in the middle of the mat's length, so that both ends have room.
 *
 * @param steps with their feet; those without a set-up find room anywhere
 * @param mat cm
 * @returns where the front marks lie, and by how much the flow is longer than the mat
 */
export function layFlow(
  steps: readonly Pick<PlannedStep, 'setUp' | 'feet'>[],
  { lengthCm, widthCm }: MatSize,
): FlowOnMat {
  const places = steps
    .filter(({ setUp }) => setUp !== null)
    .flatMap(({ feet }) => [feet.left, feet.right])
    .flatMap((each) => each ?? []);
  const xs = places.flatMap(({ x, turnDeg }) => {
    const along = Math.cos((turnDeg * Math.PI) / 180);
    return [x + Math.max(0, along) * TOES_AHEAD_CM, x - BEHIND_HEEL_CM];
  });
  const front = Math.max(0, ...xs);
  const back = Math.min(0, ...xs);
  const overCm = Math.max(0, front - back + 2 * EDGE_CM - lengthCm);
  const frontMarksCm = Math.round((lengthCm - (front - back)) / 2 + front);
  return { lengthCm, widthCm, frontMarksCm, overCm };
}
