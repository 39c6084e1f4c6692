import { describe, expect, it } from 'vitest';
import type { Reading } from '../../../src/core/measures/reading.ts';
import { calcOwnWithin } from '../../../src/core/measures/ownWithin.ts';
import { findChange, sayChange, writeDifference } from '../../../src/core/progress/change.ts';
import { listAsymmetries, sayAsymmetry } from '../../../src/core/progress/asymmetry.ts';
import { listSeries } from '../../../src/core/progress/series.ts';
import { makeRandom } from '../../support/random.ts';

/** The error terms of a range, kept apart from the code's own. Our choice; see docs/numbers.md. */
const BETWEEN = 2.0;
const WITHIN = 2.5;
const ASKS_FOR_THIRD = 5;
const DATES = 8;
const HISTORIES = 2000;

function makeNormal(seed: number): () => number {
  const random = makeRandom(seed);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

interface Drawn {
  /** Readings a date: two, or a third when the two lie more than 5° apart. */
  readonly third: boolean;
  /** Change from the first date to the last. */
  readonly change: number;
  readonly within?: number;
}

let count = 0;
const reading = (date: number, value: number): Reading => {
  count += 1;
  return {
    id: `r${String(count)}`,
    measure: 'straight-leg-raise',
    side: 'left',
    value,
    unit: 'deg',
    raw: null,
    instrument: 'inclinometer',
    posture: null,
    state: 'warm',
    takenAt: new Date(Date.UTC(2026, 0, 1 + 21 * date, 10, count % 60)).toISOString(),
    note: '',
  };
};

/** Eight dates of one measure, with an error from day to day and another from reading to reading. */
function drawHistory(normal: () => number, { third, change, within = WITHIN }: Drawn): Reading[] {
  return Array.from({ length: DATES }, (_, date) => {
    const ofDay = 70 + (change * date) / (DATES - 1) + BETWEEN * normal();
    const values = [ofDay + within * normal(), ofDay + within * normal()];
    if (third && Math.abs(values[0]! - values[1]!) > ASKS_FOR_THIRD) {
      values.push(ofDay + within * normal());
    }
    return values.map((value) => reading(date, value));
  }).flat();
}

/** Share of histories in which a real change is claimed. */
function shareOfClaims(seed: number, drawn: Drawn, refine: boolean): number {
  const normal = makeNormal(seed);
  let claims = 0;
  for (let i = 0; i < HISTORIES; i += 1) {
    const readings = drawHistory(normal, drawn);
    const first = readings.filter(({ takenAt }) => takenAt < '2026-01-02');
    const last = readings.filter(({ takenAt }) => takenAt > '2026-05-27');
    // With the first and last dates alone the person's own repeats hardly move the default term.
    const [series] = listSeries(refine ? readings : [...first, ...last]);
    if (findChange(series!)!.verdict === 'real') claims += 1;
  }
  return claims / HISTORIES;
}

describe('change against noise, on 2,000 made-up histories of 8 dates', () => {
  const SEEDS = [11, 2026, 90_210];
  const rules = [
    ['two readings a date', false],
    ['a third reading when two lie apart', true],
  ] as const;

  it.each(rules)('claims a change where there is none in about 1 of 20: %s', (_name, third) => {
    for (const seed of SEEDS) {
      const share = shareOfClaims(seed, { third, change: 0 }, false);
      expect(share, `seed ${String(seed)}`).toBeGreaterThanOrEqual(0.035);
      expect(share, `seed ${String(seed)}`).toBeLessThanOrEqual(0.065);
    }
  });

  it.each(rules)('does so too with the person’s own repeats: %s', (_name, third) => {
    for (const seed of SEEDS) {
      const share = shareOfClaims(seed, { third, change: 0 }, true);
      expect(share, `seed ${String(seed)}`).toBeGreaterThanOrEqual(0.035);
      expect(share, `seed ${String(seed)}`).toBeLessThanOrEqual(0.075);
    }
  });

  it.each(rules)('finds a change of twice the smallest real one in 9 of 10: %s', (_name, third) => {
    const smallest = 1.96 * Math.sqrt(2 * (BETWEEN ** 2 + WITHIN ** 2 / 2));
    for (const seed of SEEDS) {
      const share = shareOfClaims(seed, { third, change: 2 * smallest }, false);
      expect(share, `seed ${String(seed)}`).toBeGreaterThanOrEqual(0.9);
    }
  });

  it('knows of a steadier hand by its own repeats', () => {
    const normal = makeNormal(5);
    const readings = drawHistory(normal, { third: false, change: 0, within: 0.5 });
    expect(calcOwnWithin(readings).range.within).toBeLessThan(2.2);
  });
});

describe('one claim a history, by hand', () => {
  // Two readings each: error² = 2.0² + 2.5²/2 = 7.125; 1.96 · √(2 · 7.125) = 7.4°.
  const two = (date: number, value: number): Reading[] => [
    reading(date, value - 1.25),
    reading(date, value + 1.25),
  ];
  const change = (readings: readonly Reading[]) => {
    const [series] = listSeries(readings);
    return { series: series!, found: findChange(series!) };
  };

  it('takes the latest date against the first, never the best pair of many', () => {
    const { found } = change([...two(0, 70), ...two(2, 82), ...two(5, 73)]);
    expect(found!.difference).toBeCloseTo(3, 6);
    expect(found!.verdict).toBe('noise');
  });
  it('says it in a sentence with its error', () => {
    const { series, found } = change([...two(0, 70), ...two(5, 79)]);
    expect(sayChange(series, found!, 'March')).toBe(
      'Straight-leg raise, left, warmed up: + 9° since March, more than the 7° of measuring error.',
    );
    const less = change([...two(0, 70), ...two(5, 67)]);
    expect(sayChange(less.series, less.found!, 'March')).toContain(
      '− 3° since March, within the 7° of measuring error: no clear change.',
    );
  });
  it('never compares cold with warm, nor one hand with another', () => {
    const cold = two(5, 90).map((each): Reading => ({ ...each, state: 'cold' }));
    expect(listSeries([...two(0, 70), ...cold])).toHaveLength(2);
    const taken = (by: string, each: readonly Reading[]): Reading[] =>
      each.map((one) => ({ ...one, takenBy: by }));
    const { found } = change([...taken('Ada', two(0, 70)), ...taken('Bo', two(5, 90))]);
    expect(found!.verdict).toBe('other-measurer');
  });
  it('has nothing to say of one date', () => {
    expect(change(two(0, 70)).found).toBeNull();
  });
  it('writes numbers with their sign and unit', () => {
    expect(writeDifference(8.6, 'deg')).toBe('+ 9°');
    expect(writeDifference(-0.25, 'cm')).toBe('− 0.3 cm');
    expect(writeDifference(0.2, 'deg')).toBe('± 0°');
  });
});

describe('left against right', () => {
  const pair = (date: number, left: number, right: number): Reading[] =>
    [left, right].flatMap((value, i) =>
      [-1, 1].map((by): Reading => ({
        ...reading(date, value + by),
        side: i === 0 ? 'left' : 'right',
      })),
    );
  it('tells a difference that is real, one that has closed, and none', () => {
    const say = (readings: readonly Reading[]): string =>
      sayAsymmetry(listAsymmetries(listSeries(readings))[0]!);
    expect(say(pair(0, 60, 75))).toBe(
      'Straight-leg raise, warmed up: right 15° more, beyond the 7° of measuring error.',
    );
    expect(say([...pair(0, 60, 72), ...pair(5, 71, 73)])).toBe(
      'Straight-leg raise, warmed up: the sides differed by 12°; now no clear difference.',
    );
    expect(say(pair(0, 70, 73))).toBe('Straight-leg raise, warmed up: no clear difference.');
  });
});
