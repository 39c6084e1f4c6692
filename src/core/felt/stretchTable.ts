import type { Joint, Motion } from '../conditions/limits.ts';

/** Which muscles a motion’s end of range lengthens, and where that is felt. */
export interface StretchRule {
  readonly joint: Joint;
  readonly motion: Motion;
  /** How the knee of that leg is held; null = it does not matter. */
  readonly knee: 'straight' | 'bent' | null;
  readonly muscles: string;
  /** Id of one of FELT_REGIONS. */
  readonly region: string;
  /** On which side of the body: that of the motion, the other one, or both. */
  readonly on: 'same' | 'other' | 'both';
  /** Its end is rarely felt as a stretch: an arched back is felt as pressure, if at all. */
  readonly isRarelyFelt: boolean;
  readonly source: string;
}

/** A muscle is lengthened by the motion opposite to its own. */
const LENGTH_TEST =
  'muscle length tests, Kendall et al., Muscles: Testing and Function (from memory)';
const PRACTICE = 'common practice, no source';

const rule = (
  joint: Joint,
  motion: Motion,
  knee: StretchRule['knee'],
  muscles: string,
  region: string,
  source: string,
  on: StretchRule['on'] = 'same',
): StretchRule => ({ joint, motion, knee, muscles, region, on, source, isRarelyFelt: false });

/** Every motion of the model in its order; a spine motion has no knee. */
export const STRETCH_TABLE: readonly StretchRule[] = [
  rule('hip', 'flexion', 'straight', 'hamstrings', 'back of thigh', LENGTH_TEST),
  rule('hip', 'flexion', 'bent', 'large seat muscle', 'seat', PRACTICE),
  rule('hip', 'extension', 'straight', 'hip flexors', 'front of hip', LENGTH_TEST),
  rule('hip', 'extension', 'bent', 'straight front thigh muscle', 'front of thigh', LENGTH_TEST),
  rule('hip', 'abduction', null, 'adductors', 'inner thigh', LENGTH_TEST),
  rule('hip', 'adduction', null, 'abductors and outer thigh band', 'outer hip', LENGTH_TEST),
  rule('hip', 'external-rotation', null, 'inward rotators', 'front of hip', PRACTICE),
  rule('hip', 'internal-rotation', null, 'deep outward rotators', 'seat', PRACTICE),
  rule('knee', 'flexion', null, 'front thigh muscles', 'front of thigh', LENGTH_TEST),
  rule('ankle', 'dorsiflexion', null, 'calf muscles', 'calf', LENGTH_TEST),
  rule('ankle', 'inversion', null, 'outer lower leg muscles', 'outer ankle', PRACTICE),
  rule('toes', 'extension', null, 'sole and toe flexors', 'sole', PRACTICE),
  rule('spine', 'flexion', null, 'back extensors', 'low back', LENGTH_TEST),
  {
    ...rule('spine', 'extension', null, 'front of the trunk', 'belly', PRACTICE),
    isRarelyFelt: true,
  },
  rule('spine', 'side-bend', null, 'side of the trunk', 'side of waist', PRACTICE, 'other'),
  rule(
    'spine',
    'axial-rotation',
    null,
    'slanting belly muscles',
    'side of waist',
    PRACTICE,
    'both',
  ),
];

/** A knee bent by this much counts as bent: then the hamstrings are slack, and the front of the thigh is not. Our choice. */
const BENT_FROM_DEG = 30;

/**
 * Where a motion’s end of range is felt.
 *
 * @param joint which joint
 * @param motion which motion
 * @param kneeDeg bend of the knee of that leg, degrees
 * @returns null = the table does not know the motion
 */
export const findStretchRule = (
  joint: Joint,
  motion: Motion,
  kneeDeg: number,
): StretchRule | null =>
  STRETCH_TABLE.find(
    (each) =>
      each.joint === joint &&
      each.motion === motion &&
      (each.knee === null || (each.knee === 'bent') === kneeDeg >= BENT_FROM_DEG),
  ) ?? null;
