import rulesSchema from '../../../docs/formats/rules.schema.json' with { type: 'json' };
import type { Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { joiFromSchema } from './joiFromSchema.ts';
import { findShapeProblems } from './validate.ts';

const schema = joiFromSchema(rulesSchema);

/**
 * Checks house rules; every field may be left out, none may be unknown.
 *
 * @param value as read from a file
 * @returns the rules, or every problem by path
 * @example
 * checkRules({ backFootDeg: 'far' }).ok // → false
 */
export function checkRules(value: unknown): Result<Partial<HouseRules>> {
  const problems = findShapeProblems(schema, value).map((each) => ({
    ...each,
    path: each.path === '' ? 'rules' : `rules.${each.path}`,
  }));
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: value as Partial<HouseRules> };
}
