import { describe, expect, it } from 'vitest';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import fc from 'fast-check';
import { anyBody } from '../../support/anyBody.ts';
import { mirrorMeasures, contextOf, REFERENCE, type Measures } from '../../support/people.ts';
import { depthOf, distanceCm, markOf, planPlain, settingOf } from '../../support/plan.ts';

const BALANCES = ['half-moon', 'tree', 'warrior-three', 'revolved-half-moon'];
/**
 * How many of the 48 set-ups under plain rules, and of the 8 recommended ones, cannot be
 * held; none in the poses that are not named.
 */
const FAILED: Readonly<Record<string, readonly [plain: number, recommended: number]>> = {
  'warrior-two': [0, 1],
  'side-angle': [0, 1],
  'reverse-warrior': [0, 1],
  'reverse-triangle': [9, 4],
  'wall-kneel': [28, 5],
};
const countFailed = (pose: string): readonly [number, number] => FAILED[pose] ?? [0, 0];

const BODIES = fc.sample(anyBody, { numRuns: 24, seed: 414 });

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
    let failed = 0;
    for (const measures of BODIES) {
      for (const side of ['left', 'right'] as const) {
        const setUp = planPlain(measures, pose, side);
        if (setUp.status === 'failed') {
          failed += 1;
          expect(setUp.problems[0]?.message.length).toBeGreaterThan(20);
          continue;
        }
        expectSound(setUp, measures);
        if (setUp.depth === null) continue;
        expect(setUp.depth.value!).toBeLessThanOrEqual(setUp.depth.textbook + 0.05);
        expect(setUp.depth.value!).toBeLessThanOrEqual(setUp.depth.deepest! + 0.1);
      }
    }
    expect(failed).toBe(countFailed(pose)[0]);
  });

  it('recommends a depth that leaves free what is held back everywhere, inside the deepest', () => {
    let failed = 0;
    for (const measures of BODIES.slice(0, 8)) {
      const planned = planSetUp(contextOf(measures), pose, 'right');
      if (!planned.ok) throw new Error(planned.problems[0]?.message);
      const { status, joints, depth } = planned.value;
      if (status === 'failed') {
        failed += 1;
        continue;
      }
      for (const { askedDeg, measuredDeg, heldBackDeg, toSpareDeg } of joints) {
        if (askedDeg === null || measuredDeg === null || heldBackDeg === null) continue;
        expect(toSpareDeg).toBeGreaterThanOrEqual(-0.05);
        // At least 3°, or a quarter of a small range, is left of what was measured.
        const least = Math.min(3, Math.max(0, measuredDeg) / 4);
        expect(measuredDeg - askedDeg).toBeGreaterThanOrEqual(least - 0.05);
      }
      if (depth === null) continue;
      expect(depth.value!).toBeLessThanOrEqual(depth.deepest! + 0.05);
    }
    expect(failed).toBe(countFailed(pose)[1]);
  });
});

/**
 * Poses with something of a fixed size in them: a knee pad, the thickness of a leg, and in
 * the reverse warrior the 2 cm that the weight point keeps from the edge, which stop it.
 */
const FIXED_SIZES = [
  'low-lunge',
  'lizard',
  'wall-kneel',
  'revolved-side-angle',
  'tree',
  'reverse-warrior',
];

describe('a taller copy of the same body', () => {
  const LENGTHS: Measures = {
    stature: 170,
    'trochanter-height': 89,
    'knee-height': 47,
    'leg-length': 82,
    'ankle-height': 7,
    'foot-length': 24.5,
    'foot-width': 9.35,
    'fist-width': 9,
    'hip-bone-width': 23.6,
    'pelvis-depth': 14,
    'shoulder-height': 139,
    'shoulder-width': 36,
    'arm-reach': 62,
    'wrist-span': 140,
  };
  const grown = (by: number): Measures => ({
    ...REFERENCE,
    ...Object.fromEntries(Object.entries(LENGTHS).map(([id, cm]) => [id, (cm as number) * by])),
  });

  it.each(POSES.map((pose) => pose.id).filter((id) => !FIXED_SIZES.includes(id)))(
    'stands in a %s that is longer by the same share, at the same angles',
    (pose) => {
      const by = 1.08;
      const plan = (scale: number): SetUp =>
        planPlain(grown(scale), pose, 'right', { depth: 'recommended' });
      const [small, tall] = [plan(1), plan(by)];
      if (small.depth !== null) {
        expect(Math.abs(depthOf(tall).value! - depthOf(small).value!)).toBeLessThan(0.5);
      }
      let compared = 0;
      for (const { id, value, unit } of small.settings) {
        // The mat keeps its size, and a hand is kept off the foot by half a block.
        if (id.endsWith('mat-edge') || id.startsWith('hand-')) continue;
        const scaled = settingOf(tall, id) / (unit === 'cm' ? by : 1);
        expect(Math.abs(scaled - value), id).toBeLessThan(unit === 'cm' ? 0.5 : 1);
        compared += 1;
      }
      expect(compared).toBeGreaterThan(2);
    },
  );
});

const anyPose = fc.constantFrom(...POSES.map((pose) => pose.id));
const anySide = fc.constantFrom('left' as const, 'right' as const);

/** Ranges that more of can only help: each is an upper end, in one direction. */
const MORE_HELPS = [
  'hip-flexion',
  'straight-leg-raise',
  'hip-extension',
  'hip-external-rotation',
  'ankle-dorsiflexion-straight',
  'trunk-rotation',
] as const;

describe('laws, on made-up bodies by fast-check', () => {
  it('every limit, length and the floor are kept, and nothing is NaN: 1,000 bodies', () => {
    fc.assert(
      fc.property(anyBody, anyPose, anySide, (measures, pose, side) => {
        const setUp = planPlain(measures, pose, side);
        if (setUp.status !== 'failed') expectSound(setUp, measures);
      }),
      { numRuns: 1000, seed: 11 },
    );
  }, 300_000);

  it('the mirrored body has the mirrored set-up, number for number: 150 bodies', () => {
    fc.assert(
      fc.property(anyBody, anyPose, (measures, pose) => {
        const right = planPlain(measures, pose, 'right');
        const left = planPlain(mirrorMeasures(measures), pose, 'left');
        const numbers = ({ settings }: SetUp) => settings.map(({ id, value }) => [id, value]);
        expect(numbers(left)).toEqual(numbers(right));
      }),
      { numRuns: 150, seed: 12 },
    );
  }, 120_000);

  it('the same input gives the same bytes: 60 bodies', () => {
    fc.assert(
      fc.property(anyBody, anyPose, anySide, (measures, pose, side) => {
        const [first, second] = [1, 2].map(() => JSON.stringify(planPlain(measures, pose, side)));
        expect(second).toBe(first);
      }),
      { numRuns: 60, seed: 13 },
    );
  }, 120_000);

  it('more range never gives a shallower pose: 200 bodies', () => {
    // Poses of one depth on legs of their own: what an earlier depth takes, a later one lacks.
    const single = POSES.filter(
      ({ depth, firstDepth, restsOn, stance }) =>
        depth !== null &&
        firstDepth === null &&
        restsOn === undefined &&
        !JSON.stringify(stance).includes('longest-up-to'),
    ).map((pose) => pose.id);
    fc.assert(
      fc.property(
        anyBody,
        fc.constantFrom(...single),
        fc.constantFrom(...MORE_HELPS),
        (measures, pose, measure) => {
          const less = planPlain(measures, pose);
          if (less.status !== 'solved') return;
          const { left, right } = measures[measure] as { left: number; right: number };
          const wider = { ...measures, [measure]: { left: left + 6, right: right + 6 } };
          const more = planPlain(wider, pose);
          expect(depthOf(more).deepest!, `${pose} ${measure}`).toBeGreaterThanOrEqual(
            depthOf(less).deepest! - 0.6,
          );
        },
      ),
      { numRuns: 200, seed: 14 },
    );
  }, 240_000);
});
