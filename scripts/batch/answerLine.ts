import { checkFlowRequest } from '../../src/core/formats/flowRequest.ts';
import { readJson } from '../../src/core/formats/personFile.ts';
import { checkSetUpRequest } from '../../src/core/formats/setUpRequest.ts';
import type { Problem, Result } from '../../src/core/problems/problem.ts';
import { tasks } from '../../src/server/solving/tasks.ts';

const refuse = (problems: readonly Problem[]): Result<never> => ({ ok: false, problems });

function plan(value: unknown, now: string): Result<unknown> {
  const isFlow = typeof value === 'object' && value !== null && 'flow' in value;
  if (!isFlow) {
    const asked = checkSetUpRequest(value, now);
    return asked.ok ? tasks.setUp(asked.value) : asked;
  }
  const asked = checkFlowRequest(value, now);
  if (!asked.ok) return asked;
  const planned = tasks.flow(asked.value);
  return planned.steps.length === 0 ? refuse(planned.problems) : { ok: true, value: planned };
}

/**
 * One line of a batch: a request as `POST /api/set-up` or `POST /api/flow` takes it.
 *
 * @param text JSON
 * @param line its number, from 1
 * @param now ISO date, against which dates are judged
 * @returns one line of JSON: what the endpoint answers, or `{line, problems}`
 */
export function answerLine(text: string, line: number, now: string): string {
  const json = readJson(text);
  const answer = json.ok ? plan(json.value, now) : json;
  return JSON.stringify(answer.ok ? answer.value : { line, problems: answer.problems });
}
