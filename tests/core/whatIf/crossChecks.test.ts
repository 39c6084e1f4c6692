import { describe, expect, it } from 'vitest';
import { calcMeasureSet } from '../../../src/core/measures/measureSet.ts';
import type { Reading } from '../../../src/core/measures/reading.ts';
import { listCrossChecks } from '../../../src/core/whatIf/crossChecks.ts';
import { recordOf, REFERENCE, type Measures } from '../../support/people.ts';

const check = (measures: Measures, more: readonly Reading[] = []) =>
  listCrossChecks(calcMeasureSet([...recordOf(measures).readings, ...more]));

describe('the measured seat', () => {
  // By hand for the reference body: 82 · sin(90° − 70°) − 3.5 = 24.5.
  const stiff: Measures = { ...REFERENCE, 'straight-leg-raise': 70 };

  it('agrees with the seat that the leg raise asks for', () => {
    const [seat] = check({ ...stiff, 'staff-seat-height': 24.5 });
    expect(seat).toMatchObject({ measure: 'staff-seat-height', agrees: true, repeat: null });
    expect(seat?.words).toContain('asks for 24.5 cm');
  });

  it('names the reading to repeat where they differ by more than error', () => {
    const [seat] = check({ ...stiff, 'staff-seat-height': 5 });
    // A leg raise is read less surely than a tape.
    expect(seat).toMatchObject({
      agrees: false,
      repeat: { measure: 'straight-leg-raise', side: 'left' },
    });
    expect(seat?.words).toContain('Repeat left straight-leg raise');
  });

  it('takes the stiffer leg, and the floor where nothing is lacking', () => {
    const measures = { ...REFERENCE, 'straight-leg-raise': { left: 95, right: 70 } };
    expect(check({ ...measures, 'staff-seat-height': 24 })[0]?.words).toContain('right');
    const supple = { ...REFERENCE, 'straight-leg-raise': 100, 'staff-seat-height': 0 };
    expect(check(supple)[0]).toMatchObject({ agrees: true });
  });

  it('says nothing when it was not measured', () => {
    expect(check(REFERENCE)).toEqual([]);
  });
});

describe('the seated rotation drill', () => {
  const drill = (left: number, right: number): Measures => ({
    ...REFERENCE,
    'seated-rotation-drill': { left, right },
  });

  it('is quiet about sides that are alike within error', () => {
    expect(check(drill(25, 25.5))[0]).toMatchObject({ agrees: true, repeat: null });
  });

  it('asks for the reading lying face down when the sides differ and it is missing', () => {
    const { 'hip-internal-rotation': _, ...without } = drill(18, 30);
    expect(check(without)[0]).toMatchObject({
      agrees: false,
      repeat: { measure: 'hip-internal-rotation', side: 'left' },
    });
  });

  it('is content once it was taken', () => {
    const [found] = check(drill(18, 30));
    expect(found).toMatchObject({ agrees: true, repeat: null });
    expect(found?.words).toContain('the right hip turns in farther');
  });
});
