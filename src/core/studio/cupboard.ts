import { problem, type Problem } from '../problems/problem.ts';
import type { PropItem } from '../props/propList.ts';

/** What a thing lacks to be used as what it is. */
function findItemProblems(item: PropItem, path: string): Problem[] {
  const { kind, name, heightsCm, lengthCm, railCm } = item;
  const needsLength = (kind === 'strap' || kind === 'mat') && lengthCm === null;
  const seatCm = Math.max(...heightsCm);
  return [
    ...(needsLength ? [problem('prop-needs-length', `${path}.lengthCm`, { name })] : []),
    ...(railCm !== undefined && railCm <= seatCm
      ? [problem('rail-below-seat', `${path}.railCm`, { name, railCm, seatCm })]
      : []),
  ];
}

/**
 * Checks a cupboard: ids of their own, straps and mats with a length, rails above their seats.
 *
 * @param cupboard of the right shape
 * @param path where it stands
 * @returns every problem by path
 */
export function findCupboardProblems(cupboard: readonly PropItem[], path: string): Problem[] {
  const seen = new Set<string>();
  return cupboard.flatMap((item, i) => {
    const at = `${path}[${String(i)}]`;
    const isTwice = seen.has(item.id);
    seen.add(item.id);
    return [
      ...(isTwice ? [problem('duplicate-id', `${at}.id`, { text: item.id })] : []),
      ...findItemProblems(item, at),
    ];
  });
}
