import type Joi from 'joi';
import { firstProblems, problem, type Problem } from '../problems/problem.ts';
import { isNestedTooDeep, MOST_NESTED } from './nesting.ts';

/** A name in a path is shown no longer than this. */
const MOST_LETTERS = 60;

const shorten = (name: string): string =>
  name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS)}…` : name;

/** `readings[3].value`, as a person would point at it. */
const pathWords = (path: readonly (string | number)[]): string =>
  path
    .map((part, i) =>
      typeof part === 'number' ? `[${String(part)}]` : `${i === 0 ? '' : '.'}${shorten(part)}`,
    )
    .join('');

/**
 * What is wrong with the shape of a value, by path: the first hundred. Nothing is converted.
 *
 * @param schema that it has to fit
 * @param value as read from a file
 * @returns none when it fits
 */
export function findShapeProblems(schema: Joi.Schema, value: unknown): readonly Problem[] {
  if (isNestedTooDeep(value)) return [problem('nested-too-deep', '', { most: MOST_NESTED })];
  const { error } = schema.validate(value, {
    abortEarly: false,
    convert: false,
    errors: { label: false },
  });
  return firstProblems(error?.details ?? [], ({ path, message }) =>
    problem('wrong-shape', pathWords(path), { text: message }),
  );
}
