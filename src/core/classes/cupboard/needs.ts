import type { Side } from '../../measures/protocol.ts';
import { findPose } from '../../poses/catalogue/index.ts';
import { withLevel } from '../../poses/level.ts';
import { PLACES, restsOnProp } from '../../poses/poseDefinition.ts';
import type { PropItem } from '../../props/propList.ts';
import { findRails, findStacks, listStrapLengths, type Stack } from '../../props/stacks.ts';
import type { Setting, SetUp } from '../../setup/setUp.ts';
import { findSettingKind, type SettingId } from '../../setup/settingKinds.ts';
import { nameStack, nameStraps } from '../../setup/supportProps.ts';
import { toTenths } from '../../units/rounding.ts';
import type { MemberPose } from '../planMember.ts';

/** What somebody is given on one side of a pose. */
export interface Pile {
  readonly side: Side;
  /** null = nothing. */
  readonly name: string | null;
  readonly heightCm: number;
}

/** One way to give somebody what they need on every side of a pose, or nothing. */
export interface Choice {
  readonly piles: readonly Pile[];
  /** Pieces of each thing of the cupboard: the most that either side takes. */
  readonly takes: ReadonlyMap<string, number>;
  /** It is high or long enough on every side. */
  readonly isServing: boolean;
  /** What it costs of the recommended depth, hundredths of a degree. */
  readonly shortfall: number;
}

/** What one member needs in a pose: a hand that rests, or a support of its own. */
export interface ClassNeed {
  readonly member: string;
  readonly pose: string;
  readonly setting: SettingId;
  readonly sides: readonly { readonly side: Side; readonly neededCm: number }[];
  /** Best first; the last takes nothing. */
  readonly choices: readonly Choice[];
}

/** What of a set-up says what it needs. */
export type NeedySetUp = Pick<SetUp, 'pose' | 'level' | 'side' | 'depth'> & {
  readonly settings: readonly Pick<Setting, 'id' | 'value'>[];
};

/** One pose of one member, as far as the cupboard is concerned: little enough to be sent to a worker. */
export interface Needy {
  readonly member: string;
  readonly pose: string;
  readonly setUps: readonly NeedySetUp[];
}

/**
 * What of a planned pose says what it needs.
 *
 * @param planned of one member
 * @returns without postures and sums
 */
export const toNeedy = ({ member, pose, pairs }: MemberPose): Needy => ({
  member,
  pose,
  setUps: pairs.map(({ setUp: { pose: id, level, side, depth, settings } }) => ({
    pose: id,
    level,
    side,
    depth,
    settings: settings.map((each) => ({ id: each.id, value: each.value })),
  })),
});

/** A centimetre at the end of a trunk of 57 cm is one degree. */
const DEG_PER_CM = 1;
/** A stack this much higher than needed costs nothing, cm: the elbow takes it up. As props/stacks.ts. */
const HARDLY_HIGHER_CM = 2;
/** Half of what can be set counts as reached, cm. As props/stacks.ts. */
const HALF_SETTABLE_CM = 0.25;
/** A pose whose depth is not counted in degrees weighs as much as a usual one, degrees. Our choice. */
const USUAL_DEPTH_DEG = 45;
/** A support that is missing can be improvised: it weighs this share of a hand that reaches nothing. Our choice. */
const SUPPORT_SHARE = 0.25;
/** What is too high never costs as much as what does not reach, as a share of it. Our choice. */
const MOST_FOR_HIGHER = 0.9;
const HUNDREDTHS = 100;

/** A stack or a strap that may serve, with its pieces. */
interface Ware {
  readonly name: string;
  readonly heightCm: number;
  readonly pieces: readonly string[];
}

const toWares = (stacks: readonly Stack[]): readonly Ware[] =>
  stacks.map((stack) => ({
    name: stack.props.length === 0 ? 'the floor' : nameStack(stack),
    heightCm: stack.heightCm,
    pieces: stack.props.map(({ id }) => id),
  }));

function listWares(setting: SettingId, props: readonly PropItem[]): readonly Ware[] | null {
  if (setting === 'hand-height') return toWares(findStacks(props));
  const by = findSettingKind(setting)?.servedBy;
  if (by === undefined) return null;
  if (by !== 'strap') return toWares(by === 'rail' ? findRails(props) : findStacks(props, by));
  return listStrapLengths(props).map((each) => ({
    name: nameStraps(each),
    heightCm: each.lengthCm,
    pieces: each.straps.map(({ id }) => id),
  }));
}

/**
 * Pieces that one person takes into a pose.
 *
 * @returns how many
 */
export const countPieces = ({ takes }: Choice): number =>
  [...takes.values()].reduce((sum, each) => sum + each, 0);

/** What fewer or the same pieces do as well is left out. */
const isBeaten = (choice: Choice, by: Choice): boolean =>
  by !== choice &&
  by.shortfall <= choice.shortfall &&
  [...by.takes].every(([id, count]) => count <= (choice.takes.get(id) ?? 0));

const sumHeights = ({ piles }: Choice): number =>
  piles.reduce((sum, { heightCm }) => sum + heightCm, 0);

/** Least shortfall first, then fewest pieces, then lowest; what is beaten is left out. */
function rank(choices: readonly Choice[]): readonly Choice[] {
  const sorted = choices.toSorted(
    (a, b) =>
      a.shortfall - b.shortfall || countPieces(a) - countPieces(b) || sumHeights(a) - sumHeights(b),
  );
  return sorted.filter(
    (each, i) =>
      !sorted.some((other, j) => isBeaten(each, other) && (!isBeaten(other, each) || j < i)),
  );
}

/** How many hands rest at the height of the hand’s prop. */
function countHands({ pose, level }: NeedySetUp): number {
  const found = findPose(pose);
  if (found === null) return 1;
  const { arms } = withLevel(found, level);
  return PLACES.filter((place) => restsOnProp(arms[place])).length;
}

/** Everything that serves one side, the best first. */
function listServing(
  setting: SettingId,
  setUp: NeedySetUp,
  neededCm: number,
  props: readonly PropItem[],
): readonly Choice[] {
  const isHand = setting === 'hand-height';
  const hands = isHand ? Math.max(1, countHands(setUp)) : 1;
  const kindOf = new Map(props.map(({ id, kind }) => [id, kind]));
  const isStrap = findSettingKind(setting)?.servedBy === 'strap';
  const serving = (listWares(setting, props) ?? []).flatMap(
    ({ name, heightCm, pieces }): Choice[] => {
      const above = heightCm - neededCm;
      if (above < -HALF_SETTABLE_CM) return [];
      // One chair is wide enough for two hands.
      const times = pieces.some((id) => kindOf.get(id) === 'chair') ? 1 : hands;
      const takes = new Map<string, number>();
      for (const id of pieces) takes.set(id, (takes.get(id) ?? 0) + times);
      const higher = isStrap ? 0 : Math.max(0, above - HARDLY_HIGHER_CM) * DEG_PER_CM;
      const shortfall = Math.round(
        HUNDREDTHS * Math.min(higher, MOST_FOR_HIGHER * weigh(setting, setUp)),
      );
      const piles = [{ side: setUp.side, name, heightCm }];
      return [{ piles, takes, isServing: true, shortfall }];
    },
  );
  return rank(serving);
}

/** What it costs to go without, degrees of the recommended depth. */
function weigh(setting: SettingId, { depth }: NeedySetUp): number {
  const deg = depth?.unit === 'deg' && depth.value !== null ? depth.value : USUAL_DEPTH_DEG;
  return setting === 'hand-height' ? deg : SUPPORT_SHARE * deg;
}

/** Two sides are held one after the other: what serves one is there for the other as well. */
function join(a: Choice, b: Choice): Choice {
  const takes = new Map(a.takes);
  for (const [id, count] of b.takes) takes.set(id, Math.max(count, takes.get(id) ?? 0));
  return {
    piles: [...a.piles, ...b.piles],
    takes,
    isServing: true,
    shortfall: a.shortfall + b.shortfall,
  };
}

/**
 * What the set-ups of a pose need of a cupboard, with every choice that is worth one.
 *
 * @param needy one pose of one member, one or both sides
 * @param props what the class has
 * @returns one need for the hands, one for each support and strap
 */
export function listNeedsOf(
  { member, pose, setUps }: Needy,
  props: readonly PropItem[],
): readonly ClassNeed[] {
  const ids = new Set(setUps.flatMap(({ settings }) => settings.map(({ id }) => id)));
  return [...ids].flatMap((setting): ClassNeed[] => {
    if (setting !== 'hand-height' && findSettingKind(setting)?.servedBy === undefined) return [];
    const needing = setUps.flatMap((setUp) => {
      const value = setUp.settings.find(({ id }) => id === setting)?.value ?? 0;
      return value > 0 ? [{ setUp, value }] : [];
    });
    if (needing.length === 0) return [];
    const [first = [], ...others] = needing.map(({ setUp, value }) =>
      listServing(setting, setUp, value, props),
    );
    const serving = others.reduce(
      (joined, next) => joined.flatMap((a) => next.map((b) => join(a, b))),
      first,
    );
    const nothing: Choice = {
      piles: needing.map(({ setUp: { side } }) => ({ side, name: null, heightCm: 0 })),
      takes: new Map(),
      isServing: false,
      shortfall: Math.round(
        HUNDREDTHS * needing.reduce((sum, { setUp }) => sum + weigh(setting, setUp), 0),
      ),
    };
    const sides = needing.map(({ setUp: { side }, value }) => ({
      side,
      neededCm: toTenths(value),
    }));
    // What the floor serves is nothing that anybody carries, and still serves.
    return [{ member, pose, setting, sides, choices: rank([...serving, nothing]) }];
  });
}

/**
 * What a class needs of a cupboard: in the order of its poses, in each by member, so that the same
 * class is always shared in the same way.
 *
 * @param planned every pose of every member, in any order
 * @param poses of the class
 * @param props what the class has
 * @returns needs, pose by pose
 */
export function listNeeds(
  planned: readonly Needy[],
  poses: readonly string[],
  props: readonly PropItem[],
): readonly ClassNeed[] {
  const sorted = planned.toSorted((a, b) => (a.member < b.member ? -1 : 1));
  return poses.flatMap((pose) =>
    sorted.filter((each) => each.pose === pose).flatMap((each) => listNeedsOf(each, props)),
  );
}
