import { SIDES, type Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import { hasSides } from '../poses/hasSides.ts';
import type { Problem } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { planPose } from '../setup/planSetUp.ts';
import { calcLosses, type ClassSetting, type OwnLosses } from './lossOnGrid.ts';
import { MOST_SETTINGS, shareSettings, type LossOnGrid } from './shareSettings.ts';

/** One person on one side, with the setting that is theirs. */
export interface ClassPlace {
  readonly person: string;
  readonly side: Side;
  /** As it is recommended to them alone, cm or degrees. */
  readonly own: number;
  /** Of the class; null = they have their own number. */
  readonly value: number | null;
  /** Share of the recommended depth. */
  readonly lost: number;
  /** The same in the depth’s own unit; null = the pose has no degrees of depth. */
  readonly lostDepth: number | null;
}

/** So many settings for the class, and what they cost. */
export interface ClassGroups {
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
export interface ClassAsked {
  readonly people: readonly PersonRecord[];
  readonly pose: string;
  readonly level: string | null;
  readonly setting: ClassSetting;
  readonly rules: Partial<HouseRules>;
}

interface OwnPlace extends OwnLosses {
  readonly person: string;
  readonly side: Side;
}

const keyOf = ({ person, side }: Pick<OwnPlace, 'person' | 'side'>): string => `${person} ${side}`;

/**
 * One instruction for many bodies: the stances, back-foot angles or hand heights that serve a class
 * in one to four groups. Nobody is put beyond a limit; who would lose more than a fifth of their
 * depth keeps a number of their own. Each side counts by itself.
 *
 * @param asked people, pose and which setting
 * @returns groups for each count, and who cannot be planned
 */
export function planSettings({ people, pose, level, setting, rules }: ClassAsked): ClassSettings {
  const own: OwnPlace[] = [];
  const notPlanned: ClassSettings['notPlanned'][number][] = [];
  for (const record of people) {
    const context = new PlanningContext(record);
    const person = record.person.id;
    for (const side of hasSides(pose) ? SIDES : (['right'] as const)) {
      const planned = planPose(context, pose, side, rules, level);
      if (planned.kind === 'planned') {
        const losses = calcLosses(planned, setting);
        if (losses !== null) own.push({ person, side, ...losses });
        continue;
      }
      const { problems } = planned.kind === 'problems' ? planned : planned.setUp;
      if (!notPlanned.some((each) => each.person === person)) notPlanned.push({ person, problems });
    }
  }
  const bodies = own.map((each): LossOnGrid => ({ id: keyOf(each), losses: each.losses }));
  const groups = Array.from({ length: MOST_SETTINGS }, (_each, i): ClassGroups => {
    const { values, worst, served } = shareSettings(bodies, i + 1);
    const places = own.map((each): ClassPlace => {
      const found = served.find(({ id }) => id === keyOf(each));
      const lost = found?.lost ?? 0;
      return {
        person: each.person,
        side: each.side,
        own: each.own,
        value: found?.value ?? null,
        lost,
        lostDepth: each.depth === null ? null : lost * each.depth,
      };
    });
    return { values, worst, places };
  });
  return { pose, setting, groups, notPlanned };
}
