import { findPose } from '../poses/catalogue/index.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { sayStep } from '../whatIf/stepSetting.ts';
import { findPoseError } from './catalogue.ts';
import type { ExplainedError } from './explainError.ts';

const write = (amount: number, of: 'deg' | 'cm', unit: LengthUnit): string =>
  of === 'deg' ? `${amount.toFixed(0)}°` : writeLength(metresFromCm(amount), unit, 1);

/**
 * Where an error most likely comes from.
 *
 * @param explained the error on this body
 * @returns a sentence or two
 */
export function sayCause({ error, cause }: Pick<ExplainedError, 'error' | 'cause'>): string {
  const habit = findPoseError(error)?.cause ?? '';
  if (cause === null) return habit;
  const { joint, askedDeg, hasDeg } = cause;
  const margin = Math.round(hasDeg - askedDeg);
  const left = margin > 0 ? `${String(margin)}° margin` : 'no margin';
  return `${habit} Here the pose asks for ${askedDeg.toFixed(0)}° of ${joint} and ${hasDeg.toFixed(0)}° are available: ${left}.`;
}

/** What is put back where the set-up has it; the set-up itself stays. */
const BACK: Readonly<Record<string, (amount: string) => string>> = {
  'pelvis-hauled': (amount) =>
    `Let the back hip come forward, until the pelvis has turned back by ${amount}.`,
  'legs-upright': (amount) => `Back foot out by ${amount}, to its mark.`,
  'hip-creeps': () => 'Draw the front hip back: press the back foot.',
  'feet-turned-in': (amount) => `Toes out by ${amount}, to their marks.`,
  'heels-in-line': (amount) => `Feet ${amount} wider across the mat, to their marks.`,
  'hand-beside-ankle': (amount) => `Hand ${amount} farther ahead, to its mark.`,
};

/**
 * The first thing to change, as a number of this person.
 *
 * @param explained the error on this body
 * @param unit centimetres or inches
 * @returns a sentence or two
 */
export function sayFix(explained: ExplainedError, unit: LengthUnit): string {
  const { error, withError, cause, fix } = explained;
  if (fix !== null) return sayStep(fix, fix.setUp.pose, unit);
  const known = findPoseError(error);
  const back = BACK[error];
  if (back !== undefined) {
    return withError === null
      ? (known?.first ?? '')
      : back(write(withError.size, withError.unit, unit));
  }
  if (known?.pointsToRange === true && cause !== null) {
    return 'A small change does not help here. Take an easier version.';
  }
  return known?.first ?? '';
}

/**
 * What a change brings, for the joint that the error comes from.
 *
 * @param explained the error on this body
 * @returns empty when no change is proposed
 */
export function sayRelief({ cause, fix }: Pick<ExplainedError, 'cause' | 'fix'>): string {
  if (cause === null || fix === null) return '';
  const { before, after } = fix.cause;
  return after === null
    ? `Then ${cause.joint} is no longer near its limit.`
    : `That asks for ${after.toFixed(0)}° of ${cause.joint} instead of ${before.toFixed(0)}°.`;
}

/**
 * What a change of stance makes of the other poses on the same feet.
 *
 * @param explained the error on this body
 * @param unit centimetres or inches
 * @returns empty when no other hold changes with it
 */
export function sayChangedAlong(
  { changedAlong }: Pick<ExplainedError, 'changedAlong'>,
  unit: LengthUnit,
): string {
  if (changedAlong.length === 0) return '';
  const parts = changedAlong.map(({ pose, lost, unit: of }) => {
    const name = findPose(pose)?.name ?? pose;
    return Math.round(lost) === 0
      ? `${name} loses nothing`
      : `${name} loses ${write(lost, of, unit)} of depth`;
  });
  const list = new Intl.ListFormat('en', { type: 'conjunction' }).format(parts);
  return `The poses on the same feet change with it: ${list}.`;
}
