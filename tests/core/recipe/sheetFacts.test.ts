import { describe, expect, it } from 'vitest';
import {
  findLimitingFact,
  nameStanceRule,
  sayPropsShort,
  sayStanceRule,
} from '../../../src/core/recipe/sheetFacts.ts';
import { REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';
import { withProps } from '../../../src/core/setup/withProps.ts';
import { planPlain, settingOf } from '../../support/plan.ts';

describe('how a stance compares with the rule', () => {
  it('names the leg length as it was measured, and what makes the stance another', () => {
    const setUp = planPlain(REFERENCE, 'warrior-two');
    const leg = Number(REFERENCE['leg-length']);
    expect(setUp.stanceRule).toEqual({ of: 'leg-length', factor: 1, cm: leg });
    const stance = Math.round(settingOf(setUp, 'stance-length') * 2) / 2;
    expect(sayStanceRule(setUp, 'cm')).toBe(
      `One leg length gives ${String(leg)} cm; the limiting joint makes it ${String(stance)} cm.`,
    );
  });

  it('says so where the stance is the rule', () => {
    expect(sayStanceRule(planPlain(REFERENCE, 'triangle'), 'cm')).toBe(
      'One leg length, as the rule has it.',
    );
    const long = planPlain(SUPPLE, 'warrior-two', 'right', {
      stance: 'one-and-a-half-leg-lengths',
    });
    if (long.status !== 'failed') {
      expect(sayStanceRule(long, 'cm')).toBe('1½ leg lengths, as the rule has it.');
    }
  });

  it('has nothing to say without a stance, or where no rule is known', () => {
    for (const id of ['chair', 'tree', 'half-moon', 'lizard', 'low-lunge']) {
      const setUp = planPlain(SUPPLE, id);
      expect(setUp.stanceRule, id).toBeNull();
      expect(sayStanceRule(setUp, 'cm'), id).toBeNull();
    }
  });

  it.each([
    [{ of: 'leg-length', factor: 1.5 }, '1½ leg lengths'],
    [{ of: 'leg-length', factor: 0.75 }, '¾ of a leg length'],
    [{ of: 'wrist-span', factor: 1 }, 'ankles under the wrists'],
  ] as const)('%j is %s', (rule, words) => {
    expect(nameStanceRule(rule)).toBe(words);
  });
});

describe('what a set-up takes from the cupboard', () => {
  it('is named with its height, as high as the hand needs or higher', () => {
    const setUp = planPlain(REFERENCE, 'half-moon');
    const [words = ''] = sayPropsShort(setUp, 'cm');
    const height = Number(/([0-9.]+) cm/.exec(words)?.[1]);
    expect(words).toMatch(/^Hand on /);
    expect(height).toBeGreaterThanOrEqual(settingOf(setUp, 'hand-height') - 0.05);
  });

  it('says when it is not high enough, and nothing where no prop is needed', () => {
    const setUp = withProps(planPlain(STIFF, 'pyramid'), []);
    expect(sayPropsShort(setUp, 'cm').join()).toMatch(/^Hand: the cupboard is .* too low\.$/);
    expect(sayPropsShort(planPlain(REFERENCE, 'warrior-two'), 'cm')).toEqual([]);
  });
});

it('the limiting joint is the one of the report, with what is held back of it', () => {
  const setUp = planPlain(REFERENCE, 'triangle', 'right', {
    limitMarginSem: 1,
    reserveByExperience: true,
    minimumToSpareDeg: 3,
  });
  const { limiting, joints } = setUp;
  const report = joints.find(
    (each) =>
      each.joint === limiting?.joint &&
      each.side === limiting.side &&
      each.motion === limiting.motion,
  )!;
  expect(findLimitingFact(setUp)?.heldBackDeg).toBe(Math.round(report.heldBackDeg ?? 0));
  expect(findLimitingFact(setUp)?.heldBackDeg).toBeGreaterThanOrEqual(3);
});
