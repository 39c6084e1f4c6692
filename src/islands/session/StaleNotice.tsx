import { useState } from 'react';
import type { Result } from '../../core/problems/problem.ts';
import { toFlow } from '../../core/sessions/ledFlow.ts';
import type { SessionPlan } from '../../core/sessions/planSession.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { RULES_VERSION } from '../../core/rules/houseRules.ts';
import type { SessionState } from '../../core/sessions/readSession.ts';
import { findStaleHolds } from '../../core/sessions/staleHolds.ts';
import type { Session } from '../../core/sessions/session.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { replaceHolds } from '../../data/sessions.ts';
import { planFlowSessionInWorker, planSessionInWorker } from '../../workers/setUpClient.ts';
import { writeDate } from '../shared/writeValue.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { Notice } from '../shared/ui/Notice.tsx';
import { staleNotice as say } from './words.ts';

interface StaleNoticeProps {
  record: RevisedRecord;
  sessions: readonly Session[];
  session: Session;
  state: SessionState;
  /** undefined while they are looked up. */
  frozen: ReadonlyMap<string, SetUp> | undefined;
}

type Planned = Pick<SessionPlan, 'holds'>;

/** Says when the set-ups still to come are old, and offers to solve them again. */
export function StaleNotice({ record, sessions, session, state, frozen }: StaleNoticeProps) {
  const [isWorking, setIsWorking] = useState(false);
  const [told, setTold] = useState('');
  const { write, told: refusal } = useWrite();
  if (frozen === undefined || session.heldAt !== null) return null;
  const stale = findStaleHolds(record, state, frozen, new Date().toISOString());
  if (stale.length === 0) return told === '' ? null : <p role="status">{told}</p>;
  const renew = async (): Promise<void> => {
    setIsWorking(true);
    try {
      await planAgain();
    } finally {
      setIsWorking(false);
    }
  };
  const others = sessions.filter((each) => each.id !== session.id);
  const { today, flow } = session;
  /** The holds as they are planned today; with a flow, on the stances that it shares. */
  const planHolds = async (): Promise<Result<Planned>> => {
    if (flow !== undefined) {
      return planFlowSessionInWorker(record, others, today, toFlow(flow, flow.steps));
    }
    const poses = stale.map(({ pose, level }) => ({ pose, level }));
    const asked = { poses, order: 'equal', breaths: null, rounds: 1 } as const;
    return planSessionInWorker(record, others, today, asked);
  };
  const planAgain = async (): Promise<void> => {
    const result = await planHolds();
    if (result.ok) {
      const fresh = stale.flatMap((old) => {
        const found = result.value.holds.find(({ plan }) =>
          flow === undefined
            ? plan.pose === old.pose && plan.side === old.side
            : plan.id === old.id,
        );
        if (found === undefined) return [];
        const { id, breaths, rounds } = old;
        return [{ ...found, plan: { ...found.plan, id, breaths, rounds } }];
      });
      await replaceHolds(record.person.id, session.id, fresh);
      setTold(fresh.length === stale.length ? say.remainingSetUpsUpdated : say.somePosesCanNo);
    } else {
      setTold(result.problems.map((each) => each.message).join(' '));
    }
  };
  return (
    <Notice role="status">
      {refusal}
      {told === ''
        ? stale.some((each) => each.rulesVersion !== RULES_VERSION)
          ? say.rulesChangedTheseSet(writeDate(stale[0]!.madeAt))
          : say.theseSetUpsWere(writeDate(stale[0]!.madeAt))
        : told}{' '}
      <WordButton
        disabled={isWorking}
        onClick={() => {
          write(renew);
        }}
      >
        {isWorking ? say.updating : say.updateThem}
      </WordButton>
    </Notice>
  );
}
