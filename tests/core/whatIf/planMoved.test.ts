import { describe, expect, it } from 'vitest';
import { findHandles } from '../../../src/core/drawing/handles.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import type { AsFound } from '../../../src/core/rules/houseRules.ts';
import { findHeelLines, NOT_MOVED, planMoved } from '../../../src/core/whatIf/planMoved.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { clampByHand, findHandleKind } from '../../../src/core/setup/byHand.ts';
import type { SettingId } from '../../../src/core/setup/settingKinds.ts';
import { contextOf, REFERENCE } from '../../support/people.ts';

const SIDES = ['left', 'right'] as const;
const BEYOND_DEG = 0.6;

function planOf(pose: string, side: 'left' | 'right' = 'right') {
  const plan = planPose(contextOf({ ...REFERENCE, 'knee-flexion': 140 }), pose, side);
  if (plan.kind !== 'planned') throw new Error(plan.kind);
  return plan;
}
const get = (setUp: SetUp, id: SettingId): number | null =>
  setUp.settings.find((each) => each.id === id)?.value ?? null;
const move = (pose: string, change: Partial<AsFound>, side: 'left' | 'right' = 'right') => {
  const moved = planMoved(planOf(pose, side), { ...NOT_MOVED, ...change });
  if (moved === null) throw new Error('nothing to move');
  return moved;
};
const leastToSpare = (setUp: SetUp): number =>
  Math.min(...setUp.joints.map((each) => each.toSpareDeg ?? Infinity));

describe('a set-up that is moved by hand', () => {
  it.each(POSES.map((each) => each.id))(
    '%s holds what was moved on both sides, and says what gives where it must',
    (id) => {
      for (const side of SIDES) {
        const plan = planOf(id, side);
        const stance = get(plan.setUp, 'stance-length');
        const width = get(plan.setUp, 'stance-width');
        const turn = get(plan.setUp, 'back-foot-angle');
        if (plan.setUp.status === 'failed' || stance === null) continue;
        const tries: Partial<AsFound>[] = [
          { stanceCm: stance - 8 },
          { stanceCm: stance + 30 },
          ...(width === null ? [] : [{ widthCm: width + 5 }]),
          ...(turn === null ? [] : [{ backFootDeg: turn - 8 }]),
        ];
        for (const change of tries) {
          const { setUp, gives } = planMoved(plan, { ...NOT_MOVED, ...change })!;
          if (gives === null) {
            // Within every limit, and exactly where it was put.
            expect(leastToSpare(setUp)).toBeGreaterThan(-BEYOND_DEG);
            const held = [
              [change.stanceCm, get(setUp, 'stance-length')],
              [change.widthCm, get(setUp, 'stance-width')],
              [change.backFootDeg, get(setUp, 'back-foot-angle')],
            ] as const;
            for (const [wanted, is] of held) {
              if (wanted != null) expect(Math.abs(is! - wanted)).toBeLessThan(0.06);
            }
          } else {
            expect(gives.sentence.length).toBeGreaterThan(10);
          }
        }
      }
    },
  );

  it('bends the knee less over a shorter stance, and gives nothing', () => {
    const { setUp } = planOf('warrior-two');
    const { setUp: shorter, gives } = move('warrior-two', {
      stanceCm: get(setUp, 'stance-length')! - 10,
    });
    expect(gives).toBeNull();
    expect(shorter.depth!.value!).toBeLessThan(setUp.depth!.value!);
    expect(shorter.depth!.recommended).toBe(setUp.depth!.recommended);
  });

  it('is not clamped past a limit: the slack solve shows what gives', () => {
    const { setUp } = planOf('warrior-two');
    const { setUp: deeper, gives } = move('warrior-two', { depth: 110 });
    expect(deeper.depth!.value!).toBeGreaterThan(setUp.depth!.deepest! + 5);
    expect(gives?.gives.length).toBeGreaterThan(0);
  });

  it('keeps the lean when a twist is moved', () => {
    for (const pose of ['revolved-triangle', 'revolved-side-angle', 'revolved-half-moon']) {
      const { setUp } = planOf(pose);
      const [lean, twist] = [setUp.firstDepth!.value!, setUp.depth!.value!];
      for (const less of [1, 5, 10]) {
        const moved = move(pose, { depth: twist - less });
        expect(moved.gives, pose).toBeNull();
        expect(Math.abs(moved.setUp.depth!.value! - (twist - less)), pose).toBeLessThan(0.11);
        expect(Math.abs(moved.setUp.firstDepth!.value! - lean), pose).toBeLessThan(0.2);
      }
    }
  });

  it('is the recommended one when nothing is moved, and mirrors', () => {
    const plan = planOf('triangle');
    expect(planMoved(plan, NOT_MOVED)).toEqual({ setUp: plan.setUp, gives: null });
    const [left, right] = SIDES.map((side) => move('triangle', { stanceCm: 90 }, side).setUp);
    for (const { id, value } of left!.settings) expect(get(right!, id)).toBeCloseTo(value, 1);
  });

  it('knows the heel lines that a foot may come to rest on', () => {
    const lines = findHeelLines(planOf('warrior-two'), 75);
    expect(lines.find((each) => each.rule === 'heel-to-heel')?.widthCm).toBe(0);
    // 0.40 of the foot by the sine of its turn, behind the line.
    const foot = REFERENCE['foot-length'] as number;
    expect(lines.find((each) => each.rule === 'heel-to-arch')?.widthCm).toBeCloseTo(
      -0.4 * foot * Math.sin((75 * Math.PI) / 180),
      6,
    );
  });
});

describe('the handles of a sheet', () => {
  const options = { unit: 'cm', labelMm: 5 } as const;

  it.each(SIDES)('move the feet as the eye sees them, %s in front', (side) => {
    const plan = planOf('warrior-two', side);
    const pose = findPose('warrior-two')!;
    const handles = findHandles(pose, plan.setUp, options);
    const at = (id: string) => handles.find((each) => each.id === id)!;
    const [front, back] = [at('front-foot'), at('back-foot')];
    const stance = get(plan.setUp, 'stance-length')!;
    // Dragged away from each other by a centimetre of paper each, the feet stand further apart.
    const away = Math.sign(back.at[0] - front.at[0]);
    expect(back.drag(away * 10, 0).stanceCm).toBeCloseTo(stance + 10, 6);
    expect(front.drag(-away * 10, 0).stanceCm).toBeCloseTo(stance + 10, 6);
    expect(back.drag(away, 0).widthCm).toBeUndefined();
    // A foot that is dragged stands where it was dragged to.
    const dragged = { ...NOT_MOVED, ...back.drag(-away * 6, 4) };
    const then = findHandles(pose, planMoved(plan, dragged)!.setUp, options);
    const [frontThen, backThen] = ['front-foot', 'back-foot'].map(
      (id) => then.find((each) => each.id === id)!.at,
    );
    const apart = (a: readonly number[], b: readonly number[]) => [a[0]! - b[0]!, a[1]! - b[1]!];
    const [x, y] = apart(back.at, front.at);
    const [xThen, yThen] = apart(backThen!, frontThen!);
    expect(xThen! - x!).toBeCloseTo(-away * 6, 1);
    expect(yThen! - y!).toBeCloseTo(4, 1);
  });

  it('stop where no body stands', () => {
    const { id, byHand } = findHandleKind('hand');
    expect(id).toBe('hand-height');
    const [least, most] = byHand.range;
    expect(clampByHand({ handCm: least - 5, depth: 300 })).toEqual({ handCm: least, depth: 300 });
    expect(clampByHand({ handCm: most + 5, stanceCm: 90, widthCm: null })).toEqual({
      handCm: most,
      stanceCm: 90,
      widthCm: null,
    });
  });

  it('leaves nothing to hold where nothing stands', () => {
    const { setUp } = planOf('warrior-three');
    expect(findHandles(findPose('warrior-three')!, setUp, options).map((each) => each.id)).toEqual(
      [],
    );
  });
});
