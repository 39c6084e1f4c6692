import { describe, expect, it } from 'vitest';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { makeRandom } from '../../support/random.ts';
import { recordOf, REFERENCE, type Measures } from '../../support/people.ts';
import { depthOf, distanceCm, markOf, planPlain } from '../../support/plan.ts';

const random = makeRandom(414);
const between = (low: number, high: number): number => low + (high - low) * random();

/** A made-up body in the plausible bands, each side its own. */
function makeBody(): Measures {
  const stature = between(150, 192);
  const leg = stature * between(0.5, 0.545);
  const twice = (low: number, high: number, apart: number) => {
    const middle = between(low, high);
    return { left: middle + between(-apart, apart), right: middle + between(-apart, apart) };
  };
  const trochanter = { left: leg + between(-1, 1), right: leg + between(-1, 1) };
  return {
    stature,
    'trochanter-height': trochanter,
    'knee-height': { left: trochanter.left * 0.53, right: trochanter.right * 0.53 },
    'leg-length': { left: trochanter.left * 0.92, right: trochanter.right * 0.92 },
    'ankle-height': between(6, 8),
    'foot-length': stature * between(0.14, 0.16),
    'hip-bone-width': between(20, 27),
    'shoulder-height': stature * between(0.8, 0.83),
    'shoulder-width': between(32, 42),
    'arm-reach': twice(stature * 0.35, stature * 0.39, 0.5),
    'hip-flexion': twice(105, 140, 5),
    'straight-leg-raise': twice(60, 115, 6),
    'hip-extension': twice(10, 28, 3),
    'hip-extension-bent-knee': twice(3, 9, 2),
    'hip-abduction': twice(32, 58, 4),
    'hip-opening': twice(35, 75, 5),
    'hip-external-rotation': twice(30, 60, 5),
    'hip-internal-rotation': twice(20, 45, 5),
    'ankle-dorsiflexion-bent': twice(35, 48, 2),
    'ankle-dorsiflexion-straight': twice(26, 42, 2),
    'trunk-rotation': twice(35, 60, 5),
    'trunk-extension': between(15, 30),
    'trunk-side-bend': twice(20, 38, 3),
    'knee-flexion': twice(130, 158, 3),
    'thigh-foot-angle': twice(-3, 16, 4),
  };
}

const BALANCES = ['half-moon', 'tree', 'warrior-three', 'revolved-half-moon'];
/** Demanding enough that fewer than half of ordinary people can stand in them. */
const DEMANDING = ['wall-kneel'];

const BODIES = Array.from({ length: 24 }, makeBody);

function expectSound(setUp: SetUp, measures: Measures): void {
  // No NaN or Infinity anywhere: JSON would write them as null.
  const numbers = JSON.stringify([setUp.settings, setUp.landmarks, setUp.balance, setUp.pelvis]);
  expect(
    numbers.replaceAll('"plusMinus":null', '').replaceAll('"expression":null', ''),
  ).not.toContain('null');
  for (const { toSpareDeg, joint, motion } of setUp.joints) {
    if (toSpareDeg !== null) expect(toSpareDeg, `${joint} ${motion}`).toBeGreaterThanOrEqual(-0.05);
  }
  const least = BALANCES.includes(setUp.pose) ? 0.95 : 1.95;
  expect(setUp.balance!.nearestEdgeCm).toBeGreaterThanOrEqual(least);
  for (const side of ['Left', 'Right'] as const) {
    const of = (id: 'trochanter-height' | 'knee-height'): number =>
      (measures[id] as Record<string, number>)[side.toLowerCase()]!;
    const thigh = of('trochanter-height') - of('knee-height');
    expect(
      Math.abs(distanceCm(markOf(setUp, `hip${side}`), markOf(setUp, `knee${side}`)) - thigh),
    ).toBeLessThanOrEqual(0.05);
    for (const name of ['heel', 'ball', 'toe', 'ankle', 'knee', 'hand']) {
      expect(markOf(setUp, name + side)[2], name).toBeGreaterThanOrEqual(-0.01);
    }
  }
}

describe.each(POSES.map((pose) => pose.id))('%s, 24 made-up bodies on both sides', (pose) => {
  it('keeps every limit, length and the floor wherever it answers', () => {
    let answered = 0;
    for (const measures of BODIES) {
      for (const side of ['left', 'right'] as const) {
        const setUp = planPlain(measures, pose, side);
        if (setUp.status === 'failed') {
          expect(setUp.problems[0]?.message.length).toBeGreaterThan(20);
          continue;
        }
        answered += 1;
        expectSound(setUp, measures);
        if (setUp.depth === null) continue;
        expect(setUp.depth.value!).toBeLessThanOrEqual(setUp.depth.textbook + 0.05);
        expect(setUp.depth.value!).toBeLessThanOrEqual(setUp.depth.deepest! + 0.1);
      }
    }
    // The bands are those of ordinary people: most of them can stand in most poses.
    expect(answered).toBeGreaterThan(DEMANDING.includes(pose) ? 2 : BODIES.length);
  });

  it('recommends a depth that keeps 3° everywhere, inside the deepest', () => {
    for (const measures of BODIES.slice(0, 8)) {
      const planned = planSetUp(recordOf(measures), pose, 'right');
      if (!planned.ok) throw new Error(planned.problems[0]?.message);
      const { status, joints, depth } = planned.value;
      if (status === 'failed') continue;
      for (const { toSpareDeg } of joints) {
        if (toSpareDeg !== null) expect(toSpareDeg).toBeGreaterThanOrEqual(2.95);
      }
      if (depth === null) continue;
      expect(depth.value!).toBeLessThanOrEqual(depth.deepest! + 0.05);
    }
  });
});

describe('a taller copy of the same body', () => {
  it('stands in a warrior II that is longer by the same share, at the same angles', () => {
    const grown = (by: number): Measures => {
      const lengths = [
        'stature',
        'trochanter-height',
        'knee-height',
        'leg-length',
        'ankle-height',
        'foot-length',
        'foot-width',
        'hip-bone-width',
        'shoulder-height',
        'shoulder-width',
        'arm-reach',
      ] as const;
      const scaled = Object.fromEntries(
        lengths.flatMap((id) => {
          const value = { ...REFERENCE, 'foot-width': 9.35 }[id];
          return typeof value === 'number' ? [[id, value * by]] : [];
        }),
      );
      return { ...REFERENCE, ...scaled };
    };
    const plan = (by: number): SetUp =>
      planPlain(grown(by), 'warrior-two', 'right', { backFootDeg: 80 });
    const [small, tall] = [plan(1), plan(1.1)];
    expect(depthOf(tall).value!).toBeCloseTo(depthOf(small).value!, 0);
    const stance = (setUp: SetUp): number =>
      setUp.settings.find((each) => each.id === 'stance-length')!.value;
    expect(stance(tall) / stance(small)).toBeCloseTo(1.1, 2);
  });
});
