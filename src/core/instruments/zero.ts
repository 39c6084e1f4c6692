import { linearRegression, mean, sumNthPowerDeviations } from 'simple-statistics';

/** What an instrument showed when it lay at its start position. */
interface ZeroPoint {
  readonly at: number;
  readonly deg: number;
}

/** Drift of an instrument that nobody has watched yet, degrees a minute. Our choice. */
const UNKNOWN_DRIFT = 0.2;
/** Standard error of one zero: five seconds' mean of the usual noise, degrees. */
const ZERO_ERROR = 0.06;
/** A new zero is asked for before an unknown drift can have moved the reading by more, … */
const MOST_UNKNOWN_DEG = 0.12;
/** … or a learnt one by more than this standard error. Our choice. */
const MOST_ERROR_DEG = 0.06;
/** However well a drift is known, it may change. Our choice. */
const LONGEST_MINUTES = 3;
/** Two zeros that disagree by more than this with the drift so far: it was moved in between. */
const JUMP_DEG = 1;
const MS_PER_MINUTE = 60_000;
const KEPT = 8;

/**
 * The zeros of one instrument. Each new one shows how fast it drifts, so that the
 * next may wait longer: the drift is the line through the zeros so far.
 */
export class ZeroWatch {
  private zeros: readonly ZeroPoint[] = [];

  get hasZero(): boolean {
    return this.zeros.length > 0;
  }

  /** @param at milliseconds of the instrument's clock */
  set(at: number, deg: number): void {
    const isJump = this.hasZero && Math.abs(deg - this.calcOffset(at)) > JUMP_DEG;
    const isEarlier = at <= (this.zeros.at(-1)?.at ?? -Infinity);
    const before = isJump || isEarlier ? [] : this.zeros;
    this.zeros = [...before, { at, deg }].slice(-KEPT);
  }

  forget(): void {
    this.zeros = [];
  }

  /** Degrees off zero for a raw angle; the raw angle itself while there is no zero. */
  correct(at: number, deg: number): number {
    return this.hasZero ? deg - this.calcOffset(at) : deg;
  }

  /** Whether drift may matter by now, so that a new zero is asked for. */
  isDue(at: number): boolean {
    const last = this.zeros.at(-1);
    if (last === undefined) return true;
    const minutes = (at - last.at) / MS_PER_MINUTE;
    if (minutes > LONGEST_MINUTES) return true;
    const rateError = this.calcRateError();
    return rateError === null
      ? minutes * UNKNOWN_DRIFT > MOST_UNKNOWN_DEG
      : minutes * rateError > MOST_ERROR_DEG;
  }

  private calcOffset(at: number): number {
    const { middle, deg, rate } = this.fit();
    return deg + rate * (at - middle);
  }

  /** The line through the zeros: level with one of them alone. */
  private fit(): { middle: number; deg: number; rate: number; spread: number } {
    const { zeros } = this;
    const times = zeros.map((each) => each.at);
    const middle = mean(times);
    const spread = sumNthPowerDeviations(times, 2);
    // Times are counted from their middle, so that large ones cost no digits.
    const { m, b } = linearRegression(zeros.map(({ at, deg }) => [at - middle, deg]));
    return { middle, deg: b, rate: spread === 0 ? 0 : m, spread };
  }

  /** Standard error of the drift, degrees a minute; null = one zero says nothing of it. */
  private calcRateError(): number | null {
    const { spread } = this.fit();
    return spread === 0 ? null : (ZERO_ERROR / Math.sqrt(spread)) * MS_PER_MINUTE;
  }
}
