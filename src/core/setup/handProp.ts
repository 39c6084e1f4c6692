import { toTenths } from '../units/rounding.ts';
import { PER_STATURE } from '../body/proportions.ts';
import type { PropItem } from '../props/propList.ts';
import { findNearestAbove, findStacks, FLOOR } from '../props/stacks.ts';
import type { HandProp, SetUp } from './setUp.ts';
import { nameStack } from './supportProps.ts';

/** Common practice, no source. */
const IMPROVISED_UNDER_HAND =
  'a stool, a low table or a window sill that does not tip; enter it in Studio and mark it firm under a hand';
/** An elbow takes up this much height; beyond it the trunk comes up. Our choice. */
const MOST_FOR_ELBOW_CM = 8;
const { upperArm, forearm, hand } = PER_STATURE;
const UPPER_SHARE = upperArm / (upperArm + forearm + hand / 2);

const distance = (a: readonly number[], b: readonly number[]): number =>
  Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);

/** Bend of an elbow whose straight arm is shortened by this much. */
function calcElbowBend(reach: number, shorter: number): number {
  const [upper, lower] = [UPPER_SHARE * reach, (1 - UPPER_SHARE) * reach];
  const span = reach - shorter;
  const cosine = (upper ** 2 + lower ** 2 - span ** 2) / (2 * upper * lower);
  return 180 - (Math.acos(Math.max(-1, Math.min(1, cosine))) * 180) / Math.PI;
}

/**
 * The nearest safe stack at or above the hand of a set-up.
 *
 * @param setUp the set-up
 * @param props what the studio has
 * @returns null when the pose has no hand on a prop or the floor
 */
export function findHandProp(setUp: SetUp, props: readonly PropItem[]): HandProp | null {
  const neededCm = setUp.settings.find((each) => each.id === 'hand-height')?.value;
  if (neededCm === undefined) return null;
  const stacks = findStacks(props);
  const highest = stacks.at(-1) ?? FLOOR;
  const stack = findNearestAbove(stacks, neededCm);
  const none = { aboveCm: 0, elbowBendDeg: 0, trunkLiftDeg: 0, shortCm: 0 };
  if (stack === null) {
    const shortCm = toTenths(neededCm - highest.heightCm);
    const nearest = highest.props.length === 0 ? null : nameStack(highest);
    return {
      ...none,
      neededCm,
      stack,
      shortCm,
      substitute: { nearest, shortCm, improvised: IMPROVISED_UNDER_HAND },
    };
  }
  const { landmarks } = setUp;
  const sides = ['Left', 'Right'] as const;
  const side = sides.reduce((low, each) =>
    landmarks[`hand${each}`]![2] < landmarks[`hand${low}`]![2] ? each : low,
  );
  const shoulder = landmarks[`shoulder${side}`]!;
  const reach = distance(shoulder, landmarks[`hand${side}`]!);
  const above = Math.max(0, stack.heightCm - neededCm);
  const byElbow = Math.min(above, MOST_FOR_ELBOW_CM);
  const left = above - byElbow;
  const hips = landmarks.pelvisCentre!;
  const arm = Math.max(1, Math.hypot(shoulder[0] - hips[0], shoulder[1] - hips[1]));
  return {
    neededCm,
    stack,
    aboveCm: toTenths(above),
    elbowBendDeg: toTenths(calcElbowBend(reach, byElbow)),
    trunkLiftDeg: toTenths((Math.atan2(left, arm) * 180) / Math.PI),
    shortCm: 0,
  };
}
