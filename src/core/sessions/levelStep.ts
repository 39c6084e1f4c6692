import type { Side } from '../measures/protocol.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { listLadder, toStoredLevel, USUAL_LEVEL } from '../poses/level.ts';
import type { LevelDefinition } from '../poses/poseDefinition.ts';
import { listProps } from '../recipe/fetch.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { PlanningContext } from '../planning/planningContext.ts';
import { planPose, type PlanResult } from '../setup/planSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';
import { NOT_MOVED } from '../whatIf/planMoved.ts';
import { findStepChanges, type Step } from './step.ts';

/** The next level of a pose's ladder, as a step. */
export interface LevelStep extends Step {
  /** null = the usual one. */
  readonly level: string | null;
  /** What closes the gap to it: a measure that moved, one more prop, or practice. */
  readonly closes: string;
}

/** The level that a step of the ladder starts from. */
interface LevelHeld {
  readonly pose: string;
  readonly side: Side;
  readonly level: string | null;
  readonly rules: Partial<HouseRules>;
  /** When it was held. */
  readonly at: string;
}

const DIRECTIONS = { easier: -1, further: 1 } as const;

/** The level next to one on the ladder; null at its end, and for a variant, which is on no ladder. */
function findNext(
  { pose: id, level }: LevelHeld,
  direction: keyof typeof DIRECTIONS,
): LevelDefinition | null {
  const pose = findPose(id);
  const ladder = pose === null ? [] : listLadder(pose);
  const at = ladder.findIndex((each) => each.id === (level ?? USUAL_LEVEL));
  return at < 0 ? null : (ladder[at + DIRECTIONS[direction]] ?? null);
}

const isSolved = (planned: PlanResult): planned is PlanResult & { kind: 'planned' } =>
  planned.kind === 'planned' && planned.setUp.status === 'solved';

/** Whether a level could not be held with what was measured until a date. */
function wasOutOfReach(
  { record }: PlanningContext,
  { pose, side, rules, at }: LevelHeld,
  level: string,
): boolean {
  const readings = record.readings.filter(({ takenAt }) => takenAt <= at);
  if (readings.length === record.readings.length || readings.length === 0) return false;
  return !isSolved(
    planPose(new PlanningContext({ ...record, readings }), pose, side, rules, level),
  );
}

function findCloses(
  context: PlanningContext,
  held: LevelHeld,
  level: LevelDefinition,
  before: SetUp,
  after: SetUp,
): string {
  if (wasOutOfReach(context, held, level.id)) return 'a measure moved since it was last held';
  const had = listProps(before);
  const more = listProps(after).filter((each) => !had.includes(each));
  return more.length > 0 ? `it takes ${more.join(', ')}` : 'practice at this level';
}

/**
 * The next level of the ladder, easier or harder, where this person holds it within all limits and
 * cautions. Never two levels at once: where the next one does not fit, there is no step.
 *
 * @param context the person, see {@link PlanningContext}
 * @param held what was held, and when
 * @param before the set-up that was held
 * @param direction which way
 * @returns null at the end of the ladder, for a variant, and where the next level does not fit
 */
export function takeLevelStep(
  context: PlanningContext,
  held: LevelHeld,
  before: SetUp,
  direction: 'easier' | 'further',
): LevelStep | null {
  const level = findNext(held, direction);
  if (level === null) return null;
  const { pose, side, rules } = held;
  const planned = planPose(context, pose, side, rules, level.id);
  if (!isSolved(planned)) return null;
  return {
    level: toStoredLevel(level.id),
    words: level.name,
    closes: findCloses(context, held, level, before, planned.setUp),
    held: NOT_MOVED,
    before,
    setUp: planned.setUp,
    changes: findStepChanges(before, planned.setUp),
  };
}
