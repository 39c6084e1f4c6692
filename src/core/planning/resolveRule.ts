import type { ByRule } from '../poses/poseDefinition.ts';
import type { HouseRules, RuleId } from '../rules/houseRules.ts';

interface Chosen<T> {
  readonly rule: RuleId;
  readonly options: Readonly<Record<string, T>>;
}

const isChosen = <T>(value: ByRule<T>): value is Chosen<T> =>
  typeof value === 'object' && value !== null && 'rule' in value && 'options' in value;

/**
 * The value a house rule chooses, or the plain value.
 *
 * @param value of the pose's data
 * @param rules house rules, all filled in
 * @returns the value that holds
 */
export function resolveRule<T>(value: ByRule<T>, rules: HouseRules): T {
  if (!isChosen(value)) return value;
  const option = rules[value.rule] ?? '';
  const found = value.options[option];
  if (found === undefined) throw new Error(`Rule ${value.rule} has no value for ${option}`);
  return found;
}
