import { measureKey, type MeasureSet } from '../measures/measureSet.ts';
import { calcStandardError } from '../measures/readingErrors.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import type { Side } from '../measures/protocol.ts';
import { findRange } from '../planning/ranges.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { calcErrorBars, SMALLEST_BAR, sumOfSquares, type ErrorBars } from './errorBars.ts';
import { ignoreProgress } from './progress.ts';
import type { Influence } from './sensitivity.ts';
import { replaceValue, solveWith } from './solveAgain.ts';

/** One reading that could be repeated, and what that would gain. */
export interface RepeatGain {
  readonly measure: MeasureId;
  readonly side: Side | null;
  readonly errorNow: number;
  readonly errorThen: number;
  /** How much further the depths come in all, degrees or cm, because less margin is taken. */
  readonly depthGain: number;
  /** How much the ± of the depths shrinks in all. */
  readonly doubtGain: number;
  /** The one number whose ± shrinks most; null = none shrinks. */
  readonly most: SharperSetting | null;
}

/** A number of a set-up that a repeated reading makes surer. */
export interface SharperSetting {
  readonly pose: string;
  readonly side: Side;
  readonly setting: SettingId | 'depth';
  readonly unit: 'cm' | 'deg';
  /** ± now and after the repeat. */
  readonly now: number;
  readonly then: number;
}

/**
 * Which reading to repeat next for a set of poses: each is given one reading more, the
 * poses are solved again with the smaller error, and the gains are added up.
 *
 * @param plans of one person
 * @param set the person's values now, for how many readings each rests on
 * @param onProgress called before each pose
 * @returns the most worth first
 */
export function rankRepeats(
  plans: readonly Plan[],
  set: MeasureSet,
  onProgress = ignoreProgress,
): RepeatGain[] {
  const gains = new Map<string, RepeatGain>();
  for (const [i, plan] of plans.entries()) {
    onProgress(i, plans.length);
    const bars = calcErrorBars(plan);
    const depth = plan.answer.found.kind === 'held' ? plan.answer.found.depth : null;
    if (bars === null || depth === null) continue;
    const doubt = Math.sqrt(
      sumOfSquares(bars.influences.map((each) => each.moves.get('depth') ?? 0)),
    );
    for (const influence of bars.influences) {
      const { measure, side, error, moves } = influence;
      const use = plan.setUp.provenance.measures.find(
        (each) => each.measure === measure && each.side === side,
      );
      if (use?.source !== 'measured') continue;
      const kind = getProtocol(measure).errorKind;
      const key = measureKey(measure, side);
      const value = set.get(key);
      const count = value?.readingIds.length ?? 1;
      const within = value?.within.within;
      const share =
        calcStandardError(kind, count + 1, within) / calcStandardError(kind, count, within);
      const errorThen = error * share;
      // A smaller error gives range back only where it is what is held back for; a first step
      // counts from the safe limits.
      const { usable } = plan.answer.built;
      const range = findRange(plan.limited.ranges, measure, side);
      const solved =
        range?.[usable].reason === 'measuring' || range?.safe.reason === 'measuring'
          ? solveWith(plan, replaceValue(plan.context.set, use, use.value, errorThen), true)
          : null;
      const others = doubt ** 2 - (moves.get('depth') ?? 0) ** 2;
      const doubtThen = Math.sqrt(others + ((moves.get('depth') ?? 0) * share) ** 2);
      const known = gains.get(key);
      const sharper = findSharper(plan, bars, influence, share);
      gains.set(key, {
        measure,
        side,
        errorNow: error,
        errorThen,
        depthGain:
          (known?.depthGain ?? 0) + Math.max(0, (solved?.values.get('depth') ?? depth) - depth),
        doubtGain: (known?.doubtGain ?? 0) + (doubt - doubtThen),
        most: sharpest(known?.most ?? null, sharper),
      });
    }
  }
  const total = (gain: RepeatGain): number => gain.depthGain + gain.doubtGain;
  return [...gains.values()].sort((a, b) => total(b) - total(a));
}

/** The number of one set-up whose ± shrinks most when one influence shrinks to a share of itself. */
function findSharper(
  { setUp }: Plan,
  { plusMinus }: ErrorBars,
  { moves }: Influence,
  share: number,
): SharperSetting | null {
  let most: SharperSetting | null = null;
  for (const [setting, now] of plusMinus) {
    const move = moves.get(setting) ?? 0;
    const unit =
      setting === 'depth'
        ? setUp.depth?.unit
        : setUp.settings.find((each) => each.id === setting)?.unit;
    if (unit === undefined) continue;
    const variance = now ** 2 - move ** 2 + (move * share) ** 2;
    const then = Math.max(SMALLEST_BAR[unit], Math.sqrt(Math.max(0, variance)));
    most = sharpest(most, { pose: setUp.pose, side: setUp.side, setting, unit, now, then });
  }
  return most;
}

function sharpest(a: SharperSetting | null, b: SharperSetting | null): SharperSetting | null {
  const gain = (each: SharperSetting | null): number => (each === null ? 0 : each.now - each.then);
  return gain(b) > gain(a) ? b : a;
}
