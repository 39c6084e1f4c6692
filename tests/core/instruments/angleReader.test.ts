import { describe, expect, test } from 'vitest';
import { AngleReader } from '../../../src/core/instruments/angleReader.ts';
import {
  SAMPLES_PER_SECOND,
  SimulatedInclinometer,
  USUAL_FAULTS,
} from '../../../src/core/instruments/simulatedInclinometer.ts';
import { makeRandom } from '../../support/random.ts';

const STEP_MS = 1000 / SAMPLES_PER_SECOND;
const MINUTE_MS = 60_000;

/** A limb that glides to its end and rests there; the test alone knows where it is. */
class Limb {
  at = 0;
  deg = 0;
  private speed = 0;

  constructor(
    private readonly device: SimulatedInclinometer,
    readonly reader: AngleReader,
  ) {}

  private tick(deg: number) {
    this.at += STEP_MS;
    this.speed = Math.abs(deg - this.deg) / (STEP_MS / 1000);
    this.deg = deg;
    const state = this.reader.push(this.device.read(this.at, deg));
    return { state, speed: this.speed, truth: deg, at: this.at };
  }

  /** Smooth start and stop, as a limb is led. */
  *glide(to: number, seconds: number) {
    const from = this.deg;
    const steps = Math.round(seconds * SAMPLES_PER_SECOND);
    for (let i = 1; i <= steps; i += 1) {
      const t = i / steps;
      yield this.tick(from + (to - from) * t * t * (3 - 2 * t));
    }
  }

  *rest(seconds: number) {
    for (let i = 0; i < seconds * SAMPLES_PER_SECOND; i += 1) yield this.tick(this.deg);
  }
}

const run = <T>(steps: Iterable<T>): T[] => [...steps];

function zero(limb: Limb): void {
  run(limb.glide(0, 1));
  limb.reader.awaitZero();
  expect(run(limb.rest(7)).at(-1)?.state.zero).toBe('good');
}

describe('readings from the simulated inclinometer with its usual faults', () => {
  // The stand-in's own faults are the test's givens: 0.6°, 0.2° a minute, 3 %, 20 a second.
  test('its faults are those that are promised', () => {
    expect(USUAL_FAULTS).toMatchObject({
      noiseDeg: 0.6,
      driftDegPerMinute: 0.2,
      dropOutShare: 0.03,
    });
    const device = new SimulatedInclinometer(3);
    const samples = Array.from({ length: 12_000 }, (_, i) => device.read(i * STEP_MS, 40));
    const known = samples.flatMap(({ at, deg }) => (deg === null ? [] : [{ at, deg }]));
    expect(known.length / samples.length).toBeCloseTo(0.97, 2);
    const early = known.filter(({ at }) => at < MINUTE_MS);
    const late = known.filter(({ at }) => at >= 9 * MINUTE_MS);
    const mean = (of: typeof known) => of.reduce((sum, { deg }) => sum + deg, 0) / of.length;
    expect(Math.abs(mean(late) - mean(early)) / 9).toBeCloseTo(0.2, 1);
    const centred = early.map(({ deg }) => deg - mean(early));
    const deviation = Math.sqrt(centred.reduce((sum, each) => sum + each ** 2, 0) / centred.length);
    expect(deviation).toBeCloseTo(0.6, 1);
  });

  test('200 captures over 15 minutes lie within 0.5° of the truth, ≤ 4 s after rest, none while moving', () => {
    const errors: number[] = [];
    const waits: number[] = [];
    for (const seed of [11, 12, 13, 14, 15, 16, 17, 18, 19, 20]) {
      const random = makeRandom(seed);
      const limb = new Limb(new SimulatedInclinometer(seed), new AngleReader());
      zero(limb);
      for (let i = 0; i < 20; i += 1) {
        const wait = run(limb.rest(5 + 70 * random()));
        expect(wait.every(({ state }) => state.captured === null)).toBe(true);
        if (wait.at(-1)?.state.zero === 'due') zero(limb);
        const moving = run(limb.glide(10 + 100 * random(), 1.5 + 2 * random()));
        for (const { state, speed } of moving) {
          if (speed > 1) expect(state.captured).toBeNull();
        }
        const resting = run(limb.rest(4.2));
        const all = [...moving, ...resting];
        const taken = all.filter(({ state }) => state.captured !== null);
        expect(taken).toHaveLength(1);
        const [{ state, truth, at }] = taken as [(typeof taken)[0]];
        errors.push(state.captured!.deg - truth);
        waits.push((at - (resting[0]!.at - STEP_MS)) / 1000);
        run(limb.glide(0, 2));
      }
      expect(limb.at / MINUTE_MS).toBeGreaterThan(12);
      expect(limb.at / MINUTE_MS).toBeLessThan(22);
    }
    expect(errors).toHaveLength(200);
    expect(Math.max(...errors.map(Math.abs))).toBeLessThanOrEqual(0.5);
    expect(Math.max(...waits)).toBeLessThanOrEqual(4);
  });

  test.each([
    ['a steady creep of 1.2° a second', (s: number) => 20 + 1.2 * s],
    ['a slow sway of 3° to and fro', (s: number) => 50 + 3 * Math.sin(0.8 * s)],
    ['a stop shorter than the rest', (s: number) => 20 + 6 * Math.floor(s / 2)],
  ])('%s is never taken', (_, path) => {
    for (const seed of [1, 2, 3, 4]) {
      const device = new SimulatedInclinometer(seed);
      const reader = new AngleReader();
      reader.awaitZero();
      for (let at = 0; at < 7000; at += STEP_MS) reader.push(device.read(at, 0));
      for (let at = 7000; at < 37_000; at += STEP_MS) {
        const speed = Math.abs(path((at - 7000) / 1000) - path((at - 7000 - STEP_MS) / 1000)) * 20;
        const state = reader.push(device.read(at, path((at - 7000) / 1000)));
        if (state.captured !== null) expect(speed).toBeLessThanOrEqual(1);
      }
    }
  });
});

describe('what is kept from being taken', () => {
  const still = (seed = 5) => {
    const limb = new Limb(new SimulatedInclinometer(seed), new AngleReader());
    return limb;
  };

  test('nothing by stillness without a zero, at the start position, or twice at one place', () => {
    const limb = still();
    run(limb.glide(40, 1));
    expect(run(limb.rest(6)).some(({ state }) => state.captured !== null)).toBe(false);
    zero(limb);
    expect(run(limb.rest(6)).some(({ state }) => state.captured !== null)).toBe(false);
    run(limb.glide(40, 1));
    expect(run(limb.rest(12)).filter(({ state }) => state.captured !== null)).toHaveLength(1);
  });

  test('a key takes what is shown, and an undone reading can be taken again', () => {
    const limb = still();
    zero(limb);
    run(limb.glide(40, 1));
    run(limb.rest(1));
    const byHand = limb.reader.captureNow();
    expect(byHand?.by).toBe('hand');
    expect(byHand?.deg).toBeCloseTo(40, 0);
    expect(run(limb.rest(5)).some(({ state }) => state.captured !== null)).toBe(false);
    limb.reader.rearm();
    expect(run(limb.rest(5)).filter(({ state }) => state.captured !== null)).toHaveLength(1);
  });

  test('a poor contact is marked and not taken by itself', () => {
    const device = new SimulatedInclinometer(8);
    const limb = new Limb(device, new AngleReader());
    zero(limb);
    run(limb.glide(40, 1));
    device.isPoor = true;
    const states = run(limb.rest(6));
    expect(states.at(-1)?.state.isPoor).toBe(true);
    expect(states.some(({ state }) => state.captured !== null)).toBe(false);
    expect(limb.reader.captureNow()?.isPoor).toBe(true);
  });

  test('after a hole the rest is counted anew', () => {
    const limb = still();
    zero(limb);
    run(limb.glide(40, 1));
    run(limb.rest(2.5));
    limb.at += 2000;
    const after = run(limb.rest(2.5));
    expect(after.some(({ state }) => state.captured !== null)).toBe(false);
    expect(run(limb.rest(1)).filter(({ state }) => state.captured !== null)).toHaveLength(1);
  });

  test('a zero is due within a minute at first, and later as its drift is learnt', () => {
    const limb = still();
    zero(limb);
    const waits: number[] = [];
    for (let i = 0; i < 4; i += 1) {
      let waited = 0;
      while (run(limb.rest(1)).at(-1)?.state.zero !== 'due') waited += 1;
      waits.push(waited);
      zero(limb);
    }
    expect(waits[0]).toBeLessThan(60);
    expect(waits[3]).toBeGreaterThan(2 * waits[0]!);
    expect(waits[3]).toBeLessThanOrEqual(180);
  });

  test('an instrument laid down anew begins anew', () => {
    const device = new SimulatedInclinometer(6, { ...USUAL_FAULTS, noiseDeg: 0 });
    const reader = new AngleReader();
    const zeroAt = (at: number, deg: number) => {
      reader.awaitZero();
      for (let t = at; t < at + 7000; t += STEP_MS) reader.push(device.read(t, deg));
    };
    zeroAt(0, 0);
    zeroAt(60_000, 30);
    for (let t = 67_000; t < 68_000; t += STEP_MS) reader.push(device.read(t, 40));
    expect(reader.captureNow()?.deg).toBeCloseTo(10, 0);
  });
});
