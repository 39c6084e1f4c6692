import { SIDES, type Side } from '../measures/protocol.ts';
import { isCalledOn } from '../setup/jointReport.ts';
import type { JointReport, SetUp } from '../setup/setUp.ts';
import { namePlace } from './places.ts';
import { findStretchRule, type StretchRule } from './stretchTable.ts';

/** How near a place of the body is brought to the end of its range. */
export interface Stretch {
  /** One of FELT_PLACES. */
  readonly place: string;
  /** 1 = at the end of the range as it was measured. */
  readonly share: number;
  readonly rule: StretchRule;
  /** What is asked of the joint, and what it has. */
  readonly report: JointReport;
}

/** A range shorter than this counts as this long: 2° left of 4° is near the end, not half way. Our choice. */
const LEAST_RANGE_DEG = 20;

const kneeOf = (joints: readonly JointReport[], side: Side | null): number =>
  joints.find((each) => each.joint === 'knee' && each.side === side)?.askedDeg ?? 0;

function placesOf({ region, on }: StretchRule, side: Side | null): readonly string[] {
  if (side === null) return [region];
  const sides = SIDES.filter((each) => on === 'both' || (each === side) === (on === 'same'));
  return sides.map((each) => namePlace(region, each));
}

/**
 * Where a set-up stretches, by what its joints are asked against the ranges as they were measured.
 *
 * @param setUp as planned, or with an error in it
 * @returns each place once, the nearest to its end first
 */
export function findStretches({ joints }: Pick<SetUp, 'joints'>): readonly Stretch[] {
  const byPlace = new Map<string, Stretch>();
  for (const report of joints) {
    const { joint, motion, side, askedDeg, measuredDeg } = report;
    if (askedDeg === null || measuredDeg === null || !isCalledOn(report)) continue;
    const rule = findStretchRule(joint, motion, kneeOf(joints, side));
    if (rule === null) continue;
    const share = 1 - (measuredDeg - askedDeg) / Math.max(measuredDeg, LEAST_RANGE_DEG);
    if (share <= 0) continue;
    for (const place of placesOf(rule, side)) {
      const known = byPlace.get(place);
      if (known === undefined || known.share < share) {
        byPlace.set(place, { place, share, rule, report });
      }
    }
  }
  return [...byPlace.values()].toSorted((a, b) => b.share - a.share);
}
