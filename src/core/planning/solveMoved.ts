import type { PoseTask } from '../conditions/poseTask.ts';
import { toScaled } from '../conditions/violation.ts';
import { withParts, type Parts, type Posture } from '../skeleton/posture.ts';
import { settleFreely } from '../solver/solve.ts';
import { wishesWithinAt } from './depthSearch.ts';
import type { HeldDepth } from './findDepth.ts';
import {
  toWarmStarts,
  type Force,
  type PoseAnswer,
  type PoseWarmStarts,
  type PoseRequest,
} from './poseRequest.ts';
import { build, solveOn } from './solvePose.ts';

/** A moved setting is held to half of the tenth that it is shown in, degrees or centimetres. */
const HELD_WITHIN = 0.05;

/**
 * Solves a pose again with the moved parts held in place, within every limit.
 *
 * @param request what is to be solved
 * @param before the answer that was moved
 * @param force parts and quantities that are held, metres and radians
 * @returns null when the pose cannot be held so
 */
export function solveMoved(
  request: PoseRequest,
  before: PoseAnswer,
  force: Force,
): { readonly answer: PoseAnswer; readonly found: HeldDepth } | null {
  if (before.found.kind === 'cannot') return null;
  const { posture } = before.found.answer.skeleton;
  const held = holdMoved(request, before, force.parts, posture);
  const near = withParts(posture, held);
  if (force.quantities.length === 0) {
    const answer = solveOn(request, held, near, lookAgain(toWarmStarts(before)));
    return answer.found.kind === 'held' ? { answer, found: answer.found } : null;
  }
  const built = build(request, held, near);
  const forced = force.quantities.map(({ quantity, value }) => ({
    quantity,
    atLeast: value - HELD_WITHIN / toScaled(quantity, 1),
    atMost: value + HELD_WITHIN / toScaled(quantity, 1),
  }));
  const taken = new Set(forced.map((each) => each.quantity));
  const musts = [...built.task.musts.filter((each) => !taken.has(each.quantity)), ...forced];
  const task: PoseTask = { ...built.task, musts, starts: [near] };
  const settled = settleFreely(task, {
    toSpare: 0,
    wishesWithin: wishesWithinAt(before.found.stretch),
  });
  if (!settled.kept) return null;
  const found: HeldDepth = { ...before.found, answer: settled };
  return { answer: { ...before, built: { ...built, task }, found }, found };
}

/** What was moved may ask the wishes for more: how far they stretch is looked for again. */
const lookAgain = (warmStarts: PoseWarmStarts): PoseWarmStarts => ({
  ...warmStarts,
  first: warmStarts.first === null ? null : { ...warmStarts.first, stretch: null },
  last: warmStarts.last === null ? null : { ...warmStarts.last, stretch: null },
});

/** What was held before, and what is held now in its place. */
function holdMoved(
  { feet }: PoseRequest,
  before: PoseAnswer,
  parts: Force['parts'],
  near: Posture,
): Partial<Parts> {
  const isFoundOnce = before.built.stance.definition.kind === 'longest-up-to';
  const own = isFoundOnce ? { stance: near.parts.stance } : {};
  return { ...(feet?.held ?? own), ...parts };
}
