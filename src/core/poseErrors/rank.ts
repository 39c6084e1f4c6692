import type { SetUp } from '../setup/setUp.ts';
import type { PoseError } from './catalogue.ts';
import { findCause, isCausedByAnyJoint } from './cause.ts';

/** A margin of this and more makes no error likelier than habit, degrees. Our choice. */
const FAR_FROM_LIMIT_DEG = 10;

/**
 * Error signs, the likeliest first: by the margin of the motions that cause them in this set-up,
 * then by how often they were seen before.
 *
 * @param errors those that are possible
 * @param setUp the planned set-up; null = not known
 * @param seen how often each was noted of this person in this pose
 * @returns the same signs; where nothing tells them apart, in their own order
 */
export function rankErrors(
  errors: readonly PoseError[],
  setUp: Pick<SetUp, 'joints' | 'side'> | null,
  seen: ReadonlyMap<string, number>,
): readonly PoseError[] {
  const marginOf = ({ id }: PoseError): number => {
    const cause = setUp === null || isCausedByAnyJoint(id) ? null : findCause(id, setUp);
    return Math.min(FAR_FROM_LIMIT_DEG, cause?.toSpareDeg ?? FAR_FROM_LIMIT_DEG);
  };
  return errors
    .map((error) => ({ error, margin: marginOf(error), times: seen.get(error.id) ?? 0 }))
    .toSorted((a, b) => a.margin - b.margin || b.times - a.times)
    .map(({ error }) => error);
}
