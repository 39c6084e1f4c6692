import { boxOfPoints, boxOfText, type Box } from './placement.ts';
import { line, type Drawing, type Point, type Shape } from './shapes.ts';

/** Of the words, mm; numbers are larger. */
const LABEL = 7;
export const NUMBER = 8.5;
export const LINE_GAP = LABEL * 1.25;
/** From one label of a column to the next. */
const PITCH = NUMBER + LINE_GAP + 2;
/** Round a drawing. */
const ROOM = 2;
/** Between labels of a row. */
const ROW_GAP = 4;
/** A number with its words beneath it. */
export interface Label {
  readonly number: string;
  readonly words: string;
  /** Where it would like to stand, and what it names. */
  readonly at: Point;
}

const text = (
  role: 'number' | 'label',
  at: Point,
  words: string,
  anchor: 'start' | 'middle' | 'end',
): Shape => ({
  kind: 'text',
  role,
  at,
  text: words,
  size: role === 'number' ? NUMBER : LABEL,
  anchor,
});

const drawLabel = (
  { number, words }: Label,
  at: Point,
  anchor: 'start' | 'middle' | 'end',
): readonly Shape[] => [
  text('number', at, number, anchor),
  text('label', [at[0], at[1] + LINE_GAP], words, anchor),
];

/** Moves wished places along a line apart, in their order, so that none is nearer to the next than it needs. */
function spread(wished: readonly number[], needs: (i: number) => number, end: number): number[] {
  const places = [...wished];
  for (let i = 1; i < places.length; i += 1) {
    places[i] = Math.max(places[i]!, places[i - 1]! + needs(i));
  }
  const last = places.length - 1;
  if (last >= 0) places[last] = Math.min(places[last]!, end);
  for (let i = last - 1; i >= 0; i -= 1) {
    places[i] = Math.min(places[i]!, places[i + 1]! - needs(i + 1));
  }
  return places;
}

/**
 * Labels beneath one another, each with a line to what it names; none meets another.
 *
 * @param labels in any order
 * @param x of the column, mm
 * @param anchor which end of the words stands there
 * @param lowest where the last number may stand, mm
 * @returns words and lines
 */
export function drawColumn(
  labels: readonly Label[],
  x: number,
  anchor: 'start' | 'end',
  lowest: number,
): Shape[] {
  const sorted = labels.toSorted((a, b) => a.at[1] - b.at[1]);
  const places = spread(
    sorted.map(({ at }) => at[1]),
    () => PITCH,
    lowest,
  );
  const away = anchor === 'start' ? -1.5 : 1.5;
  return sorted.flatMap((label, i) => {
    const y = places[i]!;
    return [
      line('extension', label.at, [x + away, y - NUMBER / 3]),
      ...drawLabel(label, [x, y], anchor),
    ];
  });
}

const widthOf = ({ number, words }: Label): number => {
  const [from, , to] = boxOfText(number, [0, 0], NUMBER, 'start');
  const [wordsFrom, , wordsTo] = boxOfText(words, [0, 0], LABEL, 'start');
  return Math.max(to - from, wordsTo - wordsFrom);
};

/**
 * Labels beside one another, as near to what they name as they can; none meets another.
 *
 * @param labels in any order, on one height
 * @returns words
 */
export function drawRow(labels: readonly Label[]): Shape[] {
  const sorted = labels.toSorted((a, b) => a.at[0] - b.at[0]);
  const widths = sorted.map(widthOf);
  const needs = (i: number): number => (widths[i - 1]! + widths[i]!) / 2 + ROW_GAP;
  const places = spread(
    sorted.map(({ at }) => at[0]),
    needs,
    Infinity,
  );
  // Labels that had to move stay as near as they can, all together.
  const moved =
    sorted.reduce((sum, { at }, i) => sum + places[i]! - at[0], 0) / Math.max(1, sorted.length);
  return sorted.flatMap((label, i) =>
    drawLabel(label, [places[i]! - moved, label.at[1]], 'middle'),
  );
}

/**
 * The page of a drawing: all of its words, and the part that is drawn.
 *
 * @param shapes of the drawing
 * @param drawn box of the part that is drawn, mm
 * @returns left, top, width and height, with a little room round it
 */
export function boxOfDrawing(shapes: readonly Shape[], drawn: Box): Drawing['box'] {
  const boxes = [
    drawn,
    ...shapes.flatMap((shape) =>
      shape.kind === 'text' ? [boxOfText(shape.text, shape.at, shape.size, shape.anchor)] : [],
    ),
  ];
  const [left, top, right, bottom] = boxOfPoints(
    boxes.flatMap(([x, y, farX, farY]): Point[] => [
      [x, y],
      [farX, farY],
    ]),
  );
  return [left - ROOM, top - ROOM, right - left + 2 * ROOM, bottom - top + 2 * ROOM];
}
