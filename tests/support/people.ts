import { PlanningContext } from '../../src/core/planning/planningContext.ts';
import {
  PERSON_FORMAT,
  PERSON_VERSION,
  type PersonFile,
} from '../../src/core/formats/personFile.ts';
import { PROTOCOLS, type MeasureId } from '../../src/core/measures/protocols/index.ts';
import type { Side } from '../../src/core/measures/protocol.ts';
import type { Reading } from '../../src/core/measures/reading.ts';
import {
  EMPTY_INTAKE,
  type CautionEntry,
  type Person,
  type PersonRecord,
} from '../../src/core/person/person.ts';
import type { HouseRules } from '../../src/core/rules/houseRules.ts';

/** A value for both sides, or one each. */
type Value = number | Readonly<Record<Side, number>>;
export type Measures = Partial<Record<MeasureId, Value>>;

/** Limits as measured, and the deepest safe set-up. */
export const PLAIN_RULES: Partial<HouseRules> = {
  limitMarginSem: 0,
  reserveByExperience: false,
  minimumToSpareDeg: 0,
  depth: 'deepest',
};

const LENGTHS: Measures = {
  stature: 170,
  'leg-length': 82,
  'trochanter-height': 89,
  'knee-height': 47,
  'ankle-height': 7,
  // Hip centres lie 0.72 of this apart: 17 cm.
  'hip-bone-width': 17 / 0.72,
  'shoulder-height': 139,
  'shoulder-width': 36,
  'arm-reach': 62,
  'foot-length': 24.5,
};

/** The reference body of the trial: thigh 42, shank 40, trunk 50, hip centres 17 cm apart. */
export const REFERENCE: Measures = {
  ...LENGTHS,
  'hip-flexion': 120,
  'straight-leg-raise': 85,
  'hip-extension': 20,
  'hip-extension-bent-knee': 10,
  'hip-abduction': 45,
  'hip-opening': 55,
  'hip-external-rotation': 45,
  'hip-internal-rotation': 35,
  'ankle-dorsiflexion-bent': 42,
  'ankle-dorsiflexion-straight': 35,
  'trunk-rotation': 45,
  'trunk-extension': 20,
  'hip-adduction': 20,
  'thigh-foot-angle': 0,
};

export const SUPPLE: Measures = {
  ...REFERENCE,
  'hip-flexion': 135,
  'straight-leg-raise': 115,
  'hip-extension': 25,
  'hip-extension-bent-knee': 15,
  'hip-abduction': 58,
  'hip-opening': 75,
  'hip-external-rotation': 60,
  'hip-internal-rotation': 45,
  'ankle-dorsiflexion-bent': 48,
  'ankle-dorsiflexion-straight': 42,
  'trunk-rotation': 60,
};

export const STIFF: Measures = {
  ...REFERENCE,
  'hip-flexion': 105,
  'straight-leg-raise': 65,
  'hip-extension': 12,
  'hip-extension-bent-knee': 3,
  'hip-abduction': 32,
  'hip-opening': 35,
  'hip-external-rotation': 30,
  'hip-internal-rotation': 20,
  'ankle-dorsiflexion-bent': 35,
  'ankle-dorsiflexion-straight': 28,
  'trunk-rotation': 35,
};

export const PERSON: Person = {
  id: 'test',
  name: 'Test Body',
  birthYear: 1990,
  sexForReference: null,
  bodyMassKg: null,
  experience: 'steady',
  cautions: [],
  notes: '',
  intake: EMPTY_INTAKE,
  history: [],
  notDone: [],
  schools: [],
  cautionsAskedAt: null,
};

/** A person with one reading for each value. */
export function recordOf(measures: Measures, person: Partial<Person> = {}): PersonRecord {
  const readings = PROTOCOLS.flatMap((protocol): Reading[] => {
    const value = measures[protocol.id as MeasureId];
    if (value === undefined) return [];
    const sides: readonly (Side | null)[] = protocol.sided ? ['left', 'right'] : [null];
    return sides.map((side) => ({
      id: `${protocol.id} ${side ?? ''}`,
      measure: protocol.id,
      side,
      value: typeof value === 'number' ? value : value[side ?? 'left'],
      unit: protocol.unit,
      raw: null,
      instrument: 'tape',
      posture: null,
      state: null,
      takenAt: '2026-11-02T09:10:00Z',
      note: '',
    }));
  });
  return { person: { ...PERSON, ...person }, readings };
}

/** The context of a person with one reading for each value. */
export const contextOf = (measures: Measures, person: Partial<Person> = {}): PlanningContext =>
  new PlanningContext(recordOf(measures, person));

/** A caution that was noted lately and still holds. */
export const cautionOf = (
  id: string,
  severity: CautionEntry['severity'] = 'mild',
): CautionEntry => ({
  uid: id,
  id,
  side: null,
  since: '2026-11-01',
  severity,
  note: '',
  clearedBy: null,
  clearedAt: null,
});

/** The same person seen in a mirror: left and right change places. */
export function mirrorMeasures(measures: Measures): Measures {
  const entries = Object.entries(measures).map(([id, value]) => [
    id,
    typeof value === 'number' ? value : { left: value.right, right: value.left },
  ]);
  return Object.fromEntries(entries) as Measures;
}

/** Their person file: readings, and nothing that was kept or held yet. */
export const fileOf = (record: PersonRecord): PersonFile => ({
  ...record,
  format: PERSON_FORMAT,
  version: PERSON_VERSION,
  setUps: [],
  sessions: [],
  appointments: [],
  flows: [],
  changes: { stamps: {}, removed: {} },
});
