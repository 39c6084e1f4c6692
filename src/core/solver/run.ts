import { minimise, type StoppingCriterion } from '../leastSquares/leastSquares.ts';
import { Workspace } from '../leastSquares/workspace.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import { PostureEvaluator } from './postureEvaluator.ts';
import { countUnknowns, stepPosture, type Posture } from '../skeleton/posture.ts';
import {
  Conditions,
  findLargestExcess,
  isPull,
  type Aim,
  type Musts,
  type Pressure,
} from '../conditions/residuals.ts';
import { buildSkeleton, type Skeleton } from '../skeleton/skeleton.ts';

/** Musts count as kept when none is broken by more than this, degrees or centimetres. */
const KEPT_WITHIN = 0.03;
/** Corrections go on until no must is broken by more than this, degrees or centimetres. */
const CORRECTED_WITHIN = 0.01;
const MOST_CORRECTIONS = 12;
/** A correction that leaves more than this share of a breach makes the musts heavier. */
const SLOW_SHARE = 0.3;
/** One that leaves as good as all of it under heavier musts shows that they cannot all be kept. */
const STUCK_SHARE = 0.95;
/** A breach larger than this, degrees or centimetres, shows it at once; a small one can yet give way. */
const LARGE_BREACH = 0.1;
const HEAVIER = 3;
const HEAVIEST = 100;

/** A must broken by one degree or centimetre costs this many tolerances of a wish, at first. */
const MUST_WEIGHT = 3;
/** Half a millimetre or 0.03° of every unknown: what nobody can see, unless it gains something. */
const SMALL_STEP = { smallStepGain: 0.01, smallStep: 5e-4 } as const;
/**
 * When a run has come near enough, in squared tolerances. What a pull gains is depth, a
 * hundredth of a degree for less than 0.01; what is settled has wishes so flat that a hand
 * moves by centimetres for as little.
 */
const STOP = {
  draft: { gain: 0.1, ...SMALL_STEP },
  pulled: { gain: 1e-3, ...SMALL_STEP },
  settled: { gain: 1e-4, ...SMALL_STEP },
} as const satisfies Record<string, StoppingCriterion>;

/** Breaches of a draft that cost more than this tell nothing of the end, squared tolerances. */
const SMALL_BREACH = 0.5;

export interface Answer {
  readonly skeleton: Skeleton;
  /** How the musts pressed in the end: what each of them holds back. */
  readonly pressure: Pressure;
  /** Largest broken must, degrees or centimetres. */
  readonly excess: number;
  readonly kept: boolean;
}

/** Where a like task was solved before: its posture, and what held it there. */
export interface Hint {
  readonly posture: Posture;
  readonly pressure: Pressure;
}

export const hintOf = ({ skeleton, pressure }: Answer): Hint => ({
  posture: skeleton.posture,
  pressure,
});

/** A light pass's posture: musts only weighed so far. */
export interface Draft {
  readonly posture: Posture;
  /** What it will cost once every must is kept, in squared tolerances. */
  readonly estimatedCost: number;
}

const roomLike = ({ equal, below }: Musts): Musts => ({
  equal: new Float64Array(equal.length),
  below: new Float64Array(below.length),
});

/** The shift of another list of musts, for these; nothing where that is shorter. */
function fitShift(shift: Musts, musts: Musts): Musts {
  const fitted = roomLike(musts);
  for (const list of ['equal', 'below'] as const) {
    const length = Math.min(musts[list].length, shift[list].length);
    fitted[list].set(shift[list].subarray(0, length));
  }
  return fitted;
}

/** Shifts every must by the breach that a run left; a must that is kept loses its shift. */
function addBreach(shift: Musts, musts: Musts): Musts {
  const sum = roomLike(musts);
  for (let i = 0; i < sum.equal.length; i += 1) sum.equal[i] = musts.equal[i]! + shift.equal[i]!;
  for (let i = 0; i < sum.below.length; i += 1) {
    sum.below[i] = Math.max(0, musts.below[i]! + shift.below[i]!);
  }
  return sum;
}

function sumBreaches({ equal, below }: Musts): number {
  let sum = 0;
  for (const each of equal) sum += each * each;
  for (const each of below) if (each > 0) sum += each * each;
  return sum;
}

/**
 * One task with one aim. Musts are kept by the method of multipliers: each is shifted
 * by the breach that a run left, which pushes the next run back to the edge. So their
 * weight can stay light, and the path may cut corners.
 */
export class Run {
  private readonly conditions: Conditions;
  private readonly evaluator: PostureEvaluator;
  private readonly noShift: Musts;
  private readonly workspace: Workspace;
  private readonly stop: StoppingCriterion;

  /** @param first the posture that it is to begin at */
  constructor(
    private readonly task: PoseTask,
    aim: Aim,
    first: Posture,
  ) {
    const { figure, contacts, free } = task;
    const like = buildSkeleton(figure, contacts, first);
    this.conditions = new Conditions(task, aim, like);
    this.evaluator = new PostureEvaluator(task, this.conditions.observables, like);
    this.noShift = this.conditions.makeMusts();
    this.workspace = new Workspace(this.conditions.shapeOf(countUnknowns(free)));
    this.stop = isPull(aim) ? STOP.pulled : STOP.settled;
  }

  draft(start: Posture): Draft {
    const pressure = { shift: this.noShift, weight: MUST_WEIGHT };
    this.workspace.forgetCurvature();
    const posture = this.minimise(start, pressure, STOP.draft);
    const breach = MUST_WEIGHT ** 2 * sumBreaches(this.calcMusts(posture));
    // At the least of what is preferred and of breaches that cost their squares, both slopes
    // are alike: what small breaches cost is half of what it will cost to do without them.
    // Of large ones it is only known that it will cost more than they do.
    const without = breach < SMALL_BREACH ? 2 * breach : breach;
    return { posture, estimatedCost: this.calcCost(posture) + without };
  }

  /** What wishes, eases and the pull cost, in squared tolerances. */
  calcCost(posture: Posture): number {
    return this.conditions.calcPreferenceCost(this.evaluator.evaluate(posture));
  }

  correct({ posture: from }: Draft): Answer {
    const musts = this.calcMusts(from);
    const pressure = { shift: addBreach(this.noShift, musts), weight: MUST_WEIGHT };
    return this.correctUnder(pressure, from, findLargestExcess(musts));
  }

  /** From where a like task was solved, pressed as it was there. */
  correctHint({ posture, pressure }: Hint): Answer {
    const musts = this.calcMusts(posture);
    const shift = fitShift(pressure.shift, musts);
    return this.correctUnder({ ...pressure, shift }, posture, findLargestExcess(musts));
  }

  private correctUnder(pressure: Pressure, from: Posture, excessBefore: number): Answer {
    let { shift, weight } = pressure;
    let posture = from;
    let excess = excessBefore;
    let left = excessBefore;
    // One correction's curvature is nearly the next one's.
    this.workspace.forgetCurvature();
    for (let correction = 0; correction < MOST_CORRECTIONS; correction += 1) {
      posture = this.minimise(posture, { shift, weight }, this.stop);
      const musts = this.calcMusts(posture);
      left = findLargestExcess(musts);
      if (left <= CORRECTED_WITHIN) break;
      shift = addBreach(shift, musts);
      if (left > SLOW_SHARE * excess) {
        const lightest = left > LARGE_BREACH ? MUST_WEIGHT : MUST_WEIGHT * HEAVIER;
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
    return { skeleton, pressure: { shift, weight }, excess: left, kept: left <= KEPT_WITHIN };
  }

  private calcMusts(posture: Posture): Musts {
    return this.conditions.calcMusts(this.evaluator.evaluate(posture));
  }

  private minimise(start: Posture, pressure: Pressure, stop: StoppingCriterion): Posture {
    const { conditions, evaluator, workspace } = this;
    const { free } = this.task;
    return minimise<Posture>(
      {
        move: (from, step) => stepPosture(from, step, free),
        calcResiduals: (at, into) => {
          conditions.writeResiduals(evaluator.evaluate(at), pressure, into);
        },
        calcDerivatives: (at, into) => {
          evaluator.writeJacobian(at, into.jacobian);
          conditions.writeDerivatives(evaluator.evaluate(at), pressure.weight, into);
        },
      },
      start,
      stop,
      workspace,
    );
  }
}
