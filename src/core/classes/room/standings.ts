import type { MatSize } from '../../studio/studio.ts';
import type { PlannedClass } from '../classSheet.ts';
import { findChairs } from '../cupboard/wallPlaces.ts';
import { MAT_ALONE, type Standing } from './placeClass.ts';
import { findReach, type SlotReach } from './reach.ts';

const CM_PER_M = 100;

const toMatReach = ({ lengthCm, widthCm }: MatSize): SlotReach => {
  const [along, across] = [lengthCm / 2 / CM_PER_M, widthCm / 2 / CM_PER_M];
  const half = { ahead: along, behind: along, left: across, right: across };
  return { pose: MAT_ALONE, side: 'right', ...half, chair: null };
};

/**
 * Everybody of a class with the clear space of each of their poses.
 *
 * @param plan the class as it is worked out
 * @param mat that everyone stands on
 * @returns in the order of the class
 */
export function listStandings(plan: PlannedClass, mat: MatSize): readonly Standing[] {
  const chairIds = new Set(plan.cupboard.filter(({ kind }) => kind === 'chair').map((c) => c.id));
  const onChair = new Map(
    plan.poses.map((pose) => [pose, new Set(findChairs(plan.shares, pose, chairIds))]),
  );
  return plan.members.map(({ id }): Standing => {
    const reaches = plan.planned
      .filter(({ member }) => member === id)
      .flatMap(({ pose, pairs }) =>
        pairs.map(({ setUp }) => findReach(setUp, mat, onChair.get(pose)?.has(id) === true)),
      );
    const isAtWall = plan.helps.some((each) => each.member === id && each.kind === 'wall');
    return { member: id, reaches: [toMatReach(mat), ...reaches], isAtWall };
  });
}
