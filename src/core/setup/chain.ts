import { distance, type Vec3 } from '../geometry/vector.ts';
import type { Place } from '../poses/poseDefinition.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { cmFromMetres } from '../units/brands.ts';
import { share, type WorkingStep } from '../planning/working.ts';

type Axis = 0 | 1 | 2;

/**
 * One link of a chain of body parts: its length and how far it leads along one axis.
 *
 * @param text what the line says
 * @param from where it begins, metres
 * @param to where it ends, metres
 * @param axis along the mat, across it or up
 * @returns a line of a sum, cm
 */
export function link(text: string, from: Vec3, to: Vec3, axis: Axis): WorkingStep {
  return share(text, cmFromMetres(distance(from, to)), cmFromMetres(to[axis] - from[axis]));
}

const AXIS_WORDS = ['along the mat', 'across the mat', 'upward'] as const;

/**
 * From the front ankle up to the middle of the pelvis, part by part.
 *
 * @param axis along the mat, across it or up
 * @returns lines of a sum, cm
 */
export function chainToPelvis({ legs, posture }: Skeleton, axis: Axis): WorkingStep[] {
  const { front } = legs;
  const way = AXIS_WORDS[axis];
  return [
    link(`front shank ${way}`, front.foot.ankle, front.knee, axis),
    link(`front thigh ${way}`, front.knee, front.hip, axis),
    link(`half the hip line ${way}`, front.hip, posture.pelvisCentre, axis),
  ];
}

/**
 * On from there to the shoulder of one side.
 *
 * @param skeleton the posed body, metres and radians, solver frame
 * @param place front or back leg
 * @param axis along the mat, across it or up
 * @returns lines of a sum, cm
 */
export function chainToShoulder(skeleton: Skeleton, place: Place, axis: Axis): WorkingStep[] {
  const { posture, chestCentre, arms } = skeleton;
  const way = AXIS_WORDS[axis];
  return [
    ...chainToPelvis(skeleton, axis),
    link(`trunk ${way}`, posture.pelvisCentre, chestCentre, axis),
    link(`half the shoulder line ${way}`, chestCentre, arms[place].shoulder, axis),
  ];
}

/**
 * From the pelvis down the back leg to its ankle.
 *
 * @param axis along the mat, across it or up
 * @returns lines of a sum, cm
 */
export function chainDownBackLeg({ legs, posture }: Skeleton, axis: Axis): WorkingStep[] {
  const { back } = legs;
  const way = AXIS_WORDS[axis];
  return [
    link(`half the hip line ${way}, on to the back hip`, posture.pelvisCentre, back.hip, axis),
    link(`back thigh ${way}`, back.hip, back.knee, axis),
    link(`back shank ${way}`, back.knee, back.foot.ankle, axis),
  ];
}
