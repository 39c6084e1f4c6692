import { describe, expect, it } from 'vitest';
import { drawBeforeAfter } from '../../../src/core/drawing/beforeAfter.ts';
import { findPose } from '../../../src/core/poses/catalogue/index.ts';
import { sayStep } from '../../../src/core/sessions/sayStep.ts';
import { getValue, type SetUp } from '../../../src/core/setup/setUp.ts';
import { REFERENCE, SUPPLE } from '../../support/people.ts';
import { planPlain } from '../../support/plan.ts';

const withValue = (setUp: SetUp, id: string, value: number): SetUp => ({
  ...setUp,
  settings: setUp.settings.map((each) => (each.id === id ? { ...each, value } : each)),
});

describe('a step in words', () => {
  it('names at most three changes, the stance first, with what was before', () => {
    const before = planPlain(SUPPLE, 'warrior-two');
    const after = planPlain(REFERENCE, 'warrior-two');
    const { main, others, handCrosses } = sayStep(before, after, 'cm');
    expect(main).toHaveLength(3);
    expect(main[0]).toMatch(/^back heel [0-9.]+ cm behind it \([0-9.]+ cm before\)$/);
    expect(main[1]).toMatch(/^front knee bent \d+°.* \(\d+° before\)$/);
    // The marks on the mat's edge say the same again.
    expect([...main, ...others].join()).not.toContain('from the front edge');
    expect(handCrosses).toBeNull();
  });

  it('says loudly that the block changes to the other side of the foot', () => {
    const setUp = planPlain(REFERENCE, 'triangle');
    const high = withValue(setUp, 'hand-height', 15);
    const inside = withValue(high, 'hand-beside', -4);
    const outside = withValue(high, 'hand-beside', 6);
    expect(sayStep(inside, outside, 'cm').handCrosses).toBe(
      'The block changes to the little-toe side of the foot.',
    );
    expect(sayStep(outside, inside, 'cm').handCrosses).toBe(
      'The block changes to the big-toe side of the foot.',
    );
    expect(sayStep(inside, withValue(inside, 'hand-beside', -0.5), 'cm').handCrosses).toBeNull();
  });

  it('of nothing that changes there is nothing to say', () => {
    const setUp = planPlain(REFERENCE, 'pyramid');
    expect(sayStep(setUp, setUp, 'cm')).toEqual({ handCrosses: null, main: [], others: [] });
  });
});

it('before and next time stand on one floor and one scale, without touching', () => {
  const [before, after] = [planPlain(SUPPLE, 'warrior-two'), planPlain(REFERENCE, 'warrior-two')];
  const drawing = drawBeforeAfter(findPose('warrior-two')!, before, after)!;
  const floors = drawing.shapes.filter(({ role }) => role === 'floor');
  expect(floors).toHaveLength(2);
  const [first, second] = floors.map((each) => (each.kind === 'line' ? each.points : []));
  expect(first![0]![1]).toBe(second![0]![1]);
  expect(second![0]![0]).toBeGreaterThan(first![1]![0]);
  // The stance that is longer is drawn longer: 1 mm a centimetre for both.
  const widths = [first!, second!].map(([a, b]) => b![0] - a![0]);
  expect(getValue(before, 'stance-length')!).toBeGreaterThan(getValue(after, 'stance-length')!);
  expect(widths[0]).toBeGreaterThan(widths[1]! * 0.9);
  expect(
    drawBeforeAfter(findPose('warrior-two')!, { ...before, status: 'failed' }, after),
  ).toBeNull();
});
