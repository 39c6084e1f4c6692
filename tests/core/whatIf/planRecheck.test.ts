import { describe, expect, it } from 'vitest';
import { FULL_ROUND, SHORT_ROUND, sortByPosture } from '../../../src/core/measures/rounds.ts';
import { getProtocol, PROTOCOLS } from '../../../src/core/measures/protocols/index.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { findShortRound } from '../../../src/core/poses/catalogue/index.ts';
import { planRecheck } from '../../../src/core/whatIf/planRecheck.ts';
import { contextOf, REFERENCE } from '../../support/people.ts';

describe('what is worth repeating', () => {
  it('names the readings that hold the chosen poses back, the most first, a few only', () => {
    const told: [number, number][] = [];
    const checked = planRecheck(contextOf(REFERENCE), ['pyramid', 'wide-fold'], (done, all) => {
      told.push([done, all]);
    });
    if (!checked.ok) throw new Error('problems');
    expect(told).toEqual([0, 1, 2, 3].map((done) => [done, 4]));
    const { value } = checked;
    expect(value.length).toBeGreaterThan(1);
    expect(value.length).toBeLessThanOrEqual(6);
    // Both folds end at the leg raise.
    expect(value.slice(0, 2).map((each) => each.measure)).toEqual([
      'straight-leg-raise',
      'straight-leg-raise',
    ]);
    expect(new Set(value.slice(0, 2).map((each) => each.side))).toEqual(new Set(['left', 'right']));
    for (const { errorNow, errorThen, depthGain, setUps } of value) {
      expect(errorThen).toBeLessThan(errorNow);
      expect(depthGain).toBeGreaterThanOrEqual(0);
      expect(setUps).toBe(4);
    }
    expect(value[0]!.depthGain).toBeGreaterThan(0.2);
    // The number that gains most is reported with its ± before and after.
    for (const { most } of value) {
      expect(most?.then).toBeLessThan(most!.now);
      expect(['pyramid', 'wide-fold']).toContain(most?.pose);
    }
  });

  it('is nothing while nothing can be planned', () => {
    expect(planRecheck(contextOf({ stature: 170 }), ['pyramid'])).toEqual({ ok: true, value: [] });
  });
});

describe('a round', () => {
  it('for a few poses asks for the body’s lengths and what their musts need', () => {
    const tree = findShortRound(['tree']);
    expect(tree).toContain('hip-opening');
    expect(tree).toContain('stature');
    expect(tree).not.toContain('straight-leg-raise');
    expect(tree.length).toBeLessThan(findShortRound(POSES.map((each) => each.id)).length);
    expect(findShortRound(['no such pose']).every((id) => getProtocol(id).unit === 'cm')).toBe(
      true,
    );
    expect(findShortRound(POSES.map((each) => each.id))).toEqual(SHORT_ROUND);
  });

  it('turns the person over as little as possible, and leaves nothing out', () => {
    expect(new Set(FULL_ROUND)).toEqual(new Set(PROTOCOLS.map((each) => each.id)));
    const postures = FULL_ROUND.map((id) => getProtocol(id).posture);
    const turns = postures.filter((each, i) => i > 0 && each !== postures[i - 1]).length;
    expect(turns).toBe(new Set(postures).size - 1);
    expect(sortByPosture(['hip-extension', 'stature', 'hip-opening'])).toEqual([
      'stature',
      'hip-opening',
      'hip-extension',
    ]);
  });
});
