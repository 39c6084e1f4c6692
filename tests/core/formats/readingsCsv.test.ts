import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import {
  guessMapping,
  planCsv,
  readCsv,
  writeReadingsCsv,
  type CsvTable,
} from '../../../src/core/formats/readingsCsv.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const NOW = '2026-11-25T09:00:00.000Z';

function tableOf(text: string): CsvTable {
  const read = readCsv(text);
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.value;
}
const plan = (text: string): ReturnType<typeof planCsv> => {
  const table = tableOf(text);
  return planCsv(table, guessMapping(table.columns), NOW);
};

describe('readings as a table', () => {
  it('go out and come in the same', () => {
    const { readings } = recordOf({ ...REFERENCE, 'single-leg-balance': { left: 12, right: 31 } });
    const noted = readings.map((each, i) => ({
      ...each,
      note: i === 0 ? 'a "quote", and\na line' : '',
      ...(i === 1 ? { takenBy: 'Tove' } : {}),
      ...(i === 2 ? { setAside: { reason: 'pelvis rolled', at: each.takenAt } } : {}),
    }));
    const back = plan(writeReadingsCsv(noted));
    expect(back.problems.filter((each) => each.severity === 'error')).toEqual([]);
    const bare = (list: typeof noted): unknown =>
      list.map(({ id, measure, side, value, unit, state, note, takenAt, takenBy, setAside }) => ({
        id,
        measure,
        side,
        value: Math.round(value * 10) / 10,
        unit,
        state,
        note,
        takenBy: takenBy ?? null,
        setAside: setAside?.reason ?? null,
        takenAt: Date.parse(takenAt),
      }));
    expect(bare([...back.readings] as typeof noted)).toEqual(bare(noted));
  });

  it('are read in any column order, with names, units and sides as people write them', () => {
    const { readings, problems } = plan(
      'Date;Leg;What;Reading;Units;Remark\n' +
        '2026-10-01;L;Straight-leg raise;82,5;deg;\n' +
        '2026-10-01;right;leg length;32 1/4;in;with socks\n' +
        '2026-10-01;;Stature;1.7;m;\n',
    );
    expect(problems.filter((each) => each.severity === 'error')).toEqual([]);
    expect(readings.map((each) => [each.measure, each.side, each.value, each.unit])).toEqual([
      ['straight-leg-raise', 'left', 82.5, 'deg'],
      ['leg-length', 'right', 81.9, 'cm'],
      ['stature', null, 170, 'cm'],
    ]);
    expect(readings[1]!.note).toBe('with socks');
    expect(readings[0]!.takenAt).toBe('2026-10-01T00:00:00.000Z');
  });

  it('have the same ids each time, and two equal rows are two readings', () => {
    const text =
      'measure,side,value,date\nhip opening,left,55,2026-10-01\nhip opening,left,55,2026-10-01\n';
    const [first, again] = [plan(text), plan(text)];
    expect(first.readings.map((each) => each.id)).toEqual(again.readings.map((each) => each.id));
    expect(new Set(first.readings.map((each) => each.id)).size).toBe(2);
  });

  it('name every row and column that cannot come in, and let the others pass', () => {
    const { readings, problems } = plan(
      'measure,side,value,date\n' +
        'hip opening,left,55,2026-10-01\n' +
        'hip swing,left,55,2026-10-01\n' +
        'hip opening,top,55,2026-10-01\n' +
        'hip opening,left,fifty,2026-10-01\n' +
        'hip opening,,55,2026-10-01\n' +
        'hip opening,left,-20,2026-10-01\n' +
        'hip opening,left,NaN,2026-10-01\n' +
        'hip opening,left,55,soon\n' +
        'hip opening,left,55,2027-10-01\n' +
        'single-leg balance,left,many,2026-10-01\n',
    );
    expect(readings).toHaveLength(1);
    const errors = problems.filter((each) => each.severity === 'error');
    expect(errors.map((each) => each.code)).toEqual([
      'csv-unknown-measure',
      'not-a-side',
      'not-an-angle',
      'side-missing',
      'impossible-value',
      'not-an-angle',
      'not-a-date',
      'in-the-future',
      'not-a-number',
    ]);
    expect(errors[0]!.path).toBe('row 3, measure');
    expect(errors[3]!.path).toMatch(/^row 6/);
  });

  it('asks whether 34 was meant in inches', () => {
    const { problems } = plan('measure,side,value\nleg length,left,34\n');
    expect(`${problems[0]!.message} ${problems[0]!.hint}`).toMatch(/in inches\? 34 in is 86.4 cm/);
  });

  it.each([
    ['', 'csv-empty'],
    ['measure,side,value\n', 'csv-empty'],
    ['measure,value\n"hip opening,55\nx,1\n', 'csv-broken'],
    [`measure,value\n${'stature,170\n'.repeat(100_000)}`, 'csv-too-long'],
  ])('refuses %.30j with %s', (text, code) => {
    const read = readCsv(text);
    expect(read.ok ? [] : read.problems.map((each) => each.code)).toEqual([code]);
  });

  it('reads a picture or noise without falling over', () => {
    const noise = String.fromCharCode(...Array.from({ length: 500 }, (_, i) => (i * 73) % 256));
    const read = readCsv(noise);
    if (read.ok) {
      const { readings } = planCsv(read.value, guessMapping(read.value.columns), NOW);
      expect(readings).toEqual([]);
    } else {
      expect(read.problems.length).toBeGreaterThan(0);
    }
  });

  it('protects what a spreadsheet would run as a formula, and brings it back unchanged', () => {
    const notes = [
      '=HYPERLINK("x")',
      '+1',
      '-2 cups',
      '@sum',
      '\u0001bell',
      "'=kept",
      "''-",
      'plain',
    ];
    const [first] = recordOf(REFERENCE).readings;
    const readings = notes.map((note, i) => ({ ...first!, id: `=${String(i)}`, note }));
    const text = writeReadingsCsv(readings);
    const cells = Papa.parse<string[]>(text).data.flat();
    const starts = ['=', '+', '-', '@', '\u0001'];
    expect(cells.filter((each) => starts.includes(each.charAt(0)))).toEqual([]);
    const table = readCsv(text);
    if (!table.ok) throw new Error('not read');
    const { readings: back } = planCsv(
      table.value,
      guessMapping(table.value.columns),
      '2026-11-29T10:00:00Z',
    );
    expect(back.map(({ id, note }) => [id, note])).toEqual(
      readings.map(({ id, note }) => [id, note]),
    );
  });
});
