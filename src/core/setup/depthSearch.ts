import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { PoseTask } from '../solver/poseTask.ts';
import { getQuantity } from '../solver/quantities.ts';
import { calcWishOff, toScaled, WISH_STRETCH, type Aim } from '../solver/residuals.ts';
import { hintOf, type Answer, type Hint } from '../solver/run.ts';
import {
  pullFarthest,
  pullFromHint,
  reachFarthest,
  settleAt,
  settleFromHint,
  settleOnTheWay,
  walkFarthest,
  type Way,
} from '../solver/solve.ts';
import { radiansFromDegrees } from '../units/brands.ts';

export type WishAim = Omit<Aim, 'toward'>;

/** A like task's answers, from which a task is solved sooner. */
export interface DepthHints {
  readonly deepest: Hint;
  readonly sparing: Hint;
  readonly settled: Hint;
}

/** The farthest depth that was found, and what was kept on the way there. */
interface Reached {
  readonly answer: Answer;
  readonly aim: WishAim;
  /** False when nothing on the whole way can be held. */
  readonly isHeld: boolean;
}

/**
 * The deepest set-up is settled this much inside its edge, degrees: at the edge itself
 * nothing is left to weigh, and a hair's breadth of depth decides every wish. A quarter
 * of what can be set gives the same answer from every start. Our modelling choice.
 */
const INSIDE_THE_EDGE = 0.25;
/** A wish that is off by fewer tolerances than this holds nothing back. */
const NEARLY_STRETCHED = 0.95 * WISH_STRETCH;

/** One pose's way from its easiest depth to the textbook's. Depths in degrees or centimetres. */
export class DepthSearch {
  /**
   * @param hints of a like task solved before: this one lies near its answer, or is not
   *   worth a walk
   */
  constructor(
    private readonly task: PoseTask,
    private readonly depth: DepthDefinition,
    private readonly hints: DepthHints | null,
  ) {}

  depthOf({ skeleton }: Answer): number {
    const { quantity } = this.depth;
    return toScaled(quantity, getQuantity(quantity).calc(skeleton));
  }

  /**
   * The farthest depth with every wish within its stretch, or where there is none, with the
   * musts alone.
   *
   * @param toSpareDeg kept free at every joint
   * @param letsGo whether the wishes are let go of from the beginning
   * @param ease that has to be left above the easiest depth
   * @param near where a like task was solved
   * @param enough a depth beyond which it need not be looked for
   */
  reach(
    toSpareDeg: number,
    letsGo: boolean,
    ease: number,
    near: Hint | null,
    enough = this.depth.textbook,
  ): Reached {
    const toSpare = radiansFromDegrees(toSpareDeg);
    const isHeld = (answer: Answer): boolean =>
      answer.kept && this.depthOf(answer) - ease >= this.depth.easiest;
    const kept = { toSpare, wishesWithin: letsGo ? null : WISH_STRETCH };
    const soon = this.pull(kept, near, enough);
    // What asks more when it is shallower may be held beyond what is enough.
    const pulled = soon.kept || enough >= this.depth.textbook ? soon : this.pull(kept, near);
    if (isHeld(pulled)) return { answer: pulled, aim: kept, isHeld: true };
    // Letting go helps where a wish stands in the way; a broken must may have hidden that.
    const hasWishes = !letsGo && this.task.wishes.length > 0;
    const helps = hasWishes && (!pulled.kept || this.stretchesAWish(pulled));
    const bare = { toSpare, wishesWithin: null };
    // What the musts alone forbid needs neither a pull without the wishes nor a walk with them.
    const anywhere = pulled.kept ? null : this.settleAnywhere(toSpareDeg);
    if (anywhere?.kept === false) return { answer: anywhere, aim: bare, isHeld: false };
    const farthest = helps ? this.walk(bare, this.pull(bare, near)) : null;
    if (farthest !== null && !isHeld(farthest)) {
      return { answer: farthest, aim: bare, isHeld: false };
    }
    const walked = this.walk(kept, pulled);
    return farthest === null || isHeld(walked)
      ? { answer: walked, aim: kept, isHeld: isHeld(walked) }
      : { answer: farthest, aim: bare, isHeld: true };
  }

  /** The most wished-for posture anywhere on the way, with the musts alone; not kept when there is none. */
  settleAnywhere(toSpareDeg: number): Answer {
    const aim = { toSpare: radiansFromDegrees(toSpareDeg), wishesWithin: null };
    return settleOnTheWay(this.task, this.way, aim);
  }

  /** The most wished-for posture at a depth; null when it cannot be held. */
  settle(depth: number, aim: WishAim, near: Answer): Answer | null {
    const { quantity } = this.depth;
    const value = this.toOwn(depth);
    const answer =
      this.hints === null
        ? settleAt(this.task, quantity, value, aim, hintOf(near))
        : settleFromHint(this.task, quantity, value, aim, this.hints.settled);
    return answer.kept ? answer : null;
  }

  /**
   * Settled inside an edge, or where that cannot be held, as near to there as can be.
   *
   * @param near the answer at the edge or beyond; it stays where nothing else can be held
   */
  settleJustInside(edge: number, aim: WishAim, near: Answer): Answer {
    const wanted = edge - INSIDE_THE_EDGE;
    const settled = this.settle(wanted, aim, near);
    return settled ?? this.settleNearest(wanted, this.depthOf(near), aim, near) ?? near;
  }

  /**
   * From an edge, as near to a shallower depth as can be held: a shallower pose can ask
   * more, as a knee that bends less turns hip opening into rotation.
   */
  settleAbove(wanted: number, edge: number, aim: WishAim, near: Answer): Answer {
    const settled = this.settleNearest(wanted, edge, aim, near);
    return settled ?? this.settleJustInside(edge, aim, near);
  }

  /** Settled as near to a shallower depth as a pull back from the edge comes; null when it cannot be held. */
  private settleNearest(wanted: number, edge: number, aim: WishAim, near: Answer): Answer | null {
    const { quantity } = this.depth;
    const way = { quantity, from: this.toOwn(edge), to: this.toOwn(wanted) };
    const shallowest = reachFarthest(this.task, way, aim, near.skeleton.posture);
    if (!shallowest.kept) return null;
    const inside = Math.min(edge, this.depthOf(shallowest) + INSIDE_THE_EDGE);
    return this.settle(inside, aim, shallowest);
  }

  private stretchesAWish({ skeleton }: Answer): boolean {
    return this.task.wishes.some(
      (wish) => Math.abs(calcWishOff(wish, skeleton)) > NEARLY_STRETCHED,
    );
  }

  private toOwn(depth: number): number {
    return depth / toScaled(this.depth.quantity, 1);
  }

  private get way(): Way {
    const { quantity, easiest, textbook } = this.depth;
    return { quantity, from: this.toOwn(easiest), to: this.toOwn(textbook) };
  }

  private pull(aim: WishAim, near: Hint | null, enough = Infinity): Answer {
    const { task, hints } = this;
    const way = { ...this.way, enough: this.toOwn(Math.min(enough, this.depth.textbook)) };
    if (near === null) return pullFarthest(task, way, aim, null);
    return pullFromHint(task, way, aim, near, hints === null ? task.again.sparing : []);
  }

  private walk(aim: WishAim, deadEnd: Answer): Answer {
    if (deadEnd.kept || this.hints !== null) return deadEnd;
    return walkFarthest(this.task, this.way, aim, deadEnd);
  }
}
