import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { planSettings, type ClassSettings } from '../../../src/core/classes/planSettings.ts';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { checkClassRequest } from '../../../src/core/formats/classRequest.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { getValue } from '../../../src/core/setup/setUp.ts';
import { NOT_MOVED, planMoved } from '../../../src/core/whatIf/planMoved.ts';
import { anyBody } from '../../support/anyBody.ts';
import { fileOf, recordOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';

const bodies = [REFERENCE, STIFF, SUPPLE, ...fc.sample(anyBody, { numRuns: 2, seed: 3 })];
const people = bodies.map((measures, i) => recordOf(measures, { id: `p${String(i)}` }));

describe('stances for a class in warrior II', () => {
  let found: ClassSettings;
  beforeAll(() => {
    const asked = { people, pose: 'warrior-two', level: 'auto', rules: {} } as const;
    found = planSettings({ ...asked, setting: 'stance-length' });
  });

  it('put nobody beyond a limit, and say what each loses of their depth', () => {
    const [one] = found.groups;
    const all = one!.places.flatMap((place) => place.sides.map((side) => ({ ...place, side })));
    expect(all).toHaveLength(2 * people.length);
    const worstOf = new Map<string, number>();
    for (const { person, side, sides, value, lost, lostDepth, own } of all) {
      const record = people.find((each) => each.person.id === person)!;
      const planned = planPose(new PlanningContext(record), 'warrior-two', side, {}, 'auto');
      if (planned.kind !== 'planned') throw new Error(person);
      const alone = getValue(planned.setUp, 'stance-length')!;
      if (sides.length === 1) expect(own).toBe(alone);
      else expect(Math.abs(alone - own)).toBeLessThan(10);
      if (value === null) continue;
      const moved = planMoved(planned, { ...NOT_MOVED, stanceCm: value })!;
      expect(moved.gives).toBeNull();
      const depth = planned.setUp.depth!.value!;
      const share = Math.max(0, (depth - moved.setUp.depth!.value!) / depth);
      if (sides.length === 1) expect(lostDepth).toBeCloseTo(share * depth, 9);
      const key = `${person} ${sides.join(' ')}`;
      worstOf.set(key, Math.max(worstOf.get(key) ?? 0, share));
      expect(lost).toBeLessThanOrEqual(one!.worst);
      for (const { askedDeg, hasDeg, joint, motion } of moved.setUp.joints) {
        if (askedDeg === null || hasDeg === null) continue;
        expect(askedDeg, `${joint} ${motion}`).toBeLessThanOrEqual(hasDeg + 0.1);
      }
    }
    const served = one!.places.filter(({ value }) => value !== null);
    expect(served.length).toBeGreaterThan(0);
    for (const { person, sides, lost } of served) {
      expect(worstOf.get(`${person} ${sides.join(' ')}`)).toBeCloseTo(lost, 9);
    }
  });

  it('cost less with every group more, and four serve nearly all of so different bodies', () => {
    const left = found.groups.map(({ places }) => places.filter((each) => each.isLeftOut).length);
    expect(left).toEqual(left.toSorted((a, b) => b - a));
    expect(left[3]).toBeLessThan(left[0]!);
    for (const [i, { values, places }] of found.groups.entries()) {
      expect(values.length).toBeLessThanOrEqual(i + 1);
      // What is said to the class is said to two people or more.
      for (const value of values) {
        const told = places.filter((each) => each.value === value).map(({ person }) => person);
        expect(new Set(told).size).toBeGreaterThan(1);
      }
    }
  });

  it('take both sides of a person for one, unless they differ beyond error', () => {
    const asked = {
      pose: 'warrior-one',
      level: 'auto',
      setting: 'stance-length',
      rules: {},
    } as const;
    const sidesOf = (less: number): readonly (readonly string[])[] => {
      const right = REFERENCE['hip-extension'] as number;
      const uneven = { ...REFERENCE, 'hip-extension': { left: right - less, right } };
      const one = planSettings({ ...asked, people: [recordOf(uneven, { id: 'uneven' })] });
      return one.groups[0]!.places.map(({ sides }) => sides);
    };
    expect(sidesOf(0)).toEqual([['left', 'right']]);
    expect(sidesOf(1)).toEqual([['left', 'right']]);
    // Back leg left: 62 cm give or take 0.3; back leg right: 101 cm give or take 4.
    expect(sidesOf(26)).toEqual([['left'], ['right']]);
  });

  it('of one person are their own', () => {
    const alone = planSettings({
      pose: 'warrior-two',
      level: 'auto',
      setting: 'stance-length',
      rules: {},
      people: [people[0]!],
    });
    for (const { places } of alone.groups) {
      expect(places.map(({ value, lost }) => [value, lost])).toEqual([[null, 0]]);
    }
  });
});

describe('a request for a class', () => {
  const files = people.slice(0, 2).map(fileOf);
  const codes = (value: unknown): readonly string[] => {
    const checked = checkClassRequest(value, null);
    return checked.ok ? [] : checked.problems.map(({ code, path }) => `${code} ${path}`);
  };

  it('names what is wrong of it', () => {
    expect(codes({ people: files, pose: 'triangle' })).toEqual([]);
    expect(codes([])).toEqual(['wrong-shape ']);
    expect(codes({ people: [], pose: 'headstand' })).toEqual([
      'wrong-shape people',
      'unknown-pose pose',
    ]);
    expect(codes({ people: [files[0], files[0]], pose: 'triangle', setting: 'colour' })).toEqual([
      'duplicate-id people[1].person.id',
      'wrong-shape setting',
    ]);
    expect(codes({ people: Array(200).fill(files[0]), pose: 'triangle' })).toEqual([
      'too-many-people people',
    ]);
    expect(codes({ people: [{}], pose: 'triangle', level: 3, rules: { depth: 'abyss' } })).toEqual(
      expect.arrayContaining(['wrong-format people[0].format', 'wrong-shape level']),
    );
  });

  it('says who cannot be planned, and plans the others', () => {
    const { 'hip-abduction': _gone, 'hip-opening': _too, ...few } = REFERENCE;
    const asked = {
      pose: 'warrior-two',
      level: 'auto',
      setting: 'back-foot-angle',
      rules: {},
    } as const;
    const some = planSettings({ ...asked, people: [people[0]!, recordOf(few, { id: 'few' })] });
    expect(some.notPlanned.map(({ person }) => person)).toEqual(['few']);
    expect(some.notPlanned[0]!.problems[0]!.code).toBe('missing-measure');
    expect(some.groups[0]!.places.every(({ person }) => person === 'p0')).toBe(true);
  });
});
