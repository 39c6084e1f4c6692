import { describe, expect, it } from 'vitest';
import { listRecipe } from '../../../src/core/recipe/recipe.ts';
import { findSettingKind, SETTING_KINDS } from '../../../src/core/setup/settingKinds.ts';
import type { Setting } from '../../../src/core/setup/setUp.ts';

describe('kinds of setting', () => {
  it('stand once each, and every handle drags one of them or one foot of it', () => {
    expect(new Set(SETTING_KINDS.map(({ id }) => id)).size).toBe(SETTING_KINDS.length);
    const handles = SETTING_KINDS.flatMap(({ byHand }) => byHand?.handles ?? []);
    expect([...handles].sort()).toEqual(['back-foot', 'back-toes', 'front-foot', 'hand']);
  });

  it('let a setting of a newer version be read, behind those that are known', () => {
    expect(findSettingKind('toe-spread')).toBeNull();
    const setting = (id: string, value: number): Setting => ({
      id: id as Setting['id'],
      value,
      unit: 'cm',
      from: 'mat',
      to: 'big-toe',
      plusMinus: null,
      working: [],
    });
    const settings = [setting('toe-spread', 2), setting('hand-height', 20)];
    expect(listRecipe({ settings, side: 'right' }, 'cm').map(({ words }) => words)).toEqual([
      'hand 20 cm above the mat',
      'toe spread 2 cm, mat to big toe',
    ]);
  });
});
