import flowSchema from '../../../docs/formats/flow.schema.json' with { type: 'json' };
import type { Result } from '../problems/problem.ts';
import type { Flow } from '../sequence/flow.ts';
import { completeFlow, findFlowProblems, type FileFlow } from './flowSteps.ts';
import { joiFromSchema } from './joiFromSchema.ts';
import { findFormatProblem, readJson } from './personFile.ts';
import { findShapeProblems } from './validate.ts';

const FLOW_FORMAT = 'stillwater.flow';
const FLOW_VERSION = 1;

const schema = joiFromSchema(flowSchema);

/**
 * Reads the text of a flow file; see {@link checkFlowFile}.
 *
 * @param text as typed or read
 * @returns the flow, or every problem by path: `not-json`, and those of
 *   {@link checkFlowFile}
 */
export function readFlowFile(text: string): Result<Flow> {
  const json = readJson(text);
  return json.ok ? checkFlowFile(json.value) : json;
}

/**
 * Checks a flow as it was read from a file. Unknown poses are kept: the plan of the flow names
 * them and goes on with the rest.
 *
 * @param value as read from a file
 * @returns the flow, or every problem by path: `wrong-format`, `newer-version`, `wrong-shape`,
 *   `duplicate-id`
 */
export function checkFlowFile(value: unknown): Result<Flow> {
  const wrongFormat = findFormatProblem(value, FLOW_FORMAT, FLOW_VERSION);
  if (wrongFormat !== null) return { ok: false, problems: [wrongFormat] };
  const shape = findShapeProblems(schema, value);
  if (shape.length > 0) return { ok: false, problems: shape };
  const problems = findFlowProblems(value as FileFlow, '');
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: completeFlow(value as FileFlow) };
}

/**
 * A flow as file text.
 *
 * @param flow any
 * @returns JSON text
 * @example
 * JSON.parse(writeFlowFile(flow)).format // → "stillwater.flow"
 */
export const writeFlowFile = (flow: Flow): string =>
  `${JSON.stringify({ format: FLOW_FORMAT, version: FLOW_VERSION, ...flow }, null, 2)}\n`;
