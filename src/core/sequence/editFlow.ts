import { otherSide, type Side } from '../measures/protocol.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { findWarmUp } from '../poses/warmUps/index.ts';
import type { Flow, FlowStep, Manner } from './flow.ts';

/** A step without its id. */
type Without<Step> = Step extends unknown ? Omit<Step, 'id'> : never;
export type NewStep = Without<FlowStep>;

/** One change of a flow; steps are named by their ids, so that it can be made to a later state of it. */
export type FlowEdit =
  /** Behind a step; null = at the beginning. */
  | { readonly kind: 'insert'; readonly after: string | null; readonly steps: readonly NewStep[] }
  | { readonly kind: 'remove'; readonly step: string }
  | { readonly kind: 'move'; readonly step: string; readonly after: string | null }
  | { readonly kind: 'duplicate'; readonly step: string }
  | { readonly kind: 'swap-side'; readonly step: string }
  | { readonly kind: 'level'; readonly step: string; readonly level: string | null }
  | { readonly kind: 'manner'; readonly step: string; readonly manner: Manner }
  /** null = the cheapest way. */
  | { readonly kind: 'way'; readonly step: string; readonly by: readonly string[] | null }
  | { readonly kind: 'minutes'; readonly minutes: number | null }
  /** null = it has none. */
  | { readonly kind: 'peak'; readonly peak: string | null };

/** A number that no step of the flow has, nor any before it. */
const findNextId = ({ steps }: Flow): number =>
  steps.reduce((most, { id }) => Math.max(most, Number.parseInt(id, 10) || 0), 0) + 1;

const withIds = (flow: Flow, steps: readonly NewStep[]): readonly FlowStep[] => {
  const first = findNextId(flow);
  return steps.map((step, i): FlowStep => ({ ...step, id: String(first + i) }));
};

/** The steps with others behind one of them; a step that is gone counts as the last one. */
function insertAfter(
  steps: readonly FlowStep[],
  after: string | null,
  added: readonly FlowStep[],
): readonly FlowStep[] {
  const at = steps.findIndex(({ id }) => id === after);
  const index = after === null ? 0 : at < 0 ? steps.length : at + 1;
  return [...steps.slice(0, index), ...added, ...steps.slice(index)];
}

/** A step on its other side; null = it has none. */
function swapSide(step: FlowStep): FlowStep | null {
  if (step.kind === 'link' || step.side === null) return null;
  if (step.kind === 'pose' && findAnyPose(step.pose)?.hasSides === false) return null;
  return { ...step, side: otherSide(step.side) };
}

function editStep(step: FlowStep, edit: FlowEdit): FlowStep | null {
  switch (edit.kind) {
    case 'swap-side':
      return swapSide(step);
    case 'level':
      return step.kind === 'pose' ? { ...step, level: edit.level } : null;
    case 'manner':
      return { ...step, manner: edit.manner };
    case 'way': {
      const { by: _before, ...rest } = step;
      return edit.by === null ? rest : { ...rest, by: edit.by };
    }
    default:
      return null;
  }
}

/**
 * A flow with one change.
 *
 * @param flow any
 * @param edit what is changed
 * @returns null where the step is gone, or the change does not suit it
 * @example
 * editFlow(flow, { kind: 'minutes', minutes: 30 }).minutes // → 30
 */
export function editFlow(flow: Flow, edit: FlowEdit): Flow | null {
  const { steps } = flow;
  switch (edit.kind) {
    case 'minutes':
      return { ...flow, minutes: edit.minutes };
    case 'peak':
      return { ...flow, peak: edit.peak };
    case 'insert':
      return { ...flow, steps: insertAfter(steps, edit.after, withIds(flow, edit.steps)) };
    default:
  }
  const at = steps.findIndex(({ id }) => id === edit.step);
  const step = steps[at];
  if (step === undefined) return null;
  const others = steps.filter((each) => each !== step);
  switch (edit.kind) {
    case 'remove':
      return { ...flow, steps: others };
    case 'move':
      return { ...flow, steps: insertAfter(others, edit.after, [step]) };
    case 'duplicate': {
      const { by: _way, ...copy } = step;
      return { ...flow, steps: insertAfter(steps, step.id, withIds(flow, [copy])) };
    }
    default: {
      const changed = editStep(step, edit);
      return changed === null ? null : { ...flow, steps: steps.with(at, changed) };
    }
  }
}

/**
 * A pose as a new step: held as long as the pose says, at the level that fits.
 *
 * @param id of a pose of any kind, or of a warm-up
 * @param side of the front leg
 * @returns null when there is none of that name
 */
export function makeStep(id: string, side: Side): NewStep | null {
  const warmUp = findWarmUp(id);
  if (warmUp !== null) {
    const manner = { kind: 'rhythm', times: warmUp.times } as const;
    return { kind: 'warm-up', movement: id, side: warmUp.hasSides ? side : null, manner };
  }
  const any = findAnyPose(id);
  if (any === null) return null;
  const manner = { kind: 'held', breaths: any.breaths } as const;
  if (any.kind === 'linking') return { kind: 'link', pose: id, manner };
  const own = any.hasSides ? side : 'right';
  return { kind: 'pose', pose: id, level: FITTING_LEVEL, side: own, manner };
}
