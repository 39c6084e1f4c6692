import type { Side } from '../measures/protocol.ts';
import type { DepthDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import type { PoseTask } from '../solver/poseTask.ts';
import { withParts, type Parts, type Posture } from '../solver/posture.ts';
import { getQuantity } from '../solver/quantities.ts';
import { toScaled } from '../solver/residuals.ts';
import { hintOf, type Answer, type Hint } from '../solver/run.ts';
import { pullFromHint, reachFarthest, settleFreely } from '../solver/solve.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import {
  buildTask,
  findStance,
  LEAST_STANCE_SHARE,
  withLimits,
  type BuiltTask,
} from './buildTask.ts';
import {
  findDepth,
  findSetUpWithoutDepth,
  type DepthAnswer,
  type DepthRequest,
  type HeldDepth,
} from './findDepth.ts';
import { DepthSearch, wishesWithinAt, type DepthHints, type WishAim } from './depthSearch.ts';
import type { Numbers } from './numbers.ts';
import type { Force } from './pushed.ts';

/** All that a solve needs to know of a person and of the teacher's choices. */
export interface PoseRequest extends DepthRequest {
  readonly pose: PoseDefinition;
  readonly numbers: Numbers;
  readonly side: Side;
  /** The feet of the pose that this one stands on, which stay where they are; null = its own. */
  readonly feet: Feet | null;
}

/** Where another pose's feet stand, and its whole posture to start from. */
export interface Feet {
  readonly held: Partial<Parts>;
  readonly posture: Posture;
  /** Bend of the front knee there, radians. */
  readonly frontKneeBend: number;
}

export interface PoseAnswer {
  readonly built: BuiltTask;
  readonly found: DepthAnswer;
  /** The depth that was taken first and held, when the pose has one. */
  readonly first: HeldDepth | null;
  /** Where the longest stance was found, when it is found first. */
  readonly longest: Hint | null;
  /** The share of its first depth that was kept. */
  readonly keptShare: number;
}

/** Where a like task was solved before: each stage starts there, and nothing gives way again. */
export interface PoseHints {
  readonly longest: Hint | null;
  readonly first: DepthHints | null;
  readonly last: DepthHints | null;
  readonly keptShare: number;
}

export const hintsOf = ({ found, first, keptShare, longest }: PoseAnswer): PoseHints => ({
  longest,
  first: first?.hints ?? null,
  last: found.kind === 'held' ? found.hints : null,
  keptShare,
});

/**
 * While the longest stance is looked for, wishes may stretch by one tolerance only and
 * every joint keeps two degrees more than it must, so that the depth found in it
 * afterwards still has room. Our modelling choice.
 */
const WISHES_IN_LONGEST = 1;
const MORE_TO_SPARE_IN_LONGEST_DEG = 2;
/** No stance is looked for below half of what its rule wants. Our modelling choice. */
const SHORTEST_SHARE = 0.5;

/** Some stances are as long as can be, up to a rule: found once, then held. */
function findHeldStance(
  { pose, numbers: { body, ranges }, side, rules }: PoseRequest,
  hint: Hint | null,
): { readonly held: Partial<Parts>; readonly longest: Hint | null } {
  const { definition, metres } = findStance(pose, body, side, rules);
  if (definition.kind !== 'longest-up-to' || metres === null) {
    return { held: {}, longest: null };
  }
  const built = buildTask(pose, body, ranges, side, rules);
  const task = withLimits(built, built.usable);
  const aim = {
    toSpare: radiansFromDegrees(MORE_TO_SPARE_IN_LONGEST_DEG),
    wishesWithin: WISHES_IN_LONGEST,
  };
  const shortest = SHORTEST_SHARE * metres;
  const least = LEAST_STANCE_SHARE * body.legLength[side];
  const isRecommended = rules.depth === 'recommended' && definition.of === 'leg-length';
  const from = isRecommended ? Math.min(metres, Math.max(shortest, least)) : shortest;
  const way = { quantity: 'stance', from, to: metres } as const;
  const find = (within: WishAim): Answer =>
    hint === null ? reachFarthest(task, way, within, null) : pullFromHint(task, way, within, hint);
  const roomy = find(aim);
  // Where no stance leaves so much room, the longest that can be held at all.
  const answer = roomy.kept ? roomy : find({ toSpare: 0, wishesWithin: wishesWithinAt(1) });
  const stance = answer.kept ? Math.min(metres, answer.skeleton.posture.parts.stance) : metres;
  return { held: { stance }, longest: hintOf(answer) };
}

/** The feet of an answer, to be held. */
export function holdFeet({ found }: PoseAnswer): Feet {
  const { posture, legs } = found.answer.skeleton;
  const { stance, widening, frontFootYaw, backFootYaw } = posture.parts;
  const held = { stance, widening, frontFootYaw, backFootYaw };
  return { held, posture, frontKneeBend: legs.front.kneeFlexion };
}

/**
 * Solves a pose: first a stance that is found once, then one depth after the other, each
 * held while the next one grows. A first depth gives way when nothing is left for the last.
 */
export function solvePose(request: PoseRequest, hints: PoseHints | null = null): PoseAnswer {
  const { feet } = request;
  if (feet !== null) return solveOn(request, feet.held, feet.posture, hints);
  const { held, longest } = findHeldStance(request, hints?.longest ?? null);
  return { ...solveOn(request, held, null, hints), longest };
}

const build = (
  { pose, numbers: { body, ranges }, side, rules }: PoseRequest,
  held: Partial<Parts>,
  near: Posture | null,
): BuiltTask => buildTask(pose, body, ranges, side, rules, held, near);

/** A knee that may straighten on another pose's feet does so only this far. */
function keepKneeBend(built: BuiltTask, { pose, feet }: PoseRequest): BuiltTask {
  const by = pose.restsOn?.kneeMayStraightenDeg;
  if (feet === null || by === undefined) return built;
  const atLeast = feet.frontKneeBend - radiansFromDegrees(by);
  const must = { quantity: 'front-knee-bend', atLeast, atMost: null } as const;
  return { ...built, task: { ...built.task, musts: [...built.task.musts, must] } };
}

/** Solves on feet that are held, or on a pose's own. */
function solveOn(
  request: PoseRequest,
  held: Partial<Parts>,
  near: Posture | null,
  hints: PoseHints | null,
): PoseAnswer {
  const { pose } = request;
  const built = keepKneeBend(build(request, held, near), request);
  const common = { longest: null, keptShare: 1 };
  if (pose.firstDepth === null) {
    const found = findStage(request, built, pose.depth, hints?.last ?? null);
    return { ...common, built, found, first: null };
  }
  const first = findStage(request, built, pose.firstDepth, hints?.first ?? null);
  if (first.kind === 'cannot') return { ...common, built, found: first, first: null };
  const heldAt = (share: number): BuiltTask => holdDepth(built, pose.firstDepth!, share, first);
  const keptShare = hints?.keptShare ?? findKeptShare(pose, heldAt);
  const onFirst = heldAt(keptShare);
  const found = findStage(request, onFirst, pose.depth, hints?.last ?? null);
  return { ...common, built: onFirst, found, first, keptShare };
}

/** A first depth gives way down to this share of itself, and its share is found this exactly. Our choice. */
const LEAST_KEPT_SHARE = 0.4;
const SHARE_WITHIN = 0.01;

/** The largest share of the first depth at which the last one can be held at all, by bisection. */
function findKeptShare({ depth }: PoseDefinition, heldAt: (share: number) => BuiltTask): number {
  if (depth === null) return 1;
  const canHold = (share: number): boolean => {
    const built = heldAt(share);
    return new DepthSearch(withLimits(built, built.usable), depth, null).settleAnywhere(0).kept;
  };
  if (canHold(1)) return 1;
  let low = LEAST_KEPT_SHARE;
  let high = 1;
  if (!canHold(low)) return low;
  while (high - low > SHARE_WITHIN) {
    const middle = (low + high) / 2;
    if (canHold(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/** Numbers are told in tenths of a degree or centimetre, and held as exactly. */
const HELD_WITHIN = 0.05;

/**
 * Solves a pose anew with some of it held where it was moved, within every limit.
 *
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
    const answer = solveOn(request, held, near, lookAgain(hintsOf(before)));
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
const lookAgain = (hints: PoseHints): PoseHints => ({
  ...hints,
  first: hints.first === null ? null : { ...hints.first, stretch: null },
  last: hints.last === null ? null : { ...hints.last, stretch: null },
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

function findStage(
  request: PoseRequest,
  built: BuiltTask,
  depth: DepthDefinition | null,
  hints: DepthHints | null,
): DepthAnswer {
  return depth === null ? findSetUpWithoutDepth(built) : findDepth(built, depth, request, hints);
}

/** The same task with a share of one depth kept. */
function holdDepth(
  built: BuiltTask,
  { quantity }: DepthDefinition,
  share: number,
  { answer: { skeleton } }: HeldDepth,
): BuiltTask {
  const { task } = built;
  const value = share * getQuantity(quantity).calc(skeleton);
  const { posture } = skeleton;
  return {
    ...built,
    task: {
      ...task,
      musts: [...task.musts, { quantity, atLeast: value, atMost: value }],
      starts: [posture, ...task.starts],
      again: { ...task.again, sparing: [posture, ...task.again.sparing] },
    },
  };
}
