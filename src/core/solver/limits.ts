import { type Place, PLACES } from '../poses/poseDefinition.ts';
import {
  findLegReading,
  findTrunkReading,
  Readings,
  type LegReading,
  type TrunkReading,
} from './readings.ts';
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

/** A demand: of which reading, in which direction of it, and which other one its limit runs with. */
interface DemandRule extends DemandName {
  readonly reading: number;
  readonly sign: 1 | -1;
  /** null = its limit is level. */
  readonly along: number | null;
}

const LEG_DEMANDS: readonly (readonly [Joint, Motion, LegReading, 1 | -1, LegReading | null])[] = [
  ['hip', 'flexion', 'hipFlexion', 1, 'kneeFlexion'],
  ['hip', 'extension', 'hipFlexion', -1, 'kneeFlexion'],
  ['hip', 'abduction', 'hipAbduction', 1, 'hipFlexion'],
  ['hip', 'adduction', 'hipAbduction', -1, null],
  ['knee', 'flexion', 'kneeFlexion', 1, null],
  ['ankle', 'dorsiflexion', 'ankleDorsiflexion', 1, 'kneeFlexion'],
  ['ankle', 'inversion', 'ankleInversion', 1, null],
  ['hip', 'external-rotation', 'hipExternalRotation', 1, null],
  ['hip', 'internal-rotation', 'hipExternalRotation', -1, null],
];

const TRUNK_DEMANDS: readonly (readonly [Joint, Place | null, Motion, TrunkReading, 1 | -1])[] = [
  ['toes', 'back', 'extension', 'backHeelLift', 1],
  ['spine', null, 'flexion', 'spineFlexion', 1],
  ['spine', null, 'extension', 'spineFlexion', -1],
  ['spine', 'back', 'side-bend', 'spineSideBend', 1],
  ['spine', 'front', 'side-bend', 'spineSideBend', -1],
  ['spine', 'back', 'axial-rotation', 'spineRotation', 1],
  ['spine', 'front', 'axial-rotation', 'spineRotation', -1],
];

/** Every motion in both directions, in the one order in which a {@link DemandSheet} lists them. */
export const DEMANDS: readonly DemandRule[] = [
  ...PLACES.flatMap((place) =>
    LEG_DEMANDS.map(([joint, motion, reading, sign, along]) => ({
      joint,
      place,
      motion,
      reading: findLegReading(place, reading),
      sign,
      along: along === null ? null : findLegReading(place, along),
    })),
  ),
  ...TRUNK_DEMANDS.map(([joint, place, motion, reading, sign]) => ({
    joint,
    place,
    motion,
    reading: findTrunkReading(reading),
    sign,
    along: null,
  })),
];

const RIGHT_ANGLE = Math.PI / 2;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const SIXTY = radians(60);
const TWENTY = radians(20);
/** A blend closer to one end than this needs only that end's measure. */
const END_SHARE = 0.1;

/** Stands for what is not known in a sheet: a list of numbers alone is quick to fill. */
const UNKNOWN = NaN;

/** Where the readings stand that limits run along. */
const BLEND_READINGS = {
  front: {
    knee: findLegReading('front', 'kneeFlexion'),
    hip: findLegReading('front', 'hipFlexion'),
  },
  back: { knee: findLegReading('back', 'kneeFlexion'), hip: findLegReading('back', 'hipFlexion') },
} as const;

/**
 * What a posture asks of every motion and what the person has, filled anew for every
 * posture that a solver tries. A limit that depends on another joint comes as two pieces,
 * each straight, of which the smaller holds: the solver keeps each for itself, so that a
 * kink, where answers like to sit, costs it nothing. Radians; NaN = not known, or no limit.
 */
export class DemandSheet {
  readonly asked = new Float64Array(DEMANDS.length);
  readonly has = new Float64Array(DEMANDS.length);
  /** How `has` rises with the reading that it runs along. */
  readonly rise = new Float64Array(DEMANDS.length);
  /** The level piece, where there are two. */
  readonly alsoHas = new Float64Array(DEMANDS.length).fill(UNKNOWN);
  private count = 0;

  /** @param bears whether each leg's ankle carries weight */
  constructor(
    private readonly limits: Limits,
    private readonly bears: Readonly<Record<Place, boolean>>,
  ) {}

  /** @param readings of a posture, see {@link Readings} */
  fill(readings: Float64Array): void {
    const { limits } = this;
    for (let i = 0; i < DEMANDS.length; i += 1) {
      const { reading, sign } = DEMANDS[i]!;
      this.asked[i] = sign * readings[reading]!;
    }
    this.count = 0;
    this.addLeg('front', readings);
    this.addLeg('back', readings);
    const { trunk } = limits;
    this.add(limits.back.toeExtension);
    this.add(trunk.flexion);
    this.add(trunk.extension);
    this.add(trunk.sideBendToBack);
    this.add(trunk.sideBendToFront);
    this.add(trunk.rotationToBack);
    this.add(trunk.rotationToFront);
  }

  private add(has: number | null): void {
    this.has[this.count] = has ?? UNKNOWN;
    this.count += 1;
  }

  /**
   * A limit that runs linearly from one value to another as the reading it runs along goes
   * from `start` on by `length`. No limit exceeds the larger of its ends.
   */
  private addBlend(from: number, to: number, at: number, start: number, length: number): void {
    const share = (at - start) / length;
    const isWithin = to >= from ? share > 0 : share < 1;
    const end = to >= from ? 0 : 1;
    this.rise[this.count] = isWithin ? (to - from) / length : 0;
    this.alsoHas[this.count] = Math.max(from, to);
    if (!Number.isNaN(from + to)) this.add(from + (to - from) * (isWithin ? share : end));
    else if (share <= END_SHARE) this.addLevel(from);
    else this.addLevel(share >= 1 - END_SHARE ? to : UNKNOWN);
  }

  /** The sloping piece where only one end is known, and that one counts. */
  private addLevel(has: number): void {
    this.rise[this.count] = 0;
    this.add(has);
  }

  private addLeg(place: Place, readings: Float64Array): void {
    const limits = this.limits[place];
    const at = BLEND_READINGS[place];
    const knee = readings[at.knee]!;
    const flexion = readings[at.hip]!;
    const bent = limits.flexion ?? UNKNOWN;
    // Straight-leg raise at knee 0°, rising linearly to bent-knee flexion at knee 90° and beyond.
    this.addBlend(limits.straightLegRaise ?? UNKNOWN, bent, knee, 0, RIGHT_ANGLE);
    this.addExtension(limits, knee);
    // Straight-leg abduction at hip flexion 0° and below, rising linearly to hip opening at 60° and beyond.
    const opening = limits.opening ?? UNKNOWN;
    this.addBlend(limits.abduction ?? UNKNOWN, opening, flexion, 0, SIXTY);
    this.add(limits.adduction);
    this.add(limits.kneeFlexion);
    // Straight value below knee 20°, bent value from 40°, linear between.
    const bears = this.bears[place];
    const ankleStraight = bears ? (limits.dorsiflexionStraight ?? UNKNOWN) : UNKNOWN;
    const ankleBent = bears ? (limits.dorsiflexionBent ?? UNKNOWN) : UNKNOWN;
    this.addBlend(ankleStraight, ankleBent, knee, TWENTY, TWENTY);
    // Weight and midfoot take inversion up in practice: reported, never a limit.
    this.add(null);
    this.add(limits.externalRotation);
    this.add(limits.internalRotation);
  }

  /** Straight value at knee 0°, bent value at 90°, then falling to 0 at the measured knee flexion. */
  private addExtension(limits: LegLimits, knee: number): void {
    const straight = limits.extension ?? UNKNOWN;
    const bent = limits.extensionBentKnee ?? UNKNOWN;
    const most = limits.kneeFlexion ?? UNKNOWN;
    if (knee <= RIGHT_ANGLE) {
      this.addBlend(straight, bent, knee, 0, RIGHT_ANGLE);
      return;
    }
    if (Number.isNaN(most)) this.addBlend(bent, bent, knee, RIGHT_ANGLE, RIGHT_ANGLE);
    else this.addBlend(bent, 0, knee, RIGHT_ANGLE, Math.max(1e-6, most - RIGHT_ANGLE));
    this.alsoHas[this.count - 1] = bent;
  }
}

const orNull = (value: number): number | null => (Number.isNaN(value) ? null : value);

/** Every motion of a posture in both directions, each with the limit that holds. */
export function calcDemands(skeleton: Skeleton, limits: Limits): Demand[] {
  const { front, back } = skeleton.legs;
  const sheet = new DemandSheet(limits, { front: front.ankleBears, back: back.ankleBears });
  const readings = new Readings();
  const values = new Float64Array(readings.length);
  readings.read(skeleton, values);
  sheet.fill(values);
  return DEMANDS.map(({ joint, place, motion }, i) => {
    const [sloping, level] = [orNull(sheet.has[i]!), orNull(sheet.alsoHas[i]!)];
    const has = sloping === null || level === null ? (sloping ?? level) : Math.min(sloping, level);
    return { joint, place, motion, asked: orNull(sheet.asked[i]!), has };
  });
}
