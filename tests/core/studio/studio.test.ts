import { describe, expect, it } from 'vitest';
import { readStudioFile, writeStudioFile } from '../../../src/core/formats/studioFile.ts';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import type { PropItem } from '../../../src/core/props/propList.ts';
import { findStacks } from '../../../src/core/props/stacks.ts';
import { findSchoolRules } from '../../../src/core/rules/chosenSchools.ts';
import { SCHOOLS, type SchoolRule } from '../../../src/core/rules/schools.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { readItem, toDraft } from '../../../src/core/studio/readItem.ts';
import { findMat, USUAL_STUDIO } from '../../../src/core/studio/studio.ts';
import { findSchoolPicture, USUAL_BODY } from '../../../src/core/rules/schoolPictures.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

const thing = (item: Partial<PropItem>): PropItem => ({
  id: 'thing',
  kind: 'block',
  name: 'Thing',
  heightsCm: [10],
  lengthCm: null,
  count: 1,
  ...item,
});

/** A pose of the reference body in a studio with this cupboard. */
function planWith(cupboard: readonly PropItem[], pose = 'pyramid') {
  const record = { ...recordOf(REFERENCE), studio: { ...USUAL_STUDIO, cupboard } };
  const planned = planSetUp(new PlanningContext(record), pose, 'right');
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  return planned.value;
}

describe('a studio file', () => {
  it('comes back as it was written', () => {
    const studio = {
      ...USUAL_STUDIO,
      paper: 'Letter',
      room: { lengthM: 8, widthM: 5.5 },
      cupboard: [thing({ kind: 'own', name: 'Stool', heightsCm: [33], isFirm: true })],
      schools: [{ pose: '*', rule: 'openHeelLine', option: 'heel-to-heel' }],
    } as const;
    expect(readStudioFile(writeStudioFile(studio))).toEqual({ ok: true, value: studio });
  });

  it('may leave out all but the cupboard', () => {
    const text = JSON.stringify({ format: 'stillwater.studio', version: 1, cupboard: [] });
    expect(readStudioFile(text)).toEqual({ ok: true, value: { ...USUAL_STUDIO, cupboard: [] } });
  });

  it.each([
    ['text that is not JSON', '{', 'not-json', ''],
    ['another file', '{"format":"stillwater.person"}', 'wrong-format', 'format'],
    ['a newer version', '{"format":"stillwater.studio","version":2}', 'newer-version', 'version'],
  ])('%s is refused', (_, text, code, path) => {
    const read = readStudioFile(text);
    expect(read.ok ? [] : read.problems.map((each) => [each.code, each.path])).toEqual([
      [code, path],
    ]);
  });

  it('names every thing that cannot be', () => {
    const cupboard = [
      thing({ kind: 'strap' }),
      thing({ id: 'low', kind: 'chair', heightsCm: [45], railCm: 40 }),
      thing({ id: 'low' }),
    ];
    const read = readStudioFile(writeStudioFile({ ...USUAL_STUDIO, cupboard }));
    expect(read.ok ? [] : read.problems.map((each) => [each.code, each.path])).toEqual([
      ['prop-needs-length', 'cupboard[0].lengthCm'],
      ['rail-below-seat', 'cupboard[1].railCm'],
      ['duplicate-id', 'cupboard[2].id'],
    ]);
  });
});

describe('a thing as it is typed', () => {
  const block = thing({ name: 'Cork block', heightsCm: [7, 11, 22], count: 3 });

  it('is read as it was shown, in either unit', () => {
    for (const unit of ['cm', 'in'] as const) {
      const read = readItem(toDraft(block, unit), unit);
      if (!read.ok) throw new Error(read.problems[0]?.message);
      read.value.heightsCm.forEach((height, i) => {
        // A tape in inches is read to the quarter.
        expect(Math.abs(height - block.heightsCm[i]!)).toBeLessThan(unit === 'cm' ? 0.01 : 0.32);
      });
      expect(read.value).toMatchObject({ name: 'Cork block', count: 3, isFirm: true });
    }
  });

  it('has its faces lowest first', () => {
    const read = readItem({ ...toDraft(block, 'cm'), heights: '23; 7.5, 15 cm' }, 'cm');
    expect(read.ok && read.value.heightsCm).toEqual([7.5, 15, 23]);
  });

  it.each([
    [{ name: ' ' }, 'name-missing', 'Name'],
    [{ count: 'two' }, 'not-a-count', 'How many'],
    [{ count: '' }, 'not-a-count', 'How many'],
    [{ heights: '7.5, tall' }, 'not-a-length', 'Height'],
    [{ kind: 'strap', length: '' }, 'prop-needs-length', ''],
    [{ kind: 'chair', heights: '45', rail: '44' }, 'rail-below-seat', ''],
  ] as const)('%j is refused', (change, code, path) => {
    const read = readItem({ ...toDraft(block, 'cm'), ...change }, 'cm');
    expect(read.ok ? [] : read.problems.map((each) => [each.code, each.path])).toEqual([
      [code, path],
    ]);
  });
});

describe('what a studio has', () => {
  it('is what set-ups use: less of it, and a hand has less to rest on', () => {
    const [usual, bare] = [USUAL_STUDIO.cupboard, []].map((each) => planWith(each, 'half-moon'));
    expect(usual!.handProp?.stack?.props.length).toBeGreaterThan(0);
    expect(bare!.handProp?.stack).toBeNull();
    expect(bare!.handProp?.shortCm).toBeGreaterThan(0);
    // The body's own numbers do not depend on the cupboard.
    expect(bare!.settings).toEqual(usual!.settings);
  });

  it('bears a hand where it is marked as firm, and only then where it is improvised', () => {
    const heights = (item: Partial<PropItem>) =>
      findStacks([thing({ heightsCm: [20], ...item })]).map(({ heightCm }) => heightCm);
    expect(heights({ kind: 'own' })).toEqual([0]);
    expect(heights({ kind: 'own', isFirm: true })).toEqual([0, 20]);
    expect(heights({ kind: 'book' })).toEqual([0]);
    expect(heights({ kind: 'book', isFirm: true })).toEqual([0, 20]);
    expect(heights({ kind: 'chair', isFirm: false })).toEqual([0]);
    // Nothing makes a strap firm.
    expect(heights({ kind: 'strap', isFirm: true })).toEqual([0]);
  });

  it('lays set-ups on its longest mat', () => {
    const mat = (id: string, lengthCm: number, widthCm?: number) =>
      thing({ id, kind: 'mat', lengthCm, ...(widthCm === undefined ? {} : { widthCm }) });
    expect(findMat([])).toEqual({ lengthCm: 183, widthCm: 66 });
    const mats = [mat('short', 173, 61), mat('long', 200, 80)];
    expect(findMat(mats)).toEqual({ lengthCm: 200, widthCm: 80 });
    const [usual, long] = [planWith([]), planWith(mats)];
    expect(long.mat).toMatchObject({ lengthCm: 200, widthCm: 80 });
    const mark = (setUp: typeof long) =>
      setUp.settings.find(({ id }) => id === 'front-heel-from-mat-edge')!.value;
    // The stance lies in the middle: half of the 17 cm more before the front foot, to the half centimetre.
    expect(Math.abs(mark(long) - mark(usual) - 8.5)).toBeLessThanOrEqual(0.5);
    // Too short a mat is said, and changes no number of the body.
    const short = planWith([mat('short', 90, 60)]);
    expect(short.problems.map(({ code }) => code)).toContain('does-not-fit-mat');
  });

  it('chooses the heel line of open poses alone', () => {
    const schools = [{ pose: '*', rule: 'openHeelLine', option: 'heel-to-heel' }];
    const record = { ...recordOf(REFERENCE), studio: { ...USUAL_STUDIO, schools } };
    const width = (pose: string, from: typeof record | ReturnType<typeof recordOf>) => {
      const planned = planSetUp(new PlanningContext(from), pose, 'right');
      return planned.ok
        ? planned.value.settings.find(({ id }) => id === 'stance-width')?.value
        : undefined;
    };
    expect(width('warrior-two', record)).toBeCloseTo(0, 6);
    expect(width('warrior-two', recordOf(REFERENCE))).toBeLessThan(-5);
    expect(width('pyramid', record)).toBe(width('pyramid', recordOf(REFERENCE)));
  });
});

describe('the drawings of the house rules', () => {
  const options = Object.entries(SCHOOLS).flatMap(([rule, { options }]) =>
    Object.keys(options).map((option) => [rule as SchoolRule, option] as const),
  );

  it.each(options)('%s: %s can be drawn, or is not a thing to draw', (rule, option) => {
    const picture = findSchoolPicture(rule);
    if (picture === null) {
      expect(['sides', 'easing', 'straightKnees']).toContain(rule);
      return;
    }
    const rules = { ...findSchoolRules(rule, option), provisional: true };
    const planned = planSetUp(new PlanningContext(USUAL_BODY), picture.pose, 'right', rules);
    expect(planned.ok && planned.value.status).not.toBe('failed');
  });
});
