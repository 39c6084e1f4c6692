import type { Body } from '../body/body.ts';
import { distance, type Vec3 } from '../geometry/vector.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { Figure } from '../solver/figure.ts';
import { getQuantity } from '../solver/quantities.ts';
import type { Skeleton } from '../solver/skeleton.ts';
import { cmFromMetres, degreesFromRadians } from '../units/brands.ts';
import type { StancePlan } from './buildTask.ts';
import type { HeelLine } from './heelLine.ts';
import type { MatFit } from './mat.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { Setting, SettingId } from './setUp.ts';
import { closeSum, plain, share, term, type WorkingStep } from './working.ts';

/** All that settings are told from. */
export interface Solved {
  readonly pose: PoseDefinition;
  readonly rules: HouseRules;
  readonly body: Body;
  readonly figure: Figure;
  readonly skeleton: Skeleton;
  readonly stance: StancePlan;
  readonly heelLine: HeelLine;
  readonly mat: MatFit;
  /** How the depth came about, told as its working. */
  readonly depthWorking: readonly WorkingStep[];
  /** Joints at their limit, told beneath every solved number. */
  readonly limits: readonly WorkingStep[];
}

const toTenths = (value: number): number => Math.round(value * 10) / 10 + 0;

function make(
  id: SettingId,
  unit: Setting['unit'],
  from: string,
  to: string,
  terms: readonly WorkingStep[],
  limits: readonly WorkingStep[],
): Setting {
  const working = closeSum(id.replaceAll('-', ' '), terms, unit);
  const value = toTenths(working.at(-1)!.value);
  return { id, value, unit, from, to, plusMinus: null, working: [...working, ...limits] };
}

/** One link of a chain of body parts: its length and how far it leads along one axis. */
function link(text: string, from: Vec3, to: Vec3, axis: 0 | 1 | 2): WorkingStep {
  return share(text, cmFromMetres(distance(from, to)), cmFromMetres(to[axis] - from[axis]));
}

const AXIS_WORDS = ['along the mat', 'across the mat', 'upward'] as const;

/** From the front ankle up to the shoulder of the front side, part by part. */
function chainToFrontShoulder({ skeleton }: Solved, axis: 0 | 1 | 2): WorkingStep[] {
  const { front } = skeleton.legs;
  const { pelvisCentre } = skeleton.posture;
  const { shoulder } = skeleton.arms.front;
  const way = AXIS_WORDS[axis];
  return [
    link(`front shank ${way}`, front.foot.ankle, front.knee, axis),
    link(`front thigh ${way}`, front.knee, front.hip, axis),
    link(`half the hip line ${way}`, front.hip, pelvisCentre, axis),
    link(`trunk ${way}`, pelvisCentre, skeleton.chestCentre, axis),
    link(`half the shoulder line ${way}`, skeleton.chestCentre, shoulder, axis),
  ];
}

function calcStanceTerms(solved: Solved): WorkingStep[] {
  const { stance, skeleton, rules } = solved;
  const { definition, metres } = stance;
  const cm = cmFromMetres(skeleton.posture.stance);
  if (definition.kind === 'fixed') {
    return [
      plain(rules.fixedStanceCm === null ? 'a book’s three feet' : 'fixed by the house rule', cm),
    ];
  }
  const isRule = metres !== null && Math.abs(metres - skeleton.posture.stance) < 1e-4;
  if (isRule && (definition.kind === 'times' || definition.kind === 'longest-up-to')) {
    const unit = cmFromMetres(metres) / definition.factor;
    const name = definition.of === 'leg-length' ? 'front leg length' : 'wrist span';
    return [
      term(
        `${name} × the rule’s factor`,
        `${unit.toFixed(2)} × ${String(definition.factor)}`,
        cm,
        'cm',
      ),
    ];
  }
  const { front, back } = skeleton.legs;
  const backIsUp = solved.pose.backHeelLift !== null;
  return [
    link('back leg, shank, along the mat', back.foot.ankle, back.knee, 0),
    link('back leg, thigh, along the mat', back.knee, back.hip, 0),
    link('hip line along the mat', back.hip, front.hip, 0),
    link('front thigh along the mat', front.hip, front.knee, 0),
    link('front shank along the mat', front.knee, front.foot.ankle, 0),
    backIsUp
      ? link('back ball to ankle along the mat', back.foot.ball, back.foot.ankle, 0)
      : link('back heel to ankle along the mat', back.foot.heel, back.foot.ankle, 0),
    link('front ankle back to its heel', front.foot.ankle, front.foot.heel, 0),
  ];
}

/** Terms of a hand that rests under the front shoulder: height, ahead of the toes, beside the foot. */
function calcHandSettings(solved: Solved): Setting[] {
  const { skeleton, pose, figure, limits } = solved;
  if (pose.arms.front.reach !== 'down') return [];
  const bothHands = pose.arms.back.reach === 'down';
  const { front: arm, back: other } = skeleton.arms;
  const { foot } = skeleton.legs.front;
  // One prop height serves both hands: the higher need, so that neither arm is overreached.
  const usesOther = bothHands && other.palm[2] > arm.palm[2];
  const palm = usesOther ? other.palm : arm.palm;
  const height = [
    plain('ankle height', cmFromMetres(figure.ankleHeight)),
    ...chainToFrontShoulder(solved, 2),
    ...(usesOther ? [link('across to the other shoulder', arm.shoulder, other.shoulder, 2)] : []),
    link('arm down to the palm', usesOther ? other.shoulder : arm.shoulder, palm, 2),
  ];
  const toeFromAnkle = -cmFromMetres(foot.toe[0] - foot.ankle[0]);
  const ahead = [
    plain('front toe tip back to the ankle', toeFromAnkle),
    ...chainToFrontShoulder(solved, 0),
    link('arm along the mat', arm.shoulder, arm.palm, 0),
  ];
  const chain = chainToFrontShoulder(solved, 1);
  // Chain terms run to the left of a right front leg; its little toe lies to the right.
  const beside = [...chain, link('arm across the mat', arm.shoulder, arm.palm, 1)].map((step) => ({
    ...step,
    expression: `-1 × ${step.expression ?? ''}`,
    value: -step.value,
  }));
  return [
    make('hand-height', 'cm', 'mat', 'palm', height, limits),
    make('hand-ahead', 'cm', 'front-toes', 'palm', ahead, limits),
    make('hand-beside', 'cm', 'front-foot-line', 'palm', beside, limits),
  ];
}

function calcAngleSettings(solved: Solved): Setting[] {
  const { pose, skeleton, limits } = solved;
  const degrees = (quantity: QuantityId): number =>
    degreesFromRadians(getQuantity(quantity).calc(skeleton));
  const solvedTerm = (text: string, value: number): WorkingStep =>
    term(text, value.toFixed(2), value, 'deg');
  const shortOf = (text: string, goal: number, value: number): WorkingStep[] => [
    solvedTerm(text, goal),
    solvedTerm('less what was solved for', -value),
  ];
  const turn = degrees('pelvis-turn');
  const square = pose.family === 'open' ? 90 : 0;
  const settings = [
    make(
      'pelvis-short-of-square',
      'deg',
      pose.family === 'open' ? 'long-edge' : 'front-edge',
      'pelvis',
      pose.family === 'open'
        ? shortOf('square to the long edge', square, turn)
        : [solvedTerm('pelvis turned from the front edge', turn)],
      limits,
    ),
    make(
      'pelvis-level',
      'deg',
      'horizontal',
      'hip-line',
      [solvedTerm('hip line’s slope, + front side lower', degrees('pelvis-level'))],
      limits,
    ),
  ];
  const { chestTarget } = pose;
  if (chestTarget !== null) {
    const toward = skeleton.chest.forward[chestTarget === 'long-edge' ? 1 : 0];
    const facing = degreesFromRadians(Math.acos(Math.max(-1, Math.min(1, toward))));
    const edge = chestTarget === 'long-edge' ? 'long edge' : 'front edge';
    settings.push(
      make(
        'chest-short-of-target',
        'deg',
        edge.replace(' ', '-'),
        'chest',
        [solvedTerm(`chest’s facing against square to the ${edge}`, facing)],
        limits,
      ),
    );
  }
  return settings;
}

/** Every number to set, each with the sum that a pencil can follow. */
export function calcSettings(solved: Solved): Setting[] {
  const { pose, rules, skeleton, heelLine, mat, depthWorking, limits } = solved;
  const { posture, legs } = skeleton;
  const stance = calcStanceTerms(solved);
  const isUp = pose.backHeelLift !== null;
  const backMark = isUp ? 'back-ball' : 'back-heel';
  const lift = degreesFromRadians(posture.backHeelLift);
  const stanceIsSolved = stance.length > 1;
  const backFoot = degreesFromRadians(posture.backFootYaw);
  const footText =
    rules.backFootDeg === null && pose.backFootYaw.kind === 'free'
      ? 'weighed between the school’s angle and the joints'
      : 'set by the house rule or the pose';
  const frontFoot = degreesFromRadians(
    Math.atan2(legs.front.foot.frame.forward[1], legs.front.foot.frame.forward[0]),
  );
  const knee = degreesFromRadians(legs.front.kneeFlexion);
  const isDepth = pose.depth.quantity === 'front-knee-bend';
  const kneeTerms = isDepth
    ? depthWorking
    : closeSum('front knee bend', [term('held straight', knee.toFixed(2), knee, 'deg')], 'deg');
  return [
    make('stance-length', 'cm', 'front-heel', backMark, stance, stanceIsSolved ? limits : []),
    make(
      'stance-width',
      'cm',
      'front-heel-line',
      backMark,
      heelLine.working(posture.backFootYaw),
      [],
    ),
    make(
      'front-foot-angle',
      'deg',
      'mat-line',
      'front-foot',
      [term('turned out by the school', (-frontFoot).toFixed(2), -frontFoot, 'deg')],
      [],
    ),
    make(
      'back-foot-angle',
      'deg',
      'mat-line',
      'back-foot',
      [term(footText, backFoot.toFixed(2), backFoot, 'deg')],
      limits,
    ),
    ...(isUp
      ? [
          make(
            'back-heel-lift',
            'deg',
            'mat',
            'back-sole',
            [term('weighed between the wish and the joints', lift.toFixed(2), lift, 'deg')],
            limits,
          ),
        ]
      : []),
    {
      id: 'front-knee-bend',
      value: toTenths(knee),
      unit: 'deg',
      from: 'straight',
      to: 'front-knee',
      plusMinus: null,
      working: kneeTerms,
    },
    ...calcAngleSettings(solved),
    ...calcHandSettings(solved),
    make('front-heel-from-mat-edge', 'cm', 'mat-front-edge', 'front-heel', mat.working, []),
    make(
      isUp ? 'back-ball-from-mat-edge' : 'back-heel-from-mat-edge',
      'cm',
      'mat-front-edge',
      backMark,
      [...mat.working, plain('stance length', cmFromMetres(posture.stance))],
      [],
    ),
  ];
}
