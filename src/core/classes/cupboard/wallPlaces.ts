import { findPose } from '../../poses/catalogue/index.ts';
import { findLyingForms } from '../../poses/swaps.ts';
import type { SetUp } from '../../setup/setUp.ts';
import { findSettingKind } from '../../setup/settingKinds.ts';
import type { MatSize } from '../../studio/studio.ts';
import type { MemberPose } from '../planMember.ts';
import type { ClassShare } from './shareCupboard.ts';

/** Somebody’s help in one pose beside what the cupboard gives. */
export interface Help {
  readonly member: string;
  readonly pose: string;
  /** `wall`: a place at it. `lying`: the lying form in its place. `shallower`: neither was left. */
  readonly kind: 'wall' | 'lying' | 'shallower';
  /** Of the lying form; '' = none. */
  readonly form: string;
  /** The set-up itself needs the wall. */
  readonly isPlanned: boolean;
}

/** Beside a mat that stands with its short edge at the wall, metres. Our choice. */
const GAP_M = 0.15;
const CM_PER_M = 100;

/** Settings of a wall that the mat lies along: the back or the side of the body is at it. */
const ALONG = ['wall-behind', 'wall-beside', 'upper-hand-height', 'foot-from-wall'];

const needsWall = ({ settings }: SetUp): boolean =>
  settings.some(({ id }) => findSettingKind(id)?.needsWall === true);

/** How much of the wall a place takes, metres. */
function findWidth(setUp: SetUp, { lengthCm, widthCm }: MatSize): number {
  const ids = setUp.settings.map(({ id }) => id);
  const isAcross = needsWall(setUp) && !ids.some((id) => ALONG.includes(id));
  return (isAcross ? widthCm : lengthCm) / CM_PER_M + GAP_M;
}

interface Candidate {
  readonly member: string;
  readonly setUp: SetUp;
  readonly isPlanned: boolean;
  /** Hundredths of a degree that the cupboard leaves short. */
  readonly shortfall: number;
}

/** Those of a pose who need the wall by their set-up, and those whom the cupboard leaves without. */
function listCandidates(
  planned: readonly MemberPose[],
  shares: readonly ClassShare[],
  pose: string,
): readonly Candidate[] {
  return planned
    .filter((each) => each.pose === pose && each.pairs.length > 0)
    .flatMap(({ member, pairs }): Candidate[] => {
      const unserved = shares.filter(
        ({ need, choice }) => need.member === member && need.pose === pose && !choice.isServing,
      );
      const atWall = pairs.find(({ setUp }) => needsWall(setUp));
      const { setUp } = atWall ?? pairs[0]!;
      const shortfall = Math.max(0, ...unserved.map(({ choice }) => choice.shortfall));
      return atWall === undefined && unserved.length === 0
        ? []
        : [{ member, setUp, isPlanned: atWall !== undefined, shortfall }];
    })
    .toSorted(
      (a, b) =>
        Number(b.isPlanned) - Number(a.isPlanned) ||
        b.shortfall - a.shortfall ||
        (a.member < b.member ? -1 : 1),
    );
}

/**
 * Who goes to the wall in a pose, and who takes the lying version: places at the wall go first to
 * those whose set-up needs it, then to those whom the cupboard leaves short of most.
 *
 * @param planned every pose of every member
 * @param shares how the cupboard is shared
 * @param pose of the class
 * @param wallM free wall, metres
 * @param mat that everyone stands on
 * @returns none for those who are served
 */
export function findHelps(
  planned: readonly MemberPose[],
  shares: readonly ClassShare[],
  pose: string,
  wallM: number,
  mat: MatSize,
): readonly Help[] {
  let left = wallM;
  const found = findPose(pose);
  const [lying] = found === null ? [] : findLyingForms(found);
  return listCandidates(planned, shares, pose).map(({ member, setUp, isPlanned }): Help => {
    const width = findWidth(setUp, mat);
    if (width <= left) {
      left -= width;
      return { member, pose, kind: 'wall', form: '', isPlanned };
    }
    const kind = lying === undefined ? 'shallower' : 'lying';
    return { member, pose, kind, form: lying?.name ?? '', isPlanned };
  });
}

/**
 * Who has the chair in a pose.
 *
 * @param shares how the cupboard is shared
 * @param pose of the class
 * @param chairs ids of things of the cupboard that are chairs
 * @returns members, each once
 */
export const findChairs = (
  shares: readonly ClassShare[],
  pose: string,
  chairs: ReadonlySet<string>,
): readonly string[] => [
  ...new Set(
    shares
      .filter(
        ({ need, choice }) =>
          need.pose === pose && [...choice.takes.keys()].some((id) => chairs.has(id)),
      )
      .map(({ need }) => need.member),
  ),
];

/** What has to be laid out before a pose. */
export interface LaidOut {
  readonly id: string;
  readonly count: number;
}

/**
 * What of the cupboard a pose uses.
 *
 * @param shares how the cupboard is shared
 * @param pose of the class
 * @returns pieces of each thing
 */
export function findLaidOut(shares: readonly ClassShare[], pose: string): readonly LaidOut[] {
  const sums = new Map<string, number>();
  for (const { need, choice } of shares) {
    if (need.pose !== pose) continue;
    for (const [id, count] of choice.takes) sums.set(id, (sums.get(id) ?? 0) + count);
  }
  return [...sums].map(([id, count]) => ({ id, count }));
}
