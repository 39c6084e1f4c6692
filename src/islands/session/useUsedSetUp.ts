import type { RevisedRecord } from '../../core/person/person.ts';
import { USUAL_LEVEL } from '../../core/poses/level.ts';
import { findUsed } from '../../core/sessions/logHold.ts';
import type { LoggedHold } from '../../core/sessions/readSession.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { planHeldInWorker } from '../../workers/setUpClient.ts';
import { useAnswer } from '../shared/useAnswer.ts';

/**
 * The set-up of a hold whose numbers were changed in the session.
 *
 * @returns null = it is as planned, or on its way
 */
export function useUsedSetUp(record: RevisedRecord, hold: LoggedHold | null): SetUp | null {
  const asked =
    hold === null || hold.notes.used === null
      ? null
      : {
          pose: hold.plan.pose,
          side: hold.plan.side,
          rules: hold.plan.rules,
          level: hold.plan.level ?? USUAL_LEVEL,
          held: findUsed(hold.plan, hold.notes),
        };
  const answer = useAnswer(asked && JSON.stringify([record.revision, asked]), () =>
    planHeldInWorker(record, asked!),
  );
  return answer?.ok === true ? answer.value : null;
}
