import type { Side } from '../measures/protocol.ts';
import { getPose, POSES } from '../poses/catalogue/index.ts';
import type { DepthDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import { withLevel } from '../poses/level.ts';
import type { Experience } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { PoseTask } from '../solver/poseTask.ts';
import { withParts, type Posture } from '../solver/posture.ts';
import { getQuantity } from '../solver/quantities.ts';
import type { Skeleton } from '../solver/skeleton.ts';
import { toScaled, WISH_STRETCH } from '../solver/residuals.ts';
import { hintOf, type Hint } from '../solver/run.ts';
import { pullFromHint, reachFarthest, settleAt, settleFreely } from '../solver/solve.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import { buildTask, findStance, NOTHING_HELD, type BuiltTask, type HeldLegs } from './buildTask.ts';
import { findDepth, findSetUpWithoutDepth, type DepthAnswer, type HeldDepth } from './findDepth.ts';
import type { DepthHints } from './depthSearch.ts';
import type { Numbers } from './numbers.ts';
import type { Force } from './pushed.ts';
import { Remembered } from './remembered.ts';

/** All that a solve needs to know of a person and of the teacher's choices. */
export interface PoseRequest {
  readonly pose: PoseDefinition;
  readonly numbers: Numbers;
  readonly side: Side;
  readonly rules: HouseRules;
  readonly experience: Experience;
}

export interface PoseAnswer {
  readonly built: BuiltTask;
  readonly found: DepthAnswer;
  /** The depth that was taken first and held, when the pose has one. */
  readonly first: HeldDepth | null;
  /** Where the longest stance was found, when it is found first. */
  readonly longest: Hint | null;
  /** Why the legs could not be had, when the pose they come from failed. */
  readonly legsFrom: PoseDefinition | null;
  /** The pose that gave the legs, and its answer as deep as it is stood in. */
  readonly legs: Legs | null;
  /** The share of its first depth that was kept. */
  readonly keptShare: number;
}

interface Legs {
  readonly pose: PoseDefinition;
  /** The share of that pose's depth that was kept. */
  readonly share: number;
  readonly answer: PoseAnswer & { readonly found: HeldDepth };
}

/** Where a like task was solved before: each stage starts there, and nothing gives way anew. */
export interface PoseHints {
  readonly longest: Hint | null;
  readonly first: DepthHints | null;
  readonly last: DepthHints | null;
  readonly keptShare: number;
  readonly legs: { readonly share: number; readonly hints: PoseHints } | null;
}

export function hintsOf({ found, first, keptShare, legs, longest }: PoseAnswer): PoseHints {
  return {
    longest,
    first: first?.hints ?? null,
    last: found.kind === 'held' ? found.hints : null,
    keptShare,
    legs: legs === null ? null : { share: legs.share, hints: hintsOf(legs.answer) },
  };
}

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
): { readonly held: HeldLegs; readonly longest: Hint | null } {
  const { definition, metres } = findStance(pose, body, side, rules);
  if (definition.kind !== 'longest-up-to' || metres === null) {
    return { held: NOTHING_HELD, longest: null };
  }
  const { task } = buildTask(pose, body, ranges, side, rules);
  const spare = rules.depth === 'deepest' ? 0 : rules.minimumToSpareDeg;
  const aim = {
    toSpare: radiansFromDegrees(spare + MORE_TO_SPARE_IN_LONGEST_DEG),
    wishesWithin: WISHES_IN_LONGEST,
  };
  const way = { quantity: 'stance', from: metres * SHORTEST_SHARE, to: metres } as const;
  const answer =
    hint === null ? reachFarthest(task, way, aim, null) : pullFromHint(task, way, aim, hint);
  const stance = answer.kept ? Math.min(metres, answer.skeleton.posture.parts.stance) : metres;
  return { held: { parts: { stance }, frontKnee: null }, longest: hintOf(answer) };
}

/** The legs of another pose's answer, to be held. */
function holdLegs({ posture: { parts }, legs }: Skeleton, pose: PoseDefinition): HeldLegs {
  const { stance, widening, frontFootYaw, backFootYaw, backHeelLift } = parts;
  return {
    parts: { stance, widening, frontFootYaw, backFootYaw, backHeelLift },
    frontKnee: pose.straightLegs.includes('front') ? null : legs.front.kneeFlexion,
  };
}

/** Poses that others stand on as they are in the catalogue: solved once for all of those. */
const LEG_GIVERS: ReadonlySet<PoseDefinition> = new Set(
  POSES.flatMap(({ restsOn }) =>
    restsOn === undefined || restsOn.level !== undefined ? [] : [getPose(restsOn.pose)],
  ),
);

const legsBefore = new Remembered<Numbers, PoseAnswer>();

/**
 * Solves a pose: first the pose that it rests on, then a stance that is found once, then
 * one depth after the other, each held while the next one grows. What comes first gives
 * way when nothing is left for what comes last.
 */
export function solvePose(request: PoseRequest, hints: PoseHints | null = null): PoseAnswer {
  const { pose, numbers, side, rules, experience } = request;
  if (hints !== null || !LEG_GIVERS.has(pose)) return solveAnew(request, hints);
  const key = JSON.stringify([pose.id, side, rules, experience]);
  return legsBefore.find(numbers, key, () => solveAnew(request, null));
}

function solveAnew(request: PoseRequest, hints: PoseHints | null): PoseAnswer {
  const { restsOn } = request.pose;
  if (restsOn === undefined) {
    const { held, longest } = findHeldStance(request, hints?.longest ?? null);
    return { ...solveOn(request, held, null, hints), longest };
  }
  const pose = withLevel(getPose(restsOn.pose), restsOn.level ?? null);
  const onLegs = { ...request, pose };
  const whole = solvePose(onLegs, hints?.legs?.hints ?? null);
  if (!isHeld(whole)) return { ...whole, first: null, legsFrom: pose };
  const standOn = (answer: Legs['answer'], share: number, isTrial = false): PoseAnswer => {
    const { skeleton } = answer.found.answer;
    const held = holdLegs(skeleton, pose);
    const on = solveOn(request, held, skeleton.posture, hints, isTrial);
    return { ...on, legs: { pose, share, answer } };
  };
  if (hints?.legs) {
    const { share } = hints.legs;
    return standOn(giveWay(onLegs, whole, share) ?? whole, share);
  }
  const deepest = standOn(whole, 1);
  if (deepest.found.kind === 'held') return deepest;
  for (const share of LEGS_GIVING_WAY) {
    const legs = giveWay(onLegs, whole, share);
    const answer = legs === null ? null : standOn(legs, share, true);
    if (answer?.found.kind === 'held') return answer;
  }
  return deepest;
}

const isHeld = (answer: PoseAnswer): answer is Legs['answer'] => answer.found.kind === 'held';

/** The same legs at a share of their depth; null when they cannot be held there, or have none. */
function giveWay(
  request: PoseRequest,
  answer: Legs['answer'],
  share: number,
): Legs['answer'] | null {
  const { pose, rules } = request;
  const { built, found } = answer;
  if (share === 1) return answer;
  if (pose.depth === null) return null;
  const { quantity } = pose.depth;
  const near = hintOf(found.answer);
  const value = share * getQuantity(quantity).calc(found.answer.skeleton);
  const toSpare = radiansFromDegrees(rules.depth === 'deepest' ? 0 : rules.minimumToSpareDeg);
  // A shallower pose can ask more: then its wishes give way too.
  for (const wishesWithin of found.wishesLetGo ? [null] : [WISH_STRETCH, null]) {
    const settled = settleAt(built.task, quantity, value, { toSpare, wishesWithin }, near);
    if (!settled.kept) continue;
    const wishesLetGo = wishesWithin === null;
    const depth = toScaled(quantity, value);
    return { ...answer, found: { ...found, answer: settled, depth, wishesLetGo } };
  }
  return null;
}

const build = (
  { pose, numbers: { body, ranges }, side, rules }: PoseRequest,
  held: HeldLegs,
  near: Posture | null,
): BuiltTask => buildTask(pose, body, ranges, side, rules, held, near);

/** Solves on legs that are held, or on a pose's own. */
function solveOn(
  request: PoseRequest,
  held: HeldLegs,
  near: Posture | null,
  hints: PoseHints | null,
  isTrial = false,
): PoseAnswer {
  const { pose } = request;
  const built = build(request, held, near);
  const common = { longest: null, legsFrom: null, legs: null, keptShare: 1 };
  if (pose.firstDepth === null) {
    const found = findStage(request, built.task, pose.depth, hints?.last ?? null, isTrial);
    return { ...common, built, found, first: null };
  }
  const first = findStage(request, built.task, pose.firstDepth, hints?.first ?? null);
  if (first.kind === 'cannot') return { ...common, built, found: first, first: null };
  const reached = getQuantity(pose.firstDepth.quantity).calc(first.answer.skeleton);
  let { task } = built;
  let found: DepthAnswer = first;
  let keptShare = 1;
  for (const share of hints === null ? GIVING_WAY : [hints.keptShare]) {
    keptShare = share;
    task = holdDepth(built.task, pose.firstDepth, share * reached, first);
    found = findStage(request, task, pose.depth, hints?.last ?? null, isTrial);
    if (found.kind === 'held') break;
  }
  return { ...common, built: { ...built, task }, found, first, keptShare };
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
  const held = holdMoved(before, force.parts, posture);
  const near = withParts(posture, held.parts);
  if (force.quantities.length === 0) {
    const answer = solveOn(request, held, near, hintsOf(before));
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
  const settled = settleFreely(task, { toSpare: 0, wishesWithin: WISH_STRETCH });
  if (!settled.kept) return null;
  const found: HeldDepth = { ...before.found, answer: settled };
  return { answer: { ...before, built: { ...built, task }, found }, found };
}

/** What was held before, and what is held now in its place. */
function holdMoved(before: PoseAnswer, parts: Force['parts'], near: Posture): HeldLegs {
  const { legs, built } = before;
  const isFoundOnce = built.stance.definition.kind === 'longest-up-to';
  const own: HeldLegs = isFoundOnce
    ? { parts: { stance: near.parts.stance }, frontKnee: null }
    : NOTHING_HELD;
  const base = legs === null ? own : holdLegs(legs.answer.found.answer.skeleton, legs.pose);
  return { ...base, parts: { ...base.parts, ...parts } };
}

/** Shares of what comes first that are tried in turn until what comes last can be held. Our choice. */
const GIVING_WAY = [1, 0.9, 0.8, 0.7, 0.6] as const;
/** The same for the legs of another pose, which are settled anew for each. Our choice. */
const LEGS_GIVING_WAY = [0.8, 0.6, 0.4, 0.2] as const;

function findStage(
  { rules, experience }: PoseRequest,
  task: PoseTask,
  depth: DepthDefinition | null,
  hints: DepthHints | null,
  isTrial = false,
): DepthAnswer {
  return depth === null
    ? findSetUpWithoutDepth(task, rules)
    : findDepth(task, depth, rules, experience, hints, isTrial);
}

/** The same task with one depth kept at a value. */
function holdDepth(
  task: PoseTask,
  { quantity }: DepthDefinition,
  value: number,
  { answer }: HeldDepth,
): PoseTask {
  const { posture } = answer.skeleton;
  return {
    ...task,
    musts: [...task.musts, { quantity, atLeast: value, atMost: value }],
    starts: [posture, ...task.starts],
    again: { ...task.again, sparing: [posture, ...task.again.sparing] },
  };
}
