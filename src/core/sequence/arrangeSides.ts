import { otherSide, type Side } from '../measures/protocol.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import type { NewStep } from './editFlow.ts';

/**
 * How the sides of a part of a flow follow each other: one side through and then the other, pose
 * by pose in turn, or one side through, the other, and the first once more.
 */
export type SideOrder = 'one-then-the-other' | 'alternate' | 'first-once-more';

const hasSides = (step: NewStep): boolean => {
  if (step.kind === 'link') return false;
  return step.kind === 'warm-up' ? step.side !== null : (findAnyPose(step.pose)?.hasSides ?? true);
};

const onSide = (step: NewStep, side: Side): NewStep =>
  step.kind !== 'link' && hasSides(step) ? { ...step, side } : step;

/**
 * A part of a flow, written for one side, on both.
 *
 * @param steps of one side; links and poses without sides among them are done with each side
 * @param first the side that comes first: the harder one, where one is known
 * @param order of the sides
 * @returns the steps of both sides
 */
export function arrangeSides(
  steps: readonly NewStep[],
  first: Side,
  order: SideOrder,
): readonly NewStep[] {
  const through = (side: Side): readonly NewStep[] => steps.map((step) => onSide(step, side));
  const second = otherSide(first);
  switch (order) {
    case 'one-then-the-other':
      return [...through(first), ...through(second)];
    case 'first-once-more':
      return [...through(first), ...through(second), ...through(first)];
    case 'alternate':
      return steps.flatMap((step) =>
        hasSides(step) ? [onSide(step, first), onSide(step, second)] : [step],
      );
  }
}
