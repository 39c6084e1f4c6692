import type { Side } from '../measures/protocol.ts';

/** How a step is done: stayed in, only passed through, or repeated with the breath. */
export type Manner =
  | { readonly kind: 'held'; readonly breaths: number }
  /** One breath on the way to the next pose. */
  | { readonly kind: 'passed' }
  /** Lift and lower, in and out: one breath each time. */
  | { readonly kind: 'rhythm'; readonly times: number };

interface StepCommon {
  /** Within its flow. */
  readonly id: string;
  readonly manner: Manner;
  /**
   * The poses that are passed through on the way to this step, chosen by the teacher; left out = the
   * cheapest way.
   */
  readonly by?: readonly string[];
}

/** A standing, lying or seated pose of the catalogue. */
export interface PoseStep extends StepCommon {
  readonly kind: 'pose';
  readonly pose: string;
  /** One of the pose's levels; null = the usual one, `auto` = the one that fits. */
  readonly level: string | null;
  /** The front or standing leg; of a pose without sides, right. */
  readonly side: Side;
}

/** A pose between others, of which nothing is solved. */
export interface LinkStep extends StepCommon {
  readonly kind: 'link';
  readonly pose: string;
}

/** A movement that warms up. */
export interface WarmUpStep extends StepCommon {
  readonly kind: 'warm-up';
  readonly movement: string;
  /** The side it is done on; null = both share it. */
  readonly side: Side | null;
}

export type FlowStep = PoseStep | LinkStep | WarmUpStep;

/** Poses one after the other on one mat. */
export interface Flow {
  readonly id: string;
  readonly name: string;
  /** The pose that the others prepare; null = none. */
  readonly peak: string | null;
  /** How long it should last; null = as long as it lasts. */
  readonly minutes: number | null;
  readonly steps: readonly FlowStep[];
}

/** A flow has no more steps than this: about three hours. Our choice. */
export const MOST_STEPS = 150;

/**
 * Breaths that a step takes, those of one side.
 *
 * @returns 1 when it is passed through
 */
export function countBreaths({ manner }: Pick<FlowStep, 'manner'>): number {
  switch (manner.kind) {
    case 'held':
      return manner.breaths;
    case 'passed':
      return 1;
    case 'rhythm':
      return manner.times;
  }
}
