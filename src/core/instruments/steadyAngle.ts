import { linearRegression, mean } from 'simple-statistics';
import type { Sample } from './sample.ts';

/**
 * How a resting instrument is distinguished from a moving one. All values are our choice: at 20
 * samples a second with a noise of 0.6° the slope over three seconds is known to 0.09°
 * a second, so that rest and 1° a second lie far on either side of the bar.
 */
const WINDOW_MS = 3000;
const FULL_ENOUGH = 0.95;
const FEWEST_SAMPLES = 30;
const STILL_DEG_PER_SECOND = 0.3;
/** Speed of the later half: it has just come to rest, or is just setting off. */
const LATE_DEG_PER_SECOND = 0.8;
/** The smoothed angle stays within this over the whole window. */
const HOLDS_WITHIN_DEG = 1;
/** Outer quarters against inner ones. */
const BENT_DEG = 0.5;
const QUARTERS = 4;
const SMOOTHED_OVER_MS = WINDOW_MS / QUARTERS;
/** The part of the window whose mean is the reading. */
export const READ_OVER_MS = 2500;
/** After a gap as long as this it starts over. */
const LONGEST_HOLE_MS = 1000;
const POOR_QUALITY = 0.6;
const MOST_DROPPED = 0.2;

export interface Steadiness {
  /** The smoothed angle, degrees; null = nothing has come yet. */
  readonly deg: number | null;
  /** Share of the rest that a capture needs, 0 to 1. */
  readonly held: number;
  /** The mean over the rest when the instrument is still; null while it moves. */
  readonly still: number | null;
  /** Many samples dropped out, or the instrument calls its own reading poor. */
  readonly isPoor: boolean;
}

interface Known {
  readonly at: number;
  readonly deg: number;
}

/** Least-squares slope, degrees a second. */
function calcSlope(points: readonly Known[]): number {
  if (points.length < 2) return 0;
  const middle = mean(points.map((each) => each.at));
  const { m } = linearRegression(points.map(({ at, deg }) => [at - middle, deg]));
  return Number.isFinite(m) ? m * 1000 : 0;
}

/** Means of the window's quarters, earliest first; an empty quarter is left out. */
const calcQuarters = (points: readonly Known[], from: number): number[] =>
  Array.from({ length: QUARTERS }, (_, i) => {
    const [start, end] = [from + i * SMOOTHED_OVER_MS, from + (i + 1) * SMOOTHED_OVER_MS];
    return points.filter(({ at }) => at > start && at <= end).map(({ deg }) => deg);
  })
    .filter((each) => each.length > 0)
    .map(mean);

/** Whether the window rises and falls, or the other way round, as a limb that turns back does. */
function isBent(quarters: readonly number[]): boolean {
  const [first, second, third, last] = quarters;
  if (first === undefined || second === undefined || third === undefined || last === undefined) {
    return false;
  }
  return Math.abs(first + last - second - third) / 2 > BENT_DEG;
}

/** Smooths a stream of angles and says when it rests. */
export class SteadyAngle {
  private samples: Sample[] = [];

  /** Forgets what came before, so that a rest is counted from now. */
  reset(): void {
    this.samples = [];
  }

  push(sample: Sample): Steadiness {
    const last = this.samples.at(-1);
    if (last !== undefined && (sample.at <= last.at || sample.at - last.at > LONGEST_HOLE_MS)) {
      this.reset();
    }
    this.samples.push(sample);
    const since = sample.at - WINDOW_MS;
    this.samples = this.samples.filter((each) => each.at > since);
    const known = this.samples.flatMap(({ at, deg }) => (deg === null ? [] : [{ at, deg }]));
    const dropped = 1 - known.length / this.samples.length;
    const isPoor =
      dropped > MOST_DROPPED || mean(this.samples.map((each) => each.quality)) < POOR_QUALITY;
    const recent = known.filter((each) => each.at > sample.at - SMOOTHED_OVER_MS);
    const deg = recent.length === 0 ? null : mean(recent.map((each) => each.deg));
    const late = known.filter((each) => each.at > sample.at - WINDOW_MS / 2);
    const quarters = calcQuarters(known, since);
    const span = (sample.at - this.samples[0]!.at) / WINDOW_MS;
    const isMoving =
      known.length < 3 ||
      Math.abs(calcSlope(known)) > STILL_DEG_PER_SECOND ||
      Math.abs(calcSlope(late)) > LATE_DEG_PER_SECOND ||
      Math.max(...quarters) - Math.min(...quarters) > HOLDS_WITHIN_DEG ||
      isBent(quarters);
    if (isMoving || span < FULL_ENOUGH || known.length < FEWEST_SAMPLES) {
      return { deg, held: isMoving ? 0 : Math.min(1, span), still: null, isPoor };
    }
    const read = known.filter((each) => each.at > sample.at - READ_OVER_MS);
    return { deg, held: 1, still: mean(read.map((each) => each.deg)), isPoor };
  }
}
