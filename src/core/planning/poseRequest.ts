import type { Side } from '../measures/protocol.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { PartId, Parts, Posture } from '../skeleton/posture.ts';
import type { WarmStart } from '../solver/run.ts';
import type { BuiltTask } from './buildTask.ts';
import type { DepthWarmStarts } from './depthSearch.ts';
import type { DepthAnswer, DepthRequest, HeldDepth } from './findDepth.ts';
import type { LimitedBody } from './limitedBody.ts';

/** All that a solve needs to know of a person and of the teacher's choices. */
export interface PoseRequest extends DepthRequest {
  readonly pose: PoseDefinition;
  readonly limited: LimitedBody;
  readonly side: Side;
  /** The feet of the pose that this one stands on, which stay where they are; null = its own. */
  readonly feet: Feet | null;
}

/** Where another pose's feet stand, and its whole posture to start from. */
export interface Feet {
  readonly held: Partial<Parts>;
  readonly posture: Posture;
  /** Bend of the front knee there, radians. */
  readonly frontKneeBend: number;
}

export interface PoseAnswer {
  readonly built: BuiltTask;
  readonly found: DepthAnswer;
  /** The depth that was taken first and held, when the pose has one. */
  readonly first: HeldDepth | null;
  /** Where the longest stance was found, when it is found first. */
  readonly longest: WarmStart | null;
  /** The share of its first depth that was kept. */
  readonly keptShare: number;
}

/** Where a similar task was solved before: each stage starts there, and nothing gives way again. */
export interface PoseWarmStarts {
  readonly longest: WarmStart | null;
  readonly first: DepthWarmStarts | null;
  readonly last: DepthWarmStarts | null;
  readonly keptShare: number;
}

/**
 * Where a similar request may start from.
 *
 * @returns the postures and multipliers that each stage ended with
 */
export const toWarmStarts = ({ found, first, keptShare, longest }: PoseAnswer): PoseWarmStarts => ({
  longest,
  first: first?.warmStarts ?? null,
  last: found.kind === 'held' ? found.warmStarts : null,
  keptShare,
});

/**
 * The feet of an answer, to be held.
 *
 * @returns the parts of its feet, its posture and its knee
 */
export function holdFeet({ found }: PoseAnswer): Feet {
  const { posture, legs } = found.answer.skeleton;
  const { stance, widening, frontFootYaw, backFootYaw } = posture.parts;
  const held = { stance, widening, frontFootYaw, backFootYaw };
  return { held, posture, frontKneeBend: legs.front.kneeFlexion };
}

/** What a posture is forced to, beside the parts that are held; metres and radians. */
export interface Force {
  readonly parts: Partial<Record<PartId, number>>;
  readonly quantities: readonly { readonly quantity: QuantityId; readonly value: number }[];
}
