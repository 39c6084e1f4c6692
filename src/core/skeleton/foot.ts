import { FOOT } from '../body/proportions.ts';
import { aboutLeft, aboutUp, compose, type Rotation } from '../geometry/rotation.ts';
import { addScaled, type Vec3 } from '../geometry/vector.ts';
import type { Point2 } from '../geometry/polygon.ts';
import type { CanonicalBody } from './canonicalBody.ts';

export interface FootPose {
  readonly frame: Rotation;
  /** Where the foot points on the floor, whatever its heel does. */
  readonly pointing: Vec3;
  /** What of the foot bears on the floor, from this fraction of its length on; null = nothing of it. */
  readonly bearsFrom: number | null;
  readonly heel: Vec3;
  readonly ankle: Vec3;
  readonly ball: Vec3;
  readonly toe: Vec3;
}

/**
 * A foot with its heel on the floor, the heel's centre at `heel`.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param heel metres
 * @param yawRad turn about the vertical, + to the left
 * @param ballHeight of what stands under its ball, metres; 0 = flat on the floor
 * @returns metres, world frame
 */
export function placeFlatFoot(
  body: CanonicalBody,
  heel: Vec3,
  yawRad: number,
  ballHeight = 0,
): FootPose {
  const level = aboutUp(yawRad);
  const toesUp = Math.asin(ballHeight / ((FOOT.ball - FOOT.heelCentre) * body.footLength));
  const frame = ballHeight === 0 ? level : compose(level, aboutLeft(-toesUp));
  const ahead = (fraction: number): Vec3 =>
    addScaled(heel, frame.forward, (fraction - FOOT.heelCentre) * body.footLength);
  return {
    frame,
    pointing: level.forward,
    bearsFrom: 0,
    heel,
    ankle: addScaled(ahead(FOOT.ankle), frame.up, body.ankleHeight),
    ball: ahead(FOOT.ball),
    toe: ahead(FOOT.toe),
  };
}

/**
 * A foot on its ball and toes: the heel is lifted about the ball, the toes lie flat.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param ball on the floor
 * @param yawRad turn about the vertical, + to the left
 * @param liftRad angle of the sole against the floor, + heel up
 * @returns metres, world frame
 */
export function placeLiftedFoot(
  body: CanonicalBody,
  ball: Vec3,
  yawRad: number,
  liftRad: number,
): FootPose {
  const { forward: pointing } = aboutUp(yawRad);
  const frame = compose(aboutUp(yawRad), aboutLeft(liftRad));
  const { footLength } = body;
  const heel = addScaled(ball, frame.forward, (FOOT.heelCentre - FOOT.ball) * footLength);
  const under = addScaled(ball, frame.forward, (FOOT.ankle - FOOT.ball) * footLength);
  return {
    frame,
    pointing,
    bearsFrom: FOOT.ball,
    heel,
    ankle: addScaled(under, frame.up, body.ankleHeight),
    ball,
    toe: addScaled(ball, pointing, (FOOT.toe - FOOT.ball) * footLength),
  };
}

/**
 * A foot that bears no weight, about its ankle: in the air, on the other leg, or behind
 * a knee that is down.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param ankle its centre, metres
 * @param forward unit vector from heel to toes
 * @param up unit vector from sole to shin
 * @returns metres, world frame
 */
export function hangFoot(body: CanonicalBody, ankle: Vec3, forward: Vec3, up: Vec3): FootPose {
  const frame: Rotation = {
    forward,
    left: [
      up[1] * forward[2] - up[2] * forward[1],
      up[2] * forward[0] - up[0] * forward[2],
      up[0] * forward[1] - up[1] * forward[0],
    ],
    up,
  };
  const under = addScaled(ankle, up, -body.ankleHeight);
  const ahead = (fraction: number): Vec3 =>
    addScaled(under, forward, (fraction - FOOT.ankle) * body.footLength);
  return {
    frame,
    pointing: forward,
    bearsFrom: null,
    heel: ahead(FOOT.heelCentre),
    ankle,
    ball: ahead(FOOT.ball),
    toe: ahead(FOOT.toe),
  };
}

/** A pad under a knee, and the knee's centre above it, metres. Our modelling choice. */
export const KNEE_PAD = 0.025;
const KNEE_ABOVE_PAD = 0.05;
/** The ankle of a foot that lies flat, on the floor or on a wall, metres. Our modelling choice. */
export const LYING_ANKLE = 0.04;
/** Sole against the floor with the toes tucked under a knee that is down. Our modelling choice. */
const TUCKED_LIFT = Math.PI / 3;

/** A shin whose knee is down: its knee, ankle and foot stand still whatever the hips do. */
export interface KneelingShin {
  readonly knee: Vec3;
  readonly foot: FootPose;
}

/**
 * The shin of a knee that is down, with its foot.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param shin toes tucked under, foot lying back, up a wall, or leaning back to one
 * @param leanRad of a shin that leans back to a wall
 * @param outRad of a shin up a wall that leans outward, so that its foot stands outside the hip
 * @param knee where the knee's centre stands, seen from above
 * @returns knee, ankle and foot, metres, world frame
 */
export function placeKneelingShin(
  body: CanonicalBody,
  [x, y]: Point2,
  shin: 'knee-toes-tucked' | 'knee-foot-flat' | 'shin-on-wall' | 'shin-leaning-on-wall',
  leanRad: number,
  outRad: number,
): KneelingShin {
  const { shank } = body.back;
  const knee: Vec3 = [x, y, KNEE_PAD + KNEE_ABOVE_PAD];
  if (shin === 'shin-on-wall' || shin === 'shin-leaning-on-wall') {
    const lean = shin === 'shin-on-wall' ? 0 : leanRad;
    const up: Vec3 = [0, Math.sin(outRad), Math.cos(outRad)];
    const alongShin: Vec3 = [-Math.sin(lean), Math.cos(lean) * up[1], Math.cos(lean) * up[2]];
    return { knee, foot: hangFoot(body, addScaled(knee, alongShin, shank), up, [-1, 0, 0]) };
  }
  const behind = (height: number): number => Math.sqrt(shank ** 2 - (height - knee[2]) ** 2);
  if (shin === 'knee-foot-flat') {
    const ankle: Vec3 = [x - behind(LYING_ANKLE), y, LYING_ANKLE];
    return { knee, foot: hangFoot(body, ankle, [-1, 0, 0], [0, 0, -1]) };
  }
  const atOrigin = placeLiftedFoot(body, [0, 0, 0], 0, TUCKED_LIFT);
  const ballX = x - behind(atOrigin.ankle[2]) - atOrigin.ankle[0];
  return { knee, foot: placeLiftedFoot(body, [ballX, y, 0], 0, TUCKED_LIFT) };
}

/** Half the foot's width at fractions of its length. Our choice: a plain sole. */
const SOLE: readonly (readonly [number, number])[] = [
  [0, 0.3],
  [FOOT.heelCentre, 0.36],
  [FOOT.ball, 0.5],
  [0.92, 0.36],
  [FOOT.toe, 0.12],
];

/**
 * Corner points of what bears on the floor of a foot, seen from above.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param foot the placed foot
 * @returns metres
 */
export function soleOutline(body: CanonicalBody, foot: FootPose): Point2[] {
  const [px, py] = foot.pointing;
  const corners: Point2[] = [];
  if (foot.bearsFrom === null) return corners;
  // A foot whose ball stands on a block is shorter seen from above.
  const [fx, fy] = foot.frame.forward;
  const run = foot.toe[2] > foot.heel[2] ? Math.sqrt(fx * fx + fy * fy) : 1;
  for (const [fraction, half] of SOLE) {
    if (fraction < foot.bearsFrom) continue;
    const behindToe = (fraction - FOOT.toe) * body.footLength * run;
    for (const across of [-half * body.footWidth, half * body.footWidth]) {
      corners.push([
        foot.toe[0] + px * behindToe - py * across,
        foot.toe[1] + py * behindToe + px * across,
      ]);
    }
  }
  return corners;
}

/** Half the width of a knee and of a palm that bear on the floor. Our choice. */
const HALF_KNEE = 0.05;
const HALF_PALM = 0.04;

const square = ([x, y]: Vec3, half: number): Point2[] => [
  [x - half, y - half],
  [x - half, y + half],
  [x + half, y - half],
  [x + half, y + half],
];

/**
 * What a kneeling knee covers of the floor.
 *
 * @param knee its centre, metres, solver frame
 * @returns corners of its outline, metres
 */
export const kneeOutline = (knee: Vec3): Point2[] => square(knee, HALF_KNEE);
/**
 * What a palm covers of a prop or the floor.
 *
 * @param palm its centre, metres, solver frame
 * @returns corners of its outline, metres
 */
export const palmOutline = (palm: Vec3): Point2[] => square(palm, HALF_PALM);
