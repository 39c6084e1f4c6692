import type { Point } from './shapes.ts';

/** An upright box: left, top, right, bottom. */
export type Box = readonly [number, number, number, number];

/** Mean width of a character, as a share of its size, on the safe side. */
const CHARACTER_SHARE = 0.58;
const ASCENT = 0.82;
const DESCENT = 0.26;

/**
 * The box that a line of text fills.
 *
 * @param text the words
 * @param size height of the letters, mm
 * @param anchor which end of the words lies at the point
 * @returns about as wide as the words are
 */
export function boxOfText(
  text: string,
  [x, y]: Point,
  size: number,
  anchor: 'start' | 'middle' | 'end',
): Box {
  const width = text.length * CHARACTER_SHARE * size;
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return [left, y - ASCENT * size, left + width, y + DESCENT * size];
}

/**
 * The smallest upright box round some points.
 *
 * @param points mm, at least one
 * @returns the box
 */
export function boxOfPoints(points: readonly Point[]): Box {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

/**
 * How much two boxes share, as an area; 0 = they do not meet.
 *
 * @param a mm
 * @param b mm
 * @returns square millimetres
 */
export function calcOverlap(a: Box, b: Box): number {
  const width = Math.min(a[2], b[2]) - Math.max(a[0], b[0]);
  const height = Math.min(a[3], b[3]) - Math.max(a[1], b[1]);
  return width > 0 && height > 0 ? width * height : 0;
}

/**
 * The first of several places that meets no obstacle; the one that meets least if all do.
 *
 * @param places in the order in which they are wished for
 * @param obstacles what must not be met
 * @returns one of the places
 */
export function choosePlace<Place extends { readonly boxes: readonly Box[] }>(
  places: readonly [Place, ...Place[]],
  obstacles: readonly Box[],
): Place {
  const cost = ({ boxes }: Place): number =>
    boxes.reduce(
      (sum, box) => sum + obstacles.reduce((all, each) => all + calcOverlap(box, each), 0),
      0,
    );
  let [best] = places;
  for (const place of places) if (cost(place) < cost(best)) best = place;
  return best;
}
