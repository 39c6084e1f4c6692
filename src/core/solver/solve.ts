import type { QuantityId } from '../poses/quantityId.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import type { Posture } from '../skeleton/posture.ts';
import { getQuantity } from '../conditions/quantities.ts';
import type { Aim } from '../conditions/listConditions.ts';
import type { Solution, WarmStart } from './run.ts';
import { runFrom, runFromWarmStart, runNear, tryWarmStart } from './search.ts';

/** How far a quantity is to be taken: from where it is easy to where it ends, radians or metres. */
export interface ReachRange {
  readonly quantity: QuantityId;
  readonly from: number;
  readonly to: number;
  /** Where a pull may end sooner; by default at `to`. */
  readonly enough?: number;
}

type ReachAim = Omit<Aim, 'toward'>;

const pullAlong = ({ quantity, from, to, enough = to }: ReachRange, aim: ReachAim): Aim => ({
  ...aim,
  toward: { quantity, value: enough, how: to < from ? 'down' : 'up', strongAs: to },
});

/**
 * Pulls one quantity as far along its way as every must allows.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param way from where the quantity is easy to where it ends
 * @param aim what has to be left free, and how far wishes may be off
 * @param near a posture to start from; the pose's own starts are tried when it fails
 * @returns the farthest posture found; where none is kept, the pull may have run into a dead end,
 *   see {@link walkFarthest}
 */
export const pullFarthest = (
  task: PoseTask,
  way: ReachRange,
  aim: ReachAim,
  near: Posture | null,
): Solution => runNear(task, pullAlong(way, aim), near);

/**
 * The same from where a similar task was solved before.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param way from where the quantity is easy to where it ends
 * @param aim what has to be left free, and how far wishes may be off
 * @param warmStart where a similar task was solved
 * @param again starts that may lead farther yet
 * @returns as {@link pullFarthest}
 */
export const pullFromWarmStart = (
  task: PoseTask,
  way: ReachRange,
  aim: ReachAim,
  warmStart: WarmStart,
  again: readonly Posture[] = [],
): Solution => runFromWarmStart(task, pullAlong(way, aim), warmStart, again);

/**
 * Pulls, and walks on from a dead end, which is slow; see {@link pullFarthest}.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param way from where the quantity is easy to where it ends
 * @param aim what has to be left free, and how far wishes may be off
 * @param near a posture to start from; null = the pose's own starts
 * @returns the farthest posture found
 */
export function reachFarthest(
  task: PoseTask,
  way: ReachRange,
  aim: ReachAim,
  near: Posture | null,
): Solution {
  const pulled = pullFarthest(task, way, aim, near);
  return pulled.kept ? pulled : walkFarthest(task, way, aim, pulled);
}

/** Shares of its way that a pull which ran into a dead end steps back by, in turn. */
const RETREATS = [0.01, 0.02, 0.04, 0.08, 0.16, 0.32] as const;
/** A walk takes strides this share of its way at first, and ends when they are a hundredth of that. */
const FIRST_STRIDE = 0.16;
const LAST_STRIDE = 0.0016;

/**
 * A pull can run past the musts into a dead end that no correction leads out of. Then it
 * steps back until every must is kept, or starts again anywhere on the way where they all
 * are, and walks on from there, each stride a posture that keeps every must.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param aim what has to be left free, and how far wishes may be off
 * @param deadEnd where the pull ended; answered when nothing on the way can be held
 * @returns the farthest posture found
 */
export function walkFarthest(
  task: PoseTask,
  { quantity, from, to }: ReachRange,
  aim: ReachAim,
  deadEnd: Solution,
): Solution {
  const length = to - from;
  const hold = (share: number, starts: readonly Posture[]): Solution => {
    return runFrom(task, holdAt(quantity, from + share * length, aim), starts);
  };
  const { calc } = getQuantity(quantity);
  const shareOf = ({ skeleton }: Solution): number => (calc(skeleton) - from) / length;
  const walkFrom = (begun: Solution): Solution => walkOn(begun, shareOf(begun), hold);
  const anywhere = settleOnTheWay(task, { quantity, from, to }, aim);
  if (!anywhere.kept) return deadEnd;
  const { posture } = deadEnd.skeleton;
  const ended = shareOf(deadEnd);
  for (const back of RETREATS) {
    if (ended < back || ended > 1 + back) continue;
    const begun = hold(ended - back, [posture]);
    if (begun.kept) return walkFrom(begun);
  }
  return walkFrom(anywhere);
}

function walkOn(
  begun: Solution,
  share: number,
  hold: (share: number, starts: readonly Posture[]) => Solution,
): Solution {
  let best = begun;
  let at = share;
  for (let stride = FIRST_STRIDE; stride >= LAST_STRIDE; stride /= 2) {
    while (at + stride <= 1) {
      const answer = hold(at + stride, [best.skeleton.posture]);
      if (!answer.kept) break;
      best = answer;
      at += stride;
    }
  }
  return best;
}

const holdAt = (quantity: QuantityId, value: number, aim: ReachAim): Aim => ({
  ...aim,
  toward: { quantity, value, how: 'hold' },
});

/**
 * The most wished-for posture with one quantity held at a value.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param quantity that is held
 * @param value radians or metres
 * @param aim what has to be left free, and how far wishes may be off
 * @param near an answer that is held at a value near it
 * @returns the least broken posture where nothing is kept
 */
export function settleAt(
  task: PoseTask,
  quantity: QuantityId,
  value: number,
  aim: ReachAim,
  near: WarmStart,
): Solution {
  const held = holdAt(quantity, value, aim);
  const settled = runFrom(task, held, [near.posture, ...task.again.settled]);
  if (settled.kept) return settled;
  // The wishes can lead a draft out of the valley in which all musts are kept.
  const { answer } = tryWarmStart(task, held, near);
  return answer.kept ? answer : runFrom(task, held, task.starts);
}

/**
 * The same from where a similar task was solved before.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param quantity that is held
 * @param value radians or metres
 * @param aim what has to be left free, and how far wishes may be off
 * @param warmStart where a similar task was solved
 * @returns the least broken posture where nothing is kept
 */
export const settleFromWarmStart = (
  task: PoseTask,
  quantity: QuantityId,
  value: number,
  aim: ReachAim,
  warmStart: WarmStart,
): Solution => runFromWarmStart(task, holdAt(quantity, value, aim), warmStart);

/**
 * The most wished-for posture that keeps every must.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param aim what has to be left free, and how far wishes may be off
 * @returns the least broken posture where nothing is kept
 */
export const settleFreely = (task: PoseTask, aim: ReachAim): Solution =>
  runFrom(task, { ...aim, toward: null }, task.starts);

/**
 * The most wished-for posture that keeps every must anywhere on a way.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param aim what has to be left free, and how far wishes may be off
 * @returns the least broken posture where nothing is kept
 */
export function settleOnTheWay(
  task: PoseTask,
  { quantity, from, to }: ReachRange,
  aim: ReachAim,
): Solution {
  const between = { quantity, atLeast: Math.min(from, to), atMost: Math.max(from, to) };
  return settleFreely({ ...task, musts: [...task.musts, between] }, aim);
}
