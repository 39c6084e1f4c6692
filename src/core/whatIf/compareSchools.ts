import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { withLevel } from '../poses/level.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { leavesHeelLineOpen } from '../planning/heelLine.ts';
import type { Result } from '../problems/problem.ts';
import { SCHOOLS } from '../rules/schools.ts';
import { BOOK_STANCE_CM, type HouseRules, type RuleId } from '../rules/houseRules.ts';
import { calcDetails } from './details.ts';
import { ignoreProgress } from './progress.ts';
import { getValue } from '../setup/setUp.ts';
import { planPose, planSetUp } from '../setup/planSetUp.ts';
import type { PushedReport, SetUp } from '../setup/setUp.ts';
import { cmFromMetres } from '../units/brands.ts';

/** One school's way with a pose, and what it would ask of this person. */
export interface SchoolSetUp {
  readonly rule: RuleId;
  readonly option: string;
  readonly setUp: SetUp;
  /** The school's feet at the depth that was planned by the teacher's own rules: what gives. */
  readonly atPlannedDepth: PushedReport | null;
}

/**
 * Every house rule that a pose leaves to the teacher, with its options.
 *
 * @param pose the pose's data
 * @returns options by rule
 */
export function findOpenRules(pose: PoseDefinition): ReadonlyMap<RuleId, ReadonlySet<string>> {
  const found = new Map<RuleId, Set<string>>();
  const visit = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    if ('rule' in value && 'options' in value) {
      const { rule, options } = value as { rule: RuleId; options: Record<string, unknown> };
      const known = found.get(rule) ?? new Set();
      for (const option of Object.keys(options)) known.add(option);
      found.set(rule, known);
    }
    Object.values(value).forEach(visit);
  };
  // Levels have rules of their own, which hold only when that level is asked for.
  visit({ ...pose, levels: [] });
  if (leavesHeelLineOpen(pose))
    found.set('openHeelLine', new Set(Object.keys(SCHOOLS.openHeelLine.options)));
  return found;
}

/**
 * What each school would set for one person and pose, side by side: every option of every
 * house rule that the pose leaves open, each solved by itself.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId one of the catalogue
 * @param side left or right
 * @param rules the teacher's own, which the schools depart from
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @param onProgress called before each school
 * @returns the schools, the teacher's own choices first; or the problems of {@link planSetUp}
 */
export function compareSchools(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
  onProgress = ignoreProgress,
): Result<readonly SchoolSetUp[]> {
  const own = planSetUp(context, poseId, side, rules, level);
  if (!own.ok) return own;
  const pose = findPose(poseId);
  if (pose === null) return { ok: true, value: [] };
  const schools: SchoolSetUp[] = [];
  const rulesLeftOpen = findOpenRules(withLevel(pose, own.value.level));
  const count = [...rulesLeftOpen.values()].reduce((sum, options) => sum + options.size, 0);
  for (const [rule, options] of rulesLeftOpen) {
    const chosen = own.value.provenance.rules[rule];
    const ordered = [...options].sort((a, b) => Number(b === chosen) - Number(a === chosen));
    for (const option of ordered) {
      onProgress(schools.length, count);
      const book =
        option === 'fixed' ? { fixedStanceCm: rules.fixedStanceCm ?? BOOK_STANCE_CM } : {};
      const changed = { ...rules, ...book, [rule]: option };
      const planned = planSetUp(context, poseId, side, changed, level);
      if (!planned.ok) return planned;
      const setUp = planned.value;
      const isOwn = option === chosen;
      schools.push({
        rule,
        option,
        setUp,
        atPlannedDepth: isOwn ? null : pushToSchool(context, own.value, setUp, rules, changed),
      });
    }
  }
  return { ok: true, value: schools };
}

/** The school's stance and back foot, forced to the depth of the teacher's own plan. */
function pushToSchool(
  context: PlanningContext,
  own: SetUp,
  school: SetUp,
  rules: Partial<HouseRules>,
  changed: Partial<HouseRules>,
): PushedReport | null {
  if (own.status === 'failed') return null;
  const asFound = {
    stanceCm: getValue(school, 'stance-length') ?? findRuledStance(context, own, changed),
    widthCm: getValue(school, 'stance-width'),
    backFootDeg: getValue(school, 'back-foot-angle'),
    depth: own.depth?.value ?? null,
    handCm: null,
  };
  const judged = planPose(context, own.pose, own.side, { ...rules, asFound }, own.level);
  return judged.kind === 'planned' ? calcDetails(judged).asFound : null;
}

/** The stance that a school sets by its rule, even where nobody could stand in it. */
function findRuledStance(
  context: PlanningContext,
  own: SetUp,
  changed: Partial<HouseRules>,
): number | null {
  const plan = planPose(context, own.pose, own.side, changed, own.level);
  const metres = plan.kind === 'planned' ? plan.answer.built.stance.metres : null;
  return metres === null ? null : cmFromMetres(metres);
}
