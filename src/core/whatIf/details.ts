import { toTenths } from '../units/rounding.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/violation.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { toWarmStart, type Solution } from '../solver/run.ts';
import { reachFarthest, settleAt } from '../solver/solve.ts';
import { cmFromMetres } from '../units/brands.ts';
import { withLimits } from '../planning/buildTask.ts';
import { wishesWithinAt } from '../planning/depthSearch.ts';
import { holdDepth } from '../planning/firstDepth.ts';
import type { Force } from '../planning/poseRequest.ts';
import { reportLimitsOf } from '../setup/describeSetUp.ts';
import { reportPushed, toForce, withBareLimits } from './force.ts';
import {
  calcJointReports,
  findLimiting,
  nameJoint,
  type PoseSide,
  type ReportLimits,
} from '../setup/jointReport.ts';
import type { Plan } from '../setup/planSetUp.ts';
import { solvePushed } from './pushed.ts';
import type { PushedReport, SetUp, StanceBound, StanceBounds } from '../setup/setUp.ts';

/** Depths nearer to the textbook than this count as reached, degrees or cm. */
const AT_TEXTBOOK = 0.5;

/** What gives when the pose is forced to its textbook depth. */
function calcIfPushed(plan: Plan, planned: Skeleton): PushedReport | null {
  const { pose, side } = plan.request;
  const { depth } = pose;
  const { found } = plan.answer;
  if (depth === null || found.kind !== 'held' || found.deepest === null) return null;
  if (found.deepest > depth.textbook - AT_TEXTBOOK) return null;
  const unit = toScaled(depth.quantity, 1);
  const value = depth.textbook / unit;
  const force: Force = { parts: {}, quantities: [{ quantity: depth.quantity, value }] };
  const said = getQuantity(depth.quantity).kind === 'length' ? ' cm' : '°';
  const to = `${String(depth.textbook)}${said}, the textbook’s ${depth.words}`;
  return reportPushed(to, solvePushed(withBareLimits(plan), pose, side, planned, force));
}

/** What the student does now, judged by the same numbers. */
function calcAsFound(plan: Plan, planned: Skeleton): PushedReport | null {
  const { asFound } = plan.request.rules;
  if (asFound === null) return null;
  const { pose, side } = plan.request;
  const force = toForce(asFound, pose, planned);
  return reportPushed('as found', solvePushed(withBareLimits(plan), pose, side, planned, force));
}

/** Below this share of what the limiting joint has, a stance asks too little to be worth it. */
const TOO_LITTLE_WORK = 0.7;
/** No stance is looked for beyond this, metres. */
const LONGEST_STANCE = 2;
const SHORTEST_STANCE = 0.1;
/** A stance this near to where the search ends was stopped by it, and by no joint, metres. */
const AT_SEARCHED_END = 0.005;
const HALVINGS = 9;

/**
 * The shortest and longest stance that work at the planned depth, each with the joint or
 * the reason that sets it.
 */
function calcBounds(plan: Plan, planned: Skeleton): StanceBounds | null {
  const { pose, side } = plan.request;
  const { found, built } = plan.answer;
  const of = { pose: pose.id, side, limits: reportLimitsOf(plan) };
  const standsOnBoth = pose.backContact === 'flat' || pose.backContact === 'ball';
  if (found.kind !== 'held' || !standsOnBoth || built.stance.definition.kind === 'none')
    return null;
  const own = withLimits(built, built.usable);
  const task = pose.depth === null ? own : holdDepth(own, pose.depth, planned);
  const free = task.free.includes('stance') ? task.free : [...task.free, 'stance' as const];
  const aim = { toSpare: 0, wishesWithin: wishesWithinAt(found.stretch) };
  const { posture } = planned;
  const open: PoseTask = { ...task, free };
  const reach = (to: number): Solution =>
    reachFarthest(open, { quantity: 'stance', from: posture.parts.stance, to }, aim, posture);
  const name = (at: Solution): string => {
    const { stance } = at.skeleton.posture.parts;
    const ends = [SHORTEST_STANCE, LONGEST_STANCE];
    if (ends.some((end) => Math.abs(stance - end) < AT_SEARCHED_END)) {
      return 'no lower limit';
    }
    const limiting = findLimiting(calcJointReports(at.skeleton, of.limits, side));
    const spareLeft = limiting?.toSpareDeg ?? Infinity;
    if (limiting === null || spareLeft > 1) return 'the legs cannot reach further';
    return `the ${nameJoint(limiting, of)} is at its limit`;
  };
  const bound = (at: Solution, reason: string): StanceBound => ({
    cm: toTenths(cmFromMetres(at.skeleton.posture.parts.stance)),
    reason,
  });
  const longest = reach(LONGEST_STANCE);
  const shortest = reach(SHORTEST_STANCE);
  if (!longest.kept || !shortest.kept) return null;
  const worked = findWorthwhile(open, aim, planned, shortest, of);
  return {
    shortest:
      worked === null
        ? bound(shortest, name(shortest))
        : bound(worked.answer, `below it the ${worked.name} has too little to do`),
    longest: bound(longest, name(longest)),
  };
}

/** The stance at which the limiting joint of the plan is asked just enough; null = even the shortest asks it. */
function findWorthwhile(
  task: PoseTask,
  aim: { readonly toSpare: number; readonly wishesWithin: number | null },
  planned: Skeleton,
  shortest: Solution,
  of: PoseSide & { readonly limits: ReportLimits },
): { readonly answer: Solution; readonly name: string } | null {
  const limiting = findLimiting(calcJointReports(planned, of.limits, of.side));
  if (limiting === null) return null;
  const shareOf = (skeleton: Skeleton): number => {
    const same = calcJointReports(skeleton, of.limits, of.side).find(
      (each) =>
        each.joint === limiting.joint &&
        each.side === limiting.side &&
        each.motion === limiting.motion,
    );
    return same === undefined || same.askedDeg === null || same.hasDeg === null || same.hasDeg <= 0
      ? 1
      : same.askedDeg / same.hasDeg;
  };
  if (shareOf(shortest.skeleton) >= TOO_LITTLE_WORK) return null;
  let low = shortest.skeleton.posture.parts.stance;
  let high = planned.posture.parts.stance;
  let best: Solution | null = null;
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const middle = (low + high) / 2;
    const answer = settleAt(task, 'stance', middle, aim, toWarmStart(best ?? shortest));
    if (answer.kept && shareOf(answer.skeleton) >= TOO_LITTLE_WORK) {
      best = answer;
      high = middle;
    } else low = middle;
  }
  return best === null ? null : { answer: best, name: nameJoint(limiting, of) };
}

/**
 * All that takes further solving after a set-up.
 *
 * @param plan the plan that was solved
 * @returns null where a question has no answer
 */
export function calcDetails(plan: Plan): Pick<SetUp, 'bounds' | 'ifPushed' | 'asFound'> {
  const { found } = plan.answer;
  if (found.kind === 'cannot') return { bounds: null, ifPushed: null, asFound: null };
  const planned = found.answer.skeleton;
  return {
    bounds: calcBounds(plan, planned),
    ifPushed: calcIfPushed(plan, planned),
    asFound: calcAsFound(plan, planned),
  };
}
