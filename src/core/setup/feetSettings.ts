import type { SolvedPose } from './solved.ts';
import { type WorkingStep, plain, term } from '../planning/working.ts';
import { cmFromMetres, degreesFromRadians } from '../units/brands.ts';
import { link } from './chain.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { Vec3 } from '../geometry/vector.ts';
import type { Setting } from './setUp.ts';
import { makeSetting } from './makeSetting.ts';
import { resolveRule } from '../planning/resolveRule.ts';

function calcStanceTerms(solved: SolvedPose): WorkingStep[] {
  const { stance, skeleton, rules } = solved;
  const { definition, metres } = stance;
  const cm = cmFromMetres(skeleton.posture.parts.stance);
  if (definition.kind === 'fixed') {
    return [
      plain(rules.fixedStanceCm === null ? 'a book’s three feet' : 'fixed by the house rule', cm),
    ];
  }
  const isRule = metres !== null && Math.abs(metres - skeleton.posture.parts.stance) < 1e-4;
  if (isRule && (definition.kind === 'times' || definition.kind === 'longest-up-to')) {
    const eased = solved.pose.stanceShare ?? 1;
    const factor = definition.factor * eased;
    const unit = cmFromMetres(metres) / factor;
    const name = definition.of === 'leg-length' ? 'front leg length' : 'wrist span';
    return [
      term(`${name} × the rule’s factor`, `${unit.toFixed(2)} × ${String(factor)}`, cm, 'cm'),
    ];
  }
  const { front, back } = skeleton.legs;
  return [
    ...chainFromBackMark(solved),
    link('hip line along the mat', back.hip, front.hip, 0),
    link('front thigh along the mat', front.hip, front.knee, 0),
    link('front shank along the mat', front.knee, front.foot.ankle, 0),
    link('front ankle back to its heel', front.foot.ankle, front.foot.heel, 0),
  ];
}

/** What the back end of a stance is measured to. */
function findBackEndMark({
  backContact,
}: PoseDefinition): 'back-heel' | 'back-ball' | 'back-knee' | null {
  switch (backContact) {
    case 'flat':
      return 'back-heel';
    case 'ball':
      return 'back-ball';
    case 'knee-toes-tucked':
    case 'knee-foot-flat':
    case 'shin-on-wall':
    case 'shin-leaning-on-wall':
      return 'back-knee';
    case 'lifted':
    case 'on-front-leg':
      return null;
  }
}

const findBackPoint = ({ skeleton: { legs }, pose }: SolvedPose): Vec3 => {
  const mark = findBackEndMark(pose);
  if (mark === 'back-knee') return legs.back.knee;
  return mark === 'back-ball' ? legs.back.foot.ball : legs.back.foot.heel;
};

/** From the back mark up to the back hip, along the mat. */
function chainFromBackMark(solved: SolvedPose): WorkingStep[] {
  const { back } = solved.skeleton.legs;
  const thigh = link('back leg, thigh, along the mat', back.knee, back.hip, 0);
  const mark = findBackEndMark(solved.pose);
  if (mark === 'back-knee') return [thigh];
  const toAnkle = `${mark ?? ''} to ankle along the mat`.replace('-', ' ');
  return [
    link(toAnkle, findBackPoint(solved), back.foot.ankle, 0),
    link('back leg, shank, along the mat', back.foot.ankle, back.knee, 0),
    thigh,
  ];
}

/**
 * Feet, stance and marks: what is set before anyone steps on.
 *
 * @param solved the solved posture
 * @returns cm and degrees, each with its sum
 */
export function calcFeetSettings(solved: SolvedPose): Setting[] {
  const { pose, rules, skeleton, heelLine, limitSteps: limits } = solved;
  const { posture } = skeleton;
  const backMark = findBackEndMark(pose);
  const hasStance = backMark !== null && solved.stance.definition.kind !== 'none';
  const settings: Setting[] = [];
  if (hasStance) {
    const stance = calcStanceTerms(solved);
    settings.push(
      makeSetting(
        'stance-length',
        'cm',
        'front-heel',
        backMark,
        stance,
        stance.length > 1 ? limits : [],
      ),
    );
  }
  if (backMark !== null) {
    const wider = cmFromMetres(posture.parts.widening);
    const working = [
      ...heelLine.working(posture.parts.backFootYaw),
      ...(wider === 0 ? [] : [plain('the front foot’s step outward, solved for', wider)]),
    ];
    settings.push(makeSetting('stance-width', 'cm', 'front-heel-line', backMark, working, []));
  }
  // Out from the mat's line: to the right for a right front foot, or to the long edge both feet face.
  const facesEdge = Math.abs(posture.parts.frontFootYaw) > Math.PI / 4;
  const frontFoot = degreesFromRadians(posture.parts.frontFootYaw) * (facesEdge ? -1 : 1);
  const frontText = pose.frontFootYaw.kind === 'free' ? 'solved for' : 'turned out by the school';
  const frontTerm = term(frontText, (-frontFoot).toFixed(2), -frontFoot, 'deg');
  settings.push(makeSetting('front-foot-angle', 'deg', 'mat-line', 'front-foot', [frontTerm], []));
  if (pose.backContact === 'flat' || pose.backContact === 'ball') {
    const backFoot = degreesFromRadians(posture.parts.backFootYaw);
    const text =
      rules.backFootDeg === null && resolveRule(pose.backFootYaw, rules).kind === 'free'
        ? 'balanced between the school’s angle and the joints'
        : 'set by the house rule or the pose';
    const angle = [term(text, backFoot.toFixed(2), backFoot, 'deg')];
    settings.push(makeSetting('back-foot-angle', 'deg', 'mat-line', 'back-foot', angle, limits));
  }
  if (pose.backHeelLift !== null) {
    const lift = degreesFromRadians(posture.parts.backHeelLift);
    const text = 'balanced between the wish and the joints';
    const terms = [term(text, lift.toFixed(2), lift, 'deg')];
    settings.push(makeSetting('back-heel-lift', 'deg', 'mat', 'back-sole', terms, limits));
  }
  return settings;
}

/**
 * Where the heels or the back knee are marked on the mat.
 *
 * @param solved the solved posture
 * @returns distances from the mat's edges, cm
 */
export function calcMatMarks(solved: SolvedPose): Setting[] {
  const { pose, mat, stance } = solved;
  const backMark = findBackEndMark(pose);
  const front = makeSetting(
    'front-heel-from-mat-edge',
    'cm',
    'mat-front-edge',
    'front-heel',
    mat.working,
    [],
  );
  if (backMark === null || stance.definition.kind === 'none') return [front];
  const length = -cmFromMetres(findBackPoint(solved)[0]);
  const terms = [...mat.working, plain('stance length', length)];
  return [
    front,
    makeSetting(`${backMark}-from-mat-edge`, 'cm', 'mat-front-edge', backMark, terms, []),
  ];
}
