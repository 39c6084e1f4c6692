import {
  holdFeet,
  toWarmStarts,
  type PoseAnswer,
  type PoseRequest,
  type PoseWarmStarts,
} from '../planning/poseRequest.ts';
import { solveOn, solvePose } from '../planning/solvePose.ts';
import type { SolvedRequest } from '../planning/solveRequest.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import { minimiseWorst, type Loss, type Span } from './minimiseWorst.ts';

/** Stance length in metres, back-foot angle in radians. */
export type Stance = readonly [length: number, backFootYaw: number];

/** A pose cannot be held. */
export const ALL_LOST = 1;

/** Steps of the search, metres and radians. Our choice: the last is half of what a teacher can set. */
export const LENGTH_LATTICE = 0.0025;
export const TURN_LATTICE = radiansFromDegrees(0.5);
export const LENGTH_STEPS = [18, 6, 2, 1].map((each) => each * LENGTH_LATTICE);
export const TURN_STEPS = [18, 6, 2, 1].map((each) => each * TURN_LATTICE);
/** The best depth is flat near its feet: the last step changes nothing that is said. */
const coarsely = (span: Span): Span => ({ ...span, steps: span.steps.slice(0, -2) });

/** @returns in the depth's own unit; null = it cannot be held, or has no depth */
export const depthOf = ({ found }: PoseAnswer): number | null =>
  found.kind === 'held' ? found.depth : null;

const reaches = (answer: PoseAnswer | undefined, depth: number): boolean =>
  answer !== undefined && (depthOf(answer) ?? -Infinity) >= depth;

/** @returns the feet of an answer, metres and radians */
export const stanceOf = ({ found }: PoseAnswer): Stance => {
  const { stance, backFootYaw } = found.answer.skeleton.posture.parts;
  return [stance, backFootYaw];
};

/**
 * Where a similar request may start from; how far wishes stretch is looked for again, for
 * other feet may ask them for more. A pose of two depths shares them out again.
 */
function nearTo(answer: PoseAnswer, { pose }: PoseRequest): PoseWarmStarts | null {
  const { last, ...rest } = toWarmStarts(answer);
  if (pose.firstDepth !== null) return null;
  return { ...rest, last: last === null ? null : { ...last, stretch: null } };
}

/** How far apart two stances are, in steps of the search. */
const apart = (a: Stance, b: Stance): number =>
  Math.abs(a[0] - b[0]) / LENGTH_STEPS[0]! + Math.abs(a[1] - b[1]) / TURN_STEPS[0]!;

/** One pose solved on any feet, each time from the nearest answer that is known. */
export class PoseOnAnyFeet {
  /** With free feet; a pose that keeps another's knee may not come to it on any feet. */
  private readonly free: PoseAnswer;
  private readonly request: PoseRequest;
  private readonly known: { readonly at: Stance; readonly answer: PoseAnswer }[];
  private readonly solved = new Map<string, { answer: PoseAnswer; isDeepest: boolean }>();

  /**
   * @param parent the pose of the same blueprint that this one stands on, and starts from; null = none
   */
  constructor(
    solved: SolvedRequest,
    private readonly parent: PoseOnAnyFeet | null,
  ) {
    this.request = solved.poseRequest;
    this.free =
      solved.poseRequest.feet === null
        ? solved.answer
        : solvePose({ ...solved.poseRequest, feet: null });
    // With free feet it may lie in another valley: that one is begun from only where need be.
    const own = [solved.answer, this.free].find(({ found }) => found.kind === 'held');
    this.known = own === undefined ? [] : [{ at: stanceOf(own), answer: own }];
  }

  /** @returns whether it can be held on any feet at all */
  get isHeld(): boolean {
    return this.known.length > 0;
  }

  /** @returns its own feet, and those it has when they are free */
  listStarts(): readonly Stance[] {
    return [...this.known.slice(0, 1).map(({ at }) => at), stanceOf(this.free)];
  }

  /**
   * Its answer on the feet on which it comes deepest, with everything kept.
   *
   * @param spans where feet may stand
   */
  findBest(spans: readonly [Span, Span]): PoseAnswer {
    const most = depthOf(this.free);
    if (this.parent === null || most === null) return this.free;
    const loss: Loss = ([stance, yaw]) => calcLost(this.solve([stance!, yaw!]), most);
    const { at } = minimiseWorst(spans.map(coarsely) as [Span, Span], this.listStarts(), [loss]);
    return this.solve(at as unknown as Stance);
  }

  /**
   * Its deepest answer on some feet.
   *
   * @param at the feet
   * @param enough a depth beyond which no deeper answer need be looked for
   */
  solve(at: Stance, enough = Infinity): PoseAnswer {
    const key = at.map((each) => each.toFixed(6)).join(' ');
    const before = this.solved.get(key);
    const isKnown = before?.isDeepest === true || reaches(before?.answer, enough);
    if (before !== undefined && isKnown) return before.answer;
    const answer = this.solveFromAll(at, enough);
    this.solved.set(key, { answer, isDeepest: !reaches(answer, enough) });
    if (answer.found.kind === 'held') this.known.push({ at, answer });
    return answer;
  }

  /**
   * The deepest answer from a few starts: a side bend has several local optima, and which of them
   * is found should not depend on the way of the search.
   */
  private solveFromAll(at: Stance, enough: number): PoseAnswer {
    const standing = this.parent?.solve(at) ?? null;
    const [near] = this.known.toSorted((a, b) => apart(a.at, at) - apart(b.at, at));
    const nearest = near!.answer;
    const starts = new Set([nearest, standing ?? nearest, this.free]);
    const wanted = Math.min(enough, depthOf(this.free) ?? 0);
    let deepest: PoseAnswer | null = null;
    for (const start of starts) {
      const warmStarts = start === nearest ? nearTo(nearest, this.request) : null;
      const answer = this.solveFrom(at, start, standing, warmStarts);
      const isDeeper =
        deepest === null || (depthOf(answer) ?? -Infinity) > (depthOf(deepest) ?? -Infinity);
      if (isDeeper) deepest = answer;
      if (standing === null || reaches(answer, wanted)) break;
    }
    return deepest!;
  }

  private solveFrom(
    at: Stance,
    start: PoseAnswer,
    standing: PoseAnswer | null,
    warmStarts: PoseWarmStarts | null,
  ): PoseAnswer {
    const base = holdFeet(start);
    const [stance, backFootYaw] = at;
    const held = { ...base.held, stance, backFootYaw };
    const posture = { ...base.posture, parts: { ...base.posture.parts, ...held } };
    const feet =
      standing === null ? null : { held, posture, frontKneeBend: holdFeet(standing).frontKneeBend };
    return solveOn({ ...this.request, feet }, held, posture, warmStarts);
  }
}

/**
 * Every pose of a run on any feet; those that stand on another one share its answers.
 *
 * @param plans each as it is recommended by itself
 * @returns in the same order
 */
export function putOnAnyFeet(plans: readonly SolvedRequest[]): readonly PoseOnAnyFeet[] {
  const made = new Map<string, PoseOnAnyFeet>();
  const keyOf = ({ poseRequest: { pose } }: SolvedRequest): string =>
    JSON.stringify([pose.id, pose.restsOn, pose.musts]);
  const make = (solved: SolvedRequest): PoseOnAnyFeet => {
    const { legs } = solved;
    const { blueprint } = solved.poseRequest.pose;
    const isAlike = legs !== null && legs.poseRequest.pose.blueprint === blueprint;
    const parent = isAlike ? make(legs) : null;
    const known = made.get(keyOf(solved)) ?? new PoseOnAnyFeet(solved, parent);
    made.set(keyOf(solved), known);
    return known;
  };
  return plans.map(make);
}

/**
 * Share of the best depth that is lost.
 *
 * @param answer on some feet
 * @param best depth on the pose's own best feet; null = it loses nothing
 * @returns below 0 where these feet give more
 */
export function calcLost(answer: PoseAnswer, best: number | null): number {
  if (answer.found.kind === 'cannot') return ALL_LOST;
  const depth = depthOf(answer);
  return best === null || depth === null || best <= 0 ? 0 : (best - depth) / best;
}
