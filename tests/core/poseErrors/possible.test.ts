import { describe, expect, it } from 'vitest';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { withLevel } from '../../../src/core/poses/level.ts';
import { POSE_ERRORS } from '../../../src/core/poseErrors/catalogue.ts';
import { findPossibleErrors } from '../../../src/core/poseErrors/possible.ts';

const idsOf = (pose: string, level: string | null = null): readonly string[] =>
  findPossibleErrors(withLevel(findPose(pose)!, level)).map(({ id }) => id);

/** Common practice, no source. */
describe('the errors that a pose can have', () => {
  it.each([
    ['warrior-two', ['knee-drifts', 'stance-long', 'heel-floats'], ['on-kneecap', 'heel-hidden']],
    ['triangle', ['knees-locked', 'hip-creeps'], ['knee-drifts', 'hand-beside-ankle']],
    ['half-moon', ['hand-beside-ankle', 'knees-locked'], ['stance-long', 'heels-in-line']],
    ['low-lunge', ['on-kneecap', 'knee-drifts'], ['heel-floats', 'arches-fall']],
    ['wall-kneel', ['heel-hidden', 'on-kneecap'], ['knees-locked']],
    ['wide-fold', ['arches-fall', 'feet-turned-in'], ['heels-in-line', 'pelvis-hauled']],
    ['revolved-triangle', ['twist-from-pelvis', 'back-hip-rises'], ['knee-drifts']],
    ['mountain', ['knees-locked'], ['stance-long', 'legs-upright', 'on-kneecap']],
  ])('%s', (pose, possible, impossible) => {
    const ids = idsOf(pose);
    for (const id of possible) expect(ids, id).toContain(id);
    for (const id of impossible) expect(ids, id).not.toContain(id);
  });

  it('every error can be seen in some pose, and breath and shoulders in any', () => {
    const seen = new Set(POSES.flatMap(({ id }) => idsOf(id)));
    expect(seen).toEqual(new Set(POSE_ERRORS.map(({ id }) => id)));
    for (const pose of [...POSES.map(({ id }) => findPose(id)), null]) {
      const ids = findPossibleErrors(pose).map(({ id }) => id);
      expect(ids).toEqual(expect.arrayContaining(['breath-held', 'shoulders-up', 'gaze-wanders']));
    }
  });
});
