import { describe, expect, it } from 'vitest';
import { DEMAND_PIECES } from '../../../src/core/conditions/demandPieces.ts';
import { compareFeltSides } from '../../../src/core/felt/compareFeltSides.ts';
import { findErrorsBehind, rankErrorsBehind } from '../../../src/core/felt/findErrorsBehind.ts';
import { FELT_FROM, findExpected, judgeFelt } from '../../../src/core/felt/judgeFelt.ts';
import {
  FELT_PLACES,
  FELT_REGIONS,
  NOWHERE,
  sayFelt,
  type Felt,
} from '../../../src/core/felt/places.ts';
import {
  sayBehind,
  sayExpected,
  sayFeltJudgement,
  sayStretch,
} from '../../../src/core/felt/sayFeltJudgement.ts';
import { findStretches } from '../../../src/core/felt/stretches.ts';
import { findStretchRule, STRETCH_TABLE } from '../../../src/core/felt/stretchTable.ts';
import { imposeError } from '../../../src/core/poseErrors/imposeError.ts';
import { hasGeometry } from '../../../src/core/poseErrors/imposed.ts';
import { findPossibleErrors } from '../../../src/core/poseErrors/possible.ts';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { FITTING_LEVEL, withLevel } from '../../../src/core/poses/level.ts';
import { listFeltTrends } from '../../../src/core/progress/feltTrend.ts';
import { toggleFelt } from '../../../src/core/sessions/logHold.ts';
import { readSession } from '../../../src/core/sessions/readSession.ts';
import { EMPTY_NOTES } from '../../../src/core/sessions/session.ts';
import type { Plan } from '../../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { NOT_MOVED, planByHand } from '../../../src/core/whatIf/planMoved.ts';
import { contextOfDemo, FULLEST_DEMO } from '../../support/demoContext.ts';
import { entryAt, plannedHold, plannedSession } from '../../support/sessions.ts';

const LONG = process.env['LONG_TESTS'] === '1';
const NONE_SEEN = new Map<string, number>();

const stretch = (...places: readonly string[]): readonly Felt[] =>
  places.map((place) => ({ place, how: 'stretch' }));

const ask = (pose: string, side: 'left' | 'right' = 'right') => ({
  pose,
  side,
  rules: {},
  level: FITTING_LEVEL,
  held: NOT_MOVED,
});

function planOf(who: string, pose: string, side: 'left' | 'right' = 'right'): Plan {
  const planned = planByHand(contextOfDemo(who), ask(pose, side));
  if (!planned.ok) throw new Error(pose);
  return planned.value.plan;
}

describe('the table of stretches', () => {
  it('covers every motion of the model, with the knee straight and bent', () => {
    for (const { joint, motion } of DEMAND_PIECES) {
      for (const kneeDeg of [0, 90]) {
        expect(findStretchRule(joint, motion, kneeDeg), `${joint} ${motion}`).not.toBeNull();
      }
    }
  });

  it('names places of the body, and a source for each line', () => {
    const regions = FELT_REGIONS.map(({ id }) => id);
    for (const { region, source } of STRETCH_TABLE) {
      expect(regions).toContain(region);
      expect(source).toMatch(/from memory|common practice, no source/);
    }
    expect(new Set(FELT_PLACES.map(({ id }) => id)).size).toBe(FELT_PLACES.length);
  });

  // Muscle length tests, Kendall et al., Muscles: Testing and Function (from memory): the raised
  // straight leg tests the hamstrings, the hanging thigh the hip flexors, and with a bent knee
  // the straight front thigh muscle.
  it('agrees with the muscle length tests', () => {
    expect(findStretchRule('hip', 'flexion', 0)?.region).toBe('back of thigh');
    expect(findStretchRule('hip', 'extension', 0)?.region).toBe('front of hip');
    expect(findStretchRule('hip', 'extension', 80)?.region).toBe('front of thigh');
    expect(findStretchRule('ankle', 'dorsiflexion', 0)?.region).toBe('calf');
  });
});

describe('where a set-up stretches', () => {
  it('is the back of the front thigh in a pyramid, the front hip’s inner thigh in warrior II', () => {
    expect(findExpected(planOf('marit-sollen', 'pyramid').setUp)[0]?.place).toBe(
      'right back of thigh',
    );
    expect(findExpected(planOf('marit-sollen', 'warrior-two').setUp)[0]?.place).toBe(
      'right inner thigh',
    );
  });

  it('is the same share of the range as the joint report, written as a sum', () => {
    const { setUp } = planOf('sanna-tveit', 'triangle');
    for (const each of findStretches(setUp)) {
      const [, asked, has, share] = /(-?\d+)° of (-?\d+)° \((\d+) %\)$/.exec(
        sayStretch(each, setUp),
      )!;
      expect(Math.abs(Number(asked) - each.report.askedDeg!)).toBeLessThanOrEqual(0.5);
      if (Number(has) < 20) continue;
      expect(Math.abs((100 * Number(asked)) / Number(has) - Number(share))).toBeLessThan(4);
    }
  });
});

/** A set-up in which one motion is asked a share of its 100°. */
const setUpWith = (share: number): Pick<SetUp, 'joints'> => ({
  joints: [
    {
      joint: 'hip',
      side: 'left',
      motion: 'flexion',
      askedDeg: 100 * share,
      measuredDeg: 100,
      heldBackDeg: 0,
      heldBackFor: null,
      hasDeg: 100,
      toSpareDeg: 100 * (1 - share),
      safeDeg: 100,
    },
  ],
});

describe('what was felt', () => {
  it('agrees where the set-up stretches, and not where it hardly does', () => {
    const setUp = setUpWith(0.9);
    expect(judgeFelt(setUp, stretch('left back of thigh'))?.kind).toBe('agrees');
    const elsewhere = judgeFelt(setUp, stretch('left back of thigh', 'low back'))!;
    expect(elsewhere).toMatchObject({ kind: 'elsewhere', elsewhere: ['low back'] });
    expect(sayFeltJudgement(elsewhere)).toBe('This set-up hardly stretches the low back.');
    const nowhere = judgeFelt(setUp, stretch(NOWHERE))!;
    expect(nowhere.remeasure).toEqual([
      { measure: 'hip-flexion', side: 'left' },
      { measure: 'straight-leg-raise', side: 'left' },
    ]);
    expect(sayBehind(nowhere, [])).toBe(
      'No error explains it. Measure again on the left: hip flexion and straight-leg raise.',
    );
    expect(sayExpected(nowhere.expected)).toBe('Most stretched here: the left back of thigh.');
  });

  it('says nothing of a muscle that works, nor of an unknown range', () => {
    expect(judgeFelt(setUpWith(0.9), [{ place: 'left seat', how: 'work' }])).toBeNull();
    expect(judgeFelt({ joints: [] }, stretch('left seat'))).toBeNull();
    expect(judgeFelt(setUpWith(0.9), [])).toBeNull();
  });

  it('is compared left against right as a mirror', () => {
    const left = stretch('left calf', 'low back');
    expect(compareFeltSides({ left, right: [] })).toEqual([]);
    expect(compareFeltSides({ left, right: stretch('low back', 'right calf') })).toEqual([
      'Left and right are felt in the same places.',
    ]);
    expect(compareFeltSides({ left, right: [{ place: 'right seat', how: 'work' }] })).toEqual([
      'Held left: stretch in the left calf, stretch in the low back.',
      'Held right: work in the right seat.',
    ]);
  });

  it('is noted, changed and taken back by the same tap, and counted over sessions', () => {
    const tap = (felt: readonly Felt[], how: Felt['how']) =>
      toggleFelt('1', { ...EMPTY_NOTES, felt }, 'left calf', how);
    expect(tap([], 'stretch')).toMatchObject({ kind: 'felt', how: 'stretch' });
    expect(tap(stretch('left calf'), 'work')).toMatchObject({ how: 'work' });
    expect(tap(stretch('left calf'), 'stretch')).toMatchObject({ how: null });
    const on = (day: string, ...places: readonly string[]) =>
      plannedSession(
        day,
        [plannedHold('1', { side: 'left' })],
        places.map((place, i) =>
          entryAt(day, i + 1, { kind: 'felt', hold: '1', place, how: 'stretch' } as const),
        ),
      );
    const sessions = [on('2026-10-12', 'left calf', 'low back'), on('2026-10-05', 'left calf')];
    expect(readSession(sessions[0]!).holds[0]!.notes.felt.map(sayOne)).toEqual([
      'stretch in the left calf',
      'stretch in the low back',
    ]);
    const [trend] = listFeltTrends(sessions);
    expect(trend).toMatchObject({ pose: 'triangle', side: 'left', sessions: 2 });
    expect(trend!.places.map(({ place, times }) => [place, times])).toEqual([
      ['left calf', 2],
      ['low back', 1],
    ]);
    expect(trend!.places[0]!.first.slice(0, 10)).toBe('2026-10-05');
    expect(trend!.places[0]!.last.slice(0, 10)).toBe('2026-10-12');
  });
});

const sayOne = (felt: Felt): string => sayFelt([felt]);

/** What is felt with an error of three quarters of its drawn size: the places nearest to their ends. */
function feel(plan: Plan, error: string, named: number): readonly Felt[] | null {
  const planted = imposeError(plan, error, [0.75]);
  if (planted === null) return null;
  const felt = findStretches(planted.setUp).filter(({ rule }) => !rule.isRarelyFelt);
  const near = felt.filter(({ share }) => share >= FELT_FROM);
  return stretch(
    ...(near.length === 0 ? felt.slice(0, 1) : near).slice(0, named).map(({ place }) => place),
  );
}

describe('errors planted by the error solve', () => {
  it.each([
    ['up to three places', 3],
    ['two places', 2],
  ])('are among the first three signs behind %s, four times of five', (_, named) => {
    let [found, all] = [0, 0];
    for (const who of LONG ? FULLEST_DEMO : FULLEST_DEMO.slice(0, 1)) {
      for (const { id } of POSES) {
        const plan = planOf(who, id);
        const possible = findPossibleErrors(withLevel(findPose(id)!, plan.setUp.level));
        for (const { id: error } of possible.filter((each) => hasGeometry(each.id))) {
          const felt = feel(plan, error, named);
          if (felt === null) continue;
          const ranked = rankErrorsBehind(plan, felt, NONE_SEEN);
          expect(ranked.length).toBeGreaterThan(0);
          all += 1;
          if (ranked.slice(0, 3).some((each) => each.error === error)) found += 1;
        }
      }
    }
    expect(all).toBeGreaterThan(100);
    expect(found / all).toBeGreaterThanOrEqual(0.8);
  });

  it('are named only when they make what was felt likelier', () => {
    const context = contextOfDemo('marit-sollen');
    const plan = planOf('marit-sollen', 'pyramid');
    const named = (felt: readonly Felt[]): readonly string[] => {
      const answer = findErrorsBehind(context, { ...ask('pyramid'), felt, seen: NONE_SEEN });
      if (!answer.ok) throw new Error('pyramid');
      return answer.value.map(({ error }) => error);
    };
    expect(named(stretch('low back'))[0]).toBe('back-rounds');
    expect(named(stretch(...findExpected(plan.setUp).map(({ place }) => place)))).not.toContain(
      'back-rounds',
    );
    expect(named([{ place: 'right seat', how: 'work' }])).toEqual([]);
  });
});
