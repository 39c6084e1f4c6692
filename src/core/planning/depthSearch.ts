import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { PoseTask } from '../conditions/poseTask.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { calcWishOff, toScaled, WISH_STRETCH } from '../conditions/violation.ts';
import type { Aim } from '../conditions/listConditions.ts';
import { toWarmStart, type Solution, type WarmStart } from '../solver/run.ts';
import {
  pullFarthest,
  pullFromWarmStart,
  reachFarthest,
  settleAt,
  settleFromWarmStart,
  settleOnTheWay,
  walkFarthest,
  type ReachRange,
} from '../solver/solve.ts';
import { radiansFromDegrees } from '../units/brands.ts';

export type WishAim = Omit<Aim, 'toward'>;

/** A like task's answers, from which a task is solved sooner. */
export interface DepthWarmStarts {
  readonly deepest: WarmStart;
  readonly sparing: WarmStart;
  readonly settled: WarmStart;
  /** How far the wishes stretch is taken over from there; null = it is looked for again. */
  readonly stretch: number | null;
}

/** The farthest depth that was found. */
interface Reached {
  readonly answer: Solution;
  /** How much farther than their usual tolerance the wishes had to stretch, 1 = no farther. */
  readonly stretch: number;
  /** False when nothing on the whole way can be held. */
  readonly isHeld: boolean;
}

interface Reach {
  /** Kept free at every joint inside its limit, degrees. */
  readonly toSpareDeg?: number;
  /** That has to be left above the easiest depth. */
  readonly ease?: number;
  /** Where a like task was solved. */
  readonly near?: WarmStart | null;
  /** A depth beyond which it need not be looked for. */
  readonly enough?: number;
  /** Wishes may stretch this much from the beginning. */
  readonly stretch?: number;
}

/** Wishes are worth keeping while the pose comes to this share of its depth without any. Our choice. */
const WORTH_ITS_WISHES = 0.6;
/** The stretch is found to this share of itself: less moves no number that anyone sets. */
const STRETCH_WITHIN = 0.02;

/**
 * How far any wish may be off, in its tolerances.
 *
 * @param stretch 1 = their usual tolerance
 * @returns tolerances
 */
export const wishesWithinAt = (stretch: number): number => WISH_STRETCH * stretch;

/**
 * The deepest set-up is settled this much inside its edge, degrees: at the edge itself
 * nothing is left to weigh, and a hair's breadth of depth decides every wish. A quarter
 * of what can be set gives the same answer from every start. Our modelling choice.
 */
const INSIDE_THE_EDGE = 0.25;
/** A wish that is off by less than this share of what it may holds nothing back. */
const NEARLY = 0.95;
/** A depth this near to where it was to go is there, degrees or centimetres. */
const AT_THE_END = 0.05;

/** One pose's way from its easiest depth to the textbook's. Depths in degrees or centimetres. */
export class DepthSearch {
  /**
   * @param warmStarts of a similar task that was solved before: this one lies near its answer, or is not
   *   worth a walk
   */
  constructor(
    private readonly task: PoseTask,
    private readonly depth: DepthDefinition,
    private readonly warmStarts: DepthWarmStarts | null,
  ) {}

  depthOf({ skeleton }: Solution): number {
    const { quantity } = this.depth;
    return toScaled(quantity, getQuantity(quantity).calc(skeleton));
  }

  /**
   * The farthest depth with every wish within its tolerance. Where the wishes cost more than
   * two fifths of the depth that the musts alone allow, all of them stretch by the same
   * factor, the smallest one that gives it back: so the answer never jumps as a body changes.
   */
  reach({
    toSpareDeg = 0,
    ease = 0,
    near = null,
    enough = this.depth.textbook,
    stretch = this.warmStarts?.stretch ?? 1,
  }: Reach = {}): Reached {
    const toSpare = radiansFromDegrees(toSpareDeg);
    const within = (factor: number): WishAim => ({ toSpare, wishesWithin: wishesWithinAt(factor) });
    const least = this.depth.easiest + ease;
    const goesTo = (answer: Solution, depth: number): boolean =>
      answer.kept && this.depthOf(answer) >= depth;
    const kept = within(stretch);
    const soon = this.pull(kept, near, enough);
    // What asks more when it is shallower may be held beyond what is enough.
    const pulled = soon.kept || enough >= this.depth.textbook ? soon : this.pull(kept, near);
    const isAtEnd = goesTo(pulled, Math.min(enough, this.depth.textbook) - AT_THE_END);
    if (isAtEnd && goesTo(pulled, least)) return { answer: pulled, stretch, isHeld: true };
    const isKnown = this.warmStarts?.stretch === 1;
    if (isKnown && goesTo(pulled, least)) return { answer: pulled, stretch, isHeld: true };
    const best = this.walk(kept, pulled, least);
    // A wish that is not at its end holds nothing back; a broken must may have hidden that.
    const isFree = best.kept && !this.stretchesAWish(best, stretch);
    if (isFree || this.task.wishes.length === 0) {
      return { answer: best, stretch, isHeld: goesTo(best, least) };
    }
    const bare = { toSpare, wishesWithin: null };
    // What the musts alone forbid needs neither a pull without the wishes nor a walk with them.
    const anywhere = best.kept ? null : this.settleAnywhere(toSpareDeg);
    if (anywhere?.kept === false) return { answer: anywhere, stretch, isHeld: false };
    const farthest = this.walk(bare, this.pull(bare, near), least);
    const isHeldBare = goesTo(farthest, least);
    const wanted = isHeldBare ? Math.max(least, WORTH_ITS_WISHES * this.depthOf(farthest)) : least;
    if (goesTo(best, wanted)) return { answer: best, stretch, isHeld: true };
    if (!isHeldBare) return { answer: farthest, stretch, isHeld: false };
    let low = stretch;
    let high = Math.max(stretch, this.findStretch(farthest));
    let reached = farthest;
    while (high - low > STRETCH_WITHIN * low) {
      const middle = Math.sqrt(low * high);
      const answer = this.pull(within(middle), toWarmStart(reached));
      if (goesTo(answer, wanted)) {
        reached = answer;
        high = middle;
      } else low = middle;
    }
    return { answer: reached, stretch: high, isHeld: true };
  }

  /** How far the wishes of a posture stretch. */
  private findStretch({ skeleton }: Solution): number {
    const offs = this.task.wishes.map((wish) => Math.abs(calcWishOff(wish, skeleton)));
    return Math.max(0, ...offs) / WISH_STRETCH + STRETCH_WITHIN;
  }

  /** The most wished-for posture anywhere on the way, with the musts alone; not kept when there is none. */
  settleAnywhere(toSpareDeg: number): Solution {
    const aim = { toSpare: radiansFromDegrees(toSpareDeg), wishesWithin: null };
    return settleOnTheWay(this.task, this.way, aim);
  }

  /** The most wished-for posture at a depth; null when it cannot be held. */
  settle(depth: number, aim: WishAim, near: Solution): Solution | null {
    const { quantity } = this.depth;
    const value = this.toOwn(depth);
    const answer =
      this.warmStarts === null
        ? settleAt(this.task, quantity, value, aim, toWarmStart(near))
        : settleFromWarmStart(this.task, quantity, value, aim, this.warmStarts.settled);
    return answer.kept ? answer : null;
  }

  /**
   * Settled inside an edge, or where that cannot be held, as near to there as can be.
   *
   * @param near the answer at the edge or beyond; it stays where nothing else can be held
   */
  settleJustInside(edge: number, aim: WishAim, near: Solution): Solution {
    const wanted = edge - INSIDE_THE_EDGE;
    const settled = this.settle(wanted, aim, near);
    return settled ?? this.settleNearest(wanted, this.depthOf(near), aim, near) ?? near;
  }

  /**
   * From an edge, as near to a shallower depth as can be held: a shallower pose can ask
   * more, as a knee that bends less turns hip opening into rotation.
   */
  settleAbove(wanted: number, edge: number, aim: WishAim, near: Solution): Solution {
    const settled = this.settleNearest(wanted, edge, aim, near);
    return settled ?? this.settleJustInside(edge, aim, near);
  }

  /** Settled as near to a shallower depth as a pull back from the edge comes; null when it cannot be held. */
  private settleNearest(
    wanted: number,
    edge: number,
    aim: WishAim,
    near: Solution,
  ): Solution | null {
    const { quantity } = this.depth;
    const way = { quantity, from: this.toOwn(edge), to: this.toOwn(wanted) };
    const shallowest = reachFarthest(this.task, way, aim, near.skeleton.posture);
    if (!shallowest.kept) return null;
    const inside = Math.min(edge, this.depthOf(shallowest) + INSIDE_THE_EDGE);
    return this.settle(inside, aim, shallowest);
  }

  private stretchesAWish({ skeleton }: Solution, stretch: number): boolean {
    const most = NEARLY * wishesWithinAt(stretch);
    return this.task.wishes.some((wish) => Math.abs(calcWishOff(wish, skeleton)) > most);
  }

  private toOwn(depth: number): number {
    return depth / toScaled(this.depth.quantity, 1);
  }

  private get way(): ReachRange {
    const { quantity, easiest, textbook } = this.depth;
    return { quantity, from: this.toOwn(easiest), to: this.toOwn(textbook) };
  }

  private pull(aim: WishAim, near: WarmStart | null, enough = Infinity): Solution {
    const { task, warmStarts } = this;
    const way = { ...this.way, enough: this.toOwn(Math.min(enough, this.depth.textbook)) };
    if (near === null) return pullFarthest(task, way, aim, null);
    return pullFromWarmStart(task, way, aim, near, warmStarts === null ? task.again.sparing : []);
  }

  private walk(aim: WishAim, deadEnd: Solution, least: number): Solution {
    const isThere = deadEnd.kept && this.depthOf(deadEnd) >= least;
    if (isThere || this.warmStarts !== null) return deadEnd;
    return walkFarthest(this.task, this.way, aim, deadEnd);
  }
}
