import { nameLandmark } from '../skeleton/landmark.ts';
import { nameLoad, writeShare } from './sayLoads.ts';
import type { JointLoad, SetUp, WeightOn } from './setUp.ts';

const write = (cm: number): string => `${cm < -0.05 ? '−' : ''}${Math.abs(cm).toFixed(1)}`;
/** A number that is taken away. */
const writeTaken = (cm: number): string => (cm < -0.05 ? `(${write(cm)})` : write(cm));

/**
 * The sum of a moment arm, along the mat from the front heel, + ahead of it.
 *
 * @param setUp the set-up
 * @param load one of its loads
 * @returns as a pencil would write it
 */
export function writeArmSum(setUp: SetUp, load: JointLoad): string {
  const { joint, side, lineArmCm, line } = load;
  const [at] = setUp.landmarks[side === null ? 'pelvisCentre' : nameLandmark(joint, side)]!;
  const ahead = line === 'ahead' ? lineArmCm : -lineArmCm;
  const [larger, smaller] = ahead > 0 ? [at + ahead, at] : [at, at + ahead];
  const places = `line at ${write(at + ahead)}, ${nameLoad(load, setUp)} at ${write(at)}`;
  return `${places}: ${write(larger)} − ${writeTaken(smaller)} = ${lineArmCm.toFixed(1)} cm`;
}

type Point = WeightOn['centreOfPressureCm'];

/** Between contacts, which take as much as each other. */
const middleOf = (contacts: readonly WeightOn[]): Point => {
  const meanOf = (axis: 0 | 1): number =>
    contacts.reduce((sum, each) => sum + each.centreOfPressureCm[axis], 0) / contacts.length;
  return [meanOf(0), meanOf(1)];
};

/** Contacts that press as far ahead as each other share the weight across the mat, cm. */
const SAME_CM = 0.05;

/** The lever rule: what one of `own` carries of a weight that rests on them and on `others`. */
function writeLever(setUp: SetUp, own: readonly WeightOn[], others: readonly WeightOn[]): string {
  const [from, to] = [middleOf(others), middleOf(own)];
  const axis = Math.abs(from[0] - to[0]) < SAME_CM ? 1 : 0;
  const line = setUp.landmarks['centreOfMass']![axis];
  const parts = own.length === 1 ? '' : ` ÷ ${String(own.length)}`;
  const lever = `(${write(line)} − ${writeTaken(from[axis])}) ÷ (${write(to[axis])} − ${writeTaken(from[axis])})`;
  return `${lever}${parts} = ${writeShare(own[0]?.share ?? 0)}`;
}

/**
 * The sum of a share of the weight: the lever rule between where two contacts press.
 *
 * @param setUp the set-up
 * @param weight one of its weights
 * @returns as a pencil would write it, or why there is nothing to add up
 */
export function writeWeightSum(setUp: SetUp, weight: WeightOn): string {
  const legs = setUp.weights.filter(({ on }) => on !== 'hand');
  const hands = setUp.weights.filter(({ on }) => on === 'hand');
  const isHand = weight.on === 'hand';
  if (setUp.weights.length === 1) return 'it stands alone';
  if (legs.length === 1)
    return isHand ? writeLever(setUp, hands, legs) : writeLever(setUp, legs, hands);
  const taken = hands.reduce((sum, { share }) => sum + share, 0);
  if (isHand)
    return taken === 0 ? 'the feet balance without it' : 'the least that balance asks of it';
  const others = legs.filter((each) => each !== weight);
  return taken === 0
    ? writeLever(setUp, [weight], others)
    : 'what the hands leave, by the lever rule';
}
