import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  checkPersonFile,
  readPersonFile,
  writePersonFile,
} from '../../../src/core/formats/personFile.ts';
import { checkRules } from '../../../src/core/formats/rulesFile.ts';
import { checkSetUpRequest } from '../../../src/core/formats/setUpRequest.ts';
import { DEFAULT_RULES } from '../../../src/core/rules/houseRules.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const NOW = '2026-11-25T08:00:00Z';
const good = (): Record<string, unknown> =>
  JSON.parse(writePersonFile(recordOf(REFERENCE))) as Record<string, unknown>;

const codesOf = (value: unknown): string[] => {
  const checked = checkPersonFile(value, NOW);
  return checked.ok ? [] : [...new Set(checked.problems.map((each) => each.code))];
};

describe('person files', () => {
  it('come back as they went out', () => {
    const read = readPersonFile(writePersonFile(recordOf(REFERENCE)), NOW);
    expect(read.ok && read.value.file).toMatchObject(recordOf(REFERENCE));
  });

  const kept = {
    id: 'k1',
    pose: 'triangle',
    level: null,
    side: 'left',
    keptAt: '2026-11-20T10:00:00Z',
    rules: { depth: 'deepest' },
    moved: null,
    reason: 'steadier',
    settings: [
      { id: 'stance-length', value: 81.5, unit: 'cm', from: 'front-heel', to: 'back-heel' },
    ],
  };

  it('carry kept set-ups and chosen schools, and are older than both without them', () => {
    const schools = [
      { pose: 'triangle', rule: 'stance', option: 'wrists', reason: '', at: kept.keptAt },
    ];
    const person = { ...(good().person as object), schools };
    const file = { ...good(), person, setUps: [kept] };
    const read = checkPersonFile(file, NOW);
    expect(read.ok && read.value.file.setUps).toEqual([{ ...kept, rulesVersion: 1 }]);
    expect(read.ok && read.value.file.person.schools).toEqual(schools);
    const old = checkPersonFile(good(), NOW);
    expect(old.ok && old.value.file.setUps).toEqual([]);
  });

  it('refuse a kept set-up whose rules could not be planned with, by its place', () => {
    const read = checkPersonFile({ ...good(), setUps: [{ ...kept, rules: { stance: 'x' } }] }, NOW);
    expect(read.ok ? [] : read.problems.map((each) => each.path)).toEqual([
      'setUps[0].rules.stance',
    ]);
    expect(codesOf({ ...good(), setUps: [kept, kept] })).toEqual(['duplicate-id']);
  });

  it('keep fields that we do not know, on every level', () => {
    const file = good();
    file.school = { town: 'Vell' };
    (file.person as Record<string, unknown>).pronouns = 'they';
    (file.readings as Record<string, unknown>[])[0]!.mood = 'calm';
    const read = checkPersonFile(file, NOW);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const again = JSON.parse(writePersonFile(read.value.file)) as Record<string, unknown>;
    expect(again.school).toEqual({ town: 'Vell' });
    expect(again.person).toMatchObject({ pronouns: 'they' });
    expect((again.readings as unknown[])[0]).toMatchObject({ mood: 'calm' });
  });

  it('fill in what may be left out', () => {
    const read = checkPersonFile(
      {
        format: 'stillwater.person',
        version: 1,
        person: { id: 'a', name: 'A', experience: 'new' },
        readings: [],
      },
      NOW,
    );
    expect(read.ok && read.value.file.person).toMatchObject({
      cautions: [],
      notes: '',
      birthYear: null,
    });
  });

  it.each<[string, (file: Record<string, unknown>) => void, string]>([
    [
      'another format',
      (file) => {
        file.format = 'recipe';
      },
      'wrong-format',
    ],
    [
      'a newer version',
      (file) => {
        file.version = 4;
      },
      'newer-version',
    ],
    [
      'a missing name',
      (file) => {
        (file.person as Record<string, unknown>).name = '';
      },
      'wrong-shape',
    ],
    [
      'a word for a number',
      (file) => {
        (file.readings as Record<string, unknown>[])[3]!.value = 'long';
      },
      'wrong-shape',
    ],
    [
      'an id that stands twice',
      (file) => {
        const list = file.readings as Record<string, unknown>[];
        list[1]!.id = list[0]!.id;
      },
      'duplicate-id',
    ],
    [
      'an impossible length',
      (file) => {
        (file.readings as Record<string, unknown>[])[0]!.value = 1700;
      },
      'impossible-value',
    ],
    [
      'a reading from next year',
      (file) => {
        (file.readings as Record<string, unknown>[])[0]!.takenAt = '2027-11-02T09:10:00Z';
      },
      'in-the-future',
    ],
  ])('refuse %s', (_, spoil, code) => {
    const file = good();
    spoil(file);
    expect(codesOf(file)).toEqual([code]);
  });

  it.each([null, 3, [], 'text', undefined])('refuse %j without falling over', (value) => {
    expect(codesOf(value)).toEqual(['wrong-format']);
  });

  it('say where a shape is wrong, all places at once', () => {
    const file = good();
    (file.readings as Record<string, unknown>[])[3]!.value = 'long';
    (file.person as Record<string, unknown>).experience = 'expert';
    const checked = checkPersonFile(file, NOW);
    const paths = checked.ok ? [] : checked.problems.map((each) => each.path);
    expect(paths).toEqual(['person.experience', 'readings[3].value']);
  });

  it('refuse text that is not JSON, and pass over a byte order mark', () => {
    expect(readPersonFile('{"format":', NOW)).toMatchObject({
      ok: false,
      problems: [{ code: 'not-json' }],
    });
    expect(readPersonFile(`\uFEFF${writePersonFile(recordOf(REFERENCE))}`, NOW).ok).toBe(true);
  });

  it('of the demo are all readable and hold people of every state', () => {
    const names = readdirSync('public/demo').filter((each) => each !== 'index.json');
    const index = JSON.parse(readFileSync('public/demo/index.json', 'utf8')) as string[];
    expect(names.map((each) => each.replace('.json', '')).sort()).toEqual([...index].sort());
    for (const name of names) {
      const read = readPersonFile(readFileSync(`public/demo/${name}`, 'utf8'), NOW);
      expect(read.ok, name).toBe(true);
    }
    expect(names.length).toBeGreaterThanOrEqual(5);
  });
});

describe('house rules and requests', () => {
  it('take every default, and refuse what they do not know', () => {
    expect(checkRules(DEFAULT_RULES)).toMatchObject({ ok: true });
    expect(checkRules({ stance: 'very-long' })).toMatchObject({
      ok: false,
      problems: [{ path: 'rules.stance' }],
    });
    expect(checkRules({ mood: 'calm' })).toMatchObject({
      ok: false,
      problems: [{ path: 'rules.mood' }],
    });
    expect(checkRules(7).ok).toBe(false);
  });

  it('name every wrong field of a request', () => {
    const checked = checkSetUpRequest(
      { person: {}, pose: 3, side: 'up', rules: { backFootDeg: 400 } },
      NOW,
    );
    const paths = checked.ok ? [] : checked.problems.map((each) => each.path);
    expect(paths).toEqual(['person.format', 'pose', 'side', 'rules.backFootDeg']);
    expect(checkSetUpRequest(null, NOW).ok).toBe(false);
  });

  it('are refused in words when they nest too deep, whatever stands in them', () => {
    const nest = (depth: number): unknown => JSON.parse('['.repeat(depth) + ']'.repeat(depth));
    expect(codesOf({ ...good(), extra: nest(5_000) })).toEqual(['nested-too-deep']);
    expect(codesOf({ ...good(), extra: nest(40) })).toEqual([]);
  });

  it('name the first hundred problems, and count the rest', () => {
    const file = good();
    file.readings = Array.from({ length: 5_000 }, () => ({ ['x'.repeat(200)]: 1 }));
    const checked = checkPersonFile(file, null);
    if (checked.ok) throw new Error('taken');
    expect(checked.problems).toHaveLength(101);
    expect(checked.problems[100]!.message).toMatch(/^There are \d+ more problems\.$/);
    expect(JSON.stringify(checked.problems).length).toBeLessThan(60_000);
  });

  it('of more than 50,000 readings are refused', () => {
    const file = good();
    const [reading] = file.readings as Record<string, unknown>[];
    file.readings = Array.from({ length: 50_001 }, (_, i) => ({ ...reading, id: String(i) }));
    expect(codesOf(file)).toEqual(['wrong-shape']);
  });
});
