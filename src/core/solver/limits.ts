import { type Place, PLACES } from '../poses/poseDefinition.ts';
import type { LegPose } from './leg.ts';
import type { Skeleton } from './skeleton.ts';

/**
 * What each joint of one leg has, radians, margins and reserve already taken off.
 * null = not known, which is never the same as zero: such a motion is reported
 * without a limit, and a pose that needs it is refused before the solver starts.
 */
export interface LegLimits {
  readonly straightLegRaise: number | null;
  readonly flexion: number | null;
  readonly extension: number | null;
  readonly extensionBentKnee: number | null;
  readonly abduction: number | null;
  readonly opening: number | null;
  readonly adduction: number | null;
  readonly externalRotation: number | null;
  readonly internalRotation: number | null;
  readonly dorsiflexionStraight: number | null;
  readonly dorsiflexionBent: number | null;
  readonly kneeFlexion: number | null;
  readonly toeExtension: number | null;
}

export interface TrunkLimits {
  readonly flexion: number | null;
  readonly extension: number | null;
  readonly sideBendToFront: number | null;
  readonly sideBendToBack: number | null;
  readonly rotationToFront: number | null;
  readonly rotationToBack: number | null;
}

export type Limits = Readonly<Record<Place, LegLimits>> & { readonly trunk: TrunkLimits };

export type Joint = 'hip' | 'knee' | 'ankle' | 'toes' | 'spine';
export type Motion =
  | 'flexion'
  | 'extension'
  | 'abduction'
  | 'adduction'
  | 'external-rotation'
  | 'internal-rotation'
  | 'dorsiflexion'
  | 'inversion'
  | 'side-bend'
  | 'axial-rotation';

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

/**
 * Takes one motion's demand. A limit that depends on another joint comes as two smooth
 * pieces of which the smaller holds: the solver keeps each for itself, so that a kink,
 * where answers like to sit, costs it nothing. null = no limit known, or none that holds.
 */
type DemandVisitor = (
  joint: Joint,
  place: Place | null,
  motion: Motion,
  asked: number | null,
  has: number | null,
  alsoHas?: number | null,
) => void;

const RIGHT_ANGLE = Math.PI / 2;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const SIXTY = radians(60);
const TWENTY = radians(20);
/** A blend closer to one end than this needs only that end's measure. */
const END_SHARE = 0.1;

/** The sloping piece of a limit that runs linearly from one to another as `share` goes from 0 to 1. */
function slope(from: number | null, to: number | null, share: number): number | null {
  if (from !== null && to !== null) {
    const within = to >= from ? Math.max(0, share) : Math.min(1, share);
    return from + (to - from) * within;
  }
  if (share <= END_SHARE) return from;
  return share >= 1 - END_SHARE ? to : null;
}

/** Its level piece: no limit exceeds the larger of its ends. */
const level = (from: number | null, to: number | null): number | null =>
  from === null || to === null ? null : Math.max(from, to);

/** Straight value at knee 0°, bent value at 90°, then falling to 0 at the measured knee flexion. */
function visitExtension(
  place: Place,
  asked: number,
  limits: LegLimits,
  knee: number,
  visit: DemandVisitor,
): void {
  const { extension, extensionBentKnee, kneeFlexion } = limits;
  if (knee <= RIGHT_ANGLE || kneeFlexion === null) {
    const share = Math.min(1, knee / RIGHT_ANGLE);
    const has = slope(extension, extensionBentKnee, share);
    visit('hip', place, 'extension', asked, has, level(extension, extensionBentKnee));
    return;
  }
  const share = (knee - RIGHT_ANGLE) / Math.max(1e-6, kneeFlexion - RIGHT_ANGLE);
  visit('hip', place, 'extension', asked, slope(extensionBentKnee, 0, share), extensionBentKnee);
}

function visitLegDemands(
  place: Place,
  leg: LegPose,
  limits: LegLimits,
  visit: DemandVisitor,
): void {
  const { flexion, abduction, externalRotation: turn } = leg.hipAngles;
  const { dorsiflexion, inversion } = leg.ankleAngles;
  const knee = leg.kneeFlexion;
  // Straight-leg raise at knee 0°, rising linearly to bent-knee flexion at knee 90° and beyond.
  const { straightLegRaise, flexion: bentFlexion } = limits;
  const raised = slope(straightLegRaise, bentFlexion, knee / RIGHT_ANGLE);
  visit('hip', place, 'flexion', flexion, raised, level(straightLegRaise, bentFlexion));
  visitExtension(place, -flexion, limits, knee, visit);
  // Straight-leg abduction at hip flexion 0° and below, rising linearly to hip opening at 60° and beyond.
  const opened = slope(limits.abduction, limits.opening, flexion / SIXTY);
  visit('hip', place, 'abduction', abduction, opened, level(limits.abduction, limits.opening));
  visit('hip', place, 'adduction', -abduction, limits.adduction);
  visit('knee', place, 'flexion', knee, limits.kneeFlexion);
  // Straight value below knee 20°, bent value from 40°, linear between.
  const { dorsiflexionStraight, dorsiflexionBent } = limits;
  const ankle = slope(dorsiflexionStraight, dorsiflexionBent, (knee - TWENTY) / TWENTY);
  const most = level(dorsiflexionStraight, dorsiflexionBent);
  const bears = leg.ankleBears;
  visit('ankle', place, 'dorsiflexion', dorsiflexion, bears ? ankle : null, bears ? most : null);
  // Weight and midfoot take inversion up in practice: reported, never a limit.
  visit('ankle', place, 'inversion', inversion, null);
  visit('hip', place, 'external-rotation', turn, limits.externalRotation);
  const inward = turn === null ? null : -turn;
  visit('hip', place, 'internal-rotation', inward, limits.internalRotation);
}

/** Visits every motion of a posture in both directions, always in the same order. */
export function visitDemands(skeleton: Skeleton, limits: Limits, visit: DemandVisitor): void {
  for (const place of PLACES) {
    visitLegDemands(place, skeleton.legs[place], limits[place], visit);
  }
  const { spineFlexion, spineSideBend, spineRotation, backHeelLift } = skeleton.posture;
  visit('toes', 'back', 'extension', backHeelLift, limits.back.toeExtension);
  const { trunk } = limits;
  visit('spine', null, 'flexion', spineFlexion, trunk.flexion);
  visit('spine', null, 'extension', -spineFlexion, trunk.extension);
  visit('spine', 'back', 'side-bend', spineSideBend, trunk.sideBendToBack);
  visit('spine', 'front', 'side-bend', -spineSideBend, trunk.sideBendToFront);
  visit('spine', 'back', 'axial-rotation', spineRotation, trunk.rotationToBack);
  visit('spine', 'front', 'axial-rotation', -spineRotation, trunk.rotationToFront);
}

/** Every motion of a posture in both directions, each with the limit that holds. */
export function calcDemands(skeleton: Skeleton, limits: Limits): Demand[] {
  const demands: Demand[] = [];
  visitDemands(skeleton, limits, (joint, place, motion, asked, first, second = null) => {
    const has = first === null || second === null ? (first ?? second) : Math.min(first, second);
    demands.push({ joint, place, motion, asked, has });
  });
  return demands;
}
