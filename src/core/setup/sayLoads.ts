import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { nameLeg, type PoseSide } from './jointReport.ts';
import type { JointLoad, SetUp, WeightOn } from './setUp.ts';

/**
 * A joint’s name in a pose: “front knee”, “low back”.
 *
 * @param load of the joint
 * @param of the set-up
 * @returns as it is spoken of on the mat
 */
export const nameLoad = (
  { joint, side }: Pick<JointLoad, 'joint' | 'side'>,
  of: PoseSide,
): string => (side === null ? 'low back' : `${nameLeg(side, of)} ${joint}`);

/**
 * The name of what carries weight: “back foot”, “right hand”.
 *
 * @param weight on it
 * @param of the set-up
 * @returns a foot by its place in the pose, a hand by its side
 */
export const nameWeight = ({ on, side }: Pick<WeightOn, 'on' | 'side'>, of: PoseSide): string =>
  on === 'hand' ? `${side} hand` : `${nameLeg(side, of)} ${on}`;

/**
 * A share in whole percent.
 *
 * @param share 0 to 1; its sign is left out
 * @returns with its sign of percent
 */
export const writeShare = (share: number): string =>
  `${String(Math.round(Math.abs(share) * 100))} %`;

/**
 * A moment arm to the half centimetre or the quarter inch.
 *
 * @param load of the joint
 * @param unit centimetres or inches
 * @returns number and unit
 */
export const writeArm = ({ lineArmCm }: Pick<JointLoad, 'lineArmCm'>, unit: LengthUnit): string =>
  writeLength(metresFromCm(unit === 'cm' ? Math.round(lineArmCm * 2) / 2 : lineArmCm), unit, 1);

/**
 * What balance allows a foot or a hand to carry.
 *
 * @param weight on it
 * @returns null where the posture alone determines it
 */
export const writeRange = ({ least, most }: WeightOn): string | null =>
  Math.round(most * 100) === Math.round(least * 100)
    ? null
    : `${String(Math.round(least * 100))}–${writeShare(most)}`;

/**
 * One load in words: “front knee 45 cm behind…”.
 *
 * @param load of the joint
 * @param of the set-up
 * @param unit centimetres or inches
 * @returns a clause
 */
function sayLoad(load: JointLoad, of: PoseSide, unit: LengthUnit): string {
  const side = load.line === 'ahead' ? 'behind' : 'ahead of';
  const line = load.joint === 'back' ? 'the line of the upper body' : 'the gravity line';
  const torque =
    load.torqueShare === null
      ? ''
      : `, torque ${writeShare(load.torqueShare)} of body weight times leg length`;
  return `${nameLoad(load, of)} ${writeArm(load, unit)} ${side} ${line}${torque}`;
}

function sayWeight(weight: WeightOn, of: PoseSide): string {
  const range = writeRange(weight);
  return `${writeShare(weight.share)} on the ${nameWeight(weight, of)}${range === null ? '' : ` (${range})`}`;
}

/**
 * Loads and weights of a set-up in words, with the numbers of its drawing.
 *
 * @param setUp the set-up
 * @param unit centimetres or inches
 * @returns sentences
 */
export function sayLoads(
  setUp: Pick<SetUp, 'pose' | 'side' | 'loads' | 'weights'>,
  unit: LengthUnit,
): string {
  const { weights, loads } = setUp;
  const joints = loads.map((load) => sayLoad(load, setUp, unit)).join('; ');
  const carried = weights.map((weight) => sayWeight(weight, setUp)).join(', ');
  return `${joints}. ${weights.length === 0 ? 'The chair carries a part of the weight.' : `Weight: ${carried}.`}`;
}
