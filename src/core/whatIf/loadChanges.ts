import { nameJoint } from '../setup/jointReport.ts';
import { nameLoad, writeArm } from '../setup/sayLoads.ts';
import type { JointLoad, JointReport, SetUp } from '../setup/setUp.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { findLoad } from './easeLoad.ts';

/** One joint’s load in two set-ups of a pose. */
export interface LoadChange {
  readonly before: JointLoad;
  readonly after: JointLoad;
}

/** One motion of which the second set-up leaves less margin, degrees. */
export interface MarginLost {
  readonly report: JointReport;
  readonly lostDeg: number;
}

/** What a second set-up of a pose spares, and what it costs elsewhere. */
export interface LoadChanges {
  readonly spares: readonly LoadChange[];
  readonly costs: readonly LoadChange[];
  readonly margins: readonly MarginLost[];
}

/** A smaller change is not felt: half a centimetre, and 3°. Our choice. */
const FELT_CM = 0.5;
const FELT_DEG = 3;
/** Margins are named where less than this is left, degrees, and no more than two of them. */
const NEAR_DEG = 15;
const MOST_MARGINS = 2;

function findMarginsLost(before: SetUp, after: SetUp): readonly MarginLost[] {
  const lost = after.joints.flatMap((report): MarginLost[] => {
    const { joint, side, motion, toSpareDeg } = report;
    const was = before.joints.find(
      (each) => each.joint === joint && each.side === side && each.motion === motion,
    );
    if (toSpareDeg === null || was?.toSpareDeg == null || toSpareDeg > NEAR_DEG) return [];
    const lostDeg = was.toSpareDeg - toSpareDeg;
    return lostDeg < FELT_DEG ? [] : [{ report, lostDeg }];
  });
  return lost.toSorted((a, b) => b.lostDeg - a.lostDeg).slice(0, MOST_MARGINS);
}

/**
 * What changes for knees, hips and back between two set-ups of a pose.
 *
 * @param before the set-up as it is
 * @param after another version of it
 * @returns moment arms that become shorter and longer, the largest change first, and margins lost
 */
export function findLoadChanges(before: SetUp, after: SetUp): LoadChanges {
  const changes = before.loads.flatMap((load): LoadChange[] => {
    const then = findLoad(after, load);
    return then === null ? [] : [{ before: load, after: then }];
  });
  const by = ({ before: was, after: is }: LoadChange): number => is.lineArmCm - was.lineArmCm;
  return {
    spares: changes.filter((each) => by(each) <= -FELT_CM).toSorted((a, b) => by(a) - by(b)),
    costs: changes.filter((each) => by(each) >= FELT_CM).toSorted((a, b) => by(b) - by(a)),
    margins: findMarginsLost(before, after),
  };
}

/**
 * Whether two set-ups of a pose load a joint otherwise, by as much as is felt.
 *
 * @param before the set-up as it is
 * @param after another version of it
 * @returns false where every moment arm is about the same
 */
export function changesLoads(before: SetUp, after: SetUp): boolean {
  const { spares, costs } = findLoadChanges(before, after);
  return spares.length + costs.length > 0;
}

const list = (parts: readonly string[]): string =>
  new Intl.ListFormat('en', { type: 'conjunction' }).format(parts);

/**
 * The same in words: “Spares: front knee, 45 cm to 43 cm. Costs: …”.
 *
 * @param before the set-up as it is
 * @param after another version of it
 * @param unit centimetres or inches
 * @returns what it spares and what it costs, each null where there is nothing
 */
export function sayLoadChanges(
  before: SetUp,
  after: SetUp,
  unit: LengthUnit,
): { readonly spares: string | null; readonly costs: string | null } {
  const { spares, costs, margins } = findLoadChanges(before, after);
  const say = ({ before: was, after: is }: LoadChange): string =>
    `${nameLoad(was, before)} ${writeArm(was, unit)} to ${writeArm(is, unit)}`;
  const sayMargin = ({ report, lostDeg }: MarginLost): string =>
    `${lostDeg.toFixed(0)}° of margin at ${nameJoint(report, after)}`;
  const all = [...costs.map(say), ...margins.map(sayMargin)];
  return {
    spares: spares.length === 0 ? null : list(spares.map(say)),
    costs: all.length === 0 ? null : list(all),
  };
}
