import type { LoggedHold } from './readSession.ts';

/** Numbers that differ by less are the same as they are set, cm or degrees. */
const SAME = 0.05;
const FEET = ['stance-length', 'back-foot-angle'] as const;

function standOnSame({ plan: a }: LoggedHold, { plan: b }: LoggedHold): boolean {
  const valueOf = (plan: typeof a, id: (typeof FEET)[number]): number | null =>
    plan.settings.find((each) => each.id === id)?.value ?? null;
  return (
    a.side === b.side &&
    FEET.every((id) => {
      const [one, other] = [valueOf(a, id), valueOf(b, id)];
      return one !== null && other !== null && Math.abs(one - other) < SAME;
    })
  );
}

/**
 * The holds of a led flow that come after one on the same feet, and are not logged yet.
 *
 * @param holds of a session, in their order
 * @param hold one of them
 * @returns none where the feet move before the next hold
 */
export function findNextOnSameFeet(
  holds: readonly LoggedHold[],
  hold: LoggedHold,
): readonly LoggedHold[] {
  const after = holds.slice(holds.findIndex(({ plan }) => plan.id === hold.plan.id) + 1);
  const end = after.findIndex((each) => !standOnSame(hold, each));
  const run = end < 0 ? after : after.slice(0, end);
  return run.filter(({ at }) => at === null);
}
