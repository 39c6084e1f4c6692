import { type Place } from '../poses/poseDefinition.ts';
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
import type { FootPose } from './leg.ts';

/** What an arm does, as a pose's data names it. */
export interface ArmPlan {
  /** `out`: in line with the shoulders. `up`: in line with the trunk. `down`: plumb to a prop or the floor. */
  readonly reach: 'out' | 'down' | 'up';
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

/** Elbow of a bent arm: by the law of cosines, pointing to the back of the chest. */
function findElbow(
  shoulder: Vec3,
  wrist: Vec3,
  upper: number,
  lower: number,
  chest: Rotation,
): Vec3 {
  const span = distance(shoulder, wrist);
  const along = (upper * upper - lower * lower + span * span) / (2 * span);
  const bulge = Math.sqrt(Math.max(0, upper * upper - along * along));
  const down = normalise(subtract(wrist, shoulder));
  const back = normalise(rejectFrom(scale(chest.forward, -1), down));
  return addScaled(addScaled(shoulder, down, along), back, bulge);
}

/** Poses an arm from its shoulder. The straight reach is never exceeded; a low shoulder bends the elbow. */
export function poseArm(
  figure: Figure,
  place: Place,
  plan: ArmPlan,
  chest: Rotation,
  shoulder: Vec3,
  frontFoot: FootPose,
): ArmPose {
  const reach = figure[place].armReach;
  if (plan.reach !== 'down') {
    const outward = plan.reach === 'up' ? chest.up : scale(chest.left, place === 'back' ? 1 : -1);
    return {
      shoulder,
      elbow: addScaled(shoulder, outward, UPPER_SHARE * reach),
      wrist: addScaled(shoulder, outward, WRIST_SHARE * reach),
      palm: addScaled(shoulder, outward, reach),
    };
  }
  const [x, y] = findHandPlace(figure, plan, shoulder, frontFoot);
  const sideways = Math.hypot(x - shoulder[0], y - shoulder[1]);
  const drop = Math.sqrt(Math.max(0, reach * reach - sideways * sideways));
  const palm: Vec3 = [x, y, Math.max(0, shoulder[2] - drop)];
  const handLength = (1 - WRIST_SHARE) * reach;
  const span = distance(shoulder, palm);
  const wrist = addScaled(palm, subtract(shoulder, palm), handLength / span);
  const elbow = findElbow(
    shoulder,
    wrist,
    UPPER_SHARE * reach,
    (WRIST_SHARE - UPPER_SHARE) * reach,
    chest,
  );
  return { shoulder, elbow, wrist, palm };
}
