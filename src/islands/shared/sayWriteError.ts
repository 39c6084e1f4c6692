import { sayError } from './sayError.ts';

const BROKEN_OFF = 'The browser broke off the writing. Reload the page if it goes on.';

/** Why the browser did not store something, and what to do, by the name of its error. */
const WORDS: Readonly<Record<string, string>> = {
  QuotaExceededError: 'This browser has no room left. Free some space on this device.',
  AbortError: BROKEN_OFF,
  TransactionInactiveError: BROKEN_OFF,
  InvalidStateError: BROKEN_OFF,
  DatabaseClosedError:
    'The database was closed, perhaps by a newer version in another tab. Reload.',
  VersionError: 'Another tab runs a newer version of the app. Reload this one.',
  UnknownError: 'The browser could not reach its database.',
};

const nameOf = (error: unknown): string => {
  if (typeof error !== 'object' || error === null || !('name' in error)) return '';
  return String(error.name);
};

/** An error of writing in words; the error behind an aborted transaction counts. */
export function sayWriteError(error: unknown): string {
  const inner =
    typeof error === 'object' && error !== null && 'inner' in error ? error.inner : undefined;
  return WORDS[nameOf(inner)] ?? WORDS[nameOf(error)] ?? sayError(error);
}
