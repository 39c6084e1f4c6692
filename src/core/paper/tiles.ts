import { arcPoints, clipLine } from './clip.ts';
import { placeShapes, line, type Point, type Shape } from '../drawing/shapes.ts';
import type { Template } from './footTemplate.ts';
import { drawBar, PAPER_SIZES, words, type Page } from './page.ts';

/** No printer reaches the edge of its paper, mm. */
const EDGE = 12;
/** The bar and the page's name stand below the drawing. */
const FOOT = 12;
/** Neighbouring pages show this much of each other, mm. */
const OVERLAP = 10;

/** A column's letters: A to Z, then AA. */
const columnName = (i: number): string =>
  i < 26 ? String.fromCharCode(65 + i) : columnName(Math.floor(i / 26) - 1) + columnName(i % 26);

const registration = ([x, y]: Point, name: string): Shape[] => [
  { kind: 'circle', role: 'registration', centre: [x, y], radius: 2 },
  line('registration', [x - 4, y], [x + 4, y]),
  line('registration', [x, y - 4], [x, y + 4]),
  words('registration-name', [x + 2.4, y - 0.8], name, 2.2),
];

/** Places a, a + step, … so that windows of a size cover a length, with their overlap. */
function cover(length: number, size: number): number[] {
  const step = size - OVERLAP;
  const count = Math.max(1, Math.ceil((length - OVERLAP) / step));
  return Array.from({ length: count }, (_, i) => i * step);
}

function clipShape(shape: Shape, from: Point, to: Point): Shape[] {
  if (shape.kind === 'text') {
    const [x, y] = shape.at;
    const isInside = x >= from[0] && x < to[0] && y >= from[1] && y < to[1];
    return isInside ? [shape] : [];
  }
  const points =
    shape.kind === 'line'
      ? shape.points
      : shape.kind === 'polygon'
        ? [...shape.points, ...shape.points.slice(0, 1)]
        : arcPoints(shape);
  return clipLine(points, from, to).map((each) => ({
    kind: 'line',
    role: shape.role,
    points: each,
  }));
}

/**
 * Cuts a drawing of true size into pages. Neighbours overlap by a centimetre and share
 * registration marks of the same name: lay one over the other so that they meet. A page
 * with nothing on it is left out.
 *
 * @param template its shapes and size, mm
 * @param paper the sheets it is printed on
 * @returns pages in rows
 */
export function tile(template: Template, paper: 'a4' | 'letter'): Page[] {
  const { width, height, name: paperName } = PAPER_SIZES[paper];
  const windowWidth = width - 2 * EDGE;
  const windowHeight = height - 2 * EDGE - FOOT;
  const lefts = cover(template.width, windowWidth);
  const tops = cover(template.height, windowHeight);
  return tops.flatMap((top, row) =>
    lefts.flatMap((left, column): Page[] => {
      const right = left + windowWidth;
      const bottom = top + windowHeight;
      const at: Point = [EDGE - left, EDGE - top];
      const drawn = template.shapes.flatMap((each) =>
        clipShape(each, [left, top], [right, bottom]),
      );
      if (drawn.length === 0) return [];
      // In the middle of what two neighbours share.
      const marks = [0, 1].flatMap((right1) =>
        [0, 1].flatMap((down) => {
          const [c, r] = [column + right1, row + down];
          const x = c * (windowWidth - OVERLAP) + OVERLAP / 2;
          const y = r * (windowHeight - OVERLAP) + OVERLAP / 2;
          return registration([x, y], `${columnName(c)}${String(r + 1)}`);
        }),
      );
      const place = `${columnName(column)}${String(row + 1)}`;
      const frame: Shape = {
        kind: 'line',
        role: 'cut',
        points: [
          [EDGE, EDGE],
          [EDGE + windowWidth, EDGE],
          [EDGE + windowWidth, EDGE + windowHeight],
          [EDGE, EDGE + windowHeight],
          [EDGE, EDGE],
        ],
      };
      return [
        {
          name: `${template.name}, page ${place}`,
          width,
          height,
          shapes: [
            ...placeShapes([...drawn, ...marks], 1, at),
            frame,
            ...drawBar([EDGE, height - EDGE]),
            words(
              'label',
              [width - EDGE, height - EDGE],
              `page ${place} of ${String(lefts.length)} across and ${String(tops.length)} down, ${paperName}`,
              2.4,
              'end',
            ),
          ],
        },
      ];
    }),
  );
}
