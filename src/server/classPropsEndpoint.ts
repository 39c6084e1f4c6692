import { checkPropsFile } from '../core/formats/propsFile.ts';
import { answerJson, refuse } from './problemAnswer.ts';
import { readJsonBody } from './readJsonBody.ts';
import { refuseUnanswered } from './solving/refuseUnanswered.ts';
import { solveTask } from './solving/solver.ts';

/**
 * `POST /api/class-props`: `{props, needs}` in, `{shares, gapCm}` out: one stack a person, and
 * how much better the best way can be, 0 unless the time was up.
 */
export async function answerClassProps(request: Request): Promise<Response> {
  const json = await readJsonBody(request);
  if (json instanceof Response) return json;
  const checked = checkPropsFile(json.value);
  if (!checked.ok) return refuse(400, 'Some fields are wrong.', checked.problems);
  const outcome = await solveTask('classProps', checked.value, request.signal);
  if (outcome.kind !== 'answered') return refuseUnanswered(outcome.kind);
  return outcome.answer === null
    ? refuse(422, 'The props cannot be shared out.')
    : answerJson(outcome.answer);
}
