import type { Place } from '../poses/poseDefinition.ts';
import { PLACES } from '../poses/poseDefinition.ts';
import { cmFromMetres } from '../units/brands.ts';
import { chainToShoulder, link } from './chain.ts';
import type { Setting } from './setUp.ts';
import { makeSetting } from './makeSetting.ts';
import type { Solved } from './settings.ts';
import { plain } from './working.ts';

/** Height, ahead of the toes and beside the foot of a hand that hangs to a prop or the floor. */
export function calcHandSettings({ skeleton, pose, figure, limits }: Solved): Setting[] {
  const hands = PLACES.filter((place) => pose.arms[place].reach === 'down');
  const [first] = hands;
  if (first === undefined) return [];
  const { arms } = skeleton;
  // One prop height serves both hands: the higher need, so that neither arm is overreached.
  const highest = (a: Place, b: Place): Place => (arms[b].palm[2] > arms[a].palm[2] ? b : a);
  const higher = hands.reduce(highest, first);
  const { foot } = skeleton.legs.front;
  const height = [
    plain('ankle height', cmFromMetres(figure.ankleHeight)),
    ...chainToShoulder(skeleton, higher, 2),
    link('arm down to the palm', arms[higher].shoulder, arms[higher].palm, 2),
  ];
  const toeFromAnkle = -cmFromMetres(foot.toe[0] - foot.ankle[0]);
  const ahead = [
    plain('front toe tip back to the ankle', toeFromAnkle),
    ...chainToShoulder(skeleton, first, 0),
    link('arm along the mat', arms[first].shoulder, arms[first].palm, 0),
  ];
  // Chain terms run to the left of a right front leg; its little toe lies to the right.
  const ankleFromHeel = plain('ankle from the heel’s line', cmFromMetres(foot.ankle[1]));
  const beside = [
    ...(Math.abs(ankleFromHeel.value) < 0.005 ? [] : [ankleFromHeel]),
    ...chainToShoulder(skeleton, first, 1),
    link('arm across the mat', arms[first].shoulder, arms[first].palm, 1),
  ].map((step) => ({
    ...step,
    expression: `-1 × ${step.expression ?? ''}`,
    value: -step.value,
  }));
  return [
    makeSetting('hand-height', 'cm', 'mat', 'palm', height, limits),
    makeSetting('hand-ahead', 'cm', 'front-toes', 'palm', ahead, limits),
    makeSetting('hand-beside', 'cm', 'front-foot-line', 'palm', beside, limits),
  ];
}
