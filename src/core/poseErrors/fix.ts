import type { AsFound } from '../rules/houseRules.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { JointReport, SetUp } from '../setup/setUp.ts';
import { planMoved } from '../whatIf/planMoved.ts';
import { stepSetting, type MovedSetting, type Step } from '../whatIf/stepSetting.ts';
import { findAgain } from './cause.ts';

/** A number of the set-up that is changed first. */
export interface FixChange extends Omit<Step, 'change'> {
  /** What is held by hand then. */
  readonly held: AsFound;
  /** The set-up that follows. */
  readonly setUp: SetUp;
  /** What it asks of the cause, before and after, degrees; null after = the motion has margin to spare. */
  readonly cause: { readonly before: number; readonly after: number | null };
}

/** A smaller relief is not felt, degrees. Our choice. */
const RELIEF_DEG = 0.5;

/** Where one step is not enough, two are tried. */
const SIZES = [1, 2] as const;

type Try = 'less-deep' | 'shorter' | 'longer' | 'hand-up';

/**
 * What is changed first for an error that comes from range, in the order in which it is tried.
 * Common practice, no source.
 */
const TRIES: Readonly<Record<string, readonly Try[]>> = {
  'knee-drifts': ['less-deep', 'shorter'],
  'pelvis-drops': ['less-deep', 'longer', 'shorter', 'hand-up'],
  'stance-long': ['shorter', 'less-deep', 'hand-up'],
  'back-hip-rises': ['hand-up', 'less-deep', 'shorter'],
  'back-rounds': ['hand-up', 'less-deep', 'shorter'],
  'heel-floats': ['shorter', 'less-deep', 'hand-up'],
  'knee-bends': ['hand-up', 'less-deep', 'shorter'],
  'twist-from-pelvis': ['less-deep', 'hand-up', 'shorter'],
  'heel-hidden': ['less-deep', 'longer'],
  'breath-held': ['less-deep', 'hand-up', 'shorter'],
};

/** Which setting is changed, and by how many steps of it. */
const AS_STEPS: Readonly<Record<Try, readonly [MovedSetting, number]>> = {
  shorter: ['stance', -1],
  longer: ['stance', 1],
  'hand-up': ['hand', 1],
  'less-deep': ['depth', -1],
};

/** Whether less is asked of a motion than before, and more of its range is left. */
const isRelieved = (before: JointReport, after: JointReport | null): boolean =>
  after === null ||
  ((after.askedDeg ?? 0) <= (before.askedDeg ?? 0) - RELIEF_DEG &&
    (after.toSpareDeg ?? 0) >= (before.toSpareDeg ?? 0) + RELIEF_DEG);

/**
 * The first thing to change about a set-up in which an error was seen: the first change that is
 * held within every limit, asks less of the cause and leaves it more margin.
 *
 * @param plan the plan, as it was recommended
 * @param held what is held by hand already
 * @param setUp the set-up as it is now
 * @param error one of the catalogue
 * @param cause the motion that the error comes from
 * @returns null when no such change is found, or the error is not one of range
 */
export function findFix(
  plan: Plan,
  held: AsFound,
  setUp: SetUp,
  error: string,
  cause: JointReport,
): FixChange | null {
  const tries = TRIES[error] ?? [];
  const steps = SIZES.flatMap((size) =>
    tries.flatMap((each) => {
      const [setting, direction] = AS_STEPS[each];
      return stepSetting(setUp, setting, direction * size) ?? [];
    }),
  );
  for (const { change, ...said } of steps) {
    const then = { ...held, ...change };
    const moved = planMoved(plan, then);
    if (moved === null || moved.gives !== null) continue;
    const after = findAgain(cause, moved.setUp);
    if (!isRelieved(cause, after)) continue;
    const asked = { before: cause.askedDeg ?? 0, after: after?.askedDeg ?? null };
    return { ...said, held: then, setUp: moved.setUp, cause: asked };
  }
  return null;
}
