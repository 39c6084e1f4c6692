import type { AnyPose } from '../poses/anyPose.ts';
import type { Height } from '../poses/linking/linkingPose.ts';
import { PLACES, restsOnProp } from '../poses/poseDefinition.ts';
import { calcFeetMove, type FeetPlaces } from './feetPlaces.ts';

/** What counts against a way. */
export type CostKind =
  'passed' | 'flips' | 'feet-moved' | 'feet-turned' | 'height' | 'props' | 'one-leg';

/** One part of a cost: how much of it, and what it counts. */
export interface CostPart {
  readonly kind: CostKind;
  readonly amount: number;
  readonly cost: number;
}

/**
 * What one of each counts. A pose that is passed through takes a breath of about five seconds,
 * and the rest is weighed against it. Our choice.
 */
export const COST_OF_ONE: Readonly<Record<CostKind, number>> = {
  /** A pose that is entered. */
  passed: 5,
  flips: 8,
  /** A centimetre. */
  'feet-moved': 0.05,
  /** A degree. */
  'feet-turned': 0.02,
  /** From standing to the hands, from there to kneeling, seated, lying: one each. */
  height: 4,
  /** A prop that is fetched. */
  props: 6,
  /** A transition that begins or ends on one leg. */
  'one-leg': 6,
};

const HEIGHTS: readonly Height[] = ['lying', 'seated', 'kneeling', 'hands-and-feet', 'standing'];

/** Whether a pose needs something under a hand, or to sit or lie on. */
const needsProp = (any: AnyPose): boolean =>
  any.kind === 'standing'
    ? PLACES.some((place) => restsOnProp(any.pose.arms[place]))
    : any.kind === 'lying';

const part = (kind: CostKind, amount: number): CostPart => ({
  kind,
  amount,
  cost: amount * COST_OF_ONE[kind],
});

/**
 * What a transition costs, part by part.
 *
 * @param from the pose that is left
 * @param to the pose that is entered
 * @param isFlip whether the hips change between open and closed
 * @param was the feet in the one
 * @param is the feet in the other
 * @returns without the parts that count nothing
 */
export function calcParts(
  from: AnyPose,
  to: AnyPose,
  isFlip: boolean,
  was: FeetPlaces,
  is: FeetPlaces,
): readonly CostPart[] {
  const moved = calcFeetMove(was, is);
  const levels = Math.abs(HEIGHTS.indexOf(from.height) - HEIGHTS.indexOf(to.height));
  return [
    part('passed', 1),
    part('flips', isFlip ? 1 : 0),
    part('feet-moved', moved.cm),
    part('feet-turned', moved.turnDeg),
    part('height', levels),
    part('props', needsProp(to) && !needsProp(from) ? 1 : 0),
    part('one-leg', from.onOneLeg || to.onOneLeg ? 1 : 0),
  ].filter(({ amount }) => amount > 0);
}

/**
 * Parts added up.
 *
 * @param parts of one or more transitions
 * @returns the cost
 */
export const sumCosts = (parts: readonly CostPart[]): number =>
  parts.reduce((sum, { cost }) => sum + cost, 0);

/**
 * What transitions count, each kind added up.
 *
 * @param passages of a way
 * @returns the largest first
 */
export function sumParts(
  passages: readonly { readonly parts: readonly CostPart[] }[],
): readonly CostPart[] {
  const sums = new Map<CostKind, number>();
  for (const { kind, amount } of passages.flatMap(({ parts }) => parts)) {
    sums.set(kind, (sums.get(kind) ?? 0) + amount);
  }
  return [...sums].map(([kind, amount]) => part(kind, amount)).sort((a, b) => b.cost - a.cost);
}
