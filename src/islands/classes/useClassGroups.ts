import { useEffect, useState } from 'react';
import { findGrid, type InstructionAsked, type OwnPlace } from '../../core/classes/ownPlaces.ts';
import type { ClassGroups } from '../../core/classes/planSettings.ts';
import {
  findOwnNumbersOn,
  findOwnPlacesOn,
  groupClassInWorker,
  workOff,
} from '../../workers/classClient.ts';
import type { ClassMember } from './useClassMembers.ts';

/** The groups of a class, as far as they are worked out. */
export interface GroupsState {
  /** With one number, two, three and four; null = not yet. */
  readonly groups: readonly ClassGroups[] | null;
  readonly done: number;
  readonly all: number;
  readonly isWorking: boolean;
  readonly stop: () => void;
  readonly start: () => void;
}

/** What was worked out while this page is open, by what was asked. */
const kept = new Map<string, readonly ClassGroups[]>();
const MOST_KEPT = 40;

interface Progress {
  readonly key: string;
  readonly done: number;
  readonly isStopped: boolean;
}

/**
 * Groups a class by one setting: everybody’s own numbers first, then what every value between them
 * costs each, then one to four groups. It takes seconds, can be stopped, and is kept.
 *
 * @param isWanted false = it waits, because the set-ups come first
 */
export function useClassGroups(
  members: readonly ClassMember[],
  asked: InstructionAsked,
  isWanted: boolean,
): GroupsState {
  const key = JSON.stringify([members.map(({ id, record }) => [id, record.revision]), asked]);
  const [progress, setProgress] = useState<Progress>({ key, done: 0, isStopped: false });
  const now = progress.key === key ? progress : { key, done: 0, isStopped: false };
  const { isStopped } = now;
  const groups = kept.get(key) ?? null;
  const isIdle = groups !== null || isStopped || !isWanted;
  useEffect(() => {
    if (isIdle) return;
    const controller = new AbortController();
    const { signal } = controller;
    const isLeft = (): boolean => signal.aborted;
    const work = async (): Promise<void> => {
      const numbers: number[] = [];
      await workOff(
        members,
        async (lane, { record }) => {
          const own = await findOwnNumbersOn(lane, record, asked);
          if (own.ok) numbers.push(...own.value);
        },
        signal,
      );
      if (isLeft()) return;
      const places: OwnPlace[] = [];
      let done = 0;
      if (numbers.length > 0) {
        const grid = findGrid(numbers);
        await workOff(
          members,
          async (lane, { record }) => {
            const own = await findOwnPlacesOn(lane, record, asked, grid);
            if (own.ok) places.push(...own.value);
            done += 1;
            if (!isLeft()) setProgress({ key, done, isStopped: false });
          },
          signal,
        );
      }
      if (isLeft()) return;
      const sorted = places.toSorted((a, b) => (a.person < b.person ? -1 : 1));
      const answer = await groupClassInWorker(sorted);
      if (!answer.ok) return;
      kept.set(key, answer.value);
      if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value ?? '');
      if (!isLeft()) setProgress({ key, done: members.length, isStopped: false });
    };
    void work();
    return () => {
      controller.abort();
    };
    // The key holds everything that is asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, isIdle]);
  return {
    groups,
    done: now.done,
    all: members.length,
    isWorking: !isIdle,
    stop: () => {
      setProgress({ ...now, isStopped: true });
    },
    start: () => {
      setProgress({ ...now, isStopped: false });
    },
  };
}
