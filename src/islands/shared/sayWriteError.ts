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

/** The errors behind one: of an aborted transaction, or of each row that several were to be. */
function listCauses(error: unknown): readonly unknown[] {
  if (typeof error !== 'object' || error === null) return [];
  const inner = 'inner' in error ? [error.inner] : [];
  const failures =
    'failures' in error && Array.isArray(error.failures) ? (error.failures as unknown[]) : [];
  return [...inner, ...failures];
}

/** An error of writing in words; the errors behind it count first. */
export function sayWriteError(error: unknown): string {
  const words = [...listCauses(error), error].map((each) => WORDS[nameOf(each)]);
  return words.find((each) => each !== undefined) ?? sayError(error);
}
