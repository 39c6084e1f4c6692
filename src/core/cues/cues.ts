import type { BreathAction, Guidance, PoseOption, Tendency } from '../poses/guidance.ts';

/** What is said in one pose, as far as a teacher may put it in their own words. */
export interface Cues {
  readonly inhale: readonly string[];
  readonly exhale: readonly string[];
  readonly gaze: readonly string[];
  /** Places of the body that reach away from each other. */
  readonly farPoints: readonly string[];
  readonly tendencies: readonly Tendency[];
  readonly easier: readonly PoseOption[];
  readonly harder: readonly PoseOption[];
}

export type CueKind = keyof Cues;

/** How many of each make a sheet complete. */
export const COMPLETE: Readonly<Record<CueKind, number>> = {
  inhale: 3,
  exhale: 3,
  gaze: 1,
  farPoints: 2,
  tendencies: 3,
  easier: 2,
  harder: 2,
};

/** In the order of a sheet. */
export const CUE_KINDS = Object.keys(COMPLETE) as readonly CueKind[];

/**
 * One action of the breath as it is said: “press the heels down”, “let the shoulders sink down”.
 *
 * @param action verb, part of the body, direction
 * @returns words without a full stop
 */
export function sayAction([verb, part, direction]: BreathAction): string {
  return verb.startsWith('let ')
    ? `let ${part} ${verb.slice('let '.length)} ${direction}`
    : `${verb} ${part} ${direction}`;
}

/**
 * The cues of a pose in Stillwater’s own words.
 *
 * @param guidance of the pose’s data
 * @returns complete
 */
export const toCues = (guidance: Guidance): Cues => ({
  inhale: guidance.inhale.map(sayAction),
  exhale: guidance.exhale.map(sayAction),
  gaze: [guidance.gaze],
  farPoints: guidance.farPoints,
  tendencies: guidance.tendencies,
  easier: guidance.easier,
  harder: guidance.harder,
});

/** Of one kind there are fewer cues than a sheet should have. */
export interface MissingCues {
  readonly kind: CueKind;
  readonly missing: number;
}

/**
 * What a sheet still needs to be complete.
 *
 * @param cues of a pose
 * @returns in the order of a sheet; empty = it is complete
 */
export const findMissingCues = (cues: Cues): readonly MissingCues[] =>
  CUE_KINDS.flatMap((kind) => {
    const missing = COMPLETE[kind] - cues[kind].length;
    return missing > 0 ? [{ kind, missing }] : [];
  });
