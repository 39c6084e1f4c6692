import { isStale } from '../measures/staleness.ts';
import type { Side } from '../measures/protocol.ts';
import type { PersonRecord } from '../person/person.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { isMeasureId } from '../measures/protocols/index.ts';
import type { Result } from '../problems/problem.ts';
import type { AsFound } from '../rules/houseRules.ts';
import { NOT_MOVED } from '../whatIf/planMoved.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import { findSurfaceHeight } from '../planning/withStudio.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { USUAL_STUDIO } from '../studio/studio.ts';
import { planPose, type Plan } from '../setup/planSetUp.ts';
import { ENOUGH_TO_SPARE, judge, type Verdict } from './ladder.ts';
import type { Hold } from './log.ts';
import { withHeldPoses } from './heldPoses.ts';
import { findLevelHeld, readSession, type LoggedHold } from './readSession.ts';
import type { Session } from './session.ts';
import { hasRoom, isBelowRecommended } from './spare.ts';
import { takeLevelStep, type LevelStep } from './levelStep.ts';
import { takeStep, type Step, type StepChange } from './step.ts';
import { findLastHeld, toHolds } from './toHolds.ts';

/** What a verdict would change. */
export interface OfferedStep {
  readonly words: string;
  readonly held: AsFound;
  readonly changes: readonly StepChange[];
  /** What was held, and what would be: to be drawn. */
  readonly before: SetUp;
  readonly after: SetUp;
  /** Another level of the pose, null = the usual one; left out = the same. */
  readonly level?: string | null;
  /** What closes the gap to that level; left out = the level stays. */
  readonly closes?: string;
}

/** A verdict on one pose and side, with the steps that may be taken from what was held. */
export interface Judgement {
  readonly pose: string;
  readonly side: Side;
  readonly verdict: Verdict;
  /** What was held, so that “keep” keeps it. */
  readonly used: AsFound | null;
  readonly easier: OfferedStep | null;
  readonly further: OfferedStep | null;
}

/** Whether any measure that the pose rests on is due again. */
function restsOnStale(context: PlanningContext, pose: string, side: Side, now: string): boolean {
  const plan = planPose(context, pose, side);
  if (plan.kind !== 'planned') return false;
  return plan.setUp.provenance.measures.some(
    ({ measure, takenAt }) =>
      takenAt !== null &&
      isMeasureId(measure) &&
      isStale(measure, takenAt, now, context.record.person.birthYear),
  );
}

const toOffer = (step: Step | null): OfferedStep | null =>
  step === null
    ? null
    : {
        words: step.words,
        held: step.held,
        changes: step.changes,
        before: step.before,
        after: step.setUp,
      };

const toLevelOffer = (step: LevelStep | null): OfferedStep | null => {
  const offer = toOffer(step);
  return step === null || offer === null
    ? null
    : { ...offer, level: step.level, closes: step.closes };
};

/** The log with what the latest holds of a pose and side really had to spare. */
function withRoom(
  context: PlanningContext,
  log: readonly Hold[],
  { plan, notes }: LoggedHold,
): readonly Hold[] {
  const depth = notes.used?.depth ?? plan.depth;
  const isSame = ({ pose, side }: Hold): boolean => pose === plan.pose && side === plan.side;
  const isShort = (each: Hold): boolean => isSame(each) && (each.toSpareDeg ?? 0) < ENOUGH_TO_SPARE;
  if (!log.some(isShort)) return log;
  if (isBelowRecommended(context, plan, depth)) {
    return log.map((each) => (isSame(each) ? { ...each, isBelowRecommended: true } : each));
  }
  if (!hasRoom(context, plan, depth, ENOUGH_TO_SPARE)) return log;
  return log.map((each) => (isShort(each) ? { ...each, toSpareDeg: ENOUGH_TO_SPARE } : each));
}

/**
 * Judges every pose and side that a session held, by everything logged so far.
 *
 * @param record the person with all readings
 * @param sessions all of the person, this one among them
 * @param session with its entries
 * @param now ISO date; the core has no clock
 * @returns a verdict each, with the steps that it offers
 */
export function judgeSession(
  record: PersonRecord,
  sessions: readonly Session[],
  session: Session,
  now: string,
): Result<readonly Judgement[]> {
  const context = new PlanningContext(withHeldPoses(record, sessions));
  const log = toHolds(sessions);
  const seen = new Map<string, { pose: string; side: Side }>();
  for (const { plan, at } of readSession(session).holds) {
    if (at !== null) seen.set(`${plan.pose} ${plan.side}`, { pose: plan.pose, side: plan.side });
  }
  const judged = [...seen.values()].map(({ pose, side }): Judgement => {
    const last = findLastHeld(sessions, pose, side)?.hold ?? null;
    const used = last === null ? null : (last.notes.used ?? last.plan.moved);
    const isStandingPose = findPose(pose) !== null;
    const stale = isStandingPose && restsOnStale(context, pose, side, now);
    const roomy = isStandingPose && last !== null ? withRoom(context, log, last) : log;
    const level = last === null ? null : findLevelHeld(last);
    const plan =
      isStandingPose && last !== null
        ? planPose(context, pose, side, last.plan.rules, level)
        : null;
    const step = (direction: 'easier' | 'further'): OfferedStep | null => {
      if (plan?.kind !== 'planned' || last === null) return null;
      const within = toOffer(takeStep(plan, used ?? NOT_MOVED, direction));
      const { rules } = last.plan;
      const held = { pose, side, level, rules, at: last.at ?? now };
      const next = (): OfferedStep | null =>
        toLevelOffer(takeLevelStep(context, held, plan.setUp, direction));
      const propFirst = direction === 'further' && isHeldUpByProp(plan);
      return propFirst ? (next() ?? within) : (within ?? next());
    };
    const [easier, further] = [step('easier'), step('further')];
    const hasNextLevel = further?.level !== undefined;
    const verdict = judge(roomy, { pose, side, isStale: stale, hasNextLevel });
    const goesOn = verdict.kind === 'go-on' || verdict.kind === 'keep';
    return {
      pose,
      side,
      verdict: isStandingPose ? withoutStep(verdict, further !== null) : withoutDepth(verdict),
      used,
      easier,
      further: goesOn ? further : null,
    };
  });
  return { ok: true, value: judged };
}

/** A hand within this of its prop rests on it, cm. */
const ON_ITS_PROP = 1;

/** Whether the prop that a level names keeps the trunk up: going further means the next level, not deeper. */
function isHeldUpByProp({ request: { pose, record }, setUp }: Plan): boolean {
  const { handsOn } = pose;
  const hand = getValue(setUp, 'hand-height');
  if (handsOn?.elbows !== 'straight' || handsOn.surface === 'floor' || hand === null) return false;
  const { cupboard } = record.studio ?? USUAL_STUDIO;
  return hand <= findSurfaceHeight(handsOn.surface, cupboard) + ON_ITS_PROP;
}

/** A lying form is computed to fit what was measured: it goes no further by itself. */
function withoutDepth(verdict: Verdict): Verdict {
  if (verdict.kind !== 'go-on' && verdict.kind !== 'keep') return verdict;
  const facts = ['a lying form is computed to fit: it changes only with a new measure'];
  return { ...verdict, kind: 'keep', facts };
}

/** Where there is no further step, the pose stays as it is. */
function withoutStep(verdict: Verdict, hasFurther: boolean): Verdict {
  if (verdict.kind !== 'go-on' || hasFurther) return verdict;
  const fact = 'this is as far as this pose goes within the measures';
  return { ...verdict, kind: 'keep', facts: [...verdict.facts, fact] };
}
