import type { ArmDefinition, Place } from '../poses/poseDefinition.ts';
import { limbOf, type CanonicalBody } from './canonicalBody.ts';
import { HALF_THIGH_CM, PER_STATURE } from '../body/proportions.ts';
import type { Rotation } from '../geometry/rotation.ts';
import {
  add,
  addScaled,
  distance,
  dot,
  normalise,
  rejectFrom,
  scale,
  subtract,
  type Vec3,
} from '../geometry/vector.ts';
import { CM_PER_METRE } from '../units/brands.ts';
import type { FootPose } from './foot.ts';
import type { LegPose } from './leg.ts';

/** What an arm does, as a pose's data names it. */
export interface ArmPlan {
  readonly reach: ArmDefinition['reach'];
  readonly bears: boolean;
  /** For `down`: keep a prop of this half width clear of the front foot, metres; null = straight under. */
  readonly clearFrontFoot: number | null;
  /** That moves the hand from under its shoulder by at most this, metres. */
  readonly mostAside: number;
  /** What a hand or forearm that rests on a prop stands on at least, metres; 0 = the floor. */
  readonly onHeight: number;
  /** Whether a bent elbow of a hand on a prop points to its own side, not behind the chest. */
  readonly elbowOutward: boolean;
}

export interface ArmPose {
  readonly shoulder: Vec3;
  readonly elbow: Vec3;
  readonly wrist: Vec3;
  /** Centre of the palm. */
  readonly palm: Vec3;
  /** How far an arm that has to meet a leg falls short of it, metres; 0 = it meets, or need not. */
  readonly miss: number;
}

const { upperArm, forearm, hand } = PER_STATURE;
const REACH_SHARE = upperArm + forearm + hand / 2;
const UPPER_SHARE = upperArm / REACH_SHARE;
const WRIST_SHARE = (upperArm + forearm) / REACH_SHARE;
/** The hand's place on the mat: under the shoulder, moved sideways off the front foot if a prop stands there. */
function findHandPlace(
  body: CanonicalBody,
  plan: ArmPlan,
  shoulder: Vec3,
  frontFoot: FootPose,
): readonly [number, number] {
  const [x, y] = shoulder;
  if (plan.clearFrontFoot === null) return [x, y];
  const { heel, toe } = frontFoot;
  const [footX, footY] = [toe[0] - heel[0], toe[1] - heel[1]];
  const length = Math.hypot(footX, footY);
  const [ahead, aside] = [footX / length, footY / length];
  // Along the foot and across it, however it is turned.
  const along = (x - heel[0]) * ahead + (y - heel[1]) * aside;
  const across = (y - heel[1]) * ahead - (x - heel[0]) * aside;
  // A block lies along the mat, twice as long as wide, so a turned foot meets its corner.
  const block = plan.clearFrontFoot * (ahead + 2 * Math.abs(aside));
  const clear = body.footWidth / 2 + block;
  const behindHeel = -0.1 * body.footLength - plan.clearFrontFoot;
  const beforeToe = length + plan.clearFrontFoot;
  // A foot that points across the mat is not cleared by a hand moved across the mat.
  if (along < behindHeel || along > beforeToe || Math.abs(across) >= clear || ahead < 0.5) {
    return [x, y];
  }
  const wanted = ((across >= 0 ? clear : -clear) - across) / ahead;
  const moved = Math.max(-plan.mostAside, Math.min(plan.mostAside, wanted));
  return [x, y + moved];
}

/** An elbow less than a thousandth of a millimetre out of line is none, square metres. */
const STRAIGHT = 1e-12;

/** Elbow of a bent arm, by the law of cosines. */
function findElbow(
  shoulder: Vec3,
  wrist: Vec3,
  upper: number,
  lower: number,
  pointing: Vec3,
): Vec3 {
  const span = distance(shoulder, wrist);
  const along = (upper * upper - lower * lower + span * span) / (2 * span);
  const square = upper * upper - along * along;
  // Of an arm as good as straight only the rounding is left.
  const bulge = square < STRAIGHT ? 0 : Math.sqrt(square);
  const down = normalise(subtract(wrist, shoulder));
  const outward = normalise(rejectFrom(pointing, down));
  return addScaled(addScaled(shoulder, down, along), outward, bulge);
}

/** Hands at the midline: ahead of and below the shoulder line, as shares of the reach. Our choice. */
const MIDLINE = {
  folded: { ahead: 0.25, below: 0.15 },
  'behind-back': { ahead: -0.12, below: 0.55 },
} as const;

/** Where an arm that bears nothing points. */
function findDirection(
  place: Place,
  reach: 'out' | 'up' | 'beside' | 'forward' | 'on-back-leg',
  chest: Rotation,
  shoulder: Vec3,
  backKnee: Vec3,
): Vec3 {
  switch (reach) {
    case 'out':
      return scale(chest.left, place === 'back' ? 1 : -1);
    case 'up':
      return chest.up;
    case 'beside':
      return scale(chest.up, -1);
    case 'forward':
      return chest.forward;
    case 'on-back-leg':
      return normalise(subtract(backKnee, shoulder));
  }
}

/** A hand at the breastbone or behind the waist, the elbow out to its side. */
function foldArm(
  to: keyof typeof MIDLINE,
  place: Place,
  chest: Rotation,
  shoulder: Vec3,
  reach: number,
  halfShoulders: number,
): ArmPose {
  const outward = scale(chest.left, place === 'back' ? 1 : -1);
  const midline = addScaled(shoulder, outward, -halfShoulders);
  const ahead = addScaled(midline, chest.forward, MIDLINE[to].ahead * reach);
  const palm = addScaled(ahead, chest.up, -MIDLINE[to].below * reach);
  return bendTo(shoulder, palm, reach, outward);
}

/** An arm that reaches a given palm, its elbow bent as it must. */
function bendTo(shoulder: Vec3, palm: Vec3, reach: number, elbowTo: Vec3): ArmPose {
  const handLength = (1 - WRIST_SHARE) * reach;
  const span = distance(shoulder, palm);
  const wrist = addScaled(palm, subtract(shoulder, palm), handLength / span);
  const [upper, lower] = [UPPER_SHARE * reach, (WRIST_SHARE - UPPER_SHARE) * reach];
  const elbow = findElbow(shoulder, wrist, upper, lower, elbowTo);
  return { shoulder, elbow, wrist, palm, miss: 0 };
}

/** The parts of the front leg that an arm may rest on, as shares of their length. Our choice. */
const SHIN_SHARES = { from: 0.05, to: 0.95, wanted: 0.05 } as const;
/** Two thirds of the thigh from the hip, give or take. */
const THIGH_SHARES = { from: 0.45, to: 0.85, wanted: 2 / 3 } as const;

/**
 * The place on a bone that lies at a given distance from the shoulder, the one nearest to
 * where it is wanted; the nearest it can be if there is none.
 */
function findOnBone(
  start: Vec3,
  end: Vec3,
  shoulder: Vec3,
  away: number,
  shares: { readonly from: number; readonly to: number; readonly wanted: number },
): { readonly point: Vec3; readonly miss: number } {
  const bone = subtract(end, start);
  const toStart = subtract(start, shoulder);
  const a = dot(bone, bone);
  const half = dot(bone, toStart);
  const root = Math.sqrt(Math.max(0, half * half - a * (dot(toStart, toStart) - away * away)));
  const [near, far] = [(-half - root) / a, (-half + root) / a];
  const { from, to, wanted } = shares;
  const nearer = Math.abs(near - wanted) <= Math.abs(far - wanted) ? near : far;
  const point = addScaled(start, bone, Math.max(from, Math.min(to, nearer)));
  return { point, miss: distance(point, shoulder) - away };
}

/** A straight arm to the front shin. */
function reachShin(reach: number, shoulder: Vec3, { knee, foot }: LegPose): ArmPose {
  const { point, miss } = findOnBone(foot.ankle, knee, shoulder, reach, SHIN_SHARES);
  const toward = normalise(subtract(point, shoulder));
  if (miss < 0) return { ...bendTo(shoulder, point, reach, [0, 0, 1]), miss };
  return { ...stretch(shoulder, toward, reach), miss };
}

/** An elbow on the front thigh, the forearm level, toward where the chest faces. */
function restOnThigh(reach: number, chest: Rotation, shoulder: Vec3, leg: LegPose): ArmPose {
  const upper = UPPER_SHARE * reach;
  const onTop: Vec3 = [0, 0, HALF_THIGH_CM / CM_PER_METRE];
  const [top, end] = [add(leg.hip, onTop), add(leg.knee, onTop)];
  const { point, miss } = findOnBone(top, end, shoulder, upper, THIGH_SHARES);
  const elbow = addScaled(shoulder, normalise(subtract(point, shoulder)), upper);
  const level = normalise([chest.forward[0], chest.forward[1], 0]);
  return {
    shoulder,
    elbow,
    wrist: addScaled(elbow, level, (WRIST_SHARE - UPPER_SHARE) * reach),
    palm: addScaled(elbow, level, (1 - UPPER_SHARE) * reach),
    miss,
  };
}

/** A palm on top of the front thigh, the elbow bent to its own side. */
function restPalmOnThigh(
  reach: number,
  place: Place,
  chest: Rotation,
  shoulder: Vec3,
  leg: LegPose,
): ArmPose {
  const onTop: Vec3 = [0, 0, HALF_THIGH_CM / CM_PER_METRE];
  const bone = subtract(leg.knee, leg.hip);
  const palm = addScaled(add(leg.hip, onTop), bone, THIGH_SHARES.wanted);
  const miss = Math.max(0, distance(palm, shoulder) - reach);
  const toward = normalise(subtract(palm, shoulder));
  if (miss > 0) return { ...stretch(shoulder, toward, reach), miss };
  return bendTo(shoulder, palm, reach, scale(chest.left, place === 'back' ? 1 : -1));
}

/**
 * A forearm on a prop or the floor: the elbow plumb under its shoulder, or farther ahead where
 * the shoulder is lower than the upper arm is long; the forearm level toward the mat's front.
 */
function restForearm(reach: number, shoulder: Vec3, least: number): ArmPose {
  const upper = UPPER_SHARE * reach;
  const height = Math.max(least, shoulder[2] - upper);
  const drop = Math.min(upper, Math.abs(shoulder[2] - height));
  const ahead = Math.sqrt(Math.max(0, upper * upper - drop * drop));
  const elbow: Vec3 = [shoulder[0] + ahead, shoulder[1], height];
  const along = (share: number): Vec3 => addScaled(elbow, [1, 0, 0], share * reach);
  return {
    shoulder,
    elbow,
    wrist: along(WRIST_SHARE - UPPER_SHARE),
    palm: along(1 - UPPER_SHARE),
    miss: 0,
  };
}

const stretch = (shoulder: Vec3, toward: Vec3, reach: number): ArmPose => ({
  shoulder,
  elbow: addScaled(shoulder, toward, UPPER_SHARE * reach),
  wrist: addScaled(shoulder, toward, WRIST_SHARE * reach),
  palm: addScaled(shoulder, toward, reach),
  miss: 0,
});

/**
 * Poses an arm from its shoulder. The straight reach is never exceeded; a low shoulder bends the elbow.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param place front or back leg
 * @param plan what the arm does
 * @param chest in the world
 * @param shoulder its centre, metres
 * @param legs that a hand may rest on or clear
 * @param least lowest that a supported hand or forearm may be: the height of its prop, metres
 * @returns joint centres, metres, world frame
 */
export function poseArm(
  body: CanonicalBody,
  place: Place,
  plan: ArmPlan,
  chest: Rotation,
  shoulder: Vec3,
  legs: Readonly<Record<Place, LegPose>>,
  least = 0,
): ArmPose {
  const reach = limbOf(body, place).armReach;
  const height = Math.max(least, plan.onHeight);
  switch (plan.reach) {
    case 'folded':
    case 'behind-back':
      return foldArm(plan.reach, place, chest, shoulder, reach, body.halfShoulders);
    case 'on-front-shin':
      return reachShin(reach, shoulder, legs.front);
    case 'elbow-on-front-thigh':
      return restOnThigh(reach, chest, shoulder, legs.front);
    case 'on-front-thigh':
      return restPalmOnThigh(reach, place, chest, shoulder, legs.front);
    case 'forearm-down':
      return restForearm(reach, shoulder, height);
    case 'down': {
      const outward = scale(chest.left, place === 'back' ? 1 : -1);
      const elbowTo = plan.elbowOutward ? outward : scale(chest.forward, -1);
      return hangDown(body, plan, reach, elbowTo, shoulder, legs.front.foot, height);
    }
    default: {
      const toward = findDirection(place, plan.reach, chest, shoulder, legs.back.knee);
      return stretch(shoulder, toward, reach);
    }
  }
}

/** A hand plumb under its shoulder, on the floor or on what stands there. */
function hangDown(
  body: CanonicalBody,
  plan: ArmPlan,
  reach: number,
  elbowTo: Vec3,
  shoulder: Vec3,
  frontFoot: FootPose,
  least: number,
): ArmPose {
  const [x, y] = findHandPlace(body, plan, shoulder, frontFoot);
  const sidewaysSquared = (x - shoulder[0]) ** 2 + (y - shoulder[1]) ** 2;
  const drop = Math.sqrt(Math.max(0, reach * reach - sidewaysSquared));
  const palm: Vec3 = [x, y, Math.max(least, shoulder[2] - drop)];
  return bendTo(shoulder, palm, reach, elbowTo);
}
