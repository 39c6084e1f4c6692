import type { Rotation } from '../geometry/rotation.ts';
import { FOOT } from '../body/proportions.ts';
import { writeDistancesInside } from '../geometry/polygon.ts';
import { cross, distance, dot, normalise, subtract, type Vec3 } from '../geometry/vector.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';

/**
 * The measurable things of a posture that a pose's conditions speak about.
 * Angles in radians, lengths in metres, shares of body weight in hundredths.
 */
export interface Quantity {
  readonly kind: 'angle' | 'length' | 'percent';
  /** How it is called in a sentence. */
  readonly words: string;
  readonly calc: (skeleton: Skeleton) => number;
  /** Where it is the least of several smooth things: those, in one order whatever the posture. */
  readonly pieces?: Pieces;
}

/** Infinity where there is none. */
export interface Pieces {
  readonly count: (skeleton: Skeleton) => number;
  readonly write: (skeleton: Skeleton, into: Float64Array, at: number) => void;
}

const angle = (words: string, calc: Quantity['calc']): Quantity => ({ kind: 'angle', words, calc });
const lengthOf = (words: string, calc: Quantity['calc']): Quantity => ({
  kind: 'length',
  words,
  calc,
});
const asin = (sine: number): number => Math.asin(Math.max(-1, Math.min(1, sine)));
const heading = (direction: Vec3): number => Math.atan2(direction[1], direction[0]);

/** Heading of the hip line's normal: what a pelvis bar with its pointer shows from above. */
const calcPelvisTurn = ({ posture: { pelvis } }: Skeleton): number =>
  Math.atan2(-pelvis.left[0], pelvis.left[1]);

/** Lean of the pelvis about its own hip line, + front rim down. Free of the lock at 90°. */
const calcPelvisTilt = ({ posture: { pelvis } }: Skeleton): number =>
  Math.atan2(-pelvis.forward[2], pelvis.up[2]);

/**
 * Roll about a leaning trunk's own length: 0 = facing the floor, + = opened away from
 * the front leg, so that a right angle is one side stacked over the other.
 */
const calcRoll = ({ left, forward }: Rotation): number => Math.atan2(left[2], -forward[2]);

/** Unit vector from the back ankle up to its hip. */
const calcBackLegUp = ({ legs: { back } }: Skeleton): Vec3 =>
  normalise(subtract(back.hip, back.foot.ankle));

const calcFrontLegUp = ({ legs: { front } }: Skeleton): Vec3 =>
  normalise(subtract(front.hip, front.foot.ankle));

/** Sideways distance of the front knee from the plane through hip, ankle and foot direction, + inward. */
function calcKneeDrift({ legs: { front } }: Skeleton): number {
  const legDown = normalise(subtract(front.foot.ankle, front.hip));
  const outward = normalise(cross(legDown, front.foot.pointing));
  return -dot(subtract(front.knee, front.foot.ankle), outward);
}

/** Horizontal distance along the mat from the weight line back to the hips, and on to the knees. */
const calcHipArm = (s: Skeleton): number => s.centreOfMass[0] - s.posture.pelvisCentre[0];
const calcKneeArm = (s: Skeleton): number =>
  (s.legs.front.knee[0] + s.legs.back.knee[0]) / 2 - s.centreOfMass[0];

const MID_FOOT = 0.5;
const calcMidFoot = ({ legs: { front } }: Skeleton): number =>
  front.foot.heel[0] + (front.foot.toe[0] - front.foot.heel[0]) * MID_FOOT_FROM_HEEL_CENTRE;
const MID_FOOT_FROM_HEEL_CENTRE = (MID_FOOT - FOOT.heelCentre) / (FOOT.toe - FOOT.heelCentre);

/** Distances of the centre of mass inside each edge of the base. */
const INSIDE_EDGES: Pieces = {
  count: ({ outline }) => outline.length,
  write: ({ outline, corners, centreOfMass: [x, y] }, into, at) => {
    writeDistancesInside(outline, corners, [x, y], into, at);
  },
};

/**
 * Distance of the centre of mass inside the base of support's nearest edge, metres; negative outside.
 *
 * @param skeleton the posed body, metres and radians, solver frame
 * @returns metres
 */
export function calcWeightInside(skeleton: Skeleton): number {
  const edges = new Float64Array(INSIDE_EDGES.count(skeleton));
  INSIDE_EDGES.write(skeleton, edges, 0);
  return edges.reduce((least, each) => Math.min(least, each), Infinity);
}

/** The heart lies this far from the pelvis to the middle of the shoulders. Our modelling choice. */
const HEART_SHARE = 0.75;
function calcHeadAboveHeart({ head, chestCentre, posture: { pelvisCentre } }: Skeleton): number {
  return head[2] - (pelvisCentre[2] + (chestCentre[2] - pelvisCentre[2]) * HEART_SHARE);
}

/** A hooked elbow presses on the outside of the front knee, this far from its centre, metres. */
const HOOK_OUTSIDE_KNEE = 0.08;
function calcHookDistance({ legs: { front }, arms: { back } }: Skeleton): number {
  const outside: Vec3 = [front.knee[0], front.knee[1] - HOOK_OUTSIDE_KNEE, front.knee[2]];
  return distance(back.elbow, outside);
}

/**
 * Share of body weight on a hand ahead of the standing foot, in hundredths, by the lever
 * rule between hand and ball of the foot; below 0 while the foot carries it all.
 */
function calcHandLoad({ centreOfMass, legs: { front }, arms }: Skeleton): number {
  const ball = front.foot.ball[0];
  const hand = Math.max(arms.front.palm[0], arms.back.palm[0]);
  return (100 * (centreOfMass[0] - ball)) / Math.max(0.05, hand - ball);
}

/** Length of the arms beyond the height of their shoulders, on average. */
function calcBelowReach({ arms: { front, back } }: Skeleton): number {
  const lengthOfArm = ({ shoulder, elbow, wrist, palm }: Skeleton['arms']['front']): number =>
    distance(shoulder, elbow) + distance(elbow, wrist) + distance(wrist, palm);
  const beyond = (arm: Skeleton['arms']['front']): number => lengthOfArm(arm) - arm.shoulder[2];
  return (beyond(front) + beyond(back)) / 2;
}

/** A flat foot's ankle rolls out this far before its outer edge is hard to keep down. Our choice. */
const EASY_INVERSION = (35 * Math.PI) / 180;

const QUANTITIES: Readonly<Record<QuantityId, Quantity>> = {
  stance: lengthOf('stance length', (s) => s.posture.parts.stance),
  widening: lengthOf('the front foot’s step outward', (s) => s.posture.parts.widening),
  'front-foot-angle': angle('the front foot', (s) => s.posture.parts.frontFootYaw),
  'back-foot-angle': angle('the back foot', (s) => s.posture.parts.backFootYaw),
  'back-heel-lift': angle('the back heel’s lift', (s) => s.posture.parts.backHeelLift),
  'front-knee-bend': angle('the front knee', (s) => s.legs.front.kneeFlexion),
  'back-knee-bend': angle('the back knee', (s) => s.legs.back.kneeFlexion),
  'back-ankle-inversion': angle(
    'the back ankle’s inversion',
    (s) => s.legs.back.ankleAngles.inversion,
  ),
  'back-ankle-rolled-out': angle('the back ankle rolled outward', (s) =>
    Math.max(0, s.legs.back.ankleAngles.inversion - EASY_INVERSION),
  ),
  'knees-differ': angle(
    'one knee against the other',
    (s) => s.legs.front.kneeFlexion - s.legs.back.kneeFlexion,
  ),
  'front-knee-ahead-of-ankle': lengthOf(
    'the front knee ahead of its ankle',
    (s) => s.legs.front.knee[0] - s.legs.front.foot.ankle[0],
  ),
  'front-knee-beside-ankle': lengthOf(
    'the front knee beside its ankle',
    (s) => s.legs.front.knee[1] - s.legs.front.foot.ankle[1],
  ),
  'front-knee-drift': lengthOf('the front knee’s drift inward', calcKneeDrift),
  'front-leg-lean-along': angle('the standing leg’s lean along the mat', (s) =>
    asin(calcFrontLegUp(s)[0]),
  ),
  'front-leg-lean-across': angle('the standing leg’s lean across the mat', (s) =>
    asin(calcFrontLegUp(s)[1]),
  ),
  'back-knee-out': angle('the knee’s turn outward', (s) => s.posture.parts.backKneeOut),
  'lifted-leg-turn': angle('the lifted leg’s turn', (s) => s.posture.parts.backHipRotation),
  'back-leg-lift': angle('the lifted leg', (s) =>
    Math.acos(Math.max(-1, Math.min(1, calcBackLegUp(s)[2]))),
  ),
  'back-leg-along': angle('the lifted leg’s rise', (s) => -asin(calcBackLegUp(s)[2])),
  'back-leg-across': angle('the lifted leg across the mat', (s) => asin(calcBackLegUp(s)[1])),
  'hips-ahead-of-back-knee': lengthOf(
    'the hips ahead of the back knee',
    (s) => s.posture.pelvisCentre[0] - s.legs.back.knee[0],
  ),
  'hips-ahead-of-heel-line': lengthOf(
    'the hips over the heel line',
    (s) => s.posture.pelvisCentre[1] - s.legs.front.foot.heel[1],
  ),
  'hips-beside-front-foot': lengthOf(
    'the standing hip beside its foot',
    (s) => s.legs.front.hip[1] - s.legs.front.foot.ankle[1],
  ),
  'pelvis-turn': angle('the pelvis’s turn', calcPelvisTurn),
  'pelvis-tilt': angle('the pelvis’s tilt', calcPelvisTilt),
  'pelvis-level': angle('the pelvis’s level', (s) => asin(s.posture.pelvis.left[2])),
  'pelvis-stacking': angle('the pelvis’s stacking', (s) => calcRoll(s.posture.pelvis)),
  'trunk-lean': angle('the trunk’s lean', (s) => Math.acos(Math.min(1, s.chest.up[2]))),
  'trunk-raised': angle('the trunk raised from level', (s) =>
    Math.atan2(s.chest.up[2], s.chest.up[0]),
  ),
  'trunk-lean-along': angle('the trunk along the mat', (s) => asin(s.chest.up[0])),
  'trunk-lean-across': angle('the trunk across the mat', (s) => asin(s.chest.up[1])),
  'trunk-from-back-leg': angle(
    'the trunk against the back leg’s line',
    (s) => asin(calcBackLegUp(s)[2]) - asin(s.chest.up[2]),
  ),
  'trunk-inside-front-knee': lengthOf(
    'the trunk inside the front thigh',
    (s) => s.chestCentre[1] - s.legs.front.knee[1],
  ),
  'shoulder-inside-front-foot': lengthOf(
    'the front foot outside its shoulder',
    (s) => s.arms.front.shoulder[1] - s.legs.front.foot.heel[1],
  ),
  'chest-turn': angle('the chest’s turn', (s) => heading(s.chest.forward)),
  'chest-stacking': angle('the chest’s stacking', (s) => calcRoll(s.chest)),
  'chest-turned-to-front-leg': angle(
    'the chest’s turn from facing the floor',
    (s) => -calcRoll(s.chest),
  ),
  'chest-forward-along': angle('the chest’s facing along the mat', (s) => asin(s.chest.forward[0])),
  'chest-forward-up': angle('the chest’s facing up or down', (s) => asin(s.chest.forward[2])),
  'spine-flexion': angle('the long back', (s) => s.posture.spine.flexion),
  'spine-side-bend': angle('the side bend', (s) => s.posture.spine.sideBend),
  'spine-rotation': angle('the spine’s turn', (s) => s.posture.spine.rotation),
  'head-above-heart': lengthOf('the head above the heart', calcHeadAboveHeart),
  'hook-distance': lengthOf('the elbow to the outside of the front knee', calcHookDistance),
  'equal-arms': lengthOf(
    'the hip’s lever against the knee’s',
    (s) => calcHipArm(s) - calcKneeArm(s),
  ),
  'hips-back-arms': lengthOf(
    'the hip’s lever against twice the knee’s',
    (s) => calcHipArm(s) - 2 * calcKneeArm(s),
  ),
  'ankles-bend': angle(
    'both ankles’ bend, on average',
    ({ legs: { front, back } }) =>
      (front.ankleAngles.dorsiflexion + back.ankleAngles.dorsiflexion) / 2,
  ),
  'front-arm-miss': lengthOf('the arm’s way to the front leg', (s) => s.arms.front.miss),
  'weight-ahead-of-mid-foot': lengthOf(
    'the centre of mass over the middle of the feet',
    (s) => s.centreOfMass[0] - calcMidFoot(s),
  ),
  'weight-between-feet': lengthOf(
    'the centre of mass between the feet',
    ({ centreOfMass, legs: { front, back } }) =>
      centreOfMass[1] - (front.foot.heel[1] + back.foot.heel[1]) / 2,
  ),
  'weight-inside-base': {
    ...lengthOf('the centre of mass inside the base of support', calcWeightInside),
    pieces: INSIDE_EDGES,
  },
  'hand-ahead': lengthOf(
    'the hand ahead of the toes',
    ({ arms, legs }) => arms.front.palm[0] - legs.front.foot.toe[0],
  ),
  'hand-beside': lengthOf(
    'the hand on the little-toe side',
    ({ arms, legs }) => legs.front.foot.heel[1] - arms.front.palm[1],
  ),
  'sole-height': lengthOf('the sole on the other leg', (s) => s.posture.parts.backSoleHeight),
  'back-shin-lean': angle('the back shin’s lean', (s) => s.posture.parts.backShinLean),
  'hand-height': lengthOf('the hand above the mat', (s) =>
    Math.min(s.arms.front.palm[2], s.arms.back.palm[2]),
  ),
  'shoulders-below-reach': lengthOf('the shoulders lower than the arms are long', calcBelowReach),
  'hand-load': { kind: 'percent', words: 'the weight on the hand', calc: calcHandLoad },
};

/**
 * A quantity that poses speak of.
 *
 * @param id its name
 * @returns how it is computed from a skeleton, radians or metres
 */
export const getQuantity = (id: QuantityId): Quantity => QUANTITIES[id];
