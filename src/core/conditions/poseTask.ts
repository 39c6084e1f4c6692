import { type CanonicalBody } from '../skeleton/canonicalBody.ts';
import type { Limits } from './limits.ts';
import type { PartId, Posture } from '../skeleton/posture.ts';
import type { Stage } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { ContactPlan } from '../skeleton/contacts.ts';

/** A condition that is kept: lower and upper end in radians or metres, null = open. */
export interface Must {
  readonly quantity: QuantityId;
  readonly atLeast: number | null;
  readonly atMost: number | null;
}

/** A condition that is wished for, with its tolerance; it may stretch to two of them. */
export interface Wish {
  readonly quantity: QuantityId;
  readonly goal: number;
  readonly sigma: number;
}

/** A pose with one person's lengths, limits and house rules filled in: all the solver knows. */
export interface PoseTask {
  readonly body: CanonicalBody;
  readonly contacts: ContactPlan;
  readonly limits: Limits;
  readonly musts: readonly Must[];
  readonly wishes: readonly Wish[];
  /** Gentle pulls that only make an answer unique; never judged. */
  readonly eases: readonly Wish[];
  /** What is searched beside pelvis and spine. */
  readonly free: readonly PartId[];
  readonly starts: readonly Posture[];
  /** Those at which later stages of the search begin as well, beside going on from the one before. */
  readonly again: Readonly<Record<Stage, readonly Posture[]>>;
}
