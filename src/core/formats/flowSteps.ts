import { problem, type Problem } from '../problems/problem.ts';
import type { Flow, FlowStep } from '../sequence/flow.ts';

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

/** A flow as a file holds it. */
export interface FileFlow extends Pick<Flow, 'id' | 'name'> {
  readonly peak?: string | null;
  readonly minutes?: number | null;
  readonly steps: readonly FileStep[];
}

/**
 * What the schema cannot say of a flow: fields that belong together, and ids that are used twice.
 *
 * @param flow of a file whose shape was checked
 * @param path of the flow, '' for a file of its own
 * @returns none when it is whole
 */
export function findFlowProblems({ steps }: FileFlow, path: string): readonly Problem[] {
  const seen = new Set<string>();
  const prefix = path === '' ? '' : `${path}.`;
  return steps.flatMap((step, i) => {
    const here = `${prefix}steps[${String(i)}]`;
    const isTwice = seen.has(step.id);
    seen.add(step.id);
    const twice = isTwice ? [problem('duplicate-id', `${here}.id`, { text: step.id })] : [];
    return [...twice, ...findStepProblems(step, here)];
  });
}

/**
 * A flow with what a file may leave out.
 *
 * @param flow without problems
 * @returns as it is stored
 */
export const completeFlow = ({ id, name, peak, minutes, steps }: FileFlow): Flow => ({
  id,
  name,
  peak: peak ?? null,
  minutes: minutes ?? null,
  steps: steps.map(toStep),
});
