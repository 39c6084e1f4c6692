import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import type { Result } from '../problems/problem.ts';
import type { AsFound } from '../rules/houseRules.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { JointLoad, SetUp } from '../setup/setUp.ts';
import { planByHand, planMoved, type HeldRequest } from './planMoved.ts';
import { stepSetting, type MovedSetting, type Step } from './stepSetting.ts';

/** A joint that is sore. */
export interface SoreJoint {
  readonly joint: JointLoad['joint'];
  /** null = the low back. */
  readonly side: Side | null;
}

/** The smallest move of one setting that lowers a joint’s moment arm by a quarter. */
export interface EasedLoad extends Omit<Step, 'change'> {
  /** What is held by hand then. */
  readonly held: AsFound;
  readonly before: SetUp;
  readonly setUp: SetUp;
}

/** The share of its moment arm that remains. */
const EASED_TO = 0.75;
/** Steps are tried in halves, so far; a larger change is another pose. Our choice. */
const HALF_STEP = 0.5;
const MOST_STEPS = 4;
/** Then the smallest is found to about this part of a half step, by halving. */
const HALVINGS = 3;

const SETTINGS: readonly MovedSetting[] = ['stance', 'hand', 'depth'];

/**
 * The load of one joint in a set-up.
 *
 * @returns null when its leg carries nothing there
 */
export const findLoad = (
  { loads }: Pick<SetUp, 'loads'>,
  { joint, side }: SoreJoint,
): JointLoad | null => loads.find((each) => each.joint === joint && each.side === side) ?? null;

/** A move that is enough, and how many of its usual steps it is. */
interface Enough {
  readonly eased: EasedLoad;
  readonly steps: number;
}

/** Whether a move of one setting by so many steps is enough; null = it is not, or it cannot be held. */
type Attempt = (setting: MovedSetting, steps: number) => EasedLoad | null;

const makeAttempt =
  (plan: Plan, held: AsFound, before: SetUp, sore: SoreJoint, armCm: number): Attempt =>
  (setting, steps) => {
    const step = stepSetting(before, setting, steps);
    if (step === null || step.by === 0) return null;
    const { change, ...said } = step;
    const then = { ...held, ...change };
    const moved = planMoved(plan, then);
    if (moved === null || moved.gives !== null) return null;
    const after = findLoad(moved.setUp, sore);
    const isEased = after === null || after.lineArmCm <= EASED_TO * armCm;
    return isEased ? { ...said, held: then, before, setUp: moved.setUp } : null;
  };

/** The smallest move between half a step less, which was not enough, and one that is, by halving. */
function narrowDown(
  attempt: Attempt,
  setting: MovedSetting,
  direction: 1 | -1,
  found: Enough,
): Enough {
  let [best, low] = [found, found.steps - HALF_STEP];
  for (let i = 0; i < HALVINGS; i += 1) {
    const steps = (low + best.steps) / 2;
    const eased = attempt(setting, direction * steps);
    if (eased === null) low = steps;
    else best = { eased, steps };
  }
  return best;
}

/**
 * The smallest move of one setting, in its usual steps, that is enough: every setting is tried both
 * ways at each half step, and of those that are enough there the smallest is taken.
 *
 * @param attempt whether a move is enough
 * @returns null when no move of one setting is
 */
function findSmallestMove(attempt: Attempt): EasedLoad | null {
  for (let steps = HALF_STEP; steps <= MOST_STEPS; steps += HALF_STEP) {
    const enough = SETTINGS.flatMap((setting) =>
      ([-1, 1] as const).flatMap((direction): readonly Enough[] => {
        const eased = attempt(setting, direction * steps);
        return eased === null ? [] : [narrowDown(attempt, setting, direction, { eased, steps })];
      }),
    );
    const [smallest] = enough.toSorted((a, b) => a.steps - b.steps);
    if (smallest !== undefined) return smallest.eased;
  }
  return null;
}

/**
 * For a sore knee, hip or back: the smallest move of one setting of a set-up that lowers its moment
 * arm by a quarter.
 *
 * @param context the person, see {@link PlanningContext}
 * @param asked the set-up as it is now
 * @param sore which joint
 * @returns null when no such move is held within every limit; or why the pose itself is not planned
 */
export function easeLoad(
  context: PlanningContext,
  asked: HeldRequest,
  sore: SoreJoint,
): Result<EasedLoad | null> {
  const planned = planByHand(context, asked);
  if (!planned.ok) return planned;
  const { recommended, plan } = planned.value;
  const load = findLoad(plan.setUp, sore);
  if (load === null) return { ok: true, value: null };
  const attempt = makeAttempt(recommended, asked.held, plan.setUp, sore, load.lineArmCm);
  return { ok: true, value: findSmallestMove(attempt) };
}
