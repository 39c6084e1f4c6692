/** No format of ours nests deeper. Our choice: a set-up request nests about ten levels. */
export const MOST_NESTED = 64;

/**
 * Whether values stand in one another deeper than that; the value is not walked further.
 *
 * @param value as read from a file
 * @returns true for what no file of ours needs
 */
export function isNestedTooDeep(value: unknown): boolean {
  let level: readonly unknown[] = [value];
  for (let depth = 0; depth <= MOST_NESTED; depth += 1) {
    const next = level.flatMap((each): unknown[] =>
      typeof each === 'object' && each !== null ? Object.values(each) : [],
    );
    if (next.length === 0) return false;
    level = next;
  }
  return true;
}
