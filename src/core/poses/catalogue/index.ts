import { getProtocol, type MeasureId } from '../../measures/protocols/index.ts';
import { SHORT_ROUND } from '../../measures/rounds.ts';
import type { PoseDefinition } from '../poseDefinition.ts';
import { chair } from './chair.ts';
import { halfMoon } from './halfMoon.ts';
import { highLunge } from './highLunge.ts';
import { lizard } from './lizard.ts';
import { lowLunge } from './lowLunge.ts';
import { mountain } from './mountain.ts';
import { pyramid } from './pyramid.ts';
import { reverseTriangle } from './reverseTriangle.ts';
import { reverseWarrior } from './reverseWarrior.ts';
import { revolvedHalfMoon } from './revolvedHalfMoon.ts';
import { revolvedSideAngle } from './revolvedSideAngle.ts';
import { revolvedTriangle } from './revolvedTriangle.ts';
import { sideAngle } from './sideAngle.ts';
import { tree } from './tree.ts';
import { triangle } from './triangle.ts';
import { wallKneel } from './wallKneel.ts';
import { warriorOne } from './warriorOne.ts';
import { warriorThree } from './warriorThree.ts';
import { warriorTwo } from './warriorTwo.ts';
import { wideFold } from './wideFold.ts';

/** Every pose, in the order the shelf shows them. To add one, write its file and name it here. */
export const POSES: readonly PoseDefinition[] = [
  warriorTwo,
  triangle,
  pyramid,
  warriorOne,
  highLunge,
  mountain,
  chair,
  sideAngle,
  reverseWarrior,
  reverseTriangle,
  wideFold,
  lowLunge,
  lizard,
  wallKneel,
  tree,
  warriorThree,
  halfMoon,
  revolvedTriangle,
  revolvedSideAngle,
  revolvedHalfMoon,
];

/**
 * A standing pose of the catalogue.
 *
 * @param id its name in files and links
 * @returns null when there is none
 * @example
 * findPose('triangle').name // → "Triangle"
 */
export const findPose = (id: string): PoseDefinition | null =>
  POSES.find((pose) => pose.id === id) ?? null;

/**
 * What has to be measured before these poses can be set up: the lengths of the body, and
 * the ranges that their musts need.
 *
 * @param poseIds the poses that count; those that are not known are passed over
 * @returns each once, lengths first
 */
export function findShortRound(poseIds: readonly string[]): readonly MeasureId[] {
  const needed = new Set(
    POSES.filter((each) => poseIds.includes(each.id)).flatMap((each) => each.needs),
  );
  return SHORT_ROUND.filter((id) => getProtocol(id).unit === 'cm' || needed.has(id));
}
