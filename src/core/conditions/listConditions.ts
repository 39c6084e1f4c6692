import { PLACES } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import { CM_PER_METRE } from '../units/brands.ts';
import { toScaled } from './violation.ts';
import type { PoseTask } from './poseTask.ts';
import { getQuantity } from './quantities.ts';
import { findLegObservable, type Observables } from './observables.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';

/** How a run of the solver is steered. */
export interface Aim {
  /** Kept free at every joint whose limit is known, radians. */
  readonly toSpare: number;
  /** No wish may be off by more than this many tolerances; null = musts alone. */
  readonly wishesWithin: number | null;
  /**
   * Pull one quantity up or down to a value, as far as the musts allow, or hold it there. A
   * pull that ends sooner than at `strongAs` is as strong as one that ends there.
   */
  readonly toward: {
    readonly quantity: QuantityId;
    readonly value: number;
    readonly how: 'up' | 'down' | 'hold';
    readonly strongAs?: number;
  } | null;
}

/**
 * Whether a quantity is taken as far as the musts allow, and not only held.
 *
 * @returns false for a quantity that is held, or for none
 */
export const isPull = ({ toward }: Aim): boolean => toward !== null && toward.how !== 'hold';

/** A pull of 10° or 10 cm short costs one tolerance; it aims beyond its end so that it never tires. */
const PULL_SCALE = 10;
const PULL_BEYOND = 20;
/** While a quantity is pulled to its end, wishes only break ties. */
const WISH_WEIGHT_IN_PULL = 0.02;
/** A condition on one observable: (observable − goal) · perUnit, in degrees, centimetres or tolerances. */
export interface Condition {
  readonly at: number;
  readonly goal: number;
  readonly perUnit: number;
}

type PrepareCondition = (quantity: QuantityId, goal: number, perUnit: number) => Condition;

/** Conditions that should be 0, and those that should be at most 0. */
interface MustLists {
  readonly equal: Condition[];
  readonly below: Condition[];
}

/** A leg reaches its contact: exactly where it must close, otherwise at most as far as it is long. */
function addOverreach({ equal, below }: MustLists, { legs }: Skeleton): void {
  for (const place of PLACES) {
    const at = findLegObservable(place, 'overreach');
    const list = legs[place].closure === 'must-close' ? equal : below;
    list.push({ at, goal: 0, perUnit: CM_PER_METRE });
  }
}

function addTaskMusts(
  { equal, below }: MustLists,
  task: PoseTask,
  like: Skeleton,
  observables: Observables,
  prepare: PrepareCondition,
): void {
  for (const { quantity, atLeast, atMost } of task.musts) {
    const unit = toScaled(quantity, 1);
    const { pieces } = getQuantity(quantity);
    if (atLeast !== null && atLeast === atMost) {
      equal.push(prepare(quantity, atLeast, unit));
      continue;
    }
    // What is the least of several pieces is a must for each piece.
    if (atLeast !== null && pieces !== undefined) {
      const { from, count } = observables.preparePieces(pieces, like);
      for (let i = 0; i < count; i += 1) {
        below.push({ at: from + i, goal: atLeast, perUnit: -unit });
      }
    } else if (atLeast !== null) below.push(prepare(quantity, atLeast, -unit));
    if (atMost !== null) below.push(prepare(quantity, atMost, unit));
  }
}

/** Wishes that may be off by so many tolerances and no more. */
function addBoundWishes(
  { below }: MustLists,
  { wishes }: PoseTask,
  tolerances: number,
  prepare: PrepareCondition,
): void {
  for (const { quantity, goal, sigma } of wishes) {
    const most = tolerances * sigma;
    const unit = toScaled(quantity, 1);
    below.push(prepare(quantity, goal + most, unit), prepare(quantity, goal - most, -unit));
  }
}

/**
 * What a task asks under an aim: musts that should be 0, musts that should be at most 0, and
 * preferences (wishes, eases and the pull), each on one observable.
 *
 * @param task of the pose for this person
 * @param like any skeleton of the task
 * @param observables prepared here for every quantity that is named
 * @returns conditions in one order whatever the posture
 */
export function listConditions(
  task: PoseTask,
  { toward, wishesWithin }: Aim,
  like: Skeleton,
  observables: Observables,
): MustLists & { readonly preferences: readonly Condition[] } {
  const lists: MustLists = { equal: [], below: [] };
  const prepare: PrepareCondition = (quantity, goal, perUnit) => ({
    at: observables.prepare(quantity),
    goal,
    perUnit,
  });
  addOverreach(lists, like);
  addTaskMusts(lists, task, like, observables, prepare);
  if (wishesWithin !== null) addBoundWishes(lists, task, wishesWithin, prepare);
  // Last, so that all else stands at one place whether a quantity is pulled or held.
  const direction = toward?.how === 'down' ? -1 : 1;
  if (toward !== null) {
    const { quantity, value, how } = toward;
    const beyond = prepare(quantity, value, direction * toScaled(quantity, 1));
    (how === 'hold' ? lists.equal : lists.below).push(beyond);
  }
  const pull = toward?.how === 'hold' ? null : toward;
  const weight = pull === null ? 1 : WISH_WEIGHT_IN_PULL;
  const preferences = [...task.wishes, ...task.eases].map(({ quantity, goal, sigma }) =>
    prepare(quantity, goal, weight / sigma),
  );
  if (pull !== null) {
    const unit = toScaled(pull.quantity, 1);
    const beyond = (pull.strongAs ?? pull.value) + (direction * PULL_BEYOND) / unit;
    preferences.push(prepare(pull.quantity, beyond, -unit / PULL_SCALE));
  }
  return { ...lists, preferences };
}
