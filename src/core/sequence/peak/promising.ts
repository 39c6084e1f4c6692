import { findUsesBehind } from '../../conditions/motionMeasures.ts';
import { SIDES, type Side } from '../../measures/protocol.ts';
import { POSES } from '../../poses/catalogue/index.ts';
import { hasSides } from '../../poses/hasSides.ts';
import { FITTING_LEVEL, listLadder, USUAL_LEVEL } from '../../poses/level.ts';
import type { PoseDefinition } from '../../poses/poseDefinition.ts';
import { describeLevel } from '../../setup/levelReport.ts';
import type { Plan } from '../../setup/planSetUp.ts';
import type { LevelNeed } from '../../setup/setUp.ts';
import { findAskedBySetUp } from '../asked.ts';
import type { StepSolver } from '../stepSolver.ts';
import { findLimiting } from './preparing.ts';

/** A pose that is worth being a peak for this person now. */
export interface PromisingPeak {
  readonly pose: string;
  /** The level after the one that fits; null = there is none. */
  readonly next: string | null;
  /** What the next level still needs; none = it fits, and wants practice. */
  readonly needs: readonly LevelNeed[];
  /** When what limits it was last measured; null = that is not a measure. */
  readonly measuredAt: string | null;
}

const MOST_NAMED = 3;

interface Ahead extends PromisingPeak {
  /** Degrees and cm to the next level together. */
  readonly gap: number;
}

/** When the measures behind a set-up’s limiting joint were taken, the latest. */
function findMeasuredAt({ setUp: { limiting, provenance } }: Plan): string | null {
  if (limiting === null) return null;
  const dates = findUsesBehind(limiting, provenance.measures).flatMap(({ takenAt }) =>
    takenAt === null ? [] : [takenAt],
  );
  return dates.toSorted().at(-1) ?? null;
}

/** What one side still needs for the level after the one that fits; null = it does not hold the pose. */
function lookAhead(solver: StepSolver, pose: PoseDefinition, side: Side): Ahead | null {
  const where = { pose: pose.id, side: hasSides(pose.id) ? side : null };
  const planned = solver.planOf(where, FITTING_LEVEL);
  if (planned.kind !== 'planned' || planned.setUp.status !== 'solved') return null;
  if (findLimiting(findAskedBySetUp(planned.setUp)).length === 0) return null;
  const ladder = listLadder(pose);
  const at = ladder.findIndex(({ id }) => id === (planned.setUp.level ?? USUAL_LEVEL));
  const next = at < 0 ? undefined : ladder[at + 1];
  const measuredAt = findMeasuredAt(planned);
  const none = { pose: pose.id, next: null, needs: [], measuredAt, gap: Infinity };
  if (next === undefined) return none;
  const further = solver.planOf(where, next.id);
  if (further.kind !== 'planned') return none;
  const { needs } = describeLevel(next, further.request, further);
  const gap = needs.reduce((sum, { amount }) => sum + amount, 0);
  return { ...none, next: next.name, needs, gap };
}

/** Infinity less Infinity is no number. */
const compare = (a: number, b: number): number => (a === b ? 0 : a - b);

/**
 * The poses most worth being a peak for this person: those nearest to their next level, of them the
 * ones whose limit was measured last.
 *
 * @param solver of the person
 * @param isPaused whether a pose is paused: it is left out
 * @returns three at most
 */
export function findPromisingPeaks(
  solver: StepSolver,
  isPaused: (pose: string) => boolean,
): readonly PromisingPeak[] {
  const ahead = POSES.flatMap((pose): Ahead[] => {
    if (isPaused(pose.id)) return [];
    const sides = (hasSides(pose.id) ? SIDES : (['right'] as const)).map((side) =>
      lookAhead(solver, pose, side),
    );
    if (sides.some((each) => each === null)) return [];
    // The side that has further to go decides.
    return [sides.reduce((far, each) => (each!.gap > far!.gap ? each : far))!];
  });
  return ahead
    .toSorted(
      (a, b) => compare(a.gap, b.gap) || (b.measuredAt ?? '').localeCompare(a.measuredAt ?? ''),
    )
    .slice(0, MOST_NAMED)
    .map(({ gap: _gap, ...peak }) => peak);
}
