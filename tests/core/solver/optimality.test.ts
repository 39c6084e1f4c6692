import { describe, expect, it } from 'vitest';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { PLAIN_RULES, contextOf, REFERENCE, type Measures } from '../../support/people.ts';
import { planPlain } from '../../support/plan.ts';
import { makeRandom } from '../../support/random.ts';
import { searchBalanceSlowly } from '../../support/slowBalance.ts';
import { searchSlowly } from '../../support/slowSearch.ts';
import { makeSlowTask, SEARCHED_POSES } from '../../support/slowTask.ts';

/** Fewer by default; all of them in `npm run test:long`. */
const IS_LONG = process.env['LONG_TESTS'] === '1';
const BODIES = IS_LONG ? 50 : 16;
const ON_ONE_LEG = IS_LONG ? 30 : 10;

/** Made-up bodies, both sides alike, from stiff to supple. */
function makeBodies(): Measures[] {
  const random = makeRandom(50);
  const between = (low: number, high: number): number => low + (high - low) * random();
  return Array.from({ length: BODIES }, () => ({
    ...REFERENCE,
    'hip-flexion': between(105, 138),
    'straight-leg-raise': between(65, 115),
    'hip-extension': between(12, 27),
    'hip-extension-bent-knee': between(4, 11),
    'hip-abduction': between(34, 58),
    'hip-opening': between(38, 75),
    'hip-external-rotation': between(32, 60),
    'hip-internal-rotation': between(22, 45),
    'ankle-dorsiflexion-bent': between(36, 48),
    'ankle-dorsiflexion-straight': between(29, 42),
    'trunk-rotation': between(36, 60),
    'trunk-extension': between(15, 28),
    'trunk-side-bend': 25,
  }));
}

describe('the depth found, against a slow search that shares only body and pose data', () => {
  it.each(SEARCHED_POSES)(
    `%s: not beaten by more than 2° on any of ${String(BODIES)} bodies`,
    (id) => {
      const random = makeRandom(2024);
      let came = 0;
      for (const measures of makeBodies()) {
        const setUp = planPlain(measures, id);
        const slow = searchSlowly(makeSlowTask(measures, id, setUp), random);
        const ours = setUp.depth?.deepest ?? null;
        if (slow === null) continue;
        expect(ours, `${id}: the slow search found ${slow.toFixed(1)}°`).not.toBeNull();
        expect(slow).toBeLessThanOrEqual(ours! + 2);
        if (slow > ours! - 6) came += 1;
      }
      // A search that came nowhere near would prove nothing.
      expect(came).toBeGreaterThan(BODIES * 0.4);
    },
    240_000,
  );

  it.each(['tree', 'revolved-half-moon'])(
    `%s: not beaten by more than 2° on any of ${String(ON_ONE_LEG)} bodies, on one leg`,
    (id) => {
      const random = makeRandom(2025);
      let came = 0;
      for (const measures of makeBodies().slice(0, ON_ONE_LEG)) {
        const plan = planPose(contextOf(measures), id, 'right', PLAIN_RULES);
        if (plan.kind !== 'planned' || plan.answer.found.kind !== 'held') continue;
        const { pose } = plan.request;
        const { found, first, keptShare } = plan.answer;
        const held = first === null ? null : keptShare * first.depth!;
        const { body } = plan.limited;
        const slow = searchBalanceSlowly({ pose, body, ranges: measures, held }, random);
        if (slow === null) continue;
        expect(slow, JSON.stringify(measures)).toBeLessThanOrEqual(found.deepest! + 2);
        if (slow > found.deepest! - 8) came += 1;
      }
      expect(came).toBeGreaterThan(ON_ONE_LEG * 0.3);
    },
    240_000,
  );
});
