import { describe, expect, it } from 'vitest';
import { findPossibleErrors } from '../../../src/core/poseErrors/possible.ts';
import { rankErrors } from '../../../src/core/poseErrors/rank.ts';
import { findPose } from '../../../src/core/poses/catalogue/index.ts';
import { countErrors } from '../../../src/core/sessions/countErrors.ts';
import type { Hold } from '../../../src/core/sessions/log.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { contextOfDemo } from '../../support/demoContext.ts';

describe('the likeliest error', () => {
  const possible = findPossibleErrors(findPose('pyramid'));
  const planned = planSetUp(contextOfDemo('marit-sollen'), 'pyramid', 'right', {}, 'auto');
  if (!planned.ok) throw new Error('no set-up');
  const setUp = planned.value;
  const idsOf = (seen: ReadonlyMap<string, number>, known: typeof setUp | null = setUp) =>
    rankErrors(possible, known, seen).map(({ id }) => id);

  it('comes from the joint with the least margin, then from what was seen before', () => {
    const { joint, motion } = setUp.limiting!;
    const [first] = idsOf(new Map());
    expect([joint, motion, first]).toEqual(['ankle', 'dorsiflexion', 'stance-long']);
    const seen = new Map([['shoulders-up', 3]]);
    const ids = idsOf(seen);
    expect(ids.indexOf('shoulders-up')).toBeGreaterThan(ids.indexOf('back-rounds'));
    expect(ids.indexOf('shoulders-up')).toBeLessThan(ids.indexOf('gaze-wanders'));
    expect(ids.indexOf('shoulders-up')).toBeLessThan(ids.indexOf('knees-locked'));
    expect(ids.toSorted()).toEqual(possible.map(({ id }) => id).toSorted());
  });

  it('stands in the usual order where nothing is known', () => {
    expect(idsOf(new Map(), null)).toEqual(possible.map(({ id }) => id));
  });

  it('is counted in this pose alone, without the hold that is being noted', () => {
    const hold = (id: string, pose: string, errors: readonly string[]): Hold =>
      ({ id, pose, errors }) as unknown as Hold;
    const holds = [
      hold('a', 'pyramid', ['back-rounds', 'breath-held']),
      hold('b', 'pyramid', ['back-rounds']),
      hold('c', 'pyramid', ['breath-held']),
      hold('d', 'triangle', ['back-rounds']),
    ];
    expect(countErrors(holds, 'pyramid', 'c')).toEqual(
      new Map([
        ['back-rounds', 2],
        ['breath-held', 1],
      ]),
    );
  });
});
