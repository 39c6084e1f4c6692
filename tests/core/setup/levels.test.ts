import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { USUAL_LEVEL } from '../../../src/core/poses/level.ts';
import type { HeldPose } from '../../../src/core/person/person.ts';
import { planInFull } from '../../../src/core/whatIf/planInFull.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { makeStudyBodies } from '../../../scripts/study/bodies.ts';
import {
  contextOf,
  recordOf,
  REFERENCE,
  STIFF,
  SUPPLE,
  type Measures,
} from '../../support/people.ts';
import { settingOf } from '../../support/plan.ts';

/** The study's own people, of whom some are too stiff for a stacked knee. */
const SEED = 20_261_129;

function open(
  measures: Measures,
  pose: string,
  held: readonly HeldPose[] = [],
  level: string | null = 'auto',
): SetUp {
  const planned = planSetUp(
    new PlanningContext({ ...recordOf(measures), held }),
    pose,
    'right',
    {},
    level,
  );
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  return planned.value;
}

describe('the level that fits', () => {
  it('stands in each pose’s data once, the usual one among the others', () => {
    for (const { id, levels } of POSES) {
      const ids = levels.map((each) => each.id);
      expect(new Set(ids).size, id).toBe(ids.length);
      if (ids.length > 0) expect(ids, id).toContain(USUAL_LEVEL);
    }
  });

  it('leans the shin back where a stacked knee cannot be held, and never past the ankle', () => {
    let opened = 0;
    for (const { record } of makeStudyBodies(60, SEED).filter(({ group }) => group === 'stiff')) {
      const after = { ...record, held: [{ pose: 'warrior-two', level: 'not chosen' }] };
      const [fitting, stacked] = ['auto', null].map((level) => {
        const planned = planSetUp(new PlanningContext(after), 'warrior-two', 'right', {}, level);
        if (!planned.ok) throw new Error(planned.problems[0]?.message);
        return planned.value;
      });
      if (fitting!.level !== 'shin-leaning-back' || fitting!.status === 'failed') continue;
      expect(stacked!.status).not.toBe('solved');
      const leg = record.readings.find(
        ({ measure, side }) => measure === 'leg-length' && side === 'right',
      )!;
      const share = settingOf(fitting!, 'stance-length') / leg.value;
      expect(share).toBeGreaterThan(0.848);
      expect(share).toBeLessThan(1.002);
      const { kneeRight, ankleRight } = fitting!.landmarks;
      expect(kneeRight![0]).toBeLessThanOrEqual(ankleRight![0] + 0.05);
      opened += 1;
    }
    expect(opened).toBeGreaterThan(1);
  });

  it('opens the low lunge on hips forward, and on what was held before once it was', () => {
    expect(open(REFERENCE, 'low-lunge').level).toBe('hips-forward');
    const held = [{ pose: 'low-lunge', level: null }];
    expect(open(REFERENCE, 'low-lunge', held).level).toBeNull();
  });

  it('never opens by itself what no measure decides', () => {
    for (const { id, levels } of POSES) {
      for (const measures of [REFERENCE, SUPPLE]) {
        const { level } = open({ ...measures, 'knee-flexion': 150 }, id);
        const opened = levels.find((each) => each.id === (level ?? USUAL_LEVEL));
        expect(opened?.reachedBy, `${id}, ${String(level)}`).toBeUndefined();
      }
    }
  });

  it('says what the harder ones need: that much more of each makes them ready', () => {
    const full = planInFull(contextOf(REFERENCE), 'tree', 'right', {}, 'auto');
    if (!full.ok) throw new Error('not planned');
    const thigh = full.value.levels.find(({ id }) => id === 'thigh')!;
    expect(full.value.levels.map(({ id }) => id)).toEqual([
      'toes-down',
      'at-a-wall',
      null,
      'thigh',
    ]);
    expect(thigh.status).toBe('needs-more');
    expect(thigh.forWhom).toBe('for knees that bend 150° or more');
    const knee = thigh.needs.find(({ words }) => words === 'back knee flexion');
    expect(knee?.unit).toBe('deg');
    expect(knee!.amount).toBeGreaterThan(3);
  });

  it('rests a forearm on the thigh where the hand would need more than a block on its middle face', () => {
    const reference = open(REFERENCE, 'side-angle');
    const hand = open(REFERENCE, 'side-angle', [], USUAL_LEVEL);
    expect(settingOf(hand, 'hand-height')).toBeGreaterThan(15);
    expect(reference.level).toBe('elbow-on-thigh');
  });
});

describe('the shortest recommended stance', () => {
  it.each(['warrior-two', 'warrior-one', 'high-lunge', 'pyramid'])(
    '%s: never under 0.75 leg lengths, however stiff',
    (pose) => {
      for (const measures of [REFERENCE, STIFF, { ...STIFF, 'hip-extension': 8 }]) {
        const setUp = open(measures, pose);
        if (setUp.status === 'failed') continue;
        expect(settingOf(setUp, 'stance-length')).toBeGreaterThanOrEqual(0.75 * 82 - 0.1);
      }
    },
  );
});
