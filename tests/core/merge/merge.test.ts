import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkPersonFile, writePersonFile } from '../../../src/core/formats/personFile.ts';
import { fromCells } from '../../../src/core/merge/fromCells.ts';
import {
  toCanonicalJson,
  toCells,
  toChangeLine,
  type Cell,
  type PersonCells,
} from '../../../src/core/merge/cells.ts';
import { tick } from '../../../src/core/merge/clock.ts';
import { mergeCells } from '../../../src/core/merge/merge.ts';
import type { CautionEntry, Person } from '../../../src/core/person/person.ts';
import { findStopSigns } from '../../../src/core/cautions/stopSigns.ts';
import { makeRandom } from '../../support/random.ts';
import { PERSON, recordOf, REFERENCE } from '../../support/people.ts';

const show = ({ cells, log }: PersonCells): unknown => ({
  cells: [...cells].sort(([a], [b]) => (a < b ? -1 : 1)),
  log: [...log].sort(),
});

const stamp = fc.oneof(
  fc.constant(''),
  fc
    .tuple(
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 0, max: 2 }),
      fc.constantFrom('a', 'b'),
    )
    .map(([ms, count, device]) => `${String(ms).padStart(13, '0')}-000${String(count)}-${device}`),
);
const path = fc.constantFrom(
  'person/name',
  'person/notes',
  'intake/hurts',
  'reading/1',
  'caution/1',
);
const cell: fc.Arbitrary<Cell> = fc.record({
  stamp,
  json: fc.oneof(fc.constant(null), fc.constantFrom('"one"', '"two"', '"three"', 'null')),
});
const state: fc.Arbitrary<PersonCells> = fc
  .tuple(fc.array(fc.tuple(path, cell)), fc.array(fc.constantFrom('1', '2', '3')))
  .map(([cells, log]) => ({
    cells: new Map(cells),
    log: new Set(
      log.map((each) =>
        toChangeLine({ at: '2026-11-01T10:00:00Z', field: each, from: '', to: each }),
      ),
    ),
  }));

describe('merging, whatever the two states', () => {
  it('does not depend on which comes first', () => {
    fc.assert(
      fc.property(state, state, (a, b) => {
        expect(show(mergeCells(a, b))).toEqual(show(mergeCells(b, a)));
      }),
      { numRuns: 500 },
    );
  });

  it('does not depend on how three are grouped', () => {
    fc.assert(
      fc.property(state, state, state, (a, b, c) => {
        expect(show(mergeCells(mergeCells(a, b), c))).toEqual(
          show(mergeCells(a, mergeCells(b, c))),
        );
      }),
      { numRuns: 1000 },
    );
  });

  it('changes nothing when it is done again', () => {
    fc.assert(
      fc.property(state, state, (a, b) => {
        const once = mergeCells(a, b);
        expect(show(mergeCells(once, b))).toEqual(show(once));
        expect(show(mergeCells(a, a))).toEqual(show(a));
      }),
      { numRuns: 500 },
    );
  });

  it('loses no record, no line of a log, and no answer but into the history', () => {
    fc.assert(
      fc.property(state, state, (a, b) => {
        const merged = mergeCells(a, b);
        const lines = [...merged.log].join('\n');
        for (const each of [a, b]) {
          for (const line of each.log) expect(merged.log.has(line)).toBe(true);
          for (const [at, { json }] of each.cells) {
            const now = merged.cells.get(at)!;
            const isAnswer = at.startsWith('person/') || at.startsWith('intake/');
            if (now.json !== json && isAnswer && json !== null && json !== 'null') {
              expect(lines).toContain(`"to":${json}`);
            }
          }
        }
      }),
      { numRuns: 500 },
    );
  });
});

describe('the clock', () => {
  it('never runs behind what it has seen, and sorts as text', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 9_999_999_999_999 }), { minLength: 2 }),
        (times) => {
          let last = '';
          for (const now of times) {
            const next = tick(last, now, 'here');
            expect(next > last).toBe(true);
            last = next;
          }
        },
      ),
    );
    expect(tick('0000000000007-ffff-here', 3, 'here')).toBe('0000000000008-0000-here');
  });
});

/** A device: what it holds, its clock, and how wrong that is. */
class Device {
  private readonly name: string;
  private readonly wrongBy: number;
  private readonly random: () => number;
  state: PersonCells;
  private last = '';

  constructor(name: string, wrongBy: number, random: () => number, state: PersonCells) {
    this.name = name;
    this.wrongBy = wrongBy;
    this.random = random;
    this.state = state;
  }

  private write(path: string, value: unknown, now: number): void {
    const json = value === undefined ? null : toCanonicalJson(value);
    this.last = tick(this.last, now + this.wrongBy, this.name);
    this.state = {
      ...this.state,
      cells: new Map([...this.state.cells, [path, { json, stamp: this.last }]]),
    };
  }

  /** One thing that is added, edited or removed. */
  act(now: number): void {
    const { random } = this;
    const id = `${this.name}${String(now)}`;
    const paths = [...this.state.cells.keys()].filter((each) => each.startsWith('reading/'));
    const some = paths[Math.floor(random() * paths.length)]!;
    const what = random();
    if (what < 0.3) {
      this.write(`person/notes`, `note of ${id}`, now);
    } else if (what < 0.55) {
      const reading = { ...recordOf(REFERENCE).readings[0]!, id, value: 160 + random() };
      this.write(`reading/${id}`, reading, now);
    } else if (what < 0.7) {
      this.write(some, undefined, now);
    } else if (what < 0.85) {
      const sign: CautionEntry = {
        uid: id,
        id: 'tingling',
        side: null,
        since: '2026-11-01',
        severity: 'stop',
        clearedBy: null,
        clearedAt: null,
        note: '',
      };
      this.write(`caution/${id}`, sign, now);
    } else {
      for (const { uid, ...sign } of this.person().cautions) {
        const cleared = { ...sign, uid, clearedBy: this.name, clearedAt: '2026-11-02' };
        this.write(`caution/${uid}`, cleared, now);
      }
    }
  }

  person(): Person {
    return fromCells(PERSON.id, this.state).data.person;
  }

  /** As a file leaves this device and is read by another. */
  toFile(): PersonCells {
    const { data, changes } = fromCells(PERSON.id, this.state);
    const { extra, ...known } = data;
    const checked = checkPersonFile(
      JSON.parse(writePersonFile({ ...known, ...extra, changes })),
      null,
    );
    if (!checked.ok) throw new Error(checked.problems[0]!.message);
    const { file } = checked.value;
    return toCells({ ...file, extra: {} }, file.changes);
  }

  take(other: PersonCells): void {
    this.state = mergeCells(this.state, other);
    for (const { stamp: seen } of other.cells.values()) if (seen > this.last) this.last = seen;
  }
}

const begin = (): PersonCells => {
  const checked = checkPersonFile(JSON.parse(writePersonFile(recordOf(REFERENCE))), null);
  if (!checked.ok) throw new Error('not read');
  return toCells({ ...checked.value.file, extra: {} }, checked.value.file.changes);
};

describe('two devices for a week', () => {
  it.each([1, 2, 3, 4, 5])('come to the same in either order (seed %i)', (seed) => {
    const random = makeRandom(seed);
    const shared = begin();
    // One clock is a day ahead.
    const [one, two] = [
      new Device('one', 0, random, shared),
      new Device('two', 86_400_000, random, shared),
    ];
    for (let step = 1; step < 120; step += 1) {
      (random() < 0.5 ? one : two).act(1_790_000_000_000 + step * 5_000_000);
      if (step % 40 === 0) one.take(two.toFile());
    }
    const [fromOne, fromTwo] = [one.toFile(), two.toFile()];
    one.take(fromTwo);
    two.take(fromOne);
    expect(show(one.toFile())).toEqual(show(two.toFile()));
    expect(one.person().cautions.length).toBeGreaterThan(3);
  });

  it('let what is changed after a merge win over a clock that is ahead', () => {
    const random = makeRandom(1);
    const [one, ahead] = [
      new Device('one', 0, random, begin()),
      new Device('ahead', 10 * 86_400_000, random, begin()),
    ];
    for (let step = 0; step < 12; step += 1) ahead.act(1_790_000_000_000 + step);
    one.take(ahead.toFile());
    for (let step = 0; step < 12; step += 1) one.act(1_790_000_100_000 + step);
    const before = one.person().notes;
    expect(before).toMatch(/^note of one/);
    one.take(ahead.toFile());
    expect(one.person().notes).toBe(before);
  });

  it('keep a stop sign that the one who cleared another had not seen', () => {
    const sign = (uid: string, clearedBy: string | null): CautionEntry => ({
      uid,
      id: 'tingling',
      side: null,
      since: '2026-11-01',
      severity: 'stop',
      clearedBy,
      clearedAt: clearedBy === null ? null : '2026-11-02',
      note: '',
    });
    const shared = begin();
    const withSign = (entry: CautionEntry, at: string): PersonCells => ({
      ...shared,
      cells: new Map([
        ...shared.cells,
        [`caution/${entry.uid}`, { json: toCanonicalJson(entry), stamp: at }],
      ]),
    });
    const cleared = withSign(sign('first', 'a doctor'), '0000000000009-0000-a');
    const set = withSign(sign('second', null), '0000000000005-0000-b');
    const { person } = fromCells(PERSON.id, mergeCells(cleared, set)).data;
    expect(person.cautions).toHaveLength(2);
    expect(findStopSigns(person)).toHaveLength(1);
  });
});
