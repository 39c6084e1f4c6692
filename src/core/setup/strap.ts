import { plain, term, type WorkingStep } from '../planning/working.ts';

/** Round the thigh and round the foot, cm. */
interface Girths {
  readonly thigh: number;
  readonly foot: number;
}

/** Strap beyond its loop, for the buckle and a hand, cm. */
const STRAP_TO_SPARE = 15;

/**
 * A loop round a foot and a thigh: there and back, and half round both.
 *
 * @param thereAndBack the straight part
 * @returns lines of a sum, cm
 */
export function calcLoop(
  thereAndBack: WorkingStep,
  { thigh: thighGirth, foot: footGirth }: Girths,
): WorkingStep[] {
  const [thigh, foot] = [thighGirth.toFixed(2), footGirth.toFixed(2)];
  const round = (thighGirth + footGirth) / 2;
  return [
    thereAndBack,
    term('half round the thigh and half round the foot', `(${thigh} + ${foot}) / 2`, round, 'cm'),
  ];
}

/**
 * The strap that such a loop takes.
 *
 * @param loop lines of its sum
 * @returns lines of a sum, cm
 */
export const calcStrapToOwn = (loop: readonly WorkingStep[]): WorkingStep[] => [
  ...loop,
  plain('for the buckle and a hand', STRAP_TO_SPARE),
];
