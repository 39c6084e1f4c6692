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

type DemandName = Pick<Demand, 'joint' | 'place' | 'motion'>;

const LEG_DEMANDS = [
  ['hip', 'flexion'],
  ['hip', 'extension'],
  ['hip', 'abduction'],
  ['hip', 'adduction'],
  ['knee', 'flexion'],
  ['ankle', 'dorsiflexion'],
  ['ankle', 'inversion'],
  ['hip', 'external-rotation'],
  ['hip', 'internal-rotation'],
] as const;

/** Every motion in both directions, in the one order in which a {@link DemandSheet} lists them. */
const DEMANDS: readonly DemandName[] = [
  ...PLACES.flatMap((place) => LEG_DEMANDS.map(([joint, motion]) => ({ joint, place, motion }))),
  { joint: 'toes', place: 'back', motion: 'extension' },
  { joint: 'spine', place: null, motion: 'flexion' },
  { joint: 'spine', place: null, motion: 'extension' },
  { joint: 'spine', place: 'back', motion: 'side-bend' },
  { joint: 'spine', place: 'front', motion: 'side-bend' },
  { joint: 'spine', place: 'back', motion: 'axial-rotation' },
  { joint: 'spine', place: 'front', motion: 'axial-rotation' },
];

const RIGHT_ANGLE = Math.PI / 2;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const SIXTY = radians(60);
const TWENTY = radians(20);
/** A blend closer to one end than this needs only that end's measure. */
const END_SHARE = 0.1;

/** Stands for what is not known in a sheet: a list of numbers alone is quick to fill. */
const UNKNOWN = NaN;

/** The sloping piece of a limit that runs linearly from one to another as `share` goes from 0 to 1. */
function slope(from: number, to: number, share: number): number {
  if (!Number.isNaN(from + to)) {
    const within = to >= from ? Math.max(0, share) : Math.min(1, share);
    return from + (to - from) * within;
  }
  if (share <= END_SHARE) return from;
  return share >= 1 - END_SHARE ? to : UNKNOWN;
}

/**
 * What a posture asks of every motion and what the person has, filled anew for every
 * posture that a solver tries. A limit that depends on another joint comes as two smooth
 * pieces of which the smaller holds: the solver keeps each for itself, so that a kink,
 * where answers like to sit, costs it nothing. Radians; NaN = not known, or no limit.
 */
export class DemandSheet {
  static readonly length = DEMANDS.length;
  readonly asked = new Float64Array(DEMANDS.length);
  readonly has = new Float64Array(DEMANDS.length);
  /** The level piece, where there are two. */
  readonly alsoHas = new Float64Array(DEMANDS.length).fill(UNKNOWN);
  private count = 0;
  /** That are written here already: postures that differ in the spine share their legs. */
  private legs: Skeleton['legs'] | null = null;

  constructor(private readonly limits: Limits) {}

  fill({ legs, posture }: Skeleton): void {
    const { limits } = this;
    this.count = 0;
    if (legs !== this.legs) {
      this.addLeg(legs.front, limits.front);
      this.addLeg(legs.back, limits.back);
      this.legs = legs;
    }
    this.count = PLACES.length * LEG_DEMANDS.length;
    const { spineFlexion, spineSideBend, spineRotation, backHeelLift } = posture;
    const { trunk } = limits;
    this.add(backHeelLift, limits.back.toeExtension ?? UNKNOWN);
    this.add(spineFlexion, trunk.flexion ?? UNKNOWN);
    this.add(-spineFlexion, trunk.extension ?? UNKNOWN);
    this.add(spineSideBend, trunk.sideBendToBack ?? UNKNOWN);
    this.add(-spineSideBend, trunk.sideBendToFront ?? UNKNOWN);
    this.add(spineRotation, trunk.rotationToBack ?? UNKNOWN);
    this.add(-spineRotation, trunk.rotationToFront ?? UNKNOWN);
  }

  private add(asked: number, has: number): void {
    this.asked[this.count] = asked;
    this.has[this.count] = has;
    this.count += 1;
  }

  /** No limit exceeds the larger of the ends it runs between. */
  private addBlend(asked: number, has: number, from: number, to: number): void {
    this.alsoHas[this.count] = Math.max(from, to);
    this.add(asked, has);
  }

  private addLeg(leg: LegPose, limits: LegLimits): void {
    const { flexion, abduction } = leg.hipAngles;
    const { dorsiflexion, inversion } = leg.ankleAngles;
    const knee = leg.kneeFlexion;
    // Straight-leg raise at knee 0°, rising linearly to bent-knee flexion at knee 90° and beyond.
    const raise = limits.straightLegRaise ?? UNKNOWN;
    const bentFlexion = limits.flexion ?? UNKNOWN;
    this.addBlend(flexion, slope(raise, bentFlexion, knee / RIGHT_ANGLE), raise, bentFlexion);
    this.addExtension(-flexion, limits, knee);
    // Straight-leg abduction at hip flexion 0° and below, rising linearly to hip opening at 60° and beyond.
    const straight = limits.abduction ?? UNKNOWN;
    const opening = limits.opening ?? UNKNOWN;
    this.addBlend(abduction, slope(straight, opening, flexion / SIXTY), straight, opening);
    this.add(-abduction, limits.adduction ?? UNKNOWN);
    this.add(knee, limits.kneeFlexion ?? UNKNOWN);
    // Straight value below knee 20°, bent value from 40°, linear between.
    const bears = leg.ankleBears;
    const ankleStraight = bears ? (limits.dorsiflexionStraight ?? UNKNOWN) : UNKNOWN;
    const ankleBent = bears ? (limits.dorsiflexionBent ?? UNKNOWN) : UNKNOWN;
    const ankle = slope(ankleStraight, ankleBent, (knee - TWENTY) / TWENTY);
    this.addBlend(dorsiflexion, ankle, ankleStraight, ankleBent);
    // Weight and midfoot take inversion up in practice: reported, never a limit.
    this.add(inversion, UNKNOWN);
    const turn = leg.hipAngles.externalRotation ?? UNKNOWN;
    this.add(turn, limits.externalRotation ?? UNKNOWN);
    this.add(-turn, limits.internalRotation ?? UNKNOWN);
  }

  /** Straight value at knee 0°, bent value at 90°, then falling to 0 at the measured knee flexion. */
  private addExtension(asked: number, limits: LegLimits, knee: number): void {
    const straight = limits.extension ?? UNKNOWN;
    const bent = limits.extensionBentKnee ?? UNKNOWN;
    const most = limits.kneeFlexion ?? UNKNOWN;
    if (knee <= RIGHT_ANGLE || Number.isNaN(most)) {
      const share = Math.min(1, knee / RIGHT_ANGLE);
      this.addBlend(asked, slope(straight, bent, share), straight, bent);
      return;
    }
    const share = (knee - RIGHT_ANGLE) / Math.max(1e-6, most - RIGHT_ANGLE);
    this.addBlend(asked, slope(bent, 0, share), bent, bent);
  }
}

/** Whether a demand's limit comes in two pieces, in the order of {@link DEMANDS}. */
export const HAS_TWO_PIECES: readonly boolean[] = DEMANDS.map(
  ({ joint, motion }) =>
    (joint === 'hip' &&
      (motion === 'flexion' || motion === 'extension' || motion === 'abduction')) ||
    (joint === 'ankle' && motion === 'dorsiflexion'),
);

const orNull = (value: number): number | null => (Number.isNaN(value) ? null : value);

/** Every motion of a posture in both directions, each with the limit that holds. */
export function calcDemands(skeleton: Skeleton, limits: Limits): Demand[] {
  const sheet = new DemandSheet(limits);
  sheet.fill(skeleton);
  return DEMANDS.map((name, i) => {
    const [sloping, level] = [orNull(sheet.has[i]!), orNull(sheet.alsoHas[i]!)];
    const has = sloping === null || level === null ? (sloping ?? level) : Math.min(sloping, level);
    return { ...name, asked: orNull(sheet.asked[i]!), has };
  });
}
