import propsSchema from '../../../docs/formats/props.schema.json' with { type: 'json' };
import { problem, type Problem, type Result } from '../problems/problem.ts';
import type { PropItem } from '../props/propList.ts';
import type { PropNeed } from '../props/shareProps.ts';
import { joiFromSchema } from './joiFromSchema.ts';
import { findShapeProblems } from './validate.ts';

const schema = joiFromSchema(propsSchema);

/** A studio's cupboard, and what a class needs of it in one slot. */
export interface PropsFile {
  readonly props: readonly PropItem[];
  readonly needs: readonly PropNeed[];
}

/**
 * Checks a cupboard and the needs of a class; needs may be left out.
 *
 * @param value as read from a file
 * @returns cupboard and needs, or every problem by path
 */
export function checkPropsFile(value: unknown): Result<PropsFile> {
  const problems: Problem[] = [...findShapeProblems(schema, value)];
  if (problems.length > 0) return { ok: false, problems };
  const { props, needs = [] } = value as { props: PropItem[]; needs?: PropNeed[] };
  const seen = new Set<string>();
  props.forEach(({ id }, i) => {
    if (seen.has(id))
      problems.push(problem('duplicate-id', `props[${String(i)}].id`, { text: id }));
    seen.add(id);
  });
  // Faces are listed lowest first, so that the broad one is known.
  const sorted = props.map((each) => ({
    ...each,
    heightsCm: [...each.heightsCm].sort((a, b) => a - b),
  }));
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: { props: sorted, needs } };
}
