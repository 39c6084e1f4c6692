import type { PoseTask } from '../conditions/poseTask.ts';
import { measureApart, takeFixedParts, type Posture } from '../skeleton/posture.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/violation.ts';
import type { Aim } from '../conditions/listConditions.ts';
import { Run, type Solution, type Draft, type WarmStart } from './run.ts';

/** A pull counts as at its end when it is short by less than this, degrees or centimetres. */
const AT_THE_END = 0.01;
/** Of two starts that pull as far as each other, the cheaper one's answer stays. */
const FARTHER = 0.02;
/** A draft is worth its correction when its estimated cost is at least this much below the best answer. */
const CHEAPER = 0.02;

/** Two drafts nearer to each other than this in everything, radians or metres, end at one place. */
const ALIKE_WITHIN = 0.01;
const areAlike = (a: Posture, b: Posture): boolean => measureApart(a, b) < ALIKE_WITHIN;

/** How far a pull fell short of its end, degrees or centimetres; 0 when nothing was pulled. */
function findShort({ toward }: Aim, { skeleton }: Solution): number {
  if (toward === null || toward.how === 'hold') return 0;
  const { quantity, value } = toward;
  return Math.abs(toScaled(quantity, value - getQuantity(quantity).calc(skeleton)));
}

/**
 * Solves one task with one aim from some starts; see {@link findBest}.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param aim what has to be left free, how far wishes may be off, and what is pulled
 * @param starts at least one
 * @returns the farthest answer that keeps every must; the least broken one if none does
 */
export function runFrom(task: PoseTask, aim: Aim, starts: readonly Posture[]): Solution {
  const [first] = starts;
  if (first === undefined) throw new Error('A pose needs at least one start');
  return findBest(new Run(task, aim, first), aim, starts, null);
}

/**
 * Drafts from every start, then corrects them, cheapest first, until one keeps every must
 * and a pull is at its end. While a pull falls short, every draft is corrected whose
 * estimate leads farther: the cheapest one does not always.
 *
 * @param before an answer to the same task, which has to be improved
 * @returns the farthest answer that keeps every must; the least broken one if none does
 */
function findBest(
  run: Run,
  aim: Aim,
  starts: readonly Posture[],
  before: Solution | null,
): Solution {
  const drafts: Draft[] = [];
  for (const start of starts) {
    const draft = run.draft(start);
    if (!drafts.some(({ posture }) => areAlike(posture, draft.posture))) drafts.push(draft);
  }
  drafts.sort((a, b) => a.estimatedCost - b.estimatedCost);
  let farthest = before?.kept === true ? before : null;
  let least = before;
  for (const draft of drafts) {
    const cost = farthest === null ? Infinity : run.calcCost(farthest.skeleton.posture);
    if (draft.estimatedCost > cost - CHEAPER) continue;
    const answer = run.correct(draft);
    if (least === null || answer.excess < least.excess) least = answer;
    if (!answer.kept) continue;
    const short = findShort(aim, answer);
    if (farthest === null || short < findShort(aim, farthest) - FARTHER) farthest = answer;
    if (short < AT_THE_END) break;
  }
  return farthest ?? least!;
}

/**
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param aim what has to be left free, how far wishes may be off, and what is pulled
 * @param near a posture to start from; the pose's own starts are tried when it fails
 * @param again starts beside it
 * @returns as {@link runFrom}
 */
export function runNear(
  task: PoseTask,
  aim: Aim,
  near: Posture | null,
  again: readonly Posture[] = [],
): Solution {
  if (near !== null) {
    const answer = runFrom(task, aim, [near, ...again]);
    if (answer.kept) return answer;
  }
  return runFrom(task, aim, task.starts);
}

/**
 * Corrects the answer to a similar task as if it were a draft, once it stands where this one has to.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param aim what has to be left free, how far wishes may be off, and what is pulled
 * @param warmStart where a similar task was solved
 * @returns the answer, and the run it came from
 */
export function tryWarmStart(
  task: PoseTask,
  aim: Aim,
  warmStart: WarmStart,
): { readonly run: Run; readonly from: Posture; readonly answer: Solution } {
  const from = takeFixedParts(warmStart.posture, task.starts.at(-1)!, task.free);
  const run = new Run(task, aim, from);
  return { run, from, answer: run.correctWarmStart({ ...warmStart, posture: from }) };
}

/**
 * From the answer to a similar task.
 *
 * @param task the pose with one person's lengths, limits and rules filled in
 * @param aim what has to be left free, how far wishes may be off, and what is pulled
 * @param warmStart where a similar task was solved
 * @param again starts that may lead farther yet
 * @returns as {@link runFrom}
 */
export function runFromWarmStart(
  task: PoseTask,
  aim: Aim,
  warmStart: WarmStart,
  again: readonly Posture[] = [],
): Solution {
  const { run, from, answer } = tryWarmStart(task, aim, warmStart);
  if (!answer.kept) return runNear(task, aim, from, again);
  return findShort(aim, answer) < AT_THE_END ? answer : findBest(run, aim, again, answer);
}
