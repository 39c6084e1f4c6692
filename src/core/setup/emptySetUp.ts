import { findActiveCautions } from '../cautions/stopSigns.ts';
import type { Side } from '../measures/protocol.ts';
import type { Person } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { SET_UP_FORMAT, SET_UP_VERSION, type SetUp } from './setUp.ts';

/** What a set-up is asked for, as far as it stands in the set-up itself. */
interface SetUpQuestion {
  readonly pose: string;
  /** null = the pose as it is usually done. */
  readonly level: string | null;
  readonly side: Side;
  readonly rules: HouseRules;
  /** Share of a measured range that is kept in reserve. */
  readonly reserve: number;
  readonly person: Person;
}

/**
 * A set-up before anything is computed: what was asked, the cautions, and no numbers.
 *
 * @returns a failed set-up
 */
export const makeEmptySetUp = ({
  pose,
  level,
  side,
  rules,
  reserve,
  person,
}: SetUpQuestion): SetUp => ({
  format: SET_UP_FORMAT,
  version: SET_UP_VERSION,
  pose,
  level,
  levels: [],
  standsOn: null,
  side,
  status: 'failed',
  provisional: rules.provisional,
  depth: null,
  firstDepth: null,
  settings: [],
  pelvis: null,
  landmarks: {},
  joints: [],
  limiting: null,
  balance: null,
  mat: null,
  footprints: null,
  cautions: findActiveCautions(person).map(({ entry, kind }) => ({
    id: entry.id,
    name: kind?.name ?? entry.id,
    advice: kind?.advice ?? entry.note,
  })),
  adaptations: [],
  weights: [],
  loads: [],
  stanceRule: null,
  bounds: null,
  ifPushed: null,
  asFound: null,
  handProp: null,
  supportProps: [],
  problems: [],
  provenance: { measures: [], rules, reserve },
});
