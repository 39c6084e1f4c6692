/** Made-up people for the study: seeded, so that every run has the same ones. */
import { PROTOCOLS, type MeasureId } from '../../src/core/measures/protocols/index.ts';
import { SIDES, type Side } from '../../src/core/measures/protocol.ts';
import type { Reading } from '../../src/core/measures/reading.ts';
import type { PersonRecord } from '../../src/core/person/person.ts';
import { PERSON } from '../../tests/support/people.ts';
import { makeRandom } from '../../tests/support/random.ts';

export type Group = 'stiff' | 'usual' | 'supple';

export interface StudyBody {
  readonly group: Group;
  readonly statureCm: number;
  readonly record: PersonRecord;
}

/** One person in five is stiff, one in five supple. */
const groupOf = (index: number): Group =>
  index % 5 === 3 ? 'stiff' : index % 5 === 4 ? 'supple' : 'usual';

/** How far a group's common suppleness lies from the mean, standard deviations. */
const SUPPLENESS: Readonly<Record<Group, readonly [number, number]>> = {
  stiff: [-2.2, -1],
  usual: [-1, 1],
  supple: [1, 2.2],
};

/** Correlation of each range with the person's common suppleness. */
const COMMON = 0.6;
/** Left and right differ by this, one standard deviation, degrees. */
const SIDE_SD = 2;

/** Mean and standard deviation, degrees; in the region of the published means in docs/numbers.md. */
const RANGES: Partial<Record<MeasureId, readonly [mean: number, sd: number]>> = {
  'hip-flexion': [125, 8],
  'straight-leg-raise': [82, 12],
  'hip-extension': [17, 5],
  'hip-extension-bent-knee': [9, 4],
  'hip-abduction': [43, 7],
  'hip-adduction': [24, 4],
  'hip-opening': [54, 9],
  'hip-external-rotation': [45, 8],
  'hip-internal-rotation': [37, 8],
  'knee-flexion': [140, 7],
  'ankle-dorsiflexion-bent': [42, 5],
  'ankle-dorsiflexion-straight': [34, 5],
  'thigh-foot-angle': [10, 4],
  'trunk-rotation': [46, 8],
  'trunk-side-bend': [30, 6],
  'trunk-extension': [22, 6],
};

/** Of two measures of one joint the second is smaller by at least this, degrees. */
const SMALLER: readonly (readonly [MeasureId, MeasureId, number])[] = [
  ['hip-extension', 'hip-extension-bent-knee', 3],
  ['ankle-dorsiflexion-bent', 'ankle-dorsiflexion-straight', 3],
];

type SideValues = Record<Side, number>;

function makeBody(index: number, random: () => number): StudyBody {
  const normal = (mean: number, sd: number): number =>
    mean + sd * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const group = groupOf(index);
  const [low, high] = SUPPLENESS[group];
  const suppleness = low + (high - low) * random();
  const stature = index % 2 === 0 ? normal(165, 6) : normal(177, 7);
  const share = (mean: number): number => stature * normal(mean, 0.015 * mean);
  const trochanter = share(0.52);
  const values = new Map<MeasureId, number | SideValues>();
  const both = (value: number, sd: number): SideValues => {
    const half = normal(0, sd) / 2;
    return { left: value + half, right: value - half };
  };
  values.set('stature', stature);
  values.set('trochanter-height', both(trochanter, 0.4));
  values.set('leg-length', both(trochanter * 0.925, 0.4));
  values.set('knee-height', both(trochanter * normal(0.53, 0.006), 0.2));
  values.set('ankle-height', normal(7, 0.4));
  values.set('foot-length', share(0.15));
  values.set('hip-bone-width', normal(23.5, 1.4));
  values.set('shoulder-height', share(0.818));
  values.set('shoulder-width', share(0.215));
  values.set('arm-reach', both(share(0.37), 0.3));
  const degrees = new Map<MeasureId, SideValues>();
  for (const [id, [mean, sd]] of Object.entries(RANGES)) {
    const own = normal(0, Math.sqrt(1 - COMMON ** 2));
    const apart = id === 'thigh-foot-angle' ? 0 : COMMON * suppleness;
    degrees.set(id as MeasureId, both(mean + sd * (apart + own), SIDE_SD));
  }
  for (const [larger, smaller, by] of SMALLER) {
    const [most, least] = [degrees.get(larger)!, degrees.get(smaller)!];
    for (const side of SIDES) least[side] = Math.min(least[side], most[side] - by);
  }
  for (const [id, value] of degrees) values.set(id, value);
  return { group, statureCm: stature, record: toRecord(String(index), values) };
}

/** Two readings for each value, as the protocols ask. */
function toRecord(id: string, values: ReadonlyMap<MeasureId, number | SideValues>): PersonRecord {
  const readings = PROTOCOLS.flatMap((protocol): Reading[] => {
    const value = values.get(protocol.id as MeasureId);
    if (value === undefined) return [];
    const [least, most] = protocol.possible;
    const sides: readonly (Side | null)[] = protocol.sided ? SIDES : [null];
    return sides.flatMap((side) =>
      [1, 2].map((take) => {
        const own = typeof value === 'number' ? value : value[side ?? 'left'];
        return {
          id: `${protocol.id} ${side ?? ''} ${String(take)}`,
          measure: protocol.id,
          side,
          value: Math.round(Math.min(most, Math.max(least, own)) * 10) / 10,
          unit: protocol.unit,
          raw: null,
          instrument: 'tape',
          posture: null,
          state: null,
          takenAt: '2026-11-02T09:10:00Z',
          note: '',
        };
      }),
    );
  });
  return {
    person: { ...PERSON, id, name: `Body ${id}` },
    readings,
  };
}

export function makeStudyBodies(count: number, seed: number): readonly StudyBody[] {
  const random = makeRandom(seed);
  return Array.from({ length: count }, (_, index) => makeBody(index, random));
}
