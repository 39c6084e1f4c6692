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

/** A range that a form goes to as far as it is planned with. */
export interface AskedRange {
  readonly measure: MeasureId;
  /** Of which leg, or toward which side; `front` is the front, raised or crossed one. */
  readonly of: 'front' | 'back' | 'both';
  /** It asks no more than this, however far the range goes, degrees. */
  readonly mostDeg?: number;
}

export interface LyingPose {
  readonly id: LyingFormId;
  readonly name: string;
  readonly sanskrit: string;
  /** The standing pose it stands in for, when it does. */
  readonly swapFor: readonly string[];
  readonly needs: readonly MeasureId[];
  /** What it asks of the joints. */
  readonly asks: readonly AskedRange[];
  readonly guidance: Guidance;
  /** Where it may lead, without anything between. */
  readonly transitions: readonly TransitionDefinition[];
}
