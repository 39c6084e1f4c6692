import { checkSetUpRequest } from '../core/formats/setUpRequest.ts';
import { answerJson, refuse } from './problemAnswer.ts';
import { readJsonBody } from './readJsonBody.ts';
import { refuseUnanswered } from './solving/refuseUnanswered.ts';
import { solveTask } from './solving/solver.ts';

/** `POST /api/set-up`: `{person, pose, side, rules?, level?, props?, detail?}` in, a set-up out. */
export async function answerSetUp(request: Request): Promise<Response> {
  const json = await readJsonBody(request);
  if (json instanceof Response) return json;
  const checked = checkSetUpRequest(json.value, new Date().toISOString());
  if (!checked.ok) return refuse(400, 'Some fields are wrong.', checked.problems);
  const outcome = await solveTask('setUp', checked.value, request.signal);
  if (outcome.kind !== 'answered') return refuseUnanswered(outcome.kind);
  const planned = outcome.answer;
  if (planned.ok) return answerJson(planned.value);
  const unknown = planned.problems.some(
    ({ code }) => code === 'unknown-pose' || code === 'unknown-level',
  );
  return unknown
    ? refuse(400, 'Some fields are wrong.', planned.problems)
    : refuse(422, 'A measure is missing, or measures contradict each other.', planned.problems);
}
