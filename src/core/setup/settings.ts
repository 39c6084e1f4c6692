import type { Vec3 } from '../geometry/vector.ts';
import { standsOnBentBackKnee } from '../poses/poseDefinition.ts';
import type { Place, PoseDefinition } from '../poses/poseDefinition.ts';
import type { LegPose } from '../skeleton/leg.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/residuals.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { cmFromMetres, degreesFromRadians } from '../units/brands.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import { chainDownBackLeg, chainToPelvis, link } from './chain.ts';
import { calcHandSettings } from './handSettings.ts';
import { makeSetting } from './makeSetting.ts';
import { resolveRule } from '../planning/resolveRule.ts';
import { calcSupportSettings } from './supportSettings.ts';
import type { Setting, SettingId } from './setUp.ts';
import type { Solved } from './solved.ts';
import { plain, term, type WorkingStep } from '../planning/working.ts';

function calcStanceTerms(solved: Solved): WorkingStep[] {
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
function findBackMark({
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

const findBackPoint = ({ skeleton: { legs }, pose }: Solved): Vec3 => {
  const mark = findBackMark(pose);
  if (mark === 'back-knee') return legs.back.knee;
  return mark === 'back-ball' ? legs.back.foot.ball : legs.back.foot.heel;
};

/** From the back mark up to the back hip, along the mat. */
function chainFromBackMark(solved: Solved): WorkingStep[] {
  const { back } = solved.skeleton.legs;
  const thigh = link('back leg, thigh, along the mat', back.knee, back.hip, 0);
  const mark = findBackMark(solved.pose);
  if (mark === 'back-knee') return [thigh];
  const toAnkle = `${mark ?? ''} to ankle along the mat`.replace('-', ' ');
  return [
    link(toAnkle, findBackPoint(solved), back.foot.ankle, 0),
    link('back leg, shank, along the mat', back.foot.ankle, back.knee, 0),
    thigh,
  ];
}

/** How far the pelvis stays short of where the textbook has it face. */
function calcPelvisSettings(
  { pelvisFaces }: PoseDefinition,
  degrees: (quantity: QuantityId) => number,
  limits: readonly WorkingStep[],
): Setting[] {
  const step = (text: string, value: number): WorkingStep =>
    term(text, value.toFixed(2), value, 'deg');
  const shortOf = (text: string, quantity: QuantityId): WorkingStep[] => [
    step(text, SQUARE_DEG),
    step('less what was solved for', -degrees(quantity)),
  ];
  switch (pelvisFaces) {
    case 'long-edge': {
      const terms = shortOf('square to the long edge', 'pelvis-turn');
      return [makeSetting('pelvis-short-of-square', 'deg', 'long-edge', 'pelvis', terms, limits)];
    }
    case 'front': {
      const terms = [step('pelvis turned from the front edge', degrees('pelvis-turn'))];
      return [makeSetting('pelvis-short-of-square', 'deg', 'front-edge', 'pelvis', terms, limits)];
    }
    case 'stacked': {
      const terms = shortOf('one hip straight over the other', 'pelvis-stacking');
      return [
        makeSetting('pelvis-short-of-stacked', 'deg', 'stacked-hips', 'pelvis', terms, limits),
      ];
    }
  }
}

const SQUARE_DEG = 90;

function calcAngleSettings(solved: Solved): Setting[] {
  const { pose, skeleton, limitSteps: limits } = solved;
  const degrees = (quantity: QuantityId): number =>
    degreesFromRadians(getQuantity(quantity).calc(skeleton));
  const solvedTerm = (text: string, value: number): WorkingStep =>
    term(text, value.toFixed(2), value, 'deg');
  const settings = [
    ...calcPelvisSettings(pose, degrees, limits),
    makeSetting(
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
      makeSetting(
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

/** What only some poses have: a lifted leg, a sole on the other leg, a tilt, a twist. */
function calcShapeSettings({ pose, skeleton, figure, limitSteps: limits }: Solved): Setting[] {
  const settings: Setting[] = [];
  const told = (
    id: SettingId,
    from: string,
    to: string,
    text: string,
    quantity: QuantityId,
  ): void => {
    const value = toOwnUnit(quantity, skeleton);
    const unit = getQuantity(quantity).kind === 'length' ? 'cm' : 'deg';
    const step = term(text, value.toFixed(2), value, unit);
    settings.push(makeSetting(id, unit, from, to, [step], limits));
  };
  const says = (quantity: QuantityId): boolean =>
    [pose.depth, pose.firstDepth].some((each) => each?.quantity === quantity);
  if (says('pelvis-tilt')) {
    told('pelvis-tilt', 'upright', 'pelvis', 'front rim down, solved for', 'pelvis-tilt');
  }
  if (says('trunk-lean')) told('trunk-lean', 'upright', 'trunk', 'lean, solved for', 'trunk-lean');
  if (says('spine-side-bend')) {
    told('side-bend', 'long-sides', 'trunk', 'toward the back leg, solved for', 'spine-side-bend');
  }
  if (says('chest-turned-to-front-leg')) {
    const text = 'from facing the floor, solved for';
    told('chest-turned', 'facing-the-floor', 'chest', text, 'chest-turned-to-front-leg');
    told('spine-share-of-twist', 'pelvis', 'chest', 'the spine’s own turn', 'spine-rotation');
  }
  if (says('hips-ahead-of-back-knee')) {
    const text = 'hips ahead of the knee, solved for';
    told('hips-ahead-of-back-knee', 'back-knee', 'hips', text, 'hips-ahead-of-back-knee');
  }
  if (pose.backContact === 'lifted') {
    told('lifted-leg', 'hanging', 'back-leg', 'lift, solved for', 'back-leg-lift');
    const height = [
      plain('front ankle height', cmFromMetres(figure.ankleHeight)),
      ...chainToPelvis(skeleton, 2),
      ...chainDownBackLeg(skeleton, 2),
    ];
    settings.push(makeSetting('lifted-ankle-height', 'cm', 'mat', 'back-ankle', height, limits));
  }
  if (pose.backContact === 'on-front-leg') {
    told('knee-out', 'straight-ahead', 'back-knee', 'turned out, solved for', 'back-knee-out');
    const { ankle, toe } = skeleton.legs.back.foot;
    const sole = [
      plain('ankle of the lifted foot above the mat', cmFromMetres(ankle[2])),
      link('ankle down to its toes', ankle, [ankle[0], ankle[1], toe[2]], 2),
    ];
    settings.push(makeSetting('sole-height', 'cm', 'mat', 'toes-of-lifted-foot', sole, []));
  }
  return settings;
}

const toOwnUnit = (quantity: QuantityId, skeleton: Skeleton): number =>
  toScaled(quantity, getQuantity(quantity).calc(skeleton));

/** A knee counts as over its ankle within this, along and across, metres. */
const OVER_WITHIN = 0.01;
const isOverItsAnkle = ({ knee, foot: { ankle } }: LegPose): boolean =>
  Math.max(Math.abs(knee[0] - ankle[0]), Math.abs(knee[1] - ankle[1])) < OVER_WITHIN;

/** A knee's bend: the working of its depth if it is one, else what it is held at. */
function calcKneeSetting(solved: Solved, place: Place): Setting {
  const { depths, skeleton, pose, limitSteps: limits } = solved;
  const leg = skeleton.legs[place];
  const knee = degreesFromRadians(leg.kneeFlexion);
  const depth = depths.find((each) => each?.id === `${place}-knee-bend`);
  const held = pose.straightLegs.includes(place) ? 'held straight' : 'bent, solved for';
  const made = makeSetting(
    `${place}-knee-bend`,
    'deg',
    'straight',
    isOverItsAnkle(leg) ? `${place}-knee-over-its-ankle` : `${place}-knee`,
    [term(held, knee.toFixed(2), knee, 'deg')],
    pose.straightLegs.includes(place) ? [] : limits,
  );
  return depth === undefined || depth === null
    ? made
    : { ...made, working: [...depth.working, ...limits] };
}

/** Feet, stance and marks: what is set before anyone steps on. */
function calcFeetSettings(solved: Solved): Setting[] {
  const { pose, rules, skeleton, heelLine, limitSteps: limits } = solved;
  const { posture } = skeleton;
  const backMark = findBackMark(pose);
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
        ? 'weighed between the school’s angle and the joints'
        : 'set by the house rule or the pose';
    const angle = [term(text, backFoot.toFixed(2), backFoot, 'deg')];
    settings.push(makeSetting('back-foot-angle', 'deg', 'mat-line', 'back-foot', angle, limits));
  }
  if (pose.backHeelLift !== null) {
    const lift = degreesFromRadians(posture.parts.backHeelLift);
    const text = 'weighed between the wish and the joints';
    const terms = [term(text, lift.toFixed(2), lift, 'deg')];
    settings.push(makeSetting('back-heel-lift', 'deg', 'mat', 'back-sole', terms, limits));
  }
  return settings;
}

function calcMatMarks(solved: Solved): Setting[] {
  const { pose, mat, stance } = solved;
  const backMark = findBackMark(pose);
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

/** Every number to set, each with the sum that a pencil can follow. */
export function calcSettings(solved: Solved): Setting[] {
  const { pose } = solved;
  return [
    ...calcFeetSettings(solved),
    calcKneeSetting(solved, 'front'),
    ...(standsOnBentBackKnee(pose) ? [calcKneeSetting(solved, 'back')] : []),
    ...calcAngleSettings(solved),
    ...calcShapeSettings(solved),
    ...calcHandSettings(solved),
    ...calcSupportSettings(solved),
    ...calcMatMarks(solved),
  ];
}
