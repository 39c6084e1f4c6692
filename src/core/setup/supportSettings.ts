import { HALF_THIGH_CM } from '../body/proportions.ts';
import { distance, lerp } from '../geometry/vector.ts';
import { otherSide } from '../measures/protocol.ts';
import type { SupportKind } from '../poses/poseDefinition.ts';
import { KNEE_PAD } from '../skeleton/foot.ts';
import { cmFromMetres } from '../units/brands.ts';
import { link } from './chain.ts';
import { HAND_SUPPORT_SETTINGS } from './handSupportSettings.ts';
import { makeSetting } from './makeSetting.ts';
import type { Setting } from './setUp.ts';
import type { SolvedPose } from './solved.ts';
import { calcLoop, calcStrapToOwn } from './strap.ts';
import { plain, term } from '../planning/working.ts';
import { WALL_SETTINGS } from './wallSettings.ts';

/** A seat carries the thigh at its middle. Our choice. */
export const SEAT_SHARE = 0.5;
/** A loop lies this far below the hip on the front thigh, as a share of it. Our choice. */
export const LOOP_SHARE = 0.12;
/** A strap between the hands, to begin the trial with, cm. Common practice, no source. */
const BIND_STRAP_CM = 60;

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
  ...WALL_SETTINGS,
  ...HAND_SUPPORT_SETTINGS,
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
