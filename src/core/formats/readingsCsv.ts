import { toTenths } from '../units/rounding.ts';
import Papa from 'papaparse';
import { checkReading } from '../measures/checkReading.ts';
import { PROTOCOLS } from '../measures/protocols/index.ts';
import { FORMULA_CELL, readCell } from './csvCells.ts';
import type { Protocol, Side } from '../measures/protocol.ts';
import type { Reading } from '../measures/reading.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import { cmFromMetres } from '../units/brands.ts';
import { readAngle, readLength } from '../units/readQuantity.ts';

/** What a table's columns may hold. `measure` and `value` are needed, the rest may be missing. */
export const CSV_FIELDS = [
  'id',
  'measure',
  'side',
  'value',
  'unit',
  'takenAt',
  'state',
  'posture',
  'instrument',
  'note',
  'takenBy',
  'setAside',
] as const;
export type CsvField = (typeof CSV_FIELDS)[number];

/** Which column holds what; null = no column does. */
export type CsvMapping = Readonly<Record<CsvField, string | null>>;

export interface CsvTable {
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
}

/** More rows than this are no person's readings. Our choice. */
const MOST_ROWS = 20_000;

/** A reading that is set aside goes out with its reason. */
const writeField = (reading: Reading, field: CsvField): string | number =>
  (field === 'setAside' ? reading.setAside?.reason : reading[field]) ?? '';

/**
 * One reading a row, in the order of {@link CSV_FIELDS}; centimetres, degrees, seconds.
 * Simulated ones stay out: a table cannot say what they are.
 *
 * @param readings of one person, in any order
 * @returns the text of a table
 */
export const writeReadingsCsv = (readings: readonly Reading[]): string =>
  `${Papa.unparse(
    {
      fields: [...CSV_FIELDS],
      data: readings
        .filter(({ isSimulated }) => isSimulated !== true)
        .map((each) => CSV_FIELDS.map((field) => writeField(each, field))),
    },
    { escapeFormulae: FORMULA_CELL },
  )}\r\n`;

/**
 * Reads a table whose first row names its columns; comma, semicolon or tab between them.
 *
 * @param text as typed or read
 * @returns problems: `csv-empty`, `csv-too-long`, `csv-broken` with its row
 */
export function readCsv(text: string): Result<CsvTable> {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim(),
    preview: MOST_ROWS + 1,
  });
  const columns = (parsed.meta.fields ?? []).filter((each) => each !== '');
  if (columns.length === 0 || parsed.data.length === 0) {
    return { ok: false, problems: [problem('csv-empty', '', {})] };
  }
  if (parsed.data.length > MOST_ROWS) {
    return { ok: false, problems: [problem('csv-too-long', '', { most: MOST_ROWS })] };
  }
  // A row with too few cells is reported by what it lacks; quotes that never close break everything.
  const broken = parsed.errors.filter((each) => each.type === 'Quotes');
  if (broken.length > 0) {
    const problems = broken.map(({ row, message }) =>
      problem('csv-broken', nameRow(row ?? 0), { text: message }),
    );
    return { ok: false, problems };
  }
  return { ok: true, value: { columns, rows: parsed.data } };
}

/** Other names under which a column may hold a field. */
const SYNONYMS: Readonly<Record<CsvField, readonly string[]>> = {
  id: ['id'],
  measure: ['measure', 'measurement', 'test', 'what'],
  side: ['side', 'left/right', 'leg'],
  value: ['value', 'reading', 'result', 'number'],
  unit: ['unit', 'units'],
  takenAt: ['takenat', 'taken at', 'taken', 'date', 'when', 'day'],
  state: ['state', 'cold or warm', 'warm'],
  posture: ['posture', 'position'],
  instrument: ['instrument', 'tool', 'with'],
  note: ['note', 'notes', 'remark', 'comment'],
  takenBy: ['takenby', 'taken by', 'by', 'measurer', 'who'],
  setAside: ['setaside', 'set aside', 'ignored because'],
};

/**
 * A first guess at which column holds what, by its name.
 *
 * @param columns their names
 * @returns fields that no column fits are left out
 */
export function guessMapping(columns: readonly string[]): CsvMapping {
  const find = (field: CsvField): string | null =>
    columns.find((each) => SYNONYMS[field].includes(each.toLowerCase().replace(/[_-]/g, ' '))) ??
    null;
  return Object.fromEntries(CSV_FIELDS.map((field) => [field, find(field)])) as CsvMapping;
}

const plain = (text: string): string => text.trim().toLowerCase().replace(/[_ ]+/g, '-');

/** A measure by its id, its name or its plain name. */
const findProtocol = (text: string): Protocol | null =>
  PROTOCOLS.find((each) =>
    [each.id, plain(each.name), plain(each.plainName)].includes(plain(text)),
  ) ?? null;

const SIDE_WORDS: Readonly<Record<string, Side>> = {
  l: 'left',
  left: 'left',
  r: 'right',
  right: 'right',
};

/** Row of the file as a spreadsheet counts: its first row holds the names. */
const nameRow = (index: number): string => `row ${String(index + 2)}`;

function readValue(text: string, unit: string, protocol: Protocol, path: string): Result<number> {
  const withUnit = `${text.trim()} ${unit.trim()}`.trim();
  if (protocol.unit === 'cm') {
    const length = readLength(withUnit, 'cm', path);
    return length.ok ? { ok: true, value: cmFromMetres(length.value) } : length;
  }
  if (protocol.unit === 's') {
    const seconds = Number(text.replace(',', '.').replace(/ ?s(ec)?$/i, ''));
    return text.trim() !== '' && Number.isFinite(seconds)
      ? { ok: true, value: seconds }
      : { ok: false, problems: [problem('not-a-number', path, { text })] };
  }
  const angle = readAngle(withUnit, path);
  return angle.ok ? { ok: true, value: (angle.value * 180) / Math.PI } : angle;
}

/**
 * A dry run: every row as a reading, or what is wrong with it.
 *
 * @param mapping which column holds what
 * @param takenToday ISO date for rows without one
 * @returns readings of the rows that can come in, and problems by row and field; the same row has
 *   the same id every time, so that a table that comes in twice changes nothing
 */
export function planCsv(
  { rows }: CsvTable,
  mapping: CsvMapping,
  takenToday: string,
): { readonly readings: readonly Reading[]; readonly problems: readonly Problem[] } {
  const readings: Reading[] = [];
  const problems: Problem[] = [];
  const seen = new Map<string, number>();
  rows.forEach((row, index) => {
    const cell = (field: CsvField): string => {
      const column = mapping[field];
      return column === null ? '' : readCell((row[column] ?? '').trim());
    };
    const path = (field: CsvField): string => `${nameRow(index)}, ${mapping[field] ?? field}`;
    const protocol = findProtocol(cell('measure'));
    if (protocol === null) {
      problems.push(problem('csv-unknown-measure', path('measure'), { text: cell('measure') }));
      return;
    }
    const value = readValue(cell('value'), cell('unit'), protocol, path('value'));
    if (!value.ok) {
      problems.push(...value.problems);
      return;
    }
    const sideText = cell('side').toLowerCase();
    const side = SIDE_WORDS[sideText] ?? null;
    if (sideText !== '' && side === null) {
      problems.push(problem('not-a-side', path('side'), { text: cell('side') }));
      return;
    }
    const date = cell('takenAt') === '' ? takenToday : cell('takenAt');
    const at = Date.parse(date);
    const takenAt = Number.isNaN(at) ? date : new Date(at).toISOString();
    const state = cell('state').toLowerCase();
    const key = ['csv', protocol.id, side ?? '', takenAt, toTenths(value.value)].join(' ');
    const repeat = (seen.get(key) ?? 0) + 1;
    // An id is taken as it stands, its spaces too.
    const givenId = mapping.id === null ? '' : readCell(row[mapping.id] ?? '');
    seen.set(key, repeat);
    const reading: Reading = {
      id: givenId === '' ? (repeat === 1 ? key : `${key} #${String(repeat)}`) : givenId,
      measure: protocol.id,
      side,
      value: toTenths(value.value),
      unit: protocol.unit,
      raw: { row },
      instrument: cell('instrument') === '' ? 'other' : cell('instrument'),
      posture: cell('posture') === '' ? null : cell('posture'),
      state: state === 'cold' || state === 'warm' ? state : null,
      takenAt,
      note: cell('note'),
      ...(cell('takenBy') === '' ? {} : { takenBy: cell('takenBy') }),
      ...(cell('setAside') === '' ? {} : { setAside: { reason: cell('setAside'), at: takenAt } }),
    };
    const found = checkReading(reading, nameRow(index), takenToday);
    problems.push(...found);
    if (!found.some((each) => each.severity === 'error')) readings.push(reading);
  });
  return { readings, problems };
}
