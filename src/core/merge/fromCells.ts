import type { HomeDay } from '../person/homeDay.ts';
import type { Session } from '../sessions/session.ts';
import {
  type LogLine,
  ENTRY,
  type PersonCells,
  type PersonData,
  type Changes,
  CHANGE,
  toCanonicalJson,
} from './cells.ts';
import {
  SESSION,
  HOLD,
  FIELD,
  INTAKE,
  CAUTION,
  NOT_DONE,
  HOME,
  SCHOOL,
  EXTRA,
  READING,
  SET_UP,
  APPOINTMENT,
  FLOW,
} from './cellPaths.ts';
import type { Stamp } from './clock.ts';
import type { Intake, CautionEntry, NotDone, Person, AnswerChange } from '../person/person.ts';
import type { Reading } from '../measures/reading.ts';
import type { KeptSetUp } from '../whatIf/keptSetUp.ts';
import type { Appointment } from '../sessions/appointment.ts';
import type { Flow } from '../sequence/flow.ts';

const byKeys =
  <Item>(...keys: readonly ((item: Item) => string)[]) =>
  (a: Item, b: Item): number => {
    for (const key of keys) {
      const [left, right] = [key(a), key(b)];
      if (left !== right) return left < right ? -1 : 1;
    }
    return 0;
  };

interface SessionCell extends Omit<Session, 'holds' | 'entries'> {
  readonly order: readonly string[];
}

/** Sessions from their cells; holds stand in the order of the session, others behind them. */
function readSessions(
  values: ReadonlyMap<string, unknown>,
  lines: readonly LogLine[],
): readonly Session[] {
  const sessions = listValues<SessionCell>(values, SESSION);
  return sessions
    .map(({ order, ...own }): Session => {
      const isOwn = (path: string): boolean =>
        path.startsWith(HOLD) && (JSON.parse(path.slice(HOLD.length)) as string[])[0] === own.id;
      const holds = [...values]
        .filter(([path]) => isOwn(path))
        .map(([, value]) => value as Session['holds'][number]);
      const placeOf = (id: string): string => {
        const place = order.indexOf(id);
        return String(place < 0 ? order.length : place).padStart(6, '0');
      };
      const entries = lines.flatMap((line) =>
        line[0] === ENTRY && line[1] === own.id ? [line[2]] : [],
      );
      return {
        ...own,
        holds: holds.sort(
          byKeys(
            ({ id }) => placeOf(id),
            ({ id }) => id,
          ),
        ),
        entries: entries.sort(
          byKeys(
            ({ at }) => at,
            ({ id }) => id,
          ),
        ),
      };
    })
    .sort(
      byKeys(
        ({ plannedAt }) => plannedAt,
        ({ id }) => id,
      ),
    );
}

const listValues = <Value>(values: ReadonlyMap<string, unknown>, kind: string): Value[] =>
  [...values].filter(([path]) => path.startsWith(kind)).map(([, value]) => value as Value);

const readFields = (
  values: ReadonlyMap<string, unknown>,
  kind: string,
): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    [...values]
      .filter(([path]) => path.startsWith(kind))
      .map(([path, value]) => [path.slice(kind.length), value]),
  );

/**
 * The inverse of {@link toCells}. The holds and entries of a removed session are left out.
 *
 * @param id of the person
 * @returns what is stored
 */
export function fromCells(
  id: string,
  { cells, log }: PersonCells,
): { readonly data: PersonData; readonly changes: Changes } {
  const values = new Map<string, unknown>();
  const stamps: Record<string, Stamp> = {};
  const removed: Record<string, Stamp> = {};
  for (const [path, { json, stamp }] of [...cells].sort(byKeys(([path]) => path))) {
    if (json === null) {
      removed[path] = stamp;
      continue;
    }
    values.set(path, JSON.parse(json));
    if (stamp !== '') stamps[path] = stamp;
  }
  const lines = [...log].map((line) => JSON.parse(line) as LogLine);
  const home = listValues<HomeDay>(values, HOME).sort(
    byKeys(
      ({ day }) => day,
      ({ id: own }) => own,
    ),
  );
  const person = {
    id,
    ...readFields(values, FIELD),
    intake: readFields(values, INTAKE) as unknown as Intake,
    cautions: listValues<CautionEntry>(values, CAUTION).sort(
      byKeys(
        ({ since }) => since ?? '',
        ({ uid }) => uid,
      ),
    ),
    notDone: listValues<NotDone>(values, NOT_DONE).sort(
      byKeys(
        ({ at }) => at,
        ({ measure }) => measure,
        ({ side }) => side ?? '',
      ),
    ),
    schools: listValues<Person['schools'][number]>(values, SCHOOL).sort(
      byKeys(
        ({ at }) => at,
        ({ pose }) => pose,
        ({ rule }) => rule,
      ),
    ),
    ...(home.length === 0 ? {} : { home }),
    history: lines
      .flatMap((line) => (line[0] === CHANGE ? [line[1]] : []))
      .sort(
        byKeys<AnswerChange>(
          ({ at }) => at,
          ({ field }) => field,
          toCanonicalJson,
        ),
      ),
  } as unknown as Person;
  const data: PersonData = {
    person,
    extra: readFields(values, EXTRA),
    readings: listValues<Reading>(values, READING).sort(
      byKeys(
        ({ takenAt }) => takenAt,
        ({ id: own }) => own,
      ),
    ),
    setUps: listValues<KeptSetUp>(values, SET_UP).sort(
      byKeys(
        ({ keptAt }) => keptAt,
        ({ id: own }) => own,
      ),
    ),
    sessions: readSessions(values, lines),
    appointments: listValues<Appointment>(values, APPOINTMENT).sort(
      byKeys(
        ({ start }) => start,
        ({ id: own }) => own,
      ),
    ),
    flows: listValues<Flow>(values, FLOW).sort(
      byKeys(
        ({ name }) => name,
        ({ id: own }) => own,
      ),
    ),
  };
  return { data, changes: { stamps, removed } };
}
