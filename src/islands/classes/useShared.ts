import { useMemo } from 'react';
import type { PlannedClass } from '../../core/classes/classSheet.ts';
import type { KeptShares } from '../../core/classes/cupboard/keepShares.ts';
import { toNeedy } from '../../core/classes/cupboard/needs.ts';
import type { SharedCupboard } from '../../core/classes/cupboard/shareCupboard.ts';
import { findHelps } from '../../core/classes/cupboard/wallPlaces.ts';
import type { YogaClass } from '../../core/classes/yogaClass.ts';
import type { Result } from '../../core/problems/problem.ts';
import { findMat } from '../../core/studio/studio.ts';
import { shareCupboardInWorker } from '../../workers/classClient.ts';
import { useAnswer } from '../shared/useAnswer.ts';
import type { ClassState } from './useClassMembers.ts';
import type { ClassPlan } from './useClassPlan.ts';

/** One cupboard, shared over a class. */
export interface Shared {
  /** null = on its way, or the class is not planned yet. */
  readonly answer: Result<SharedCupboard> | null;
  /** The class as it is worked out so far. */
  readonly sheet: PlannedClass;
}

const NOTHING_KEPT: KeptShares = {};

/** Shares the cupboard of a class once everybody is planned; what is out already stays where it is. */
export function useShared(
  { poses, instructions, run }: YogaClass,
  { members, cupboard, studio }: ClassState,
  { planned, isWorking }: ClassPlan,
): Shared {
  const present = run?.present ?? null;
  const here = useMemo(
    () => planned.filter(({ member }) => present === null || present.includes(member)),
    [planned, present],
  );
  const needy = useMemo(() => here.map(toNeedy), [here]);
  const kept = run?.kept ?? NOTHING_KEPT;
  const key = useMemo(
    () => (isWorking || needy.length === 0 ? null : JSON.stringify([needy, cupboard, kept])),
    [isWorking, needy, cupboard, kept],
  );
  const answer = useAnswer(key, () => shareCupboardInWorker(needy, poses, cupboard, kept));
  const sheet = useMemo((): PlannedClass => {
    const shares = answer?.ok === true ? answer.value.shares : [];
    const mat = findMat(studio.cupboard);
    const helps =
      answer?.ok === true
        ? poses.flatMap((pose) => findHelps(here, shares, pose, studio.wallM, mat))
        : [];
    return {
      poses,
      planned,
      instructions,
      shares,
      helps,
      cupboard,
      members: members.map(({ id, name, isGuest }) => ({ id, name, isGuest })),
    };
  }, [answer, poses, planned, here, instructions, cupboard, members, studio]);
  return useMemo(() => ({ answer, sheet }), [answer, sheet]);
}
