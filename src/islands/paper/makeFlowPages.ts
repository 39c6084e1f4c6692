import { drawFlowPages } from '../../core/paper/flowPages.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { Result } from '../../core/problems/problem.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import type { Session } from '../../core/sessions/session.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { makeFlowCuePages } from '../cues/gatherCues.ts';
import { planFlowInWorker } from '../../workers/setUpClient.ts';
import { writeDate } from '../shared/writeValue.ts';
import type { Made } from './makePages.ts';

export const FLOW_KINDS = {
  figures: 'figures, moves and marks',
  cues: 'cues, a page each',
} as const;
export type FlowKind = keyof typeof FLOW_KINDS;

/** A flow of a person on paper. What is left out of it is not on the pages, and it is said why. */
export async function makeFlowPages(
  record: RevisedRecord,
  sessions: readonly Session[],
  flow: Flow,
  paper: 'a4' | 'letter',
  unit: LengthUnit,
  kind: FlowKind,
): Promise<Result<Made>> {
  const planned = await planFlowInWorker(record, sessions, flow, 'all');
  if (!planned.ok) return planned;
  const plan = planned.value;
  const date = writeDate(new Date().toISOString());
  const problems = [...plan.problems, ...plan.leftOut.flatMap((each) => each.problems)];
  const pages =
    kind === 'cues'
      ? await makeFlowCuePages(record, sessions, plan, unit, paper)
      : drawFlowPages({ plan, name: record.person.name, date, unit }, paper);
  return { ok: true, value: { pages, problems } };
}
