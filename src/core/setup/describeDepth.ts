import type { DepthDefinition } from '../poses/poseDefinition.ts';
import type { DepthReport } from './setUp.ts';
import { getQuantity } from '../conditions/quantities.ts';
import type { DepthAnswer } from '../planning/findDepth.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { type WorkingStep, term, closeSum } from '../planning/working.ts';
import { toTenths } from '../units/rounding.ts';

/**
 * The report of a depth that was not found.
 *
 * @returns unit and textbook value, without a depth
 */
export const describeNoDepth = ({ quantity, textbook }: DepthDefinition): DepthReport => ({
  id: quantity,
  value: null,
  unit: getQuantity(quantity).kind === 'length' ? 'cm' : 'deg',
  recommended: null,
  deepest: null,
  textbook,
  plusMinus: null,
  working: [],
});

const REASON_WORDS = {
  step: 'less the first-time step by experience',
  'held-back': 'less what leaves free what is held back at every joint',
  deepest: 'settled just inside its edge',
} as const;

/**
 * How deep, of how deep it may be, with the sum; null when the pose has no depth.
 *
 * @param depth of the pose's data
 * @param found by the search
 * @param rules house rules, all filled in
 * @returns degrees or centimetres
 */
export function describeDepth(
  depth: DepthDefinition | null,
  found: DepthAnswer | null,
  rules: HouseRules,
): DepthReport | null {
  if (depth === null) return null;
  const none = describeNoDepth(depth);
  if (found === null) return none;
  // Rounded down: the deepest safe depth that is shown has to be one that can be held.
  const deepest = found.deepest === null ? null : Math.floor(found.deepest * 10) / 10;
  if (found.kind === 'cannot' || found.depth === null || found.deepest === null) {
    return { ...none, deepest };
  }
  const { reason } = found;
  const part = (text: string, value: number): WorkingStep =>
    term(text, value.toFixed(2), value, none.unit);
  return {
    ...none,
    deepest,
    value: toTenths(found.depth),
    recommended: rules.depth === 'recommended' ? toTenths(found.depth) : null,
    working: closeSum(
      depth.words,
      [
        part('deepest safe: the largest depth that keeps every limit', found.deepest),
        part(REASON_WORDS[reason.kind], found.depth - found.deepest),
      ],
      none.unit,
    ),
  };
}
