import { startTransition, useEffect, useMemo, useReducer, useState } from 'react';
import type { GroupValues, MemberPose } from '../../core/classes/planMember.ts';
import type { Instruction } from '../../core/classes/yogaClass.ts';
import { planMemberOn, workOff } from '../../workers/classClient.ts';
import type { ClassMember } from './useClassMembers.ts';

/** Answers are shown together at most this often, ms: a class of 25 brings hundreds. */
const SHOWN_EVERY_MS = 200;
/** Set-ups of a class of sixty in ten poses, and of what was changed lately. */
const MOST_KEPT = 2000;

const kept = new Map<string, MemberPose>();

function keep(key: string, planned: MemberPose): void {
  kept.set(key, planned);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value ?? '');
}

/** The group numbers that one member has in a pose. */
function findGroupValues(
  instructions: readonly Instruction[],
  pose: string,
  member: string,
): GroupValues | null {
  const instruction = instructions.find((each) => each.pose === pose);
  const own = instruction?.places.filter((each) => each.member === member) ?? [];
  if (instruction === undefined || own.length === 0) return null;
  const values = Object.fromEntries(own.map(({ side, value }) => [side, value]));
  return { setting: instruction.setting, values };
}

interface Job {
  readonly key: string;
  readonly member: ClassMember;
  readonly pose: string;
  readonly group: GroupValues | null;
}

/** The plan of a class as far as it is worked out. */
export interface ClassPlan {
  /** Of each member and pose that is worked out. */
  readonly planned: readonly MemberPose[];
  readonly done: number;
  readonly all: number;
  /** Set-ups that the worker died over, twice. */
  readonly failed: number;
  readonly isWorking: boolean;
  readonly stop: () => void;
  readonly goOn: () => void;
}

/**
 * Plans a class pose by pose on every core, the pose on screen first. What is worked out once is kept
 * while the page is open; a change of one person plans that person again and nobody else.
 */
export function useClassPlan(
  members: readonly ClassMember[],
  poses: readonly string[],
  instructions: readonly Instruction[],
  shown: string | null,
): ClassPlan {
  const [version, show] = useReducer((count: number) => count + 1, 0);
  const [isStopped, setIsStopped] = useState(false);
  const [tries, setTries] = useState(0);
  const [failed, setFailed] = useState<ReadonlySet<string>>(new Set());
  const jobs = useMemo(
    () =>
      poses.flatMap((pose) =>
        members.map((member): Job => {
          const group = findGroupValues(instructions, pose, member.id);
          const noted = member.past.map(({ entries }) => entries.length);
          const key = JSON.stringify([member.id, member.record.revision, noted, pose, group]);
          return { key, member, pose, group };
        }),
      ),
    [members, poses, instructions],
  );
  const wanted = JSON.stringify(jobs.map(({ key }) => key));
  useEffect(() => {
    if (isStopped) return;
    const waiting = jobs.filter(({ key }) => !kept.has(key) && !failed.has(key));
    if (waiting.length === 0) return;
    const first = waiting.filter(({ pose }) => pose === shown);
    const ordered = [...first, ...waiting.filter(({ pose }) => pose !== shown)];
    const controller = new AbortController();
    let timer: ReturnType<typeof setTimeout> | null = null;
    const showSoon = (): void => {
      timer ??= setTimeout(() => {
        timer = null;
        // Typing goes before what has just been worked out.
        startTransition(show);
      }, SHOWN_EVERY_MS);
    };
    void workOff(
      ordered,
      async (lane, { key, member, pose, group }) => {
        // The one before may still have been at it.
        if (kept.has(key)) return;
        const answer = await planMemberOn(lane, member.record, member.past, pose, group);
        if (answer.ok) keep(key, answer.value);
        else setFailed((now) => new Set([...now, key]));
        showSoon();
      },
      controller.signal,
    );
    return () => {
      controller.abort();
      if (timer !== null) clearTimeout(timer);
      show();
    };
    // The keys hold everything that the jobs say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted, shown, isStopped, tries]);
  const planned = useMemo(
    () => jobs.flatMap(({ key }) => kept.get(key) ?? []),
    // What is kept changes with the version.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [jobs, version],
  );
  const lost = jobs.filter(({ key }) => failed.has(key)).length;
  return useMemo(
    (): ClassPlan => ({
      planned,
      done: planned.length,
      all: jobs.length,
      failed: lost,
      isWorking: !isStopped && planned.length + lost < jobs.length,
      stop: () => {
        setIsStopped(true);
      },
      goOn: () => {
        setFailed(new Set());
        setTries((count) => count + 1);
        setIsStopped(false);
      },
    }),
    [planned, jobs, lost, isStopped],
  );
}
