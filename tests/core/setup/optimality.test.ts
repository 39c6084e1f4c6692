import { describe, expect, it } from 'vitest';
import { calcBody } from '../../../src/core/body/body.ts';
import { calcMeasureSet } from '../../../src/core/measures/measureSet.ts';
import { findPose } from '../../../src/core/poses/catalogue/index.ts';
import { recordOf, REFERENCE, type Measures } from '../../support/people.ts';
import { planPlain, settingOf } from '../../support/plan.ts';
import { makeRandom } from '../../support/random.ts';
import { searchSlowly } from '../../support/slowSearch.ts';

const POSES_TRIED = [
  'warrior-two',
  'warrior-one',
  'high-lunge',
  'triangle',
  'pyramid',
  'wide-fold',
];
const BODIES = 50;

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
  it.each(POSES_TRIED)(
    '%s: not beaten by more than 2° on any of 50 bodies',
    (id) => {
      const pose = findPose(id)!;
      const random = makeRandom(2024);
      let came = 0;
      for (const measures of makeBodies()) {
        const setUp = planPlain(measures, id);
        const body = calcBody(calcMeasureSet(recordOf(measures).readings));
        if (!body.ok) throw new Error(body.problems[0]?.message);
        const { footLength, hipCentreDistance, fistWidth } = body.value;
        const free = !pose.straightLegs.includes('front');
        const slow = searchSlowly(
          {
            pose,
            body: body.value,
            ranges: measures,
            stance:
              free || setUp.status === 'failed' ? null : settingOf(setUp, 'stance-length') / 100,
            width: (yaw) =>
              ({
                'heel-to-arch': -0.4 * footLength * Math.sin((yaw * Math.PI) / 180),
                'heel-to-heel': 0,
                'hip-rails': hipCentreDistance,
                'two-fist-rails': 2 * fistWidth,
              })[pose.heelLine],
          },
          random,
        );
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
});
