import type { Side } from '../measures/protocol.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { FITTING_LEVEL, listLadder, toStoredLevel, USUAL_LEVEL } from '../poses/level.ts';
import type { LevelDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import { problem, type Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { nameJoint } from '../setup/jointReport.ts';
import { describeLevel } from '../setup/levelReport.ts';
import { planPose, type Plan, type PlanResult } from '../setup/planSetUp.ts';
import type { JointReport, LevelNeed, SetUp } from '../setup/setUp.ts';
import { NOT_MOVED, planMoved } from './planMoved.ts';

/** What another version asks of a joint of the front leg's hip, at the depth of the usual one. */
export interface HipChange {
  readonly words: string;
  /** + = asks more. */
  readonly deg: number;
}

/** One level or variant of a pose for this person. */
export interface Version {
  /** As it is asked for. */
  readonly level: string;
  readonly name: string;
  readonly isVariant: boolean;
  /** For whom it is, where few people hold it; null = for anybody. */
  readonly forWhom: string | null;
  /** `excluded`: a caution leaves it out; why stands in Health and on no sheet. */
  readonly status: 'fits' | 'nearly' | 'needs-more' | 'not-measured' | 'excluded';
  /** null = nothing was solved. */
  readonly setUp: SetUp | null;
  /** The limiting joint, and its margin inside the deepest safe set-up. */
  readonly margin: { readonly joint: string; readonly deg: number } | null;
  readonly needs: readonly LevelNeed[];
  /** Where the arms or the trunk fall short: a face of a block higher under the hand would do as well. */
  readonly orHandHigher: boolean;
  /** Only of variants that change the feet. */
  readonly hip: readonly HipChange[];
}

/** The version that is proposed, and why. */
export interface ProposedVersion {
  readonly level: string;
  /** `record`: the sessions lead there. `fits`: the hardest that the measures allow. `nearest`: none fits. */
  readonly because: 'record' | 'fits' | 'nearest';
}

export interface Versions {
  /** The ladder from easier to harder, then the variants. */
  readonly versions: readonly Version[];
  readonly proposed: ProposedVersion | null;
}

/** A change smaller than this is not said, degrees. */
const SAID_FROM_DEG = 1;
/** Changes of a level that make the feet stand otherwise. */
const FEET = ['frontBallOnBlock', 'frontBallOnCm', 'frontFootYaw', 'feetOnDiagonal'] as const;
const HIP_MOTIONS: readonly JointReport['motion'][] = ['flexion', 'abduction', 'external-rotation'];

const askedOf = (setUp: SetUp, side: Side, motion: JointReport['motion']): number | null =>
  setUp.joints.find((each) => each.joint === 'hip' && each.side === side && each.motion === motion)
    ?.askedDeg ?? null;

/** What feet that stand otherwise ask of the front hip, both ways, at one and the same depth. */
function findHipChanges(
  pose: PoseDefinition,
  level: LevelDefinition,
  planned: Plan,
  usual: SetUp | null,
): readonly HipChange[] {
  const { changes } = level;
  const changesFeet = FEET.some((each) => changes[each] !== undefined);
  const depth = usual?.depth?.value ?? null;
  if (!changesFeet || usual === null || depth === null) return [];
  const moved = planMoved(planned, { ...NOT_MOVED, depth });
  if (moved === null) return [];
  const { side } = planned.request;
  return HIP_MOTIONS.flatMap((motion): HipChange[] => {
    const [was, now] = [askedOf(usual, side, motion), askedOf(moved.setUp, side, motion)];
    if (was === null || now === null || Math.abs(now - was) < SAID_FROM_DEG) return [];
    const words = nameJoint({ joint: 'hip', side, motion }, { pose: pose.id, side });
    return [{ words, deg: Math.round(now - was) }];
  });
}

/** The limiting joint, and what it has left of the deepest safe set-up: what is held back counts as margin. */
function findMargin({ limiting, joints, pose, side }: SetUp): Version['margin'] {
  const report = joints.find(
    (each) =>
      each.joint === limiting?.joint &&
      each.side === limiting.side &&
      each.motion === limiting.motion,
  );
  if (report?.askedDeg == null || report.safeDeg === null) return null;
  return {
    joint: nameJoint(report, { pose, side }),
    deg: Math.round(report.safeDeg - report.askedDeg),
  };
}

const STATUS = { solved: 'fits', degraded: 'nearly', failed: 'needs-more' } as const;

function describeVersion(
  pose: PoseDefinition,
  level: LevelDefinition,
  planned: PlanResult,
  usual: SetUp | null,
): Version {
  const common = {
    level: level.id,
    name: level.name,
    isVariant: level.reachedBy === 'choice',
    forWhom: level.forWhom ?? null,
    setUp: null,
    margin: null,
    needs: [],
    orHandHigher: false,
    hip: [],
  } as const;
  if (planned.kind === 'problems') return { ...common, status: 'not-measured' };
  if (planned.kind === 'stopped') return { ...common, status: 'excluded' };
  const { setUp } = planned;
  const { needs } = describeLevel(level, planned.request, planned);
  const isFailed = setUp.status === 'failed';
  return {
    ...common,
    status: STATUS[setUp.status],
    setUp: isFailed ? null : setUp,
    margin: isFailed ? null : findMargin(setUp),
    needs,
    orHandHigher: isFailed && level.changes.handsOn?.elbows === 'straight',
    hip: isFailed ? [] : findHipChanges(pose, level, planned, usual),
  };
}

/** What is opened without being asked for, and why. */
function findProposed(
  context: PlanningContext,
  pose: PoseDefinition,
  side: Side,
  rules: Partial<HouseRules>,
): ProposedVersion | null {
  const planned = planPose(context, pose.id, side, rules, FITTING_LEVEL);
  if (planned.kind !== 'planned' || planned.setUp.status === 'failed') return null;
  const level = planned.setUp.level ?? USUAL_LEVEL;
  const held = context.record.held?.filter((each) => each.pose === pose.id) ?? [];
  const recorded = held.find((each) => each.side === side) ?? held[0];
  if (recorded !== undefined && recorded.level === toStoredLevel(level)) {
    return { level, because: 'record' };
  }
  return { level, because: planned.setUp.status === 'solved' ? 'fits' : 'nearest' };
}

/**
 * Every level and variant of a pose for this person: the margin it leaves, the props it takes and
 * what it still needs; and the one that is proposed.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId a standing pose
 * @param side left or right
 * @param rules house rules that differ from the defaults
 * @returns `unknown-pose` for one that is not in the catalogue of standing poses
 * @example
 * planVersions(context, 'tree', 'left', {}).value.versions.length // → 4
 */
export function planVersions(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules>,
): Result<Versions> {
  const pose = findPose(poseId);
  if (pose === null) {
    return { ok: false, problems: [problem('unknown-pose', 'pose', { text: poseId, known: [] })] };
  }
  const planOf = (level: string): PlanResult => planPose(context, poseId, side, rules, level);
  const usualPlan = planOf(USUAL_LEVEL);
  const isHeld = usualPlan.kind === 'planned' && usualPlan.setUp.status !== 'failed';
  const usual = isHeld ? usualPlan.setUp : null;
  const ladder = listLadder(pose);
  const variants = pose.levels.filter((each) => !ladder.includes(each));
  const versions = [...ladder, ...variants].map((level) =>
    describeVersion(pose, level, level.id === USUAL_LEVEL ? usualPlan : planOf(level.id), usual),
  );
  return { ok: true, value: { versions, proposed: findProposed(context, pose, side, rules) } };
}
