import { type SheetOptions, type Sheet, mark, sideName, matMiddle } from './sheetFrame.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { type SetUp, getValue } from '../setup/setUp.ts';
import { findView, toElevation } from './view.ts';
import { isSeat } from './prints.ts';
import { boxOfText } from './placement.ts';
import type { Drawing, Shape } from './shapes.ts';

/** Room beyond the mat's edges, mm. */
const MAT_MARGIN = 9;
/** Fingers reach this far beyond the palm, and a crown above the ear. */
const FINGERS = 12;
const HEADROOM = 13;

/**
 * Where the plan begins below the elevation, for a sheet with both.
 *
 * @returns mm, y down
 */
export const planTopOf = ({ labelMm }: SheetOptions): number => labelMm * (2.6 + 3.3);

/**
 * Everything that shapes are drawn from; null when there is no posture.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @param options unit, size of the labels, and what to leave out
 * @param planTop where the plan begins, mm
 * @returns view, options and set-up together
 */
export function laySheet(
  pose: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
  planTop: number,
): Sheet | null {
  if (setUp.mat === null || setUp.footprints === null) return null;
  const [heelX, heelY] = mark(setUp, `heel${sideName(setUp, 'front')}`);
  return {
    setUp,
    view: findView(pose, setUp),
    options,
    mat: setUp.mat,
    planY: planTop + (planTop > 0 ? calcChairRoom(setUp) : 0) + setUp.mat.widthCm / 2,
    matFront: heelX + (getValue(setUp, 'front-heel-from-mat-edge') ?? 0),
    heelLine: heelY,
  };
}

/** A chair under a hand, or behind the back, may stand out over the edge of the mat by this, mm. */
const CHAIR_ROOM = 18;
const CHAIR_BEHIND_ROOM = 26;

/** Room between elevation and plan for a chair that stands over the mat's edge. */
function calcChairRoom(setUp: SetUp): number {
  if (getValue(setUp, 'rail-height') !== null) return CHAIR_BEHIND_ROOM;
  return isSeat(getValue(setUp, 'hand-height') ?? 0) ? CHAIR_ROOM : 0;
}

/**
 * Room for the whole body and the whole mat, as seen; ends at the floor.
 *
 * @returns left, top, width and height, mm
 */
export function boxOfElevation({ view, setUp, mat, matFront }: Sheet): Drawing['box'] {
  const points = Object.values(setUp.landmarks);
  const bodyXs = points.map((point) => toElevation(view, point)[0]);
  const middle = matMiddle(setUp);
  const edges =
    view.axis === 'front'
      ? [middle - mat.widthCm / 2, middle + mat.widthCm / 2]
      : [matFront, matFront - mat.lengthCm].map((x) => toElevation(view, [x, 0, 0])[0]);
  const highest = Math.max(...points.map(([, , z]) => z)) + HEADROOM;
  const left = Math.min(...edges.map((x) => x - MAT_MARGIN), ...bodyXs.map((x) => x - FINGERS));
  const right = Math.max(...edges.map((x) => x + MAT_MARGIN), ...bodyXs.map((x) => x + FINGERS));
  return [left, -highest, right - left, highest];
}

/**
 * A box wide enough for the words of its shapes as well.
 *
 * @param box of the body and the mat
 * @param shapes with their words
 * @returns left, top, width and height, mm
 */
export function widenForWords(
  [left, top, width, height]: Drawing['box'],
  shapes: readonly Shape[],
): Drawing['box'] {
  const boxes = shapes.flatMap((each) =>
    each.kind === 'text' ? [boxOfText(each.text, each.at, each.size, each.anchor)] : [],
  );
  const from = Math.min(left, ...boxes.map(([x]) => x));
  const to = Math.max(left + width, ...boxes.map(([, , x]) => x));
  return [from, top, to - from, height];
}

/**
 * A box with more room below it.
 *
 * @param by mm
 * @returns left, top, width and height, mm
 */
export const extendBelow = (
  [left, top, width, height]: Drawing['box'],
  by: number,
): Drawing['box'] => [left, top, width, height + by];
