import { startTransition, useEffect, useState } from 'react';
import type { Side } from '../../core/measures/protocol.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { FITTING_LEVEL } from '../../core/poses/level.ts';
import type { Result } from '../../core/problems/problem.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { planInWorker } from '../../workers/setUpClient.ts';
import { findRequestKey } from './usePlanned.ts';

export type Shelf = ReadonlyMap<string, Result<SetUp>>;

const EMPTY: Shelf = new Map();

/**
 * Every pose planned for one person and side, each as soon as it is solved. What is looked
 * at now is asked for before.
 */
export function useShelf(
  poseIds: readonly string[],
  record: RevisedRecord,
  side: Side,
  rules: Partial<HouseRules>,
): Shelf {
  const key = findRequestKey({ record, poseId: '', side, rules, level: FITTING_LEVEL });
  const [kept, setKept] = useState<{ readonly key: string; readonly shelf: Shelf }>({
    key,
    shelf: EMPTY,
  });
  useEffect(() => {
    let isWanted = true;
    const land = (poseId: string, result: Result<SetUp>): void => {
      if (!isWanted) return;
      // The drawing comes first.
      startTransition(() => {
        setKept((now) => ({
          key,
          shelf: new Map([...(now.key === key ? now.shelf : EMPTY), [poseId, result]]),
        }));
      });
    };
    const timer = setTimeout(() => {
      for (const poseId of poseIds) {
        const own = findRequestKey({ record, poseId, side, rules, level: FITTING_LEVEL });
        void planInWorker(own, record, poseId, side, rules, FITTING_LEVEL).then((result) => {
          land(poseId, result);
        });
      }
    }, 0);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
    // The key holds everything the question says.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return kept.key === key ? kept.shelf : EMPTY;
}
