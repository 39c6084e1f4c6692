import { placeShapes, type Drawing } from '../drawing/shapes.ts';
import { drawBar, PAPER_SIZES, words, type Page } from './page.ts';

const MARGIN = 10;

/**
 * A whole drawing on one sheet, at the largest whole scale at which it fits.
 *
 * @param name of the page
 * @param paper the sheets it is printed on
 * @returns the page with its scale in words
 */
export function layDrawing({ box, shapes }: Drawing, name: string, paper: 'a4' | 'letter'): Page {
  const { width, height } = PAPER_SIZES[paper];
  const [left, top, drawnWidth, drawnHeight] = box;
  const room = { width: width - 2 * MARGIN, height: height - 2 * MARGIN - 14 };
  const scale = Math.ceil(10 * Math.max(drawnWidth / room.width, drawnHeight / room.height, 1));
  const k = 10 / scale;
  const x = (width - drawnWidth * k) / 2 - left * k;
  return {
    name,
    width,
    height,
    shapes: [
      words('title', [MARGIN, MARGIN + 4], name, 4.5),
      ...placeShapes(shapes, k, [x, MARGIN + 8 - top * k]),
      ...drawBar([MARGIN, height - MARGIN]),
      words(
        'label',
        [width - MARGIN, height - MARGIN],
        `The drawing is 1:${String(scale)}.`,
        2.6,
        'end',
      ),
    ],
  };
}
