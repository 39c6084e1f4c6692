import type { Side } from '../../measures/protocol.ts';
import { findPose } from '../../poses/catalogue/index.ts';
import { withLevel } from '../../poses/level.ts';
import { PLACES, restsOnProp } from '../../poses/poseDefinition.ts';
import type { PropItem } from '../../props/propList.ts';
import { findRails, findStacks, listStrapLengths, type Stack } from '../../props/stacks.ts';
import type { SetUp } from '../../setup/setUp.ts';
import { findSettingKind, type SettingId } from '../../setup/settingKinds.ts';
import { nameStack, nameStraps } from '../../setup/supportProps.ts';
import { toTenths } from '../../units/rounding.ts';
import type { MemberPose } from '../planMember.ts';

/** One way to give somebody what they need, or nearly. */
export interface Choice {
  /** null = nothing at all. */
  readonly name: string | null;
  readonly heightCm: number;
  /** Pieces taken of each thing of the cupboard. */
  readonly takes: ReadonlyMap<string, number>;
  /** It is high or long enough. */
  readonly isServing: boolean;
  /** What it costs of the recommended depth, hundredths of a degree. */
  readonly shortfall: number;
}

/** What one member needs on one side of a pose: a hand that rests, or a support of its own. */
export interface ClassNeed {
  readonly member: string;
  readonly pose: string;
  readonly side: Side;
  readonly setting: SettingId;
  readonly neededCm: number;
  /** Best first; the last takes nothing. */
  readonly choices: readonly Choice[];
}

/**
 * The slot that a need belongs to: one side of one pose, at which the whole class is at one time.
 *
 * @returns a key
 */
export const slotOf = ({ pose, side }: Pick<ClassNeed, 'pose' | 'side'>): string =>
  `${pose} ${side}`;

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

interface Piled {
  readonly name: string | null;
  readonly heightCm: number;
  readonly pieces: readonly string[];
}

const toPiled = (stack: Stack): Piled => ({
  name: stack.props.length === 0 ? null : nameStack(stack),
  heightCm: stack.heightCm,
  pieces: stack.props.map(({ id }) => id),
});

/** What fewer or the same pieces do as well is left out. */
const isBeaten = (choice: Choice, by: Choice): boolean =>
  by !== choice &&
  by.shortfall <= choice.shortfall &&
  [...by.takes].every(([id, count]) => count <= (choice.takes.get(id) ?? 0));

/**
 * Pieces that one person takes into a slot.
 *
 * @returns how many
 */
export const countPieces = ({ takes }: Choice): number =>
  [...takes.values()].reduce((sum, each) => sum + each, 0);

function toChoice(
  { name, heightCm, pieces }: Piled,
  neededCm: number,
  weightDeg: number,
  isStrap: boolean,
  times: (pieces: readonly string[]) => number,
): Choice {
  const takes = new Map<string, number>();
  for (const id of pieces) takes.set(id, (takes.get(id) ?? 0) + times(pieces));
  const above = heightCm - neededCm;
  const isServing = above >= -HALF_SETTABLE_CM;
  const higher = isStrap ? 0 : Math.max(0, above - HARDLY_HIGHER_CM) * DEG_PER_CM;
  const deg = isServing
    ? Math.min(higher, MOST_FOR_HIGHER * weightDeg)
    : weightDeg + Math.max(0, -above) * DEG_PER_CM;
  return { name, heightCm, takes, isServing, shortfall: Math.round(100 * deg) };
}

/** Least shortfall first, then fewest pieces, then lowest; what is beaten is left out. */
function rank(choices: readonly Choice[]): readonly Choice[] {
  const sorted = choices.toSorted(
    (a, b) =>
      a.shortfall - b.shortfall || countPieces(a) - countPieces(b) || a.heightCm - b.heightCm,
  );
  return sorted.filter(
    (each, i) =>
      !sorted.some((other, j) => isBeaten(each, other) && (!isBeaten(other, each) || j < i)),
  );
}

/** How many hands rest at the height of the hand’s prop. */
function countHands({ pose, level }: SetUp): number {
  const found = findPose(pose);
  if (found === null) return 1;
  const { arms } = withLevel(found, level);
  return PLACES.filter((place) => restsOnProp(arms[place])).length;
}

function listPiled(
  setting: SettingId,
  props: readonly PropItem[],
): { readonly piled: readonly Piled[]; readonly isStrap: boolean } | null {
  if (setting === 'hand-height') return { piled: findStacks(props).map(toPiled), isStrap: false };
  const by = findSettingKind(setting)?.servedBy;
  if (by === undefined) return null;
  if (by === 'strap') {
    const piled = listStrapLengths(props).map((each) => ({
      name: nameStraps(each),
      heightCm: each.lengthCm,
      pieces: each.straps.map(({ id }) => id),
    }));
    return { piled, isStrap: true };
  }
  const stacks = by === 'rail' ? findRails(props) : findStacks(props, by);
  return { piled: stacks.map(toPiled), isStrap: false };
}

const NOTHING: Piled = { name: null, heightCm: 0, pieces: [] };

/**
 * What a set-up needs of a cupboard, with every choice that is worth one.
 *
 * @param member whose set-up it is
 * @param setUp solved
 * @param props what the class has
 * @returns one need for the hands, one for each support and strap
 */
export function listNeedsOf(
  member: string,
  setUp: SetUp,
  props: readonly PropItem[],
): readonly ClassNeed[] {
  const { depth, pose, side } = setUp;
  const depthDeg = depth?.unit === 'deg' && depth.value !== null ? depth.value : USUAL_DEPTH_DEG;
  const hands = countHands(setUp);
  const kindOf = new Map(props.map(({ id, kind }) => [id, kind]));
  return setUp.settings.flatMap(({ id, value }): ClassNeed[] => {
    const found = value <= 0 ? null : listPiled(id, props);
    if (found === null) return [];
    const isHand = id === 'hand-height';
    // One chair is wide enough for two hands.
    const times = (pieces: readonly string[]): number =>
      isHand && !pieces.some((each) => kindOf.get(each) === 'chair') ? Math.max(1, hands) : 1;
    const weight = isHand ? depthDeg : SUPPORT_SHARE * depthDeg;
    const choices = [...found.piled, NOTHING].map((each) =>
      toChoice(each, value, weight, found.isStrap, times),
    );
    return [{ member, pose, side, setting: id, neededCm: toTenths(value), choices: rank(choices) }];
  });
}

/**
 * What a class needs of a cupboard: in the order of its poses, in each by side and member, so that
 * the same class is always shared in the same way.
 *
 * @param planned every pose of every member, in any order
 * @param poses of the class
 * @param props what the class has
 * @returns needs, slot by slot
 */
export function listNeeds(
  planned: readonly MemberPose[],
  poses: readonly string[],
  props: readonly PropItem[],
): readonly ClassNeed[] {
  const sorted = planned.toSorted((a, b) => (a.member < b.member ? -1 : 1));
  return poses.flatMap((pose) =>
    (['right', 'left'] as const).flatMap((side) =>
      sorted.flatMap((each) =>
        each.pose === pose
          ? each.pairs
              .filter(({ plan }) => plan.side === side)
              .flatMap(({ setUp }) => listNeedsOf(each.member, setUp, props))
          : [],
      ),
    ),
  );
}
