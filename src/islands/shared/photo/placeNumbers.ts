import { boxOfText, choosePlace, type Box } from '../../../core/drawing/placement.ts';
import type { Pixel } from '../../../core/photo/photoReading.ts';
import type { Picture } from './loadPicture.ts';

/** A number beside its mark. */
export interface PlacedNumber {
  readonly at: Pixel;
  readonly anchor: 'start' | 'end';
  readonly size: number;
}

/** Numbers stand at one of four corners of their mark, in this order, as shares of its radius. */
const CORNERS = [
  [1.6, -1.6, 'start'],
  [1.6, 4.2, 'start'],
  [-1.6, -1.6, 'end'],
  [-1.6, 4.2, 'end'],
] as const;
const SIZE = 3;

/**
 * Places the numbers of marks so that none meets another number, another mark or the
 * picture's edge, as far as there is room.
 *
 * @param marks in the order of their numbers; undefined = not placed yet
 * @param r radius of a mark, pixels
 */
export function placeNumbers(
  marks: readonly (Pixel | undefined)[],
  r: number,
  { width, height }: Pick<Picture, 'width' | 'height'>,
): readonly (PlacedNumber | null)[] {
  const size = SIZE * r;
  const taken: Box[] = [
    [-width, -height, 2 * width, 0],
    [-width, height, 2 * width, 2 * height],
    [-width, 0, 0, height],
    [width, 0, 2 * width, height],
    ...marks.flatMap((mark): Box[] =>
      mark === undefined ? [] : [[mark[0] - r, mark[1] - r, mark[0] + r, mark[1] + r]],
    ),
  ];
  return marks.map((mark, i) => {
    if (mark === undefined) return null;
    const toPlace = ([right, down, anchor]: (typeof CORNERS)[number]) => {
      const at: Pixel = [mark[0] + right * r, mark[1] + down * r];
      return { at, anchor, size, boxes: [boxOfText(String(i + 1), at, size, anchor)] };
    };
    const [first, ...others] = CORNERS;
    const chosen = choosePlace([toPlace(first), ...others.map(toPlace)], taken);
    taken.push(...chosen.boxes);
    return chosen;
  });
}
