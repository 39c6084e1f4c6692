import { findAnyPose, type AnyPose } from '../poses/anyPose.ts';
import { problem, type Problem } from '../problems/problem.ts';
import type { FlowStep } from './flow.ts';
import { HIPS_AT_REST, type Hips } from './hips.ts';
import { findWays, followWay, type Passage, type Place, type Terrain, type Way } from './ways.ts';

/** A step that a person does, and the pose it is done in. */
export interface Taken {
  /** In the flow. */
  readonly index: number;
  readonly step: FlowStep;
  readonly any: AnyPose;
  readonly place: Place;
}

/** A pose of a flow: a step of it, or one that is passed through on the way to the step. */
export interface Entry {
  /** Of the step that it is, or leads to. */
  readonly index: number;
  /** null = it is passed through. */
  readonly step: FlowStep | null;
  readonly any: AnyPose;
  readonly place: Place;
  /** How it is come into; null = it is the first one, or the same pose as before. */
  readonly passage: Passage | null;
}

/** The whole way of a flow. */
export interface WholeWay {
  readonly entries: readonly Entry[];
  /** The way into each step, by its index; the first step has none. */
  readonly ways: ReadonlyMap<number, Way>;
  /** The hips before each step, by its index. */
  readonly hipsBefore: ReadonlyMap<number, Hips>;
  readonly problems: readonly Problem[];
}

/** The hips in the first pose of all, and where no way is known. */
const startHips = ({ family, height }: AnyPose): Hips => ({
  family,
  needsLunge: family === 'open' && height === 'standing',
});

/** The way that was chosen, or else the cheapest; null = there is none. */
function findWay(
  before: Taken,
  { step, place, any, index }: Taken,
  hips: Hips,
  terrain: Terrain,
): { readonly way: Way | null; readonly problems: readonly Problem[] } {
  const path = `steps[${String(index)}]`;
  const details = { from: before.any.name, to: any.name };
  const chosen =
    step.by === undefined ? null : followWay(before.place, place, hips, terrain, step.by);
  const gone =
    step.by === undefined || chosen !== null ? [] : [problem('way-is-gone', path, details)];
  const way = chosen ?? findWays(before.place, place, hips, terrain)[0] ?? null;
  return { way, problems: way === null ? [problem('no-way', path, details)] : gone };
}

/**
 * Every pose of a flow in order, with the way from each to the next.
 *
 * @param taken the steps that this person does
 * @param terrain feet, and poses that are left out
 * @returns a step to which no way is known starts a new way
 */
export function findWholeWay(taken: readonly Taken[], terrain: Terrain): WholeWay {
  const entries: Entry[] = [];
  const ways = new Map<number, Way>();
  const hipsBefore = new Map<number, Hips>();
  const problems: Problem[] = [];
  let hips = HIPS_AT_REST;
  for (const [i, each] of taken.entries()) {
    const { index, step, any, place } = each;
    const before = taken[i - 1];
    hipsBefore.set(index, hips);
    const found = before === undefined ? null : findWay(before, each, hips, terrain);
    problems.push(...(found?.problems ?? []));
    const way = found?.way ?? null;
    if (way !== null) ways.set(index, way);
    hips = way?.hips ?? startHips(any);
    const between = way?.passages.slice(0, -1) ?? [];
    entries.push(
      ...between.map((passage): Entry => {
        return {
          index,
          step: null,
          any: findAnyPose(passage.to.pose)!,
          place: passage.to,
          passage,
        };
      }),
      { index, step, any, place, passage: way?.passages.at(-1) ?? null },
    );
  }
  return { entries, ways, hipsBefore, problems };
}
