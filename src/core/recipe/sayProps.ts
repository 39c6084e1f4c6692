import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import type { HandProp, Substitute, SupportProp } from '../setup/setUp.ts';

const write = (cm: number, unit: LengthUnit): string => writeLength(metresFromCm(cm), unit, 1);

/**
 * What the hand rests on, and what that changes: “block at 23 cm, 3.5 cm above the hand’s own height.
 * The elbow bends 21°.”
 *
 * @param prop of a set-up
 * @param unit centimetres or inches
 * @returns words, each sentence with its full stop
 */
export function sayHandProp(
  { stack, shortCm, aboveCm, elbowBendDeg, trunkLiftDeg, substitute }: HandProp,
  unit: LengthUnit,
): string {
  if (stack === null) {
    const instead = substitute === undefined ? '' : saySubstitute(substitute, unit);
    return `nothing in the cupboard is high enough: ${write(shortCm, unit)} too low${instead}.`;
  }
  if (stack.props.length === 0) return 'the floor.';
  const pieces = stack.props.map(
    (each) => `${each.name.toLowerCase()} at ${write(each.heightCm, unit)}`,
  );
  const above = aboveCm >= 0.5 ? `, ${write(aboveCm, unit)} above the hand’s own height` : '';
  const bends = elbowBendDeg >= 1 ? ` The elbow bends ${elbowBendDeg.toFixed(0)}°.` : '';
  const lifts = trunkLiftDeg >= 1 ? ` The trunk lifts ${trunkLiftDeg.toFixed(0)}°.` : '';
  return `${pieces.join(' on ')}${above}.${bends}${lifts}`;
}

/** “; nearest: Chair (45 cm), 6 cm short; or a low stool”. */
function saySubstitute({ nearest, shortCm, improvised }: Substitute, unit: LengthUnit): string {
  const near = nearest === null ? '' : `; nearest: ${nearest}, ${write(shortCm, unit)} short`;
  return improvised === '' ? near : `${near}; or ${improvised}`;
}

/**
 * What serves a support or a strap.
 *
 * @param prop of a set-up
 * @param unit centimetres or inches
 * @returns words without a full stop
 */
export function saySupportProp(
  { name, neededCm, beyondCm, substitute }: SupportProp,
  unit: LengthUnit,
): string {
  if (name === null) {
    const none = `nothing in the cupboard makes ${write(neededCm, unit)}`;
    return substitute === undefined ? none : `${none}${saySubstitute(substitute, unit)}`;
  }
  return beyondCm >= 0.5 ? `${name}, ${write(beyondCm, unit)} more than needed` : name;
}
