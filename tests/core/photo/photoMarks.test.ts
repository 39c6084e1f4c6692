import { describe, expect, it } from 'vitest';
import { getProtocol, PROTOCOLS } from '../../../src/core/measures/protocols/index.ts';
import { needsLine, needsScale, planMarks, readMarks } from '../../../src/core/photo/photoMarks.ts';
import type { Pixel } from '../../../src/core/photo/photoReading.ts';

const SIZE = { width: 800, height: 600 };
const BY = { knownCm: null, lineKind: 'plumb' } as const;
const on = (deg: number, [x, y]: Pixel = [400, 300], length = 200): Pixel => [
  x + length * Math.cos((deg * Math.PI) / 180),
  y - length * Math.sin((deg * Math.PI) / 180),
];
const hip: Pixel = [400, 300];

describe('the marks of a picture', () => {
  it('are planned for every angle and every tape between two points, never for a girth', () => {
    const planned = PROTOCOLS.filter((each) => planMarks(each) !== null);
    expect(planned.length).toBeGreaterThan(25);
    for (const protocol of planned) {
      const ids = planMarks(protocol)!.map((each) => each.id);
      expect(new Set(ids).size).toBe(ids.length);
      expect(ids.includes('scale-a')).toBe(needsScale(protocol));
      expect(ids.includes('line-a')).toBe(needsLine(protocol));
      expect(needsScale(protocol)).toBe(protocol.unit === 'cm');
    }
    expect(planMarks(getProtocol('thigh-girth'))).toBeNull();
    expect(planMarks(getProtocol('single-leg-balance'))).toBeNull();
  });

  it('give a raised leg against the other one', () => {
    const marks = { reference: on(0), from: hip, to: on(68) };
    const value = readMarks(getProtocol('straight-leg-raise'), SIZE, marks, BY);
    expect(value?.value).toBeCloseTo(68, 6);
  });

  it('give a knee’s bend against its thigh, not the angle inside it', () => {
    const marks = { 'thigh-a': on(180), 'thigh-b': hip, from: hip, to: on(110) };
    const value = readMarks(getProtocol('knee-flexion'), SIZE, marks, BY);
    expect(value?.value).toBeCloseTo(110, 6);
  });

  it('give a shin’s lean by an upright line or by the floor', () => {
    const marks = { from: hip, to: on(50), 'line-a': [100, 100], 'line-b': [100, 500] } as const;
    const shin = getProtocol('ankle-dorsiflexion-bent');
    expect(readMarks(shin, SIZE, marks, BY)?.value).toBeCloseTo(40, 6);
    const floor = { ...marks, 'line-a': [100, 500], 'line-b': [700, 500] } as const;
    const byFloor = readMarks(shin, SIZE, floor, { ...BY, lineKind: 'floor' });
    expect(byFloor?.value).toBeCloseTo(40, 6);
  });

  it('give a length only with a known one, and nothing while a mark is missing', () => {
    const reach = getProtocol('arm-reach');
    const marks = { 'scale-a': [100, 550], 'scale-b': [500, 550], from: hip, to: on(270) } as const;
    expect(readMarks(reach, SIZE, marks, BY)).toBeNull();
    expect(readMarks(reach, SIZE, marks, { ...BY, knownCm: 100 })?.value).toBeCloseTo(50, 6);
    expect(readMarks(reach, SIZE, { from: hip }, { ...BY, knownCm: 100 })).toBeNull();
  });
});
