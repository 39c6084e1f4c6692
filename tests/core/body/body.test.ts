import { describe, expect, it } from 'vitest';
import { calcBody, hipToAnkle, type Body } from '../../../src/core/body/body.ts';
import { calcMeasureSet } from '../../../src/core/measures/measureSet.ts';
import { recordOf, REFERENCE, type Measures } from '../../support/people.ts';

function bodyOf(measures: Measures): Body {
  const body = calcBody(calcMeasureSet(recordOf(measures).readings));
  if (!body.ok) throw new Error(body.problems.map((each) => each.message).join(' '));
  return body.value;
}

const problemsOf = (measures: Measures): string[] => {
  const body = calcBody(calcMeasureSet(recordOf(measures).readings));
  return body.ok ? [] : body.problems.map((each) => each.code);
};

describe('the body from measures', () => {
  it('divides the measured leg at the knee', () => {
    const body = bodyOf(REFERENCE);
    expect(body.thigh.left).toBeCloseTo(0.42, 9);
    expect(body.shank.right).toBeCloseTo(0.4, 9);
    expect(hipToAnkle(body, 'left')).toBeCloseTo(0.82, 9);
    expect(body.trunk).toBeCloseTo(0.5, 9);
    expect(body.hipCentreDistance).toBeCloseTo(0.17, 9);
  });

  it('estimates from stature by Drillis & Contini 1966 as in Winter (from memory), marked', () => {
    const body = bodyOf({ stature: 170 });
    expect(body.footLength).toBeCloseTo(0.152 * 1.7, 9);
    expect(body.ankleHeight).toBeCloseTo(0.039 * 1.7, 9);
    // Thigh 0.245 and shank 0.246 of stature.
    expect(body.thigh.left / 1.7).toBeCloseTo(0.245, 3);
    expect(body.shank.left / 1.7).toBeCloseTo(0.246, 3);
    expect(body.shoulderWidth).toBeCloseTo(2 * 0.129 * 1.7, 9);
    expect(body.trunk).toBeCloseTo((0.818 - 0.53) * 1.7, 9);
    const guessed = body.uses.filter((each) => each.source === 'estimated');
    expect(guessed).toHaveLength(body.uses.length - 1);
    for (const use of guessed) expect(use.error).toBeCloseTo(0.05 * use.value, 9);
  });

  it('takes a missing side from the other one, marked', () => {
    const record = recordOf(REFERENCE);
    const readings = record.readings.filter((each) => each.id !== 'knee-height left');
    const body = calcBody(calcMeasureSet(readings));
    const use = body.ok
      ? body.value.uses.find((each) => each.measure === 'knee-height' && each.side === 'left')
      : undefined;
    expect(use).toMatchObject({ value: 47, source: 'other-side' });
  });

  it('refuses lengths that contradict each other, by name', () => {
    expect(problemsOf({ ...REFERENCE, 'knee-height': 75 })).toEqual([
      'leg-parts-disagree',
      'leg-parts-disagree',
    ]);
    expect(problemsOf({ ...REFERENCE, 'shoulder-height': 110 })).toEqual(['trunk-too-short']);
    expect(problemsOf({})).toContain('stature-needed');
  });

  it('needs no stature when the trochanter is measured', () => {
    const { stature: _, ...rest } = REFERENCE;
    expect(bodyOf(rest).stature).toBeCloseTo(0.89 / 0.53, 9);
  });
});
