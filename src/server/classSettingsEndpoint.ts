import { checkClassRequest } from '../core/formats/classRequest.ts';
import { answerJson, refuse } from './problemAnswer.ts';
import { readJsonBody } from './readJsonBody.ts';
import { refuseUnanswered } from './solving/refuseUnanswered.ts';
import { solveTask } from './solving/solver.ts';

/**
 * `POST /api/class-settings`: `{people, pose, level?, setting?, rules?}` in; for one to four groups
 * the settings that serve the class, with each person’s side, own number and loss out.
 */
export async function answerClassSettings(request: Request): Promise<Response> {
  const json = await readJsonBody(request);
  if (json instanceof Response) return json;
  const checked = checkClassRequest(json.value, new Date().toISOString());
  if (!checked.ok) return refuse(400, 'Some fields are wrong.', checked.problems);
  const outcome = await solveTask('classSettings', checked.value, request.signal);
  return outcome.kind === 'answered' ? answerJson(outcome.answer) : refuseUnanswered(outcome.kind);
}
