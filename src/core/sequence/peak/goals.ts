import type { Height } from '../../poses/linking/linkingPose.ts';
import { isSameMotion, type Asked, type JointSideMotion } from '../asked.ts';
import type { Candidate } from './candidates.ts';
import type { Choice } from './choose.ts';
import { findPreparing, RUNGS } from './preparing.ts';

/** Standing poses with other hips than the peak’s count as so many motions beside it. Our choice. */
const OTHER_HIPS = 2;
/** Something that warms up counts as much as this share of all rungs. Our choice. */
const WARMED_UP = 0.25;
/** Much is asked of a motion from this share on: afterwards nothing asks so much again. */
const LEAVES_ALONE_FROM = 0.6;
/** A motion the other way is asked from this share on. Our choice. */
const GIVEN_BACK_FROM = 0.25;

/** From the floor up. */
const HEIGHTS: readonly Height[] = ['lying', 'seated', 'hands-and-feet', 'kneeling', 'standing'];

const ratioOf = (candidate: Candidate, limiting: readonly Asked[]): number =>
  Math.max(
    0,
    ...findPreparing(candidate.asked, limiting).map(({ share, peakShare }) => share / peakShare),
  );

/**
 * Warm-ups first, from the floor up and little by little; last the poses with the peak’s hips.
 *
 * @param limiting motions of the peak
 * @param family of the peak
 * @returns how two candidates are sorted
 */
export function compareBefore(limiting: readonly Asked[], family: string) {
  const rank = (each: Candidate): readonly number[] => [
    HEIGHTS.indexOf(each.height),
    each.kind === 'standing' && each.family === family ? 1 : 0,
    ratioOf(each, limiting),
  ];
  return (a: Candidate, b: Candidate): number => {
    const [first, second] = [rank(a), rank(b)];
    const at = first.findIndex((value, i) => value !== second[i]);
    return at < 0 ? a.id.localeCompare(b.id) : first[at]! - second[at]!;
  };
}

const nameMotion = ({ joint, motion }: JointSideMotion): string => `${joint} ${motion}`;

/**
 * Of each limiting motion every rung: more loaded motions and higher rungs count more. Last the
 * warm-up.
 *
 * @param limiting motions of the peak
 * @returns the weight of each goal
 */
export function listGoals(limiting: readonly Asked[]): readonly number[] {
  const rungs = limiting.flatMap(({ share }) => RUNGS.map(({ about }) => share * about));
  return [...rungs, WARMED_UP * rungs.reduce((sum, each) => sum + each, 0)];
}

/**
 * Which of the goals a candidate serves, see {@link listGoals}.
 *
 * @param candidate before the peak
 * @param limiting motions of the peak
 * @param peakFamily the peak’s hips
 * @returns with what of it does not lead to the peak
 */
export function serveRungs(
  candidate: Candidate,
  limiting: readonly Asked[],
  peakFamily: Candidate['family'],
): Choice {
  const preparing = findPreparing(candidate.asked, limiting);
  const serves = preparing.flatMap((each) => {
    const motion = limiting.findIndex((one) => isSameMotion(one, each));
    const ratio = each.share / each.peakShare;
    const rung = RUNGS.findIndex(({ from, to }) => ratio >= from && ratio < to);
    return rung < 0 ? [] : [motion * RUNGS.length + rung];
  });
  if (candidate.kind === 'warm-up' && serves.length > 0)
    serves.push(limiting.length * RUNGS.length);
  const actions = new Set(preparing.map(nameMotion)).size;
  const much = candidate.asked.filter(({ share }) => share >= LEAVES_ALONE_FROM).map(nameMotion);
  const wanted = limiting.map(nameMotion);
  const besides = new Set(much.filter((each) => !wanted.includes(each))).size;
  const hasOtherHips =
    candidate.family !== 'neutral' && peakFamily !== 'neutral' && candidate.family !== peakFamily;
  return { ...candidate, serves, actions, besides: besides + (hasOtherHips ? OTHER_HIPS : 0) };
}

/**
 * What may come after the peak: nothing that stands, nor asks much again of what the peak has asked.
 *
 * @param candidates all of them
 * @param limiting motions of the peak
 * @returns from kneeling down to the floor
 */
export const listAfter = (
  candidates: readonly Candidate[],
  limiting: readonly Asked[],
): readonly Candidate[] =>
  candidates
    .filter(({ height }) => height !== 'standing')
    .filter(({ asked }) =>
      findPreparing(asked, limiting).every(({ share }) => share < LEAVES_ALONE_FROM),
    )
    .toSorted(
      (a, b) => HEIGHTS.indexOf(b.height) - HEIGHTS.indexOf(a.height) || a.id.localeCompare(b.id),
    );

/**
 * Which motions the other way a candidate gives.
 *
 * @param candidate after the peak
 * @param opposites of the peak’s motions, each a goal
 * @returns with the goals that it serves
 */
export function serveOpposites(
  candidate: Candidate,
  opposites: readonly JointSideMotion[],
): Choice {
  const serves = opposites.flatMap((each, i) => {
    const share = candidate.asked.find((one) => isSameMotion(one, each))?.share ?? 0;
    return share < GIVEN_BACK_FROM ? [] : [i];
  });
  return { ...candidate, serves, actions: 1, besides: 0 };
}
