import { readJson } from '../core/formats/personFile.ts';
import { refuse } from './problemAnswer.ts';
import { MOST_BYTES, readBody } from './readBody.ts';

/** The body of a request as JSON, or the refusal to send back. */
export async function readJsonBody(request: Request): Promise<{ value: unknown } | Response> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\s*(;|$)/i.test(type)) {
    return refuse(415, 'Send the request as application/json.');
  }
  const text = await readBody(request);
  if (text === null) {
    return refuse(413, `A request may have at most ${String(MOST_BYTES)} bytes.`);
  }
  const json = readJson(text);
  return json.ok ? { value: json.value } : refuse(400, 'The body is not JSON.', json.problems);
}
