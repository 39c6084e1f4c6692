import type { ArmDefinition, Place } from '../poses/poseDefinition.ts';
import { type Figure } from './figure.ts';
import { PER_STATURE } from '../body/proportions.ts';
import type { Rotation } from '../geometry/rotation.ts';
import {
  addScaled,
  distance,
  normalise,
  rejectFrom,
  scale,
  subtract,
  type Vec3,
} from '../geometry/vector.ts';
import type { FootPose } from './foot.ts';

/** What an arm does, as a pose's data names it. */
export interface ArmPlan {
  readonly reach: ArmDefinition['reach'];
  readonly bears: boolean;
  /** For `down`: keep a prop of this half width clear of the front foot, metres; null = straight under. */
  readonly clearFrontFoot: number | null;
}

export interface ArmPose {
  readonly shoulder: Vec3;
  readonly elbow: Vec3;
  readonly wrist: Vec3;
  /** Centre of the palm. */
  readonly palm: Vec3;
}

const { upperArm, forearm, hand } = PER_STATURE;
const REACH_SHARE = upperArm + forearm + hand / 2;
const UPPER_SHARE = upperArm / REACH_SHARE;
const WRIST_SHARE = (upperArm + forearm) / REACH_SHARE;
/** A hand is moved from under its shoulder by at most this. Our choice. */
const FARTHEST_SIDEWAYS = 0.15;

/** The hand's place on the mat: under the shoulder, moved sideways off the front foot if a prop stands there. */
function findHandPlace(
  figure: Figure,
  plan: ArmPlan,
  shoulder: Vec3,
  frontFoot: FootPose,
): readonly [number, number] {
  const [x, y] = shoulder;
  if (plan.clearFrontFoot === null) return [x, y];
  const clear = figure.footWidth / 2 + plan.clearFrontFoot;
  const behindHeel = frontFoot.heel[0] - 0.1 * figure.footLength - plan.clearFrontFoot;
  const beforeToe = frontFoot.toe[0] + plan.clearFrontFoot;
  const across = y - frontFoot.heel[1];
  if (x < behindHeel || x > beforeToe || Math.abs(across) >= clear) return [x, y];
  const target = frontFoot.heel[1] + (across >= 0 ? clear : -clear);
  const moved = Math.max(-FARTHEST_SIDEWAYS, Math.min(FARTHEST_SIDEWAYS, target - y));
  return [x, y + moved];
}

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
  const bulge = Math.sqrt(Math.max(0, upper * upper - along * along));
  const down = normalise(subtract(wrist, shoulder));
  const outward = normalise(rejectFrom(pointing, down));
  return addScaled(addScaled(shoulder, down, along), outward, bulge);
}

/** Hands at the breastbone: ahead of and below the shoulder line, as shares of the reach. Our choice. */
const FOLDED_AHEAD = 0.25;
const FOLDED_BELOW = 0.15;

/** Where an arm that bears nothing points. */
function findDirection(
  place: Place,
  reach: Exclude<ArmPlan['reach'], 'down' | 'folded'>,
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

/** A hand at the breastbone, the elbow out to its side. */
function foldArm(
  place: Place,
  chest: Rotation,
  shoulder: Vec3,
  reach: number,
  halfShoulders: number,
): ArmPose {
  const outward = scale(chest.left, place === 'back' ? 1 : -1);
  const midline = addScaled(shoulder, outward, -halfShoulders);
  const ahead = addScaled(midline, chest.forward, FOLDED_AHEAD * reach);
  const palm = addScaled(ahead, chest.up, -FOLDED_BELOW * reach);
  return bendTo(shoulder, palm, reach, outward);
}

/** An arm that reaches a given palm, its elbow bent as it must. */
function bendTo(shoulder: Vec3, palm: Vec3, reach: number, elbowTo: Vec3): ArmPose {
  const handLength = (1 - WRIST_SHARE) * reach;
  const span = distance(shoulder, palm);
  const wrist = addScaled(palm, subtract(shoulder, palm), handLength / span);
  const [upper, lower] = [UPPER_SHARE * reach, (WRIST_SHARE - UPPER_SHARE) * reach];
  return { shoulder, elbow: findElbow(shoulder, wrist, upper, lower, elbowTo), wrist, palm };
}

/** Poses an arm from its shoulder. The straight reach is never exceeded; a low shoulder bends the elbow. */
export function poseArm(
  figure: Figure,
  place: Place,
  plan: ArmPlan,
  chest: Rotation,
  shoulder: Vec3,
  frontFoot: FootPose,
  backKnee: Vec3,
): ArmPose {
  const reach = figure[place].armReach;
  if (plan.reach === 'folded') {
    return foldArm(place, chest, shoulder, reach, figure.halfShoulders);
  }
  if (plan.reach !== 'down') {
    const toward = findDirection(place, plan.reach, chest, shoulder, backKnee);
    return {
      shoulder,
      elbow: addScaled(shoulder, toward, UPPER_SHARE * reach),
      wrist: addScaled(shoulder, toward, WRIST_SHARE * reach),
      palm: addScaled(shoulder, toward, reach),
    };
  }
  const [x, y] = findHandPlace(figure, plan, shoulder, frontFoot);
  const sidewaysSquared = (x - shoulder[0]) ** 2 + (y - shoulder[1]) ** 2;
  const drop = Math.sqrt(Math.max(0, reach * reach - sidewaysSquared));
  const palm: Vec3 = [x, y, Math.max(0, shoulder[2] - drop)];
  return bendTo(shoulder, palm, reach, scale(chest.forward, -1));
}
