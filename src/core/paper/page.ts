import { line, type Point, type Shape } from '../drawing/shapes.ts';

/** Paper that a printer takes, or a card is cut from; mm. */
export const PAPER_SIZES = {
  a4: { name: 'A4', width: 210, height: 297 },
  letter: { name: 'Letter', width: 215.9, height: 279.4 },
  /** Lying: half of an A4 sheet. */
  a5: { name: 'A5', width: 210, height: 148.5 },
  /** Five by three inches. */
  index: { name: 'index card', width: 127, height: 76.2 },
} as const;

/** One side of paper. Its shapes are in true millimetres from its upper left corner, y down. */
export interface Page {
  /** What it is, for the name of its file and for those who do not see it. */
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/**
 * A line of words. `size` in mm.
 *
 * @param role what they are
 * @param at mm
 * @param text what they say
 * @param size mm
 * @param anchor which end lies at the point
 * @returns the shape
 */
export const words = (
  role: string,
  at: Point,
  text: string,
  size: number,
  anchor: 'start' | 'middle' | 'end' = 'start',
): Shape => ({ kind: 'text', role, at, text, size, anchor });

/** A printer is checked by this, mm. */
const BAR_MM = 100;
/** Nothing that is to be read at arm's length is smaller: 11 points, mm. */
export const SMALLEST_TEXT = 3.9;

/**
 * A bar of 100 mm with what it is for, on every page. `at` is its left end.
 *
 * @returns bar and words
 */
export function drawBar([x, y]: Point): Shape[] {
  const end = x + BAR_MM;
  return [
    line('bar', [x, y], [end, y]),
    line('bar', [x, y - 1.5], [x, y + 1.5]),
    line('bar', [end, y - 1.5], [end, y + 1.5]),
    words('label', [x + 1, y - 1.9], '100 mm: if not, print again at 100 %.', SMALLEST_TEXT),
  ];
}

/** Mean width of a printed character as a share of its size, on the safe side. */
const CHARACTER_SHARE = 0.52;

/**
 * Breaks words into lines that fit a width. A single word that is too long stays whole.
 *
 * @param text any words
 * @param size of the letters, mm
 * @param width of the column, mm
 * @returns one text a line
 */
export function wrapWords(text: string, size: number, width: number): string[] {
  const most = Math.max(1, Math.floor(width / (size * CHARACTER_SHARE)));
  const lines: string[] = [];
  let current = '';
  for (const word of text.split(/\s+/)) {
    const longer = current === '' ? word : `${current} ${word}`;
    if (longer.length > most && current !== '') {
      lines.push(current);
      current = word;
    } else current = longer;
  }
  return current === '' ? lines : [...lines, current];
}
