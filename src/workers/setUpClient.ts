import { proxy } from 'comlink';
import type { Result } from '../core/problems/problem.ts';
import type { AsFound, HouseRules } from '../core/rules/houseRules.ts';
import type { Side } from '../core/measures/protocol.ts';
import type { Bands } from '../core/whatIf/planBands.ts';
import type { SchoolSetUp } from '../core/whatIf/compareSchools.ts';
import type { KeptCheck, KeptSetUp } from '../core/whatIf/keptSetUp.ts';
import type { HeelLineMark, HeldRequest, MovedPlan } from '../core/whatIf/planMoved.ts';
import type { OnProgress } from '../core/whatIf/progress.ts';
import type { Recheck } from '../core/whatIf/planRecheck.ts';
import type { Versions } from '../core/whatIf/versions.ts';
import type { LoadVersions } from '../core/whatIf/compareLoads.ts';
import type { EasedLoad, SoreJoint } from '../core/whatIf/easeLoad.ts';
import type { ErrorBehind, FeltAsked } from '../core/felt/findErrorsBehind.ts';
import type { ErrorAsked, ExplainedError } from '../core/poseErrors/explainError.ts';
import type { SetUp } from '../core/setup/setUp.ts';
import type { Judgement } from '../core/sessions/judgeSession.ts';
import type { LedFlow } from '../core/sessions/ledFlow.ts';
import type { FlowSessionPlan } from '../core/sessions/planFlowSession.ts';
import type { Shortened } from '../core/sessions/shortenFlow.ts';
import type { GentlerDay } from '../core/sessions/gentlerDay.ts';
import type { SessionAsked, SessionPlan } from '../core/sessions/planSession.ts';
import type { Flow } from '../core/sequence/flow.ts';
import type { FlowPlan } from '../core/sequence/flowChecks.ts';
import type { PeakAsked, PreparedPeak } from '../core/sequence/peak/preparePeak.ts';
import type { PromisingPeak } from '../core/sequence/peak/promising.ts';
import type { Way } from '../core/sequence/ways.ts';
import type { Session } from '../core/sessions/session.ts';
import type { Today } from '../core/sessions/today.ts';
import type { RevisedRecord } from '../core/person/person.ts';
import { Lane } from './lane.ts';

/** How much of a set-up is asked for, and what answers it. */
const PLANS = {
  quick: 'planSetUp',
  'error-bars': 'planWithErrorBars',
  full: 'planInFull',
} as const;

/** Answers lately given, so that the shelf and the sheet share one solve. */
const MOST_KEPT = 80;
const kept = new Map<string, Promise<Result<SetUp>>>();

const planning = new Lane(20);
/** Thousands of solves: in a worker of their own, so that nothing waits behind them. */
const drawing = new Lane(180);

/**
 * Plans a set-up in the worker, or hands out the answer it gave to the same question.
 *
 * @param key what the answer depends on, as one text
 * @param detail `error-bars` takes longer: ± on every number; `full` longest: bounds, what gives if pushed
 */
export function planInWorker(
  key: string,
  record: RevisedRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null = null,
  detail: keyof typeof PLANS = 'quick',
): Promise<Result<SetUp>> {
  const ownKey = `${detail} ${key}`;
  const known = kept.get(ownKey);
  if (known !== undefined) return known;
  const ask = (lane: Lane): Promise<Result<SetUp>> =>
    lane.ask((remote) => remote[PLANS[detail]](record, poseId, side, rules, level));
  // What takes long waits for the quick answers that were asked for before, which a page shows
  // first, and then in the worker that is patient.
  const answer = detail === 'quick' ? ask(planning) : planning.idle().then(() => ask(drawing));
  kept.set(ownKey, answer);
  void answer.then(({ ok }) => {
    // A question that was not answered may be asked again.
    if (!ok && kept.get(ownKey) === answer) kept.delete(ownKey);
  });
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value ?? '');
  return answer;
}

/** Of a question that takes seconds: what stops it, and who hears how far it is. */
export interface Watch {
  readonly signal: AbortSignal;
  readonly onProgress: OnProgress;
}

/** Between which values each number would fall if the measuring were repeated; takes seconds. */
export const planBandsInWorker = (
  record: RevisedRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null,
  { signal, onProgress }: Watch,
): Promise<Result<Bands | null>> =>
  drawing.ask(
    (remote) => remote.planBands(record, poseId, side, rules, level, proxy(onProgress)),
    signal,
  );

/** What each school would set, side by side; takes seconds. */
export const compareSchoolsInWorker = (
  record: RevisedRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null,
  { signal, onProgress }: Watch,
): Promise<Result<readonly SchoolSetUp[]>> =>
  drawing.ask(
    (remote) => remote.compareSchools(record, poseId, side, rules, level, proxy(onProgress)),
    signal,
  );

/** Every level and variant of a pose for one person, and the one that is proposed. */
export const planVersionsInWorker = (
  record: RevisedRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
): Promise<Result<Versions>> =>
  drawing.ask((remote) => remote.planVersions(record, poseId, side, rules));

export const checkKeptInWorker = (
  record: RevisedRecord,
  kept: readonly KeptSetUp[],
): Promise<Result<readonly KeptCheck[]>> =>
  planning.ask((remote) => remote.checkKept(record, kept));

/** A set-up with something of it held by hand. */
export const planHeldInWorker = (
  record: RevisedRecord,
  asked: HeldRequest,
): Promise<Result<SetUp>> => planning.ask((remote) => remote.planHeld(record, asked));

/** An error sign on one person's body, and the first thing to change. */
export const explainErrorInWorker = (
  record: RevisedRecord,
  asked: ErrorAsked,
): Promise<Result<ExplainedError>> => planning.ask((remote) => remote.explainError(record, asked));

/** See {@link findErrorsBehind} in core. */
export const findErrorsBehindInWorker = (
  record: RevisedRecord,
  asked: FeltAsked,
): Promise<Result<readonly ErrorBehind[]>> =>
  planning.ask((remote) => remote.findErrorsBehind(record, asked));

/** See {@link compareLoads} in core. */
export const compareLoadsInWorker = (
  record: RevisedRecord,
  asked: HeldRequest,
): Promise<Result<LoadVersions>> => planning.ask((remote) => remote.compareLoads(record, asked));

/** See {@link easeLoad} in core. */
export const easeLoadInWorker = (
  record: RevisedRecord,
  asked: HeldRequest,
  sore: SoreJoint,
): Promise<Result<EasedLoad | null>> =>
  planning.ask((remote) => remote.easeLoad(record, asked, sore));

/** A set-up that is moved by hand: a worker of its own, so that a drag waits for nothing. */
const moving = new Lane(20);

export const openPlanInWorker = (
  key: string,
  record: RevisedRecord,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
  level: string | null,
): Promise<Result<null>> =>
  moving.ask((remote) => remote.openPlan(key, record, poseId, side, rules, level));

export const movePlanInWorker = (key: string, moved: AsFound): Promise<Result<MovedPlan | null>> =>
  moving.ask((remote) => remote.movePlan(key, moved));

export const heelLinesInWorker = (
  key: string,
  backFootDeg: number,
): Promise<Result<readonly HeelLineMark[]>> =>
  moving.ask((remote) => remote.heelLines(key, backFootDeg));

/** The few readings that are most worth repeating; takes seconds. */
export const planRecheckInWorker = (
  record: RevisedRecord,
  poseIds: readonly string[],
  { signal, onProgress }: Watch,
): Promise<Result<readonly Recheck[]>> =>
  drawing.ask((remote) => remote.planRecheck(record, poseIds, proxy(onProgress)), signal);

/** Every set-up of a session, solved with what was said about today. */
export const planSessionInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  today: Today | null,
  asked: SessionAsked,
): Promise<Result<SessionPlan>> =>
  drawing.ask((remote) =>
    remote.planSession(record, sessions, today, asked, new Date().toISOString()),
  );

/** See {@link planGentlerDay} in core. */
export const planGentlerDayInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  today: Today | null,
  asked: SessionAsked,
): Promise<Result<GentlerDay>> =>
  drawing.ask((remote) =>
    remote.planGentlerDay(record, sessions, today, asked, new Date().toISOString()),
  );

/** The next step for every pose and side that a session held. */
export const judgeSessionInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  session: Session,
): Promise<Result<readonly Judgement[]>> =>
  drawing.ask((remote) => remote.judgeSession(record, sessions, session, new Date().toISOString()));

/** Flows solve many poses: a worker of their own, so that no set-up waits behind them. */
const flowing = new Lane(60);

/**
 * The plan of a flow; what was solved for it before is not solved again.
 *
 * @param stances `known` = without stances that have still to be found: quick, for a first look
 */
export const planFlowInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  flow: Flow,
  stances: 'all' | 'known',
): Promise<Result<FlowPlan>> =>
  flowing.ask((remote) => remote.planFlow(record, sessions, flow, stances));

/** The ways into a step of a flow, the cheapest first. */
export const findWaysInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  flow: Flow,
  index: number,
): Promise<Result<readonly Way[]>> =>
  flowing.ask((remote) => remote.findWaysInto(record, sessions, flow, index));

/** A template as a flow of this person, the harder side first. */
export const startFromTemplateInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  template: string,
  id: string,
): Promise<Result<Flow | null>> =>
  flowing.ask((remote) => remote.startFromTemplate(record, sessions, template, id));

/** A flow that prepares a peak; takes a second or two. */
export const preparePeakInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  asked: PeakAsked,
  flow: Pick<Flow, 'id' | 'name'>,
): Promise<Result<PreparedPeak>> =>
  flowing.ask((remote) => remote.preparePeak(record, sessions, asked, flow));

/** The poses most worth being a peak for this person now. */
export const findPromisingPeaksInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
): Promise<Result<readonly PromisingPeak[]>> =>
  flowing.ask((remote) => remote.findPromisingPeaks(record, sessions));

/** A session that leads through a flow, solved with what was said about today. */
export const planFlowSessionInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  today: Today | null,
  flow: Flow,
): Promise<Result<FlowSessionPlan>> =>
  flowing.ask((remote) =>
    remote.planFlowSession(record, sessions, today, flow, new Date().toISOString()),
  );

/** A running flow with less time left, from the step that it stands at. */
export const shortenFlowInWorker = (
  record: RevisedRecord,
  sessions: readonly Session[],
  today: Today | null,
  flow: LedFlow,
  at: string,
  secondsLeft: number,
): Promise<Result<Shortened>> =>
  flowing.ask((remote) => remote.shortenLedFlow(record, sessions, today, flow, at, secondsLeft));
