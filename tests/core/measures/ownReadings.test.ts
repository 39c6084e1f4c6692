import { variance } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { compareValues } from '../../../src/core/measures/compareValues.ts';
import { explainError } from '../../../src/core/measures/explainError.ts';
import { calcMeasureValue } from '../../../src/core/measures/measureValue.ts';
import { calcOwnWithin } from '../../../src/core/measures/ownWithin.ts';
import { questionReading, questionSides } from '../../../src/core/measures/questionReading.ts';
import { correctReading, type Reading } from '../../../src/core/measures/reading.ts';
import type { Side } from '../../../src/core/measures/protocol.ts';
import { makeRandom } from '../../support/random.ts';

let count = 0;
function opening(value: number, side: Side, day: string, changes: Partial<Reading> = {}): Reading {
  count += 1;
  return {
    id: `r${String(count)}`,
    measure: 'hip-opening',
    side,
    value,
    unit: 'deg',
    instrument: 'inclinometer',
    posture: null,
    state: 'cold',
    takenAt: `2026-${day}T09:00:00Z`,
    note: '',
    ...changes,
  };
}

const ask = (reading: Reading, others: readonly Reading[]) =>
  questionReading({ ...reading, measure: 'hip-opening' }, others);

describe('a reading that does not fit the person’s own', () => {
  const known = [
    opening(58, 'left', '10-01'),
    opening(57, 'left', '10-01'),
    opening(13, 'right', '10-01'),
  ];

  it('asks about the side when it fits the other: 12° after 58°', () => {
    const asked = ask(opening(12, 'left', '11-20'), known);
    expect(asked?.code).toBe('reading-unlike-own');
    expect(asked?.message).toBe('Hip opening, left: 12° after 57.5°.');
    expect(asked?.hint).toContain('It fits the right: wrong side?');
  });

  it('asks without a guess when it fits neither', () => {
    expect(ask(opening(89, 'left', '11-20'), known)?.hint).not.toContain('wrong side');
  });

  it('asks against the other side while this one has none', () => {
    const asked = ask(opening(12, 'left', '11-20'), [opening(58, 'right', '11-20')]);
    expect(asked?.code).toBe('reading-unlike-other-side');
  });

  it('is quiet about what repeats may show, and about the first of all', () => {
    expect(ask(opening(66, 'left', '11-20'), known)).toBeNull();
    expect(ask(opening(12, 'left', '11-20'), [])).toBeNull();
  });

  it('sees left and right exchanged, and only then', () => {
    const before = [opening(60, 'left', '10-01'), opening(30, 'right', '10-01')];
    const crossed = [opening(31, 'left', '11-20'), opening(59, 'right', '11-20')];
    const straight = [opening(59, 'left', '11-20'), opening(31, 'right', '11-20')];
    const bothLess = [opening(31, 'left', '11-20'), opening(12, 'right', '11-20')];
    expect(questionSides([...before, ...crossed], 'hip-opening')?.code).toBe('sides-swapped');
    expect(questionSides([...before, ...straight], 'hip-opening')).toBeNull();
    expect(questionSides([...before, ...bothLess], 'hip-opening')).toBeNull();
    expect(questionSides(before, 'hip-opening')).toBeNull();
  });
});

describe('a person’s own repeats', () => {
  it('refine the within term with the default as ten repeats, worked by hand', () => {
    const pair = [opening(50, 'left', '10-01'), opening(56, 'left', '10-01')];
    // Σ(x − 53)² = 18, one degree of freedom: √((10 · 2.5² + 18) / 11).
    expect(calcOwnWithin(pair).range.within).toBeCloseTo(Math.sqrt((62.5 + 18) / 11), 9);
    expect(calcOwnWithin(pair).length.within).toBe(0.3);
    expect(calcOwnWithin([]).range).toEqual({ within: 2.5, repeats: 0 });
  });

  it('come near the scatter there is, pooled over sittings (simple-statistics)', () => {
    const random = makeRandom(77);
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const sittings = Array.from({ length: 200 }, (_, i) => {
      const centre = 40 + 20 * random();
      const takenAt = `${String(1800 + i)}-05-05T09:00:00Z`;
      return [0, 1, 2].map(() => opening(centre + 1.2 * normal(), 'left', '05-05', { takenAt }));
    });
    // Population variances of three, so that three times each is its sum of squares.
    const squares = sittings.reduce(
      (sum, each) => sum + 3 * variance(each.map(({ value }) => value)),
      0,
    );
    expect(Math.sqrt(squares / 400)).toBeCloseTo(1.2, 0);
    const { within, repeats } = calcOwnWithin(sittings.flat()).range;
    expect(repeats).toBe(400);
    expect(within).toBeCloseTo(Math.sqrt((62.5 + squares) / 410), 9);
  });

  it('never pool what another person measured, nor call it a change', () => {
    const ada = { takenBy: 'Ada' };
    const ben = { takenBy: 'Ben' };
    const mixed = [opening(50, 'left', '10-01', ada), opening(58, 'left', '10-01', ben)];
    expect(calcMeasureValue(mixed, 'hip-opening', 'left')?.readingIds).toHaveLength(1);
    const now = calcMeasureValue([opening(70, 'left', '11-20', ben)], 'hip-opening', 'left')!;
    const then = calcMeasureValue([opening(50, 'left', '10-01', ada)], 'hip-opening', 'left')!;
    expect(compareValues(now, then).verdict).toBe('other-measurer');
    expect(compareValues(now, { ...then, takenBy: null }).verdict).toBe('real');
  });
});

describe('what is put right', () => {
  it('keeps its very first value through every correction', () => {
    const first = opening(85, 'left', '10-01');
    const once = correctReading(first, 58, 'read the wrong scale', '2026-10-02T09:00:00Z');
    const twice = correctReading(once, 57, 'again', '2026-10-03T09:00:00Z');
    expect(once.value).toBe(58);
    expect(twice.corrected).toMatchObject({ from: 85, reason: 'again' });
    expect(correctReading(twice, 85, 'right after all', '2026-10-04T09:00:00Z').corrected).toBe(
      undefined,
    );
  });

  it('does not count while it is set aside', () => {
    const good = opening(55, 'left', '10-01');
    const odd = opening(20, 'left', '10-01', {
      setAside: { reason: 'pelvis rolled', at: '2026-10-02T09:00:00Z' },
    });
    expect(calcMeasureValue([good, odd], 'hip-opening', 'left')?.value).toBe(55);
    expect(calcMeasureValue([odd], 'hip-opening', 'left')).toBeNull();
  });
});

it('an error is told with its formulas, by hand', () => {
  const value = calcMeasureValue(
    [opening(50, 'left', '10-01'), opening(50, 'left', '10-01')],
    'hip-opening',
    'left',
  )!;
  // Within √(62.5 / 11) = 2.38; SEM √(4 + 5.68 / 2) = 2.62; MDC 1.96 · √2 · 2.62 = 7.25.
  const [, sem, mdc] = explainError(value);
  expect(sem).toContain('√(2² + 2.38² / 2) = 2.62°');
  expect(mdc).toContain('= 7.25°');
});
