import { expose } from 'comlink';
import { compareSchools } from '../core/whatIf/compareSchools.ts';
import { checkKept } from '../core/whatIf/keptSetUp.ts';
import { DRAWS, planBands } from '../core/whatIf/planBands.ts';
import { planInFull, planWithErrorBars } from '../core/whatIf/planInFull.ts';
import { readNoted } from '../core/sessions/noted.ts';
import { FlowPlanner } from '../core/sequence/flowPlanner.ts';
import { fillTemplate, findTemplate } from '../core/sequence/templates.ts';
import type { Flow } from '../core/sequence/flow.ts';
import type { FlowPlan } from '../core/sequence/flowChecks.ts';
import type { PeakAsked, PreparedPeak } from '../core/sequence/peak/preparePeak.ts';
import type { PromisingPeak } from '../core/sequence/peak/promising.ts';
import type { Way } from '../core/sequence/ways.ts';
import type { OnProgress } from '../core/whatIf/progress.ts';
import { planVersions } from '../core/whatIf/versions.ts';
import { planRecheck } from '../core/whatIf/planRecheck.ts';
import {
  findHeelLines,
  planByHand,
  planMoved,
  type HeldRequest,
  type HeelLineMark,
  type MovedPlan,
} from '../core/whatIf/planMoved.ts';
import { compareLoads } from '../core/whatIf/compareLoads.ts';
import { easeLoad } from '../core/whatIf/easeLoad.ts';
import { findErrorsBehind } from '../core/felt/findErrorsBehind.ts';
import { explainError } from '../core/poseErrors/explainError.ts';
import { planPose, planSetUp, type PlanResult } from '../core/setup/planSetUp.ts';
import { judgeSession } from '../core/sessions/judgeSession.ts';
import type { Session } from '../core/sessions/session.ts';
import { makeTodaysPlanner, planFlowSession } from '../core/sessions/planFlowSession.ts';
import { shortenFlow, type Shortened } from '../core/sessions/shortenFlow.ts';
import type { LedFlow } from '../core/sessions/ledFlow.ts';
import type { Today } from '../core/sessions/today.ts';
import { planGentlerDay } from '../core/sessions/gentlerDay.ts';
import { planSession } from '../core/sessions/planSession.ts';
import type { SetUp } from '../core/setup/setUp.ts';
import type { Result } from '../core/problems/problem.ts';
import type { PlanningContext } from '../core/planning/planningContext.ts';
import type { Side } from '../core/measures/protocol.ts';
import type { AsFound, HouseRules } from '../core/rules/houseRules.ts';
import type { RevisedRecord } from '../core/person/person.ts';
import { keepShares, type KeptShares } from '../core/classes/cupboard/keepShares.ts';
import { listNeeds, type Needy } from '../core/classes/cupboard/needs.ts';
import {
  Deadline,
  shareCupboard,
  type SharedCupboard,
} from '../core/classes/cupboard/shareCupboard.ts';
import { findShopping, type ShoppingList } from '../core/classes/cupboard/shopping.ts';
import type { Grid } from '../core/classes/lossOnGrid.ts';
import {
  listOwnPlaces,
  planOwn,
  type InstructionAsked,
  type OwnPlace,
} from '../core/classes/ownPlaces.ts';
import {
  planMember,
  type GroupValues,
  type Member,
  type MemberPose,
} from '../core/classes/planMember.ts';
import { groupPlaces, type ClassGroups } from '../core/classes/planSettings.ts';
import type { PropItem } from '../core/props/propList.ts';
import { LatestContext } from './latestContext.ts';
import { solveWithin } from './solveProgram.ts';

const latest = new LatestContext();

/** So many ways into a step are offered. */
const MOST_WAYS = 4;

/** The plan that is being moved; planned once, moved many times. */
let open: { readonly key: string; readonly plan: PlanResult } | null = null;

type Tail<List extends readonly unknown[]> = List extends [unknown, ...infer Rest] ? Rest : never;

function openPlan(
  key: string,
  record: RevisedRecord,
  ...asked: Tail<Parameters<typeof planPose>>
): Result<null> {
  const plan = planPose(latest.of(record), ...asked);
  open = { key, plan };
  return { ok: true, value: null };
}

/** @returns null when another plan is open, or it has nothing to move */
function movePlan(key: string, moved: AsFound): Result<MovedPlan | null> {
  const value =
    open?.key === key && open.plan.kind === 'planned' ? planMoved(open.plan, moved) : null;
  return { ok: true, value };
}

function heelLines(key: string, backFootDeg: number): Result<readonly HeelLineMark[]> {
  const value =
    open?.key === key && open.plan.kind === 'planned' ? findHeelLines(open.plan, backFootDeg) : [];
  return { ok: true, value };
}

/** A set-up with something of it held by hand. */
function planHeld(record: RevisedRecord, asked: HeldRequest): Result<SetUp> {
  const planned = planByHand(latest.of(record), asked);
  return planned.ok ? { ok: true, value: planned.value.plan.setUp } : planned;
}

/** A question about one person, asked with their record in place of a context. */
const withContext =
  <Asked extends readonly unknown[], Answer>(
    ask: (context: PlanningContext, ...asked: Asked) => Answer,
  ) =>
  (record: RevisedRecord, ...asked: Asked): Answer =>
    ask(latest.of(record), ...asked);

/** Planners remember what they have solved, one a person. */
const planners = new WeakMap<PlanningContext, FlowPlanner>();

function plannerOf(record: RevisedRecord, sessions: readonly Session[]): FlowPlanner {
  const context = latest.of(record);
  const planner = planners.get(context) ?? new FlowPlanner(context, {}, readNoted(sessions));
  planners.set(context, planner);
  return planner;
}

const planFlow = (
  record: RevisedRecord,
  sessions: readonly Session[],
  flow: Flow,
  stances: 'all' | 'known',
): Result<FlowPlan> => ({
  ok: true,
  value: plannerOf(record, sessions).plan(flow, stances),
});

const findWaysInto = (
  record: RevisedRecord,
  sessions: readonly Session[],
  flow: Flow,
  index: number,
): Result<readonly Way[]> => ({
  ok: true,
  value: plannerOf(record, sessions).findOtherWays(flow, index, MOST_WAYS),
});

/** A template as a flow of this person, the harder side first; null = there is no such template. */
function startFromTemplate(
  record: RevisedRecord,
  sessions: readonly Session[],
  template: string,
  id: string,
): Result<Flow | null> {
  const found = findTemplate(template);
  if (found === null) return { ok: true, value: null };
  const planner = plannerOf(record, sessions);
  const value = fillTemplate(found, id, (poses) => planner.findFirstSide(poses));
  return { ok: true, value };
}

const preparePeak = (
  record: RevisedRecord,
  sessions: readonly Session[],
  asked: PeakAsked,
  flow: Pick<Flow, 'id' | 'name'>,
): Result<PreparedPeak> => plannerOf(record, sessions).preparePeak(asked, flow);

const findPromisingPeaks = (
  record: RevisedRecord,
  sessions: readonly Session[],
): Result<readonly PromisingPeak[]> => ({
  ok: true,
  value: plannerOf(record, sessions).findPromisingPeaks(),
});

function shortenLedFlow(
  record: RevisedRecord,
  sessions: readonly Session[],
  today: Today | null,
  flow: LedFlow,
  at: string,
  secondsLeft: number,
): Result<Shortened> {
  const { planner } = makeTodaysPlanner(record, sessions, today);
  return { ok: true, value: shortenFlow(planner, flow, at, secondsLeft) };
}

const toMember = (record: RevisedRecord, sessions: readonly Session[]): Member => ({
  record,
  sessions,
});

const planClassMember = (
  record: RevisedRecord,
  sessions: readonly Session[],
  pose: string,
  group: GroupValues | null,
  now: string,
): Result<MemberPose> => ({
  ok: true,
  value: planMember(toMember(record, sessions), pose, group, now),
});

/** What someone sets by themselves on each side, cm or degrees: what a class's grid is made of. */
function findOwnNumbers(record: RevisedRecord, asked: InstructionAsked): Result<readonly number[]> {
  const { sides } = planOwn(latest.of(record), asked);
  return { ok: true, value: sides.map(({ own }) => own) };
}

function findOwnPlaces(
  record: RevisedRecord,
  asked: InstructionAsked,
  grid: Grid,
): Result<readonly OwnPlace[]> {
  const planned = planOwn(latest.of(record), asked);
  return { ok: true, value: listOwnPlaces(record.person.id, planned, asked.setting, grid) };
}

const groupClass = (own: readonly OwnPlace[]): Result<readonly ClassGroups[]> => ({
  ok: true,
  value: groupPlaces(own),
});

/** How long a cupboard is shared at most, and a shopping list written after it, s. */
const SHARING_SECONDS = 2;
const SHOPPING_SECONDS = 4;

/** The cupboard of a class, shared; `kept` = what is out already stays with those who have it. */
async function shareClassCupboard(
  planned: readonly Needy[],
  poses: readonly string[],
  props: readonly PropItem[],
  kept: KeptShares,
): Promise<Result<SharedCupboard>> {
  const needs = keepShares(listNeeds(planned, poses, props), kept);
  const deadline = new Deadline(SHARING_SECONDS, () => performance.now());
  return { ok: true, value: await shareCupboard(needs, props, solveWithin, deadline) };
}

async function listShopping(
  planned: readonly Needy[],
  poses: readonly string[],
  props: readonly PropItem[],
): Promise<Result<ShoppingList>> {
  const deadline = new Deadline(SHOPPING_SECONDS, () => performance.now());
  return { ok: true, value: await findShopping(planned, poses, props, solveWithin, deadline) };
}

const api = {
  planClassMember,
  findOwnNumbers,
  findOwnPlaces,
  groupClass,
  shareClassCupboard,
  listShopping,
  planSetUp: withContext(planSetUp),
  planInFull: withContext(planInFull),
  planWithErrorBars: withContext(planWithErrorBars),
  planBands: (
    record: RevisedRecord,
    poseId: string,
    side: Side,
    rules: Partial<HouseRules>,
    level: string | null,
    onProgress: OnProgress,
  ) => planBands(latest.of(record), poseId, side, rules, level, DRAWS, onProgress),
  planRecheck: withContext(planRecheck),
  compareSchools: withContext(compareSchools),
  planVersions: withContext(planVersions),
  checkKept: withContext(checkKept),
  explainError: withContext(explainError),
  findErrorsBehind: withContext(findErrorsBehind),
  compareLoads: withContext(compareLoads),
  easeLoad: withContext(easeLoad),
  planSession,
  planGentlerDay,
  judgeSession,
  openPlan,
  movePlan,
  heelLines,
  planHeld,
  planFlow,
  findWaysInto,
  startFromTemplate,
  preparePeak,
  findPromisingPeaks,
  planFlowSession,
  shortenLedFlow,
};
export type SetUpWorker = typeof api;

expose(api);
