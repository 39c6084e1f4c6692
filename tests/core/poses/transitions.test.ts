import { describe, expect, it } from 'vitest';
import { ANY_POSES, findAnyPose } from '../../../src/core/poses/anyPose.ts';
import { LINKING_POSES } from '../../../src/core/poses/linking/index.ts';
import { WARM_UPS } from '../../../src/core/poses/warmUps/index.ts';

const leadsTo = (id: string): readonly string[] => findAnyPose(id)!.transitions.map(({ to }) => to);
const comesFrom = (id: string): readonly string[] =>
  ANY_POSES.filter((each) => leadsTo(each.id).includes(id)).map((each) => each.id);

describe('transitions', () => {
  it('lead to poses that there are, each once and in a safe order', () => {
    for (const { id, transitions } of ANY_POSES) {
      expect(transitions.length, id).toBeGreaterThan(0);
      expect(new Set(leadsTo(id)).size, id).toBe(transitions.length);
      for (const { to, order, hands, foot, movement } of transitions) {
        expect(findAnyPose(to), `${id} leads to ${to}`).not.toBeNull();
        expect(to).not.toBe(id);
        expect(order.length, `${id} to ${to}`).toBeGreaterThan(0);
        for (const line of order) expect(line, `${id} to ${to}`).toMatch(/^[A-Z].*\.$/);
        expect(hands.length).toBeGreaterThan(3);
        if (movement === 'step' || movement === 'pivot') expect(foot).not.toBe('none');
      }
    }
  });

  // Common practice, no source: warrior II is the hub of the open poses.
  it('pass through warrior II into triangle, side angle and reverse warrior', () => {
    expect(comesFrom('reverse-warrior')).toEqual(['warrior-two']);
    expect(comesFrom('side-angle')).toEqual(['warrior-two']);
    // Reverse triangle stands on triangle’s feet with the same straight legs.
    expect(comesFrom('triangle')).toEqual(['warrior-two', 'reverse-triangle']);
    for (const id of ['side-angle', 'triangle', 'reverse-warrior', 'reverse-triangle']) {
      expect(leadsTo(id)).toContain('warrior-two');
    }
  });

  // Common practice, no source.
  it('come to downward dog from no pose with open hips', () => {
    const families = comesFrom('downward-dog').map((id) => findAnyPose(id)!.family);
    expect(families).not.toContain('open');
    expect(comesFrom('downward-dog')).toEqual(
      expect.arrayContaining(['high-lunge', 'low-lunge', 'forward-fold']),
    );
  });

  it('change between open and closed hips on one leg only where practice does', () => {
    const flips = ANY_POSES.flatMap(({ id, transitions }) =>
      transitions.filter((each) => each.isDeliberateFlip).map(({ to }) => `${id} ${to}`),
    );
    expect(flips.sort()).toEqual([
      'half-moon warrior-three',
      'revolved-half-moon warrior-three',
      'warrior-three half-moon',
      'warrior-three revolved-half-moon',
    ]);
  });

  it('reach every pose from every other one', () => {
    for (const { id } of ANY_POSES) {
      const reached = new Set([id]);
      for (const each of reached) for (const to of leadsTo(each)) reached.add(to);
      expect(reached.size, id).toBe(ANY_POSES.length);
    }
  });
});

describe('warm-ups', () => {
  it('stay well inside every range, and say what to do', () => {
    expect(new Set(WARM_UPS.map(({ id }) => id)).size).toBe(WARM_UPS.length);
    for (const { asks, say, times, at } of WARM_UPS) {
      expect(LINKING_POSES.map(({ id }) => id)).toContain(at);
      expect(asks.length).toBeGreaterThan(0);
      for (const { share } of asks) expect(share).toBeLessThanOrEqual(0.6);
      expect(say).toMatch(/^[A-Z].*\.$/);
      expect(times).toBeGreaterThanOrEqual(6);
    }
  });
});
