import { useLayoutEffect, useRef, useState } from 'react';
import type { AsFound } from '../../core/rules/houseRules.ts';
import { isMoved, type HeelLineMark, type MovedPlan } from '../../core/whatIf/planMoved.ts';
import { LatestOnly } from '../../workers/latestOnly.ts';
import {
  heelLinesInWorker,
  movePlanInWorker,
  openPlanInWorker,
} from '../../workers/setUpClient.ts';
import {
  beginHeld,
  beginHistory,
  letGo,
  moveOn,
  redoMove,
  undoMove,
  type HeldChange,
  type MoveHistory,
} from './moveHistory.ts';
import { findRequestKey, type PlanRequest } from './usePlanned.ts';

interface Landed {
  readonly key: string;
  readonly moved: MovedPlan;
}

export interface MovedSetUp {
  /** What was moved; every field null = nothing. */
  readonly now: AsFound;
  /** Where a foot may come to rest across the mat. */
  readonly heelLines: readonly HeelLineMark[];
  /** The latest answer; null = nothing is moved, or the first answer is on its way. */
  readonly answer: MovedPlan | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Holds something where it is dragged to. `isNew` = a new step to undo; while a drag goes on it is the same. */
  readonly move: (change: HeldChange, isNew: boolean) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly reset: () => void;
  /** Holds the same in another request, which is then turned to. */
  readonly beginAt: (key: string, held: AsFound) => void;
}

/** A set-up that is moved by hand: what is held, with its answers from a worker in their order. */
export function useMoved(
  request: PlanRequest,
  isStanding: boolean,
  backFootDeg: number,
): MovedSetUp {
  const key = findRequestKey(request);
  const [kept, setHistory] = useState<MoveHistory>(() => beginHistory(key));
  const [landed, setLanded] = useState<Landed | null>(null);
  const [lines, setLines] = useState<readonly HeelLineMark[]>([]);
  const history = kept.key === key ? kept : beginHistory(key);
  const asking = useRef<LatestOnly<AsFound, MovedPlan | null> | null>(null);

  // Before the moves are given to it, below.
  useLayoutEffect(() => {
    if (!isStanding) return;
    const { record, poseId, side, rules, level } = request;
    const opened = openPlanInWorker(key, record, poseId, side, rules, level);
    const latest = new LatestOnly<AsFound, MovedPlan | null>(
      async (moved) => {
        await opened;
        const result = await movePlanInWorker(key, moved);
        return result.ok ? result.value : null;
      },
      (moved) => {
        if (moved !== null) setLanded({ key, moved });
      },
    );
    asking.current = latest;
    let isCurrent = true;
    void opened
      .then(() => heelLinesInWorker(key, backFootDeg))
      .then((found) => {
        if (isCurrent && found.ok) setLines(found.value);
      });
    return () => {
      isCurrent = false;
      latest.close();
    };
    // The key holds everything the request says.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, isStanding, backFootDeg]);

  const { now } = history;
  // Asked before the frame is painted, so that the answer may be in the next one.
  useLayoutEffect(() => {
    if (isMoved(now)) asking.current?.put(now);
    // A newly opened plan has to be given the moves again.
  }, [now, key, backFootDeg]);

  const change = (step: (from: MoveHistory) => MoveHistory): void => {
    setHistory((from) => step(from.key === key ? from : beginHistory(key)));
  };
  return {
    now,
    heelLines: lines,
    answer: isMoved(now) && landed?.key === key ? landed.moved : null,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    move: (held, isNew) => {
      change((from) => moveOn(from, held, isNew));
    },
    undo: () => {
      change(undoMove);
    },
    redo: () => {
      change(redoMove);
    },
    beginAt: (otherKey, held) => {
      setHistory(beginHeld(otherKey, held));
    },
    reset: () => {
      // What is moved after this begins from the recommended one, not from the last answer.
      setLanded(null);
      change(letGo);
    },
  };
}
