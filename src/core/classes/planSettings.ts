import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import type { Problem } from '../problems/problem.ts';
import type { ClassSetting } from './lossOnGrid.ts';
import {
  findGrid,
  listOwnPlaces,
  planOwn,
  type InstructionAsked,
  type OwnPlace,
} from './ownPlaces.ts';
import { MOST_SETTINGS, shareSettings, type LossOnGrid } from './shareSettings.ts';

/** One person on one side, or on both, with the setting that is theirs. */
export interface ClassPlace {
  readonly person: string;
  readonly sides: readonly Side[];
  /** As it is recommended to them alone, cm or degrees; the mean of two sides. */
  readonly own: number;
  /** Of the class; null = they have their own number. */
  readonly value: number | null;
  /** Every number of the class would cost them too much, or put them beyond a limit. */
  readonly isLeftOut: boolean;
  /** Share of the recommended depth. */
  readonly lost: number;
  /** The same in the depth’s own unit; null = the pose has no degrees of depth. */
  readonly lostDepth: number | null;
}

/** So many settings for the class, and what they cost. */
export interface ClassGroups {
  /** Numbers that more than one person shares. */
  readonly values: readonly number[];
  readonly worst: number;
  readonly places: readonly ClassPlace[];
}

export interface ClassSettings {
  readonly pose: string;
  readonly setting: ClassSetting;
  /** With one setting, with two, three and four. */
  readonly groups: readonly ClassGroups[];
  /** Who cannot be planned, and why. */
  readonly notPlanned: readonly {
    readonly person: string;
    readonly problems: readonly Problem[];
  }[];
}

/** What is asked for a class. */
export interface ClassAsked extends Omit<InstructionAsked, 'poses'> {
  readonly people: readonly PersonRecord[];
  readonly pose: string;
}

const keyOf = ({ person, sides }: Pick<OwnPlace, 'person' | 'sides'>): string =>
  `${person} ${sides.join(' ')}`;

function groupInto(own: readonly OwnPlace[], count: number): ClassGroups {
  const bodies = own.map((each): LossOnGrid => ({
    id: keyOf(each),
    own: each.own,
    losses: each.losses,
  }));
  const { served } = shareSettings(bodies, count);
  const found = new Map(served.map((each) => [each.id, each]));
  const peopleAt = (value: number): number =>
    new Set(own.filter((each) => found.get(keyOf(each))?.value === value).map((o) => o.person))
      .size;
  const places = own.map((each): ClassPlace => {
    const { person, sides, depth } = each;
    const mine = found.get(keyOf(each));
    // A group of one person keeps that person’s own number, which is not rounded to the grid.
    const isShared = mine !== undefined && peopleAt(mine.value) > 1;
    const lost = isShared ? mine.lost : 0;
    const value = isShared ? mine.value : null;
    const lostDepth = depth === null ? null : lost * depth;
    const isLeftOut = mine === undefined;
    return { person, sides, own: each.own, value, isLeftOut, lost, lostDepth };
  });
  const values = [...new Set(places.flatMap(({ value }) => (value === null ? [] : [value])))];
  return {
    values: values.toSorted((a, b) => a - b),
    worst: Math.max(0, ...places.map(({ lost }) => lost)),
    places,
  };
}

/**
 * The settings that serve a class in one group, in two, three and four.
 *
 * @param own what each whole value costs each body
 * @returns the same for the same bodies, in whatever order they stand
 */
export const groupPlaces = (own: readonly OwnPlace[]): readonly ClassGroups[] =>
  Array.from({ length: MOST_SETTINGS }, (_each, i) => groupInto(own, i + 1));

/**
 * One instruction for many bodies: the stances, back-foot angles or hand heights that serve a class
 * in one to four groups. Nobody is put beyond a limit; who would lose more than a fifth of their
 * depth keeps a number of their own. Each side counts by itself where the two differ beyond error.
 *
 * @param asked people, pose and which setting
 * @returns groups for each count, and who cannot be planned
 */
export function planSettings({ people, pose, ...asked }: ClassAsked): ClassSettings {
  const { setting } = asked;
  const planned = people.map((record) => ({
    person: record.person.id,
    ...planOwn(new PlanningContext(record), { ...asked, poses: [pose] }),
  }));
  const grid = findGrid(planned.flatMap(({ sides }) => sides.map(({ own }) => own)));
  const own = planned.flatMap((each) => listOwnPlaces(each.person, each, setting, grid));
  const notPlanned = planned.flatMap(({ person, sides, problems }) =>
    sides.length === 0 && problems.length > 0 ? [{ person, problems }] : [],
  );
  return { pose, setting, groups: groupPlaces(own), notPlanned };
}
