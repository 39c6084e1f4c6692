import { stature } from './stature.ts';
import { legLength } from './legLength.ts';
import { trochanterHeight } from './trochanterHeight.ts';
import { kneeHeight } from './kneeHeight.ts';
import { ankleHeight } from './ankleHeight.ts';
import { footLength } from './footLength.ts';
import { footWidth } from './footWidth.ts';
import { hipBoneWidth } from './hipBoneWidth.ts';
import { pelvisDepth } from './pelvisDepth.ts';
import { shoulderHeight } from './shoulderHeight.ts';
import { shoulderWidth } from './shoulderWidth.ts';
import { armReach } from './armReach.ts';
import { wristSpan } from './wristSpan.ts';
import { fistWidth } from './fistWidth.ts';
import { hipOpening } from './hipOpening.ts';
import { hipExternalRotation } from './hipExternalRotation.ts';
import { hipInternalRotation } from './hipInternalRotation.ts';
import { hipAbduction } from './hipAbduction.ts';
import { hipAdduction } from './hipAdduction.ts';
import { hipFlexion } from './hipFlexion.ts';
import { straightLegRaise } from './straightLegRaise.ts';
import { hipExtension } from './hipExtension.ts';
import { hipExtensionBentKnee } from './hipExtensionBentKnee.ts';
import { kneeFlexion } from './kneeFlexion.ts';
import { ankleDorsiflexionBent } from './ankleDorsiflexionBent.ts';
import { ankleDorsiflexionStraight } from './ankleDorsiflexionStraight.ts';
import { thighFootAngle } from './thighFootAngle.ts';
import { trunkRotation } from './trunkRotation.ts';
import { trunkSideBend } from './trunkSideBend.ts';
import { trunkExtension } from './trunkExtension.ts';
import { armReachFingertip } from './armReachFingertip.ts';
import { elbowReach } from './elbowReach.ts';
import { thighGirth } from './thighGirth.ts';
import { footGirth } from './footGirth.ts';
import { seatedRotationDrill } from './seatedRotationDrill.ts';
import { fingertipFloor } from './fingertipFloor.ts';
import { staffSeatHeight } from './staffSeatHeight.ts';
import { singleLegBalance } from './singleLegBalance.ts';
import type { Protocol } from '../protocol.ts';

const all = [
  stature,
  legLength,
  trochanterHeight,
  kneeHeight,
  ankleHeight,
  footLength,
  footWidth,
  hipBoneWidth,
  pelvisDepth,
  shoulderHeight,
  shoulderWidth,
  armReach,
  armReachFingertip,
  elbowReach,
  wristSpan,
  fistWidth,
  thighGirth,
  footGirth,
  hipOpening,
  hipExternalRotation,
  hipInternalRotation,
  hipAbduction,
  hipAdduction,
  hipFlexion,
  straightLegRaise,
  hipExtension,
  hipExtensionBentKnee,
  kneeFlexion,
  ankleDorsiflexionBent,
  ankleDorsiflexionStraight,
  thighFootAngle,
  trunkRotation,
  trunkSideBend,
  trunkExtension,
  seatedRotationDrill,
  fingertipFloor,
  staffSeatHeight,
  singleLegBalance,
] as const;

export type MeasureId = (typeof all)[number]['id'];

/** Every measure, lengths first, in the order they are listed to a teacher. */
export const PROTOCOLS: readonly Protocol[] = all;

const byId = new Map<string, Protocol>(PROTOCOLS.map((each) => [each.id, each]));

/**
 * Whether a text is the id of a measure.
 *
 * @param id any text
 * @returns true for those of the protocols
 * @example
 * isMeasureId('shoe-size') // → false
 */
export const isMeasureId = (id: string): id is MeasureId => byId.has(id);

/**
 * How a measure is taken.
 *
 * @param id which
 * @returns its protocol
 * @example
 * getProtocol('stature').unit // → "cm"
 */
export function getProtocol(id: MeasureId): Protocol {
  const found = byId.get(id);
  if (found === undefined) throw new Error(`No protocol ${id}`);
  return found;
}
