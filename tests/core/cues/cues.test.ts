import { describe, expect, it } from 'vitest';
import { findCueAt, planBreaths } from '../../../src/core/cues/breathPlan.ts';
import { makeCueSheet, type SheetAsked } from '../../../src/core/cues/cueSheet.ts';
import { COMPLETE, CUE_KINDS, findMissingCues, toCues } from '../../../src/core/cues/cues.ts';
import { readCueText, writeCueText } from '../../../src/core/cues/cueText.ts';
import { drawCuePage } from '../../../src/core/paper/cuePage.ts';
import { writePdf } from '../../../src/core/paper/pdf.ts';
import { findPoseError } from '../../../src/core/poseErrors/catalogue.ts';
import { findPossibleErrors } from '../../../src/core/poseErrors/possible.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { LYING_POSES } from '../../../src/core/poses/lying/index.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { planVersions } from '../../../src/core/whatIf/versions.ts';
import { contextOfDemo } from '../../support/demoContext.ts';
import { readPdf } from '../../support/readPaper.ts';

const ALL = [...POSES, ...LYING_POSES];
const TRIANGLE = toCues(POSES.find(({ id }) => id === 'triangle')!.guidance);

const sheetOf = (pose: string, more: Partial<SheetAsked> = {}) =>
  makeCueSheet({
    pose,
    setUp: null,
    seen: new Map(),
    versions: [],
    breaths: null,
    secondsABreath: 5,
    ownText: null,
    ...more,
  })!;

describe('cues', () => {
  it.each(ALL)('of $id are complete: 3 + 3, 1, 2, 3, 2, 2', ({ id, guidance, ...pose }) => {
    const cues = toCues(guidance);
    expect(findMissingCues(cues)).toEqual([]);
    for (const kind of CUE_KINDS) expect(cues[kind].length).toBeGreaterThanOrEqual(COMPLETE[kind]);
    const standing = POSES.find((each) => each.id === id) ?? null;
    const possible = findPossibleErrors(standing).map((each) => each.id);
    for (const { error } of cues.tendencies) {
      if (error !== undefined) expect(possible, id).toContain(findPoseError(error)?.id);
    }
    const levels = 'levels' in pose ? pose.levels.map((each) => each.id) : [];
    for (const { level } of [...cues.easier, ...cues.harder]) {
      if (level !== undefined) expect(levels, id).toContain(level);
    }
  });

  it('say what is missing, each kind by its count', () => {
    const cues = { ...TRIANGLE, inhale: TRIANGLE.inhale.slice(1), gaze: [], harder: [] };
    expect(findMissingCues(cues)).toEqual([
      { kind: 'inhale', missing: 1 },
      { kind: 'gaze', missing: 1 },
      { kind: 'harder', missing: 2 },
    ]);
  });
});

describe('cues as plain text', () => {
  it.each(ALL)('of $id come back with every line and what is known of it', ({ guidance }) => {
    const cues = toCues(guidance);
    expect(readCueText(writeCueText(cues), cues)).toEqual({ ok: true, value: cues });
  });

  it('keep the teacher’s own words, and forget what no longer holds of a line', () => {
    const text = writeCueText(TRIANGLE)
      .replace('Often seen: Front knee locks', 'often seen :  The knee: it locks')
      .replace('Easier: hand on a chair\n', '\n\nEasier: hand on the sofa\n');
    const read = readCueText(text, TRIANGLE);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const locks = read.value.tendencies[1]!;
    expect(locks).toEqual({
      ...TRIANGLE.tendencies[1]!,
      seen: 'The knee: it locks',
      error: undefined,
    });
    expect(read.value.easier[0]).toEqual({ words: 'hand on the sofa' });
    expect(read.value.easier[1]!.level).toBe('at-a-wall');
  });

  it('name every line that cannot be read, and what to do', () => {
    const read = readCueText('Breathe: deep\nGaze:\nFirst: lift\nEasier: a chair', TRIANGLE);
    if (read.ok) throw new Error('read');
    expect(read.problems.map(({ code, path }) => [code, path])).toEqual([
      ['cue-line-unknown', 'line 1'],
      ['cue-line-empty', 'line 2'],
      ['cue-line-alone', 'line 3'],
    ]);
    expect(read.problems[0]!.hint).toContain('Breathe in, Breathe out');
  });
});

describe('cues over the breaths of a hold', () => {
  it('come by pairs, the first action as the first breath comes in', () => {
    const plan = planBreaths(TRIANGLE, 5, 8);
    expect(findCueAt(plan, 1, 'in')).toBe('lengthen the crown over the front foot');
    expect(findCueAt(plan, 1, 'out')).toBe('press the outer edge of the back foot down');
    expect(findCueAt(plan, 3, 'out')).toBe('let the shoulders sink away from the ears');
    expect(findCueAt(plan, 4, 'in')).toBe(TRIANGLE.gaze[0]);
    expect(findCueAt(plan, 5, 'in')).toBeNull();
  });

  it('wait for the next breath where both do not fit one, and say no more than one at a time', () => {
    for (const seconds of [2, 3, 5, 8, 20]) {
      for (const breaths of [1, 2, 3, 5, 12]) {
        for (const { guidance, id } of ALL) {
          const plan = planBreaths(toCues(guidance), breaths, seconds);
          const keys = plan.map(({ breath, on }) => `${String(breath)} ${on}`);
          expect(new Set(keys).size, id).toBe(keys.length);
          expect(Math.max(...plan.map(({ breath }) => breath))).toBeLessThanOrEqual(breaths);
          const order = plan.map(({ breath, on }) => breath * 2 + (on === 'out' ? 1 : 0));
          expect(order).toEqual(order.toSorted((a, b) => a - b));
        }
      }
    }
    // At three seconds a breath no triangle action of seven words fits beside another.
    expect(findCueAt(planBreaths(TRIANGLE, 8, 3), 1, 'out')).toBeNull();
    expect(findCueAt(planBreaths(TRIANGLE, 8, 3), 2, 'out')).toContain('press');
  });
});

describe('a cue sheet for a person', () => {
  it('ranks what is seen by the limiting joints, then by what was noted', () => {
    const plain = sheetOf('pyramid').tendencies.map(({ seen }) => seen);
    expect(plain).toEqual(['Back rounds', 'Back heel floats', 'Front hip runs forward']);
    const noted = sheetOf('pyramid', { seen: new Map([['hip-creeps', 3]]) });
    expect(noted.tendencies[0]).toMatchObject({ seen: 'Front hip runs forward', times: 3 });
    const context = contextOfDemo('sanna-tveit');
    const planned = planPose(context, 'pyramid', 'right', {}, null);
    if (planned.kind === 'problems') throw new Error('no set-up');
    const { setUp } = planned;
    const limited = sheetOf('pyramid', { setUp, seen: new Map([['hip-creeps', 3]]) });
    expect(setUp.limiting?.motion).toBe('flexion');
    expect(limited.tendencies[0]!.seen).toBe('Back rounds');
  });

  it('puts the options that fit this person first', () => {
    const answer = planVersions(contextOfDemo('sanna-tveit'), 'warrior-three', 'right', {});
    if (!answer.ok) throw new Error('not planned');
    const { versions } = answer.value;
    const sheet = sheetOf('warrior-three', { versions });
    for (const { level, fits } of [...sheet.easier, ...sheet.harder]) {
      expect(fits).toBe(versions.find((each) => each.level === level)!.status === 'fits');
    }
    const order = sheet.easier.map(({ fits }) => (fits === false ? 1 : 0));
    expect(order).toEqual(order.toSorted());
    expect(sheetOf('warrior-three').easier.every(({ fits }) => fits === null)).toBe(true);
  });

  it('takes the teacher’s own words where they can be read, and Stillwater’s where not', () => {
    const own = sheetOf('triangle', { ownText: 'Breathe in: grow long' });
    expect(own.isOwn).toBe(true);
    expect(own.cues.inhale).toEqual(['grow long']);
    expect(own.missing.map(({ kind }) => kind)).toContain('easier');
    expect(sheetOf('triangle', { ownText: 'nonsense' }).isOwn).toBe(false);
    expect(
      makeCueSheet({
        ...own,
        setUp: null,
        seen: new Map(),
        versions: [],
        ownText: null,
        pose: 'no-pose',
      }),
    ).toBeNull();
  });

  it.each(ALL.map(({ id }) => id))(
    '%s prints on one page, and every line is read back',
    async (id) => {
      const sheet = sheetOf(id, { secondsABreath: 3 });
      const page = drawCuePage(
        { sheet, name: 'Somebody', date: '1 December 2026', wayIn: ['Back foot in 11 cm.'] },
        'letter',
      );
      const [read, ...more] = await readPdf(await writePdf([page], 'cues'));
      expect(more).toEqual([]);
      const text = read!.texts
        .map((each) => each.text)
        .join(' ')
        .replaceAll(/\s+/g, ' ')
        .toLowerCase();
      const { cues } = sheet;
      const lines = [
        ...cues.inhale,
        ...cues.exhale,
        ...cues.gaze,
        ...cues.farPoints,
        ...cues.tendencies.flatMap(({ seen, first, felt }) => [seen, first, felt]),
        ...[...cues.easier, ...cues.harder].map(({ words }) => words),
        'Back foot in 11 cm.',
      ];
      for (const each of lines) expect(text, id).toContain(each.toLowerCase());
      for (const { text: each, at, sizeMm } of read!.texts) {
        expect(at[1], id).toBeLessThan(page.height - 8);
        if (!'100 mm: if not, print again at 100 %.'.includes(each.trim()))
          expect(at[1], id).toBeLessThan(page.height - 16);
        expect(sizeMm).toBeGreaterThan(3.5);
      }
    },
  );
});
