/** One line of a number's arithmetic. The terms of a working add up to its total. */
export interface WorkingStep {
  readonly kind: 'term' | 'total' | 'limit' | 'note';
  readonly text: string;
  /** What a pencil would write: lengths in cm, angles with their degree sign; null for notes. */
  readonly expression: string | null;
  readonly value: number;
  readonly unit: 'cm' | 'deg';
}

type StepUnit = WorkingStep['unit'];

/**
 * One line of a sum.
 *
 * @param text what is added
 * @param expression the arithmetic behind it, as a pencil would write it
 * @param value in the unit
 * @param unit centimetres or degrees
 * @returns the step
 */
export const term = (
  text: string,
  expression: string,
  value: number,
  unit: StepUnit,
): WorkingStep => ({ kind: 'term', text, expression, value, unit });

/**
 * Adds the closing line under its terms.
 *
 * @param text what the line says
 * @param terms the lines
 * @param unit centimetres or degrees
 * @returns the lines with their total
 */
export function closeSum(
  text: string,
  terms: readonly WorkingStep[],
  unit: StepUnit,
): WorkingStep[] {
  const value = terms.reduce((sum, step) => sum + step.value, 0);
  return [...terms, { kind: 'total', text, expression: null, value, unit }];
}

/**
 * A part of a body along one direction: its length times its share along it.
 * Four digits of share keep a leg's term right to 0.01 cm.
 *
 * @param text what the line says
 * @param lengthCm of the part
 * @param alongCm how far it leads
 * @returns a line of a sum
 */
export function share(text: string, lengthCm: number, alongCm: number): WorkingStep {
  const part = lengthCm < 1e-9 ? 0 : alongCm / lengthCm;
  return term(text, `${lengthCm.toFixed(2)} × ${part.toFixed(4)}`, alongCm, 'cm');
}

/**
 * A length taken as it is.
 *
 * @param text what the line says
 * @param cm centimetres
 * @returns a line of a sum
 */
export const plain = (text: string, cm: number): WorkingStep => term(text, cm.toFixed(2), cm, 'cm');

/**
 * A term taken the other way round.
 *
 * @param step a line of a sum
 * @returns a line of a sum
 */
export const negate = (step: WorkingStep): WorkingStep => ({
  ...step,
  expression: `-1 × ${step.expression ?? ''}`,
  value: -step.value,
});

/**
 * A joint at its limit: what is asked, and what there is.
 *
 * @param text what the line says
 * @param askedDeg degrees
 * @param hasDeg degrees
 * @returns a line beneath a sum
 */
export const limitStep = (text: string, askedDeg: number, hasDeg: number): WorkingStep => ({
  kind: 'limit',
  text,
  expression: `${hasDeg.toFixed(1)}° − ${askedDeg.toFixed(1)}°`,
  value: hasDeg - askedDeg,
  unit: 'deg',
});
