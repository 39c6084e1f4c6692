import { expose } from 'comlink';
import { compareSchools } from '../core/whatIf/compareSchools.ts';
import { checkKept } from '../core/whatIf/keptSetUp.ts';
import { DRAWS, planBands } from '../core/whatIf/planBands.ts';
import { planInFull, planWithErrorBars } from '../core/whatIf/planInFull.ts';
import type { OnProgress } from '../core/whatIf/progress.ts';
import { planVersions } from '../core/whatIf/versions.ts';
import { planRecheck } from '../core/whatIf/planRecheck.ts';
import {
  findHeelLines,
  planMoved,
  type HeelLineMark,
  type MovedPlan,
} from '../core/whatIf/planMoved.ts';
import { planPose, planSetUp, type PlanResult } from '../core/setup/planSetUp.ts';
import { judgeSession } from '../core/sessions/judgeSession.ts';
import { planSession } from '../core/sessions/planSession.ts';
import type { Result } from '../core/problems/problem.ts';
import type { PlanningContext } from '../core/planning/planningContext.ts';
import type { Side } from '../core/measures/protocol.ts';
import type { AsFound, HouseRules } from '../core/rules/houseRules.ts';
import type { RevisedRecord } from '../core/person/person.ts';
import { LatestContext } from './latestContext.ts';

const latest = new LatestContext();

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

/** A question about one person, asked with their record in place of a context. */
const withContext =
  <Asked extends readonly unknown[], Answer>(
    ask: (context: PlanningContext, ...asked: Asked) => Answer,
  ) =>
  (record: RevisedRecord, ...asked: Asked): Answer =>
    ask(latest.of(record), ...asked);

const api = {
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
  planSession,
  judgeSession,
  openPlan,
  movePlan,
  heelLines,
};
export type SetUpWorker = typeof api;

expose(api);
