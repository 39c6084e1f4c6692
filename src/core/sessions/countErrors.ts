import type { Hold } from './log.ts';

/**
 * How often each error was noted of one person in one pose.
 *
 * @param holds everything that was logged of them
 * @param pose its id
 * @param but a hold that does not count, because it is being noted; null = none
 * @returns times by the error's id
 */
export function countErrors(
  holds: readonly Hold[],
  pose: string,
  but: string | null,
): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const each of holds) {
    if (each.pose !== pose || each.id === but) continue;
    for (const error of each.errors) counts.set(error, (counts.get(error) ?? 0) + 1);
  }
  return counts;
}
