import type { LyingPose } from '../poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { listRecipe, type RecipeLine } from './recipe.ts';
import type { SetUp } from '../setup/setUp.ts';
import { sayCount } from '../units/sayCount.ts';

/** One thing at a time, from the first mark on the mat to the way out. */
export type WalkStep =
  | { readonly kind: 'number'; readonly line: RecipeLine }
  | { readonly kind: 'words'; readonly heading: string; readonly lines: readonly string[] }
  /** What to look at, and what to change first. */
  | { readonly kind: 'look'; readonly at: string; readonly look: string; readonly change: string };

/**
 * The numbers in the order in which they are set, the way in, the check list, the hold, the way out.
 *
 * @param pose the pose's or the form's data
 * @param setUp the set-up
 * @param unit centimetres or inches
 * @returns one step at a time
 */
export function listWalk(
  pose: PoseDefinition | LyingPose,
  setUp: SetUp,
  unit: LengthUnit,
): readonly WalkStep[] {
  const numbers = listRecipe(setUp, unit).map((line): WalkStep => ({ kind: 'number', line }));
  const { breaths, gaze } = pose.guidance;
  const hold: WalkStep = {
    kind: 'words',
    heading: sayCount(breaths, 'breath'),
    lines: [gaze, 'Pain, numbness or a catching joint ends it.'],
  };
  if (!('starts' in pose)) return [...numbers, hold];
  return [
    ...numbers,
    { kind: 'words', heading: 'The way in', lines: pose.wayIn },
    ...pose.lookAt.map((each): WalkStep => ({ kind: 'look', ...each })),
    hold,
    { kind: 'words', heading: 'The way out', lines: pose.wayOut },
  ];
}
