import type Joi from 'joi';
import { problem, type Problem } from '../problems/problem.ts';

/** `readings[3].value`, as a person would point at it. */
const pathWords = (path: readonly (string | number)[]): string =>
  path
    .map((part, i) =>
      typeof part === 'number' ? `[${String(part)}]` : `${i === 0 ? '' : '.'}${part}`,
    )
    .join('');

/** Everything wrong with the shape of a value, by path; nothing is converted. */
export function findShapeProblems(schema: Joi.Schema, value: unknown): Problem[] {
  const { error } = schema.validate(value, {
    abortEarly: false,
    convert: false,
    errors: { label: false },
  });
  return (error?.details ?? []).map(({ path, message }) =>
    problem('wrong-shape', pathWords(path), { text: message }),
  );
}
