import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { LYING_POSES } from '../../../src/core/poses/lying/index.ts';
import { listRecipe } from '../../../src/core/recipe/recipe.ts';
import { listWalk } from '../../../src/core/recipe/walk.ts';
import { SUPPLE } from '../../support/people.ts';
import { planPlain, settingOf } from '../../support/plan.ts';

const MEASURES = { ...SUPPLE, 'knee-flexion': 165 };
const EVERY = [...POSES, ...LYING_POSES];

describe('a set-up read aloud, one thing at a time', () => {
  it.each(EVERY.map((pose) => pose.id))(
    '%s: every number once, in both units, then how to hold it',
    (id) => {
      const pose = EVERY.find((each) => each.id === id)!;
      for (const side of ['left', 'right'] as const) {
        const setUp = planPlain(MEASURES, id, side);
        for (const unit of ['cm', 'in'] as const) {
          const recipe = listRecipe(setUp, unit);
          const ids = recipe.map(({ setting }) => setting.id);
          expect(new Set(ids).size).toBe(ids.length);
          // One end of the stance after the other, before anything turns or bends.
          const behind = ids.indexOf('stance-length');
          const fromEdge = ids.findIndex((each) => /^back-.*-from-mat-edge$/.test(each));
          if (behind >= 0 && fromEdge >= 0) expect(fromEdge).toBe(behind + 1);
          for (const { setting, words, value } of recipe) {
            expect(words.length).toBeLessThan(80);
            // The number alone reads as the setting does, in its own unit.
            expect(value).toMatch(
              setting.unit === 'deg' ? /^\d+°$/ : unit === 'cm' ? /^\d+(\.5)? cm$/ : / in$/,
            );
            expect(words).not.toMatch(/NaN|undefined|null|-\d/);
          }
          const walk = listWalk(pose, setUp, unit);
          const kinds = walk.map(({ kind }) => kind);
          expect(kinds.slice(0, recipe.length).every((kind) => kind === 'number')).toBe(true);
          const held = walk.findIndex(
            (each) => each.kind === 'words' && /^\d+ breaths$/.test(each.heading),
          );
          expect(held).toBeGreaterThanOrEqual(recipe.length);
          if (!('starts' in pose)) continue;
          // The way in stands before what is looked at, the way out comes last.
          const looks = walk.flatMap((each, i) => (each.kind === 'look' ? [i] : []));
          const wayIn = walk.findIndex(
            (each) => each.kind === 'words' && each.heading === 'The way in',
          );
          expect(wayIn).toBe(recipe.length);
          expect(Math.min(...looks)).toBe(wayIn + 1);
          expect(held).toBe(Math.max(...looks) + 1);
          expect(walk.at(-1)).toMatchObject({
            kind: 'words',
            heading: 'The way out',
            lines: pose.wayOut,
          });
        }
      }
    },
  );
});

describe('what a recipe says of feet and knees', () => {
  const wordsOf = (id: string): readonly string[] =>
    listRecipe(planPlain(MEASURES, id), 'cm').map(({ words }) => words);

  it('feet side by side do alike: neither is in front', () => {
    for (const id of ['mountain', 'chair']) {
      const words = wordsOf(id).join('; ');
      expect(words).toMatch(/^both heels .* heels \d+(\.5)? cm apart; .* both knees/);
      expect(words).not.toMatch(/front heel|back toes|front knee/);
    }
  });

  it('knees of unequal legs are told one by one', () => {
    const measures = { ...MEASURES, 'trochanter-height': { left: 90, right: 88 } };
    const words = listRecipe(planPlain(measures, 'chair', 'left'), 'cm').map((each) => each.words);
    const degreesOf = (whose: string): number =>
      Number(words.find((each) => each.startsWith(`${whose} knee bent`))?.match(/\d+/)?.[0]);
    expect(degreesOf('left')).toBeGreaterThan(degreesOf('right'));
    expect(words.join('; ')).not.toMatch(/both knees/);
  });

  it('a pelvis is short of square, square, or past it', () => {
    const pelvisOf = (id: string): string =>
      wordsOf(id).find((words) => /pelvis.*(square|facing)/.test(words)) ?? '';
    expect(pelvisOf('warrior-two')).toMatch(
      /^let the pelvis rest \d+° short of facing the long edge$/,
    );
    expect(pelvisOf('chair')).toBe('pelvis square to the front');
    const twist = planPlain(MEASURES, 'revolved-half-moon');
    expect(settingOf(twist, 'pelvis-short-of-square')).toBeLessThan(-1);
    expect(pelvisOf('revolved-half-moon')).toMatch(/^pelvis turned \d+° past facing the front$/);
  });

  it('a knee is over its ankle only where it stands there', () => {
    expect(wordsOf('warrior-two').join()).toMatch(/front knee bent \d+°, over its ankle/);
    for (const id of ['chair', 'lizard']) expect(wordsOf(id).join()).not.toMatch(/over its ankle/);
  });
});
