/** What to do with one breath: a verb, a part of the body, a direction. */
export type BreathAction = readonly [verb: string, part: string, direction: string];

/** What a teacher says and watches while a pose is held. */
export interface Guidance {
  readonly gaze: string;
  /** Two places of the body that reach away from each other. */
  readonly farPoints: readonly [string, string];
  /** What is often seen, the first thing to change, and what is then felt. */
  readonly tendencies: readonly {
    readonly seen: string;
    readonly first: string;
    readonly felt: string;
  }[];
  readonly easier: readonly string[];
  readonly harder: readonly string[];
  readonly inhale: readonly BreathAction[];
  readonly exhale: readonly BreathAction[];
  /** How long it is held when nothing else is said. */
  readonly breaths: number;
  readonly effort: 'active' | 'passive';
}
