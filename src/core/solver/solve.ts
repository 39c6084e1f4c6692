import type { QuantityId } from '../poses/quantityId.ts';
import { Learnt } from './learnt.ts';
import { minimise } from './leastSquares.ts';
import type { ResidualShape } from './linearModel.ts';
import { getQuantity } from './quantities.ts';
import type { PoseTask } from './poseTask.ts';
import { PostureReader } from './postureReader.ts';
import {
  countUnknowns,
  measureApart,
  stepPosture,
  takeFixedParts,
  type Posture,
} from './posture.ts';
import {
  Conditions,
  findLargestExcess,
  toScaled,
  type Aim,
  type Musts,
  type Pressure,
} from './residuals.ts';
import { buildSkeleton, type Skeleton } from './skeleton.ts';

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
/** A run stops when a step lowers the cost by less than this, in squared tolerances. */
const SMALLEST_GAIN = { first: 0.1, corrected: 1e-4 } as const;

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
interface Draft {
  readonly posture: Posture;
  readonly cost: number;
}

/** Two drafts nearer to each other than this in everything, radians or metres, end at one place. */
const ALIKE_WITHIN = 0.01;
const areAlike = (a: Posture, b: Posture): boolean => measureApart(a, b) < ALIKE_WITHIN;

/** The shift of another list of musts, for these; nothing where that is shorter. */
const fitShift = (shift: Musts, { equal, below }: Musts): Musts => ({
  equal: equal.map((_, i) => shift.equal[i] ?? 0),
  below: below.map((_, i) => shift.below[i] ?? 0),
});

/** Shifts every must by the breach that a run left; a must that is kept loses its shift. */
const addBreach = (shift: Musts, musts: Musts): Musts => ({
  equal: musts.equal.map((each, i) => each + shift.equal[i]!),
  below: musts.below.map((each, i) => Math.max(0, each + shift.below[i]!)),
});

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
class Run {
  private readonly conditions: Conditions;
  private readonly reader: PostureReader;
  private readonly noShift: Musts;
  private readonly shape: ResidualShape;
  private readonly learnt: Learnt;

  /** @param first the posture that it is to begin at */
  constructor(
    private readonly task: PoseTask,
    aim: Aim,
    first: Posture,
  ) {
    const { figure, contacts, free } = task;
    const like = buildSkeleton(figure, contacts, first);
    this.conditions = new Conditions(task, aim, like);
    this.reader = new PostureReader(task, this.conditions.readings, like);
    this.noShift = this.conditions.makeMusts();
    this.shape = this.conditions.shapeOf(countUnknowns(free));
    this.learnt = new Learnt(this.shape);
  }

  draft(start: Posture): Draft {
    const pressure = { shift: this.noShift, weight: MUST_WEIGHT };
    this.learnt.forgetBending();
    const posture = this.minimise(start, pressure, SMALLEST_GAIN.first);
    const readings = this.reader.read(posture);
    const breach = MUST_WEIGHT ** 2 * sumBreaches(this.conditions.calcMusts(readings));
    const preferences = this.conditions.calcPreferenceCost(readings);
    return { posture, cost: breach + preferences };
  }

  correct({ posture: from }: Pick<Draft, 'posture'>): Answer {
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
    this.learnt.forgetBending();
    for (let correction = 0; correction < MOST_CORRECTIONS; correction += 1) {
      posture = this.minimise(posture, { shift, weight }, SMALLEST_GAIN.corrected);
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
    const skeleton = this.reader.build(posture);
    return { skeleton, pressure: { shift, weight }, excess: left, kept: left <= KEPT_WITHIN };
  }

  private calcMusts(posture: Posture): Musts {
    return this.conditions.calcMusts(this.reader.read(posture));
  }

  private minimise(start: Posture, pressure: Pressure, smallestGain: number): Posture {
    const { conditions, reader, shape, learnt } = this;
    const { free } = this.task;
    return minimise<Posture>(
      {
        shape,
        move: (from, step) => stepPosture(from, step, free),
        calcResiduals: (at, into) => {
          conditions.writeResiduals(reader.read(at), pressure, into);
        },
        calcSlopes: (at, into) => {
          reader.readChanges(at, into.changes);
          conditions.writeSlopes(reader.read(at), pressure.weight, into);
        },
      },
      start,
      smallestGain,
      learnt,
    );
  }
}

/** A pull counts as at its end when it is short by less than this, degrees or centimetres. */
const AT_THE_END = 0.01;
/** Of two starts that pull as far as each other, the cheaper one's answer stays. */
const FARTHER = 0.02;

/** How far a pull fell short of its end, degrees or centimetres; 0 when nothing was pulled. */
function findShort({ toward }: Aim, { skeleton }: Answer): number {
  if (toward === null || toward.how === 'hold') return 0;
  const { quantity, value } = toward;
  return Math.abs(toScaled(quantity, value - getQuantity(quantity).calc(skeleton)));
}

/**
 * Drafts from every start, then corrects them, cheapest first, until one keeps every must
 * and a pull is at its end. A pull that falls short is tried from every start, because
 * the cheapest draft is not always the one that comes farthest.
 *
 * @returns the farthest answer that keeps every must; the least broken one if none does
 */
function runFrom(task: PoseTask, aim: Aim, starts: readonly Posture[]): Answer {
  const [first] = starts;
  if (first === undefined) throw new Error('A pose needs at least one start');
  const run = new Run(task, aim, first);
  const drafts: Draft[] = [];
  for (const start of starts) {
    const draft = run.draft(start);
    if (!drafts.some(({ posture }) => areAlike(posture, draft.posture))) drafts.push(draft);
  }
  drafts.sort((a, b) => a.cost - b.cost);
  let farthest: Answer | null = null;
  let least: Answer | null = null;
  for (const draft of drafts) {
    const answer = run.correct(draft);
    if (least === null || answer.excess < least.excess) least = answer;
    if (!answer.kept) continue;
    const short = findShort(aim, answer);
    if (farthest === null || short < findShort(aim, farthest) - FARTHER) farthest = answer;
    if (short < AT_THE_END) break;
  }
  return farthest ?? least!;
}

/** How far a quantity is to be taken: from where it is easy to where it ends, radians or metres. */
export interface Way {
  readonly quantity: QuantityId;
  readonly from: number;
  readonly to: number;
}

type ReachAim = Omit<Aim, 'toward'>;

const pullAlong = ({ quantity, from, to }: Way, aim: ReachAim): Aim => ({
  ...aim,
  toward: { quantity, value: to, how: to < from ? 'down' : 'up' },
});

/**
 * Pulls one quantity as far along its way as every must allows.
 *
 * @param near a posture to start from; the pose's own starts are tried when it fails
 * @returns the farthest posture found; where none is kept, the pull may have run into a
 *   dead end, see {@link walkFarthest}
 */
export const pullFarthest = (
  task: PoseTask,
  way: Way,
  aim: ReachAim,
  near: Posture | null,
): Answer => runNear(task, pullAlong(way, aim), near);

/** The same from where a like task was solved before. */
export const pullFromHint = (task: PoseTask, way: Way, aim: ReachAim, hint: Hint): Answer =>
  runFromHint(task, pullAlong(way, aim), hint);

/** Pulls, and walks on from a dead end, which is slow; see {@link pullFarthest}. */
export function reachFarthest(
  task: PoseTask,
  way: Way,
  aim: ReachAim,
  near: Posture | null,
): Answer {
  const pulled = pullFarthest(task, way, aim, near);
  return pulled.kept ? pulled : walkFarthest(task, way, aim, pulled);
}

/** Shares of its way that a pull which ran into a dead end steps back by, in turn. */
const RETREATS = [0.01, 0.02, 0.04, 0.08, 0.16, 0.32] as const;
/** A walk takes strides this share of its way at first, and ends when they are a hundredth of that. */
const FIRST_STRIDE = 0.16;
const LAST_STRIDE = 0.0016;

/**
 * A pull can run past the musts into a dead end that no correction leads out of. Then it
 * steps back until every must is kept, or begins anew anywhere on the way where they all
 * are, and walks on from there, each stride a posture that keeps every must.
 *
 * @param deadEnd where the pull ended; answered when nothing on the way can be held
 */
export function walkFarthest(
  task: PoseTask,
  { quantity, from, to }: Way,
  aim: ReachAim,
  deadEnd: Answer,
): Answer {
  const length = to - from;
  const hold = (share: number, starts: readonly Posture[]): Answer => {
    return runFrom(task, holdAt(quantity, from + share * length, aim), starts);
  };
  const { calc } = getQuantity(quantity);
  const shareOf = ({ skeleton }: Answer): number => (calc(skeleton) - from) / length;
  const walkFrom = (begun: Answer): Answer => walkOn(begun, shareOf(begun), hold);
  const anywhere = settleOnTheWay(task, { quantity, from, to }, aim);
  if (!anywhere.kept) return deadEnd;
  const { posture } = deadEnd.skeleton;
  const ended = shareOf(deadEnd);
  for (const back of RETREATS) {
    if (ended < back || ended > 1 + back) continue;
    const begun = hold(ended - back, [posture]);
    if (begun.kept) return walkFrom(begun);
  }
  return walkFrom(anywhere);
}

function walkOn(
  begun: Answer,
  share: number,
  hold: (share: number, starts: readonly Posture[]) => Answer,
): Answer {
  let best = begun;
  let at = share;
  for (let stride = FIRST_STRIDE; stride >= LAST_STRIDE; stride /= 2) {
    while (at + stride <= 1) {
      const answer = hold(at + stride, [best.skeleton.posture]);
      if (!answer.kept) break;
      best = answer;
      at += stride;
    }
  }
  return best;
}

const holdAt = (quantity: QuantityId, value: number, aim: ReachAim): Aim => ({
  ...aim,
  toward: { quantity, value, how: 'hold' },
});

/** The most wished-for posture with one quantity held at a value. */
export const settleAt = (
  task: PoseTask,
  quantity: QuantityId,
  value: number,
  aim: ReachAim,
  near: Posture,
): Answer => runNear(task, holdAt(quantity, value, aim), near);

/** The same from where a like task was solved before. */
export const settleFromHint = (
  task: PoseTask,
  quantity: QuantityId,
  value: number,
  aim: ReachAim,
  hint: Hint,
): Answer => runFromHint(task, holdAt(quantity, value, aim), hint);

/** The most wished-for posture that keeps every must. */
export const settleFreely = (task: PoseTask, aim: ReachAim): Answer =>
  runFrom(task, { ...aim, toward: null }, task.starts);

/** The most wished-for posture that keeps every must anywhere on a way. */
export function settleOnTheWay(task: PoseTask, { quantity, from, to }: Way, aim: ReachAim): Answer {
  const between = { quantity, atLeast: Math.min(from, to), atMost: Math.max(from, to) };
  return settleFreely({ ...task, musts: [...task.musts, between] }, aim);
}

function runNear(task: PoseTask, aim: Aim, near: Posture | null): Answer {
  if (near !== null) {
    const answer = runFrom(task, aim, [near]);
    if (answer.kept) return answer;
  }
  return runFrom(task, aim, task.starts);
}

/** The answer to a like task is as good as a draft, once it stands where this one has to. */
function runFromHint(task: PoseTask, aim: Aim, hint: Hint): Answer {
  const posture = takeFixedParts(hint.posture, task.starts.at(-1)!, task.free);
  const answer = new Run(task, aim, posture).correctHint({ ...hint, posture });
  return answer.kept ? answer : runNear(task, aim, posture);
}
