import { describe, expect, it } from 'vitest';
import { cmFromMetres, degreesFromRadians } from '../../../src/core/units/brands.ts';
import { readAngle, readLength, writeLength } from '../../../src/core/units/readQuantity.ts';

/** 1 in = 2.54 cm exactly (international yard and pound agreement, 1959). */
const LENGTHS: readonly (readonly [string, number])[] = [
  ['34 1/2 in', 87.63],
  ['34½', 34.5],
  ['34 ½ "', 87.63],
  ['3\'2"', 96.52],
  ["3'2", 96.52],
  ['3 ft 2 1/2 in', 97.79],
  ['5′7″', 170.18],
  ["6'", 182.88],
  ['86,5', 86.5],
  ['86.5 cm', 86.5],
  ['0.865 m', 86.5],
  ['865mm', 86.5],
  [' 86.5CM ', 86.5],
  ['1/4 in', 0.635],
];

describe('reading lengths', () => {
  it.each(LENGTHS)('reads %s', (text, cm) => {
    const read = readLength(text, 'cm', 'field');
    expect(read.ok && cmFromMetres(read.value)).toBeCloseTo(cm, 9);
  });

  it('takes a bare number in the unit it is told', () => {
    const read = readLength('34 1/2', 'in', 'field');
    expect(read.ok && cmFromMetres(read.value)).toBeCloseTo(87.63, 9);
  });

  it.each(['', 'abc', '12 13', '-4 cm', '3/0 in', '12..5', '5 kg', '1e999', 'NaN', '3\'14"'])(
    'refuses %j and says what to write',
    (text) => {
      const read = readLength(text, 'cm', 'Leg length');
      expect(read.ok).toBe(false);
      const [problem] = read.ok ? [] : read.problems;
      expect(problem?.code).toBe('not-a-length');
      expect(problem?.message).toContain('Leg length');
      expect(problem?.hint).toContain('86.5 cm');
    },
  );
});

describe('reading angles', () => {
  it.each([
    ['85', 85],
    ['85,5°', 85.5],
    ['85.5 deg', 85.5],
    ['−12', -12],
  ])('reads %s', (text, degrees) => {
    const read = readAngle(text, 'field');
    expect(read.ok && degreesFromRadians(read.value)).toBeCloseTo(degrees, 9);
  });

  it('refuses what is not one', () => {
    expect(readAngle('steep', 'field').ok).toBe(false);
  });
});

describe('writing lengths', () => {
  it('writes centimetres and the nearest quarter inch', () => {
    expect(writeLength(0.876, 'cm', 1)).toBe('87.6 cm');
    expect(writeLength(0.87, 'cm', 1)).toBe('87 cm');
    expect(writeLength(0.8763, 'in', 0)).toBe('34½ in');
    expect(writeLength(0.00635, 'in', 0)).toBe('¼ in');
  });

  it('comes back from what it wrote, within a quarter inch', () => {
    for (let cm = 1; cm < 200; cm += 3.7) {
      const read = readLength(writeLength(cm / 100, 'in', 0), 'cm', 'field');
      expect(read.ok && Math.abs(cmFromMetres(read.value) - cm)).toBeLessThanOrEqual(
        2.54 / 8 + 1e-9,
      );
    }
  });
});
