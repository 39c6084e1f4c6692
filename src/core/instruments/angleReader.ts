import type { Sample } from './sample.ts';
import { READ_OVER_MS, SteadyAngle, type Steadiness } from './steadyAngle.ts';
import { ZeroWatch } from './zero.ts';

/**
 * Nearer to the start position than this nothing is taken by stillness, and after a
 * capture the limb has to move by as much before the next. Our choice: a leg laid down
 * between two readings is no reading.
 */
const MOVED_DEG = 4;
/** The two halves of a zero are one place. Our choice. */
const HALVES_WITHIN_DEG = 1;

/** One angle as it was taken from a stream. */
export interface CapturedAngle {
  /** Off the zero, degrees, never negative: an instrument may lie either way round. */
  readonly deg: number;
  readonly by: 'stillness' | 'hand';
  /** Many samples dropped out, or the instrument called itself poor. */
  readonly isPoor: boolean;
  /** A new zero was asked for and not yet set. */
  readonly zeroWasDue: boolean;
}

export interface ReaderState {
  /** Off the zero, degrees, never negative; null = nothing has come yet. */
  readonly deg: number | null;
  /** Share of the rest that a capture needs, 0 to 1. */
  readonly held: number;
  readonly isPoor: boolean;
  readonly zero: 'missing' | 'waiting for rest' | 'due' | 'good';
  /** Whether the next rest is taken. */
  readonly isArmed: boolean;
  readonly batteryPercent: number | null;
  /** Taken by stillness with this very sample. */
  readonly captured: CapturedAngle | null;
}

/** Turns an instrument's stream into readings: filters it, keeps its zero, and takes what rests. */
export class AngleReader {
  private readonly steady = new SteadyAngle();
  private readonly zeros = new ZeroWatch();
  private awaitsZero = false;
  /** The first half of a zero that is being taken: its error is every reading's error. */
  private halfZero: { readonly at: number; readonly deg: number } | null = null;
  /** Where the last reading was taken; null = the start position alone is kept from. */
  private takenAt: number | null = null;
  private isArmed = true;
  private latest: { readonly at: number; readonly steadiness: Steadiness } | null = null;

  /** Lay the instrument at the start position: the next rest is its zero. */
  awaitZero(): void {
    this.awaitsZero = true;
    this.halfZero = null;
    this.steady.reset();
  }

  /** The instrument was away: what it shows is counted from now. Its zero stays. */
  reconnect(): void {
    this.steady.reset();
  }

  /** Another limb, or the last reading was undone. */
  rearm(): void {
    this.takenAt = null;
    this.isArmed = true;
    this.steady.reset();
  }

  /** Takes what is shown now, moving or not; null while nothing is shown. */
  captureNow(): CapturedAngle | null {
    if (this.latest === null) return null;
    const { at, steadiness } = this.latest;
    const raw = steadiness.still ?? steadiness.deg;
    return raw === null ? null : this.take(at, raw, 'hand', steadiness.isPoor);
  }

  push(sample: Sample): ReaderState {
    const { at, batteryPercent } = sample;
    const steadiness = this.steady.push(sample);
    this.latest = { at, steadiness };
    const { still, isPoor } = steadiness;
    if (this.awaitsZero && still !== null && !isPoor) this.takeZero(at, still);
    const deg = steadiness.deg === null ? null : Math.abs(this.zeros.correct(at, steadiness.deg));
    if (deg !== null && this.takenAt !== null && Math.abs(deg - this.takenAt) >= MOVED_DEG) {
      this.isArmed = true;
    }
    const captured = this.takeIfStill(at, still, isPoor);
    return {
      deg,
      held: steadiness.held,
      isPoor,
      zero: this.describeZero(at),
      isArmed: this.isArmed,
      batteryPercent,
      captured,
    };
  }

  /** Two rests at one place, one right after the other, make a zero. */
  private takeZero(at: number, still: number): void {
    const { halfZero } = this;
    if (halfZero === null || Math.abs(still - halfZero.deg) > HALVES_WITHIN_DEG) {
      this.halfZero = { at, deg: still };
      return;
    }
    if (at - halfZero.at < READ_OVER_MS) return;
    this.zeros.set((at + halfZero.at) / 2, (still + halfZero.deg) / 2);
    this.awaitsZero = false;
    this.rearm();
  }

  private takeIfStill(at: number, still: number | null, isPoor: boolean): CapturedAngle | null {
    if (still === null || !this.isArmed || isPoor || this.awaitsZero || !this.zeros.hasZero) {
      return null;
    }
    if (Math.abs(this.zeros.correct(at, still)) < MOVED_DEG) return null;
    return this.take(at, still, 'stillness', isPoor);
  }

  private take(at: number, raw: number, by: CapturedAngle['by'], isPoor: boolean): CapturedAngle {
    const deg = Math.abs(this.zeros.correct(at, raw));
    this.takenAt = deg;
    this.isArmed = false;
    return { deg, by, isPoor, zeroWasDue: this.zeros.isDue(at) };
  }

  private describeZero(at: number): ReaderState['zero'] {
    if (this.awaitsZero) return 'waiting for rest';
    if (!this.zeros.hasZero) return 'missing';
    return this.zeros.isDue(at) ? 'due' : 'good';
  }
}
