import { checkFlowRequest } from '../core/formats/flowRequest.ts';
import { answerJson, refuse } from './problemAnswer.ts';
import { readJsonBody } from './readJsonBody.ts';
import { refuseUnanswered } from './solving/refuseUnanswered.ts';
import { solveTask } from './solving/solver.ts';

/** `POST /api/flow`: `{person, flow, rules?}` in, the flow planned for that person out. */
export async function answerFlow(request: Request): Promise<Response> {
  const json = await readJsonBody(request);
  if (json instanceof Response) return json;
  const checked = checkFlowRequest(json.value, new Date().toISOString());
  if (!checked.ok) return refuse(400, 'Some fields are wrong.', checked.problems);
  const outcome = await solveTask('flow', checked.value, request.signal);
  if (outcome.kind !== 'answered') return refuseUnanswered(outcome.kind);
  const { answer } = outcome;
  const isRefused = answer.problems.some(
    ({ code }) => code === 'no-steps' || code === 'too-many-steps',
  );
  return isRefused ? refuse(400, 'Some fields are wrong.', answer.problems) : answerJson(answer);
}
