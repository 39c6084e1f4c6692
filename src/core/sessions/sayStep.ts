import { listRecipe } from '../recipe/recipe.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import type { LengthUnit } from '../units/readQuantity.ts';

/** What a step changes, in plain words. */
export interface StepWords {
  /** To be said loudly: the hand goes to the other side of the foot. null = it stays. */
  readonly handCrosses: string | null;
  /** The few changes that matter most: “front knee bent 59° (71° before)”. */
  readonly main: readonly string[];
  /** All others. */
  readonly others: readonly string[];
}

const MOST_SAID = 3;
/** Smaller changes are not set, cm or degrees. */
const SEEN = 0.5;
/** A hand within this of the foot's line is on neither side, cm. Our choice. */
const ON_LINE_CM = 1;

/** What is set first on the mat is said first. */
const RANK: readonly SettingId[] = [
  'stance-length',
  'front-knee-bend',
  'trunk-lean',
  'hand-height',
  'back-foot-angle',
  'stance-width',
  'back-heel-lift',
  'pelvis-short-of-square',
];

/** Marks repeat what another line says. */
const REPEATS = /-from-mat-edge$/;

function findHandCrossing(before: SetUp, after: SetUp): string | null {
  const was = getValue(before, 'hand-beside');
  const now = getValue(after, 'hand-beside');
  if (was === null || now === null) return null;
  const crosses = was * now < 0 && Math.abs(was) > ON_LINE_CM && Math.abs(now) > ON_LINE_CM;
  if (!crosses) return null;
  const isOnFloor = (getValue(after, 'hand-height') ?? 0) < SEEN;
  const what = isOnFloor ? 'The hand' : 'The block';
  return `${what} changes to the ${now > 0 ? 'little-toe' : 'big-toe'} side of the foot.`;
}

/**
 * What changes from one set-up of a pose to another, the most important first.
 *
 * @param before as it was
 * @param after as it will be
 * @param unit centimetres or inches
 * @returns at most three main changes, and the rest
 */
export function sayStep(before: SetUp, after: SetUp, unit: LengthUnit): StepWords {
  const was = new Map(listRecipe(before, unit).map((line) => [line.setting.id, line]));
  const rank = (id: SettingId): number => (RANK.includes(id) ? RANK.indexOf(id) : RANK.length);
  const lines = listRecipe(after, unit)
    .filter(({ setting: { id, value } }) => {
      const old = was.get(id);
      return old !== undefined && !REPEATS.test(id) && Math.abs(old.setting.value - value) >= SEEN;
    })
    .sort((a, b) => rank(a.setting.id) - rank(b.setting.id))
    .map(({ setting, words }) => `${words} (${was.get(setting.id)?.value ?? ''} before)`);
  return {
    handCrosses: findHandCrossing(before, after),
    main: lines.slice(0, MOST_SAID),
    others: lines.slice(MOST_SAID),
  };
}
