import type { PersonRecord } from '../person/person.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { Flow } from '../sequence/flow.ts';
import type { Session } from '../sessions/session.ts';
import { withHeldPoses } from '../sessions/heldPoses.ts';
import { checkFlowFile } from './flowFile.ts';
import { checkPersonFile } from './personFile.ts';
import { checkRules } from './rulesFile.ts';

export interface FlowRequest {
  readonly person: PersonRecord;
  readonly sessions: readonly Session[];
  readonly flow: Flow;
  readonly rules: Partial<HouseRules>;
}

const within = (name: string, problems: readonly Problem[]): readonly Problem[] =>
  problems.map((each) => ({ ...each, path: [name, each.path].filter(Boolean).join('.') }));

/**
 * Checks what the command and the endpoint take: `{person, flow, rules?}`, both as in their files.
 *
 * @param value as read from a file
 * @param now ISO date, against which dates are judged; null = they are not
 * @returns the request, or every problem by path
 */
export function checkFlowRequest(value: unknown, now: string | null): Result<FlowRequest> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return { ok: false, problems: [problem('wrong-shape', '', { text: 'must be an object' })] };
  }
  const { person, flow, rules = {} } = value as Record<string, unknown>;
  const file = checkPersonFile(person, now);
  const checkedFlow = checkFlowFile(flow);
  const checkedRules = checkRules(rules);
  if (file.ok && checkedFlow.ok && checkedRules.ok) {
    const { file: record } = file.value;
    return {
      ok: true,
      value: {
        person: withHeldPoses(record, record.sessions),
        sessions: record.sessions,
        flow: checkedFlow.value,
        rules: checkedRules.value,
      },
    };
  }
  return {
    ok: false,
    problems: [
      ...(file.ok ? [] : within('person', file.problems)),
      ...(checkedFlow.ok ? [] : within('flow', checkedFlow.problems)),
      ...(checkedRules.ok ? [] : checkedRules.problems),
    ],
  };
}
