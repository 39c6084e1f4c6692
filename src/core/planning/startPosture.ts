import { hipToAnkle, type Body } from '../body/body.ts';
import { FOOT } from '../body/proportions.ts';
import { fromYawTiltList, type Rotation } from '../geometry/rotation.ts';
import { addScaled, type Vec3 } from '../geometry/vector.ts';
import { otherSide, type Side } from '../measures/protocol.ts';
import type { PoseDefinition, StartDefinition } from '../poses/poseDefinition.ts';
import type { Parts, Posture } from '../skeleton/posture.ts';
import { radiansFromDegrees } from '../units/brands.ts';

/** Below this a leg counts as straight when a start is built, degrees. */
const NEARLY_STRAIGHT_DEG = 5;
/** Hips of a kneeling start stand this far ahead of the knee, metres. */
const KNEELING_AHEAD = 0.03;

/** Where the pelvis starts: over the bent front knee, midway between straight legs, over the one foot or knee. */
function findStartCentre(
  pose: PoseDefinition,
  start: StartDefinition,
  body: Body,
  frontSide: Side,
  stance: number,
  pelvis: Rotation,
): Vec3 {
  const bend = radiansFromDegrees(start.kneeBend);
  const { [frontSide]: thigh } = body.thigh;
  const bent = start.kneeBend > NEARLY_STRAIGHT_DEG;
  const height = body.ankleHeight + body.shank[frontSide] + thigh * Math.cos(bend);
  switch (pose.backContact) {
    case 'lifted':
    case 'on-front-leg': {
      const ahead = (FOOT.ankle - FOOT.heelCentre) * body.footLength;
      const overFoot: Vec3 = [ahead, 0, height - 0.005];
      return addScaled(overFoot, pelvis.left, body.hipCentreDistance / 2);
    }
    case 'knee-toes-tucked':
    case 'knee-foot-flat':
      return [KNEELING_AHEAD - stance, 0, body.thigh[otherSide(frontSide)]];
    case 'shin-on-wall':
    case 'shin-leaning-on-wall':
      return [0 - thigh, 0, body.ankleHeight + body.shank[frontSide]];
    default: {
      // With both legs straight the hips hang midway; a bent front knee holds them behind it.
      const behind = bent ? thigh * Math.sin(bend) : stance / 2;
      const drop = bent ? 0 : height - Math.sqrt(Math.max(0.01, height ** 2 - (stance / 2) ** 2));
      return [-behind, 0, height - drop];
    }
  }
}

/**
 * A posture to start from.
 *
 * @param pose the pose's data
 * @param start as the pose's data says it
 * @param body lengths of the body, metres
 * @param frontSide the side of the front leg
 * @param held parts that are known before, metres and radians
 * @returns metres and radians
 */
export function buildStart(
  pose: PoseDefinition,
  start: StartDefinition,
  body: Body,
  frontSide: Side,
  held: Partial<Parts>,
): Posture {
  const stance = held.stance ?? start.stanceShare * hipToAnkle(body, frontSide);
  const pelvis = fromYawTiltList({
    yaw: radiansFromDegrees(start.pelvisTurn),
    tilt: radiansFromDegrees(start.pelvisTilt),
    list: radiansFromDegrees(start.pelvisList),
  });
  const [flexion, abduction, rotation] = start.lifted ?? [0, 0, 0];
  return {
    pelvisCentre: findStartCentre(pose, start, body, frontSide, stance, pelvis),
    pelvis,
    spine: { flexion: 0, sideBend: 0, rotation: radiansFromDegrees(start.spineRotation) },
    parts: {
      widening: 0,
      frontFootYaw: 0,
      backFootYaw: 0,
      backHeelLift: 0,
      backHipFlexion: radiansFromDegrees(flexion),
      backHipAbduction: radiansFromDegrees(abduction),
      backHipRotation: radiansFromDegrees(rotation),
      backKneeOut: Math.PI / 4,
      backSoleHeight: 0,
      backShinLean: Math.PI / 6,
      frontKneeDrift: 0,
      ...held,
      stance,
    },
  };
}
