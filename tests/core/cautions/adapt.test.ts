import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { describe, expect, it } from 'vitest';
import { ADAPTATIONS } from '../../../src/core/cautions/adaptations.ts';
import { findCautionKind } from '../../../src/core/cautions/catalogue.ts';
import type { CautionEntry } from '../../../src/core/person/person.ts';
import { findPose } from '../../../src/core/poses/catalogue/index.ts';
import type { HouseRules } from '../../../src/core/rules/houseRules.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { recordOf, REFERENCE, SUPPLE, type Measures } from '../../support/people.ts';
import { markOf, settingOf } from '../../support/plan.ts';

function planWith(
  caution: string | null,
  pose: string,
  measures: Measures = REFERENCE,
  side: CautionEntry['side'] = null,
  rules: Partial<HouseRules> = {},
): SetUp {
  const entry: CautionEntry = {
    uid: 'one',
    id: caution ?? '',
    side,
    since: null,
    severity: 'mild',
    clearedBy: 'physiotherapist',
    clearedAt: '2026-10-01',
    note: '',
  };
  const record = recordOf(measures, { cautions: caution === null ? [] : [entry] });
  const planned = planSetUp(new PlanningContext(record), pose, 'right', rules);
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  return planned.value;
}

describe('cautions applied', () => {
  it('are data about cautions and poses that exist', () => {
    for (const { caution, excludes = [], change, reason } of ADAPTATIONS) {
      expect(findCautionKind(caution), caution).not.toBeNull();
      for (const pose of excludes) expect(findPose(pose), pose).not.toBeNull();
      expect(change.length).toBeGreaterThan(10);
      expect(reason.length).toBeGreaterThan(10);
    }
  });

  it('tell every change with its reason, and nothing without a caution', () => {
    expect(planWith('over-mobile', 'pyramid').adaptations).toMatchObject([
      { caution: 'over-mobile', name: 'Over-mobile joints' },
    ]);
    expect(planWith(null, 'pyramid').adaptations).toEqual([]);
  });

  it('leave a pose out and name what to do instead', () => {
    const setUp = planWith('knee-pain', 'wall-kneel', {
      ...SUPPLE,
      'knee-flexion': 165,
    });
    expect(setUp.status).toBe('failed');
    expect(setUp.problems[0]).toMatchObject({ code: 'excluded-by-caution' });
    expect(setUp.problems[0]!.hint).toContain('low lunge');
  });

  it('a sore knee bends no deeper than 60°', () => {
    expect(settingOf(planWith(null, 'warrior-two', SUPPLE), 'front-knee-bend')).toBeGreaterThan(70);
    expect(
      settingOf(planWith('knee-pain', 'warrior-two', SUPPLE), 'front-knee-bend'),
    ).toBeLessThanOrEqual(60);
  });

  it('a sore knee bends no deeper than 60° on the longer leg of a chair either', () => {
    const unequal = { ...REFERENCE, 'trochanter-height': { left: 90, right: 88 } };
    const kneesOf = (caution: string | null): number[] => {
      const setUp = planWith(caution, 'chair', unequal, null, { depth: 'deepest' });
      return (['front', 'back'] as const).map((place) => settingOf(setUp, `${place}-knee-bend`));
    };
    const [front, back] = kneesOf('knee-pain');
    expect(back).toBeLessThanOrEqual(60);
    expect(front).toBeGreaterThan(55);
    expect(front).toBeLessThan(back! - 1);
    expect(Math.min(...kneesOf(null))).toBeGreaterThan(60);
  });

  it('over-mobile joints stop 15 % short, knees soft', () => {
    const [plain, adapted] = [planWith(null, 'pyramid'), planWith('over-mobile', 'pyramid')];
    expect(adapted.provenance.reserve).toBe(0.15);
    expect(adapted.depth!.value!).toBeLessThan(plain.depth!.value! - 2);
    expect(settingOf(adapted, 'front-knee-bend')).toBeGreaterThan(5);
  });

  it('dizziness keeps the head above the heart and the arms down', () => {
    const setUp = planWith('dizziness', 'pyramid', SUPPLE);
    const heart =
      markOf(setUp, 'pelvisCentre')[2] +
      0.75 * (markOf(setUp, 'chestCentre')[2] - markOf(setUp, 'pelvisCentre')[2]);
    expect(markOf(setUp, 'head')[2]).toBeGreaterThanOrEqual(heart - 0.05);
    const lunge = planWith('dizziness', 'high-lunge');
    expect(markOf(lunge, 'handLeft')[2]).toBeLessThan(markOf(lunge, 'shoulderLeft')[2]);
  });

  it('a hip replaced from the back is not asked past 90°, only on its own side', () => {
    const has = (side: CautionEntry['side']): number => {
      const { joints } = planWith('hip-replacement-back', 'high-lunge', SUPPLE, side);
      return joints.find(
        (each) => each.motion === 'flexion' && each.joint === 'hip' && each.side === 'right',
      )!.hasDeg!;
    };
    expect(has('right')).toBeLessThanOrEqual(90);
    expect(has('left')).toBeGreaterThan(95);
  });

  it('a hip replaced from the front keeps its leg from going behind the body', () => {
    const setUp = planWith('hip-replacement-front', 'high-lunge', REFERENCE, 'left');
    const asked = setUp.joints.find(
      (each) => each.motion === 'extension' && each.joint === 'hip' && each.side === 'left',
    );
    expect(setUp.status === 'failed' || (asked?.askedDeg ?? 0) <= 0.05).toBe(true);
  });

  it('pregnancy leaves out closed twists and shortens a ruled stance', () => {
    expect(planWith('pregnancy', 'revolved-triangle').problems[0]?.code).toBe(
      'excluded-by-caution',
    );
    const ratio =
      settingOf(planWith('pregnancy', 'triangle'), 'stance-length') /
      settingOf(planWith(null, 'triangle'), 'stance-length');
    expect(ratio).toBeCloseTo(0.9, 2);
  });
});
