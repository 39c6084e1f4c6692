import { hasSides } from './hasSides.ts';
import { POSES } from './catalogue/index.ts';
import { LINKING_POSES } from './linking/index.ts';
import type { Height } from './linking/linkingPose.ts';
import { LYING_POSES } from './lying/index.ts';
import type { LyingPose } from './lying/lyingPose.ts';
import type { LinkingPose } from './linking/linkingPose.ts';
import type { PoseDefinition } from './poseDefinition.ts';
import type { TransitionDefinition } from './transition.ts';

/** A pose of any kind, with what all kinds share. */
export type AnyPose = {
  readonly id: string;
  readonly name: string;
  readonly height: Height;
  /** Between which hips it moves; what is not standing has neither. */
  readonly family: PoseDefinition['family'];
  /** It is held once on each side. */
  readonly hasSides: boolean;
  readonly onOneLeg: boolean;
  readonly effort: 'active' | 'passive';
  readonly breaths: number;
  readonly transitions: readonly TransitionDefinition[];
} & (
  | { readonly kind: 'standing'; readonly pose: PoseDefinition }
  | { readonly kind: 'lying'; readonly pose: LyingPose }
  | { readonly kind: 'linking'; readonly pose: LinkingPose }
);

const ON_THE_FLOOR: readonly PoseDefinition['backContact'][] = [
  'knee-toes-tucked',
  'knee-foot-flat',
  'shin-on-wall',
  'shin-leaning-on-wall',
];
const ON_ONE_LEG: readonly PoseDefinition['backContact'][] = ['lifted', 'on-front-leg'];
const SEATED: readonly string[] = ['staff', 'bound-angle', 'seated-straddle'];

const describeStanding = (pose: PoseDefinition): AnyPose => ({
  kind: 'standing',
  pose,
  id: pose.id,
  name: pose.name,
  height: ON_THE_FLOOR.includes(pose.backContact) ? 'kneeling' : 'standing',
  family: pose.family,
  hasSides: hasSides(pose.id),
  onOneLeg: ON_ONE_LEG.includes(pose.backContact),
  effort: pose.guidance.effort,
  breaths: pose.guidance.breaths,
  transitions: pose.transitions,
});

const describeLying = (pose: LyingPose): AnyPose => ({
  kind: 'lying',
  pose,
  id: pose.id,
  name: pose.name,
  height: SEATED.includes(pose.id) ? 'seated' : 'lying',
  family: 'neutral',
  hasSides: hasSides(pose.id),
  onOneLeg: false,
  effort: pose.guidance.effort,
  breaths: pose.guidance.breaths,
  transitions: pose.transitions,
});

const describeLinking = (pose: LinkingPose): AnyPose => ({
  kind: 'linking',
  pose,
  id: pose.id,
  name: pose.name,
  height: pose.height,
  family: 'neutral',
  hasSides: false,
  onOneLeg: false,
  effort: pose.effort,
  breaths: pose.breaths,
  transitions: pose.transitions,
});

/** Every pose that a flow may hold or pass through: standing, lying and seated, linking. */
export const ANY_POSES: readonly AnyPose[] = [
  ...POSES.map(describeStanding),
  ...LYING_POSES.map(describeLying),
  ...LINKING_POSES.map(describeLinking),
];

const BY_ID: ReadonlyMap<string, AnyPose> = new Map(ANY_POSES.map((each) => [each.id, each]));

/**
 * A pose of any kind.
 *
 * @param id its name in files and links
 * @returns null when there is none
 * @example
 * findAnyPose('downward-dog').height // → "hands-and-feet"
 */
export const findAnyPose = (id: string): AnyPose | null => BY_ID.get(id) ?? null;
