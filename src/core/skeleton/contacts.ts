import type { Parts } from './posture.ts';
import type { SolePlace } from './legOnLeg.ts';
import type { Place, BackContact } from '../poses/poseDefinition.ts';
import type { ArmPlan } from './arm.ts';
import {
  type FootPose,
  type KneelingShin,
  placeFlatFoot,
  soleOutline,
  placeLiftedFoot,
  placeKneelingShin,
  kneeOutline,
} from './foot.ts';
import type { Point2 } from '../geometry/polygon.ts';
import type { CanonicalBody } from './canonicalBody.ts';

/** What stands where and what hangs free, with this person's rules filled in. */
export interface ContactPlan {
  readonly feet: (parts: Parts) => FeetPose;
  readonly soleAt: SolePlace;
  readonly arms: Readonly<Record<Place, ArmPlan>>;
  /** Knee bend a straight leg is held at, radians; null = this leg bends. */
  readonly straightKnee: Readonly<Record<Place, number | null>>;
}

/** What the back leg ends at. */
export type BackEnd =
  | { readonly kind: 'foot'; readonly foot: FootPose }
  | { readonly kind: 'knee'; readonly shin: KneelingShin }
  | { readonly kind: 'lifted' }
  | { readonly kind: 'on-front-leg' };

/** What stands on the mat and the base it makes. */
export interface FeetPose {
  readonly front: FootPose;
  readonly back: BackEnd;
  /** Of all that bears: its points in one order whatever the posture. */
  readonly outline: readonly Point2[];
}

/**
 * Places the contacts with the mat: the front heel centre at the origin, the back foot (its
 * ball with the heel up, its knee when that is down) by stance length and width.
 * Remembers its last answer, because a solver moves the rest of the body far more often
 * than the feet.
 *
 * @param body lengths of the body as the solver sees it, metres
 * @param contact how the back foot stands
 * @param width across the mat between heel centres, metres, + on the back leg's own side
 * @param frontBallHeight of a block under the ball of the front foot, metres
 * @param backShinOut how far a back shin up a wall leans outward, radians
 * @returns a function of the posture's parts
 */
export function planFeet(
  body: CanonicalBody,
  contact: BackContact,
  width: (backFootYaw: number) => number,
  frontBallHeight = 0,
  backShinOut = 0,
): ContactPlan['feet'] {
  let last: { readonly at: Parts; readonly feet: FeetPose } | null = null;
  let front: { readonly yaw: number; readonly foot: FootPose; readonly sole: Point2[] } | null =
    null;
  return (parts) => {
    if (last?.at === parts) return last.feet;
    const { frontFootYaw: yaw } = parts;
    if (front?.yaw !== yaw) {
      const foot = placeFlatFoot(body, [0, 0, 0], yaw, frontBallHeight);
      front = { yaw, foot, sole: soleOutline(body, foot) };
    }
    const across = width(parts.backFootYaw) + parts.widening;
    const back = placeBackEnd(body, contact, parts, [-parts.stance, across], backShinOut);
    // From the back foot forward: its corners are found by sorting along the mat.
    const outline = [...outlineOfEnd(body, back), ...front.sole];
    const feet = { front: front.foot, back, outline };
    last = { at: parts, feet };
    return feet;
  };
}

function placeBackEnd(
  body: CanonicalBody,
  contact: BackContact,
  { backFootYaw, backHeelLift, backShinLean }: Parts,
  [x, y]: Point2,
  backShinOut: number,
): BackEnd {
  switch (contact) {
    case 'flat': {
      const foot = placeFlatFoot(body, [x, y, 0], backFootYaw);
      if (backHeelLift === 0) return { kind: 'foot', foot };
      // Pushed too far, a heel that should be down comes up about its ball. Its place still
      // counts for the base, so that the base does not leap when the heel leaves the floor.
      const lifted = placeLiftedFoot(body, foot.ball, backFootYaw, backHeelLift);
      return { kind: 'foot', foot: { ...lifted, bearsFrom: 0 } };
    }
    case 'ball':
      return {
        kind: 'foot',
        foot: placeLiftedFoot(body, [x, y, 0], backFootYaw, backHeelLift),
      };
    case 'lifted':
    case 'on-front-leg':
      return { kind: contact };
    default:
      return {
        kind: 'knee',
        shin: placeKneelingShin(body, [x, y], contact, backShinLean, backShinOut),
      };
  }
}

function outlineOfEnd(body: CanonicalBody, back: BackEnd): Point2[] {
  if (back.kind === 'foot') return soleOutline(body, back.foot);
  if (back.kind !== 'knee') return [];
  const { knee, foot } = back.shin;
  return [...kneeOutline(knee), ...soleOutline(body, foot)];
}
