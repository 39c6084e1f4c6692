import { useEffect, useState } from 'react';
import type { Judgement } from '../../core/sessions/judgeSession.ts';
import type { Session } from '../../core/sessions/session.ts';
import { judgeMemberOn, workOff } from '../../workers/classClient.ts';
import type { ClassMember } from './useClassMembers.ts';

/** Somebody’s session in a meeting, with what the ladder says; null = on its way. */
export interface MemberJudgement {
  readonly member: ClassMember;
  readonly session: Session;
  readonly judged: readonly Judgement[] | null;
}

const kept = new Map<string, readonly Judgement[]>();

/** What comes of a meeting for everyone, worked out on every core. */
export function useJudgements(
  members: readonly ClassMember[],
  meeting: string | null,
): readonly MemberJudgement[] {
  const [, setShown] = useState(0);
  const jobs = members.flatMap((member) => {
    const session = member.sessions.find((each) => each.class?.meeting === meeting);
    if (meeting === null || session === undefined) return [];
    // Decisions are entries too, and change no verdict.
    const notes = session.entries.filter(({ kind }) => kind !== 'decide').length;
    const key = JSON.stringify([session.id, notes, member.sessions.length]);
    return [{ key, member, session }];
  });
  const wanted = jobs.map(({ key }) => key).join();
  useEffect(() => {
    const controller = new AbortController();
    void workOff(
      jobs.filter(({ key }) => !kept.has(key)),
      async (lane, { key, member, session }) => {
        const answer = await judgeMemberOn(lane, member.record, member.sessions, session);
        kept.set(key, answer.ok ? answer.value : []);
        if (!controller.signal.aborted) setShown((count) => count + 1);
      },
      controller.signal,
    );
    return () => {
      controller.abort();
    };
    // The keys hold everything that the jobs say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted]);
  return jobs.map(({ key, member, session }) => ({
    member,
    session,
    judged: kept.get(key) ?? null,
  }));
}
