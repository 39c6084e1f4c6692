import type { Place } from '../poses/poseDefinition.ts';

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

/** Opposite directions of one motion; a report names the one with the smaller margin. */
const OPPOSITES: Partial<Record<Motion, Motion>> = {
  extension: 'flexion',
  adduction: 'abduction',
  'internal-rotation': 'external-rotation',
};

/**
 * One name for a motion and its opposite.
 *
 * @param motion which motion
 * @returns flexion for extension, and so on
 */
export const nameMotionPair = (motion: Motion): Motion => OPPOSITES[motion] ?? motion;
