import type { MeasureId } from '../../measures/protocols/index.ts';
import type { Guidance } from '../guidance.ts';
import type { TransitionDefinition } from '../transition.ts';

/** Lying and seated forms: computed in the plane of the floor, without the solver. */
export type LyingFormId =
  | 'lying-warrior-two'
  | 'lying-side-angle'
  | 'lying-triangle'
  | 'lying-warrior-one'
  | 'lying-revolved-side-angle'
  | 'lying-hand-to-foot'
  | 'lying-pyramid'
  | 'lying-crossed-twist'
  | 'staff'
  | 'bound-angle'
  | 'seated-straddle';

export interface LyingPose {
  readonly id: LyingFormId;
  readonly name: string;
  readonly sanskrit: string;
  /** The standing pose it stands in for, when it does. */
  readonly swapFor: readonly string[];
  readonly needs: readonly MeasureId[];
  readonly guidance: Guidance;
  /** Where it may lead, without anything between. */
  readonly transitions: readonly TransitionDefinition[];
}
