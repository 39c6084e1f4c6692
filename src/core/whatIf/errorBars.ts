import { measureKey, type MeasureSet } from '../measures/measureSet.ts';
import type { MeasureValue } from '../measures/measureValue.ts';
import { calcStandardError } from '../measures/readingErrors.ts';
import { getProtocol, type MeasureId } from '../measures/protocols/index.ts';
import type { Side } from '../measures/protocol.ts';
import type { MeasureUse } from '../body/body.ts';
import type { Joint, Motion } from '../conditions/limits.ts';
import {
  calcJointReports,
  findLimiting,
  nameMotionPair,
  withoutHoldingBack,
} from '../setup/jointReport.ts';
import { layOnMat } from '../setup/mat.ts';
import { findRange } from '../planning/planningLimits.ts';
import type { Plan } from '../setup/planSetUp.ts';
import { calcSettings } from '../setup/settings.ts';
import type { SettingId } from '../setup/setUp.ts';
import { makeSeeded } from './seeded.ts';
import { solveRequest } from '../planning/solveRequest.ts';

/** Every number of a set-up by its id, the depth under `depth`; limits, and who limits. */
interface Outcome {
  readonly values: ReadonlyMap<SettingId | 'depth', number>;
  readonly limiting: string;
}

/** One measure's part in the doubt of a set-up. */
interface Influence {
  readonly measure: MeasureId;
  readonly side: Side | null;
  readonly error: number;
  /**
   * How far each number moves when the measure is off by one standard error: the root mean
   * square of both ways, with the sign of a larger measure.
   */
  readonly moves: ReadonlyMap<SettingId | 'depth', number>;
}

export interface ErrorBars {
  /** ± one standard error of each number, never below what a tape or an eye can tell. */
  readonly plusMinus: ReadonlyMap<SettingId | 'depth', number>;
  readonly influences: readonly Influence[];
}

/** No bar is told smaller than this. Our modelling choice. */
const FLOOR = { cm: 0.3, deg: 0.5 } as const;
/** A range with more than this many errors to spare moves nothing. */
const OUT_OF_REACH_ERRORS = 4;

/** The measure set with one value replaced; what was estimated stands in as if it were measured. */
function replaceValue(
  set: MeasureSet,
  { measure, side, takenAt, error }: MeasureUse,
  value: number,
  newError = error,
): MeasureSet {
  const replaced: MeasureValue = {
    measure,
    side,
    value,
    error: newError,
    within: { within: 0, repeats: 0 },
    readingIds: [],
    spread: 0,
    takenAt: takenAt ?? '',
    state: null,
    posture: null,
    takenBy: null,
  };
  return new Map([...set, [measureKey(measure, side), replaced]]);
}

/**
 * The same plan with another measure set; null when it cannot be held any more.
 *
 * @param isNear whether to start where the plan was solved, which is quicker
 */
function solveWith(plan: Plan, set: MeasureSet, isNear = false): Outcome | null {
  const { request } = plan;
  const solved = solveRequest(request, set, isNear ? plan : null);
  if (!solved.ok || solved.value.failedLegs !== null) return null;
  const { built, found } = solved.value.answer;
  if (found.kind === 'cannot') return null;
  const { skeleton } = found.answer;
  const { figure } = built.task;
  const settings = calcSettings({
    ...built,
    pose: request.pose,
    rules: request.rules,
    body: solved.value.numbers.body,
    frontSide: request.side,
    figure,
    skeleton,
    mat: layOnMat(figure, skeleton),
    depths: [],
    limitSteps: [],
  });
  const values = new Map<SettingId | 'depth', number>();
  // The unrounded total: tenths would swallow small moves.
  for (const { id, working, value } of settings) {
    values.set(id, working.find((step) => step.kind === 'total')?.value ?? value);
  }
  if (found.depth !== null) values.set('depth', found.depth);
  const limiting = findLimiting(
    calcJointReports(skeleton, withoutHoldingBack(built.limits[built.usable]), request.side),
  );
  const { joint, side, motion } = limiting ?? { joint: '', side: null, motion: '' };
  return { values, limiting: `${joint} ${side ?? ''} ${motion}` };
}

/** The joint and the pair of opposite motions that a measured range limits. */
const LIMITS: Partial<Record<MeasureId, readonly [Joint, Motion]>> = {
  'hip-flexion': ['hip', 'flexion'],
  'straight-leg-raise': ['hip', 'flexion'],
  'hip-extension': ['hip', 'flexion'],
  'hip-extension-bent-knee': ['hip', 'flexion'],
  'hip-abduction': ['hip', 'abduction'],
  'hip-opening': ['hip', 'abduction'],
  'hip-adduction': ['hip', 'abduction'],
  'hip-external-rotation': ['hip', 'external-rotation'],
  'hip-internal-rotation': ['hip', 'external-rotation'],
  'ankle-dorsiflexion-bent': ['ankle', 'dorsiflexion'],
  'ankle-dorsiflexion-straight': ['ankle', 'dorsiflexion'],
  'trunk-rotation': ['spine', 'axial-rotation'],
  'trunk-side-bend': ['spine', 'side-bend'],
  'trunk-extension': ['spine', 'flexion'],
};

/**
 * Measures that can move this set-up: every range that comes near its limit, and all else.
 * Of two opposite motions a report tells the nearer one, so that the other is no nearer.
 */
function findUncertain({ setUp }: Plan): MeasureUse[] {
  const spareOf = ({ measure, side }: MeasureUse): number => {
    const limits = LIMITS[measure];
    if (limits === undefined) return 0;
    const [joint, motion] = limits;
    const spares = setUp.joints
      .filter((each) => each.joint === joint && nameMotionPair(each.motion) === motion)
      .filter((each) => joint === 'spine' || each.side === side)
      .map((each) => each.toSpareDeg ?? Infinity);
    return Math.min(...spares);
  };
  return setUp.provenance.measures.filter(
    (use) => use.error !== 0 && spareOf(use) < OUT_OF_REACH_ERRORS * use.error,
  );
}

/** Draws for ± where one joint takes over from another within a standard error. Our choice. */
const FEW_DRAWS = 200;

/** Root mean square of two moves, with the sign of their sum. */
const meanMove = (up: number, down: number): number =>
  Math.sqrt((up * up + down * down) / 2) * (up + down < 0 ? -1 : 1);

/** Each measure moved by its own standard error both ways. */
interface Sweep {
  readonly base: Outcome;
  readonly influences: readonly Influence[];
  /** Whether the same joint limits the pose in all of them. */
  readonly isSmooth: boolean;
}

function sweep(plan: Plan, isNear: boolean): Sweep | null {
  const base = solveWith(plan, plan.numbers.set, isNear);
  if (base === null) return null;
  const influences: Influence[] = [];
  let isSmooth = true;
  for (const use of findUncertain(plan)) {
    const { measure, side, error, value } = use;
    // Limits cut in on one side; a length has none, and for a quick answer one way tells its slope.
    const isOneWay = isNear && getProtocol(measure).unit === 'cm';
    const moved = isOneWay ? [value + error] : [value + error, value - error];
    const both = moved.map((each) =>
      solveWith(plan, replaceValue(plan.numbers.set, use, each), isNear),
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

/**
 * ± on every number: each measure is moved by its own standard error both ways, the whole
 * pose is solved again, and the moves add up as independent errors do.
 *
 * @param plan solved again from where it was solved
 * @returns null when nothing was solved
 */
export function calcErrorBars(plan: Plan): ErrorBars | null {
  const swept = sweep(plan, true);
  return swept === null ? null : toBars(plan, swept, null);
}

/**
 * The same from the pose's own starts, which is slower. Where another joint takes over
 * within one standard error, or the pose cannot be held any more, no slope tells enough:
 * then ± is the scatter of made-up repeats of the measuring.
 *
 * @returns null when nothing was solved
 */
export function calcSureErrorBars(plan: Plan): ErrorBars | null {
  const near = sweep(plan, true);
  if (near === null) return null;
  if (!near.isSmooth) return toBars(plan, near, calcMonteCarlo(plan, FEW_DRAWS, makeSeeded()));
  const cold = sweep(plan, false);
  return cold === null ? null : toBars(plan, cold, null);
}

function toBars({ setUp }: Plan, { base, influences }: Sweep, drawn: MonteCarlo | null): ErrorBars {
  const addUp = (id: SettingId | 'depth'): number =>
    Math.sqrt(sumOfSquares(influences.map(({ moves }) => moves.get(id) ?? 0)));
  const units = new Map<string, 'cm' | 'deg'>(setUp.settings.map(({ id, unit }) => [id, unit]));
  const plusMinus = new Map<SettingId | 'depth', number>();
  for (const id of base.values.keys()) {
    const unit = id === 'depth' ? (setUp.depth?.unit ?? 'deg') : (units.get(id) ?? 'cm');
    plusMinus.set(id, Math.max(FLOOR[unit], drawn?.bands.get(id)?.sd ?? addUp(id)));
  }
  return { plusMinus, influences };
}

/** What many made-up repeats of the same measuring would give. */
interface Band {
  /** 5th, 50th and 95th of a hundred, and the standard deviation. */
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  readonly sd: number;
}

export interface MonteCarlo {
  readonly draws: number;
  /** Draws in which the pose could be held. */
  readonly held: number;
  readonly bands: ReadonlyMap<SettingId | 'depth', Band>;
  /** Share of the held draws in which the most frequent joint was the limiting one. */
  readonly oneJointShare: number;
}

/**
 * Draws every measure anew from its error and solves the pose for each draw. The same
 * seed gives the same draws.
 *
 * @param random uniform in [0, 1)
 */
export function calcMonteCarlo(
  plan: Plan,
  draws: number,
  random: () => number,
  isNear = true,
): MonteCarlo {
  const uncertain = findUncertain(plan);
  const outcomes: Outcome[] = [];
  for (let draw = 0; draw < draws; draw += 1) {
    let { set } = plan.numbers;
    for (const use of uncertain) {
      set = replaceValue(set, use, use.value + use.error * drawNormal(random));
    }
    const outcome = solveWith(plan, set, isNear);
    if (outcome !== null) outcomes.push(outcome);
  }
  const bands = new Map<SettingId | 'depth', Band>();
  for (const id of outcomes[0]?.values.keys() ?? []) {
    const sorted = outcomes.flatMap(({ values }) => values.get(id) ?? []).sort((a, b) => a - b);
    bands.set(id, describeSorted(sorted));
  }
  const counts = new Map<string, number>();
  for (const { limiting } of outcomes) counts.set(limiting, (counts.get(limiting) ?? 0) + 1);
  const most = Math.max(0, ...counts.values());
  return {
    draws,
    held: outcomes.length,
    bands,
    oneJointShare: outcomes.length === 0 ? 0 : most / outcomes.length,
  };
}

/** Standard normal by Box and Muller. */
function drawNormal(random: () => number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}

function describeSorted(sorted: readonly number[]): Band {
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  const mean = sorted.reduce((sum, each) => sum + each, 0) / sorted.length;
  const variance = sorted.reduce((sum, each) => sum + (each - mean) ** 2, 0) / sorted.length;
  return { low: at(0.05), middle: at(0.5), high: at(0.95), sd: Math.sqrt(variance) };
}

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
 */
export function rankRepeats(plans: readonly Plan[], set: MeasureSet): RepeatGain[] {
  const gains = new Map<string, RepeatGain>();
  for (const plan of plans) {
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
      const range = findRange(plan.numbers.ranges, measure, side);
      const solved =
        range?.[usable].reason === 'measuring' || range?.safe.reason === 'measuring'
          ? solveWith(plan, replaceValue(plan.numbers.set, use, use.value, errorThen), true)
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
    const then = Math.max(FLOOR[unit], Math.sqrt(Math.max(0, variance)));
    most = sharpest(most, { pose: setUp.pose, side: setUp.side, setting, unit, now, then });
  }
  return most;
}

function sharpest(a: SharperSetting | null, b: SharperSetting | null): SharperSetting | null {
  const gain = (each: SharperSetting | null): number => (each === null ? 0 : each.now - each.then);
  return gain(b) > gain(a) ? b : a;
}

const sumOfSquares = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each * each, 0);
