const MS_PER_DAY = 86_400_000;

/**
 * Whether it is time to back up: what was changed last is later than the last backup by more
 * than the days chosen. Before the first backup the days count from the oldest data.
 *
 * @param madeAt ISO date of the last backup; null = there is none
 * @param span of what is kept, ISO dates; null = there is nothing to back up
 * @param days chosen between two backups
 * @returns true when one is due
 */
export function isBackupDue(
  madeAt: string | null,
  span: { readonly oldest: string; readonly newest: string } | null,
  days: number,
): boolean {
  if (span === null) return false;
  const since = Date.parse(madeAt ?? span.oldest);
  return Date.parse(span.newest) - since > days * MS_PER_DAY;
}
