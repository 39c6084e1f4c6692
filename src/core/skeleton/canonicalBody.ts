import type { Body } from '../body/body.ts';
import type { Place } from '../poses/poseDefinition.ts';
import { otherSide, type Side } from '../measures/protocol.ts';

/**
 * A body as the solver sees it: by front and back, the front leg always the right
 * one. A left-in-front pose is solved as its mirror image, so that both sides
 * share every line of code and mirrored input gives mirrored output.
 */
export interface CanonicalBody {
  readonly stature: number;
  readonly front: Limb;
  readonly back: Limb;
  readonly ankleHeight: number;
  readonly footLength: number;
  readonly footWidth: number;
  readonly hipBoneWidth: number;
  readonly halfHips: number;
  readonly pelvisDepth: number;
  readonly trunk: number;
  readonly halfShoulders: number;
}

/** The leg and the arm of one side, metres and radians. */
interface Limb {
  readonly thigh: number;
  readonly shank: number;
  readonly armReach: number;
  readonly thighFootAngle: number;
}

/**
 * In the solver's own frame the front leg is the right one.
 *
 * @param place front or back leg
 * @returns right for front, left for back
 */
export const canonicalSide = (place: Place): Side => (place === 'front' ? 'right' : 'left');

/**
 * The lengths of one leg and arm.
 *
 * @param canonicalBody the body as the solver sees it
 * @param place front or back leg
 * @returns metres
 */
export const limbOf = (canonicalBody: CanonicalBody, place: Place): Limb =>
  place === 'front' ? canonicalBody.front : canonicalBody.back;

/**
 * The side that a leg of the solver is on.
 *
 * @param place front or back leg
 * @param frontSide the side of the front leg
 * @returns left or right
 */
export const sideOfPlace = (place: Place, frontSide: Side): Side =>
  place === 'front' ? frontSide : otherSide(frontSide);

/**
 * A body as the solver sees it: its legs are front and back, not left and right.
 *
 * @param body lengths of both sides
 * @param frontSide the side of the front leg
 * @param thighFootAngleRad how far each foot turns out against its thigh, radians
 * @returns metres and radians
 */
export function toCanonicalBody(
  body: Body,
  frontSide: Side,
  thighFootAngleRad: Readonly<Record<Side, number>>,
): CanonicalBody {
  const limb = (place: Place): Limb => {
    const side = sideOfPlace(place, frontSide);
    return {
      thigh: body.thigh[side],
      shank: body.shank[side],
      armReach: body.armReach[side],
      thighFootAngle: thighFootAngleRad[side],
    };
  };
  return {
    stature: body.stature,
    front: limb('front'),
    back: limb('back'),
    ankleHeight: body.ankleHeight,
    footLength: body.footLength,
    footWidth: body.footWidth,
    hipBoneWidth: body.hipBoneWidth,
    halfHips: body.hipCentreDistance / 2,
    pelvisDepth: body.pelvisDepth,
    trunk: body.trunk,
    halfShoulders: body.shoulderWidth / 2,
  };
}
