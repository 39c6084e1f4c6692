import { distance } from '../geometry/vector.ts';
import { PLACES, type Place, restsOnProp } from '../poses/poseDefinition.ts';
import { cmFromMetres } from '../units/brands.ts';
import { chainToShoulder, link } from './chain.ts';
import type { Setting } from './setUp.ts';
import { makeSetting } from './makeSetting.ts';
import type { SolvedPose } from './solved.ts';
import { negate, plain } from '../planning/working.ts';

/**
 * Height, ahead of the toes and beside the foot of a hand that hangs to a prop or the floor.
 *
 * @returns cm, each with its sum
 */
export function calcHandSettings({
  skeleton,
  pose,
  canonicalBody,
  limitSteps: limits,
}: SolvedPose): Setting[] {
  const hands = PLACES.filter((place) => restsOnProp(pose.arms[place]));
  const [first] = hands;
  if (first === undefined) {
    if (pose.arms.front.reach !== 'on-front-shin') return [];
    const { foot } = skeleton.legs.front;
    const upShin = cmFromMetres(distance(foot.ankle, skeleton.arms.front.palm));
    const up = [plain('ankle to palm along the shin, solved for', upShin)];
    return [makeSetting('hand-up-shin', 'cm', 'front-ankle', 'palm', up, limits)];
  }
  const { arms } = skeleton;
  // One prop height serves both hands: the higher need, so that neither arm is overreached.
  const highest = (a: Place, b: Place): Place => (arms[b].palm[2] > arms[a].palm[2] ? b : a);
  const higher = hands.reduce(highest, first);
  const { foot } = skeleton.legs.front;
  const height = [
    plain('ankle height', cmFromMetres(canonicalBody.ankleHeight)),
    ...chainToShoulder(skeleton, higher, 2),
    link('arm down to the palm', arms[higher].shoulder, arms[higher].palm, 2),
  ];
  // A foot that faces the long edge has its toes across the mat, and its little toe along it.
  const facesEdge = Math.abs(skeleton.posture.parts.frontFootYaw) > Math.PI / 4;
  const [aheadAxis, besideAxis] = facesEdge ? ([1, 0] as const) : ([0, 1] as const);
  const toeFromAnkle = -cmFromMetres(foot.toe[aheadAxis] - foot.ankle[aheadAxis]);
  const ahead = [
    plain('front toe tip back to the ankle', toeFromAnkle),
    ...chainToShoulder(skeleton, first, aheadAxis),
    link('arm, ahead', arms[first].shoulder, arms[first].palm, aheadAxis),
  ];
  const fromHeel = cmFromMetres(foot.ankle[besideAxis] - foot.heel[besideAxis]);
  const chain = [
    ...(Math.abs(fromHeel) < 0.005 ? [] : [plain('ankle from the heel’s line', fromHeel)]),
    ...chainToShoulder(skeleton, first, besideAxis),
    link('arm, to the side', arms[first].shoulder, arms[first].palm, besideAxis),
  ];
  // Chain terms run to the left of a right front leg; its little toe lies to the right.
  const beside = facesEdge ? chain : chain.map(negate);
  return [
    makeSetting('hand-height', 'cm', 'mat', 'palm', height, limits),
    makeSetting('hand-ahead', 'cm', 'front-toes', 'palm', ahead, limits),
    makeSetting('hand-beside', 'cm', 'front-foot-line', 'palm', beside, limits),
  ];
}
