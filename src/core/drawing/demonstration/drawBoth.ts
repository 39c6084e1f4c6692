import { placeShapes, type Drawing, type Point, type Shape } from '../shapes.ts';

/** How much larger the reading is drawn beneath the whole body, and what lies between them, mm. */
const NEARER = 1.5;
const BETWEEN = 10;
const CAPTION = 7;

/** A drawing, and from where it looks at the body. */
interface SeenFrom {
  readonly drawing: Drawing;
  readonly words: string;
}

/** One of two views and where it is placed. */
interface Placed extends SeenFrom {
  readonly scale: number;
  /** Its upper left corner, mm. */
  readonly at: Point;
}

/** A view in its place, with from where it is seen above it. */
function place({ drawing: { box, shapes }, scale: k, at: [x, y], words }: Placed): Shape[] {
  const [left, top, width] = box;
  return [
    ...placeShapes(shapes, k, [x - left * k, y - top * k]),
    {
      kind: 'text',
      role: 'label',
      at: [x + (width * k) / 2, y],
      text: words,
      size: CAPTION,
      anchor: 'middle',
    },
  ];
}

/**
 * The whole body and the reading nearer: beneath a body that lies, beside one that stands, so that both
 * are large.
 *
 * @param whole the whole body
 * @param near the same from where it is read
 * @returns one drawing, with from where each is seen
 */
export function drawBoth(whole: SeenFrom, near: SeenFrom): Drawing {
  const [, , wholeWidth, wholeHeight] = whole.drawing.box;
  const [nearWidth, nearHeight] = [near.drawing.box[2] * NEARER, near.drawing.box[3] * NEARER];
  const isBeside = wholeHeight > wholeWidth;
  const width = isBeside ? wholeWidth + BETWEEN + nearWidth : Math.max(wholeWidth, nearWidth);
  const height =
    CAPTION +
    (isBeside ? Math.max(wholeHeight, nearHeight) : wholeHeight + BETWEEN + CAPTION + nearHeight);
  const wholeAt: Point = isBeside ? [0, CAPTION] : [(width - wholeWidth) / 2, CAPTION];
  const nearAt: Point = isBeside
    ? [wholeWidth + BETWEEN, height - nearHeight]
    : [(width - nearWidth) / 2, height - nearHeight];
  return {
    ...near.drawing,
    box: [0, 0, width, height],
    shapes: [
      ...place({ ...whole, scale: 1, at: wholeAt }),
      ...place({ ...near, scale: NEARER, at: nearAt }),
    ],
  };
}
