import type { Side } from '../measures/protocol.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { findLevel } from '../poses/level.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import type { PropItem } from '../props/propList.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import type { ClassShare } from './cupboard/shareCupboard.ts';
import { findLaidOut, type Help } from './cupboard/wallPlaces.ts';
import { CLASS_SETTINGS, readHeld, type ClassSetting } from './lossOnGrid.ts';
import { GROUP_REASON, type MemberPose } from './planMember.ts';
import type { Instruction } from './yogaClass.ts';

/** What a class is worked out to, pose by pose. */
export interface PlannedClass {
  readonly poses: readonly string[];
  /** Every pose of every member. */
  readonly planned: readonly MemberPose[];
  readonly instructions: readonly Instruction[];
  readonly shares: readonly ClassShare[];
  readonly helps: readonly Help[];
  readonly cupboard: readonly PropItem[];
  /** In the order of the class. */
  readonly members: readonly SheetMember[];
}

export interface SheetMember {
  readonly id: string;
  readonly name: string;
  /** A guest: nothing of them is measured. */
  readonly isGuest: boolean;
}

/** A number that is said to several people, as it is written. */
export interface SheetGroup {
  readonly value: string;
  readonly names: readonly string[];
}

/** What is different for one person, in words that a substitute may read. */
export interface SheetLine {
  readonly member: SheetMember;
  readonly words: readonly string[];
  /** Where the heels stand from the mat’s front edge; '' = the pose has no such marks. */
  readonly marks: string;
}

/** One pose of a class on one page: nothing about health, age or weight. */
export interface PoseSheet {
  readonly pose: string;
  readonly name: string;
  /** What the groups are of; null = everybody has their own numbers. */
  readonly setting: ClassSetting | null;
  readonly groups: readonly SheetGroup[];
  readonly lines: readonly SheetLine[];
  readonly layOut: readonly { readonly name: string; readonly count: number }[];
  /** Who is kept from the pose, and what they do instead: never why. */
  readonly keepFrom: readonly { readonly name: string; readonly instead: string }[];
  /** Nothing is known of their bodies yet: they set up by eye. */
  readonly notPlanned: readonly string[];
}

const SETTING_WORDS: Readonly<Record<ClassSetting, string>> = {
  'stance-length': 'stance',
  'back-foot-angle': 'back foot',
  'hand-height': 'hand',
};

/**
 * Name of a class setting.
 *
 * @param setting which
 * @returns “stance”, “back foot” or “hand”
 */
export const nameSetting = (setting: ClassSetting): string => SETTING_WORDS[setting];

/**
 * A number of a class as it is written.
 *
 * @param setting which
 * @param value cm or degrees
 * @param unit centimetres or inches
 * @returns “101 cm” or “75°”
 */
export function writeSetting(setting: ClassSetting, value: number, unit: LengthUnit): string {
  if (setting === 'back-foot-angle') return `${String(Math.round(value))}°`;
  return writeLength(metresFromCm(Math.round(2 * value) / 2), unit, 1);
}

/** The same words of both sides once; else each with its side. */
function sayBoth(words: Readonly<Record<Side, string | null>>, hasBoth: boolean): string | null {
  const { left, right } = words;
  if (left === right || !hasBoth) return right ?? left;
  if (left === null) return `right ${right ?? ''}`;
  return right === null ? `left ${left}` : `right ${right}, left ${left}`;
}

const bySide = <Value>(of: (side: Side) => Value): Readonly<Record<Side, Value>> => ({
  left: of('left'),
  right: of('right'),
});

function nameLevel(setUp: SetUp | null): string | null {
  const pose = setUp === null ? null : findPose(setUp.pose);
  if (pose === null || setUp === null || setUp.level === null) return null;
  return findLevel(pose, setUp.level)?.name.toLowerCase() ?? null;
}

/** What the cupboard gives somebody on one side, in words: “block (23 cm)”. */
function nameShares(shares: readonly ClassShare[], side: Side): string | null {
  const names = shares.flatMap(({ choice }) =>
    choice.piles.flatMap((pile) =>
      pile.side === side && pile.name !== null ? [pile.name.toLowerCase()] : [],
    ),
  );
  return names.length === 0 ? null : names.join(' and ');
}

/**
 * The group’s number that a member holds on one side.
 *
 * @param pairs of one pose
 * @param side left or right
 * @param setting which
 * @returns cm or degrees; null = their own number
 */
export function findGroupValue(
  pairs: MemberPose['pairs'],
  side: Side,
  setting: ClassSetting,
): number | null {
  const { moved, why } = pairs.find(({ plan }) => plan.side === side)?.plan ?? NOT_PLANNED;
  return moved === null || !why.includes(GROUP_REASON) ? null : readHeld(moved, setting);
}

const NOT_PLANNED = { moved: null, why: [] } as const;

/** The numbers of one member in one pose, both sides in one text; '' = the pose has no such number. */
export interface MemberNumbers {
  readonly version: string;
  readonly stance: string;
  readonly backFoot: string;
  readonly hand: string;
  /** The number of their group; null = their own numbers. */
  readonly group: string | null;
}

/**
 * What one member sets in one pose: “101 cm”, or “right 101 cm, left 98 cm” where the sides differ.
 *
 * @param planned the pose of the member
 * @param unit centimetres or inches
 * @returns words for a table
 */
export function describeNumbers({ pairs }: MemberPose, unit: LengthUnit): MemberNumbers {
  const hasBoth = pairs.length > 1;
  const of = (side: Side) => pairs.find(({ plan }) => plan.side === side) ?? null;
  const write = (setting: ClassSetting): string =>
    sayBoth(
      bySide((side) => {
        const value = getValue(of(side)?.setUp ?? { settings: [] }, setting);
        return value === null ? null : writeSetting(setting, value, unit);
      }),
      hasBoth,
    ) ?? '';
  const version = sayBoth(
    bySide((side) => nameLevel(of(side)?.setUp ?? null)),
    hasBoth,
  );
  const group = sayBoth(
    bySide((side) => {
      const setting = CLASS_SETTINGS.find((each) => findGroupValue(pairs, side, each) !== null);
      if (setting === undefined) return null;
      return writeSetting(setting, findGroupValue(pairs, side, setting)!, unit);
    }),
    hasBoth,
  );
  return {
    version: version ?? 'as usual',
    stance: write('stance-length'),
    backFoot: write('back-foot-angle'),
    hand: write('hand-height'),
    group,
  };
}

const HELP_WORDS: Readonly<Record<Help['kind'], (form: string) => string>> = {
  wall: () => 'at the wall',
  lying: (form) => `${form.toLowerCase()} instead: the cupboard has nothing left`,
  shallower: () => 'less deep, hand on the thigh: the cupboard has nothing left',
};

/** What one member does differently from their group. */
function describeMember(
  plan: PlannedClass,
  { pairs, harder, pose, member }: MemberPose,
  unit: LengthUnit,
): readonly string[] {
  const hasBoth = pairs.length > 1;
  const of = (side: Side): SetUp | null =>
    pairs.find((each) => each.plan.side === side)?.setUp ?? null;
  const instruction = plan.instructions.find((each) => each.pose === pose);
  const setting = instruction?.setting ?? 'stance-length';
  const numbers = bySide((side) => {
    const setUp = of(side);
    const isInGroup = findGroupValue(pairs, side, setting) !== null;
    const value = setUp === null || isInGroup ? null : getValue(setUp, setting);
    return value === null ? null : writeSetting(setting, value, unit);
  });
  const levels = bySide((side) => nameLevel(of(side)));
  const own = plan.shares.filter(({ need }) => need.member === member && need.pose === pose);
  const props = bySide((side) => nameShares(own, side));
  const help = plan.helps.find((each) => each.member === member && each.pose === pose);
  const [number, level, prop] = [numbers, levels, props].map((each) => sayBoth(each, hasBoth));
  return [
    ...(number == null ? [] : [`own ${nameSetting(setting)} ${number}`]),
    ...(level == null ? [] : [level]),
    ...(prop == null ? [] : [prop]),
    ...(help === undefined ? [] : [HELP_WORDS[help.kind](help.form)]),
    ...(harder === null ? [] : [`${harder} side is harder`]),
  ];
}

/** “marks at 49 and 153 cm”, each side’s where they differ. */
function describeMarks({ pairs }: MemberPose, unit: LengthUnit): string {
  const write = (setUp: SetUp): string | null => {
    const marks = setUp.settings
      .filter(({ id }) => id.endsWith('-from-mat-edge'))
      .map(({ value }) => value)
      .toSorted((a, b) => a - b);
    if (marks.length === 0) return null;
    return marks.map((cm) => writeSetting('stance-length', cm, unit)).join(' and ');
  };
  const words = sayBoth(
    bySide((side) => {
      const setUp = pairs.find(({ plan }) => plan.side === side)?.setUp;
      return setUp === undefined ? null : write(setUp);
    }),
    pairs.length > 1,
  );
  return words === null ? '' : `marks ${words}`;
}

/** The groups of a pose, smallest number first, read from the planned holds: a member who cannot hold the number is not in the group. */
function listGroups(plan: PlannedClass, pose: string, unit: LengthUnit): readonly SheetGroup[] {
  const setting = plan.instructions.find((each) => each.pose === pose)?.setting;
  if (setting === undefined) return [];
  const grouped = plan.members.flatMap(({ id, name }) => {
    const pairs =
      plan.planned.find((each) => each.member === id && each.pose === pose)?.pairs ?? [];
    const sides = pairs.flatMap(({ plan: { side } }) => {
      const value = findGroupValue(pairs, side, setting);
      return value === null ? [] : [{ side, value }];
    });
    return sides.map((each) => ({ ...each, name, isAlike: pairs.length === sides.length }));
  });
  const values = [...new Set(grouped.map(({ value }) => value))].toSorted((a, b) => a - b);
  return values.map((value): SheetGroup => {
    const here = grouped.filter((each) => each.value === value);
    const names = [...new Set(here.map(({ name }) => name))].map((name) => {
      const own = here.filter((each) => each.name === name);
      const all = grouped.filter((each) => each.name === name);
      const isBoth = own.length === all.length && own.every(({ isAlike }) => isAlike);
      return isBoth ? name : `${name}, ${own.map(({ side }) => side).join(' and ')}`;
    });
    return { value: writeSetting(setting, value, unit), names };
  });
}

/**
 * One pose of a class as it is taught: what is said to the groups, what is different for whom, what
 * is laid out beforehand, and who is kept from it.
 *
 * @param plan the class as it is worked out
 * @param pose id
 * @param unit centimetres or inches
 * @returns words for a sheet that anybody in the room may read
 */
export function describePose(plan: PlannedClass, pose: string, unit: LengthUnit): PoseSheet {
  const found = findPose(pose) ?? findLyingPose(pose);
  const ofPose = plan.planned.filter((each) => each.pose === pose);
  const nameOf = (id: string): string => plan.members.find((each) => each.id === id)?.name ?? id;
  const sorted = plan.members.flatMap(({ id }) => ofPose.find((each) => each.member === id) ?? []);
  const lines = sorted.flatMap((each): SheetLine[] => {
    const member = plan.members.find(({ id }) => id === each.member);
    if (member === undefined || each.pairs.length === 0) return [];
    const words = describeMember(plan, each, unit);
    const marks = describeMarks(each, unit);
    return words.length === 0 && marks === '' ? [] : [{ member, words, marks }];
  });
  return {
    pose,
    name: found?.name ?? pose,
    setting: plan.instructions.find((each) => each.pose === pose)?.setting ?? null,
    groups: listGroups(plan, pose, unit),
    lines,
    layOut: findLaidOut(plan.shares, pose).flatMap(({ id, count }) => {
      const item = plan.cupboard.find((each) => each.id === id);
      return item === undefined ? [] : [{ name: item.name, count }];
    }),
    keepFrom: sorted.flatMap(({ member, leftOut }) =>
      leftOut === null || leftOut.isUnmeasured
        ? []
        : [{ name: nameOf(member), instead: leftOut.instead }],
    ),
    notPlanned: sorted
      .filter(({ pairs, leftOut }) => pairs.length === 0 && leftOut?.isUnmeasured !== false)
      .map(({ member }) => nameOf(member)),
  };
}
