import { describe, expect, it } from 'vitest';
import { planBands, type Bands } from '../../../src/core/whatIf/planBands.ts';
import { contextOf, REFERENCE, STIFF } from '../../support/people.ts';
import { planPlain } from '../../support/plan.ts';

const drawn = (pose: string, draws: number): Bands => {
  const bands = planBands(contextOf(REFERENCE), pose, 'right', {}, null, draws);
  if (!bands.ok || bands.value === null) throw new Error('no bands');
  return bands.value;
};

describe('the bands of made-up repeats', () => {
  it('hold the planned number of every setting that moves, and are the same every time', () => {
    const bands = drawn('pyramid', 300);
    expect(bands).toEqual(drawn('pyramid', 300));
    expect(bands.held).toBe(300);
    const { settings, depth } = planPlain(REFERENCE, 'pyramid', 'right', {
      limitMarginSem: 1,
      reserveByExperience: true,
      minimumToSpareDeg: 3,
      depth: 'recommended',
    });
    let wide = 0;
    for (const { id, low, high, unit } of bands.settings) {
      const planned = id === 'depth' ? depth! : settings.find((each) => each.id === id)!;
      expect(low, id).toBeLessThanOrEqual(high);
      expect(planned.value, id).toBeGreaterThanOrEqual(low - 0.3);
      expect(planned.value, id).toBeLessThanOrEqual(high + 0.3);
      expect(unit).toBe(planned.unit);
      if (high - low > 2) wide += 1;
    }
    expect(wide).toBeGreaterThan(2);
  }, 60_000);

  it('tell whether one joint stops the pose or several do', () => {
    expect(drawn('high-lunge', 200).oneJointShare).toBeGreaterThanOrEqual(0.95);
    expect(drawn('warrior-two', 200).oneJointShare).toBeLessThan(0.95);
  }, 60_000);

  it('are not drawn where nothing is solved, and name what is wrong', () => {
    const failing = { depth: 'recommended', reserveByExperience: true } as const;
    const stiff = planBands(
      contextOf({ ...STIFF, 'knee-flexion': 140 }),
      'wall-kneel',
      'right',
      failing,
    );
    expect(stiff).toEqual({ ok: true, value: null });
    expect(planBands(contextOf(STIFF), 'no-such-pose', 'right')).toMatchObject({
      ok: false,
      problems: [{ code: 'unknown-pose' }],
    });
  });
});
