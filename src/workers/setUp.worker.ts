import { expose } from 'comlink';
import { compareSchools } from '../core/whatIf/compareSchools.ts';
import { checkKept } from '../core/whatIf/keptSetUp.ts';
import { planBands } from '../core/whatIf/planBands.ts';
import { planInFull } from '../core/whatIf/planInFull.ts';
import { planRecheck } from '../core/whatIf/planRecheck.ts';
import {
  findHeelLines,
  planMoved,
  type HeelLineMark,
  type Moved,
} from '../core/whatIf/planMoved.ts';
import { planPose, planSetUp, type Planned } from '../core/setup/planSetUp.ts';
import { judgeSession } from '../core/sessions/judgeSession.ts';
import { planSession } from '../core/sessions/planSession.ts';
import type { Result } from '../core/problems/problem.ts';
import type { PersonRecord } from '../core/person/person.ts';
import type { AsFound } from '../core/rules/houseRules.ts';

/**
 * The person who was asked about last. Every question brings its own copy; taken for the
 * same one, what was worked out of the readings serves all poses.
 */
let last: { readonly text: string; readonly record: PersonRecord } | null = null;

function recall(record: PersonRecord): PersonRecord {
  const text = JSON.stringify(record);
  if (last?.text !== text) last = { text, record };
  return last.record;
}

/** The plan that is being moved; planned once, moved many times. */
let open: { readonly key: string; readonly plan: Planned } | null = null;

function openPlan(key: string, ...request: Parameters<typeof planPose>): Result<null> {
  const plan = planPose(...request);
  open = { key, plan };
  return { ok: true, value: null };
}

/** @returns null when another plan is open, or it has nothing to move */
function movePlan(key: string, moved: AsFound): Result<Moved | null> {
  const value =
    open?.key === key && open.plan.kind === 'planned' ? planMoved(open.plan, moved) : null;
  return { ok: true, value };
}

function heelLines(key: string, backFootDeg: number): Result<readonly HeelLineMark[]> {
  const value =
    open?.key === key && open.plan.kind === 'planned' ? findHeelLines(open.plan, backFootDeg) : [];
  return { ok: true, value };
}

type Tail<List extends readonly unknown[]> = List extends [unknown, ...infer Rest] ? Rest : never;

const api = {
  planSetUp: (record: PersonRecord, ...asked: Tail<Parameters<typeof planSetUp>>) =>
    planSetUp(recall(record), ...asked),
  planInFull: (record: PersonRecord, ...asked: Tail<Parameters<typeof planInFull>>) =>
    planInFull(recall(record), ...asked),
  planBands,
  planRecheck,
  compareSchools,
  checkKept,
  planSession,
  judgeSession,
  openPlan,
  movePlan,
  heelLines,
};
export type SetUpWorker = typeof api;

expose(api);
