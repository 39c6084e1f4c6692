import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import type { PropItem } from '../props/propList.ts';
import { withHeldPoses } from '../sessions/heldPoses.ts';
import { checkPersonFile } from './personFile.ts';
import { checkPropsFile } from './propsFile.ts';
import { checkRules } from './rulesFile.ts';

export interface SetUpRequest {
  readonly person: PersonRecord;
  readonly pose: string;
  readonly side: Side;
  readonly rules: Partial<HouseRules>;
  /** null = the usual one, `auto` = the hardest that fits; left out, `auto`. */
  readonly level: string | null;
  /** `quick` leaves out what takes further solving: ±, bounds, what gives if pushed. */
  readonly detail: 'full' | 'quick';
  /** What the studio has; undefined = what a studio usually has. */
  readonly props: readonly PropItem[] | undefined;
}

/**
 * Checks what the command and the endpoint take: `{person, pose, side, rules?, level?, props?, detail?}`, the
 * person as in a person file.
 *
 * @param value as read from a file
 * @param now ISO date, against which dates are judged; null = they are not
 * @returns the request, or every problem by path
 */
export function checkSetUpRequest(value: unknown, now: string | null): Result<SetUpRequest> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return { ok: false, problems: [problem('wrong-shape', '', { text: 'must be an object' })] };
  }
  const {
    person,
    pose,
    side,
    rules,
    level = FITTING_LEVEL,
    props,
    detail = 'full',
  } = value as Record<string, unknown>;
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
  if (detail !== 'full' && detail !== 'quick') {
    problems.push(problem('wrong-shape', 'detail', { text: 'must be full or quick' }));
  }
  if (level !== null && typeof level !== 'string') {
    problems.push(problem('wrong-shape', 'level', { text: 'must be the id of a level, or null' }));
  }
  if (!checkedRules.ok) problems.push(...checkedRules.problems);
  const checkedProps = props === undefined ? null : checkPropsFile({ props });
  if (checkedProps?.ok === false) problems.push(...checkedProps.problems);
  if (
    !file.ok ||
    !checkedRules.ok ||
    checkedProps?.ok === false ||
    (level !== null && typeof level !== 'string') ||
    (detail !== 'full' && detail !== 'quick') ||
    typeof pose !== 'string' ||
    (side !== 'left' && side !== 'right')
  ) {
    return { ok: false, problems };
  }
  return {
    ok: true,
    value: {
      person: withHeldPoses(file.value.file, file.value.file.sessions),
      pose,
      side,
      rules: checkedRules.value,
      level,
      detail,
      props: checkedProps?.value.props,
    },
  };
}
