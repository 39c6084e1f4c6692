import type { PoseDefinition, Place } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import { type WorkingStep, term, plain } from '../planning/working.ts';
import type { Setting } from './setUp.ts';
import type { SettingId } from './settingKinds.ts';
import { makeSetting } from './makeSetting.ts';
import type { SolvedPose } from './solved.ts';
import { degreesFromRadians, cmFromMetres } from '../units/brands.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { chainToPelvis, chainDownBackLeg, link } from './chain.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { toScaled } from '../conditions/violation.ts';
import type { LegPose } from '../skeleton/leg.ts';

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

/**
 * Angles of knees, pelvis, trunk and spine that are set or looked at.
 *
 * @param solved the solved posture
 * @returns degrees, each with its sum
 */
export function calcAngleSettings(solved: SolvedPose): Setting[] {
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

/**
 * What only some poses have: a lifted leg, a sole on the other leg, a tilt, a twist.
 *
 * @returns cm and degrees, each with its sum
 */
export function calcShapeSettings({
  pose,
  skeleton,
  canonicalBody,
  limitSteps: limits,
}: SolvedPose): Setting[] {
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
      plain('front ankle height', cmFromMetres(canonicalBody.ankleHeight)),
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

/**
 * A knee's bend: the working of its depth if it is one, else what it is held at.
 *
 * @param solved the solved posture
 * @param place front or back leg
 * @returns degrees
 */
export function calcKneeSetting(solved: SolvedPose, place: Place): Setting {
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
