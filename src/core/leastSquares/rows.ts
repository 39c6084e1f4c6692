/** Sums over rows of numbers that lie one after the other in one list, each as long as a step. */

/**
 * Adds a row, times a factor.
 *
 * @param sum is added to
 * @param rows that lie one after the other in one list
 * @param at where the row begins
 * @param by its factor
 */
export function addRow(sum: Float64Array, rows: Float64Array, at: number, by: number): void {
  const n = sum.length;
  for (let j = 0; j < n; j += 1) sum[j]! += by * rows[at + j]!;
}

/**
 * Scalar product of a row and a step.
 *
 * @param rows that lie one after the other in one list
 * @param at where the row begins
 * @param step as long as a row
 * @returns the sum of products
 */
export function dotRow(rows: Float64Array, at: number, step: Float64Array): number {
  const n = step.length;
  let sum = 0;
  for (let j = 0; j < n; j += 1) sum += rows[at + j]! * step[j]!;
  return sum;
}

/**
 * Writes the product of each of some rows with a step.
 *
 * @param rows that lie one after the other in one list
 * @param which indices of the rows
 * @param count how many
 * @param step as long as a row
 * @param into takes one product for each of them
 */
export function multiplyRows(
  rows: Float64Array,
  which: Int32Array,
  count: number,
  step: Float64Array,
  into: Float64Array,
): void {
  const n = step.length;
  for (let i = 0; i < count; i += 1) into[which[i]!] = dotRow(rows, which[i]! * n, step);
}

/**
 * Adds a row's outer product with itself to the lower half of a normal matrix.
 *
 * @param normal is added to, n × n
 * @param rows that lie one after the other in one list
 * @param at where the row begins
 * @param n how long it is
 * @param by its factor
 */
export function addOuter(
  normal: Float64Array,
  rows: Float64Array,
  at: number,
  n: number,
  by: number,
): void {
  for (let j = 0; j < n; j += 1) {
    const left = by * rows[at + j]!;
    if (left === 0) continue;
    const row = j * n;
    for (let k = 0; k <= j; k += 1) normal[row + k]! += left * rows[at + k]!;
  }
}

/**
 * Whether every number of a row is 0.
 *
 * @param rows that lie one after the other in one list
 * @param at where the row begins
 * @param n how long it is
 * @returns false as soon as one is not
 */
export function isZeroRow(rows: Float64Array, at: number, n: number): boolean {
  for (let j = 0; j < n; j += 1) if (rows[at + j] !== 0) return false;
  return true;
}
