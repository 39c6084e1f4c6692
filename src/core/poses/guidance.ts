/** What to do with one breath: a verb, a part of the body, a direction. */
export type BreathAction = readonly [verb: string, part: string, direction: string];

/** An easier or harder way of a pose. */
export interface PoseOption {
  readonly words: string;
  /** Where it is one of the pose’s levels. */
  readonly level?: string;
}

/** What is often seen, the first thing to change, and what is then felt. */
export interface Tendency {
  readonly seen: string;
  /** The error sign that it is, where there is one. */
  readonly error?: string;
  readonly first: string;
  readonly felt: string;
}

/** What a teacher says and watches while a pose is held. */
export interface Guidance {
  readonly gaze: string;
  /** Two places of the body that reach away from each other. */
  readonly farPoints: readonly [string, string];
  readonly tendencies: readonly Tendency[];
  readonly easier: readonly PoseOption[];
  readonly harder: readonly PoseOption[];
  readonly inhale: readonly BreathAction[];
  readonly exhale: readonly BreathAction[];
  /** How long it is held when nothing else is said. */
  readonly breaths: number;
  readonly effort: 'active' | 'passive';
}
