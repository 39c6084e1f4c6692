import type { MeasureUse } from '../body/body.ts';
import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import type { Result } from '../problems/problem.ts';
import { RULES_VERSION, type AsFound, type HouseRules } from '../rules/houseRules.ts';
import { isMoved, planMoved } from './planMoved.ts';
import { planPose, planSetUp } from '../setup/planSetUp.ts';
import type { Setting, SetUp } from '../setup/setUp.ts';

/** One number as it was kept. */
type KeptNumber = Pick<Setting, 'id' | 'value' | 'unit' | 'from' | 'to'>;

/**
 * A set-up that was settled on, with its date and the reason. It holds what was asked and
 * the numbers that came of it; the posture follows from both and the readings.
 */
export interface KeptSetUp {
  readonly id: string;
  readonly pose: string;
  readonly level: string | null;
  readonly side: Side;
  readonly keptAt: string;
  /** House rules that differed from the defaults. */
  readonly rules: Partial<HouseRules>;
  /** What was held by hand; null = as it was recommended. */
  readonly moved: AsFound | null;
  readonly reason: string;
  readonly settings: readonly KeptNumber[];
  /** Of the rules that its numbers were made by, see {@link RULES_VERSION}. */
  readonly rulesVersion: number;
}

/**
 * What is kept of a set-up. `id` and `keptAt` come from outside: the core has no clock.
 *
 * @param setUp the set-up
 * @param asked how it was asked for
 * @returns what is stored
 */
export const keepSetUp = (
  setUp: SetUp,
  asked: Pick<KeptSetUp, 'id' | 'keptAt' | 'rules' | 'moved' | 'reason'>,
): KeptSetUp => ({
  ...asked,
  rulesVersion: RULES_VERSION,
  pose: setUp.pose,
  level: setUp.level,
  side: setUp.side,
  settings: setUp.settings.map(({ id, value, unit, from, to }) => ({ id, value, unit, from, to })),
});

/** A number of a kept set-up that would be another today. */
interface KeptChange {
  readonly id: KeptNumber['id'];
  readonly unit: KeptNumber['unit'];
  readonly was: number;
  /** null = today's set-up does not have it. */
  readonly now: number | null;
}

/** A kept set-up beside what the same request gives with the readings of today. */
export interface KeptCheck {
  readonly id: string;
  /** Measures it rests on that were taken after it was kept. */
  readonly newer: readonly MeasureUse[];
  /** Numbers that differ by what a tape or an eye would see; empty = it still holds. */
  readonly changes: readonly KeptChange[];
  /** Its numbers were made by other rules than today's, which may be all that changed. */
  readonly hasOtherRules: boolean;
  /** Today's set-up; null = there is none any more. */
  readonly now: SetUp | null;
}

/** Half a centimetre or a degree: less is not set. Our choice. */
const SEEN = { cm: 0.5, deg: 1 } as const;

function planNow(context: PlanningContext, kept: KeptSetUp): SetUp | null {
  const { pose, side, rules, level, moved } = kept;
  if (moved === null || !isMoved(moved)) {
    const planned = planSetUp(context, pose, side, rules, level);
    return planned.ok ? planned.value : null;
  }
  const plan = planPose(context, pose, side, rules, level);
  return plan.kind === 'planned' ? (planMoved(plan, moved)?.setUp ?? null) : null;
}

function checkOne(context: PlanningContext, kept: KeptSetUp): KeptCheck {
  const now = planNow(context, kept);
  const changes = kept.settings.flatMap((was): KeptChange[] => {
    const found = now?.settings.find((each) => each.id === was.id);
    const differs = found === undefined || Math.abs(found.value - was.value) >= SEEN[was.unit];
    return differs
      ? [{ id: was.id, unit: was.unit, was: was.value, now: found?.value ?? null }]
      : [];
  });
  const newer = (now?.provenance.measures ?? []).filter(
    ({ takenAt }) => takenAt !== null && Date.parse(takenAt) > Date.parse(kept.keptAt),
  );
  const hasPosture = now !== null && now.status !== 'failed';
  const hasOtherRules = kept.rulesVersion !== RULES_VERSION;
  return { id: kept.id, newer, changes, hasOtherRules, now: hasPosture ? now : null };
}

/**
 * Solves every kept set-up again with what is known today, and reports what would differ.
 *
 * @param context the person, see {@link PlanningContext}
 * @param kept set-ups of this person
 * @returns one check for each
 */
export const checkKept = (
  context: PlanningContext,
  kept: readonly KeptSetUp[],
): Result<readonly KeptCheck[]> => ({
  ok: true,
  value: kept.map((each) => checkOne(context, each)),
});
