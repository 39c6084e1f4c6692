import { PLACES, type Place } from '../poses/poseDefinition.ts';
import type { Joint, Motion } from './limits.ts';
import {
  findLegReading,
  findTrunkReading,
  type LegReading,
  type TrunkReading,
} from './readings.ts';

/**
 * One piece of a demand's limit: of which reading the demand is, in which direction of it,
 * and which other reading the limit runs along. A demand whose limit runs along another
 * joint has two pieces: that one, then a level one.
 */
interface DemandPiece {
  readonly joint: Joint;
  /** For the spine: toward the front leg's side or the back leg's, null for flexion and extension. */
  readonly place: Place | null;
  readonly motion: Motion;
  readonly reading: number;
  readonly sign: 1 | -1;
  /** null = level. */
  readonly along: number | null;
}

const LEG_DEMANDS: readonly (readonly [Joint, Motion, LegReading, 1 | -1, LegReading | null])[] = [
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

const TRUNK_DEMANDS: readonly (readonly [Joint, Place | null, Motion, TrunkReading, 1 | -1])[] = [
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
    LEG_DEMANDS.flatMap(([joint, motion, reading, sign, along]) => {
      const level = {
        ...{ joint, place, motion, sign },
        reading: findLegReading(place, reading),
        along: null,
      };
      return along === null ? [level] : [{ ...level, along: findLegReading(place, along) }, level];
    }),
  ),
  ...TRUNK_DEMANDS.map(([joint, place, motion, reading, sign]) => ({
    ...{ joint, place, motion, sign },
    reading: findTrunkReading(reading),
    along: null,
  })),
];

/** Where a demand's only or first piece stands. */
export const findPiece = (place: Place | null, joint: Joint, motion: Motion): number =>
  DEMAND_PIECES.findIndex(
    (each) => each.place === place && each.joint === joint && each.motion === motion,
  );

/** The reading of each piece, and the one that it runs along, or its own again. */
export const PIECE_READINGS = Int32Array.from(DEMAND_PIECES, ({ reading }) => reading);
export const PIECE_ALONG = Int32Array.from(DEMAND_PIECES, (each) => each.along ?? each.reading);
export const PIECE_SIGNS = Int32Array.from(DEMAND_PIECES, ({ sign }) => sign);
