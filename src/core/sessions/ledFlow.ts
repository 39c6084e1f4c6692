import type { FootPlace } from '../sequence/feetPlaces.ts';
import type { FlowPlan } from '../sequence/flowChecks.ts';
import type { Flow, FlowStep } from '../sequence/flow.ts';
import type { FootMove } from '../sequence/moves.ts';
import type { PlannedStep } from '../sequence/plannedFlow.ts';
import { listSaidMoves } from '../sequence/sayMoves.ts';
import type { Place } from '../sequence/ways.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { findWarmUp } from '../poses/warmUps/index.ts';

/** One step of a flow as it is led on the mat. */
export interface LedStep {
  /** Within its session; a step that is logged has the id of its hold. */
  readonly id: string;
  /** As it stands in the flow; null = a pose that is passed through on the way to the next step. */
  readonly step: FlowStep | null;
  readonly place: Place;
  readonly name: string;
  /** What is said in one sentence of a linking pose or a warm-up; '' of a pose. */
  readonly say: string;
  /** How it is come into, one after the other; none of the first step. */
  readonly order: readonly string[];
  readonly moves: readonly FootMove[];
  /** Where the hands go; '' = nothing is said. */
  readonly hands: string;
  /** With the way into it; 0 of what is passed through, which counts in the step that it leads to. */
  readonly seconds: number;
  /** How much it does for the peak, 0 to 1; the peak itself 1. */
  readonly toward: number;
  /** The hold whose set-up is shown: its own, or that of the same pose and side; null = none is. */
  readonly shows: string | null;
}

/** A flow as a session leads through it. */
export interface LedFlow {
  readonly id: string;
  readonly name: string;
  readonly peak: string | null;
  /** From the mat’s front edge back to the front marks, cm. */
  readonly frontMarksCm: number;
  readonly steps: readonly LedStep[];
}

/** What comes after the peak leads back from it: it matters at least as much as this. Our choice. */
const AFTER_PEAK = 0.3;

const toTenths = (value: number): number => Math.round(value * 10) / 10;

const roundPlace = (place: FootPlace | null): FootPlace | null =>
  place && {
    ...place,
    x: toTenths(place.x),
    y: toTenths(place.y),
    turnDeg: toTenths(place.turnDeg),
  };

/** Numbers that are said are kept as exactly as they are said. */
const roundMove = (move: FootMove): FootMove => ({
  ...move,
  from: roundPlace(move.from),
  to: roundPlace(move.to),
  aheadCm: toTenths(move.aheadCm),
  leftCm: toTenths(move.leftCm),
  cm: toTenths(move.cm),
  turnDeg: toTenths(move.turnDeg),
  stepInCm: toTenths(move.stepInCm),
});

/**
 * Whether a step is held and logged: a pose with a set-up that is not only passed, nor repeated.
 *
 * @param planned a step of a plan
 * @returns false for links, movements and what is passed through
 */
export const isLogged = ({ step, setUp }: PlannedStep): boolean =>
  step?.kind === 'pose' && step.manner.kind === 'held' && setUp !== null;

function findToward({ flow, peak }: FlowPlan, index: number): number {
  const step = flow.steps[index]!;
  if (peak === null) return 0;
  if (step.kind === 'pose' && step.pose === peak.pose) return 1;
  const reason = peak.reasons.find((each) => each.index === index);
  return Math.max(reason?.toward ?? 0, index > peak.index ? AFTER_PEAK : 0);
}

function findSentence({ step, place }: PlannedStep): string {
  if (step?.kind === 'warm-up') return findWarmUp(step.movement)?.say ?? '';
  const any = findAnyPose(place.pose);
  return any?.kind === 'linking' ? any.pose.say : '';
}

/**
 * The steps of a planned flow as they are led: one after the other, with every pose that is passed
 * through between them.
 *
 * @param plan of the flow
 * @returns in order; the ids are those of the flow’s steps
 */
export function leadFlow(plan: FlowPlan): LedFlow {
  const { flow, steps, times } = plan;
  const logged = steps.filter(isLogged);
  const led = steps.map((planned, i): LedStep => {
    const { step, index, place, passage } = planned;
    const target = flow.steps[index]!;
    const before = steps.slice(0, i).filter((each) => each.index === index).length;
    const own = logged.find((each) => each.step?.id === step?.id);
    const same = logged.find(
      (each) => each.place.pose === place.pose && each.place.side === place.side,
    );
    const isWarmUp = step?.kind === 'warm-up';
    return {
      id: step === null ? `${target.id}-${String(before + 1)}` : step.id,
      step,
      place,
      name: isWarmUp ? (findWarmUp(step.movement)?.name ?? planned.name) : planned.name,
      say: findSentence(planned),
      order: passage?.transition.order ?? [],
      moves: listSaidMoves(planned).map(roundMove),
      hands: passage?.transition.hands ?? '',
      seconds: step === null ? 0 : (times.find((each) => each.index === index)?.seconds ?? 0),
      toward: step === null ? 0 : findToward(plan, index),
      shows: isWarmUp ? null : ((own ?? same)?.step?.id ?? null),
    };
  });
  return {
    id: flow.id,
    name: flow.name,
    peak: flow.peak,
    frontMarksCm: plan.mat.frontMarksCm,
    steps: led,
  };
}

/**
 * The flow that led steps stand for.
 *
 * @param flow as it is led
 * @param steps of it, with or without those passed through
 * @returns a flow that can be planned again
 */
export const toFlow = (
  { id, name, peak }: Pick<LedFlow, 'id' | 'name' | 'peak'>,
  steps: readonly LedStep[],
): Flow => ({ id, name, peak, minutes: null, steps: steps.flatMap(({ step }) => step ?? []) });
