import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readPersonFile } from '../../../src/core/formats/personFile.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { FITTING_LEVEL } from '../../../src/core/poses/level.ts';
import { findLyingPose } from '../../../src/core/poses/lying/index.ts';
import {
  isAskedForLess,
  isGentlerDay,
  planGentlerDay,
  sayGentlerLeftOut,
  sayGentlerSwap,
  type GentlerDay,
} from '../../../src/core/sessions/gentlerDay.ts';
import { NOT_ASKED, type Today } from '../../../src/core/sessions/today.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { FULLEST_DEMO } from '../../support/demoContext.ts';

const NOW = '2026-11-30T08:00:00.000Z';

function recordOf(id: string) {
  const read = readPersonFile(readFileSync(`public/demo/${id}.json`, 'utf8'), null);
  if (!read.ok) throw new Error(id);
  return read.value.file;
}

function plan(who: string, poses: readonly string[], more: Partial<Today> = {}): GentlerDay {
  const today = { ...NOT_ASKED, askedAt: NOW, state: 'warm', wish: 'gentle', ...more } as const;
  const asked = {
    poses: poses.map((pose) => ({ pose, level: FITTING_LEVEL })),
    order: 'equal',
    breaths: null,
    rounds: 1,
  } as const;
  const answer = planGentlerDay(recordOf(who), [], today, asked, NOW);
  if (!answer.ok) throw new Error(who);
  return answer.value;
}

describe('whether less is asked for', () => {
  it('is asked and never assumed, and the usual plan stands over it', () => {
    expect(isAskedForLess(NOT_ASKED)).toBe(false);
    expect(isGentlerDay({ ...NOT_ASKED, rested: 'so-so', energy: 'usual' })).toBe(false);
    for (const answer of [{ rested: 'poorly' }, { energy: 'low' }, { wish: 'gentle' }] as const) {
      expect(isGentlerDay({ ...NOT_ASKED, ...answer })).toBe(true);
      expect(isAskedForLess({ ...NOT_ASKED, ...answer })).toBe(true);
    }
    expect(isGentlerDay({ ...NOT_ASKED, energy: 'low', wish: 'as-usual' })).toBe(false);
  });
});

describe.each(FULLEST_DEMO)('a gentler day of %s', (who) => {
  const all = POSES.map(({ id }) => id);
  const day = plan(who, all);

  it('is lying, seated or resting, with every pose told of', () => {
    expect(day.plan.leftOut).toEqual([]);
    for (const { plan: hold } of day.plan.holds) {
      const pose = findLyingPose(hold.pose) ?? findPose(hold.pose)!;
      expect('starts' in pose && pose.guidance.effort !== 'passive', hold.pose).toBe(false);
    }
    const stayed = all.filter((id) => findPose(id)!.guidance.effort === 'passive');
    const told = [
      ...stayed,
      ...day.swaps.map(({ from }) => from),
      ...day.leftOut.map(({ pose }) => pose),
    ];
    expect(told.toSorted()).toEqual(all.toSorted());
  });

  it('keeps a range only where the form goes to it', () => {
    expect(day.swaps.filter(({ keeps }) => keeps.length > 0).length).toBeGreaterThan(3);
    for (const { to, keeps } of day.swaps) {
      const asks = findLyingPose(to)!.asks.map(({ measure }) => measure);
      for (const each of keeps) expect(asks).toContain(each);
    }
  });

  it('has the numbers and props that the form has on any other day', () => {
    const context = new PlanningContext(recordOf(who));
    for (const { setUp } of day.plan.holds) {
      if (findLyingPose(setUp.pose) === null) continue;
      const own = planSetUp(context, setUp.pose, setUp.side, {}, FITTING_LEVEL);
      expect(own.ok && own.value.settings.map(({ id, value }) => [id, value])).toEqual(
        setUp.settings.map(({ id, value }) => [id, value]),
      );
    }
  });
});

describe('what is said of it', () => {
  it('names what took the place of what, and why a pose waits', () => {
    const day = plan('marit-sollen', ['pyramid', 'mountain', 'lying-triangle']);
    expect(day.swaps.map(sayGentlerSwap)[0]).toMatch(
      /^Lying .* in place of Pyramid: it keeps .*straight-leg raise/,
    );
    expect(day.leftOut.map(sayGentlerLeftOut)).toEqual([
      'Mountain is left out. No lying or seated form does its work. It waits for another day.',
    ]);
    expect(day.plan.holds.map(({ plan: { pose } }) => pose)).toContain('lying-triangle');
  });

  it('leaves everything out while a stop sign stands', () => {
    const sore = [{ id: 'tingling', side: null }];
    const day = plan('marit-sollen', ['pyramid'], { sore });
    expect(day.plan.holds).toEqual([]);
    expect(day.leftOut.map(sayGentlerLeftOut)[0]).toMatch(/^Pyramid is left out\. .*ingling/);
  });
});
