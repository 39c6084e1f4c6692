import type { PoseAnswer } from '../planning/poseRequest.ts';
import { resolveRule } from '../planning/resolveRule.ts';
import { LEAST_STANCE_SHARE } from '../planning/stance.ts';
import { describeAnswer, type Plan } from '../setup/planSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';
import { cmFromMetres, degreesFromRadians, radiansFromDegrees } from '../units/brands.ts';
import { minimiseWorst, type Loss, type Span } from './minimiseWorst.ts';
import {
  ALL_LOST,
  calcLost,
  depthOf,
  LENGTH_LATTICE,
  LENGTH_STEPS,
  putOnAnyFeet,
  stanceOf,
  TURN_LATTICE,
  TURN_STEPS,
  type PoseOnAnyFeet,
  type Stance,
} from './poseOnAnyFeet.ts';

/** How a back foot moves from the shared place. */
export interface FootChange {
  /** + = out, to a longer stance. */
  readonly stanceCm: number;
  /** + = turned out more. */
  readonly turnDeg: number;
}

/** A pose as it is recommended by itself. */
export interface Stood {
  readonly plan: Plan;
  /** False = it is only passed through: it has to be held, however deep. */
  readonly isHeld: boolean;
}

/** One pose on shared feet. */
export interface PoseOnStance {
  readonly setUp: SetUp;
  /** In the depth's own unit; null = the pose has no degrees of depth. */
  readonly depth: number | null;
  /** The depth that is recommended on its own best feet. */
  readonly best: number | null;
  /** Share of that depth that the shared feet cost, 0 to 1. */
  readonly lost: number;
  /** The smallest move of the back foot that gives it its best; null = it has it, or none does. */
  readonly toBest: FootChange | null;
}

/** One stance for a run of poses on one side. */
export interface SharedStance {
  readonly stanceCm: number;
  readonly backFootDeg: number;
  /** In the order of the run. */
  readonly poses: readonly PoseOnStance[];
  /** The pose that loses most, and so sets the stance; null = none loses anything. */
  readonly setBy: string | null;
}

/** A loss smaller than this share is none. */
const NOTHING_LOST = 0.005;
/** A move is named where the shared feet cost more than this share. Our choice. */
const WORTH_A_MOVE = 0.02;
/** No stance is looked for beyond this, leg lengths. Our choice: more than any school asks. */
const LONGEST_STANCE_SHARE = 1.7;

/**
 * What poses must have alike to stand on one stance: the blueprint, the side, the part of the back leg
 * on the floor, the heel line and the front foot.
 *
 * @param plan as it is recommended by itself
 * @returns null where the pose has no blueprint
 */
export function findBlueprint({ request, failedLegs }: Plan): string | null {
  const { pose, side, rules } = request;
  if (pose.blueprint === undefined || failedLegs !== null) return null;
  const { frontFootYaw: front, backContact, heelLine, frontBallOnCm = 0, matWidthCm = 0 } = pose;
  const frontFoot = front.kind === 'held' ? resolveRule(front.at, rules) : 'free';
  const alike = [pose.blueprint, side, backContact, heelLine, frontFoot, frontBallOnCm, matWidthCm];
  return alike.join(' ');
}

/** Between which angles a back foot may turn, degrees. */
function findTurns({ request: { pose, rules } }: Plan): readonly [number, number] {
  const yaw = resolveRule(pose.backFootYaw, rules);
  if (yaw.kind === 'held') return [resolveRule(yaw.at, rules), resolveRule(yaw.at, rules)];
  const forced = rules.backFootDeg;
  return [forced ?? yaw.from, forced ?? yaw.to];
}

/** The shortest stance that a recommended set-up may have, metres. */
function findShortest({ request: { pose, rules, side }, limited: { body } }: Plan): number {
  const standsLong = pose.backContact === 'flat' || pose.backContact === 'ball';
  const isBound = standsLong && rules.depth === 'recommended';
  return isBound ? LEAST_STANCE_SHARE * body.legLength[side] : 0;
}

/** Where feet may stand for all of them; null = nowhere. */
function findSpans(plans: readonly Plan[]): readonly [Span, Span] | null {
  const [{ limited, request }] = plans as readonly [Plan, ...Plan[]];
  const turns = plans.map(findTurns);
  const from = Math.max(...turns.map(([least]) => least));
  const to = Math.min(...turns.map(([, most]) => most));
  if (from > to) return null;
  const longest = LONGEST_STANCE_SHARE * limited.body.legLength[request.side];
  return [
    {
      steps: LENGTH_STEPS,
      lattice: LENGTH_LATTICE,
      from: Math.max(...plans.map(findShortest)),
      to: longest,
    },
    {
      steps: TURN_STEPS,
      lattice: TURN_LATTICE,
      from: radiansFromDegrees(from),
      to: radiansFromDegrees(to),
    },
  ];
}

/**
 * One stance length and back-foot angle for poses that follow each other on unmoved feet: the one
 * at which the pose that suffers most suffers least, then the rest least. Every must and caution
 * of every pose is kept.
 *
 * @param stood poses of one blueprint, see {@link findBlueprint}
 * @returns null when no feet serve all of them
 */
export function findSharedStance(stood: readonly Stood[]): SharedStance | null {
  const plans = stood.map(({ plan }) => plan);
  const spans = findSpans(plans);
  if (spans === null) return null;
  const onFeet = putOnAnyFeet(plans);
  if (!onFeet.every(({ isHeld }) => isHeld)) return null;
  const best = onFeet.map((each, i) => (stood[i]!.isHeld ? each.findBest(spans) : null));
  const bests = best.map((each) => (each === null ? null : depthOf(each)));
  const solveAll = (at: Stance): readonly PoseAnswer[] => onFeet.map((each) => each.solve(at));
  const lossOf = (each: PoseOnAnyFeet, best: number | null): Loss => {
    return ([stance, backFootYaw], mayLose) => {
      const enough = best === null ? -Infinity : best * (1 - mayLose);
      return calcLost(each.solve([stance!, backFootYaw!], enough), best);
    };
  };
  const allLosses = onFeet.map((each, i) => lossOf(each, bests[i]!));
  const starts = onFeet.flatMap((each) => each.listStarts());
  const { at, losses } = minimiseWorst(spans, distinct(starts), allLosses);
  if (losses.some((each) => each >= ALL_LOST)) return null;
  const answers = solveAll(at as unknown as Stance);
  const poses = answers.map((answer, i): PoseOnStance => {
    const plan = plans[i]!;
    const lost = Math.max(0, calcLost(answer, bests[i]!));
    return {
      setUp: describeAnswer(plan.request, { ...plan, answer }),
      depth: depthOf(answer),
      best: bests[i]!,
      lost,
      toBest:
        lost > WORTH_A_MOVE ? findMoveToBest(onFeet[i]!, best[i]!, at as unknown as Stance) : null,
    };
  });
  const most = poses.reduce((a, b) => (b.lost > a.lost ? b : a));
  return {
    stanceCm: cmFromMetres(at[0]!),
    backFootDeg: degreesFromRadians(at[1]!),
    poses,
    setBy: most.lost > NOTHING_LOST ? most.setUp.pose : null,
  };
}

/** A pose has its best with this share of it; the move is found to this share of the whole one. */
const NEARLY_BEST = 0.99;
const MOVE_WITHIN = 1 / 16;

/**
 * The smallest move from the shared feet toward a pose's own best ones that gives it its best depth.
 *
 * @returns null where the way there does not lead to it
 */
function findMoveToBest(
  pose: PoseOnAnyFeet,
  bestAnswer: PoseAnswer,
  from: Stance,
): FootChange | null {
  const best = depthOf(bestAnswer);
  const to = stanceOf(bestAnswer);
  if (best === null) return null;
  const on = (share: number): Stance => [
    from[0] + share * (to[0] - from[0]),
    from[1] + share * (to[1] - from[1]),
  ];
  const isBest = (share: number): boolean =>
    (depthOf(pose.solve(on(share))) ?? -Infinity) >= NEARLY_BEST * best;
  if (!isBest(1)) return null;
  let [near, far] = [0, 1];
  while (far - near > MOVE_WITHIN) {
    const middle = (near + far) / 2;
    if (isBest(middle)) far = middle;
    else near = middle;
  }
  return {
    stanceCm: cmFromMetres(far * (to[0] - from[0])),
    turnDeg: degreesFromRadians(far * (to[1] - from[1])),
  };
}

/** Starts that differ by less than the last step are one. */
function distinct(starts: readonly Stance[]): readonly Stance[] {
  return starts.filter(
    (each, i) =>
      !starts
        .slice(0, i)
        .some(
          (before) =>
            Math.abs(before[0] - each[0]) < LENGTH_STEPS.at(-1)! &&
            Math.abs(before[1] - each[1]) < TURN_STEPS.at(-1)!,
        ),
  );
}
