import { findLevel } from '../../core/poses/level.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { Side } from '../../core/measures/protocol.ts';
import { findPose, POSES } from '../../core/poses/catalogue/index.ts';
import { findLyingPose, LYING_POSES } from '../../core/poses/lying/index.ts';
import { hasSides } from '../../core/poses/hasSides.ts';
import { saySide } from '../../core/poses/saySide.ts';

/** Every pose that can stand in a session, standing ones first. */
export const EVERY_POSE = [...POSES, ...LYING_POSES];

export const namePose = (id: string): string => (findPose(id) ?? findLyingPose(id))?.name ?? id;

/** `right foot in front`, `left leg`. */
export function nameSide(id: string, side: Side): string {
  if (!hasSides(id)) return 'both sides alike';
  const pose = findPose(id);
  return pose === null ? `${side} leg` : saySide(pose, side);
}

/** A level as its pose names it; null is the usual one. */
export const nameLevel = (pose: PoseDefinition, id: string | null): string =>
  findLevel(pose, id)?.name ?? 'Standard version';
