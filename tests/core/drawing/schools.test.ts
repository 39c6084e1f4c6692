import { describe, expect, it } from 'vitest';
import { boxOfText, calcOverlap } from '../../../src/core/drawing/placement.ts';
import { drawSchools, LETTERS } from '../../../src/core/drawing/schools.ts';
import type { Shape } from '../../../src/core/drawing/shapes.ts';
import { findPose } from '../../../src/core/poses/catalogue/index.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { REFERENCE } from '../../support/people.ts';
import { planPlain, settingOf } from '../../support/plan.ts';

const OPTIONS = { unit: 'cm', labelMm: 5 } as const;
const pose = findPose('triangle')!;
const schools = (): SetUp[] => [
  planPlain(REFERENCE, 'triangle'),
  planPlain(REFERENCE, 'triangle', 'right', { stance: 'fixed', fixedStanceCm: 91 }),
  planPlain(REFERENCE, 'triangle', 'right', { backFoot: 'parallel' }),
  planPlain(REFERENCE, 'triangle', 'right', { stance: 'fixed', fixedStanceCm: 70 }),
];
const of = (shapes: readonly Shape[], role: string): Shape[] =>
  shapes.filter((each) => each.role === role);

describe('schools on one mat', () => {
  it('have each a line style, both feet and the pelvis, and a letter that meets no other', () => {
    const { shapes } = drawSchools(pose, schools(), OPTIONS)!;
    for (const letter of LETTERS) {
      expect(of(shapes, `school-${letter} print`)).toHaveLength(2);
      expect(of(shapes, `school-${letter}`)).toHaveLength(1);
    }
    const letters = shapes.filter(
      (each): each is Extract<Shape, { kind: 'text' }> =>
        each.kind === 'text' && (LETTERS as readonly string[]).includes(each.text),
    );
    expect(letters.map((each) => each.text)).toEqual([...LETTERS]);
    const boxes = letters.map((each) => boxOfText(each.text, each.at, each.size, each.anchor));
    boxes.forEach((a, i) => {
      for (const b of boxes.slice(i + 1)) expect(calcOverlap(a, b)).toBe(0);
    });
  });

  it('stand with their front feet on one place, as far apart behind as their stances differ', () => {
    const all = schools();
    const { shapes } = drawSchools(pose, all, OPTIONS)!;
    const middle = (letter: string, at: 0 | 1): number => {
      const print = of(shapes, `school-${letter} print`)[at]!;
      const xs = print.kind === 'polygon' ? print.points.map(([x]) => x) : [];
      return (Math.min(...xs) + Math.max(...xs)) / 2;
    };
    for (const letter of LETTERS) expect(middle(letter, 0)).toBeCloseTo(middle('a', 0), 1);
    // b and d turn the back foot alike, so their prints differ by the stance alone.
    const stances = all.map((each) => settingOf(each, 'stance-length'));
    const turns = all.map((each) => settingOf(each, 'back-foot-angle'));
    const slack = 1 + Math.abs(turns[1]! - turns[3]!) * 0.2;
    const apart = Math.abs(middle('b', 1) - middle('d', 1));
    expect(Math.abs(apart - Math.abs(stances[1]! - stances[3]!))).toBeLessThan(slack);
  });

  it('draws no more than four, and nothing when the first has no posture', () => {
    const five = [...schools(), planPlain(REFERENCE, 'triangle')];
    const { shapes, caption } = drawSchools(pose, five, OPTIONS)!;
    expect(caption).toContain('4 set-ups');
    expect(shapes.filter((each) => each.role.endsWith(' print'))).toHaveLength(8);
    expect(drawSchools(pose, [], OPTIONS)).toBeNull();
    const [first] = schools();
    expect(drawSchools(pose, [{ ...first!, footprints: null }], OPTIONS)).toBeNull();
  });
});
