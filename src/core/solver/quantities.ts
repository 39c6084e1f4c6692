import { dot, type Vec3 } from '../geometry/vector.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { Skeleton } from './skeleton.ts';

/**
 * The measurable things of a posture that a pose's conditions speak about.
 * Angles in radians, lengths in metres.
 */
interface Quantity {
  readonly kind: 'angle' | 'length';
  /** How it is called in a sentence. */
  readonly words: string;
  readonly calc: (skeleton: Skeleton) => number;
}

const angle = (words: string, calc: Quantity['calc']): Quantity => ({ kind: 'angle', words, calc });
const lengthOf = (words: string, calc: Quantity['calc']): Quantity => ({
  kind: 'length',
  words,
  calc,
});
const asin = (sine: number): number => Math.asin(Math.max(-1, Math.min(1, sine)));
const heading = (direction: Vec3): number => Math.atan2(direction[1], direction[0]);

/** Heading of the hip line's normal: what a pelvis bar with its pointer shows from above. */
const calcPelvisTurn = ({ posture: { pelvis } }: Skeleton): number =>
  Math.atan2(-pelvis.left[0], pelvis.left[1]);

/** Lean of the pelvis about its own hip line, + front rim down. Free of the lock at 90°. */
function calcPelvisTilt({ posture: { pelvis } }: Skeleton): number {
  const [x, y] = pelvis.left;
  const across = Math.hypot(x, y) || 1;
  const normal: Vec3 = [y / across, -x / across, 0];
  const uprightSide: Vec3 = [
    (-pelvis.left[2] * x) / across,
    (-pelvis.left[2] * y) / across,
    across,
  ];
  return Math.atan2(dot(pelvis.up, normal), dot(pelvis.up, uprightSide));
}

const QUANTITIES: Readonly<Record<QuantityId, Quantity>> = {
  stance: lengthOf('stance length', (s) => s.posture.stance),
  'back-foot-angle': angle('the back foot', (s) => s.posture.backFootYaw),
  'back-heel-lift': angle('the back heel’s lift', (s) => s.posture.backHeelLift),
  'front-knee-bend': angle('the front knee', (s) => s.legs.front.kneeFlexion),
  'front-knee-ahead-of-ankle': lengthOf(
    'the front knee ahead of its ankle',
    (s) => s.legs.front.knee[0] - s.legs.front.foot.ankle[0],
  ),
  'front-knee-beside-ankle': lengthOf(
    'the front knee beside its ankle',
    (s) => s.legs.front.knee[1] - s.legs.front.foot.ankle[1],
  ),
  'pelvis-turn': angle('the pelvis’s turn', calcPelvisTurn),
  'pelvis-tilt': angle('the pelvis’s tilt', calcPelvisTilt),
  'pelvis-level': angle('the pelvis’s level', (s) => asin(s.posture.pelvis.left[2])),
  'trunk-lean': angle('the trunk’s lean', (s) => Math.acos(Math.min(1, s.chest.up[2]))),
  'trunk-lean-along': angle('the trunk along the mat', (s) => asin(s.chest.up[0])),
  'trunk-lean-across': angle('the trunk across the mat', (s) => asin(s.chest.up[1])),
  'chest-turn': angle('the chest’s turn', (s) => heading(s.chest.forward)),
  'chest-forward-along': angle('the chest’s facing along the mat', (s) => asin(s.chest.forward[0])),
  'chest-forward-up': angle('the chest’s facing up or down', (s) => asin(s.chest.forward[2])),
  'spine-flexion': angle('the long back', (s) => s.posture.spineFlexion),
  'spine-side-bend': angle('the side bend', (s) => s.posture.spineSideBend),
  'spine-rotation': angle('the spine’s turn', (s) => s.posture.spineRotation),
  'weight-inside-base': lengthOf('the weight point inside the base', (s) => s.weightInside),
};

export const getQuantity = (id: QuantityId): Quantity => QUANTITIES[id];
