import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { checkPersonFile } from './personFile.ts';
import { checkRules } from './rulesFile.ts';

export interface SetUpRequest {
  readonly person: PersonRecord;
  readonly pose: string;
  readonly side: Side;
  readonly rules: Partial<HouseRules>;
}

/**
 * Checks what the command and the endpoint take: `{person, pose, side, rules?}`, the
 * person as in a person file.
 *
 * @returns the request, or every problem by path
 */
export function checkSetUpRequest(value: unknown, now: string | null): Result<SetUpRequest> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return { ok: false, problems: [problem('wrong-shape', '', { text: 'must be an object' })] };
  }
  const { person, pose, side, rules } = value as Record<string, unknown>;
  const file = checkPersonFile(person, now);
  const checkedRules = checkRules(rules ?? {});
  const problems: Problem[] = [];
  if (!file.ok) {
    problems.push(...file.problems.map((each) => ({ ...each, path: `person.${each.path}` })));
  }
  if (typeof pose !== 'string') {
    problems.push(problem('wrong-shape', 'pose', { text: 'must be the id of a pose' }));
  }
  if (side !== 'left' && side !== 'right') {
    problems.push(problem('wrong-shape', 'side', { text: 'must be left or right' }));
  }
  if (!checkedRules.ok) problems.push(...checkedRules.problems);
  if (
    !file.ok ||
    !checkedRules.ok ||
    typeof pose !== 'string' ||
    (side !== 'left' && side !== 'right')
  ) {
    return { ok: false, problems };
  }
  return { ok: true, value: { person: file.value.file, pose, side, rules: checkedRules.value } };
}
