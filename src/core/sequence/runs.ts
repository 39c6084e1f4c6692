import { findBlueprint, findSharedStance, type SharedStance, type Stood } from './sharedStance.ts';

/** Poses in a row that stand on one stance. */
export interface Run {
  /** Indexes into the steps, the first and the last of them with all between. */
  readonly from: number;
  readonly to: number;
  readonly stance: SharedStance;
}

/** Steps in a row that may stand on one stance. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/**
 * Where poses of one blueprint follow each other.
 *
 * @param stood each step; null = a link, or a pose without a set-up
 * @returns stretches of two different held poses and more
 */
export function findStretches(stood: readonly (Stood | null)[]): readonly Stretch[] {
  const keys = stood.map((each) => (each === null ? null : findBlueprint(each.plan)));
  const stretches: Stretch[] = [];
  let from = 0;
  for (let i = 1; i <= keys.length; i += 1) {
    if (i < keys.length && keys[i] === keys[from]) continue;
    const held = stood.slice(from, i).flatMap((each) => (each?.isHeld === true ? [each] : []));
    const different = new Set(held.map(({ plan }) => plan.request.pose.id));
    if (keys[from] !== null && different.size > 1) stretches.push({ from, to: i - 1 });
    from = i;
  }
  return stretches;
}

/**
 * Every pose and level of a stretch once.
 *
 * @param stood in order
 * @returns one that is held anywhere counts as held
 */
export function listDistinct(stood: readonly Stood[]): readonly Stood[] {
  const found = new Map<string, Stood>();
  for (const each of stood) {
    const { pose, level } = each.plan.request;
    const key = `${pose.id} ${level ?? ''}`;
    const before = found.get(key);
    found.set(key, { plan: each.plan, isHeld: each.isHeld || before?.isHeld === true });
  }
  return [...found.values()];
}

/**
 * The stance of each stretch. Where no feet serve all of its poses, the stretch is cut before the
 * last one that they do not serve.
 *
 * @param stood each step
 * @param share finds the stance of different poses, see {@link findSharedStance}
 * @returns runs, and stretches of which something was cut off
 */
export function findRuns(
  stood: readonly (Stood | null)[],
  share: (poses: readonly Stood[]) => SharedStance | null = findSharedStance,
): { readonly runs: readonly Run[]; readonly cut: readonly Stretch[] } {
  const runs: Run[] = [];
  const cut: Stretch[] = [];
  const open = [...findStretches(stood)];
  for (const stretch of open) {
    let { to } = stretch;
    let stance: SharedStance | null = null;
    while (stance === null && to > stretch.from) {
      const part = stood.slice(stretch.from, to + 1) as readonly Stood[];
      const isRun = findStretches(part).length > 0;
      stance = isRun ? share(listDistinct(part)) : null;
      if (stance === null) to -= 1;
      else runs.push({ from: stretch.from, to, stance });
    }
    if (to === stretch.to) continue;
    cut.push(stretch);
    const next = stance === null ? stretch.from + 1 : to + 1;
    const rest = findStretches(stood.slice(next, stretch.to + 1));
    open.push(...rest.map((each) => ({ from: each.from + next, to: each.to + next })));
  }
  return { runs: runs.sort((a, b) => a.from - b.from), cut };
}
