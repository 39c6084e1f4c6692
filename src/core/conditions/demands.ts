import type { Place } from '../poses/poseDefinition.ts';
import { DEMAND_PIECES } from './demandPieces.ts';
import { DemandSheet } from './demandSheet.ts';
import type { Joint, Limits, Motion } from './limits.ts';
import { Observables } from './observables.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';

/** What a posture asks of one motion against what the person has, radians. */
export interface Demand {
  readonly joint: Joint;
  /** For the spine: toward the front leg's side or the back leg's, null for flexion and extension. */
  readonly place: Place | null;
  readonly motion: Motion;
  /** Negative when the joint stands on the other side of its zero; null where it is not defined. */
  readonly asked: number | null;
  /** null = not known, or never a limit. */
  readonly has: number | null;
}

const orNull = (value: number): number | null => (Number.isNaN(value) ? null : value);

/**
 * Every motion of a posture in both directions, each with the limit that holds.
 *
 * @param skeleton the posed body, metres and radians, solver frame
 * @param limits of the person, radians
 * @returns what is asked and what there is, radians
 */
export function calcDemands(skeleton: Skeleton, limits: Limits): Demand[] {
  const { front, back } = skeleton.legs;
  const sheet = new DemandSheet(limits, { front: front.ankleBears, back: back.ankleBears });
  const observables = new Observables();
  const values = new Float64Array(observables.length);
  observables.read(skeleton, values);
  sheet.fill(values);
  const demands: Demand[] = [];
  for (let i = 0; i < DEMAND_PIECES.length; i += 1) {
    const { joint, place, motion, along } = DEMAND_PIECES[i]!;
    const asked = orNull(sheet.asked[i]!);
    let has = orNull(sheet.has[i]!);
    if (along !== null) {
      i += 1;
      const level = orNull(sheet.has[i]!);
      has = has === null || level === null ? (has ?? level) : Math.min(has, level);
    }
    demands.push({ joint, place, motion, asked, has });
  }
  return demands;
}
