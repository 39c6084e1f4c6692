import { parse } from 'csv-parse/sync';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  describeNumbers,
  describePose,
  type PlannedClass,
} from '../../../src/core/classes/classSheet.ts';
import { toGuestRecord, BODY_PRESETS, type Guest } from '../../../src/core/classes/guest.ts';
import { keepShares, toKept } from '../../../src/core/classes/cupboard/keepShares.ts';
import { listNeeds, toNeedy } from '../../../src/core/classes/cupboard/needs.ts';
import { Deadline, shareCupboard } from '../../../src/core/classes/cupboard/shareCupboard.ts';
import { findHelps } from '../../../src/core/classes/cupboard/wallPlaces.ts';
import { listHeldPoses } from '../../../src/core/classes/flowPoses.ts';
import { toHeld } from '../../../src/core/classes/lossOnGrid.ts';
import { GROUP_REASON, planMember, type Member } from '../../../src/core/classes/planMember.ts';
import { planSettings } from '../../../src/core/classes/planSettings.ts';
import { listSameFeet } from '../../../src/core/classes/sameFeet.ts';
import {
  findClashes,
  makeClass,
  withoutMember,
  type Instruction,
} from '../../../src/core/classes/yogaClass.ts';
import { listClassRows, writeClassCsv } from '../../../src/core/formats/classCsv.ts';
import { CAUTION_KINDS } from '../../../src/core/cautions/catalogue.ts';
import { drawClassPages, drawHandover } from '../../../src/core/paper/classPages.ts';
import { writePdf } from '../../../src/core/paper/pdf.ts';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { USUAL_PROPS } from '../../../src/core/props/propList.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { getValue } from '../../../src/core/setup/setUp.ts';
import { findMat } from '../../../src/core/studio/studio.ts';
import { flowOf } from '../../support/flows.ts';
import { solveWithin } from '../../support/highs.ts';
import { cautionOf, recordOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';
import { readPdf } from '../../support/readPaper.ts';

const NOW = '2026-12-01T10:00:00Z';
const POSES = ['warrior-two', 'triangle'];
const GUEST: Guest = {
  id: 'guest',
  name: 'Gudrun Vask',
  statureCm: 168,
  preset: 'usual',
  signs: [],
  askedAt: NOW,
};
const NAMES: Readonly<Record<string, string>> = {
  p0: 'Ada Brink',
  p1: 'Stig Mole',
  p2: 'Una Fell',
  sick: 'Iris Combe',
  few: 'Odd Lund',
};

const { 'hip-abduction': _one, 'hip-opening': _two, ...FEW } = REFERENCE;
const members: readonly Member[] = [
  ...[REFERENCE, STIFF, SUPPLE].map((measures, i) =>
    recordOf(measures, { id: `p${String(i)}`, birthYear: 1949, bodyMassKg: 83.7 }),
  ),
  recordOf(REFERENCE, {
    id: 'sick',
    cautions: [{ ...cautionOf('tingling', 'stop'), note: 'since the operation' }],
  }),
  recordOf(FEW, { id: 'few' }),
  toGuestRecord(GUEST),
].map((record) => ({ record, sessions: [] }));

describe('a class as it is taught', () => {
  let plan: PlannedClass;
  beforeAll(async () => {
    const people = members.slice(0, 3).map(({ record }) => record);
    const asked = {
      pose: 'warrior-two',
      level: 'auto',
      setting: 'stance-length',
      rules: {},
    } as const;
    const { groups } = planSettings({ ...asked, people });
    const instructions: readonly Instruction[] = [
      {
        pose: 'warrior-two',
        setting: 'stance-length',
        places: groups[1]!.places.flatMap(({ person, sides, value }) =>
          value === null ? [] : sides.map((side) => ({ member: person, side, value })),
        ),
      },
    ];
    const planned = members.flatMap((member) =>
      POSES.map((pose) => {
        const own = instructions
          .find((each) => each.pose === pose)
          ?.places.filter((each) => each.member === member.record.person.id);
        const values = Object.fromEntries((own ?? []).map(({ side, value }) => [side, value]));
        return planMember(member, pose, { setting: 'stance-length', values }, NOW);
      }),
    );
    const cupboard = USUAL_PROPS.map((each) => ({ ...each, count: 1 }));
    const needs = listNeeds(planned.map(toNeedy), POSES, cupboard);
    const { shares } = await shareCupboard(needs, cupboard, solveWithin, new Deadline(60, () => 0));
    const helps = POSES.flatMap((pose) => findHelps(planned, shares, pose, 2, findMat(cupboard)));
    const named = members.map(({ record: { person } }) => ({
      id: person.id,
      name: NAMES[person.id] ?? GUEST.name,
      isGuest: person.id === GUEST.id,
    }));
    plan = { poses: POSES, planned, instructions, shares, helps, cupboard, members: named };
  });

  it('sets the group’s number where it is used, and nobody is pushed', () => {
    const grouped = plan.planned.flatMap(({ pairs }) =>
      pairs.filter((p) => p.plan.why.includes(GROUP_REASON)),
    );
    expect(grouped.length).toBeGreaterThan(1);
    for (const { plan: hold, setUp } of grouped) {
      const value = hold.moved!.stanceCm!;
      expect(hold.moved).toEqual(toHeld('stance-length', value));
      expect(getValue(setUp, 'stance-length')).toBeCloseTo(value, 1);
      expect(setUp.status).not.toBe('failed');
    }
  });

  it('gives everybody else the numbers of their own page', () => {
    for (const { member, pose, pairs } of plan.planned) {
      const { record } = members.find((each) => each.record.person.id === member)!;
      for (const { plan: hold, setUp } of pairs) {
        if (hold.why.includes(GROUP_REASON)) continue;
        const own = planSetUp(new PlanningContext(record), pose, hold.side, {}, 'auto');
        expect(own.ok && own.value.settings).toEqual(setUp.settings);
      }
    }
  });

  it('says groups, exceptions, what is laid out, and who is kept from it, never why', () => {
    const sheet = describePose(plan, 'warrior-two', 'cm');
    expect(sheet.groups.length).toBeGreaterThan(0);
    for (const { value, names } of sheet.groups) {
      expect(value).toMatch(/^\d+(\.5)? cm$/);
      expect(names.length).toBeGreaterThan(0);
    }
    expect(sheet.keepFrom.map(({ name }) => name)).toEqual(['Iris Combe']);
    expect(sheet.notPlanned).toEqual(['Odd Lund']);
    // The marks add up to the stance, within the half centimetres that a teacher sets.
    for (const { member, marks } of sheet.lines) {
      const { pairs } = plan.planned.find(
        (each) => each.member === member.id && each.pose === 'warrior-two',
      )!;
      const stance = getValue(pairs[0]!.setUp, 'stance-length')!;
      const [front, back] = /(\d+(?:\.5)?) cm and (\d+(?:\.5)?) cm/
        .exec(marks)!
        .slice(1)
        .map(Number);
      expect(Math.abs(back! - front! - stance), marks).toBeLessThanOrEqual(0.75);
    }
    const inches = describePose(plan, 'warrior-two', 'in');
    expect(inches.groups[0]!.value).toMatch(/ in$/);
    const triangle = describePose(plan, 'triangle', 'cm');
    expect(triangle.groups).toEqual([]);
    expect(triangle.layOut.length).toBeGreaterThan(0);
    const guest = triangle.lines.find(({ member }) => member.id === GUEST.id)!;
    expect(guest.member.isGuest).toBe(true);
    expect(guest.words.join(' ')).toMatch(/^own stance \d/);
    const { stance, group } = describeNumbers(plan.planned[0]!, 'cm');
    expect(stance).toMatch(/cm/);
    expect(group === null || group.endsWith('cm')).toBe(true);
  });

  it('sends to the wall those whom the cupboard leaves short of most, as long as there is wall', () => {
    const unserved = new Set(
      plan.shares.filter(({ choice }) => !choice.isServing).map(({ need }) => need.member),
    );
    expect(unserved.size).toBeGreaterThan(1);
    const helps = plan.helps.filter(({ pose }) => pose === 'triangle');
    expect(new Set(helps.map(({ member }) => member))).toEqual(unserved);
    // Two metres of wall take one mat along it.
    expect(helps.map(({ kind }) => kind).filter((kind) => kind === 'wall')).toHaveLength(1);
    const most = plan.shares
      .filter(({ choice }) => !choice.isServing)
      .toSorted((a, b) => b.choice.shortfall - a.choice.shortfall)[0]!;
    expect(helps.find(({ kind }) => kind === 'wall')!.member).toBe(most.need.member);
    expect(helps.find(({ kind }) => kind === 'lying')!.form).toMatch(/lying/i);
  });

  it('serves a latecomer from what is left, and nobody gives anything back', async () => {
    const needs = listNeeds(plan.planned.map(toNeedy), POSES, plan.cupboard);
    const early = plan.shares.filter(({ need }) => need.member !== 'p2');
    const kept = keepShares(needs, toKept(early));
    const again = await shareCupboard(kept, plan.cupboard, solveWithin, new Deadline(60, () => 0));
    for (const { need, choice } of early) {
      const now = again.shares.find(
        (each) =>
          each.need.member === need.member &&
          each.need.pose === need.pose &&
          each.need.setting === need.setting,
      )!;
      expect(now.choice.piles).toEqual(choice.piles);
    }
  });

  it('prints nothing of anybody’s health, age or weight, and every page within its margins', async () => {
    const people = plan.members.map(({ name }) => ({ name, watch: ['keep from Warrior II'] }));
    const sheets = POSES.map((pose) => describePose(plan, pose, 'cm'));
    const content = { name: 'Early class', when: 'Thursday 18:30', sheets, people };
    const health = [
      ...CAUTION_KINDS.flatMap(({ id, name }) => [id, name]),
      'tingling',
      'operation',
      'stop sign',
      '1949',
      '83.7',
      'kg',
    ].map((each) => each.toLowerCase());
    for (const pages of [drawClassPages(content, 'a4'), drawHandover(content, 'letter')]) {
      const read = await readPdf(await writePdf(pages, 'Early class'));
      const text = read.flatMap(({ texts }) => texts.map((each) => each.text)).join(' ');
      expect(text).toContain('Iris Combe');
      expect(text).toContain('Keep from');
      for (const word of health) expect(text.toLowerCase(), word).not.toContain(word);
      for (const { width, height, texts } of read) {
        for (const { at } of texts) {
          expect(at[0]).toBeGreaterThan(5);
          expect(at[0]).toBeLessThan(width - 5);
          expect(at[1]).toBeGreaterThan(5);
          expect(at[1]).toBeLessThan(height - 2);
        }
      }
    }
    const [one, two] = drawClassPages(content, 'a4');
    expect([one!.name, two!.name]).toEqual(['Warrior II', 'Triangle']);
  });

  it('is one table that another reader reads back', () => {
    const rows = listClassRows(plan);
    const text = writeClassCsv([{ ...rows[0]!, name: '=1+1' }, ...rows]);
    const read = parse<Record<string, string>>(text, { columns: true });
    expect(read).toHaveLength(rows.length + 1);
    expect(read[0]!['name']).toBe("'=1+1");
    for (const [i, row] of rows.entries()) {
      expect(read[i + 1]!['name']).toBe(row.name);
      expect(read[i + 1]!['stanceCm']).toBe(row.stanceCm === null ? '' : String(row.stanceCm));
      expect(read[i + 1]!['keepFrom']).toBe(row.keepFrom);
    }
    expect(rows.filter(({ keepFrom }) => keepFrom === 'yes').map(({ name }) => name)).toEqual([
      'Iris Combe',
      'Iris Combe',
    ]);
    expect(text).not.toContain('tingling');
  });
});

describe('the wall', () => {
  it('goes first to a set-up that needs it, a short edge of the mat each', () => {
    const planned = ['p0', 'p2'].map((id) => {
      const member = members.find(({ record }) => record.person.id === id)!;
      return planMember(member, 'lying-warrior-two', null, NOW);
    });
    const mat = findMat(USUAL_PROPS);
    const kinds = (wallM: number): readonly string[] =>
      findHelps(planned, [], 'lying-warrior-two', wallM, mat).map(({ kind, isPlanned }) =>
        isPlanned ? kind : '',
      );
    // Each takes 66 cm and a gap.
    expect(kinds(2)).toEqual(['wall', 'wall']);
    expect(kinds(1).filter((kind) => kind === 'wall')).toHaveLength(1);
    expect(kinds(0)).not.toContain('wall');
  });
});

describe('a guest', () => {
  it('is planned from height and build, each build its own way', () => {
    const stances = BODY_PRESETS.map((preset) => {
      const record = toGuestRecord({ ...GUEST, preset });
      const planned = planMember({ record, sessions: [] }, 'warrior-two', null, NOW);
      expect(planned.leftOut).toBeNull();
      return getValue(planned.pairs[0]!.setUp, 'stance-length')!;
    });
    expect(new Set(stances).size).toBe(BODY_PRESETS.length);
    const [, usual, longLegs] = stances;
    expect(longLegs).toBeGreaterThan(usual!);
  });

  it('with a stop sign is kept from every pose', () => {
    const record = toGuestRecord({ ...GUEST, signs: ['tingling'] });
    for (const pose of POSES) {
      const { pairs, leftOut } = planMember({ record, sessions: [] }, pose, null, NOW);
      expect(pairs).toEqual([]);
      expect(leftOut!.isUnmeasured).toBe(false);
    }
  });
});

describe('a class', () => {
  const early = {
    ...makeClass('early', 'Early'),
    personIds: ['a', 'b'],
    time: { start: '2026-12-03T18:30', timeZone: 'Europe/Oslo', minutes: 75, weeks: 3 },
  };

  it('says who is in another class at the same time, in any week of either', () => {
    const late = { ...early, id: 'late', name: 'Late', personIds: ['b'] };
    const at = (start: string) => ({ ...late, time: { ...early.time, start } });
    expect(findClashes(early, [at('2026-12-10T19:30')])).toEqual([{ person: 'b', other: 'Late' }]);
    expect(findClashes(early, [at('2026-12-10T19:45')])).toEqual([]);
    expect(findClashes(early, [at('2026-12-24T18:30')])).toEqual([]);
    expect(findClashes(early, [{ ...late, time: null }])).toEqual([]);
    expect(findClashes(early, [early])).toEqual([]);
  });

  it('forgets a member everywhere', () => {
    const full = {
      ...early,
      guests: [GUEST],
      places: { a: { x: 1, y: 1 } },
      meetings: [{ id: 'm', at: NOW, present: ['a', 'b'] }],
      instructions: [
        {
          pose: 'triangle',
          setting: 'hand-height' as const,
          places: [{ member: 'a', side: 'left' as const, value: 20 }],
        },
      ],
      run: {
        id: 'm',
        startedAt: NOW,
        pose: 'triangle',
        present: ['a'],
        sessions: { a: 's' },
        kept: {},
      },
    };
    const gone = withoutMember(full, 'a');
    expect(JSON.stringify(gone)).not.toContain('"a"');
    expect(gone.personIds).toEqual(['b']);
    expect(withoutMember(gone, GUEST.id).guests).toEqual([]);
  });

  it('takes the held poses of a flow, and knows which share their feet', () => {
    const flow = flowOf(
      '~ round-and-hollow',
      'warrior-two right',
      'side-angle right',
      'warrior-two left',
    );
    expect(listHeldPoses(flow)).toEqual(['warrior-two', 'side-angle']);
    const poses = ['warrior-two', 'side-angle', 'pyramid'];
    expect(listSameFeet(poses, 'side-angle')).toEqual(['warrior-two', 'side-angle']);
    expect(listSameFeet(poses, 'pyramid')).toEqual(['pyramid']);
    expect(listSameFeet(['warrior-two', 'pyramid', 'side-angle'], 'side-angle')).toEqual([
      'side-angle',
    ]);
  });
});
