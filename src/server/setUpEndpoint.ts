import { readJson } from '../core/formats/personFile.ts';
import { checkSetUpRequest } from '../core/formats/setUpRequest.ts';
import { planSetUp } from '../core/setup/planSetUp.ts';
import { answerJson, refuse } from './problemAnswer.ts';
import { MOST_BYTES, readBody } from './readBody.ts';

/** `POST /api/set-up`: `{person, pose, side, rules?}` in, a set-up out. */
export async function answerSetUp(request: Request): Promise<Response> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\s*(;|$)/i.test(type)) {
    return refuse(415, 'Send the request as application/json.');
  }
  const text = await readBody(request);
  if (text === null) {
    return refuse(413, `A request may have at most ${String(MOST_BYTES)} bytes.`);
  }
  const json = readJson(text);
  if (!json.ok) return refuse(400, 'The body is not JSON.', json.problems);
  const checked = checkSetUpRequest(json.value, new Date().toISOString());
  if (!checked.ok) return refuse(400, 'Some fields are wrong.', checked.problems);
  const { person, pose, side, rules } = checked.value;
  const planned = planSetUp(person, pose, side, rules);
  if (planned.ok) return answerJson(planned.value);
  const unknownPose = planned.problems.some((each) => each.code === 'unknown-pose');
  return unknownPose
    ? refuse(400, 'Some fields are wrong.', planned.problems)
    : refuse(422, 'A measure is missing, or measures contradict each other.', planned.problems);
}
