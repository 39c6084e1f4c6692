import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { POSE_ERRORS, type PoseError } from './catalogue.ts';

const isFlat = ({ backContact }: PoseDefinition): boolean => backContact === 'flat';
const hasStance = ({ stance }: PoseDefinition): boolean =>
  !('kind' in stance) || stance.kind !== 'none';
const onFeet = (pose: PoseDefinition): boolean => isFlat(pose) || pose.backContact === 'ball';
const hasTwist = ({ depth }: PoseDefinition): boolean =>
  depth?.quantity === 'chest-turned-to-front-leg';
/** Whether the pelvis is let open in the pose, so that somebody may pull it square. */
const letsPelvisOpen = ({ wishes }: PoseDefinition): boolean =>
  wishes.some(
    ({ quantity, sigma }) =>
      quantity === 'pelvis-turn' && typeof sigma !== 'number' && sigma.rule.startsWith('pelvis'),
  );
/** A hand beside its own standing foot could slip back to the ankle; the other one could not. */
const bearsHand = ({ arms }: PoseDefinition): boolean => arms.front.bears === true;

/**
 * What a pose must have for an error to be seen in it; an error that is not named here can be seen in
 * any pose. Common practice, no source.
 */
const ONLY_IN: Readonly<Record<string, (pose: PoseDefinition) => boolean>> = {
  'knee-drifts': ({ straightLegs }) => !straightLegs.includes('front'),
  'pelvis-hauled': (pose) => hasStance(pose) && letsPelvisOpen(pose),
  'pelvis-drops': (pose) => hasStance(pose) && pose.family !== 'neutral',
  'stance-long': (pose) => hasStance(pose) && isFlat(pose),
  'legs-upright': (pose) => hasStance(pose) && onFeet(pose),
  'back-hip-rises': (pose) => pose.family === 'closed' && pose.straightLegs.includes('front'),
  'hip-creeps': (pose) => hasStance(pose) && pose.family !== 'neutral',
  'heel-floats': isFlat,
  'feet-turned-in': (pose) => pose.family === 'neutral',
  'heels-in-line': (pose) => hasStance(pose) && onFeet(pose) && pose.family === 'closed',
  'knees-locked': ({ straightLegs }) => straightLegs.length > 0,
  'knee-bends': ({ straightLegs }) => straightLegs.length > 0,
  'twist-from-pelvis': hasTwist,
  'hand-beside-ankle': (pose) => bearsHand(pose) && pose.backContact === 'lifted',
  'on-kneecap': ({ backContact }) => backContact.includes('knee') || backContact.includes('wall'),
  'heel-hidden': ({ backContact }) => backContact.includes('wall'),
  'arches-fall': (pose) => hasStance(pose) && isFlat(pose),
};

/**
 * The errors that can be seen in a pose.
 *
 * @param pose as it is held, with its level; null = lying or seated
 * @returns in the order of the catalogue
 */
export const findPossibleErrors = (pose: PoseDefinition | null): readonly PoseError[] =>
  POSE_ERRORS.filter(({ id }) => {
    const isPossible = ONLY_IN[id];
    return isPossible === undefined || (pose !== null && isPossible(pose));
  });
