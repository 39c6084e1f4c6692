import { problem, type Problem } from '../problems/problem.ts';
import { cmFromMetres } from '../units/brands.ts';
import type { DepthAnswer } from '../planning/findDepth.ts';
import type { Request } from '../planning/request.ts';
import type { PoseRequest } from '../planning/poseRequest.ts';
import { solvePose } from '../planning/solvePose.ts';
import type { SolvedRequest } from '../planning/solveRequest.ts';

/** A move is named where it brings at least this much more depth, degrees or cm. Our choice. */
const WORTH_MOVING = 5;
/** It is found this exactly, metres. */
const MOVED_WITHIN = 0.005;

const findHeldDepth = (found: DepthAnswer): number =>
  found.kind === 'held' ? (found.depth ?? 0) : -Infinity;

/** The same pose with its back foot along the mat somewhere else. */
function solveAt(request: PoseRequest, stance: number): DepthAnswer {
  const { feet } = request;
  if (feet === null) throw new Error('Only a pose on the feet of another can be moved off them');
  const moved = { ...feet, held: { ...feet.held, stance } };
  return solvePose({ ...request, feet: moved }).found;
}

/**
 * How far the back foot would have to step out or in, from the feet of the pose that this
 * one stands on, for the pose to be held at all, or to go clearly deeper. It is only said:
 * the set-up keeps the feet.
 *
 * @returns null when nothing is gained by it, or the pose has feet of its own
 */
export function findSmallestMove(
  { legs }: Request,
  { poseRequest, answer, failedLegs }: SolvedRequest,
): Problem | null {
  const { feet } = poseRequest;
  const here = feet?.held.stance;
  if (legs === null || failedLegs !== null || feet === null || here === undefined) return null;
  const free = solvePose({ ...poseRequest, feet: null }).found;
  const held = findHeldDepth(answer.found);
  if (free.kind === 'cannot' || findHeldDepth(free) < held + WORTH_MOVING) return null;
  const wanted = held + WORTH_MOVING;
  const goesTo = (stance: number): boolean => findHeldDepth(solveAt(poseRequest, stance)) >= wanted;
  let far = free.answer.skeleton.posture.parts.stance;
  if (!goesTo(far)) return null;
  let near = here;
  while (Math.abs(far - near) > MOVED_WITHIN) {
    const middle = (near + far) / 2;
    if (goesTo(middle)) far = middle;
    else near = middle;
  }
  const cm = Math.round(cmFromMetres(far - here) * 2) / 2;
  if (cm === 0) return null;
  const isLength = poseRequest.pose.depth?.quantity.startsWith('hips-ahead') === true;
  const gain =
    answer.found.kind === 'cannot'
      ? 'the pose can be held'
      : `${WORTH_MOVING.toFixed(0)}${isLength ? ' cm' : '°'} more ${poseRequest.pose.depth?.words ?? 'depth'}`;
  return problem('smallest-move', 'stance-length', {
    way: cm > 0 ? 'out' : 'in',
    cm: Math.abs(cm),
    legs: legs.pose.name,
    gain,
  });
}
