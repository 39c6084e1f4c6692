import { toHundredths } from '../units/rounding.ts';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';
import type { Sample } from './sample.ts';

/** How a simulated inclinometer misbehaves. */
export interface Faults {
  /** Standard deviation of one sample, degrees. */
  readonly noiseDeg: number;
  /** Degrees a minute; its direction follows from the seed. */
  readonly driftDegPerMinute: number;
  /** Share of samples that do not come. */
  readonly dropOutShare: number;
  /** Mean minutes between two losses of the connection. */
  readonly minutesBetweenLosses: number;
}

/** A plain digital inclinometer. Our choice. */
export const USUAL_FAULTS: Faults = {
  noiseDeg: 0.6,
  driftDegPerMinute: 0.2,
  dropOutShare: 0.03,
  minutesBetweenLosses: 6,
};

export const SAMPLES_PER_SECOND = 20;
const MS_PER_MINUTE = 60_000;
/** It reports its quality within this of the truth. */
const QUALITY_JITTER = 0.08;
const BATTERY_PERCENT_PER_MINUTE = 0.15;
/** Spoiled contact: noisier, and it says so. */
const POOR = { noiseFactor: 5, quality: 0.35, dropOutShare: 0.3 } as const;

/**
 * A stand-in for a digital inclinometer: what it would show for a true angle, with noise,
 * drift, drop-outs and lost connections. Same seed and same calls, same samples. The
 * truth never leaves it.
 */
export class SimulatedInclinometer {
  private readonly random: RandomGenerator;
  private readonly drift: number;
  private readonly battery: number;
  private nextLossAt: number;
  isPoor = false;

  constructor(
    seed: number,
    private readonly faults: Faults = USUAL_FAULTS,
  ) {
    this.random = xoroshiro128plus(seed);
    this.drift = (this.draw() < 0.5 ? -1 : 1) * faults.driftDegPerMinute;
    this.battery = 60 + 40 * this.draw();
    this.nextLossAt = this.drawLoss(0);
  }

  /**
   * @param at milliseconds since it was switched on
   * @param trueDeg the angle it lies at
   */
  read(at: number, trueDeg: number): Sample {
    const { noiseDeg, dropOutShare } = this.faults;
    const noise = this.drawNormal() * noiseDeg * (this.isPoor ? POOR.noiseFactor : 1);
    const isLost = this.draw() < (this.isPoor ? POOR.dropOutShare : dropOutShare);
    const quality = (this.isPoor ? POOR.quality : 1) - QUALITY_JITTER * this.draw();
    const minutes = at / MS_PER_MINUTE;
    return {
      at,
      deg: isLost ? null : toHundredths(trueDeg + noise + this.drift * minutes),
      quality: toHundredths(quality),
      batteryPercent: Math.max(0, Math.round(this.battery - BATTERY_PERCENT_PER_MINUTE * minutes)),
    };
  }

  /** Whether the connection breaks now; asked once a sample. */
  losesConnection(at: number): boolean {
    if (at < this.nextLossAt) return false;
    this.nextLossAt = this.drawLoss(at);
    return true;
  }

  private draw(): number {
    return uniformFloat64(this.random);
  }

  /** Box and Muller's way from even to normal numbers. */
  private drawNormal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.draw())) * Math.cos(2 * Math.PI * this.draw());
  }

  private drawLoss(after: number): number {
    return after - Math.log(1 - this.draw()) * this.faults.minutesBetweenLosses * MS_PER_MINUTE;
  }
}
