import { plain, term, type WorkingStep } from './working.ts';

/** Girths when not measured, cm. Our choice. */
const THIGH_GIRTH = 54;
const FOOT_GIRTH = 24;
/** Strap beyond its loop, for the buckle and a hand, cm. */
const STRAP_TO_SPARE = 15;

/** A loop round a foot and a thigh: there and back, and half round both. */
export function calcLoop(thereAndBack: WorkingStep): WorkingStep[] {
  const [thigh, foot] = [THIGH_GIRTH.toFixed(2), FOOT_GIRTH.toFixed(2)];
  const round = (THIGH_GIRTH + FOOT_GIRTH) / 2;
  return [
    thereAndBack,
    term('half round the thigh and half round the foot', `(${thigh} + ${foot}) / 2`, round, 'cm'),
  ];
}

/** The strap that such a loop takes. */
export const calcStrapToOwn = (loop: readonly WorkingStep[]): WorkingStep[] => [
  ...loop,
  plain('for the buckle and a hand', STRAP_TO_SPARE),
];
