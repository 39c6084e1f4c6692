import { distance, type Vec3 } from '../geometry/vector.ts';
import { PLACES, restsOnProp } from '../poses/poseDefinition.ts';
import { findBonyPoints } from '../skeleton/bonyPoints.ts';
import { cmFromMetres, degreesFromRadians } from '../units/brands.ts';
import { negate, plain, term } from '../planning/working.ts';
import { chainToShoulder, link } from './chain.ts';
import { makeSetting } from './makeSetting.ts';
import type { Setting } from './setUp.ts';
import type { SolvedPose } from './solved.ts';

/**
 * A chair behind the back whose rail meets the lower edge of the shoulder blade on the side
 * of the lower hand: how high that is, how far behind the front foot's line, and where along it.
 */
function calcChairBehind({ skeleton, canonicalBody, limitSteps: limits }: SolvedPose): Setting[] {
  const { foot } = skeleton.legs.front;
  const { shoulder } = skeleton.arms.front;
  const blade = findBonyPoints(canonicalBody, skeleton).bladeEdge.front;
  const chain = (axis: 0 | 1 | 2) => [
    ...chainToShoulder(skeleton, 'front', axis),
    link('shoulder to the lower edge of its blade (estimated)', shoulder, blade, axis),
  ];
  const height = [plain('ankle height', cmFromMetres(canonicalBody.ankleHeight)), ...chain(2)];
  const behind = [link('heel to ankle', foot.heel, foot.ankle, 1), ...chain(1)].map(negate);
  const along = [link('heel to ankle', foot.heel, foot.ankle, 0), ...chain(0)];
  return [
    makeSetting('rail-height', 'cm', 'mat', 'lower-shoulder-blade', height, limits),
    makeSetting('chair-behind', 'cm', 'front-foot-line', 'chair-rail', behind, limits),
    makeSetting('chair-along', 'cm', 'front-heel', 'lower-shoulder-blade', along, limits),
  ];
}

/** A block for each side, when the feet stay and only turn: how far apart they stand along the mat. */
function calcSecondBlock({ skeleton, limitSteps: limits }: SolvedPose): Setting[] {
  const { front, back } = skeleton.legs;
  const ahead = cmFromMetres(skeleton.arms.front.palm[0] - front.foot.heel[0]);
  const terms = [
    link('stance, heel to heel', back.foot.heel, front.foot.heel, 0),
    term(
      'the hand from the front heel, once for each side',
      `2 × ${ahead.toFixed(2)}`,
      2 * ahead,
      'cm',
    ),
  ];
  return [makeSetting('blocks-apart', 'cm', 'block', 'block-of-the-other-side', terms, limits)];
}

/** Both hands on blocks: how far apart, and how far the second has come in with the chest's turn. */
function calcTwoBlocks({ skeleton, canonicalBody, limitSteps: limits }: SolvedPose): Setting[] {
  const { front, back } = skeleton.arms;
  const apart = [
    link('shoulder line across the mat', front.shoulder, back.shoulder, 1),
    link('front arm across the mat', front.palm, front.shoulder, 1),
    link('back arm across the mat', back.shoulder, back.palm, 1),
  ];
  const comesIn = [
    plain('shoulders level', cmFromMetres(2 * canonicalBody.halfShoulders)),
    negate(link('less how far apart the hands are', front.palm, back.palm, 1)),
  ];
  return [
    makeSetting('hands-apart', 'cm', 'palm', 'palm', apart, limits),
    makeSetting('second-block-in', 'cm', 'shoulder-width', 'second-block', comesIn, limits),
  ];
}

/** A shoulder lower than this share of the upper arm's length above the prop leaves the forearm on it. */
const FOREARM_RESTS = 1;

/** The angle at the elbow between two lengths and the line that they span, degrees. */
function calcElbow(shoulder: Vec3, elbow: Vec3, wrist: Vec3) {
  const [upper, lower, span] = [
    distance(shoulder, elbow),
    distance(elbow, wrist),
    distance(shoulder, wrist),
  ];
  const cosine = (upper ** 2 + lower ** 2 - span ** 2) / (2 * upper * lower);
  return {
    lengths: [upper, lower, span].map((each) => cmFromMetres(each).toFixed(2)),
    degrees: degreesFromRadians(Math.acos(Math.max(-1, Math.min(1, cosine)))),
  };
}

/**
 * The bend of an elbow whose hand stands higher than a straight arm would, or lower than one
 * that is too long for the trunk.
 *
 * @returns degrees, by the law of cosines; none where the arms are straight by intention
 */
export function calcElbowSetting({ pose, skeleton, limitSteps: limits }: SolvedPose): Setting[] {
  const place = PLACES.find((each) => restsOnProp(pose.arms[each]));
  if (place === undefined || pose.handsOn?.elbows !== 'bent') return [];
  const { shoulder, elbow, wrist, palm } = skeleton.arms[place];
  const { lengths, degrees } = calcElbow(shoulder, elbow, wrist);
  const [upper = '', lower = '', span = ''] = lengths;
  const between = `acos((${upper} × ${upper} + ${lower} × ${lower} − ${span} × ${span}) / (2 × ${upper} × ${lower}))`;
  const terms = [
    term('a straight elbow', '180', 180, 'deg'),
    term('less the angle between upper arm and forearm', `−${between}`, -degrees, 'deg'),
  ];
  const isForearm = shoulder[2] - palm[2] <= FOREARM_RESTS * distance(shoulder, elbow);
  const to = isForearm ? 'forearm-on-its-support' : 'elbow';
  return [makeSetting('elbow-bend', 'deg', 'straight', to, terms, limits)];
}

/** Places and heights of what the hands are near, by the support that names them. */
export const HAND_SUPPORT_SETTINGS = {
  'chair-behind': calcChairBehind,
  'second-block': calcSecondBlock,
  'two-blocks': calcTwoBlocks,
} as const;
