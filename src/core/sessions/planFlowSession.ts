import type { PersonRecord } from '../person/person.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import type { Problem, Result } from '../problems/problem.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { FlowPlanner } from '../sequence/flowPlanner.ts';
import type { FlowPlan } from '../sequence/flowChecks.ts';
import { countBreaths, type Flow, type FlowStep, type PoseStep } from '../sequence/flow.ts';
import type { FlowRun, PlannedStep } from '../sequence/plannedFlow.ts';
import { moveOnMat } from '../setup/moveOnMat.ts';
import { planPose } from '../setup/planSetUp.ts';
import { NOT_MOVED, planMoved } from '../whatIf/planMoved.ts';
import { withHeldPoses } from './heldPoses.ts';
import { isLogged, leadFlow, type LedFlow, type LedStep } from './ledFlow.ts';
import { readNoted } from './noted.ts';
import { findPause } from './pause.ts';
import { sayInstead, sayProblems, type LeftOut } from './planSession.ts';
import { planSide, type PlannedSide } from './planSide.ts';
import type { Session } from './session.ts';
import { adaptToday, type AdaptedToday, type Today, type TodayChange } from './today.ts';
import { toPlannedHold, type PlannedPair } from './toPlannedHold.ts';

/** A flow as it is done today, and led. */
export interface FlowSessionPlan {
  readonly flow: LedFlow;
  /** Every hold that is logged; its id is that of its step. */
  readonly holds: readonly PlannedPair[];
  readonly leftOut: readonly LeftOut[];
  /** What the answers of today change, with the reason. */
  readonly changes: readonly TodayChange[];
  readonly seconds: number;
}

/** The person of today: what a session is planned, and shortened, for. */
interface TodaysPlanner {
  readonly planner: FlowPlanner;
  readonly context: PlanningContext;
  readonly adapted: AdaptedToday;
}

/**
 * A planner of flows for a person as they are today.
 *
 * @param record the person with all readings
 * @param sessions all of this person
 * @param today what was said of today; null = nothing was asked
 * @returns with the person and the rules that it plans for
 */
export function makeTodaysPlanner(
  record: PersonRecord,
  sessions: readonly Session[],
  today: Today | null,
): TodaysPlanner {
  const adapted = adaptToday(withHeldPoses(record, sessions), today);
  const context = new PlanningContext(adapted.record);
  return {
    planner: new FlowPlanner(context, adapted.rules, readNoted(sessions)),
    context,
    adapted,
  };
}

const leaveOut = (step: FlowStep, why: readonly string[], isPaused = false): LeftOut => ({
  pose: step.kind === 'warm-up' ? step.movement : step.pose,
  why,
  instead: step.kind === 'pose' ? sayInstead(step.pose) : '',
  isPaused,
  isUnmeasured: false,
});

/** One line for each pose, whatever the number of its steps. */
const listOnce = (leftOut: readonly LeftOut[]): readonly LeftOut[] =>
  leftOut.filter(({ pose }, i) => leftOut.findIndex((each) => each.pose === pose) === i);

/** The flow without what is paused and what cannot be set up today, planned. */
function planWhatIsHeld(
  { planner }: TodaysPlanner,
  sessions: readonly Session[],
  flow: Flow,
): { readonly plan: FlowPlan; readonly leftOut: readonly LeftOut[] } {
  const leftOut: LeftOut[] = [];
  const open = flow.steps.filter((step) => {
    const paused = step.kind === 'pose' ? findPause(sessions, step.pose) : [];
    if (paused.length > 0) leftOut.push(leaveOut(step, paused, true));
    return paused.length === 0;
  });
  const first = planner.plan({ ...flow, steps: open }, 'known');
  const gaps = new Map<FlowStep, readonly Problem[]>([
    ...first.leftOut.map(({ step, problems }) => [step, problems] as const),
    ...first.steps.flatMap(({ step, gap }) =>
      step === null || gap.length === 0 ? [] : [[step, gap] as const],
    ),
  ]);
  for (const [step, problems] of gaps) leftOut.push(leaveOut(step, sayProblems(problems)));
  const plan = planner.plan({ ...flow, steps: open.filter((step) => !gaps.has(step)) });
  return { plan, leftOut: listOnce(leftOut) };
}

/** As deep as was decided, on the stance that the flow shares; null = it cannot be held there. */
function holdOnStance(
  { context, adapted }: TodaysPlanner,
  step: PoseStep,
  { stanceCm, backFootDeg }: FlowRun,
  decided: PlannedSide,
): PlannedSide | null {
  const planned = planPose(context, step.pose, step.side, adapted.rules, decided.setUp.level);
  const depth = decided.setUp.depth?.value ?? null;
  if (planned.kind !== 'planned') return null;
  const moved = { ...NOT_MOVED, stanceCm, backFootDeg, depth };
  const answer = planMoved(planned, moved);
  if (answer === null || answer.gives !== null || answer.setUp.status === 'failed') return null;
  return { setUp: answer.setUp, moved, why: decided.why };
}

const OWN_FEET = 'on feet of its own';

/** Moves that were planned for other feet are not said: those feet are set by the numbers. */
function withoutWrongMoves(flow: LedFlow, holds: readonly PlannedPair[]): LedFlow {
  const own = holds.filter(({ plan }) => plan.why.includes(OWN_FEET)).map(({ plan }) => plan.id);
  const isOwn = (step: LedStep | undefined): boolean => step !== undefined && own.includes(step.id);
  const steps = flow.steps.map((step, i) =>
    isOwn(step) || isOwn(flow.steps[i - 1]) ? { ...step, moves: [] } : step,
  );
  return { ...flow, steps };
}

/** A step as it is held today: as the flow plans it, unless something else was decided. */
function findHeld(
  today: TodaysPlanner,
  sessions: readonly Session[],
  { setUp, run }: PlannedStep,
  step: PoseStep,
  runs: readonly FlowRun[],
): PlannedSide {
  const { context, adapted } = today;
  const asPlanned = { setUp: setUp!, moved: null, why: [] };
  if (findAnyPose(step.pose)?.kind !== 'standing') return asPlanned;
  const level = step.level ?? FITTING_LEVEL;
  const decided = planSide(context, adapted, sessions, step.pose, level, step.side);
  if (!decided.ok || decided.value.why.length === 0) return asPlanned;
  const { moved, why } = decided.value;
  // What is recommended today is what the flow plans, on the stance that it shares.
  if (moved === null && decided.value.setUp.level === asPlanned.setUp.level) {
    return { ...asPlanned, why };
  }
  const shared = run === null ? undefined : runs[run];
  if (shared === undefined) return decided.value;
  const onStance = holdOnStance(today, step, shared, decided.value);
  return onStance ?? { ...decided.value, why: [...why, OWN_FEET] };
}

/**
 * Plans a session that leads through a flow: every step with the way into it, the holds solved with
 * what is said about today and with what was decided last time, each frozen with its date. Poses on
 * one stance share it as in the flow. What cannot be held, or is paused, is left out with the reason.
 *
 * @param record the person with all readings
 * @param sessions all of this person
 * @param today what was said of today; null = nothing was asked
 * @param flow to be led through
 * @param now ISO date; the core has no clock
 * @returns problems where nothing of it can be planned: a stop sign, no steps, too many of them
 */
export function planFlowSession(
  record: PersonRecord,
  sessions: readonly Session[],
  today: Today | null,
  flow: Flow,
  now: string,
): Result<FlowSessionPlan> {
  const planner = makeTodaysPlanner(record, sessions, today);
  const { plan, leftOut } = planWhatIsHeld(planner, sessions, flow);
  if (plan.steps.length === 0) return { ok: false, problems: plan.problems };
  const holds = plan.steps.filter(isLogged).map((planned): PlannedPair => {
    const step = planned.step as PoseStep;
    const { id, pose, side } = step;
    const hold = { id, pose, side, breaths: countBreaths(step), rounds: 1 };
    const held = findHeld(planner, sessions, planned, step, plan.runs);
    const frontX = planned.feet[planned.place.side ?? 'right']?.x ?? 0;
    const setUp = moveOnMat(held.setUp, plan.mat.frontMarksCm - frontX);
    return toPlannedHold(hold, { ...held, setUp }, planner.adapted, now);
  });
  return {
    ok: true,
    value: {
      flow: withoutWrongMoves(leadFlow(plan), holds),
      holds,
      leftOut,
      changes: planner.adapted.changes,
      seconds: plan.seconds.total,
    },
  };
}
