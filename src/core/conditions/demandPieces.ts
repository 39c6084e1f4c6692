import { PLACES, type Place } from '../poses/poseDefinition.ts';
import type { Joint, Motion } from './limits.ts';
import {
  findLegObservable,
  findTrunkObservable,
  type LegObservable,
  type TrunkObservable,
} from './observables.ts';

/**
 * One piece of a demand's limit: of which observable the demand is, in which direction of it,
 * and which other observable the limit runs along. A demand whose limit runs along another
 * joint has two pieces: that one, then a level one.
 */
interface DemandPiece {
  readonly joint: Joint;
  /** For the spine: toward the front leg's side or the back leg's, null for flexion and extension. */
  readonly place: Place | null;
  readonly motion: Motion;
  readonly observable: number;
  readonly sign: 1 | -1;
  /** null = level. */
  readonly along: number | null;
}

const LEG_DEMANDS: readonly (readonly [
  Joint,
  Motion,
  LegObservable,
  1 | -1,
  LegObservable | null,
])[] = [
  ['hip', 'flexion', 'hipFlexion', 1, 'kneeFlexion'],
  ['hip', 'extension', 'hipFlexion', -1, 'kneeFlexion'],
  ['hip', 'abduction', 'hipAbduction', 1, 'hipFlexion'],
  ['hip', 'adduction', 'hipAbduction', -1, null],
  ['knee', 'flexion', 'kneeFlexion', 1, 'hipFlexion'],
  ['ankle', 'dorsiflexion', 'ankleDorsiflexion', 1, 'kneeFlexion'],
  ['ankle', 'inversion', 'ankleInversion', 1, null],
  ['hip', 'external-rotation', 'hipExternalRotation', 1, null],
  ['hip', 'internal-rotation', 'hipExternalRotation', -1, null],
];

const TRUNK_DEMANDS: readonly (readonly [Joint, Place | null, Motion, TrunkObservable, 1 | -1])[] =
  [
    ['toes', 'back', 'extension', 'backHeelLift', 1],
    ['spine', null, 'flexion', 'spineFlexion', 1],
    ['spine', null, 'extension', 'spineFlexion', -1],
    ['spine', 'back', 'side-bend', 'spineSideBend', 1],
    ['spine', 'front', 'side-bend', 'spineSideBend', -1],
    ['spine', 'back', 'axial-rotation', 'spineRotation', 1],
    ['spine', 'front', 'axial-rotation', 'spineRotation', -1],
  ];

/** Every motion in both directions, piece by piece, in the one order of a demand sheet. */
export const DEMAND_PIECES: readonly DemandPiece[] = [
  ...PLACES.flatMap((place) =>
    LEG_DEMANDS.flatMap(([joint, motion, observable, sign, along]) => {
      const level = {
        ...{ joint, place, motion, sign },
        observable: findLegObservable(place, observable),
        along: null,
      };
      return along === null
        ? [level]
        : [{ ...level, along: findLegObservable(place, along) }, level];
    }),
  ),
  ...TRUNK_DEMANDS.map(([joint, place, motion, observable, sign]) => ({
    ...{ joint, place, motion, sign },
    observable: findTrunkObservable(observable),
    along: null,
  })),
];

/**
 * Where a demand's only or first piece stands.
 *
 * @param place null = flexion and extension of the spine
 * @param joint which joint
 * @param motion which motion
 * @returns its index among the pieces
 */
export const findPiece = (place: Place | null, joint: Joint, motion: Motion): number =>
  DEMAND_PIECES.findIndex(
    (each) => each.place === place && each.joint === joint && each.motion === motion,
  );

/** The observable of each piece, and the one that it runs along, or its own again. */
export const PIECE_OBSERVABLES = Int32Array.from(DEMAND_PIECES, ({ observable }) => observable);
export const PIECE_ALONG = Int32Array.from(DEMAND_PIECES, (each) => each.along ?? each.observable);
export const PIECE_SIGNS = Int32Array.from(DEMAND_PIECES, ({ sign }) => sign);
