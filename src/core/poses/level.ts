import type { LevelDefinition, PoseDefinition } from './poseDefinition.ts';

/** The level that is the pose's own data; in files it is `null`. */
export const USUAL_LEVEL = 'usual';
/** Asks for the hardest level that a person holds within their margins. */
export const FITTING_LEVEL = 'auto';

/**
 * A level as files know it: the pose's own data is `null`.
 *
 * @param id as it is asked for
 * @returns as it is stored
 */
export const toStoredLevel = (id: string | null): string | null => (id === USUAL_LEVEL ? null : id);

/**
 * A level of a pose.
 *
 * @param pose the pose's data
 * @param id the level's name; null = the pose as it is usually done
 * @returns null when the pose has none of that name
 */
export const findLevel = (pose: PoseDefinition, id: string | null): LevelDefinition | null =>
  pose.levels.find((each) => each.id === (id ?? USUAL_LEVEL)) ?? null;

/**
 * The levels that are easier than one, the nearest first; those that no measure decides left out.
 *
 * @param pose the pose's data
 * @param id the level's name; null = the pose as it is usually done
 * @returns none below the easiest
 */
export function findEasierLevels(
  pose: PoseDefinition,
  id: string | null,
): readonly LevelDefinition[] {
  const at = pose.levels.findIndex((each) => each.id === (id ?? USUAL_LEVEL));
  return pose.levels
    .slice(0, Math.max(0, at))
    .filter(({ reachedBy }) => reachedBy === undefined)
    .reverse();
}

/**
 * The ladder of a pose: its levels from easier to harder, without the variants.
 *
 * @param pose the pose's data
 * @returns those that measures decide and those that practice does
 */
export const listLadder = ({ levels }: PoseDefinition): readonly LevelDefinition[] =>
  levels.filter(({ reachedBy }) => reachedBy !== 'choice');

/**
 * A pose as one of its levels does it; null is the pose itself.
 *
 * @param pose the pose's data
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @returns the pose's data with the level's changes
 */
export function withLevel(pose: PoseDefinition, level: string | null): PoseDefinition {
  const found = findLevel(pose, level);
  return found === null ? pose : { ...pose, ...found.changes };
}

/** What the knees of a pose keep; who stands on its feet keeps it too. */
const KNEES: readonly string[] = [
  'front-knee-beside-ankle',
  'front-knee-ahead-of-ankle',
  'back-knee-bend',
];

/**
 * A pose on the legs of another: its knees are held as that one holds them, unless it says otherwise.
 *
 * @param pose the pose's data
 * @param legs the pose it stands on
 * @returns a changed copy of the pose's data
 */
export function onLegsOf(pose: PoseDefinition, legs: PoseDefinition): PoseDefinition {
  const own = pose.musts.map(({ quantity }) => quantity);
  const ofKnees = legs.musts.filter(
    ({ quantity }) => KNEES.includes(quantity) && !own.includes(quantity),
  );
  return {
    ...pose,
    straightLegs: legs.straightLegs,
    backHeelLift: legs.backHeelLift,
    musts: [...ofKnees, ...pose.musts],
  };
}
