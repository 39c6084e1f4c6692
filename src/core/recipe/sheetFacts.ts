import { capital } from '../units/capital.ts';
import { nameJoint } from '../setup/jointReport.ts';
import { findSettingKind } from '../setup/settingKinds.ts';
import type { Stack } from '../props/stacks.ts';
import type { HandProp, Setting, SetUp, StanceByRule } from '../setup/setUp.ts';
import { sayCount } from '../units/sayCount.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { saySupportProp } from './sayProps.ts';

/** Below this, cm, a stance is what its rule makes it. */
const AS_THE_RULE_CM = 0.3;
/** A joint with more margin than this, degrees, does not stop a stance. Our choice. */
const STOPS_WITHIN_DEG = 1;

const settable = (cm: number, unit: LengthUnit): string =>
  writeLength(metresFromCm(unit === 'cm' ? Math.round(cm * 2) / 2 : cm), unit, 1);

const FACTORS: Readonly<Record<string, string>> = {
  '0.5': '½',
  '0.75': '¾',
  '1.5': '1½',
};

/**
 * A rule in words: “one leg length”, “1½ leg lengths”.
 *
 * @param rule factor and length
 * @returns words without a capital
 */
export function nameStanceRule({ of, factor }: Pick<StanceByRule, 'of' | 'factor'>): string {
  if (of === 'wrist-span')
    return factor === 1 ? 'ankles under the wrists' : `${String(factor)} wrist spans`;
  if (factor === 1) return 'one leg length';
  const number = FACTORS[String(factor)] ?? String(factor);
  return factor < 1 ? `${number} of a leg length` : `${number} leg lengths`;
}

/** “One leg length gives 81 cm; the limiting joint makes it 110.5 cm.” */
function sayRule(rule: StanceByRule, stance: Setting, setUp: SetUp, unit: LengthUnit): string {
  const name = capital(nameStanceRule(rule));
  if (Math.abs(stance.value - rule.cm) < AS_THE_RULE_CM) return `${name}, as the rule has it.`;
  const { toSpareDeg } = setUp.limiting ?? { toSpareDeg: null };
  const stops = toSpareDeg !== null && toSpareDeg <= STOPS_WITHIN_DEG;
  const maker = stops ? 'the limiting joint' : 'the depth';
  return `${name} gives ${settable(rule.cm, unit)}; ${maker} makes it ${settable(stance.value, unit)}.`;
}

/**
 * How the stance of a set-up compares with the rule for its pose.
 *
 * @param setUp the set-up
 * @param unit centimetres or inches
 * @returns null without a stance, or where no rule is known for it
 */
export function sayStanceRule(setUp: SetUp, unit: LengthUnit): string | null {
  const stance = setUp.settings.find(({ id }) => id === 'stance-length');
  if (stance === undefined || setUp.stanceRule === null) return null;
  return sayRule(setUp.stanceRule, stance, setUp, unit);
}

/** “2 blocks, 22.5 cm”. */
function nameStackShort({ props, heightCm }: Stack, unit: LengthUnit): string {
  const names = [...new Set(props.map(({ name }) => name.toLowerCase()))].map((name) => {
    const count = props.filter((each) => each.name.toLowerCase() === name).length;
    return count === 1 ? name : sayCount(count, name);
  });
  return `${names.join(' and ')}, ${writeLength(metresFromCm(heightCm), unit, 1)}`;
}

/** Higher than the hand needs by this much, cm, is worth saying at a glance. Our choice. */
const MUCH_HIGHER_CM = 1;

function sayHand(hand: HandProp, unit: LengthUnit): string {
  const { stack, aboveCm, shortCm } = hand;
  if (stack === null) return `Hand: the cupboard is ${settable(shortCm, unit)} too low.`;
  if (stack.props.length === 0) return 'Hand on the floor.';
  const much = aboveCm > MUCH_HIGHER_CM ? `, ${settable(aboveCm, unit)} higher than needed` : '';
  return `Hand on ${nameStackShort(stack, unit)}${much}.`;
}

/**
 * What a set-up stands or leans on: “Hand on block, 23 cm.”
 *
 * @param setUp the set-up
 * @param unit centimetres or inches
 * @returns sentences; none when no prop is needed
 */
export function sayPropsShort(setUp: SetUp, unit: LengthUnit): readonly string[] {
  const { handProp: hand } = setUp;
  const supports = setUp.supportProps.map((each) => `${saySupportProp(each, unit)}.`);
  const wall = setUp.settings.some(({ id }) => findSettingKind(id)?.needsWall === true);
  return [
    ...(hand === null ? [] : [sayHand(hand, unit)]),
    ...supports,
    ...(wall ? ['A wall.'] : []),
  ];
}

/**
 * The limiting joint, and how much of its range is held back.
 *
 * @param setUp the set-up
 * @returns null when no joint limits it
 */
export function findLimitingFact(
  setUp: SetUp,
): { readonly joint: string; readonly heldBackDeg: number } | null {
  const { limiting } = setUp;
  const report = setUp.joints.find(
    (each) =>
      each.joint === limiting?.joint &&
      each.side === limiting.side &&
      each.motion === limiting.motion,
  );
  if (report === undefined) return null;
  return { joint: nameJoint(report, setUp), heldBackDeg: Math.round(report.heldBackDeg ?? 0) };
}
