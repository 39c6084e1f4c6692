import loadHighs from 'highs';
import { checkPropsFile } from '../core/formats/propsFile.ts';
import { readSolution } from '../core/props/readSolution.ts';
import { shareProps, type SolveProgram } from '../core/props/shareProps.ts';
import { answerJson, refuse } from './problemAnswer.ts';
import { readJsonBody } from './readJsonBody.ts';

/** HiGHS on the server: loaded once, when it is first needed. */
let highs: ReturnType<typeof loadHighs> | null = null;
const solve: SolveProgram = async (program) => {
  highs ??= loadHighs();
  return readSolution((await highs).solve(program));
};

/** `POST /api/class-props`: `{props, needs}` in, one stack a person out. */
export async function answerClassProps(request: Request): Promise<Response> {
  const json = await readJsonBody(request);
  if (json instanceof Response) return json;
  const checked = checkPropsFile(json.value);
  if (!checked.ok) return refuse(400, 'Some fields are wrong.', checked.problems);
  const shares = await shareProps(checked.value.needs, checked.value.props, solve);
  return shares === null ? refuse(422, 'The props cannot be shared out.') : answerJson({ shares });
}
