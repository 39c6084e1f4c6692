import { describe, expect, it } from 'vitest';
import type { WorkingStep } from '../../../src/core/planning/working.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { contextOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planPlain } from '../../support/plan.ts';
import { calcExpression } from '../../support/expression.ts';

/** Adds up a working's terms with a pencil: from what is written, not from what was computed. */
function addUp(steps: readonly WorkingStep[]): number {
  return steps
    .filter((step) => step.kind === 'term')
    .reduce((sum, step) => sum + calcExpression(step.expression ?? ''), 0);
}

describe('workings', () => {
  it.each(POSES.map((each) => each.id))(
    '%s: every number follows from its own written steps within 0.1',
    (pose) => {
      let checked = 0;
      for (const measures of [
        REFERENCE,
        SUPPLE,
        {
          ...REFERENCE,
          'leg-length': { left: 84, right: 82 },
          'trochanter-height': { left: 91, right: 89 },
        },
        STIFF,
      ]) {
        for (const side of ['left', 'right'] as const) {
          for (const rules of [
            {},
            { stance: 'leg-length' as const },
            { stance: 'fixed' as const },
          ]) {
            const setUp = planPlain({ ...measures, 'knee-flexion': 160 }, pose, side, rules);
            for (const setting of setUp.settings) {
              expect(
                Math.abs(addUp(setting.working) - setting.value),
                setting.id,
              ).toBeLessThanOrEqual(0.1);
              const total = setting.working.find((step) => step.kind === 'total');
              expect(Math.abs((total?.value ?? NaN) - setting.value)).toBeLessThanOrEqual(0.051);
              checked += 1;
            }
            const { value = null, working = [] } = setUp.depth ?? {};
            if (value !== null) {
              expect(Math.abs(addUp(working) - value)).toBeLessThanOrEqual(0.1);
            }
          }
        }
      }
      expect(checked).toBeGreaterThan(75);
    },
  );

  it('tells the joints that set a solved stance, asked against has', () => {
    const setUp = planPlain(REFERENCE, 'warrior-two');
    const stance = setUp.settings.find((each) => each.id === 'stance-length')!;
    const limits = stance.working.filter((step) => step.kind === 'limit');
    expect(limits.length).toBeGreaterThan(0);
    expect(limits[0]!.text).toMatch(/front hip abduction|back hip extension/);
    expect(Math.abs(calcExpression(limits[0]!.expression ?? ''))).toBeLessThanOrEqual(0.15);
    expect(stance.working[1]!.text).toContain('back leg');
  });

  it('says that a rule’s number is the rule’s', () => {
    const planned = planSetUp(contextOf(REFERENCE), 'triangle', 'left');
    const stance = planned.ok ? planned.value.settings[0] : undefined;
    expect(stance?.working[0]).toMatchObject({
      text: 'front leg length × the rule’s factor',
      expression: '82.00 × 1',
    });
  });
});
