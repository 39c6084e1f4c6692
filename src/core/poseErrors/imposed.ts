import type { Place, PoseDefinition } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { Force } from '../planning/poseRequest.ts';
import { getQuantity } from '../conditions/quantities.ts';
import type { PartId } from '../skeleton/posture.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import {
  cmFromMetres,
  degreesFromRadians,
  metresFromCm,
  radiansFromDegrees,
} from '../units/brands.ts';

/** A point of the skeleton that an error moves: a joint of the front or the back leg, or of the trunk. */
export type ErrorMark =
  `${'hip' | 'knee' | 'heel' | 'toe' | 'hand'} ${Place}` | 'lowBack' | 'pelvisCentre';

/** An error as geometry: what a planned posture is forced to. */
export interface ImposedError {
  readonly force: Force;
  /** How far from the plan, degrees or cm. */
  readonly size: number;
  readonly unit: 'deg' | 'cm';
  /** Conditions of the pose that the error breaks. */
  readonly breaks: readonly QuantityId[];
  /** A straight leg that is let bend; null = none. */
  readonly bends: Place | null;
  /** Parts that the pose itself holds still. */
  readonly frees: readonly PartId[];
  /** Where it is seen. */
  readonly marks: readonly ErrorMark[];
  /** Seen best from above: a turn, or where the feet stand. */
  readonly isSeenFromAbove: boolean;
}

type Impose = (pose: PoseDefinition, planned: Skeleton) => ImposedError | null;

/**
 * How large an error is drawn: about as large as it is when a teacher notes it. Degrees or
 * centimetres. Common practice, no source; the sizes are our choice.
 */
const SIZE = {
  kneeDriftCm: 6,
  pelvisTurnDeg: 15,
  pelvisLevelDeg: 10,
  stanceShare: 0.1,
  shortShare: 0.25,
  hipCreepDeg: 8,
  roundingDeg: 25,
  heelLiftDeg: 15,
  footTurnDeg: 15,
  kneeBendDeg: 25,
  hipsBackCm: 8,
} as const;

const common = { breaks: [], bends: null, frees: [], isSeenFromAbove: false } as const;

const scaleOf = (quantity: QuantityId, by: number): number =>
  getQuantity(quantity).kind === 'angle' ? radiansFromDegrees(by) : metresFromCm(by);

/** One quantity moved off its planned value, by degrees or centimetres. */
function shift(
  planned: Skeleton,
  quantity: QuantityId,
  by: number,
  marks: readonly ErrorMark[],
): ImposedError {
  const value = getQuantity(quantity).calc(planned) + scaleOf(quantity, by);
  return {
    ...common,
    force: { parts: {}, quantities: [{ quantity, value }] },
    size: Math.abs(by),
    unit: getQuantity(quantity).kind === 'angle' ? 'deg' : 'cm',
    marks,
  };
}

/** Feet set elsewhere than planned, metres or radians. */
const place = (
  planned: Skeleton,
  by: Partial<Record<PartId, number>>,
  size: number,
  unit: ImposedError['unit'],
  marks: readonly ErrorMark[],
): ImposedError => ({
  ...common,
  force: {
    parts: Object.fromEntries(
      (Object.entries(by) as [PartId, number][]).map(([part, more]) => [
        part,
        planned.posture.parts[part] + more,
      ]),
    ),
    quantities: [],
  },
  size,
  unit,
  marks,
});

const fromAbove = (imposed: ImposedError): ImposedError => ({ ...imposed, isSeenFromAbove: true });

const HIPS: readonly ErrorMark[] = ['hip front', 'hip back'];
const STEPPED: readonly ErrorMark[] = ['heel back', 'hip back'];
const BOTH_TOES: readonly ErrorMark[] = ['toe front', 'toe back'];

/** A pelvis nearer to square than this cannot be seen to be pulled there. Our choice. */
const LEAST_TURN_DEG = 3;

/** How far a pelvis is pulled toward square, degrees, + = to the left; no farther than square. */
function haulPelvis({ pelvisFaces }: PoseDefinition, planned: Skeleton): number {
  const square = pelvisFaces === 'front' ? 0 : 90;
  const missing = square - degreesFromRadians(getQuantity('pelvis-turn').calc(planned));
  return Math.sign(missing) * Math.min(SIZE.pelvisTurnDeg, Math.abs(missing));
}

function moveStance(planned: Skeleton, share: number): ImposedError {
  const { stance } = planned.posture.parts;
  const by = stance * share;
  const moved = place(planned, { stance: by }, cmFromMetres(Math.abs(by)), 'cm', STEPPED);
  return { ...moved, breaks: ['stance'] };
}

const IMPOSE: Readonly<Record<string, Impose>> = {
  'knee-drifts': (_pose, planned) => ({
    ...shift(planned, 'front-knee-beside-ankle', SIZE.kneeDriftCm, ['knee front']),
    frees: ['frontKneeDrift'],
  }),
  'pelvis-hauled': (pose, planned) => {
    const turn = haulPelvis(pose, planned);
    return Math.abs(turn) < LEAST_TURN_DEG
      ? null
      : fromAbove(shift(planned, 'pelvis-turn', turn, HIPS));
  },
  'pelvis-drops': (_pose, planned) => shift(planned, 'pelvis-level', SIZE.pelvisLevelDeg, HIPS),
  'stance-long': (_pose, planned) => moveStance(planned, SIZE.stanceShare),
  'legs-upright': (_pose, planned) => moveStance(planned, -SIZE.shortShare),
  'back-hip-rises': (_pose, planned) => shift(planned, 'pelvis-level', SIZE.pelvisLevelDeg, HIPS),
  'hip-creeps': (_pose, planned) => ({
    ...shift(planned, 'front-leg-lean-along', SIZE.hipCreepDeg, ['hip front']),
    breaks: ['front-knee-ahead-of-ankle'],
  }),
  'back-rounds': (_pose, planned) => shift(planned, 'spine-flexion', SIZE.roundingDeg, ['lowBack']),
  'heel-floats': (_pose, planned) =>
    shift(planned, 'back-heel-lift', SIZE.heelLiftDeg, ['heel back']),
  'feet-turned-in': (_pose, planned) => {
    const turn: number = radiansFromDegrees(SIZE.footTurnDeg);
    const by = { frontFootYaw: turn, backFootYaw: -turn };
    const turned = place(planned, by, SIZE.footTurnDeg, 'deg', BOTH_TOES);
    return fromAbove({ ...turned, breaks: ['front-foot-angle', 'back-foot-angle'] });
  },
  'heels-in-line': (_pose, planned) => {
    const { front, back } = planned.legs;
    const width = back.foot.heel[1] - front.foot.heel[1];
    const by = { widening: -width };
    return fromAbove(place(planned, by, cmFromMetres(Math.abs(width)), 'cm', ['heel back']));
  },
  'knee-bends': ({ straightLegs }, planned) => {
    const bends = straightLegs.includes('front') ? 'front' : 'back';
    const quantity = `${bends}-knee-bend` as const;
    return { ...shift(planned, quantity, SIZE.kneeBendDeg, [`knee ${bends}`]), bends };
  },
  'twist-from-pelvis': (_pose, planned) => {
    const way = Math.sign(planned.posture.spine.rotation);
    return fromAbove(shift(planned, 'pelvis-turn', SIZE.pelvisTurnDeg * way, HIPS));
  },
  'hand-beside-ankle': (_pose, planned) => {
    const { ankle, toe } = planned.legs.front.foot;
    const now = getQuantity('hand-ahead').calc(planned);
    const by = cmFromMetres(ankle[0] - toe[0] - now);
    return shift(planned, 'hand-ahead', by, ['hand front']);
  },
  'heel-hidden': (_pose, planned) =>
    shift(planned, 'hips-ahead-of-back-knee', -SIZE.hipsBackCm, ['pelvisCentre']),
};

/**
 * Whether an error shows in the places of joints, so that it can be drawn on a body. Breath, gaze,
 * shoulders, neck, arches, a locked knee and the kneecap do not.
 *
 * @param error one of the catalogue
 * @returns false for an error that has only its sign and its words
 */
export const hasGeometry = (error: string): boolean => IMPOSE[error] !== undefined;

/**
 * An error of a typical size, on one planned posture.
 *
 * @param error one of the catalogue
 * @param pose as it is held, with its level
 * @param planned the planned posture, metres and radians, solver frame
 * @returns null when the error has no geometry, or cannot happen from this posture
 */
export const findImposed = (
  error: string,
  pose: PoseDefinition,
  planned: Skeleton,
): ImposedError | null => IMPOSE[error]?.(pose, planned) ?? null;
