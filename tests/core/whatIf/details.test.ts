import { describe, expect, it } from 'vitest';
import { compareSchools } from '../../../src/core/whatIf/compareSchools.ts';
import { planInFull } from '../../../src/core/whatIf/planInFull.ts';
import type { HouseRules } from '../../../src/core/rules/houseRules.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import {
  PLAIN_RULES,
  contextOf,
  REFERENCE,
  STIFF,
  SUPPLE,
  type Measures,
} from '../../support/people.ts';
import { planPlain, settingOf } from '../../support/plan.ts';

const full = (measures: Measures, pose: string, rules: Partial<HouseRules> = {}): SetUp => {
  const planned = planInFull(contextOf(measures), pose, 'right', rules);
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  return planned.value;
};

describe('the bounds of a stance', () => {
  it('lie on either side of the planned one, each with its reason', () => {
    for (const pose of ['warrior-two', 'pyramid', 'high-lunge', 'warrior-one']) {
      const setUp = full(REFERENCE, pose);
      const stance = settingOf(setUp, 'stance-length');
      const { shortest, longest } = setUp.bounds!;
      expect(shortest.cm, pose).toBeLessThanOrEqual(stance + 0.1);
      expect(longest.cm, pose).toBeGreaterThanOrEqual(stance - 0.1);
      for (const { reason } of [shortest, longest]) expect(reason.length).toBeGreaterThan(10);
    }
  });

  it('of a fold end where the leg raise runs out, and begin where it is hardly worked', () => {
    const { shortest, longest } = full(REFERENCE, 'pyramid').bounds!;
    expect(longest.reason).toContain('front hip flexion');
    expect(shortest.reason).toContain('too little to do');
  });

  it('grow when the joint that sets the longest gets more range', () => {
    const more = full({ ...REFERENCE, 'hip-extension': 28, 'trunk-extension': 30 }, 'high-lunge');
    expect(more.bounds!.longest.cm).toBeGreaterThan(
      full(REFERENCE, 'high-lunge').bounds!.longest.cm,
    );
  });
});

describe('if pushed', () => {
  it('nothing is told where the textbook shape is reached', () => {
    expect(full(SUPPLE, 'warrior-two', PLAIN_RULES).ifPushed).toBeNull();
  });

  it('the fold gives by rounding or by the heel, in degrees and centimetres', () => {
    const pushed = full(REFERENCE, 'triangle').ifPushed!;
    expect(pushed.to).toContain('90°');
    expect(pushed.gives[0]!.id).toBe('back-rounds');
    expect(pushed.gives[0]!.amount).toBeGreaterThan(10);
    expect(pushed.sentence).toMatch(/^The low back rounds \d+°/);
    // The largest in units of its cost comes first.
    const costs = pushed.gives.map((each) => each.cost);
    expect([...costs].sort((a, b) => b - a)).toEqual(costs);
  });

  it('the front knee of a stiff body drifts in, not out, when warrior II is forced', () => {
    const drift = full(STIFF, 'warrior-two').ifPushed!.gives.find(
      (each) => each.id === 'knee-drifts',
    );
    expect(drift!.amount).toBeGreaterThan(2);
    expect(drift!.unit).toBe('cm');
  });

  it('a stiffer body gives more at the same depth', () => {
    const total = (measures: Measures): number =>
      full(measures, 'warrior-two').ifPushed!.gives.reduce((sum, each) => sum + each.cost, 0);
    expect(total(STIFF)).toBeGreaterThan(total(REFERENCE) + 1);
  });
});

describe('as found', () => {
  const NOTHING = { stanceCm: null, widthCm: null, backFootDeg: null, depth: null, handCm: null };

  it('is silent when what is done is what is planned', () => {
    const planned = planPlain(REFERENCE, 'pyramid', 'right', { depth: 'recommended' });
    const asFound = {
      ...NOTHING,
      stanceCm: settingOf(planned, 'stance-length'),
      depth: planned.depth!.value,
    };
    const judged = full(REFERENCE, 'pyramid', { ...PLAIN_RULES, depth: 'recommended', asFound });
    expect(judged.asFound!.sentence).toBe('No compensation needed.');
  });

  it('lifts the heel of a pyramid that stands too long', () => {
    const judged = full(REFERENCE, 'pyramid', { asFound: { ...NOTHING, stanceCm: 115 } });
    const heel = judged.asFound!.gives.find((each) => each.id === 'heel-lifts');
    expect(heel!.amount).toBeGreaterThan(1);
    expect(heel!.unit).toBe('cm');
  });

  it('drops the front side of the pelvis when the stance is too short for its depth', () => {
    const judged = full(REFERENCE, 'warrior-two', {
      asFound: { ...NOTHING, stanceCm: 75, depth: 70 },
    });
    const drop = judged.asFound!.gives.find((each) => each.id === 'pelvis-drops')!;
    expect(drop.amount).toBeGreaterThan(5);
    expect(judged.asFound!.sentence).toContain('front side of the pelvis drops');
  });
});

describe('schools side by side', () => {
  const told: [number, number][] = [];
  const compared = compareSchools(
    contextOf(REFERENCE),
    'warrior-two',
    'right',
    {},
    null,
    (done, all) => {
      told.push([done, all]);
    },
  );
  if (!compared.ok) throw new Error('no schools');
  const schools = compared.value;
  const find = (rule: string, option: string) =>
    schools.find((each) => each.rule === rule && each.option === option)!;

  it('sets every option of every rule that the pose leaves open, the own choice first', () => {
    expect(new Set(schools.map((each) => each.rule))).toEqual(
      new Set(['stance', 'backFoot', 'frontKnee', 'pelvisOpen', 'openHeelLine']),
    );
    const stances = schools.filter((each) => each.rule === 'stance');
    expect(stances.map((each) => each.option)).toEqual([
      'solved',
      'leg-length',
      'one-and-a-half-leg-lengths',
      'wrists',
      'fixed',
    ]);
  });

  it('says how many of the schools are done', () => {
    expect(told).toEqual(schools.map((_, i) => [i, schools.length]));
  });

  it('puts the stances next to each other, with what they ask', () => {
    expect(settingOf(find('stance', 'leg-length').setUp, 'stance-length')).toBe(82);
    expect(find('stance', 'leg-length').setUp.joints.length).toBeGreaterThan(10);
    expect(find('stance', 'solved').atPlannedDepth).toBeNull();
    expect(find('stance', 'leg-length').atPlannedDepth!.sentence.length).toBeGreaterThan(5);
  });

  it('says what gives in a school that cannot be held', () => {
    const long = find('stance', 'one-and-a-half-leg-lengths');
    expect(long.setUp.status).toBe('failed');
    expect(long.atPlannedDepth!.gives.length).toBeGreaterThan(0);
  });
});
