import { dateOf } from './clock.ts';
import { isAnswer, nameAnswer } from './cellPaths.ts';
import { toChangeLine, type Cell, type PersonCells } from './cells.ts';

/**
 * Which of two cells of one path stays: the later; of two of one time the one with more in
 * it, so that the order of merging never matters, and what is not removed.
 */
function isLater(a: Cell, b: Cell): boolean {
  if (a.stamp !== b.stamp) return a.stamp > b.stamp;
  if (a.json === null || b.json === null) return b.json === null;
  return a.json.length === b.json.length ? a.json > b.json : a.json.length > b.json.length;
}

const toWords = (json: string): string => {
  const value = JSON.parse(json) as unknown;
  if (value === null) return '';
  return typeof value === 'string' ? value : JSON.stringify(value);
};

/** An earlier answer, to stay in the history. */
const toHistory = (path: string, { json, stamp }: Cell): string =>
  toChangeLine({
    at: dateOf(stamp),
    field: nameAnswer(path),
    from: '',
    to: json === null ? '' : toWords(json),
    isEarlier: true,
  });

/**
 * Two states of one person made one. Every record of both is in it; of a field or record
 * that both have, the later stays, and an answer that loses stays in the history. What was
 * removed stays removed, unless it was put back later. Commutative, associative and
 * idempotent, so that it does not matter who merges what first.
 *
 * @param a one state
 * @param b the other
 * @returns the same whichever comes first
 */
export function mergeCells(a: PersonCells, b: PersonCells): PersonCells {
  const cells = new Map(a.cells);
  const log = new Set([...a.log, ...b.log]);
  for (const [path, other] of b.cells) {
    const own = cells.get(path);
    if (own === undefined) {
      cells.set(path, other);
      continue;
    }
    if (own.json === other.json && own.stamp === other.stamp) continue;
    const [later, earlier] = isLater(other, own) ? [other, own] : [own, other];
    cells.set(path, later);
    if (isAnswer(path)) log.add(toHistory(path, earlier));
  }
  return { cells, log };
}
