import type { Adapted } from '../cautions/adapt.ts';
import { adapt } from '../cautions/adapt.ts';
import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { onLegsOf, toStoredLevel, withLevel } from '../poses/level.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { resolveRules } from '../rules/chosenSchools.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { USUAL_STUDIO } from '../studio/studio.ts';
import { getReserve } from './reserve.ts';
import { withStudio } from './withStudio.ts';

/** What is asked for, with level, house rules and cautions filled in. */
export interface Request {
  readonly record: PersonRecord;
  readonly pose: PoseDefinition;
  /** null = the pose's own data. */
  readonly level: string | null;
  /** The front or standing leg. */
  readonly side: Side;
  readonly rules: HouseRules;
  /** Share of a measured range kept in reserve by experience; what cautions keep stands in `adapted`. */
  readonly reserve: number;
  readonly adapted: Adapted;
  /** Whether a session of this pose was logged. */
  readonly isHeldBefore: boolean;
  /** The pose whose feet it stands on, as it is recommended; null = it has feet of its own. */
  readonly legs: Request | null;
}

/**
 * Fills in level, house rules and cautions.
 *
 * @param record the person with all readings
 * @param usual the pose's data, without a level
 * @param side left or right
 * @param given house rules that differ from the defaults
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @param legs the pose whose feet it stands on; null = feet of its own
 * @returns all that a plan needs to know
 */
export function makeRequest(
  record: PersonRecord,
  usual: PoseDefinition,
  side: Side,
  given: Partial<HouseRules>,
  level: string | null,
  legs: Request | null,
): Request {
  const { person, held = [] } = record;
  const pose = withLevel(usual, level);
  const standing = legs === null ? pose : onLegsOf(pose, legs.pose);
  const { cupboard } = record.studio ?? USUAL_STUDIO;
  const inStudio = withStudio(standing, cupboard);
  const adapted = adapt(person, inStudio, resolveRules(record, usual.id, given));
  return {
    record,
    pose: adapted.pose,
    level: toStoredLevel(level),
    side,
    rules: adapted.rules,
    reserve: getReserve(adapted.rules, person.experience),
    adapted,
    isHeldBefore: held.some((each) => each.pose === usual.id),
    legs,
  };
}
