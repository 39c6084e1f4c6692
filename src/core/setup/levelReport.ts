import type { LevelDefinition, PoseDefinition } from '../poses/poseDefinition.ts';
import { toStoredLevel } from '../poses/level.ts';
import { getQuantity } from '../conditions/quantities.ts';
import { toScaled } from '../conditions/violation.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { Must } from '../conditions/poseTask.ts';
import { reportLimitsOf } from './describeSetUp.ts';
import { calcJointReports, nameJoint } from './jointReport.ts';
import type { Request } from '../planning/request.ts';
import type { LevelNeed, LevelReport, SetUp } from './setUp.ts';
import type { SolvedRequest } from '../planning/solveRequest.ts';

/** A need smaller than this is not reported, degrees or centimetres. */
const TOLD_FROM = 0.5;

/** By how much a condition is broken, degrees or centimetres. */
function findShortfall(
  { quantity, atLeast, atMost }: Must,
  skeleton: Skeleton,
): Pick<LevelNeed, 'amount' | 'isLess'> {
  const value = getQuantity(quantity).calc(skeleton);
  const below = atLeast === null ? 0 : atLeast - value;
  const above = atMost === null ? 0 : value - atMost;
  const amount = toScaled(quantity, Math.max(0, below, above));
  return above > 0 ? { amount, isLess: true } : { amount };
}

/** A level that can be held, but not as deep as it has to be. */
function findDepthNeed(
  { depth }: PoseDefinition,
  { answer: { kept, skeleton } }: SolvedRequest['answer']['found'],
): readonly LevelNeed[] {
  if (!kept || depth === null) return [];
  const value = toScaled(depth.quantity, getQuantity(depth.quantity).calc(skeleton));
  const unit = getQuantity(depth.quantity).kind === 'length' ? ('cm' as const) : ('deg' as const);
  return [{ words: depth.words, amount: depth.easiest + LEAST_DEPTH - value, unit }];
}

/** A recommended depth lies at least this far beyond the easiest, degrees or cm. */
const LEAST_DEPTH = 1;

/**
 * What would make a level ready: by how much its nearest posture breaks each limit and
 * condition. With that much more of each of them it could be held so.
 */
function findNeeds({ pose, side }: Request, solved: SolvedRequest): readonly LevelNeed[] {
  const { found, built } = solved.answer;
  const { skeleton } = found.answer;
  const joints = calcJointReports(skeleton, reportLimitsOf(solved), side).map((each) => ({
    words: nameJoint(each, { pose: pose.id, side }),
    amount: -(each.toSpareDeg ?? 0),
    unit: 'deg' as const,
  }));
  const musts = built.task.musts.map((must) => ({
    words: getQuantity(must.quantity).words,
    ...findShortfall(must, skeleton),
    unit: getQuantity(must.quantity).kind === 'length' ? ('cm' as const) : ('deg' as const),
  }));
  return [...joints, ...musts, ...findDepthNeed(pose, found)]
    .filter(({ amount }) => amount >= TOLD_FROM)
    .sort((a, b) => b.amount - a.amount)
    .map((each) => ({ ...each, amount: Math.ceil(each.amount) }));
}

/**
 * Says of one level whether this person holds it, or what it still needs.
 *
 * @param level of the pose
 * @param request what was asked
 * @param solved the pose at that level
 * @returns ready, or degrees and centimetres that are missing
 */
export function describeLevel(
  level: LevelDefinition,
  request: Request,
  solved: SolvedRequest & { readonly setUp: SetUp },
): LevelReport {
  const { status } = solved.setUp;
  const common = { id: toStoredLevel(level.id), name: level.name, forWhom: level.forWhom ?? null };
  if (status === 'failed') {
    return { ...common, status: 'needs-more', needs: findNeeds(request, solved) };
  }
  if (level.reachedBy !== undefined) return { ...common, status: level.reachedBy, needs: [] };
  return { ...common, status: status === 'degraded' ? 'nearly' : 'ready', needs: [] };
}
