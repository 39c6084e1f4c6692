import { describe, expect, it } from 'vitest';
import type { MeasureId } from '../../../src/core/measures/protocols/index.ts';
import { getProtocol } from '../../../src/core/measures/protocols/index.ts';
import type { HouseRules } from '../../../src/core/rules/houseRules.ts';
import type { SettingId, SetUp } from '../../../src/core/setup/setUp.ts';
import { REFERENCE } from '../../support/people.ts';
import { planPlain, settingOf } from '../../support/plan.ts';

/**
 * Which number moves which way when one measure of the reference body grows by 10° or
 * 3 cm (and the other way round when it shrinks). `=` stays, `+` never falls, `-` never
 * rises; a sign in capitals, such as `++`, must really move on at least one side.
 */
type Way = '=' | '+' | '-' | '++' | '--' | '?';
const COLUMNS = ['depth', 'stance-length', 'hand-height', 'hand-ahead'] as const;

const WARRIOR_TWO: Partial<Record<MeasureId, readonly Way[]>> = {
  stature: ['=', '='],
  'leg-length': ['=', '='],
  'arm-reach': ['=', '='],
  'shoulder-height': ['=', '='],
  'trochanter-height': ['?', '++'],
  'hip-opening': ['++', '++'],
  'hip-extension': ['++', '++'],
  'hip-external-rotation': ['++', '++'],
  'trunk-extension': ['++', '++'],
  'trunk-rotation': ['+', '+'],
  'hip-abduction': ['+', '+'],
  'hip-flexion': ['+', '+'],
  'straight-leg-raise': ['+', '+'],
  'hip-internal-rotation': ['=', '='],
  'hip-adduction': ['=', '='],
  'ankle-dorsiflexion-straight': ['+', '+'],
};

/** At a stance that is one leg length. */
const TRIANGLE: Partial<Record<MeasureId, readonly Way[]>> = {
  'leg-length': ['--', '++', '?', '?'],
  'trochanter-height': ['++', '=', '++', '--'],
  'shoulder-height': ['+', '=', '++', '++'],
  'arm-reach': ['=', '=', '--', '='],
  'shoulder-width': ['=', '=', '--', '?'],
  'straight-leg-raise': ['++', '=', '--', '?'],
  'hip-abduction': ['+', '=', '?', '?'],
  'hip-opening': ['+', '=', '?', '?'],
  'hip-internal-rotation': ['+', '=', '?', '?'],
};

const PYRAMID: Partial<Record<MeasureId, readonly Way[]>> = {
  'leg-length': ['--', '++', '?', '--'],
  'trochanter-height': ['++', '=', '?', '--'],
  'arm-reach': ['=', '=', '--', '='],
  'straight-leg-raise': ['++', '=', '--', '++'],
  'ankle-dorsiflexion-straight': ['?', '++', '?', '?'],
  'hip-opening': ['=', '=', '=', '='],
  'hip-external-rotation': ['+', '=', '?', '?'],
};

const TABLES: readonly (readonly [string, Partial<HouseRules>, typeof WARRIOR_TWO])[] = [
  ['warrior-two', { backFootDeg: 90 }, WARRIOR_TWO],
  ['triangle', {}, TRIANGLE],
  ['pyramid', {}, PYRAMID],
];

/** Solver noise in a depth or setting, degrees or cm. */
const STILL = 0.3;

function read(setUp: SetUp, column: (typeof COLUMNS)[number]): number {
  // A set-up that cannot be held at all is the shallowest.
  if (column === 'depth') return setUp.depth.value ?? 0;
  if (setUp.status === 'failed') return Number.NaN;
  return settingOf(setUp, column satisfies SettingId);
}

describe.each(TABLES)('%s', (pose, rules, table) => {
  const base = planPlain(REFERENCE, pose, 'right', rules);
  it.each(Object.entries(table))('%s', (measure, ways) => {
    const id = measure as MeasureId;
    const size = getProtocol(id).unit === 'deg' ? 10 : 3;
    const changed = (by: number): SetUp =>
      planPlain({ ...REFERENCE, [id]: (REFERENCE[id] as number) + by }, pose, 'right', rules);
    const [less, more] = [changed(-size), changed(size)];
    ways.forEach((way, i) => {
      const column = COLUMNS[i]!;
      const up = [read(more, column) - read(base, column), read(base, column) - read(less, column)];
      const known = up.filter((each) => !Number.isNaN(each));
      const sign = way.startsWith('+') ? 1 : -1;
      const words = `${column} ${known.map((each) => each.toFixed(2)).join(' ')}`;
      if (way === '?') return;
      if (way === '=') {
        for (const each of known) expect(Math.abs(each), words).toBeLessThanOrEqual(STILL);
        return;
      }
      for (const each of known) expect(each * sign, words).toBeGreaterThanOrEqual(-STILL);
      if (way.length === 2)
        expect(Math.max(...known.map((each) => each * sign)), words).toBeGreaterThan(STILL);
    });
  });
});

describe('the prop', () => {
  it('sinks by 3 cm for an arm 3 cm longer', () => {
    for (const pose of ['triangle', 'pyramid']) {
      const base = planPlain(REFERENCE, pose);
      const longer = planPlain({ ...REFERENCE, 'arm-reach': 65 }, pose);
      expect(settingOf(base, 'hand-height') - settingOf(longer, 'hand-height')).toBeCloseTo(3, 0);
    }
  });

  it('is never lowered by a stiffer leg raise', () => {
    for (const pose of ['triangle', 'pyramid']) {
      let last = Infinity;
      for (const raise of [55, 65, 75, 85, 95, 105]) {
        const setUp = planPlain({ ...REFERENCE, 'straight-leg-raise': raise }, pose);
        const height = settingOf(setUp, 'hand-height');
        expect(height).toBeLessThanOrEqual(last + 0.3);
        last = height;
      }
    }
  });
});
