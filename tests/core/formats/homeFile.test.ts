import Ajv2020 from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import schema from '../../../docs/formats/home.schema.json' with { type: 'json' };
import { readHomeFile, type HomeFile } from '../../../src/core/formats/homeFile.ts';
import { checkPersonFile, writePersonFile } from '../../../src/core/formats/personFile.ts';
import { addHomeDays, isToCome, takeBackHomeDays } from '../../../src/core/person/homeDay.ts';
import { listTimeline } from '../../../src/core/progress/timeline.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const NOW = '2026-11-30T20:00:00.000Z';
const RECORD = recordOf(REFERENCE);
const { person } = RECORD;

const FILE: HomeFile = {
  format: 'stillwater.home',
  version: 1,
  sheet: 'sheet 1',
  person: { id: person.id, name: person.name },
  days: [
    { line: 1, day: '2026-11-28', poses: ['triangle', 'pyramid'], words: 'long calves' },
    { line: 2, day: '2026-11-29', poses: [], words: 'rested' },
  ],
};

const read = (file: unknown) => readHomeFile(JSON.stringify(file), person, NOW);
const daysOf = (file: unknown) => {
  const answer = read(file);
  if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
  return answer.value;
};
const problemsOf = (file: unknown) => {
  const answer = read(file);
  return answer.ok ? [] : answer.problems.map(({ code, path }) => [code, path]);
};

describe('days that are handed back', () => {
  it('come in as they were written, reported by the person', () => {
    expect(new Ajv2020({ strict: false }).compile(schema)(FILE)).toBe(true);
    expect(daysOf(FILE)[0]).toEqual({
      id: 'sheet 1 1',
      day: '2026-11-28',
      poses: ['triangle', 'pyramid'],
      words: 'long calves',
      by: 'file',
      takenInAt: NOW,
    });
  });

  it('are refused with the reason where they cannot be theirs, or not yet', () => {
    const [day] = FILE.days;
    expect(problemsOf({ ...FILE, person: { id: 'x', name: 'Ada' } })).toEqual([
      ['home-of-another', 'person.id'],
    ]);
    expect(problemsOf({ ...FILE, days: [{ ...day, day: '2026-12-09' }] })).toEqual([
      ['day-to-come', 'days[0].day'],
    ]);
    expect(problemsOf({ ...FILE, days: [{ ...day, day: '' }] })[0]![1]).toBe('days[0].day');
    expect(problemsOf({ ...FILE, format: 'stillwater.person' })[0]![1]).toBe('format');
    const broken = readHomeFile('{', person, NOW);
    expect(broken.ok ? [] : broken.problems.map(({ code }) => code)).toEqual(['not-json']);
  });

  it('may be of a day that has begun on the other side of the Earth', () => {
    expect(isToCome('2026-12-01', NOW)).toBe(false);
    expect(isToCome('2026-12-02', NOW)).toBe(true);
  });

  it('replace their own line when they come in again, and can be taken back', () => {
    const first = addHomeDays([], daysOf(FILE));
    const [day, other] = FILE.days;
    const later = daysOf({ ...FILE, days: [{ ...day, words: 'longer calves' }, other] });
    const both = addHomeDays(first, later);
    expect(both.map(({ words }) => words)).toEqual(['longer calves', 'rested']);
    const since = { ...first[1]!, id: 'typed', day: '2026-11-30' };
    expect(takeBackHomeDays(addHomeDays(both, [since]), later, first)).toEqual([...first, since]);
  });

  it('stand in the record as the person’s own words, and in the person file', () => {
    const record = { ...RECORD, person: { ...person, home: addHomeDays([], daysOf(FILE)) } };
    const told = listTimeline(record, [], []).filter(({ kind }) => kind === 'home');
    expect(told.map(({ words, details }) => [words, ...details])).toEqual([
      ['Practised at home, as they reported', '“rested”'],
      ['Practised at home, as they reported: Triangle, Pyramid', '“long calves”'],
    ]);
    const back = checkPersonFile(JSON.parse(writePersonFile(record)), NOW);
    expect(back.ok && back.value.file.person.home).toEqual(record.person.home);
  });
});
