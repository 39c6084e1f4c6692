import type { Joint, Motion } from '../conditions/limits.ts';
import type { Place } from '../poses/poseDefinition.ts';
import { isCalledOn } from '../setup/jointReport.ts';
import type { JointReport, SetUp } from '../setup/setUp.ts';

/** A motion of a pose that may run out of range; without a place, on any side. */
interface CauseMotion {
  readonly joint: Joint;
  readonly motion: Motion;
  readonly place: Place | null;
}

const hip = (place: Place, motion: Motion): CauseMotion => ({ joint: 'hip', motion, place });

/**
 * The motions whose end of range an error comes from, by error; an error that is not named here
 * comes from habit. Common practice, no source.
 */
const CAUSES: Readonly<Record<string, readonly CauseMotion[]>> = {
  'knee-drifts': [hip('front', 'abduction'), hip('front', 'external-rotation')],
  'pelvis-hauled': [
    hip('front', 'abduction'),
    hip('front', 'external-rotation'),
    hip('back', 'extension'),
    hip('back', 'external-rotation'),
  ],
  'pelvis-drops': [
    hip('front', 'abduction'),
    hip('front', 'flexion'),
    hip('back', 'extension'),
    hip('back', 'abduction'),
  ],
  'stance-long': [
    hip('back', 'extension'),
    hip('back', 'abduction'),
    hip('front', 'abduction'),
    hip('front', 'flexion'),
    { joint: 'ankle', motion: 'dorsiflexion', place: 'back' },
  ],
  'back-hip-rises': [hip('front', 'flexion')],
  'back-rounds': [hip('front', 'flexion'), hip('back', 'flexion')],
  'heel-floats': [
    { joint: 'ankle', motion: 'dorsiflexion', place: 'back' },
    hip('back', 'extension'),
  ],
  'knee-bends': [hip('front', 'flexion'), hip('back', 'flexion'), hip('back', 'extension')],
  'twist-from-pelvis': [{ joint: 'spine', motion: 'axial-rotation', place: null }],
  'heel-hidden': [{ joint: 'knee', motion: 'flexion', place: 'back' }, hip('back', 'extension')],
};

/**
 * Whether any joint at its end may cause an error: a held breath says only that the pose is too deep.
 * So no joint makes it likelier than another error.
 *
 * @param error one of the catalogue
 * @returns true for those that name no joint
 */
export const isCausedByAnyJoint = (error: string): boolean => error === 'breath-held';

/**
 * The motion that an error most likely comes from in a set-up: of those that may cause it, the one
 * with the least margin.
 *
 * @param error one of the catalogue
 * @param setUp the planned set-up
 * @returns null when none of them is called on: then it comes from habit
 */
export function findCause(
  error: string,
  { joints, side }: Pick<SetUp, 'joints' | 'side'>,
): JointReport | null {
  const isCause = (each: JointReport): boolean =>
    isCausedByAnyJoint(error) ||
    (CAUSES[error] ?? []).some(
      ({ joint, motion, place }) =>
        each.joint === joint &&
        each.motion === motion &&
        (place === null || (each.side === side) === (place === 'front')),
    );
  const called = joints.filter((each) => isCalledOn(each) && isCause(each));
  const [least] = called.toSorted((a, b) => (a.toSpareDeg ?? 0) - (b.toSpareDeg ?? 0));
  return least ?? null;
}

/**
 * The same motion in another set-up of the same pose and side.
 *
 * @param cause the motion
 * @param setUp the other set-up
 * @returns null = the opposite motion has less margin there, so that it is no cause any more
 */
export const findAgain = (
  { joint, side, motion }: JointReport,
  { joints }: Pick<SetUp, 'joints'>,
): JointReport | null =>
  joints.find((each) => each.joint === joint && each.side === side && each.motion === motion) ??
  null;
