import { findHeadUpCaution } from '../cautions/adapt.ts';
import type { Person } from '../person/person.ts';
import { ANY_POSES, findAnyPose, type AnyPose } from '../poses/anyPose.ts';
import { findWarmUp, WARM_UPS } from '../poses/warmUps/index.ts';
import { problem, type Problem } from '../problems/problem.ts';
import type { FlowStep } from './flow.ts';
import type { Place } from './ways.ts';

/** The pose that a step is done in. */
export interface StepPlace {
  readonly any: AnyPose;
  readonly place: Place;
}

/**
 * The pose of a step: a warm-up is done in the linking pose that it names.
 *
 * @param step of a flow
 * @param path where it stands, for what is wrong with it
 * @returns `unknown-pose` or `unknown-movement` for one that is gone
 */
export function findStepPlace(step: FlowStep, path: string): StepPlace | Problem {
  if (step.kind === 'warm-up') {
    const warmUp = findWarmUp(step.movement);
    if (warmUp === null) {
      const known = WARM_UPS.map(({ id }) => id);
      return problem('unknown-movement', `${path}.movement`, { text: step.movement, known });
    }
    return { any: findAnyPose(warmUp.at)!, place: { pose: warmUp.at, side: null } };
  }
  const any = findAnyPose(step.pose);
  const isOfKind = any !== null && (any.kind === 'linking') === (step.kind === 'link');
  if (!isOfKind) {
    const known = ANY_POSES.filter(
      ({ kind }) => (kind === 'linking') === (step.kind === 'link'),
    ).map(({ id }) => id);
    return problem('unknown-pose', `${path}.pose`, { text: step.pose, known });
  }
  const side = step.kind === 'pose' && any.hasSides ? step.side : null;
  return { any, place: { pose: any.id, side } };
}

/**
 * Why a linking pose is left out for a person.
 *
 * @param any a pose of any kind
 * @param person with their cautions
 * @returns null when it is not
 */
export function findLinkCaution(any: AnyPose, person: Person): Problem | null {
  if (any.kind !== 'linking' || !any.pose.headBelowHeart) return null;
  const caution = findHeadUpCaution(person);
  return caution === null
    ? null
    : problem('head-below-heart', 'pose', { caution: caution.name, name: any.name });
}
