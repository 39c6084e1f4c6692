import { crossLegged } from './crossLegged.ts';
import { downwardDog } from './downwardDog.ts';
import { forwardFold } from './forwardFold.ts';
import { frontOfMat } from './frontOfMat.ts';
import { kneeling } from './kneeling.ts';
import { plank } from './plank.ts';
import { rest } from './rest.ts';
import { tabletop } from './tabletop.ts';
import type { LinkingPose } from './linkingPose.ts';

/** Poses that link others: not solved, drawn with a fixed figure. */
export const LINKING_POSES: readonly LinkingPose[] = [
  frontOfMat,
  forwardFold,
  downwardDog,
  plank,
  tabletop,
  kneeling,
  crossLegged,
  rest,
];
