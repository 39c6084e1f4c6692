import { FORMULA_CELL } from './csvCells.ts';
import Papa from 'papaparse';
import { readSession, type LoggedHold, type SessionState } from '../sessions/readSession.ts';
import type { Session } from '../sessions/session.ts';
import type { SettingId } from '../setup/settingKinds.ts';

type CsvRow = readonly [session: Session, hold: LoggedHold, state: SessionState];
type CsvCell = string | number | boolean | null;

const planned =
  (id: SettingId) =>
  ([, { plan }]: CsvRow): CsvCell =>
    plan.settings.find((each) => each.id === id)?.value ?? null;

const decided = ([, { plan }, { decisions }]: CsvRow):
  SessionState['decisions'][number] | undefined =>
  decisions.find(({ pose, side }) => pose === plan.pose && side === plan.side);

/** What stands in each column; centimetres, degrees, dates in UTC. */
const COLUMNS: readonly (readonly [string, (row: CsvRow) => CsvCell])[] = [
  ['session', ([session]) => session.id],
  ['hold', ([, { plan }]) => plan.id],
  ['at', ([, { at }]) => at],
  ['timeZone', ([session]) => session.timeZone],
  ['pose', ([, { plan }]) => plan.pose],
  ['side', ([, { plan }]) => plan.side],
  ['level', ([, { plan, notes }]) => notes.level ?? plan.level],
  ['outcome', ([, { notes }]) => notes.outcome],
  ['swappedFor', ([, { notes }]) => notes.swappedFor],
  ['breaths', ([, { notes }]) => notes.breaths],
  ['rounds', ([, { notes }]) => notes.rounds],
  ['depth', ([, { plan, notes }]) => notes.used?.depth ?? plan.depth],
  ['stanceCm', (row) => row[1].notes.used?.stanceCm ?? planned('stance-length')(row)],
  ['handCm', (row) => row[1].notes.used?.handCm ?? planned('hand-height')(row)],
  ['backFootDeg', (row) => row[1].notes.used?.backFootDeg ?? planned('back-foot-angle')(row)],
  ['errors', ([, { notes }]) => notes.errors.join(' ')],
  ['felt', ([, { notes }]) => notes.felt.map(({ place, how }) => `${place}: ${how}`).join('; ')],
  ['breath', ([, { notes }]) => notes.breath],
  ['pain', ([, { notes }]) => notes.pain?.score ?? null],
  ['painPlace', ([, { notes }]) => notes.pain?.place ?? null],
  ['painKind', ([, { notes }]) => notes.pain?.kind ?? null],
  ['painRising', ([, { notes }]) => notes.pain?.rising ?? null],
  ['sign', ([, { notes }]) => notes.sign],
  ['signClearedBy', ([, { cleared }]) => cleared?.by ?? null],
  ['isHarder', ([, { notes }]) => notes.isHarder],
  ['note', ([, { notes }]) => notes.note],
  ['offered', (row) => decided(row)?.verdict.kind ?? null],
  ['decided', (row) => decided(row)?.kind ?? null],
  ['reason', (row) => decided(row)?.reason ?? null],
];

/**
 * Every hold that was noted, one a row, oldest session first.
 *
 * @param sessions of this person, in any order
 * @returns the text of a table
 */
export function writeSessionsCsv(sessions: readonly Session[]): string {
  const rows = sessions
    .toSorted((a, b) => a.plannedAt.localeCompare(b.plannedAt))
    .flatMap((session): CsvRow[] => {
      const state = readSession(session);
      return state.holds
        .filter(({ at }) => at !== null)
        .map((hold) => [session, hold, state] as const);
    });
  const table = {
    fields: COLUMNS.map(([name]) => name),
    data: rows.map((row) => COLUMNS.map(([, read]) => read(row) ?? '')),
  };
  return `${Papa.unparse(table, { escapeFormulae: FORMULA_CELL })}\r\n`;
}
