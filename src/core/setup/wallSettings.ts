import { findBonyPoints } from '../skeleton/bonyPoints.ts';
import { LYING_ANKLE } from '../skeleton/foot.ts';
import { cmFromMetres } from '../units/brands.ts';
import { negate, plain } from '../planning/working.ts';
import { chainToPelvis, chainToShoulder, link } from './chain.ts';
import { makeSetting } from './makeSetting.ts';
import type { Setting } from './setUp.ts';
import type { SolvedPose } from './solved.ts';

/** A back at a wall keeps its standing foot at least this far from it, cm. Common practice, no source. */
const LEAST_FROM_WALL_CM = 5;
/** A standing foot next to a wall stands 5–8 cm from it, cm. Common practice, no source. */
const FOOT_FROM_WALL_CM = 6.5;

/**
 * How far the standing foot stands from a wall that the back of the pelvis touches: from
 * its heel when the wall is behind a pelvis that faces the front, from its outer edge
 * when it runs along the mat.
 */
function calcWallBehind({
  pose,
  skeleton,
  canonicalBody,
  limitSteps: limits,
}: SolvedPose): Setting[] {
  const { sacrum } = findBonyPoints(canonicalBody, skeleton);
  const { foot } = skeleton.legs.front;
  const { pelvisCentre } = skeleton.posture;
  const facesFront = pose.pelvisFaces === 'front';
  const axis = facesFront ? 0 : 1;
  const toSacrum = [
    ...chainToPelvis(skeleton, axis),
    link('pelvis centre to the sacrum', pelvisCentre, sacrum, axis),
  ].map(negate);
  const start = facesFront
    ? negate(link('heel to ankle', foot.heel, foot.ankle, 0))
    : plain('less half the foot’s width', -cmFromMetres(canonicalBody.footWidth / 2));
  const terms = [start, ...toSacrum];
  const reached = terms.reduce((sum, each) => sum + each.value, 0);
  const missing = LEAST_FROM_WALL_CM - reached;
  const room = missing > 0 ? [plain('so that the foot has room', missing)] : [];
  const from = facesFront ? 'front-heel' : 'front-foot-edge';
  return [makeSetting('wall-behind', 'cm', from, 'wall', [...terms, ...room], limits)];
}

function calcWallAhead({ skeleton, limitSteps: limits }: SolvedPose): Setting[] {
  const { foot } = skeleton.legs.front;
  const { front } = skeleton.arms;
  const terms = [
    link('heel to ankle', foot.heel, foot.ankle, 0),
    ...chainToShoulder(skeleton, 'front', 0),
    link('arm, ahead', front.shoulder, front.palm, 0),
  ];
  return [makeSetting('wall-ahead', 'cm', 'front-heel', 'wall', terms, limits)];
}

function calcWallBeside({ skeleton, canonicalBody, limitSteps: limits }: SolvedPose): Setting[] {
  const terms = [
    plain('arm, level to the side', cmFromMetres(canonicalBody.front.armReach)),
    ...chainToShoulder(skeleton, 'front', 1).map(negate),
  ];
  return [makeSetting('wall-beside', 'cm', 'front-foot-line', 'wall', terms, limits)];
}

function calcWallAtShin({ skeleton, limitSteps: limits }: SolvedPose): Setting[] {
  const { foot, knee } = skeleton.legs.back;
  const terms = [
    plain('wall to the ankle of the foot against it', cmFromMetres(LYING_ANKLE)),
    link('back ankle to its knee along the mat', foot.ankle, knee, 0),
  ];
  return [makeSetting('back-knee-from-wall', 'cm', 'wall', 'back-knee', terms, limits)];
}

/** The toe tips touch the wall that the front sole goes up. */
function calcWallAtToes({ skeleton, limitSteps: limits }: SolvedPose): Setting[] {
  const { heel, ball, toe } = skeleton.legs.front.foot;
  const along = [link('front heel to the toe tips along the mat', heel, toe, 0)];
  const up = [link('front heel up to the ball of the foot', heel, ball, 2)];
  return [
    makeSetting('heel-from-wall', 'cm', 'wall', 'front-heel', along, limits),
    makeSetting('ball-up-wall', 'cm', 'mat', 'front-ball', up, []),
  ];
}

const calcWallAtFoot = (): Setting[] => [
  makeSetting(
    'foot-from-wall',
    'cm',
    'wall',
    'front-foot-edge',
    [plain('room for the foot, 5 to 8 cm', FOOT_FROM_WALL_CM)],
    [],
  ),
];

/** Where the upper hand touches the wall behind: above the mat, and along it from the front heel. */
function calcUpperHand({ skeleton, canonicalBody, limitSteps: limits }: SolvedPose): Setting[] {
  const { foot } = skeleton.legs.front;
  const { back } = skeleton.arms;
  const height = [
    plain('ankle height', cmFromMetres(canonicalBody.ankleHeight)),
    ...chainToShoulder(skeleton, 'back', 2),
    link('upper arm and hand upward', back.shoulder, back.palm, 2),
  ];
  const along = [
    link('heel to ankle', foot.heel, foot.ankle, 0),
    ...chainToShoulder(skeleton, 'back', 0),
    link('upper arm and hand along the mat', back.shoulder, back.palm, 0),
  ];
  return [
    makeSetting('upper-hand-height', 'cm', 'mat', 'upper-palm', height, limits),
    makeSetting('upper-hand-along', 'cm', 'front-heel', 'upper-palm', along, limits),
  ];
}

/** Distances to walls, by the support that names them. */
export const WALL_SETTINGS = {
  'wall-behind': calcWallBehind,
  'wall-ahead': calcWallAhead,
  'wall-beside': calcWallBeside,
  'wall-at-shin': calcWallAtShin,
  'wall-at-toes': calcWallAtToes,
  'wall-at-foot': calcWallAtFoot,
  'upper-hand-at-wall': calcUpperHand,
} as const;
