import type { Adapted } from '../cautions/adapt.ts';
import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { HouseRules } from '../rules/houseRules.ts';

/** What is asked for, with level, house rules and cautions filled in. */
export interface Request {
  readonly record: PersonRecord;
  readonly pose: PoseDefinition;
  readonly level: string | null;
  /** The front or standing leg. */
  readonly side: Side;
  readonly rules: HouseRules;
  /** Share of a measured range kept in reserve, by experience and cautions. */
  readonly reserve: number;
  readonly adapted: Adapted;
}
