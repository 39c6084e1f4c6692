import { checkSetUpRequest } from '../core/formats/setUpRequest.ts';
import { planInFull } from '../core/setup/planInFull.ts';
import { planSetUp } from '../core/setup/planSetUp.ts';
import { answerJson, refuse } from './problemAnswer.ts';
import { readJsonBody } from './readJsonBody.ts';

/** `POST /api/set-up`: `{person, pose, side, rules?, level?, props?, detail?}` in, a set-up out. */
export async function answerSetUp(request: Request): Promise<Response> {
  const json = await readJsonBody(request);
  if (json instanceof Response) return json;
  const checked = checkSetUpRequest(json.value, new Date().toISOString());
  if (!checked.ok) return refuse(400, 'Some fields are wrong.', checked.problems);
  const { person, pose, side, rules, level, props, detail } = checked.value;
  const planned =
    detail === 'quick'
      ? planSetUp(person, pose, side, rules, level)
      : planInFull(person, pose, side, rules, level, props);
  if (planned.ok) return answerJson(planned.value);
  const unknown = planned.problems.some(
    ({ code }) => code === 'unknown-pose' || code === 'unknown-level',
  );
  return unknown
    ? refuse(400, 'Some fields are wrong.', planned.problems)
    : refuse(422, 'A measure is missing, or measures contradict each other.', planned.problems);
}
