import { describe, expect, it } from 'vitest';
import { drawLoads } from '../../../src/core/drawing/loads.ts';
import { boxOfText, calcOverlap } from '../../../src/core/drawing/placement.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { withLevel } from '../../../src/core/poses/level.ts';
import { writeArmSum, writeWeightSum } from '../../../src/core/setup/loadSums.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { sayLoads } from '../../../src/core/setup/sayLoads.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { compareLoads } from '../../../src/core/whatIf/compareLoads.ts';
import { easeLoad, findLoad, type SoreJoint } from '../../../src/core/whatIf/easeLoad.ts';
import { sayLoadChanges } from '../../../src/core/whatIf/loadChanges.ts';
import { NOT_MOVED, planByHand, type HeldRequest } from '../../../src/core/whatIf/planMoved.ts';
import { stepSetting, type MovedSetting } from '../../../src/core/whatIf/stepSetting.ts';
import { contextOfDemo, FULLEST_DEMO } from '../../support/demoContext.ts';
import { markOf } from '../../support/plan.ts';

const ask = (pose: string, more: Partial<HeldRequest> = {}): HeldRequest => ({
  pose,
  side: 'right',
  rules: {},
  level: null,
  held: NOT_MOVED,
  ...more,
});

/** Every pose and level of a demo person that has a posture. */
function listSetUps(who: string): readonly SetUp[] {
  const context = contextOfDemo(who);
  return POSES.flatMap(({ id, levels }) =>
    [null, ...levels.map((each) => each.id)].flatMap((level) => {
      const planned = planPose(context, id, 'left', {}, level);
      return planned.kind === 'planned' && planned.setUp.status !== 'failed' ? [planned.setUp] : [];
    }),
  );
}

const definitionOf = ({ pose, level }: SetUp) =>
  withLevel(
    POSES.find(({ id }) => id === pose)!,
    level,
  );

describe.each(FULLEST_DEMO)('loads of %s', (who) => {
  const setUps = listSetUps(who);

  it('carry the whole weight where it acts, in every pose and level', () => {
    expect(setUps.length).toBeGreaterThan(40);
    for (const setUp of setUps) {
      const { weights, pose, level } = setUp;
      const name = `${pose} ${level ?? ''}`;
      if (weights.length === 0) {
        expect(level, name).toBe('on-a-chair');
        continue;
      }
      for (const { share, least, most } of weights) {
        expect(share, name).toBeGreaterThanOrEqual(least);
        expect(share, name).toBeLessThanOrEqual(most);
      }
      // Equilibrium of forces, and of moments along the mat.
      expect(Math.abs(weights.reduce((all, { share }) => all + share, 0) - 1), name).toBeLessThan(
        0.003,
      );
      const moment = weights.reduce(
        (all, { share, centreOfPressureCm: [x] }) => all + share * x,
        0,
      );
      expect(Math.abs(moment - markOf(setUp, 'centreOfMass')[0]), name).toBeLessThan(0.2);
    }
  });

  it('are drawn without texts that meet, and stand in words with the same numbers', () => {
    for (const setUp of setUps) {
      const drawing = drawLoads(definitionOf(setUp), setUp, 'cm')!;
      const texts = drawing.shapes.flatMap((each) => (each.kind === 'text' ? [each] : []));
      expect(texts.length, setUp.pose).toBeGreaterThan(1);
      const boxes = texts.map(({ text, at, size, anchor }) => boxOfText(text, at, size, anchor));
      boxes.forEach((box, i) => {
        for (const other of boxes.slice(i + 1)) expect(calcOverlap(box, other)).toBe(0);
        const [left, top, width, height] = drawing.box;
        expect(box[0], setUp.pose).toBeGreaterThanOrEqual(left);
        expect(box[1]).toBeGreaterThanOrEqual(top);
        expect(box[2]).toBeLessThanOrEqual(left + width);
        expect(box[3]).toBeLessThanOrEqual(top + height);
      });
      const words = sayLoads(setUp, 'cm');
      expect(drawing.caption).toContain(words);
      for (const { role, text } of texts) {
        if (role === 'number') expect(words, `${setUp.pose} ${text}`).toContain(text);
      }
    }
  });

  it('have sums that a pencil can follow', () => {
    for (const setUp of setUps) {
      for (const load of setUp.loads) {
        const [, larger, smaller, arm] = /: (−?[\d.]+) − \(?(−?[\d.]+)\)? = ([\d.]+) cm$/.exec(
          writeArmSum(setUp, load),
        )!;
        const read = (text: string): number => Number(text.replace('−', '-'));
        expect(Math.abs(read(larger!) - read(smaller!) - read(arm!))).toBeLessThan(0.11);
        expect(Math.abs(read(arm!) - load.lineArmCm)).toBeLessThan(0.051);
      }
    }
  });

  it('have levers that come to the share beside them', () => {
    const read = (text = ''): number => Number(text.replaceAll(/[()]/g, '').replace('−', '-'));
    let levers = 0;
    for (const setUp of setUps) {
      for (const weight of setUp.weights) {
        const sum = writeWeightSum(setUp, weight);
        const lever = /^\((.+?) − (.+?)\) ÷ \((.+?) − (.+?)\)(?: ÷ (\d))? = (\d+) %$/.exec(sum);
        if (lever === null) {
          // Nothing to add up: it carries everything or nothing.
          expect([0, 1], `${setUp.pose} ${sum}`).toContain(weight.share);
          continue;
        }
        levers += 1;
        const [line, from, to, again, parts] = lever.slice(1, 6);
        expect(from).toBe(again);
        const value = (read(line) - read(from)) / (read(to) - read(from)) / Number(parts ?? 1);
        expect(Math.abs(value - weight.share), `${setUp.pose} ${sum}`).toBeLessThan(0.01);
        expect(Math.abs(read(lever[6]) / 100 - weight.share)).toBeLessThan(0.0051);
      }
    }
    expect(levers).toBeGreaterThan(40);
  });
});

describe('versions laid over one another', () => {
  const context = contextOfDemo('sanna-tveit');
  const versionsOf = (pose: string) => {
    const answer = compareLoads(context, ask(pose));
    if (!answer.ok) throw new Error(pose);
    return answer.value;
  };

  it('are drawn without texts that meet', () => {
    for (const pose of ['warrior-two', 'chair', 'side-angle', 'low-lunge', 'warrior-three']) {
      const { now, versions } = versionsOf(pose);
      expect(versions.length, pose).toBeGreaterThan(0);
      for (const { setUp, name } of versions) {
        const { shapes, caption } = drawLoads(definitionOf(now), now, 'in', setUp)!;
        const boxes = shapes.flatMap((each) =>
          each.kind === 'text' ? [boxOfText(each.text, each.at, each.size, each.anchor)] : [],
        );
        boxes.forEach((box, i) => {
          for (const other of boxes.slice(i + 1)) expect(calcOverlap(box, other), name).toBe(0);
        });
        expect(caption).toContain(sayLoads(setUp, 'in'));
      }
    }
  });

  it('say what the chair spares and costs at one depth', () => {
    const { now, versions } = versionsOf('chair');
    const back = versions.find(({ id }) => id === 'hips-back')!;
    expect(Math.abs(back.setUp.depth!.value! - now.depth!.value!)).toBeLessThan(0.2);
    const { spares, costs } = sayLoadChanges(now, back.setUp, 'cm');
    expect(spares).toContain('right knee');
    expect(costs).toContain('right hip');
    expect(costs).toContain('low back');
  });

  it('lay the hands on a prop where they are free, and the weight on them', () => {
    const { versions } = versionsOf('warrior-three');
    const [hands] = versions.filter(({ setUp }) => setUp.weights.some(({ on }) => on === 'hand'));
    const foot = hands!.setUp.weights.find(({ on }) => on === 'foot')!;
    expect(foot.share).toBeLessThan(1);
  });
});

/** How many usual steps of a setting a change is. */
function stepsOf(setUp: SetUp, setting: MovedSetting, by: number): number {
  const one = stepSetting(setUp, setting, 1)!;
  return Math.abs(by / one.by);
}

describe('a sore joint', () => {
  const context = contextOfDemo('sanna-tveit');
  const ease = (pose: string, sore: SoreJoint) => {
    const answer = easeLoad(context, ask(pose), sore);
    if (!answer.ok) throw new Error(pose);
    return answer.value;
  };

  it('is eased by the smallest move that makes its arm a quarter shorter, within every limit', () => {
    const cases: readonly [string, SoreJoint][] = [
      ['warrior-two', { joint: 'knee', side: 'right' }],
      ['pyramid', { joint: 'back', side: null }],
      ['triangle', { joint: 'hip', side: 'right' }],
      ['chair', { joint: 'knee', side: 'left' }],
    ];
    for (const [pose, sore] of cases) {
      const { before, setUp, setting, by } = ease(pose, sore)!;
      const [was, is] = [findLoad(before, sore)!, findLoad(setUp, sore)!];
      expect(is.lineArmCm, pose).toBeLessThanOrEqual(0.75 * was.lineArmCm);
      // Three quarters of the move are not enough, nor is as large a part of any other setting's.
      const steps = stepsOf(before, setting, by);
      for (const other of ['stance', 'hand', 'depth'] as const) {
        for (const direction of [-1, 1]) {
          const step = stepSetting(before, other, direction * 0.75 * steps);
          if (step === null) continue;
          const less = planByHand(context, ask(pose, { held: { ...NOT_MOVED, ...step.change } }));
          if (!less.ok || less.value.gives !== null) continue;
          const arm = findLoad(less.value.plan.setUp, sore)!.lineArmCm;
          expect(arm, `${pose} ${other}`).toBeGreaterThan(0.75 * was.lineArmCm);
        }
      }
      const beyond = setUp.joints.filter(
        ({ askedDeg, safeDeg }) =>
          askedDeg !== null && safeDeg !== null && askedDeg > safeDeg + 0.6,
      );
      expect(beyond, pose).toEqual([]);
    }
  });

  it('is said not to be eased by one setting where none does', () => {
    expect(ease('warrior-two', { joint: 'hip', side: 'left' })).toBeNull();
    expect(ease('mountain', { joint: 'knee', side: 'right' })).toBeNull();
  });
});
