/**
 * The keys of a cell that has several, as one text.
 *
 * @param parts keys in their order; null = none
 * @returns the same text for the same keys
 */
export const joinKeys = (...parts: readonly (string | null)[]): string => JSON.stringify(parts);

/** Kinds of path, and what follows the slash. */
export const FIELD = 'person/';
export const INTAKE = 'intake/';
export const CAUTION = 'caution/';
export const NOT_DONE = 'not-done/';
export const SCHOOL = 'school/';
export const HOME = 'home/';
export const EXTRA = 'extra/';
export const READING = 'reading/';
export const SET_UP = 'set-up/';
export const SESSION = 'session/';
export const HOLD = 'hold/';
export const APPOINTMENT = 'appointment/';
export const FLOW = 'flow/';
const PICTURE = 'picture/';

/**
 * Fields whose earlier values stay in the history when a later one wins.
 *
 * @param path of a cell
 * @returns true for what a person answered
 */
export const isAnswer = (path: string): boolean =>
  path.startsWith(FIELD) || path.startsWith(INTAKE);

/**
 * The field's name as the history gives it.
 *
 * @param path of a cell
 * @returns a plain word
 */
export const nameAnswer = (path: string): string => path.slice(path.indexOf('/') + 1);

/**
 * The path of a picture among the cells.
 *
 * @param id of the picture
 * @returns its path
 */
export const toPicturePath = (id: string): string => PICTURE + id;
