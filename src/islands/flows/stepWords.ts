import { findAnyPose } from '../../core/poses/anyPose.ts';
import { findWarmUp } from '../../core/poses/warmUps/index.ts';
import type { FlowStep } from '../../core/sequence/flow.ts';
import { flowBand as say } from './words.ts';

/** What a step is called. */
export const nameStep = (step: FlowStep): string =>
  step.kind === 'warm-up'
    ? (findWarmUp(step.movement)?.name ?? step.movement)
    : (findAnyPose(step.pose)?.name ?? step.pose);

/** Its side, where it has one. */
export function sideOfStep(step: FlowStep): 'left' | 'right' | null {
  if (step.kind === 'link') return null;
  if (step.kind === 'warm-up') return step.side;
  return findAnyPose(step.pose)?.hasSides === false ? null : step.side;
}

/** How long it is held, or how often it is repeated. */
export function sayManner({ manner }: FlowStep): string {
  switch (manner.kind) {
    case 'held':
      return say.breaths(manner.breaths);
    case 'passed':
      return say.passing;
    case 'rhythm':
      return say.times(manner.times);
  }
}
