import personSchema from '../../../docs/formats/person.schema.json' with { type: 'json' };
import { checkReading } from '../measures/checkReading.ts';
import { datesFromHistory, type Changes } from '../merge/cells.ts';
import type { Reading } from '../measures/reading.ts';
import { completePerson, type PersonRecord } from '../person/person.ts';
import { firstProblems, problem, type Problem, type Result } from '../problems/problem.ts';
import type { KeptSetUp } from '../whatIf/keptSetUp.ts';
import type { Appointment } from '../sessions/appointment.ts';
import type { Session } from '../sessions/session.ts';
import type { Flow } from '../sequence/flow.ts';
import { completeFlow, findFlowProblems } from './flowSteps.ts';
import { joiFromSchema } from './joiFromSchema.ts';
import { checkRules } from './rulesFile.ts';
import { checkSessions } from './sessionSection.ts';
import { FIRST_RULES, upgradePersonFile } from './upgradePerson.ts';
import { findShapeProblems } from './validate.ts';

export const PERSON_FORMAT = 'stillwater.person';
export const PERSON_VERSION = 3;

/** A person file as it is written. Fields that we do not know are kept on every level. */
export interface PersonFile extends PersonRecord {
  readonly format: typeof PERSON_FORMAT;
  readonly version: typeof PERSON_VERSION;
  /** Set-ups that were settled on. */
  readonly setUps: readonly KeptSetUp[];
  readonly sessions: readonly Session[];
  readonly appointments: readonly Appointment[];
  readonly flows: readonly Flow[];
  /** When each field and record was last changed or removed, see core/merge; none in old files. */
  readonly changes: Changes;
}

/** What a file may leave out as a whole. */
type Sections = Pick<PersonFile, 'setUps' | 'sessions' | 'appointments' | 'flows' | 'changes'>;

const schema = joiFromSchema(personSchema);

const READING_DEFAULTS = { raw: null, instrument: 'other', posture: null, state: null, note: '' };

/** What does not say by which rules its numbers were made has them from the first ones. */
const withRulesVersion = <Made extends { readonly rulesVersion: number }>(made: Made): Made => ({
  ...{ rulesVersion: FIRST_RULES },
  ...made,
});

/** Fills in what a file may leave out. The shape has been checked. */
function complete(file: Partial<Sections> & Omit<PersonFile, keyof Sections>): PersonFile {
  const person = completePerson(file.person);
  return {
    ...file,
    person,
    readings: file.readings.map((each): Reading => ({ ...READING_DEFAULTS, ...each })),
    setUps: (file.setUps ?? []).map(withRulesVersion),
    sessions: (file.sessions ?? []).map((each) => ({
      ...each,
      holds: each.holds.map(withRulesVersion),
    })),
    appointments: file.appointments ?? [],
    flows: (file.flows ?? []).map(completeFlow),
    changes: file.changes ?? datesFromHistory(person),
  };
}

function findDuplicates(ids: readonly string[], path: (i: number) => string): Problem[] {
  const seen = new Set<string>();
  return ids.flatMap((id, i) => {
    if (!seen.has(id)) {
      seen.add(id);
      return [];
    }
    return [problem('duplicate-id', path(i), { text: id })];
  });
}

function findRuleProblems({ rules }: KeptSetUp, path: string): Problem[] {
  const checked = checkRules(rules);
  return checked.ok
    ? []
    : checked.problems.map((each) => ({ ...each, path: `${path}.${each.path}` }));
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/**
 * A format or version that is not ours, said before the shape is looked at.
 *
 * @param value as read from a file
 * @param format that is expected
 * @param version the newest that we read
 * @returns null when both are ours
 */
export function findFormatProblem(value: unknown, format: string, version: number): Problem | null {
  if (!isObject(value) || value.format !== format) {
    return problem('wrong-format', 'format', { expected: format });
  }
  if (typeof value.version === 'number' && value.version > version) {
    return problem('newer-version', 'version', { given: value.version, known: version });
  }
  return null;
}

/**
 * Checks a parsed person file.
 *
 * @param value anything
 * @param now ISO date, to refuse readings from the future; null = no clock here
 * @returns the file with its optional fields filled in and warnings beside it, or every
 *   problem by path: `wrong-format`, `newer-version`, `wrong-shape`, `duplicate-id`, and
 *   those of checkReading
 */
export function checkPersonFile(
  value: unknown,
  now: string | null,
): Result<{ readonly file: PersonFile; readonly warnings: readonly Problem[] }> {
  const wrongFormat = findFormatProblem(value, PERSON_FORMAT, PERSON_VERSION);
  if (wrongFormat !== null) return { ok: false, problems: [wrongFormat] };
  const upgraded = upgradePersonFile(value);
  const shape = findShapeProblems(schema, upgraded);
  if (shape.length > 0) return { ok: false, problems: shape };
  const file = complete(upgraded as PersonFile);
  const found = [
    ...findDuplicates(
      file.readings.map((each) => each.id),
      (i) => `readings[${String(i)}].id`,
    ),
    ...findDuplicates(
      file.setUps.map((each) => each.id),
      (i) => `setUps[${String(i)}].id`,
    ),
    ...findDuplicates(
      file.appointments.map((each) => each.id),
      (i) => `appointments[${String(i)}].id`,
    ),
    ...findDuplicates(
      file.flows.map((each) => each.id),
      (i) => `flows[${String(i)}].id`,
    ),
    ...file.flows.flatMap((each, i) => findFlowProblems(each, `flows[${String(i)}]`)),
    ...checkSessions(file.sessions, 'sessions'),
    ...file.setUps.flatMap((each, i) => findRuleProblems(each, `setUps[${String(i)}]`)),
    ...file.readings.flatMap((each, i) => checkReading(each, `readings[${String(i)}]`, now)),
  ];
  const errors = found.filter((each) => each.severity === 'error');
  if (errors.length > 0) {
    return { ok: false, problems: firstProblems(errors, (each) => each) };
  }
  return { ok: true, value: { file, warnings: found } };
}

/**
 * Reads JSON text; a byte order mark is passed over.
 *
 * @param text as typed or read
 * @returns the value, or the problem `not-json`
 */
export function readJson(text: string): Result<unknown> {
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown };
  } catch (error) {
    const words = error instanceof Error ? error.message : String(error);
    return { ok: false, problems: [problem('not-json', '', { text: words })] };
  }
}

/**
 * Reads the text of a person file. Problems as in {@link checkPersonFile}, and `not-json`.
 *
 * @param text as typed or read
 * @param now ISO date, against which dates are judged; null = they are not
 * @returns the person, or every problem by path
 */
export function readPersonFile(
  text: string,
  now: string | null,
): ReturnType<typeof checkPersonFile> {
  const json = readJson(text);
  return json.ok ? checkPersonFile(json.value, now) : json;
}

/**
 * A person as file text, with what was kept of them; what was held before stands in the sessions,
 * and the studio has a file of its own.
 *
 * @returns JSON text
 * @example
 * JSON.parse(writePersonFile(record)).format // → "stillwater.person"
 */
export const writePersonFile = ({
  held: _held,
  studio: _studio,
  ...record
}: PersonRecord & Partial<Sections>): string =>
  `${JSON.stringify({ format: PERSON_FORMAT, version: PERSON_VERSION, ...record }, null, 2)}\n`;
