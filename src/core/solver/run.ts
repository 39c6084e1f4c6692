import { minimise, type StoppingCriterion } from '../leastSquares/leastSquares.ts';
import { Workspace } from '../leastSquares/workspace.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import { PostureEvaluator } from './postureEvaluator.ts';
import { countUnknowns, stepPosture, type Posture } from '../skeleton/posture.ts';
import {
  Conditions,
  findLargestExcess,
  type Musts,
  type Multipliers,
} from '../conditions/residuals.ts';
import { isPull, type Aim } from '../conditions/listConditions.ts';
import { buildSkeleton, type Skeleton } from '../skeleton/skeleton.ts';

/** All musts count as kept below this violation, degrees or centimetres. */
const KEPT_WITHIN = 0.03;
/** Corrections go on until the largest violation is below this, degrees or centimetres. */
const CORRECTED_WITHIN = 0.01;
const MOST_CORRECTIONS = 12;
/** A correction that leaves more than this share of the violation raises the weight of the musts. */
const SLOW_SHARE = 0.3;
/** One that leaves this share of it under a raised weight shows that the musts cannot all be kept. */
const STUCK_SHARE = 0.95;
/** A violation above this shows it at the first weight; a smaller one is given a second. Degrees or centimetres. */
const LARGE_VIOLATION = 0.1;
const HEAVIER = 3;
const HEAVIEST = 100;

/** Weight of a must at first: a violation of one degree or centimetre costs this many tolerances of a wish. */
const MUST_WEIGHT = 3;
/** A step below half a millimetre or 0.03° of every unknown is invisible; it counts only if it lowers the cost. */
const SMALL_STEP = { smallStepGain: 0.01, smallStep: 5e-4 } as const;
/**
 * Stopping criteria, in squared tolerances. A pull gains a hundredth of a degree of depth for less
 * than 0.01. A settled posture needs a tighter one: its wishes are so flat that a hand moves by
 * centimetres for as little.
 */
const STOP = {
  draft: { gain: 0.1, ...SMALL_STEP },
  pulled: { gain: 1e-3, ...SMALL_STEP },
  settled: { gain: 1e-4, ...SMALL_STEP },
} as const satisfies Record<string, StoppingCriterion>;

/** Above this constraint violation, squared tolerances, the estimate of a draft's cost is unreliable. */
const SMALL_VIOLATION = 0.5;

export interface Solution {
  readonly skeleton: Skeleton;
  /** Shifts and weight of the musts in the end, for a warm start. */
  readonly multipliers: Multipliers;
  /** Largest violation of a must, degrees or centimetres. */
  readonly excess: number;
  readonly kept: boolean;
}

/** Where a similar task was solved before: its posture and multipliers. */
export interface WarmStart {
  readonly posture: Posture;
  readonly multipliers: Multipliers;
}

/**
 * Where a similar task may start from.
 *
 * @returns the posture with its multipliers
 */
export const toWarmStart = ({ skeleton, multipliers }: Solution): WarmStart => ({
  posture: skeleton.posture,
  multipliers,
});

/** The posture of a first, cheap minimisation, with musts only weighed. */
export interface Draft {
  readonly posture: Posture;
  /** Estimate of its cost once every must is kept, in squared tolerances. */
  readonly estimatedCost: number;
}

const makeLike = ({ equal, below }: Musts): Musts => ({
  equal: new Float64Array(equal.length),
  below: new Float64Array(below.length),
});

/** Shifts of a similar task's musts, cut or filled with zeros to the length of these. */
function fitShift(shift: Musts, musts: Musts): Musts {
  const fitted = makeLike(musts);
  for (const list of ['equal', 'below'] as const) {
    const length = Math.min(musts[list].length, shift[list].length);
    fitted[list].set(shift[list].subarray(0, length));
  }
  return fitted;
}

/** Shifts every must by the violation that was left; an inactive one loses its shift. */
function addViolation(shift: Musts, musts: Musts): Musts {
  const sum = makeLike(musts);
  for (let i = 0; i < sum.equal.length; i += 1) sum.equal[i] = musts.equal[i]! + shift.equal[i]!;
  for (let i = 0; i < sum.below.length; i += 1) {
    sum.below[i] = Math.max(0, musts.below[i]! + shift.below[i]!);
  }
  return sum;
}

function sumViolations({ equal, below }: Musts): number {
  let sum = 0;
  for (const each of equal) sum += each * each;
  for (const each of below) if (each > 0) sum += each * each;
  return sum;
}

/**
 * Minimisations of one task with one aim, by the augmented Lagrangian method: each must is
 * shifted by the violation that the last minimisation left, which drives the next one back to the
 * limit. The weight can stay low, so that steps may cut across violated regions.
 */
export class Run {
  private readonly conditions: Conditions;
  private readonly evaluator: PostureEvaluator;
  private readonly noShift: Musts;
  private readonly workspace: Workspace;
  private readonly stop: StoppingCriterion;

  /** @param first the posture to start from */
  constructor(
    private readonly task: PoseTask,
    aim: Aim,
    first: Posture,
  ) {
    const { body, contacts, free } = task;
    const like = buildSkeleton(body, contacts, first);
    this.conditions = new Conditions(task, aim, like);
    this.evaluator = new PostureEvaluator(task, this.conditions.observables, like);
    this.noShift = this.conditions.makeMusts();
    this.workspace = new Workspace(this.conditions.shapeOf(countUnknowns(free)));
    this.stop = isPull(aim) ? STOP.pulled : STOP.settled;
  }

  draft(start: Posture): Draft {
    const multipliers = { shift: this.noShift, weight: MUST_WEIGHT };
    this.workspace.forgetCurvature();
    const posture = this.minimise(start, multipliers, STOP.draft);
    const violation = MUST_WEIGHT ** 2 * sumViolations(this.calcMusts(posture));
    // At a minimum of preferences plus squared violations the two gradients balance, so that a
    // small violation costs as much again to remove. Of a large one this is only a lower bound.
    const without = violation < SMALL_VIOLATION ? 2 * violation : violation;
    return { posture, estimatedCost: this.calcCost(posture) + without };
  }

  /** What wishes, eases and the pull cost, in squared tolerances. */
  calcCost(posture: Posture): number {
    return this.conditions.calcPreferenceCost(this.evaluator.evaluate(posture));
  }

  correct({ posture: from }: Draft): Solution {
    const musts = this.calcMusts(from);
    const multipliers = { shift: addViolation(this.noShift, musts), weight: MUST_WEIGHT };
    return this.correctUnder(multipliers, from, findLargestExcess(musts));
  }

  /** From where a like task was solved, pressed as it was there. */
  correctWarmStart({ posture, multipliers }: WarmStart): Solution {
    const musts = this.calcMusts(posture);
    const shift = fitShift(multipliers.shift, musts);
    return this.correctUnder({ ...multipliers, shift }, posture, findLargestExcess(musts));
  }

  private correctUnder(multipliers: Multipliers, from: Posture, excessBefore: number): Solution {
    let { shift, weight } = multipliers;
    let posture = from;
    let excess = excessBefore;
    let left = excessBefore;
    // The second-order estimate of one correction serves the next: their tasks are nearly alike.
    this.workspace.forgetCurvature();
    for (let correction = 0; correction < MOST_CORRECTIONS; correction += 1) {
      posture = this.minimise(posture, { shift, weight }, this.stop);
      const musts = this.calcMusts(posture);
      left = findLargestExcess(musts);
      if (left <= CORRECTED_WITHIN) break;
      shift = addViolation(shift, musts);
      if (left > SLOW_SHARE * excess) {
        const lightest = left > LARGE_VIOLATION ? MUST_WEIGHT : MUST_WEIGHT * HEAVIER;
        const isStuck = weight > lightest && left > STUCK_SHARE * excess;
        if (isStuck || weight >= HEAVIEST) break;
        // A shift stands for a force, weight² · shift, which stays when the weight grows.
        weight *= HEAVIER;
        const ease = (each: number): number => each / HEAVIER ** 2;
        shift = { equal: shift.equal.map(ease), below: shift.below.map(ease) };
      }
      excess = left;
    }
    const skeleton = this.evaluator.build(posture);
    return { skeleton, multipliers: { shift, weight }, excess: left, kept: left <= KEPT_WITHIN };
  }

  private calcMusts(posture: Posture): Musts {
    return this.conditions.calcMusts(this.evaluator.evaluate(posture));
  }

  private minimise(start: Posture, multipliers: Multipliers, stop: StoppingCriterion): Posture {
    const { conditions, evaluator, workspace } = this;
    const { free } = this.task;
    return minimise<Posture>(
      {
        move: (from, step) => stepPosture(from, step, free),
        calcResiduals: (at, into) => {
          conditions.writeResiduals(evaluator.evaluate(at), multipliers, into);
        },
        calcDerivatives: (at, into) => {
          evaluator.writeJacobian(at, into.jacobian);
          conditions.writeDerivatives(evaluator.evaluate(at), multipliers.weight, into);
        },
      },
      start,
      stop,
      workspace,
    );
  }
}
