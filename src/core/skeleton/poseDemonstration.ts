import type { Body } from '../body/body.ts';
import {
  EAR_ABOVE_SHOULDER_PER_STATURE,
  NECK_ABOVE_SHOULDER_PER_STATURE,
} from '../body/proportions.ts';
import {
  aboutForward,
  aboutLeft,
  aboutUp,
  compose,
  NO_ROTATION,
  type Rotation,
} from '../geometry/rotation.ts';
import {
  add,
  addScaled,
  normalise,
  scale,
  subtract,
  turnAbout,
  type Vec3,
} from '../geometry/vector.ts';
import type { BodyPoint, Demonstration, LegDemonstration } from '../measures/demonstration.ts';
import type { Place } from '../poses/poseDefinition.ts';
import type { LandmarkCm } from './landmark.ts';
import { poseArm } from './arm.ts';
import { toCanonicalBody, type CanonicalBody } from './canonicalBody.ts';
import { hangFoot, placeFlatFoot } from './foot.ts';
import { poseLeg, poseLiftedLeg, type LegPose } from './leg.ts';
import { findBonyPoints } from './bonyPoints.ts';
import { CM_PER_METRE, radiansFromDegrees } from '../units/brands.ts';

/** A body in the posture of a measure, cm. */
export interface Demonstrated {
  /** Joint centres by name, as in a set-up. */
  readonly landmarks: Readonly<Record<string, LandmarkCm>>;
  readonly points: Readonly<Record<BodyPoint, LandmarkCm>>;
  /** Unit vectors of the pelvis, for where angles are counted from. */
  readonly pelvis: Rotation;
}

/** Hip centres of a lying body and of a sitting one lie this far above the floor, metres. Our choice. */
const LYING_HIPS = 0.09;
const SITTING_HIPS = 0.1;
const SEAT = 0.12;
/** Soles together: ankles from the midline and above the floor, and along from the hips, metres. */
const SOLES = { across: 0.04, up: 0.05, along: 0.34 } as const;
/** How far the knees of the soles-together drawing fall out from straight up. */
const FALLS_OUT_DEG = 55;
/** What lies outside a joint centre, as shares of stature. Our drawing choice. */
const OUTSIDE = { trochanter: 0.045, crown: 0.07, finger: 0.055, knuckles: 0.025 } as const;
const USUAL_TOE_OUT_DEG = 10;
/** A leg that lies face down with its knee bent by less points its foot. Our drawing choice. */
const FOOT_LIES_BELOW_DEG = 45;

/** Which way the body lies: its own forward, left and up in the world. */
const BASES: Readonly<Record<Demonstration['base'], Rotation>> = {
  standing: NO_ROTATION,
  sitting: NO_ROTATION,
  'on the back': { forward: [0, 0, 1], left: [0, 1, 0], up: [-1, 0, 0] },
  'soles together': { forward: [0, 0, 1], left: [0, 1, 0], up: [-1, 0, 0] },
  'face down': { forward: [0, 0, -1], left: [0, -1, 0], up: [-1, 0, 0] },
};

/** Lying seen from above is standing seen from the front. */
const turnsUpright = ({ base, seenFrom }: Demonstration): boolean =>
  base === 'on the back' && seenFrom === 'above';

const baseOf = (demo: Demonstration): Demonstration['base'] =>
  turnsUpright(demo) ? 'standing' : demo.base;

/**
 * The measured side is the one nearer to the eye.
 *
 * @returns front or back leg of the solver
 */
export const measuredPlace = ({ base }: Demonstration): Place =>
  base === 'face down' ? 'back' : 'front';

function findPelvisHeight(demo: Demonstration, figure: CanonicalBody): number {
  switch (baseOf(demo)) {
    case 'standing': {
      const { thigh, shank } = figure[measuredPlace(demo)];
      return thigh + shank + figure.ankleHeight - (demo.pelvis?.down ?? 0) / CM_PER_METRE;
    }
    case 'sitting':
      return SITTING_HIPS + (demo.thing === 'seat' ? SEAT : 0);
    default:
      return LYING_HIPS;
  }
}

interface Frame {
  readonly demo: Demonstration;
  readonly figure: CanonicalBody;
  readonly pelvis: Rotation;
  readonly hips: Readonly<Record<Place, Vec3>>;
}

function poseOneLeg(frame: Frame, place: Place, leg: LegDemonstration): LegPose {
  const { demo, figure, pelvis, hips } = frame;
  const hip = hips[place];
  const outward = scale(pelvis.left, place === 'back' ? 1 : -1);
  if (demo.base === 'soles together') {
    const ankle: Vec3 = [hip[0] + SOLES.along, Math.sign(outward[1]) * SOLES.across, SOLES.up];
    const out = radiansFromDegrees(FALLS_OUT_DEG);
    const kneeTo = addScaled(scale(outward, Math.sin(out)), pelvis.forward, Math.cos(out));
    const sole = hangFoot(figure, ankle, [1, 0, 0], outward);
    return poseLeg(figure, place, pelvis, hip, { ...sole, pointing: kneeTo }, null);
  }
  if ('foot' in leg) {
    const { ahead = 0, outward: aside = 0 } = leg.foot;
    const heel: Vec3 = [
      ahead / CM_PER_METRE - figure.footLength * 0.2,
      hip[1] + (Math.sign(outward[1]) * aside) / CM_PER_METRE,
      0,
    ];
    return poseLeg(figure, place, pelvis, hip, placeFlatFoot(figure, heel, 0), null);
  }
  const { flexion = 0, abduction = 0, rotation = 0, knee = 0, toeOut = 0 } = leg;
  const angles = {
    flexion: radiansFromDegrees(flexion),
    abduction: radiansFromDegrees(abduction),
    rotation: radiansFromDegrees(rotation),
  };
  const posed = poseLiftedLeg(figure, place, pelvis, hip, angles, radiansFromDegrees(knee));
  const { ankle, frame: atRightAngle } = posed.foot;
  if (demo.base === 'face down' && knee < FOOT_LIES_BELOW_DEG) {
    const pointed = hangFoot(figure, ankle, scale(atRightAngle.up, -1), atRightAngle.forward);
    return { ...posed, foot: pointed };
  }
  const turn = radiansFromDegrees(toeOut) * (place === 'back' ? 1 : -1);
  const toes = turnAbout(atRightAngle.forward, atRightAngle.up, turn);
  return { ...posed, foot: hangFoot(figure, ankle, toes, atRightAngle.up) };
}

const toCm = (point: Vec3): LandmarkCm => [
  point[0] * CM_PER_METRE,
  point[1] * CM_PER_METRE,
  point[2] * CM_PER_METRE,
];

/**
 * Poses this person's body the way a measure is taken.
 *
 * @param body lengths of the body, metres
 * @param demo posture and what is read off it
 * @returns landmarks and body points, cm
 */
export function poseDemonstration(body: Body, demo: Demonstration): Demonstrated {
  const toeOut = radiansFromDegrees(USUAL_TOE_OUT_DEG);
  const figure = toCanonicalBody(body, 'right', { left: toeOut, right: toeOut });
  const { tilt = 0, ahead = 0 } = demo.pelvis ?? {};
  const pelvis = compose(BASES[baseOf(demo)], aboutLeft(radiansFromDegrees(tilt)));
  const pelvisCentre: Vec3 = [ahead / CM_PER_METRE, 0, findPelvisHeight(demo, figure)];
  const frame: Frame = {
    demo,
    figure,
    pelvis,
    hips: {
      front: addScaled(pelvisCentre, pelvis.left, -figure.halfHips),
      back: addScaled(pelvisCentre, pelvis.left, figure.halfHips),
    },
  };
  const place = measuredPlace(demo);
  const other: Place = place === 'front' ? 'back' : 'front';
  const stands = demo.base === 'standing' && (tilt !== 0 || demo.pelvis !== undefined);
  const plain: LegDemonstration = stands ? { foot: {} } : {};
  const legs = {
    [place]: poseOneLeg(frame, place, demo.measured ?? plain),
    [other]: poseOneLeg(frame, other, demo.other ?? plain),
  } as Record<Place, LegPose>;
  const { flexion = 0, sideBend = 0, turn = 0 } = demo.spine ?? {};
  const bent = compose(
    aboutLeft(radiansFromDegrees(flexion)),
    aboutForward(radiansFromDegrees(-sideBend)),
  );
  const chest = compose(pelvis, compose(bent, aboutUp(radiansFromDegrees(turn))));
  const chestCentre = addScaled(pelvisCentre, chest.up, figure.trunk);
  const armOf = (at: Place) =>
    poseArm(
      figure,
      at,
      {
        reach: demo.arms ?? 'beside',
        bears: false,
        clearFrontFoot: null,
        mostAside: 0,
        onHeight: 0,
        elbowOutward: false,
      },
      chest,
      addScaled(chestCentre, chest.left, (at === 'back' ? 1 : -1) * figure.halfShoulders),
      legs,
    );
  const arms = { front: armOf('front'), back: armOf('back') };
  const head = addScaled(chestCentre, chest.up, EAR_ABOVE_SHOULDER_PER_STATURE * figure.stature);
  const neck = addScaled(chestCentre, chest.up, NECK_ABOVE_SHOULDER_PER_STATURE * figure.stature);
  const bony = findBonyPoints(figure, {
    posture: { pelvis, pelvisCentre },
    chest,
    chestCentre,
  });

  const landmarks: Record<string, LandmarkCm> = {};
  for (const [at, suffix] of [
    ['front', 'Right'],
    ['back', 'Left'],
  ] as const) {
    const { hip, knee, foot } = legs[at];
    const { shoulder, elbow, wrist, palm } = arms[at];
    const all = {
      hip,
      knee,
      ankle: foot.ankle,
      heel: foot.heel,
      ball: foot.ball,
      toe: foot.toe,
      shoulder,
      elbow,
      wrist,
      hand: palm,
    };
    for (const [name, point] of Object.entries(all)) landmarks[`${name}${suffix}`] = toCm(point);
  }
  Object.assign(landmarks, {
    pelvisCentre: toCm(pelvisCentre),
    chestCentre: toCm(chestCentre),
    neck: toCm(neck),
    head: toCm(head),
  });

  const leg = legs[place];
  const arm = arms[place];
  const outward = scale(pelvis.left, place === 'back' ? 1 : -1);
  const footLeft = leg.foot.frame.left;
  const fingers = normalise(subtract(arm.palm, arm.wrist));
  const { stature } = figure;
  const points: Record<BodyPoint, Vec3> = {
    crown: addScaled(head, chest.up, OUTSIDE.crown * stature),
    neck,
    acromion: arm.shoulder,
    'other acromion': arms[other].shoulder,
    elbow: arm.elbow,
    wrist: arm.wrist,
    'other wrist': arms[other].wrist,
    palm: arm.palm,
    fingertip: addScaled(arm.palm, fingers, OUTSIDE.finger * stature),
    'knuckles inner': add(arm.palm, [0, 0, OUTSIDE.knuckles * stature]),
    'knuckles outer': add(arm.palm, [0, 0, -OUTSIDE.knuckles * stature]),
    asis: bony.asis[place],
    'other asis': bony.asis[other],
    sacrum: bony.sacrum,
    pelvis: pelvisCentre,
    chest: chestCentre,
    'sit bone': add(leg.hip, [0, 0, -SITTING_HIPS]),
    trochanter: addScaled(leg.hip, outward, OUTSIDE.trochanter * stature),
    hip: leg.hip,
    'upper thigh': addScaled(leg.hip, subtract(leg.knee, leg.hip), 0.3),
    knee: leg.knee,
    ankle: leg.foot.ankle,
    'ankle start': [leg.foot.ankle[0], leg.hip[1], leg.foot.ankle[2]],
    heel: addScaled(leg.foot.heel, leg.foot.frame.forward, -0.05 * figure.footLength),
    arch: addScaled(leg.foot.heel, subtract(leg.foot.ball, leg.foot.heel), 0.55),
    'ball inner': addScaled(leg.foot.ball, footLeft, figure.footWidth / 2),
    'ball outer': addScaled(leg.foot.ball, footLeft, -figure.footWidth / 2),
    toe: leg.foot.toe,
  };
  return {
    landmarks,
    points: Object.fromEntries(
      Object.entries(points).map(([name, point]) => [name, toCm(point)]),
    ) as Record<BodyPoint, LandmarkCm>,
    pelvis,
  };
}
