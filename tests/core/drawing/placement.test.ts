import { describe, expect, it } from 'vitest';
import {
  boxOfPoints,
  boxOfText,
  calcOverlap,
  choosePlace,
  type Box,
} from '../../../src/core/drawing/placement.ts';
import { writeDegrees, writeSettable } from '../../../src/core/drawing/units.ts';

describe('boxes', () => {
  it('share the area where they meet, and none where they only touch', () => {
    expect(calcOverlap([0, 0, 4, 2], [3, 1, 6, 5])).toBe(1);
    expect(calcOverlap([0, 0, 4, 2], [4, 0, 6, 2])).toBe(0);
    expect(calcOverlap([0, 0, 4, 2], [10, 10, 12, 12])).toBe(0);
    expect(calcOverlap([0, 0, 4, 2], [-Infinity, 1, Infinity, Infinity])).toBe(4);
  });

  it('of text grow from their anchor', () => {
    const [left, top, right, bottom] = boxOfText('100.5', [50, 20], 10, 'middle');
    expect((left + right) / 2).toBeCloseTo(50, 9);
    expect(top).toBeLessThan(20);
    expect(bottom).toBeGreaterThan(20);
    expect(boxOfText('100.5', [50, 20], 10, 'start')[0]).toBe(50);
    expect(boxOfText('100.5', [50, 20], 10, 'end')[2]).toBe(50);
  });

  it('of points hold them all', () => {
    expect(
      boxOfPoints([
        [1, 5],
        [-2, 3],
        [0, 9],
      ]),
    ).toEqual([-2, 3, 1, 9]);
  });
});

describe('choosing a place', () => {
  const place = (name: string, box: Box) => ({ name, boxes: [box] });

  it('takes the first that is free', () => {
    const chosen = choosePlace(
      [place('taken', [0, 0, 2, 2]), place('free', [5, 0, 7, 2]), place('free too', [9, 0, 11, 2])],
      [[1, 1, 3, 3]],
    );
    expect(chosen.name).toBe('free');
  });

  it('takes the one that meets least when none is free', () => {
    const chosen = choosePlace(
      [place('much', [0, 0, 2, 2]), place('little', [2.5, 2.5, 4.5, 4.5])],
      [[0, 0, 3, 3]],
    );
    expect(chosen.name).toBe('little');
  });
});

describe('numbers on the drawing', () => {
  it('are written as they can be set', () => {
    expect(writeSettable(109.74, 'cm')).toBe('109.5');
    expect(writeSettable(109.76, 'cm')).toBe('110');
    expect(writeSettable(88.9, 'in')).toBe('35');
    expect(writeSettable(89.6, 'in')).toBe('35¼');
    expect(writeDegrees(33.6)).toBe('34°');
  });
});
