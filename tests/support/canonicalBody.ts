import { NO_ROTATION } from '../../src/core/geometry/rotation.ts';
import type { ArmPlan } from '../../src/core/skeleton/arm.ts';
import type { CanonicalBody } from '../../src/core/skeleton/canonicalBody.ts';
import type { Posture } from '../../src/core/skeleton/posture.ts';
import { planFeet, type ContactPlan } from '../../src/core/skeleton/contacts.ts';

const LIMB = { thigh: 0.42, shank: 0.4, armReach: 0.62, thighFootAngle: 0 };

/** The reference body as the solver sees it, metres. */
export const CANONICAL_BODY: CanonicalBody = {
  stature: 1.7,
  front: LIMB,
  back: LIMB,
  ankleHeight: 0.07,
  footLength: 0.245,
  footWidth: 0.0935,
  hipBoneWidth: 0.17 / 0.72,
  halfHips: 0.085,
  pelvisDepth: 0.14,
  trunk: 0.5,
  halfShoulders: 0.18,
};

/** Standing with feet side by side, every joint at zero; the hips over the ankles. */
export const STANDING: Posture = {
  pelvisCentre: [0.03675, 0.085, 0.89],
  pelvis: NO_ROTATION,
  spine: { flexion: 0, sideBend: 0, rotation: 0 },
  parts: {
    stance: 0,
    widening: 0,
    frontFootYaw: 0,
    backFootYaw: 0,
    backHeelLift: 0,
    backHipFlexion: 0,
    backHipAbduction: 0,
    backHipRotation: 0,
    backKneeOut: 0,
    backSoleHeight: 0.3,
    backShinLean: 0,
    frontKneeDrift: 0,
  },
};

export const ARM_OUT: ArmPlan = {
  reach: 'out',
  bears: false,
  clearFrontFoot: null,
  mostAside: 0.15,
  onHeight: 0,
  elbowOutward: false,
};

/** Both feet flat, their heels this far apart, arms as given. */
export const standOn = (
  width: number,
  arm: ArmPlan = ARM_OUT,
  straightKnee: number | null = 0,
): ContactPlan => ({
  feet: planFeet(CANONICAL_BODY, 'flat', () => width),
  soleAt: 'shin',
  arms: { front: arm, back: arm },
  straightKnee: { front: straightKnee, back: straightKnee },
});
