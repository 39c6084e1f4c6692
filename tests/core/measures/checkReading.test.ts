import { describe, expect, it } from 'vitest';
import { checkReading } from '../../../src/core/measures/checkReading.ts';
import { PROTOCOLS } from '../../../src/core/measures/protocols/index.ts';
import { SHORT_ROUND } from '../../../src/core/measures/rounds.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import type { Reading } from '../../../src/core/measures/reading.ts';

const GOOD: Reading = {
  id: 'a',
  measure: 'leg-length',
  side: 'left',
  value: 82,
  unit: 'cm',
  raw: null,
  instrument: 'tape',
  posture: null,
  state: null,
  takenAt: '2026-11-02T09:10:00Z',
  note: '',
};
const NOW = '2026-11-25T08:00:00Z';
const codesOf = (changes: Partial<Reading>): string[] =>
  checkReading({ ...GOOD, ...changes }, 'readings[0]', NOW).map((each) => each.code);

describe('checking a reading', () => {
  it('finds nothing wrong with a good one', () => {
    expect(codesOf({})).toEqual([]);
  });

  it.each<[Partial<Reading>, string]>([
    [{ value: 34 }, 'impossible-value'],
    [{ value: -82 }, 'impossible-value'],
    [{ value: Number.NaN }, 'impossible-value'],
    [{ value: Infinity }, 'impossible-value'],
    [{ value: 108 }, 'unusual-value'],
    [{ side: null }, 'side-missing'],
    [{ measure: 'stature', value: 170 }, 'side-unexpected'],
    [{ unit: 'deg' }, 'wrong-unit'],
    [{ takenAt: 'last week' }, 'not-a-date'],
    [{ takenAt: '2027-01-01T00:00:00Z' }, 'in-the-future'],
    [{ measure: 'shoe-size' }, 'unknown-measure'],
  ])('says what is wrong with %j', (changes, code) => {
    expect(codesOf(changes)).toEqual([code]);
  });

  it('guesses inches when the number would then be usual', () => {
    const [problem] = checkReading({ ...GOOD, value: 34 }, 'readings[3]', NOW);
    expect(problem?.path).toBe('readings[3].value');
    expect(problem?.hint).toContain('34 in is 86.4 cm');
  });
});

describe('protocols', () => {
  it('has bands that nest, and words for every part', () => {
    for (const protocol of PROTOCOLS) {
      expect(protocol.possible[0]).toBeLessThanOrEqual(protocol.usual[0]);
      expect(protocol.usual[1]).toBeLessThanOrEqual(protocol.possible[1]);
      expect(protocol.usual[0]).toBeLessThan(protocol.usual[1]);
      expect(protocol.steps.length).toBeGreaterThan(0);
      expect(protocol.landmarks + protocol.spoils + protocol.feeds).not.toContain('undefined');
    }
  });

  it('measures in the short round all that the poses need but two, at most ten ranges a side', () => {
    const round = new Set(SHORT_ROUND);
    const beyond = POSES.filter((pose) => pose.needs.some((need) => !round.has(need)));
    // Their back knee bends while the hip extends, which needs a reading of its own.
    expect(beyond.map((pose) => pose.id)).toEqual(['lizard', 'wall-kneel']);
    const ranges = PROTOCOLS.filter(
      (each) => each.unit === 'deg' && SHORT_ROUND.some((id) => id === each.id),
    );
    expect(ranges.length).toBeLessThanOrEqual(10);
  });
});
