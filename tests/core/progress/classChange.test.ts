import { describe, expect, it } from 'vitest';
import { findMemberChange } from '../../../src/core/progress/classChange.ts';
import type { Reading } from '../../../src/core/measures/reading.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';
import { makeRandom } from '../../support/random.ts';

const later = (readings: readonly Reading[], change: (reading: Reading) => number): Reading[] =>
  readings.map((each) => ({
    ...each,
    id: `${each.id} later`,
    value: change(each),
    takenAt: '2027-03-02T09:10:00Z',
  }));
const { readings } = recordOf(REFERENCE);

describe('whether somebody of a class moved on', () => {
  it('is not known with one date', () => {
    expect(findMemberChange(readings)).toEqual({ kind: 'not-twice' });
  });

  it('names the range that changed most, either way', () => {
    const change = (by: number) => (each: Reading) =>
      each.measure === 'hip-flexion' && each.side === 'left' ? each.value + by : each.value;
    expect(findMemberChange([...readings, ...later(readings, change(22))])).toEqual({
      kind: 'moved-on',
      words: 'Hip flexion, left, cold: + 22°',
    });
    expect(findMemberChange([...readings, ...later(readings, change(-22))]).kind).toBe(
      'moved-back',
    );
  });

  it('takes the scatter of repeats for noise, though the largest of many is taken', () => {
    const random = makeRandom(3);
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    // A standard error of 3° is what a single reading has at least here.
    const scatter = (each: Reading): number =>
      each.unit === 'deg' ? each.value + 3 * normal() : each.value;
    const kinds = Array.from(
      { length: 200 },
      () => findMemberChange([...later(readings, scatter), ...readings]).kind,
    );
    // One in twenty by chance; three standard deviations of that in 200.
    expect(kinds.filter((kind) => kind !== 'noise').length).toBeLessThanOrEqual(20);
  });
});
