import flowSchema from '../../../docs/formats/flow.schema.json' with { type: 'json' };
import { problem, type Problem, type Result } from '../problems/problem.ts';
import type { Flow, FlowStep } from '../sequence/flow.ts';
import { joiFromSchema } from './joiFromSchema.ts';
import { findFormatProblem } from './personFile.ts';
import { findShapeProblems } from './validate.ts';

const FLOW_FORMAT = 'stillwater.flow';
const FLOW_VERSION = 1;

const schema = joiFromSchema(flowSchema);

/** A step as a file holds it: the schema knows its fields, not which of them belong together. */
interface FileStep {
  readonly id: string;
  readonly kind: FlowStep['kind'];
  readonly pose?: string;
  readonly movement?: string;
  readonly level?: string | null;
  readonly side?: 'left' | 'right' | null;
  readonly manner: {
    readonly kind: 'held' | 'passed' | 'rhythm';
    readonly breaths?: number;
    readonly times?: number;
  };
  readonly by?: readonly string[];
}

/** Which of the fields that a kind of step needs are not there. */
function findStepProblems(
  { kind, pose, movement, side, manner }: FileStep,
  path: string,
): readonly Problem[] {
  const missing = (field: string, text: string): Problem =>
    problem('wrong-shape', `${path}.${field}`, { text });
  return [
    ...(kind !== 'warm-up' && pose === undefined ? [missing('pose', 'is needed for a pose')] : []),
    ...(kind === 'warm-up' && movement === undefined
      ? [missing('movement', 'is needed for a warm-up')]
      : []),
    ...(kind === 'pose' && side == null ? [missing('side', 'must be left or right')] : []),
    ...(manner.kind === 'held' && manner.breaths === undefined
      ? [missing('manner.breaths', 'is needed for what is held')]
      : []),
    ...(manner.kind === 'rhythm' && manner.times === undefined
      ? [missing('manner.times', 'is needed for what is repeated')]
      : []),
  ];
}

function toStep(file: FileStep): FlowStep {
  const { id, kind, pose = '', movement = '', level = 'auto', side = null, by } = file;
  const { manner: given } = file;
  const manner: FlowStep['manner'] =
    given.kind === 'held'
      ? { kind: 'held', breaths: given.breaths! }
      : given.kind === 'rhythm'
        ? { kind: 'rhythm', times: given.times! }
        : { kind: 'passed' };
  const common = { id, manner, ...(by === undefined ? {} : { by }) };
  switch (kind) {
    case 'pose':
      return { kind, pose, level, side: side ?? 'right', ...common };
    case 'link':
      return { kind, pose, ...common };
    case 'warm-up':
      return { kind, movement, side, ...common };
  }
}

/**
 * Checks a flow as it was read from a file. Poses that are not known are kept: whoever opens the flow
 * is told, and the rest of it can be done.
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
  const {
    id,
    name,
    peak = null,
    minutes = null,
    steps,
  } = value as Pick<Flow, 'id' | 'name'> &
    Partial<Pick<Flow, 'peak' | 'minutes'>> & { readonly steps: readonly FileStep[] };
  const seen = new Set<string>();
  const problems = steps.flatMap((step, i) => {
    const path = `steps[${String(i)}]`;
    const isTwice = seen.has(step.id);
    seen.add(step.id);
    const twice = isTwice ? [problem('duplicate-id', `${path}.id`, { text: step.id })] : [];
    return [...twice, ...findStepProblems(step, path)];
  });
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: { id, name, peak, minutes, steps: steps.map(toStep) } };
}
