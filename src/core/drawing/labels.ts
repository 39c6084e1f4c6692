import { boxOfText, type Box } from './placement.ts';
import type { Point } from './shapes.ts';
import { NUMBER_SIZE, type Sheet } from './sheetFrame.ts';

/** A place a label might take, and the room it would fill there. */
export interface LabelPlace {
  readonly at: Point;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly boxes: readonly Box[];
}

function placeLabel(
  sheet: Sheet,
  at: Point,
  number: string,
  words: string,
  anchor: LabelPlace['anchor'],
): LabelPlace {
  const label = sheet.options.labelMm;
  const below: Point = [at[0], at[1] + label * 1.35];
  return {
    at,
    anchor,
    boxes: [
      boxOfText(number, at, NUMBER_SIZE * label, anchor),
      boxOfText(words, below, label, anchor),
    ],
  };
}

/** Thirds of a right angle to either side of the way a label would like to lie. */
const RING_TURNS = [0, 30, -30, 60, -60, 90, -90, 120, -120, 150, -150, 180] as const;

/**
 * Places round a point: the nearest first, and of those the ones that lie the wished way.
 *
 * @param sheet what shapes are drawn from
 * @param round the point, mm
 * @param wishedDeg degrees, clockwise from the right, as the page turns
 * @param number of the label
 * @param words beneath it
 * @returns places to choose from
 */
export function ringOfPlaces(
  sheet: Sheet,
  round: Point,
  wishedDeg: number,
  number: string,
  words: string,
): LabelPlace[] {
  const label = sheet.options.labelMm;
  return [1.6, 2.6, 3.6, 5, 7].flatMap((radius) =>
    RING_TURNS.map((turn) => {
      const angle = ((wishedDeg + turn) * Math.PI) / 180;
      const cos = Math.cos(angle);
      const x = round[0] + cos * radius * label * 1.6;
      const y = round[1] + Math.sin(angle) * radius * label;
      const anchor = Math.abs(cos) < 0.3 ? 'middle' : cos > 0 ? 'start' : 'end';
      return placeLabel(sheet, [x, y], number, words, anchor);
    }),
  );
}

/**
 * The direction from one point to another.
 *
 * @param from mm, x to the right, y down
 * @param to the same
 * @returns degrees, clockwise from the right, as the page turns
 */
export const degreesBetween = (from: Point, to: Point): number =>
  (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
