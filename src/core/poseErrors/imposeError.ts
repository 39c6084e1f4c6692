import type { PoseTask } from '../conditions/poseTask.ts';
import { getQuantity } from '../conditions/quantities.ts';
import type { Force } from '../planning/poseRequest.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { PartId } from '../skeleton/posture.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { Solution } from '../solver/run.ts';
import { withBareLimits } from '../whatIf/force.ts';
import { describeMoved } from '../whatIf/planMoved.ts';
import { solvePushed } from '../whatIf/pushed.ts';
import { findImposed, type ImposedError } from './imposed.ts';

/** A planned pose with an error in it: a posture of this body that its joints allow. */
export interface PoseWithError extends Pick<ImposedError, 'unit' | 'marks' | 'isSeenFromAbove'> {
  readonly setUp: SetUp;
  /** How far from the plan, degrees or cm: a typical size, or as much of it as this body can do. */
  readonly size: number;
  /** Of the low back, radians. */
  readonly spineFlexion: number;
}

/** The task in which the error may happen: what it breaks is let go. */
function letGo(task: PoseTask, { breaks, bends, frees }: ImposedError): PoseTask {
  const { contacts } = task;
  const straightKnee =
    bends === null ? contacts.straightKnee : { ...contacts.straightKnee, [bends]: null };
  return {
    ...task,
    contacts: { ...contacts, straightKnee },
    musts: task.musts.filter(({ quantity }) => !breaks.includes(quantity)),
    free: [...new Set([...task.free, ...frees])],
  };
}

/** The feet stay on their marks, unless the error is where they stand. */
const FEET: readonly PartId[] = ['stance', 'widening', 'frontFootYaw', 'backFootYaw'];

/** A force part of the way from the plan, with the feet held where it says nothing of them. */
function scaleForce({ parts, quantities }: Force, planned: Skeleton, share: number): Force {
  const between = (from: number, to: number): number => from + share * (to - from);
  const { parts: own } = planned.posture;
  const held = FEET.map((part) => [part, between(own[part], parts[part] ?? own[part])] as const);
  return {
    parts: { ...parts, ...Object.fromEntries(held) },
    quantities: quantities.map(({ quantity, value }) => ({
      quantity,
      value: between(getQuantity(quantity).calc(planned), value),
    })),
  };
}

/** Shares of a typical size that are tried, until the joints allow one. Our choice. */
const SHARES = [1, 0.75, 0.5] as const;

/**
 * A planned pose with an error in it: solved with the error imposed, limits as they were measured,
 * and everything else as near to the plan as it can be.
 *
 * @param plan a plan that is held
 * @param error one of the catalogue
 * @param shares of a typical size, tried in this order
 * @returns null when nothing is held, the error has no geometry, or the joints do not allow it
 */
export function imposeError(
  plan: Plan,
  error: string,
  shares: readonly number[] = SHARES,
): PoseWithError | null {
  const { found } = plan.answer;
  if (found.kind === 'cannot') return null;
  const { pose, side } = plan.request;
  const planned = found.answer.skeleton;
  const imposed = findImposed(error, pose, planned);
  if (imposed === null) return null;
  const { size, unit, marks, isSeenFromAbove, force } = imposed;
  const task = letGo(withBareLimits(plan), imposed);
  for (const share of shares) {
    const answer: Solution = solvePushed(
      task,
      pose,
      side,
      planned,
      scaleForce(force, planned, share),
    ).answer;
    if (!answer.kept) continue;
    return {
      setUp: describeMoved(plan, { ...found, answer }),
      size: size * share,
      unit,
      marks,
      isSeenFromAbove,
      spineFlexion: answer.skeleton.posture.spine.flexion,
    };
  }
  return null;
}
