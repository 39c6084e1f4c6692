import { type Vec3, add, addScaled } from '../geometry/vector.ts';
import type { Place } from '../poses/poseDefinition.ts';
import type { CanonicalBody } from './canonicalBody.ts';
import type { Skeleton } from './skeleton.ts';
import type { Posture } from './posture.ts';
import {
  HIP_CENTRE,
  NECK_ABOVE_SHOULDER_PER_STATURE,
  SHOULDER_BLADE,
} from '../body/proportions.ts';
import { toWorld } from '../geometry/rotation.ts';

/** Bony points that are reported but play no part in a solve. */
export interface BonyPoints {
  readonly neck: Vec3;
  readonly asis: Readonly<Record<Place, Vec3>>;
  readonly sacrum: Vec3;
  /** Lower edge of each shoulder blade, on the skin of the back; estimated from stature. */
  readonly bladeEdge: Readonly<Record<Place, Vec3>>;
}

/**
 * Points of the pelvis and the back that can be felt.
 *
 * @param body lengths, metres
 * @returns metres, solver frame
 */
export function findBonyPoints(
  body: CanonicalBody,
  {
    posture,
    chest,
    chestCentre,
  }: Pick<Skeleton, 'chest' | 'chestCentre'> & {
    readonly posture: Pick<Posture, 'pelvis' | 'pelvisCentre'>;
  },
): BonyPoints {
  const { pelvis, pelvisCentre } = posture;
  const above = HIP_CENTRE.below * body.hipBoneWidth;
  const ahead = HIP_CENTRE.behind * body.hipBoneWidth;
  const onPelvis = (forward: number, left: number): Vec3 =>
    add(pelvisCentre, toWorld(pelvis, [forward, left, above]));
  const bladeEdge = (outward: number): Vec3 =>
    add(
      chestCentre,
      toWorld(chest, [
        (-SHOULDER_BLADE.chestDepthPerStature / 2) * body.stature,
        outward * SHOULDER_BLADE.outward * body.halfShoulders,
        -SHOULDER_BLADE.belowPerStature * body.stature,
      ]),
    );
  return {
    bladeEdge: { front: bladeEdge(-1), back: bladeEdge(1) },
    neck: addScaled(chestCentre, chest.up, NECK_ABOVE_SHOULDER_PER_STATURE * body.stature),
    asis: {
      front: onPelvis(ahead, -body.hipBoneWidth / 2),
      back: onPelvis(ahead, body.hipBoneWidth / 2),
    },
    sacrum: onPelvis(ahead - body.pelvisDepth, 0),
  };
}
