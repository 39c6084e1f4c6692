import { CATALOGUE, type ProblemCode } from './catalogue.ts';

export type { ProblemCode } from './catalogue.ts';

/**
 * Something wrong with what a person gave us, as plain data that survives a
 * worker's message channel and a file. Our own bugs throw instead.
 */
export interface Problem {
  readonly code: ProblemCode;
  /** `error` stops the work; `warning` questions it; `note` only informs. */
  readonly severity: 'error' | 'warning' | 'note';
  /** Where: a path like `readings[3].value`, or the name of a field. */
  readonly path: string;
  /** What is wrong. */
  readonly message: string;
  /** What to do about it. */
  readonly hint: string;
  readonly details?: Readonly<Record<string, unknown>>;
}

export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export type ProblemDetails = Readonly<Record<string, string | number | readonly string[]>>;

/**
 * Makes a problem of the catalogue.
 *
 * @param code its entry in the catalogue
 * @param path the field or place it concerns, '' for the whole
 * @param details the values its words are filled with
 * @returns with message and hint
 */
export function problem(code: ProblemCode, path: string, details: ProblemDetails = {}): Problem {
  const entry = CATALOGUE[code];
  return {
    code,
    severity: entry.severity,
    path,
    message: asSentence(fill(entry.message, path, details), entry.message),
    hint: fill(entry.hint, path, details),
    details,
  };
}

/** More problems than this help nobody: the rest is counted. */
const MOST_PROBLEMS = 100;

/**
 * The first hundred of many findings as problems, and how many more there are.
 *
 * @param found any number of findings
 * @param toProblem how one is said
 * @returns at most a hundred and one
 */
export function firstProblems<Found>(
  found: readonly Found[],
  toProblem: (each: Found) => Problem,
): readonly Problem[] {
  const first = found.slice(0, MOST_PROBLEMS).map(toProblem);
  const rest = found.length - first.length;
  return rest === 0 ? first : [...first, problem('more-problems', '', { count: rest })];
}

/** A sentence that begins with a filled-in word begins with a capital; a path stays as it is. */
const asSentence = (words: string, template: string): string =>
  template.startsWith('{') && !template.startsWith('{path}')
    ? words.charAt(0).toUpperCase() + words.slice(1)
    : words;

function fill(template: string, path: string, details: ProblemDetails): string {
  return template.replace(/\{(\w+)\}/g, (_, name: string) => {
    if (name === 'path') return path === '' ? 'the input' : path;
    const value = details[name];
    return Array.isArray(value) ? value.join(', ') : String(value ?? '');
  });
}
