/**
 * Cells that a spreadsheet might run as a formula: those that begin with = + - @ or a control
 * character, and those that are already protected. Common practice (OWASP, “CSV Injection”):
 * they go out behind an apostrophe. Numbers are no formula and stay as they are.
 */
// eslint-disable-next-line no-control-regex
export const FORMULA_CELL = /^'*[=+\-@\u0000-\u001f]/;

/**
 * A cell as it was before it was protected.
 *
 * @param text of a cell
 * @returns what was written
 */
export const readCell = (text: string): string =>
  text.startsWith("'") && FORMULA_CELL.test(text) ? text.slice(1) : text;
