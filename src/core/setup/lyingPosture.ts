import { STRADDLE_DEG } from '../poses/lying/seatedStraddle.ts';
import type { Body } from '../body/body.ts';
import type { Demonstration } from '../measures/demonstration.ts';
import type { Side } from '../measures/protocol.ts';
import type { LyingFormId } from '../poses/lying/lyingPose.ts';
import type { LandmarkCm } from '../skeleton/landmark.ts';
import { poseDemonstration } from '../skeleton/poseDemonstration.ts';
import { toThousandths } from '../units/rounding.ts';
import {
  calcHalfSpread,
  calcLegsBetween,
  calcSpreadHeight,
  calcTwistLacking,
} from './lyingForms.ts';
import { DEG, type LyingNumbers } from './lyingNumbers.ts';
import { calcSeatHeight, SEATED_HIP_LESS_ANKLE } from './seatedForms.ts';

/** A form as a posed body; the measured side is the front, raised or crossed leg. */
interface LyingPosture {
  readonly posed: Omit<Demonstration, 'reads' | 'seenFrom'>;
  /** The whole body is raised by this, cm. */
  readonly raisedCm: number;
  /** Hip centres off the wall at the feet, cm; 0 = there is none. */
  readonly offWallCm: number;
}

const asin = (x: number): number => Math.asin(Math.min(1, Math.max(-1, x))) / DEG;
const acos = (x: number): number => Math.acos(Math.min(1, Math.max(-1, x))) / DEG;

const onBack = (
  posture: Pick<Demonstration, 'measured' | 'other' | 'arms'>,
  offWallCm = 0,
): LyingPosture => ({ posed: { base: 'on the back', ...posture }, raisedCm: 0, offWallCm });

/** Shin level to the wall, knee at a right angle; the back foot on the wall as well. */
const bentKnee = (n: LyingNumbers): LyingPosture =>
  onBack(
    {
      measured: { flexion: 90, abduction: n.range('hip-opening'), knee: 90 },
      other: { abduction: acos(n.shank / n.otherLeg) },
      arms: 'out',
    },
    n.ankle + n.shank,
  );

function straight(n: LyingNumbers): LyingPosture {
  const half = calcHalfSpread(n);
  return onBack(
    {
      measured: { abduction: asin(half / n.leg) },
      other: { abduction: asin(half / n.otherLeg) },
      arms: 'out',
    },
    n.ankle + calcSpreadHeight(n),
  );
}

const crossed = (n: LyingNumbers): LyingPosture =>
  onBack({
    measured: { flexion: 90, abduction: calcTwistLacking(n) - 90 },
    arms: 'out',
  });

const stretchToFoot = (n: LyingNumbers): LyingPosture =>
  onBack({ measured: { flexion: n.range('straight-leg-raise') }, arms: 'forward' });

function pyramid(n: LyingNumbers): LyingPosture {
  const raise = n.range('straight-leg-raise');
  return onBack({
    measured: { flexion: raise },
    other: { flexion: raise - calcLegsBetween(n) },
  });
}

function seated(n: LyingNumbers, abduction: number): LyingPosture {
  const raisedCm = calcSeatHeight(n);
  const leg = { flexion: 90 - asin((raisedCm + SEATED_HIP_LESS_ANKLE) / n.leg), abduction };
  const posed = {
    base: 'sitting',
    measured: leg,
    other: leg,
    arms: 'down',
  } as const;
  return { posed, raisedCm, offWallCm: 0 };
}

const POSTURES: Readonly<Record<LyingFormId, (n: LyingNumbers) => LyingPosture>> = {
  'lying-warrior-two': bentKnee,
  'lying-side-angle': bentKnee,
  'lying-warrior-one': bentKnee,
  'lying-revolved-side-angle': bentKnee,
  'lying-triangle': straight,
  'lying-crossed-twist': crossed,
  'lying-hand-to-foot': stretchToFoot,
  'lying-pyramid': pyramid,
  staff: (n) => seated(n, 0),
  'seated-straddle': (n) => seated(n, STRADDLE_DEG),
  'bound-angle': () => ({ posed: { base: 'soles together' }, raisedCm: 0, offWallCm: 0 }),
};

/** Left and right change places, where the left leg is the one in front. */
const swapSides = (name: string): string =>
  name.endsWith('Left') ? name.replace(/Left$/, 'Right') : name.replace(/Right$/, 'Left');

/**
 * Joint centres of a lying or seated form, found from the numbers behind its settings before
 * they are rounded.
 *
 * @param form which
 * @param n one person's numbers
 * @param body lengths of the body, metres
 * @param side the front, raised or crossed leg
 * @returns by name, cm: x toward the head, from the wall, or from under the hips where no wall is at
 *   the feet; z up, y so that the frame is right-handed: the right of a body on its back
 */
export function calcLyingLandmarks(
  form: LyingFormId,
  n: LyingNumbers,
  body: Body,
  side: Side,
): Readonly<Record<string, LandmarkCm>> {
  const { posed, raisedCm, offWallCm } = POSTURES[form](n);
  const { landmarks } = poseDemonstration(body, { ...posed, seenFrom: 'the side', reads: null });
  return Object.fromEntries(
    Object.entries(landmarks).map(([name, [x, y, z]]): [string, LandmarkCm] => {
      // A body is posed with its head toward −x; a lying one counts x from the wall to the head.
      const own = side === 'right' ? -y : y;
      return [
        side === 'right' ? name : swapSides(name),
        [toThousandths(offWallCm - x), toThousandths(own), toThousandths(z + raisedCm)],
      ];
    }),
  );
}
