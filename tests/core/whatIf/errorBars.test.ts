import { sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { calcMeasureSet } from '../../../src/core/measures/measureSet.ts';
import { calcStandardError } from '../../../src/core/measures/readingErrors.ts';
import { calcErrorBars } from '../../../src/core/whatIf/errorBars.ts';
import { calcMonteCarlo } from '../../../src/core/whatIf/monteCarlo.ts';
import { rankRepeats } from '../../../src/core/whatIf/rankRepeats.ts';
import { planPose, type Plan } from '../../../src/core/setup/planSetUp.ts';
import { contextOf, REFERENCE } from '../../support/people.ts';
import { makeRandom } from '../../support/random.ts';

function planOf(pose: string): Plan {
  const planned = planPose(contextOf(REFERENCE), pose, 'right');
  if (planned.kind !== 'planned') throw new Error(planned.kind);
  return planned;
}

describe('error bars', () => {
  const plan = planOf('high-lunge');
  const bars = calcErrorBars(plan)!;

  it('agree with 2,000 made-up repeats within 20 % where one joint limits in 95 % of them', () => {
    const made = calcMonteCarlo(plan, 2000, makeRandom(1905));
    expect(made.held).toBe(2000);
    expect(made.oneJointShare).toBeGreaterThanOrEqual(0.95);
    let compared = 0;
    for (const id of ['depth', 'stance-length', 'front-heel-from-mat-edge'] as const) {
      const { sd } = made.bands.get(id)!;
      expect(bars.plusMinus.get(id)! / sd, id).toBeGreaterThan(0.8);
      expect(bars.plusMinus.get(id)! / sd, id).toBeLessThan(1.2);
      compared += 1;
    }
    expect(compared).toBe(3);
  }, 120_000);

  it('never go below what a tape or an eye can tell: 0.3 cm, 0.5°', () => {
    for (const { id, unit } of plan.setUp.settings) {
      expect(bars.plusMinus.get(id)).toBeGreaterThanOrEqual(unit === 'cm' ? 0.3 : 0.5);
    }
  });

  it('come from the joints that limit: back hip extension and the low back’s', () => {
    const byMove = [...bars.influences].sort(
      (a, b) => Math.abs(b.moves.get('depth') ?? 0) - Math.abs(a.moves.get('depth') ?? 0),
    );
    const [first, second] = byMove.map((each) => each.measure);
    expect([first, second].sort()).toEqual(['hip-extension', 'trunk-extension']);
  });

  it('rank the reading whose repeat gains most, each gain solved anew', () => {
    const [first, ...rest] = rankRepeats(
      [plan, planOf('pyramid')],
      calcMeasureSet(plan.request.record.readings),
    );
    expect(['hip-extension', 'trunk-extension', 'straight-leg-raise']).toContain(first!.measure);
    expect(first!.errorThen).toBeLessThan(first!.errorNow);
    expect(first!.depthGain).toBeGreaterThan(0.3);
    const total = (gain: { depthGain: number; doubtGain: number }): number =>
      gain.depthGain + gain.doubtGain;
    for (const other of rest) expect(total(other)).toBeLessThanOrEqual(total(first!) + 1e-9);
  });
});

/** simple-statistics, a general-purpose library, on made-up readings. */
describe('the standard error of a value', () => {
  it.each([1, 2, 3])('is what %i readings of one sitting scatter by', (count) => {
    const random = makeRandom(33 + count);
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const middle = (values: number[]): number => {
      values.sort((a, b) => a - b);
      return count === 3 ? values[1]! : values.reduce((sum, each) => sum + each, 0) / count;
    };
    const values = Array.from({ length: 40_000 }, () => {
      const day = 2 * normal();
      return middle(Array.from({ length: count }, () => day + 2.5 * normal()));
    });
    const scatter = sampleStandardDeviation(values);
    expect(calcStandardError('range', count) / scatter).toBeGreaterThan(0.98);
    expect(calcStandardError('range', count) / scatter).toBeLessThan(1.02);
  });
});
