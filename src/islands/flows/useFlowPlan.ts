import { useEffect, useState } from 'react';
import type { Result } from '../../core/problems/problem.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { Session } from '../../core/sessions/session.ts';
import type { Flow } from '../../core/sequence/flow.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import { planFlowInWorker } from '../../workers/setUpClient.ts';

interface Landed {
  readonly key: string;
  readonly plan: FlowPlan;
  readonly isWhole: boolean;
}

/**
 * The plan of a flow; while a new one is worked out, the one before.
 *
 * @returns null before the first one; `isCurrent` is false until the whole of it is worked out
 */
export function useFlowPlan(
  record: RevisedRecord,
  sessions: readonly Session[],
  flow: Flow,
): { readonly plan: FlowPlan | null; readonly isCurrent: boolean } {
  const key = JSON.stringify([record.revision, flow.steps, flow.minutes, flow.peak]);
  const [landed, setLanded] = useState<Landed | null>(null);
  useEffect(() => {
    let isWanted = true;
    const land = (result: Result<FlowPlan>, isWhole: boolean): void => {
      if (isWanted && result.ok) setLanded({ key, plan: result.value, isWhole });
    };
    // The figures first; the stances that poses share take longer.
    void planFlowInWorker(record, sessions, flow, 'known').then(async (first) => {
      land(first, false);
      if (isWanted) land(await planFlowInWorker(record, sessions, flow, 'all'), true);
    });
    return () => {
      isWanted = false;
    };
    // The key holds everything that a plan depends on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return { plan: landed?.plan ?? null, isCurrent: landed?.key === key && landed.isWhole };
}
