import { describe, expect, it } from 'vitest';
import type { MeasureId } from '../../../src/core/measures/protocols/index.ts';
import { getProtocol } from '../../../src/core/measures/protocols/index.ts';
import type { HouseRules } from '../../../src/core/rules/houseRules.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import type { SettingId } from '../../../src/core/setup/settingKinds.ts';
import { REFERENCE } from '../../support/people.ts';
import { depthOf, planPlain, settingOf } from '../../support/plan.ts';

/**
 * Which number moves which way when one measure of the reference body grows by 10° or
 * 3 cm, and the other way round when it shrinks: every measure, columns as in COLUMNS.
 * `=` stays, `+` never falls, `-` never rises; doubled, it really moves on a side.
 */
type Way = '=' | '+' | '-' | '++' | '--';
const COLUMNS = ['depth', 'stance-length', 'hand-height', 'hand-ahead'] as const;

function readTable(text: string): readonly (readonly [MeasureId, readonly Way[]])[] {
  return text
    .trim()
    .split('\n')
    .map((row) => {
      const [measure, ...ways] = row.trim().split(/ +/);
      return [measure as MeasureId, ways as Way[]] as const;
    });
}

/** Back foot at 90°: front opening, back extension and rotation, and the low back decide. */
const WARRIOR_TWO = readTable(`
  stature                     =  =
  leg-length                  =  =
  trochanter-height           -- ++
  knee-height                 ++ --
  ankle-height                -- --
  hip-bone-width              =  ++
  shoulder-height             =  =
  shoulder-width              =  =
  arm-reach                   =  =
  foot-length                 =  --
  hip-flexion                 =  =
  straight-leg-raise          =  =
  hip-extension               ++ =
  hip-extension-bent-knee     =  =
  hip-abduction               =  =
  hip-opening                 ++ ++
  hip-external-rotation       ++ ++
  hip-internal-rotation       =  =
  ankle-dorsiflexion-bent     =  =
  ankle-dorsiflexion-straight =  =
  trunk-rotation              =  =
  trunk-extension             ++ ++
  hip-adduction               =  =
  thigh-foot-angle            ++ ++
`);

/** At a stance of one leg length: the front leg's raise decides. */
const TRIANGLE = readTable(`
  stature                     =  =  =  =
  leg-length                  -- ++ =  --
  trochanter-height           ++ =  ++ --
  knee-height                 =  =  =  =
  ankle-height                -- =  ++ ++
  hip-bone-width              -- =  ++ -
  shoulder-height             =  =  ++ ++
  shoulder-width              =  =  -- ++
  arm-reach                   =  =  -- =
  foot-length                 =  =  =  --
  hip-flexion                 =  =  =  =
  straight-leg-raise          ++ =  -- ++
  hip-extension               =  =  =  =
  hip-extension-bent-knee     =  =  =  =
  hip-abduction               =  =  =  =
  hip-opening                 =  =  =  =
  hip-external-rotation       =  =  =  =
  hip-internal-rotation       =  =  =  =
  ankle-dorsiflexion-bent     =  =  =  =
  ankle-dorsiflexion-straight =  =  =  =
  trunk-rotation              =  =  -- =
  trunk-extension             =  =  =  =
  hip-adduction               =  =  -- --
  thigh-foot-angle            =  =  =  =
`);

/** At a stance of one leg length, cut by the back ankle: the front leg's raise decides. */
const PYRAMID = readTable(`
  stature                     =  =  =  =
  leg-length                  -- ++ =  --
  trochanter-height           ++ =  ++ --
  knee-height                 =  =  =  =
  ankle-height                -- =  +  --
  hip-bone-width              =  =  =  +
  shoulder-height             =  =  ++ ++
  shoulder-width              =  =  =  =
  arm-reach                   =  =  -- =
  foot-length                 =  =  =  --
  hip-flexion                 =  =  =  =
  straight-leg-raise          ++ =  -- ++
  hip-extension               =  =  =  =
  hip-extension-bent-knee     =  =  =  =
  hip-abduction               =  =  =  =
  hip-opening                 =  =  =  =
  hip-external-rotation       =  =  =  =
  hip-internal-rotation       =  =  =  =
  ankle-dorsiflexion-bent     =  =  =  =
  ankle-dorsiflexion-straight -- ++ =  --
  trunk-rotation              =  =  =  =
  trunk-extension             =  =  =  =
  hip-adduction               =  =  =  =
  thigh-foot-angle            =  =  =  =
`);

const TABLES: readonly (readonly [string, Partial<HouseRules>, ReturnType<typeof readTable>])[] = [
  ['warrior-two', { backFootDeg: 90 }, WARRIOR_TWO],
  ['triangle', {}, TRIANGLE],
  ['pyramid', {}, PYRAMID],
];

/** Solver noise in a depth or setting, degrees or cm. */
const STILL = 0.3;

function read(setUp: SetUp, column: (typeof COLUMNS)[number]): number {
  // A set-up that cannot be held at all is the shallowest.
  if (column === 'depth') return depthOf(setUp).value ?? 0;
  if (setUp.status === 'failed') return Number.NaN;
  return settingOf(setUp, column satisfies SettingId);
}

describe.each(TABLES)('%s', (pose, rules, table) => {
  const base = planPlain(REFERENCE, pose, 'right', rules);
  it('covers every measure of the body', () => {
    expect(table.map(([id]) => id).sort()).toEqual(Object.keys(REFERENCE).sort());
  });

  it.each(table)('%s', (id, ways) => {
    const size = getProtocol(id).unit === 'deg' ? 10 : 3;
    const changed = (by: number): SetUp =>
      planPlain({ ...REFERENCE, [id]: (REFERENCE[id] as number) + by }, pose, 'right', rules);
    const [less, more] = [changed(-size), changed(size)];
    ways.forEach((way, i) => {
      const column = COLUMNS[i]!;
      const up = [read(more, column) - read(base, column), read(base, column) - read(less, column)];
      // Settings are rounded to tenths: a smaller difference is rounding.
      const known = up
        .filter((each) => !Number.isNaN(each))
        .map((each) => Math.round(each * 10) / 10);
      const sign = way.startsWith('+') ? 1 : -1;
      const words = `${column} ${known.map((each) => each.toFixed(2)).join(' ')}`;
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
