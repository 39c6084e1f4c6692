import { withLevel } from '../poses/level.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { AsFound } from '../rules/houseRules.ts';
import type { HandleId } from '../setup/settingKinds.ts';
import type { SetUp } from '../setup/setUp.ts';
import { laySheet, planTopOf } from './laySheet.ts';
import { getValue } from '../setup/setUp.ts';
import { mark, onPlan, planPoint, sideName, type SheetOptions } from './sheetFrame.ts';
import type { Point } from './shapes.ts';
import { toElevation } from './view.ts';

export interface Handle {
  readonly id: HandleId;
  /** Where it lies on the drawing, mm. */
  readonly at: Point;
  /** What is held when it is dragged by so many millimetres of paper, right and down. */
  readonly drag: (right: number, down: number) => Partial<AsFound>;
}

/**
 * The handles of a sheet: feet on the plan, the hand on the elevation. A millimetre of
 * paper is a centimetre of the mat.
 *
 * @param usual the pose's data, without a level
 * @param setUp the set-up
 * @param options unit, size of the labels, and what to leave out
 * @returns none for a pose that cannot be moved by hand
 */
export function findHandles(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): readonly Handle[] {
  const sheet = laySheet(withLevel(usual, setUp.level), setUp, options, planTopOf(options));
  if (sheet === null) return [];
  const { view } = sheet;
  const stance = getValue(setUp, 'stance-length');
  const width = getValue(setUp, 'stance-width');
  const turn = getValue(setUp, 'back-foot-angle');
  const hand = getValue(setUp, 'hand-height');
  // The back leg stands on its own side: left of a right foot in front, and the mirror of it.
  const outward = setUp.side === 'left' ? -1 : 1;
  const alongOf = (right: number): number => -right * view.from;
  const acrossOf = (down: number): number => down * view.from * outward;
  const on = (name: string): Point => onPlan(sheet, ...planPoint(setUp, name));
  const handles: Handle[] = [];
  if (stance !== null) {
    const move =
      (by: 1 | -1) =>
      (right: number, down: number): Partial<AsFound> => ({
        stanceCm: stance + by * alongOf(right),
        ...(width === null || down === 0 ? {} : { widthCm: width - by * acrossOf(down) }),
      });
    const back = sideName(setUp, 'back');
    handles.push(
      { id: 'front-foot', at: on(`ball${sideName(setUp, 'front')}`), drag: move(1) },
      { id: 'back-foot', at: on(`heel${back}`), drag: move(-1) },
    );
    if (turn !== null) {
      const [heel, toe] = [on(`heel${back}`), on(`toe${back}`)];
      handles.push({
        id: 'back-toes',
        at: toe,
        drag: (right, down) => {
          const along = alongOf(toe[0] + right - heel[0]);
          const across = acrossOf(toe[1] + down - heel[1]);
          return { backFootDeg: (Math.atan2(across, along) * 180) / Math.PI };
        },
      });
    }
  }
  if (hand !== null) {
    const [left, right] = [mark(setUp, 'handLeft'), mark(setUp, 'handRight')];
    handles.push({
      id: 'hand',
      at: toElevation(view, left[2] < right[2] ? left : right),
      drag: (_, down) => ({ handCm: hand - down }),
    });
  }
  return handles;
}
