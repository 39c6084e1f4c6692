import type { Drawing } from '../drawing/shapes.ts';
import { findLevel } from '../poses/level.ts';
import type { LyingPose } from '../poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { listRecipe, type RecipeLine } from '../recipe/recipe.ts';
import { sayPropsShort } from '../recipe/sheetFacts.ts';
import type { SetUp } from '../setup/setUp.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import type { BothSides } from './matDiagram.ts';

/** Height of a label in a drawing that a card makes smaller, mm at 1:10. */
export const CARD_LABEL = 8;

/**
 * What goes onto a card. Of the person only the name: neither notes nor answers about
 * health are ever printed on what a student takes home.
 */
export interface CardContent {
  readonly name: string;
  readonly pose: PoseDefinition | LyingPose;
  readonly sides: BothSides;
  /** A lying or seated form as it is drawn; null = a standing pose, or one without numbers. */
  readonly lying: Drawing | null;
  readonly unit: LengthUnit;
  /** Where it is felt, on a card for the person themselves; left out = it is a teacher’s card. */
  readonly feel?: readonly string[];
  /** The date in words; the core has no clock. */
  readonly date: string;
}

/**
 * Whether a card is of a standing pose.
 *
 * @param pose of the card
 * @returns false for a lying or seated form
 */
export const isStanding = (pose: CardContent['pose']): pose is PoseDefinition => 'starts' in pose;

/** A number of both sides in one line where only the number differs, else a line each. */
function sayBoth(right: RecipeLine, left: RecipeLine): string[] {
  if (right.words === left.words) return [right.words];
  return right.words.replace(right.value, left.value) === left.words
    ? [right.words.replace(right.value, `${right.value} (left ${left.value})`)]
    : [`right: ${right.words}`, `left: ${left.words}`];
}

/**
 * The numbers of a recipe as both sides say them, once where they say the same.
 *
 * @returns one text a line
 */
export function listNumbers({ sides, unit, pose, feel }: CardContent): string[] {
  // Where the mat is drawn, its edge has these marks.
  const isTold = ({ setting: { id } }: RecipeLine): boolean =>
    !isStanding(pose) || !id.endsWith('-from-mat-edge');
  // How far somebody stays from a textbook is for their teacher, not for their own page.
  const isForAnybody = ({ setting: { id } }: RecipeLine): boolean =>
    feel === undefined || !id.includes('-short-of-');
  const list = (setUp: SetUp | null): readonly RecipeLine[] =>
    setUp === null
      ? []
      : listRecipe(setUp, unit).filter((each) => isTold(each) && isForAnybody(each));
  const [right, left] = [list(sides.right), list(sides.left)];
  const ids = [...new Set([...right, ...left].map((each) => each.setting.id))];
  return ids.flatMap((id) => {
    const [a, b] = [right, left].map((lines) => lines.find((each) => each.setting.id === id));
    if (a !== undefined && b !== undefined) return sayBoth(a, b);
    if (a !== undefined) return [sides.left === null ? a.words : `right: ${a.words}`];
    return b === undefined ? [] : [`left: ${b.words}`];
  });
}

/**
 * The level that is set up, where the pose has more than one; each side's where they differ.
 *
 * @returns at most one text
 */
export function nameLevel({ pose, sides }: CardContent): string[] {
  if (!isStanding(pose) || pose.levels.length < 2) return [];
  const name = (setUp: SetUp | null): string | null =>
    setUp === null ? null : (findLevel(pose, setUp.level)?.name ?? null);
  const [right, left] = [name(sides.right), name(sides.left)];
  if (right === left || left === null) return right === null ? [] : [`${right}.`];
  return right === null ? [`${left}.`] : [`Right: ${right}. Left: ${left}.`];
}

/**
 * What the hand and the supports stand on, with heights; once where both sides use the same.
 *
 * @returns one text a line
 */
export function listProps({ sides, unit }: CardContent): string[] {
  const [right, left] = [sides.right, sides.left].map((each) =>
    each === null ? null : sayPropsShort(each, unit).join(' '),
  );
  if (right === left || left == null) return right == null || right === '' ? [] : [right];
  if (right == null) return left === '' ? [] : [left];
  return [`Right: ${right}`, `Left: ${left}`];
}

/**
 * Whether the mat is long enough, in words.
 *
 * @returns empty where no mat is needed
 */
export function sayMat({ sides, unit }: CardContent): string {
  const fits = [sides.right, sides.left].flatMap((each) =>
    each?.mat == null || each.footprints === null ? [] : [each.mat],
  );
  const [mat] = fits;
  if (mat === undefined) return '';
  const size = writeLength(metresFromCm(mat.lengthCm), unit, 0);
  return fits.every((each) => each.fits)
    ? `A mat of ${size} is long enough.`
    : `A mat of ${size} is too short: let the back foot stand behind it.`;
}
