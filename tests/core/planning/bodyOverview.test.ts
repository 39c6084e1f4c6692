import { describe, expect, it } from 'vitest';
import type { Reading } from '../../../src/core/measures/reading.ts';
import { describeBody, type MeasureOverview } from '../../../src/core/planning/bodyOverview.ts';
import { PERSON } from '../../support/people.ts';

const NOW = '2026-11-25T09:00:00Z';

const reading = (
  measure: string,
  side: Reading['side'],
  value: number,
  takenAt: string,
  state: Reading['state'] = 'cold',
): Reading => ({
  id: [measure, side, value, takenAt].join(' '),
  measure,
  side,
  value,
  unit: measure === 'stature' ? 'cm' : 'deg',
  raw: null,
  instrument: 'inclinometer',
  posture: null,
  state,
  takenAt,
  note: '',
});

const overviewOf = (measure: string, ...readings: Reading[]): MeasureOverview => {
  const found = describeBody({ person: PERSON, readings }, NOW).find(
    (each) => each.measure === measure,
  );
  if (found === undefined) throw new Error(`${measure} is not told`);
  return found;
};

describe('a body at a glance', () => {
  it('tells the latest value, its age, and one change: latest against first', () => {
    const { sides, difference } = overviewOf(
      'straight-leg-raise',
      reading('straight-leg-raise', 'left', 60, '2026-03-01T09:00:00Z'),
      reading('straight-leg-raise', 'left', 90, '2026-06-01T09:00:00Z'),
      reading('straight-leg-raise', 'left', 72, '2026-11-20T09:00:00Z'),
      reading('straight-leg-raise', 'left', 74, '2026-11-20T09:05:00Z'),
      reading('straight-leg-raise', 'right', 75, '2026-08-01T09:00:00Z'),
    );
    const [left, right] = sides;
    expect(left!.now!.value).toBe(73);
    expect(left!.isStale).toBe(false);
    // The best of many in June is not what counts.
    expect(left!.first!.value).toBe(60);
    expect(left!.change).toMatchObject({ difference: 13, verdict: 'real' });
    expect(right!.isStale).toBe(true);
    expect(right!.first).toBeNull();
    expect(right!.change).toBeNull();
    expect(difference).toMatchObject({ difference: -2, verdict: 'noise' });
  });

  it('claims no change between cold and warm', () => {
    const { sides } = overviewOf(
      'straight-leg-raise',
      reading('straight-leg-raise', 'left', 60, '2026-03-01T09:00:00Z', 'cold'),
      reading('straight-leg-raise', 'left', 80, '2026-11-20T09:00:00Z', 'warm'),
    );
    expect(sides[0]!.change!.verdict).toBe('other-state');
  });

  it('names the poses that wait for a missing side, and leaves out what nobody waits for', () => {
    const one = overviewOf('hip-opening', reading('hip-opening', 'left', 55, NOW));
    expect(one.blocks).toContain('Warrior II');
    expect(one.difference).toBeNull();
    const all = describeBody({ person: PERSON, readings: [] }, NOW);
    expect(all.every((each) => each.blocks.length > 0)).toBe(true);
    expect(all.map((each) => each.measure)).not.toContain('fist-width');
    expect(all.map((each) => each.measure)).toContain('straight-leg-raise');
  });

  it('tells what stands in for a length, and why a test was not taken', () => {
    const stature = reading('stature', null, 170, '2026-11-01T09:00:00Z');
    // 0.039 of stature, Drillis & Contini 1966; from memory.
    expect(overviewOf('ankle-height', stature).sides[0]?.estimate).toBeCloseTo(6.63, 2);
    expect(overviewOf('stature', stature).sides[0]?.estimate).toBeNull();
    const notDone = [
      {
        measure: 'hip-adduction',
        side: 'left',
        reason: 'declined',
        at: '2026-11-01T09:00:00Z',
        note: '',
      },
    ] as const;
    const rows = describeBody({ person: { ...PERSON, notDone }, readings: [] }, NOW);
    const row = rows.find((each) => each.measure === 'hip-adduction');
    expect(row?.sides.map((each) => each.notDone)).toEqual(['declined', null]);
  });
});
