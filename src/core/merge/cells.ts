import type { Person, AnswerChange } from '../person/person.ts';
import type { Reading } from '../measures/reading.ts';
import type { KeptSetUp } from '../whatIf/keptSetUp.ts';
import type { Session, SessionEntry } from '../sessions/session.ts';
import type { Flow } from '../sequence/flow.ts';
import type { Appointment } from '../sessions/appointment.ts';
import { type Stamp, tick } from './clock.ts';
import {
  FIELD,
  INTAKE,
  CAUTION,
  NOT_DONE,
  joinKeys,
  HOME,
  SCHOOL,
  EXTRA,
  READING,
  SET_UP,
  APPOINTMENT,
  FLOW,
  toPicturePath,
  SESSION,
  HOLD,
} from './cellPaths.ts';

/** Everything that is kept of one person. */
export interface PersonData {
  readonly person: Person;
  readonly readings: readonly Reading[];
  readonly setUps: readonly KeptSetUp[];
  readonly sessions: readonly Session[];
  readonly appointments: readonly Appointment[];
  readonly flows: readonly Flow[];
  /** Top-level fields of a file that we do not know. */
  readonly extra: Readonly<Record<string, unknown>>;
}

/** When each field and record of a person was last changed, or removed, by its path. */
export interface Changes {
  readonly stamps: Readonly<Record<string, Stamp>>;
  readonly removed: Readonly<Record<string, Stamp>>;
}

/** One field or record: canonical JSON, null = removed. */
export interface Cell {
  readonly json: string | null;
  readonly stamp: Stamp;
}

/** A person as cells that are merged one by one. */
export interface PersonCells {
  readonly cells: ReadonlyMap<string, Cell>;
  /** What only ever grows: changes of answers, and entries of sessions by session. */
  readonly log: ReadonlySet<string>;
}

/** A path and its value. */
type PathValue = readonly [path: string, value: unknown];

/**
 * JSON that is the same text for the same value.
 *
 * @param value any JSON value
 * @returns JSON with its keys in order
 */
export function toCanonicalJson(value: unknown): string {
  return JSON.stringify(value, (_, each: unknown) =>
    typeof each === 'object' && each !== null && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
      : each,
  );
}

/**
 * A person's fields as cells that are merged one by one.
 *
 * @param person as stored
 * @param extra fields of an imported file that we do not know
 * @returns path and value of each
 */
export function listPersonCells(person: Person, extra: PersonData['extra']): readonly PathValue[] {
  const {
    id: _id,
    intake,
    cautions,
    notDone,
    schools,
    home = [],
    history: _history,
    ...fields
  } = person;
  return [
    ...Object.entries(fields).map(([field, value]): PathValue => [FIELD + field, value]),
    ...Object.entries(intake).map(([field, value]): PathValue => [INTAKE + field, value]),
    ...cautions.map((each): PathValue => [CAUTION + each.uid, each]),
    ...notDone.map((each): PathValue => [NOT_DONE + joinKeys(each.measure, each.side), each]),
    ...schools.map((each): PathValue => [SCHOOL + joinKeys(each.pose, each.rule), each]),
    ...home.map((each): PathValue => [HOME + each.id, each]),
    ...Object.entries(extra).map(([field, value]): PathValue => [EXTRA + field, value]),
  ];
}

/**
 * A reading as a cell that is merged.
 *
 * @param reading as stored
 * @returns one cell
 */
export const listReadingCells = (reading: Reading): readonly PathValue[] => [
  [READING + reading.id, reading],
];

/**
 * A kept set-up as a cell that is merged.
 *
 * @param setUp as stored
 * @returns one cell
 */
export const listSetUpCells = (setUp: KeptSetUp): readonly PathValue[] => [
  [SET_UP + setUp.id, setUp],
];

/**
 * An appointment as cells that are merged.
 *
 * @param each the appointment
 * @returns one cell
 */
export const listAppointmentCells = (each: Appointment): readonly PathValue[] => [
  [APPOINTMENT + each.id, each],
];

/**
 * A flow as a cell that is merged.
 *
 * @param flow as stored
 * @returns one cell
 */
export const listFlowCells = (flow: Flow): readonly PathValue[] => [[FLOW + flow.id, flow]];

/**
 * Pictures leave no file of a person; that one was deleted is kept, so that it stays deleted.
 *
 * @returns one cell
 */
export const listPictureCells = ({ id }: { readonly id: string }): readonly PathValue[] => [
  [toPicturePath(id), id],
];

/**
 * A session's own fields with the order of its holds, and each hold; its entries only grow.
 *
 * @returns path and value of each
 */
export function listSessionCells({
  holds,
  entries: _entries,
  ...own
}: Session): readonly PathValue[] {
  const order = holds.map(({ id }) => id);
  return [
    [SESSION + own.id, { ...own, order }],
    ...holds.map((hold): PathValue => [HOLD + joinKeys(own.id, hold.id), hold]),
  ];
}

export const CHANGE = 'change';

export const ENTRY = 'entry';

export type LogLine =
  readonly [typeof CHANGE, AnswerChange] | readonly [typeof ENTRY, string, SessionEntry];

/**
 * A change of a person's answers as a line of the log.
 *
 * @param change what was changed, when
 * @returns the same text for the same change
 */
export const toChangeLine = (change: AnswerChange): string => toCanonicalJson([CHANGE, change]);

/** The device that changes without a stamp are said to come from. */
const FROM_HISTORY = 'history';

/**
 * When the answers of a file without times of change were last changed, as far as its
 * history shows.
 *
 * @returns a stamp for each answer that stands in the history
 */
export function datesFromHistory({ history, intake }: Person): Changes {
  const stamps: Record<string, Stamp> = {};
  for (const { field, at } of history) {
    const path = (field in intake ? INTAKE : FIELD) + field;
    const ms = Date.parse(at);
    if (!field.includes(' ') && ms > 0) stamps[path] = tick('', ms, FROM_HISTORY);
  }
  return { stamps, removed: {} };
}

/**
 * A person with what is known of each change, as cells. What has no stamp gets an unknown one.
 *
 * @param data the person with everything that is kept of them
 * @param changes when each was changed
 * @returns cells by path
 */
export function toCells(data: PersonData, changes: Changes): PersonCells {
  const entries = [
    ...listPersonCells(data.person, data.extra),
    ...data.readings.flatMap(listReadingCells),
    ...data.setUps.flatMap(listSetUpCells),
    ...data.sessions.flatMap(listSessionCells),
    ...data.appointments.flatMap(listAppointmentCells),
    ...data.flows.flatMap(listFlowCells),
  ];
  const cells = new Map<string, Cell>();
  for (const [path, stamp] of Object.entries(changes.removed))
    cells.set(path, { json: null, stamp });
  for (const [path, value] of entries) {
    if (value === undefined) continue;
    cells.set(path, { json: toCanonicalJson(value), stamp: changes.stamps[path] ?? '' });
  }
  const log = [
    ...data.person.history.map(toChangeLine),
    ...data.sessions.flatMap(({ id, entries: own }) =>
      own.map((entry) => toCanonicalJson([ENTRY, id, entry])),
    ),
  ];
  return { cells, log: new Set(log) };
}
