import { POSES } from '../poses/catalogue/index.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { Result } from '../problems/problem.ts';
import type { LimitedBody } from './limitedBody.ts';
import type { PlanningContext } from './planningContext.ts';
import type { Request } from './request.ts';
import { toWarmStarts, holdFeet, type PoseAnswer, type PoseRequest } from './poseRequest.ts';
import { solvePose } from './solvePose.ts';

/** A request as it was solved. */
export interface SolvedRequest {
  readonly context: PlanningContext;
  readonly limited: LimitedBody;
  readonly poseRequest: PoseRequest;
  readonly answer: PoseAnswer;
  /** The pose whose feet it stands on; null = it has feet of its own. */
  readonly legs: SolvedRequest | null;
  /** The pose whose feet were wanted, when that one cannot be held; `answer` is its own then. */
  readonly failedLegs: PoseDefinition | null;
}

/** Poses whose feet others stand on: solved once for all of those. */
const LEG_GIVERS: ReadonlySet<string> = new Set(
  POSES.flatMap(({ restsOn, levels }) =>
    [restsOn, ...levels.map(({ changes }) => changes.restsOn)].flatMap((each) => each?.pose ?? []),
  ),
);

/**
 * Solves a request for the person of a context: first the pose whose feet it stands on,
 * as that is recommended, then the pose itself.
 *
 * @param request what was asked
 * @param context the person, see {@link PlanningContext}
 * @param like the same request as it was solved with other measures: from there it is solved
 *   sooner
 * @returns problems when the lengths do not make a body
 */
export function solveRequest(
  request: Request,
  context: PlanningContext,
  like: SolvedRequest | null = null,
): Result<SolvedRequest> {
  const { pose, side, rules, legs, isHeldBefore, record } = request;
  const limited = context.limitBody(request);
  if (!limited.ok) return limited;
  const standing = legs === null ? null : solveRequest(legs, context, like?.legs ?? null);
  if (standing?.ok === false) return standing;
  const below = standing?.value ?? null;
  if (below !== null && (below.failedLegs !== null || below.answer.found.kind === 'cannot')) {
    return {
      ok: true,
      value: { ...below, failedLegs: below.failedLegs ?? below.poseRequest.pose },
    };
  }
  const poseRequest: PoseRequest = {
    pose,
    limited: limited.value,
    side,
    rules,
    experience: record.person.experience,
    isHeldBefore,
    feet: below === null ? null : holdFeet(below.answer),
  };
  const solve = (): PoseAnswer =>
    solvePose(poseRequest, like === null ? null : toWarmStarts(like.answer));
  const answer =
    LEG_GIVERS.has(pose.id) && like === null ? context.solveOnce(request, solve) : solve();
  return {
    ok: true,
    value: {
      context,
      limited: limited.value,
      poseRequest,
      answer,
      legs: below,
      failedLegs: null,
    },
  };
}
