import { listMeasuresOf } from '../../conditions/motionMeasures.ts';
import { isSameMotion, type Asked, type JointSideMotion } from '../asked.ts';

/**
 * How far a preparation goes, as shares of what the peak asks: about 40, 60 and 80 %. The last one
 * reaches as far as the preparing pose itself may go.
 */
export const RUNGS = [
  { about: 0.4, from: 0.3, to: 0.5 },
  { about: 0.6, from: 0.5, to: 0.7 },
  { about: 0.8, from: 0.7, to: Infinity },
] as const;

/** A motion of which a peak asks this share of the range limits it. Our choice. */
const LIMITS_FROM = 0.6;

/**
 * What a pose asks on both sides together: of each motion the most.
 *
 * @param asked of each side in turn
 * @returns each motion once
 */
export function joinAsked(asked: readonly Asked[]): readonly Asked[] {
  const joined: Asked[] = [];
  for (const each of asked) {
    const at = joined.findIndex((known) => isSameMotion(known, each));
    if (at < 0) joined.push(each);
    else if (each.share > joined[at]!.share) joined[at] = each;
  }
  return joined;
}

/**
 * The motions of which a peak asks most of the range, where that is measured: rounding the spine and
 * bending the toes have one limit for everybody.
 *
 * @param asked by the peak
 * @returns the most loaded first
 */
export const findLimiting = (asked: readonly Asked[]): readonly Asked[] =>
  asked
    .filter((each) => each.share >= LIMITS_FROM && listMeasuresOf(each).length > 0)
    .toSorted((a, b) => b.share - a.share);

/** What a step does for the peak. */
export interface Preparing extends JointSideMotion {
  /** What it asks, a share of the whole measured range. */
  readonly share: number;
  readonly peakShare: number;
}

/**
 * Which of the peak's limiting motions a pose asks as well, and how far.
 *
 * @param asked by the pose
 * @param limiting of the peak, see {@link findLimiting}
 * @returns in the order of the peak's motions; less than the first rung is left out
 */
export const findPreparing = (
  asked: readonly Asked[],
  limiting: readonly Asked[],
): readonly Preparing[] =>
  limiting.flatMap(({ joint, motion, side, share: peakShare }) => {
    const share = asked.find((each) => isSameMotion(each, { joint, motion, side }))?.share ?? 0;
    return share < RUNGS[0].from * peakShare ? [] : [{ joint, motion, side, share, peakShare }];
  });

const OPPOSITES: Readonly<Partial<Record<JointSideMotion['motion'], JointSideMotion['motion']>>> = {
  flexion: 'extension',
  extension: 'flexion',
  abduction: 'adduction',
  adduction: 'abduction',
  'external-rotation': 'internal-rotation',
  'internal-rotation': 'external-rotation',
};

/**
 * The motion the other way: what a body is given after the peak.
 *
 * @param of a motion of the peak
 * @returns null where the other side of the pose is the other way already
 */
export function findOpposite({ joint, motion, side }: JointSideMotion): JointSideMotion | null {
  const opposite = OPPOSITES[motion];
  return opposite === undefined ? null : { joint, motion: opposite, side };
}

/**
 * A motion as it is spoken of.
 *
 * @param motion of a joint
 * @returns as “right hip’s external rotation”
 * @example
 * sayMotion({ joint: 'hip', motion: 'external-rotation', side: 'right' }) // → "right hip’s external rotation"
 */
export function sayMotion({ joint, motion, side }: JointSideMotion): string {
  if (joint === 'spine') {
    const words = motion === 'axial-rotation' ? 'turn' : motion.replace('-', ' ');
    return side === null ? `spine’s ${words}` : `spine’s ${words} to the ${side}`;
  }
  const owner = joint === 'toes' ? 'toes’' : `${joint}’s`;
  return [side, owner, motion.replace('-', ' ')].filter(Boolean).join(' ');
}

const percent = (share: number): string => `${String(Math.round(100 * share))} %`;

/**
 * Why a step is there.
 *
 * @param preparing what it does for the peak
 * @returns without a full stop
 */
export const sayPreparing = (preparing: Preparing): string =>
  `asks ${percent(preparing.share)} of the ${sayMotion(preparing)}; the peak asks ${percent(preparing.peakShare)}`;
