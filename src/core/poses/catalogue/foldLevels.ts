import { USUAL_LEVEL } from '../level.ts';
import type { ArmDefinition, LevelDefinition, MustDefinition } from '../poseDefinition.ts';

/** So much lower than the arms are long the shoulders come down when elbows bend. Our choice. */
const ELBOWS_BENT_CM = 5;

/** For whom the two lowest levels are, where few people hold them. */
interface ForWhom {
  readonly floor: string;
  readonly elbowsBent: string;
}

/**
 * The ladder of a fold with both hands down: chair, stacked blocks, what fits, floor, elbows bent.
 *
 * @param musts of the fold
 * @param arm both of its arms
 * @param forWhom null = for anybody
 * @returns from easier to harder
 */
export function makeFoldLevels(
  musts: readonly MustDefinition[],
  arm: ArmDefinition,
  forWhom: ForWhom | null,
): readonly LevelDefinition[] {
  const bent = { ...arm, elbowOutward: true };
  return [
    {
      id: 'hands-on-a-chair',
      name: 'Hands on a chair',
      reachedBy: 'practice',
      changes: { handsOn: { surface: 'chair', elbows: 'straight' } },
    },
    {
      id: 'hands-on-stacked-blocks',
      name: 'Hands on stacked blocks',
      reachedBy: 'practice',
      changes: { handsOn: { surface: 'stacked-blocks', elbows: 'straight' } },
    },
    { id: USUAL_LEVEL, name: 'Hands on the lowest prop that fits', changes: {} },
    {
      id: 'hands-on-the-floor',
      name: 'Hands on the floor',
      ...(forWhom === null ? {} : { forWhom: forWhom.floor }),
      reachedBy: 'practice',
      changes: { handsOn: { surface: 'floor', elbows: 'straight' } },
    },
    {
      id: 'elbows-bent',
      name: 'Hands on the floor, elbows bent outward',
      ...(forWhom === null ? {} : { forWhom: forWhom.elbowsBent }),
      reachedBy: 'practice',
      changes: {
        arms: { front: bent, back: bent },
        handsOn: { surface: 'floor', elbows: 'bent' },
        musts: [...musts, { quantity: 'shoulders-below-reach', atLeast: ELBOWS_BENT_CM }],
      },
    },
  ];
}
