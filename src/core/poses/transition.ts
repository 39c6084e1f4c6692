/** What a body does to come from one pose to the next. */
export type Movement =
  'step' | 'pivot' | 'bend' | 'straighten' | 'lift-off' | 'lower' | 'turn-over';

/**
 * A way from the pose whose data it stands in to another one, without anything between. The
 * front leg stays the same, unless one of both poses has none.
 */
export interface TransitionDefinition {
  /** The id of a standing, linking, lying or seated pose. */
  readonly to: string;
  /** The foot that leaves its place, or turns on it; `none` = both stay as they are. */
  readonly foot: 'front' | 'back' | 'both' | 'none';
  readonly movement: Movement;
  /** Where the hands go. */
  readonly hands: string;
  /** What is done one after the other, so that nobody falls. */
  readonly order: readonly string[];
  /** Before the foot is lifted it steps in by this share of the stance. */
  readonly stepsIn?: number;
  /** It changes between open and closed hips, and practice does so on purpose. */
  readonly isDeliberateFlip?: true;
}
