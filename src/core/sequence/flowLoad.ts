import type { Side } from '../measures/protocol.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { findWarmUp } from '../poses/warmUps/index.ts';
import { isSameMotion, type Asked, type JointSideMotion } from './asked.ts';
import { countBreaths } from './flow.ts';
import type { FlowLayout, PlannedStep } from './plannedFlow.ts';

/** One step of the flow, as far as its load goes. */
export interface LoadStep {
  /** Of the step in the flow. */
  readonly index: number;
  readonly name: string;
  readonly side: Side | null;
  readonly family: 'open' | 'closed' | 'neutral';
  readonly effort: 'active' | 'passive';
  readonly breaths: number;
  readonly asked: readonly Asked[];
}

/** One motion along the whole flow. */
export interface MotionLoad extends JointSideMotion {
  /** A share for each step; null = it asks nothing of it. */
  readonly shares: readonly (number | null)[];
  readonly most: number;
}

/** What a flow asks of this person, step by step. */
export interface FlowLoad {
  readonly steps: readonly LoadStep[];
  /** Those that matter, the most loaded first. */
  readonly motions: readonly MotionLoad[];
}

/** A motion of which less is asked everywhere does not matter. Our choice. */
export const MATTERS_FROM = 0.6;

function describeStep(planned: PlannedStep): LoadStep | null {
  const { step, index, name, place, asked } = planned;
  if (step === null) return null;
  const any = findAnyPose(place.pose)!;
  const isWarmUp = step.kind === 'warm-up';
  return {
    index,
    name: isWarmUp ? (findWarmUp(step.movement)?.name ?? name) : name,
    side: isWarmUp ? step.side : place.side,
    family: isWarmUp ? 'neutral' : any.family,
    effort: isWarmUp ? 'active' : any.effort,
    breaths: countBreaths(step),
    asked,
  };
}

/**
 * What a flow asks of this person over its steps, as shares of what was measured.
 *
 * @param plan of the flow
 * @returns every step, and the motions of which three fifths or more are asked somewhere
 */
export function calcFlowLoad({ steps: planned }: Pick<FlowLayout, 'steps'>): FlowLoad {
  const steps = planned.flatMap((each) => describeStep(each) ?? []);
  const motions: JointSideMotion[] = [];
  for (const { joint, motion, side } of steps.flatMap(({ asked }) => asked)) {
    const each = { joint, motion, side };
    if (!motions.some((known) => isSameMotion(known, each))) motions.push(each);
  }
  const loads = motions.map((each): MotionLoad => {
    const shares = steps.map(
      ({ asked }) => asked.find((one) => isSameMotion(one, each))?.share ?? null,
    );
    return { ...each, shares, most: Math.max(...shares.map((share) => share ?? 0)) };
  });
  return {
    steps,
    motions: loads.filter(({ most }) => most >= MATTERS_FROM).sort((a, b) => b.most - a.most),
  };
}
