import { useEffect, useState } from 'react';
import type { Side } from '../../core/measures/protocol.ts';
import type { Result } from '../../core/problems/problem.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { useAnswer } from '../shared/useAnswer.ts';
import { planInWorker } from '../../workers/setUpClient.ts';

export interface PlanRequest {
  readonly record: RevisedRecord;
  readonly poseId: string;
  readonly side: Side;
  readonly rules: Partial<HouseRules>;
  /** One of the pose's levels, or `auto` for the one that fits. */
  readonly level: string;
}

interface KeyedResult {
  readonly key: string;
  readonly result: Result<SetUp>;
}

/** What an answer depends on, so that a stale one is known. */
export const findRequestKey = ({ record, poseId, side, rules, level }: PlanRequest): string =>
  JSON.stringify([record.revision, poseId, side, rules, level]);

/**
 * The set-up of a request from the worker. While a new one is worked on the last one
 * stays, marked; an answer to an older request never lands.
 */
export function usePlanned(request: PlanRequest): {
  readonly result: Result<SetUp> | null;
  readonly working: boolean;
} {
  const key = findRequestKey(request);
  const [planned, setPlanned] = useState<KeyedResult | null>(null);
  useEffect(() => {
    let wanted = true;
    const { record, poseId, side, rules, level } = request;
    void planInWorker(key, record, poseId, side, rules, level).then((result) => {
      if (wanted) setPlanned({ key, result });
    });
    return () => {
      wanted = false;
    };
    // The key holds everything the request says.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return { result: planned?.result ?? null, working: planned?.key !== key };
}

/**
 * A set-up with ± on its numbers, as soon as they are worked out.
 *
 * @param quick the set-up of the request, without them; null = not there yet
 * @returns the same set-up until then
 */
export function useErrorBars(request: PlanRequest, quick: SetUp | null): SetUp | null {
  const { record, poseId, side, rules, level } = request;
  const key = findRequestKey(request);
  const isWanted = quick !== null && quick.status !== 'failed';
  const answer = useAnswer(isWanted ? `bars ${key}` : null, () =>
    planInWorker(key, record, poseId, side, rules, level, 'error-bars'),
  );
  return answer?.ok === true && quick !== null ? answer.value : quick;
}
