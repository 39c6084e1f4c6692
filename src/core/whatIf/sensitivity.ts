import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import type { Side } from '../measures/protocol.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { findUncertain, replaceValue, solveWith, type SolvedNumbers } from './solveAgain.ts';

/** One measure's part in the doubt of a set-up. */
export interface Influence {
  readonly measure: MeasureId;
  readonly side: Side | null;
  readonly error: number;
  /**
   * How far each number moves when the measure is off by one standard error: the root mean
   * square of both ways, with the sign of a larger measure.
   */
  readonly moves: ReadonlyMap<SettingId | 'depth', number>;
}

/** Root mean square of two moves, with the sign of their sum. */
const meanMove = (up: number, down: number): number =>
  Math.sqrt((up * up + down * down) / 2) * (up + down < 0 ? -1 : 1);

/** Each measure moved by its own standard error both ways. */
export interface Sweep {
  readonly base: SolvedNumbers;
  readonly influences: readonly Influence[];
  /** Whether the same joint limits the pose in all of them. */
  readonly isSmooth: boolean;
}

/**
 * Moves every uncertain measure and solves again.
 *
 * @param plan the plan that was solved
 * @param isNear whether to start where the plan was solved, and to move lengths one way only
 * @returns null when nothing was solved
 */
export function sweep(plan: Plan, isNear: boolean): Sweep | null {
  const base = solveWith(plan, plan.context.set, isNear);
  if (base === null) return null;
  const influences: Influence[] = [];
  let isSmooth = true;
  for (const use of findUncertain(plan)) {
    const { measure, side, error, value } = use;
    // Limits cut in on one side; a length has none, and for a quick answer one way tells its slope.
    const isOneWay = isNear && getProtocol(measure).unit === 'cm';
    const moved = isOneWay ? [value + error] : [value + error, value - error];
    const both = moved.map((each) =>
      solveWith(plan, replaceValue(plan.context.set, use, each), isNear),
    );
    isSmooth &&= both.every((each) => each?.limiting === base.limiting);
    const moves = new Map<SettingId | 'depth', number>();
    for (const [id, at] of base.values) {
      const [more, less] = both.map((each) => each?.values.get(id));
      // Where one of the two cannot be held, the other tells alone.
      const up = more === undefined ? null : more - at;
      const down = less === undefined ? null : at - less;
      moves.set(id, meanMove(up ?? down ?? 0, down ?? up ?? 0));
    }
    influences.push({ measure, side, error, moves });
  }
  return { base, influences, isSmooth };
}
