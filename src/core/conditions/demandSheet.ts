import { PLACES, type Place } from '../poses/poseDefinition.ts';
import { DEMAND_PIECES, findPiece, PIECE_OBSERVABLES, PIECE_SIGNS } from './demandPieces.ts';
import type { LegLimits, Limits } from './limits.ts';
import { findLegObservable } from './observables.ts';

const RIGHT_ANGLE = Math.PI / 2;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const SIXTY = radians(60);
const TWENTY = radians(20);
const FORTY_FIVE = radians(45);
/** A knee bends this much more with the hip bent by 45° than face down. Our choice within 8–10°. */
const MORE_KNEE_WITH_BENT_HIP = radians(9);
/** A blend closer to one end than this needs only that end's measure. */
const END_SHARE = 0.1;

/** Stands for what is not known in a sheet: a list of numbers alone is quick to fill. */
const UNKNOWN = NaN;

/** Where a leg's limits stand that run along another joint, and the observables of those joints. */
const findBlends = (place: Place) =>
  ({
    flexion: findPiece(place, 'hip', 'flexion'),
    extension: findPiece(place, 'hip', 'extension'),
    abduction: findPiece(place, 'hip', 'abduction'),
    kneeFlexion: findPiece(place, 'knee', 'flexion'),
    dorsiflexion: findPiece(place, 'ankle', 'dorsiflexion'),
    knee: findLegObservable(place, 'kneeFlexion'),
    hip: findLegObservable(place, 'hipFlexion'),
  }) as const;

const BLENDS = { front: findBlends('front'), back: findBlends('back') } as const;

/**
 * Limits that are the same in every posture. Weight and midfoot take the ankle's inversion
 * up in practice: it is reported, never a limit.
 */
const LEVEL_LIMITS: readonly {
  readonly at: number;
  readonly find: (limits: Limits) => number | null;
}[] = [
  ...PLACES.flatMap((place) => [
    { at: findPiece(place, 'hip', 'adduction'), find: (of: Limits) => of[place].adduction },
    {
      at: findPiece(place, 'hip', 'external-rotation'),
      find: (of: Limits) => of[place].externalRotation,
    },
    {
      at: findPiece(place, 'hip', 'internal-rotation'),
      find: (of: Limits) => of[place].internalRotation,
    },
  ]),
  { at: findPiece('back', 'toes', 'extension'), find: ({ back }) => back.toeExtension },
  { at: findPiece(null, 'spine', 'flexion'), find: ({ trunk }) => trunk.flexion },
  { at: findPiece(null, 'spine', 'extension'), find: ({ trunk }) => trunk.extension },
  { at: findPiece('back', 'spine', 'side-bend'), find: ({ trunk }) => trunk.sideBendToBack },
  { at: findPiece('front', 'spine', 'side-bend'), find: ({ trunk }) => trunk.sideBendToFront },
  { at: findPiece('back', 'spine', 'axial-rotation'), find: ({ trunk }) => trunk.rotationToBack },
  { at: findPiece('front', 'spine', 'axial-rotation'), find: ({ trunk }) => trunk.rotationToFront },
];

/** One leg's limits that blend, UNKNOWN where they are not known. */
interface BlendEnds {
  readonly straightLegRaise: number;
  readonly flexion: number;
  readonly extension: number;
  readonly extensionBentKnee: number;
  readonly kneeFlexion: number;
  readonly abduction: number;
  readonly opening: number;
  readonly dorsiflexionStraight: number;
  readonly dorsiflexionBent: number;
}

function findEnds(leg: LegLimits, bears: boolean): BlendEnds {
  return {
    straightLegRaise: leg.straightLegRaise ?? UNKNOWN,
    flexion: leg.flexion ?? UNKNOWN,
    extension: leg.extension ?? UNKNOWN,
    extensionBentKnee: leg.extensionBentKnee ?? UNKNOWN,
    kneeFlexion: leg.kneeFlexion ?? UNKNOWN,
    abduction: leg.abduction ?? UNKNOWN,
    opening: leg.opening ?? UNKNOWN,
    dorsiflexionStraight: bears ? (leg.dorsiflexionStraight ?? UNKNOWN) : UNKNOWN,
    dorsiflexionBent: bears ? (leg.dorsiflexionBent ?? UNKNOWN) : UNKNOWN,
  };
}

/**
 * What a posture asks of every motion and what the person has, refilled for every
 * posture that a solver tries. A limit that depends on another joint comes as two pieces,
 * each straight, of which the smaller holds: the solver keeps each for itself, so that a
 * kink, where answers like to sit, costs it nothing. Radians; NaN = not known, or no limit.
 */
export class DemandSheet {
  readonly asked = new Float64Array(DEMAND_PIECES.length);
  readonly has = new Float64Array(DEMAND_PIECES.length).fill(UNKNOWN);
  /** How `has` rises with the observable that it runs along. */
  readonly rise = new Float64Array(DEMAND_PIECES.length);
  private readonly ends: Readonly<Record<Place, BlendEnds>>;

  /** @param bears whether each leg's ankle carries weight */
  constructor(limits: Limits, bears: Readonly<Record<Place, boolean>>) {
    this.ends = {
      front: findEnds(limits.front, bears.front),
      back: findEnds(limits.back, bears.back),
    };
    for (const { at, find } of LEVEL_LIMITS) this.has[at] = find(limits) ?? UNKNOWN;
  }

  /** @param observables of a posture, see {@link Observables} */
  fill(observables: Float64Array): void {
    const { asked } = this;
    for (let i = 0; i < asked.length; i += 1) {
      asked[i] = PIECE_SIGNS[i]! * observables[PIECE_OBSERVABLES[i]!]!;
    }
    this.fillBlends('front', observables);
    this.fillBlends('back', observables);
  }

  /**
   * A limit that runs linearly from one value to another as the observable it runs along goes
   * from `start` on by `length`. No limit exceeds the larger of its ends.
   */
  private blend(
    i: number,
    from: number,
    to: number,
    at: number,
    start: number,
    length: number,
  ): void {
    const share = (at - start) / length;
    const isWithin = to >= from ? share > 0 : share < 1;
    const end = to >= from ? 0 : 1;
    this.rise[i] = isWithin ? (to - from) / length : 0;
    this.has[i + 1] = Math.max(from, to);
    if (!Number.isNaN(from + to)) {
      this.has[i] = from + (to - from) * (isWithin ? share : end);
      return;
    }
    // Only one end is known: it counts where it is near.
    this.rise[i] = 0;
    if (share <= END_SHARE) this.has[i] = from;
    else this.has[i] = share >= 1 - END_SHARE ? to : UNKNOWN;
  }

  private fillBlends(place: Place, observables: Float64Array): void {
    const ends = this.ends[place];
    const at = BLENDS[place];
    const knee = observables[at.knee]!;
    // Straight-leg raise at knee 0°, rising linearly to bent-knee flexion at knee 90° and beyond.
    this.blend(at.flexion, ends.straightLegRaise, ends.flexion, knee, 0, RIGHT_ANGLE);
    this.blendExtension(at.extension, ends, knee);
    // Straight-leg abduction at hip flexion 0° and below, rising linearly to hip opening at 60° and beyond.
    this.blend(at.abduction, ends.abduction, ends.opening, observables[at.hip]!, 0, SIXTY);
    // Measured face down with the hip straight; a bent hip slackens the front of the thigh.
    const most = ends.kneeFlexion;
    this.blend(
      at.kneeFlexion,
      most,
      most + MORE_KNEE_WITH_BENT_HIP,
      observables[at.hip]!,
      0,
      FORTY_FIVE,
    );
    // Straight value below knee 20°, bent value from 40°, linear between.
    const { dorsiflexionStraight, dorsiflexionBent } = ends;
    this.blend(at.dorsiflexion, dorsiflexionStraight, dorsiflexionBent, knee, TWENTY, TWENTY);
  }

  /** Straight value at knee 0°, bent value at 90°, then falling to 0 at the measured knee flexion. */
  private blendExtension(i: number, ends: BlendEnds, knee: number): void {
    const { extension, extensionBentKnee: bent, kneeFlexion: most } = ends;
    if (knee <= RIGHT_ANGLE) {
      this.blend(i, extension, bent, knee, 0, RIGHT_ANGLE);
      return;
    }
    if (Number.isNaN(most)) this.blend(i, bent, bent, knee, RIGHT_ANGLE, RIGHT_ANGLE);
    else this.blend(i, bent, 0, knee, RIGHT_ANGLE, Math.max(1e-6, most - RIGHT_ANGLE));
    this.has[i + 1] = bent;
  }
}
