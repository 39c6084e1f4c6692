import type { Request } from '../planning/request.ts';
import type { SolvedRequest } from '../planning/solveRequest.ts';
import { type Problem, problem } from '../problems/problem.ts';
import { calcJointReports, nameJoint } from './jointReport.ts';
import { reportLimitsOf, AT_LIMIT_DEG } from './describeSetUp.ts';
import { calcWishOff, WISH_STRETCH } from '../conditions/violation.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { saySwap } from '../poses/swaps.ts';

/**
 * Names the joints that prevent the pose, and how many degrees each lacks.
 *
 * @param request what was asked
 * @param solved the least broken posture
 * @returns an error with joints and degrees
 */
export function describeFailure(request: Request, solved: SolvedRequest): Problem {
  const { pose, side } = request;
  const { found, built } = solved.answer;
  const { skeleton } = found.answer;
  const joints = calcJointReports(skeleton, reportLimitsOf(solved), side)
    .filter((each) => each.toSpareDeg !== null && each.toSpareDeg < AT_LIMIT_DEG)
    .map((each) => {
      const short = -(each.toSpareDeg ?? 0);
      const name = nameJoint(each, { pose: pose.id, side });
      return short > AT_LIMIT_DEG
        ? `${name} is ${short.toFixed(0)}° short`
        : `${name} is at its limit`;
    });
  const wishes = built.task.wishes
    .filter((wish) => Math.abs(calcWishOff(wish, skeleton)) > WISH_STRETCH)
    .map((wish) => `${getQuantity(wish.quantity).words} would be too far off`);
  const reasons = [...joints, ...wishes];
  if (reasons.length === 0) reasons.push('the lengths do not meet');
  const { failedLegs } = solved;
  if (failedLegs !== null) reasons.unshift(`it stands on ${failedLegs.name}, which cannot be held`);
  const isHeldBack = found.kind === 'cannot' && found.because === 'held-back';
  return isHeldBack
    ? problem('too-little-margin', 'pose', { reasons, swap: saySwap(pose) })
    : problem('cannot-hold', 'pose', { reasons, swap: saySwap(pose) });
}
