import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { Parts, Posture } from '../skeleton/posture.ts';
import { radiansFromDegrees } from '../units/brands.ts';
import { buildTask, type BuiltTask } from './buildTask.ts';
import type { DepthWarmStarts } from './depthSearch.ts';
import { findDepth, findSetUpWithoutDepth, type DepthAnswer } from './findDepth.ts';
import { findKeptShare, keepFirstDepth } from './firstDepth.ts';
import { findHeldStance } from './longestStance.ts';
import type { PoseAnswer, PoseWarmStarts, PoseRequest } from './poseRequest.ts';

/**
 * Solves a pose: first a stance that is found once, then one depth after the other, each
 * held while the next one grows. A first depth gives way when nothing is left for the last.
 *
 * @param request what is to be solved
 * @param warmStarts where a similar request was solved; null = nowhere
 * @returns posture, depths and task
 */
export function solvePose(
  request: PoseRequest,
  warmStarts: PoseWarmStarts | null = null,
): PoseAnswer {
  const { feet } = request;
  if (feet !== null) return solveOn(request, feet.held, feet.posture, warmStarts);
  const { held, longest } = findHeldStance(request, warmStarts?.longest ?? null);
  return { ...solveOn(request, held, null, warmStarts), longest };
}

/**
 * The task of a request with some parts held, started near a posture.
 *
 * @param held parts that stay as given
 * @param near a posture to start from; null = the pose's own starts
 * @returns the task and its limits
 */
export const build = (
  { pose, limited: { body, ranges }, side, rules }: PoseRequest,
  held: Partial<Parts>,
  near: Posture | null,
): BuiltTask => buildTask(pose, body, ranges, side, rules, held, near);

/** A knee that may straighten on another pose's feet does so only this far. */
function keepKneeBend(built: BuiltTask, { pose, feet }: PoseRequest): BuiltTask {
  const by = pose.restsOn?.kneeMayStraightenDeg;
  if (feet === null || by === undefined) return built;
  const atLeast = feet.frontKneeBend - radiansFromDegrees(by);
  const must = { quantity: 'front-knee-bend', atLeast, atMost: null } as const;
  return { ...built, task: { ...built.task, musts: [...built.task.musts, must] } };
}

/**
 * Solves on feet that are held, or on a pose's own.
 *
 * @param request what is to be solved
 * @param held parts that stay as given
 * @param near a posture to start from; null = the pose's own starts
 * @param warmStarts where a similar request was solved; null = nowhere
 * @returns posture, depths and task
 */
export function solveOn(
  request: PoseRequest,
  held: Partial<Parts>,
  near: Posture | null,
  warmStarts: PoseWarmStarts | null,
): PoseAnswer {
  const { pose } = request;
  const built = keepKneeBend(build(request, held, near), request);
  const common = { longest: null, keptShare: 1 };
  if (pose.firstDepth === null) {
    const found = findStage(request, built, pose.depth, warmStarts?.last ?? null);
    return { ...common, built, found, first: null };
  }
  const first = findStage(request, built, pose.firstDepth, warmStarts?.first ?? null);
  if (first.kind === 'cannot') return { ...common, built, found: first, first: null };
  const heldAt = (share: number): BuiltTask =>
    keepFirstDepth(built, pose.firstDepth!, share, first);
  const keptShare = warmStarts?.keptShare ?? findKeptShare(pose, heldAt);
  const onFirst = heldAt(keptShare);
  const found = findStage(request, onFirst, pose.depth, warmStarts?.last ?? null);
  return { ...common, built: onFirst, found, first, keptShare };
}

function findStage(
  request: PoseRequest,
  built: BuiltTask,
  depth: DepthDefinition | null,
  warmStarts: DepthWarmStarts | null,
): DepthAnswer {
  return depth === null
    ? findSetUpWithoutDepth(built)
    : findDepth(built, depth, request, warmStarts);
}
