import type { PlanningContext } from '../planning/planningContext.ts';
import { findPossibleErrors } from '../poseErrors/possible.ts';
import { imposeError } from '../poseErrors/imposeError.ts';
import { rankErrors } from '../poseErrors/rank.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { withLevel } from '../poses/level.ts';
import type { Result } from '../problems/problem.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';
import { planByHand, type HeldRequest } from '../whatIf/planMoved.ts';
import { FELT_FROM } from './judgeFelt.ts';
import { FELT_PLACES, NOWHERE, type Felt } from './places.ts';
import { findStretches } from './stretches.ts';

/** What was felt in a set-up that was held. */
export interface FeltAsked extends HeldRequest {
  readonly felt: readonly Felt[];
  /** How often each error was noted of this person in this pose. */
  readonly seen: ReadonlyMap<string, number>;
}

/** An error that would explain what was felt. */
export interface ErrorBehind {
  /** Id of poseErrors/catalogue.ts. */
  readonly error: string;
  /** Logarithm of how much likelier what was felt is with the error than as planned. */
  readonly gain: number;
}

/** How sharply a stretch begins to be felt, as a share of its range; our choice. */
const BLUR = 0.06;
/** Some feel what is not stretched. Our choice. */
const LEAST_CHANCE = 0.03;
/** Not everything that is felt is named: people name what is felt most. Our choice. */
const MOST_CHANCE = 0.7;
/** Of a stretch that is rarely felt. Our choice. */
const RARE = 0.3;

/** How likely each place is felt in a set-up. */
function calcChances(setUp: Pick<SetUp, 'joints'>): ReadonlyMap<string, number> {
  return new Map(
    findStretches(setUp).map(({ place, share, rule }) => {
      const most = rule.isRarelyFelt ? RARE : MOST_CHANCE;
      const chance = most / (1 + Math.exp((FELT_FROM - share) / BLUR));
      return [place, Math.max(LEAST_CHANCE, chance)];
    }),
  );
}

/** Log-likelihood of what was felt; a muscle that works there tells nothing of a stretch. */
function calcLikelihood(setUp: Pick<SetUp, 'joints'>, felt: readonly Felt[]): number {
  const chances = calcChances(setUp);
  return FELT_PLACES.reduce((sum, { id }) => {
    const how = felt.find(({ place }) => place === id)?.how ?? null;
    if (how === 'work') return sum;
    const chance = chances.get(id) ?? LEAST_CHANCE;
    return sum + Math.log(how === 'stretch' ? chance : 1 - chance);
  }, 0);
}

/**
 * Error signs by how well each explains what was felt: the error is imposed on the planned
 * posture, and what that stretches is compared with the places. Where that tells nothing
 * apart, the order of {@link rankErrors} holds.
 *
 * @param plan a plan that is held
 * @param felt as it was noted
 * @param seen how often each error was noted before
 * @returns every error that shows in the places of joints, the likeliest first
 */
export function rankErrorsBehind(
  plan: Plan,
  felt: readonly Felt[],
  seen: FeltAsked['seen'],
): readonly ErrorBehind[] {
  const asPlanned = calcLikelihood(plan.setUp, felt);
  const pose = findPose(plan.setUp.pose);
  const possible = findPossibleErrors(pose && withLevel(pose, plan.setUp.level));
  return rankErrors(possible, plan.setUp, seen)
    .flatMap(({ id }): ErrorBehind[] => {
      const imposed = imposeError(plan, id);
      if (imposed === null) return [];
      return [{ error: id, gain: calcLikelihood(imposed.setUp, felt) - asPlanned }];
    })
    .toSorted((a, b) => b.gain - a.gain);
}

/** No more signs than this are looked for at once. */
const MOST_NAMED = 3;
/** An error is named when it makes what was felt at least twice as likely. Our choice. */
const LEAST_GAIN = Math.log(2);

/**
 * The likeliest error signs behind a stretch that was felt elsewhere, or nowhere.
 *
 * @param context the person, see {@link PlanningContext}
 * @param asked the set-up that was held, and what was felt
 * @returns up to three, the likeliest first; none = measure again; or why the pose is not planned
 */
export function findErrorsBehind(
  context: PlanningContext,
  { felt, seen, ...asked }: FeltAsked,
): Result<readonly ErrorBehind[]> {
  if (felt.every(({ place, how }) => how === 'work' && place !== NOWHERE)) {
    return { ok: true, value: [] };
  }
  const planned = planByHand(context, asked);
  if (!planned.ok) return planned;
  const ranked = rankErrorsBehind(planned.value.plan, felt, seen);
  const likely = ranked.filter(({ gain }) => gain >= LEAST_GAIN);
  return { ok: true, value: likely.slice(0, MOST_NAMED) };
}
