import { HALF_THIGH_CM } from '../body/proportions.ts';
import { distance, lerp } from '../geometry/vector.ts';
import { otherSide } from '../measures/protocol.ts';
import type { SupportKind } from '../poses/poseDefinition.ts';
import { KNEE_PAD, LYING_ANKLE } from '../skeleton/foot.ts';
import { findBonyPoints } from '../skeleton/bonyPoints.ts';
import { cmFromMetres } from '../units/brands.ts';
import { chainToPelvis, chainToShoulder, link } from './chain.ts';
import { makeSetting } from './makeSetting.ts';
import type { Setting } from './setUp.ts';
import type { SolvedPose } from './solved.ts';
import { calcLoop, calcStrapToOwn } from './strap.ts';
import { negate, plain, term } from '../planning/working.ts';

/** A seat carries the thigh at its middle. Our choice. */
export const SEAT_SHARE = 0.5;
/** A loop lies this far below the hip on the front thigh, as a share of it. Our choice. */
export const LOOP_SHARE = 0.12;
/** A strap between the hands, to begin the trial with, cm. Common practice, no source. */
const BIND_STRAP_CM = 60;
/** A back at a wall keeps its standing foot at least this far from it, cm. Common practice, no source. */
const LEAST_FROM_WALL_CM = 5;

function calcThighSupport({ skeleton, canonicalBody, limitSteps: limits }: SolvedPose): Setting[] {
  const { foot, knee, hip } = skeleton.legs.front;
  const middle = lerp(knee, hip, SEAT_SHARE);
  const terms = [
    plain('ankle height', cmFromMetres(canonicalBody.ankleHeight)),
    link('front shank upward', foot.ankle, knee, 2),
    link('front thigh upward to its middle', knee, middle, 2),
    plain('half the thigh’s depth', -HALF_THIGH_CM),
  ];
  return [makeSetting('thigh-support', 'cm', 'mat', 'under-front-thigh', terms, limits)];
}

function calcHeelWedge({ skeleton, limitSteps: limits }: SolvedPose): Setting[] {
  const { ball, heel } = skeleton.legs.back.foot;
  const terms = [link('ball of the back foot up to its heel', ball, heel, 2)];
  return [makeSetting('heel-wedge', 'cm', 'mat', 'back-heel', terms, limits)];
}

function calcBallBlock({ skeleton }: SolvedPose): Setting[] {
  const { ball, heel } = skeleton.legs.front.foot;
  const terms = [link('front heel up to the ball', heel, ball, 2)];
  return [makeSetting('front-ball-block', 'cm', 'mat', 'front-ball', terms, [])];
}

const calcKneePad = (): Setting[] => [
  makeSetting('knee-pad', 'cm', 'mat', 'back-knee', [plain('pad', cmFromMetres(KNEE_PAD))], []),
];

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

function calcFootToThighStrap({
  skeleton,
  body,
  frontSide,
  limitSteps: limits,
}: SolvedPose): Setting[] {
  const { front, back } = skeleton.legs;
  const onThigh = lerp(front.hip, front.knee, LOOP_SHARE);
  const straight = cmFromMetres(distance(back.foot.heel, onThigh));
  const there = 'there and back from the back heel to the front thigh';
  const loop = calcLoop(term(there, `2 × ${straight.toFixed(2)}`, 2 * straight, 'cm'), {
    thigh: cmFromMetres(body.thighGirth[frontSide]),
    foot: cmFromMetres(body.footGirth[otherSide(frontSide)]),
  });
  const own = calcStrapToOwn(loop);
  return [
    makeSetting('loop-length', 'cm', 'back-foot', 'front-thigh', loop, limits),
    makeSetting('strap-to-own', 'cm', 'strap-end', 'strap-end', own, []),
  ];
}

const calcBindStrap = (): Setting[] => [
  makeSetting(
    'bind-strap',
    'cm',
    'hand',
    'hand',
    [plain('to begin the trial with: shoulders are not measured', BIND_STRAP_CM)],
    [],
  ),
];

const CALC: Readonly<Record<SupportKind, (solved: SolvedPose) => Setting[]>> = {
  'under-front-thigh': calcThighSupport,
  'heel-wedge': calcHeelWedge,
  'knee-pad': calcKneePad,
  'front-ball-block': calcBallBlock,
  'wall-behind': calcWallBehind,
  'wall-ahead': calcWallAhead,
  'wall-beside': calcWallBeside,
  'wall-at-shin': calcWallAtShin,
  'strap-foot-to-thigh': calcFootToThighStrap,
  'bind-strap': calcBindStrap,
};

/**
 * Heights, distances and lengths of what a pose is leant on or held with.
 *
 * @param solved the solved posture
 * @returns cm, each with its sum
 */
export const calcSupportSettings = (solved: SolvedPose): Setting[] =>
  (solved.pose.supports ?? []).flatMap((kind) => CALC[kind](solved));
