import { placeShapes, type Point, type Shape } from '../drawing/shapes.ts';
import { drawThumbnail } from '../drawing/thumbnail.ts';
import { isStanding, type CardContent } from './cardWords.ts';
import { drawMatDiagram } from './matDiagram.ts';
import { SMALLEST_TEXT } from './page.ts';

interface Room {
  readonly width: number;
  readonly height: number;
}

/** Of a mark's number above or below a mat, mm. */
const MARK_ROOM = SMALLEST_TEXT + 3;
/** Between the figure and the mat, mm. */
const GAP = 6;
/** The figure's share of the row that it stands in beside the mat. */
const FIGURE_SHARE = 0.28;

/** The body on its floor, as large as its room. */
function drawFigure({ pose, sides }: CardContent, room: Room, [x, y]: Point): Shape[] {
  const setUp = sides.right ?? sides.left;
  const figure = setUp === null ? null : drawThumbnail(pose, setUp);
  if (figure === null) return [];
  const [left, top, width, height] = figure.box;
  const k = Math.min(room.width / width, room.height / height);
  return placeShapes(figure.shapes, k, [
    x + (room.width - width * k) / 2 - left * k,
    y + room.height - (top + height) * k,
  ]);
}

/** The largest whole scale 1:n at which a drawing, in cm of the mat, fits a room of paper. */
const findScale = (widthCm: number, heightCm: number, room: Room): number =>
  Math.ceil(Math.max((widthCm * 10) / room.width, (heightCm * 10) / room.height));

/**
 * What is drawn on a card: the body and the mat with both sides, or a lying form.
 *
 * @param content of the card
 * @param room it may take, mm
 * @param at its upper left corner, mm
 * @returns shapes, the whole scale 1:n and the height that was taken; null = nothing to draw
 */
export function drawPicture(
  content: CardContent,
  room: Room,
  at: Point,
): { readonly shapes: Shape[]; readonly scale: number; readonly height: number } | null {
  const { pose, sides, unit, lying } = content;
  const [x, y] = at;
  if (!isStanding(pose)) {
    if (lying === null) return null;
    const [left, top, width, height] = lying.box;
    const scale = findScale(width, height, room);
    const k = 10 / scale;
    const by: Point = [x + (room.width - width * k) / 2 - left * k, y - top * k];
    return { shapes: placeShapes(lying.shapes, k, by), scale, height: height * k };
  }
  const figureRoom = { width: room.width * FIGURE_SHARE, height: room.height };
  const matRoom = {
    width: room.width * (1 - FIGURE_SHARE) - GAP,
    height: room.height - 2 * MARK_ROOM,
  };
  const shown = sides.right ?? sides.left;
  if (shown?.mat == null) return null;
  const scale = findScale(shown.mat.lengthCm, shown.mat.widthCm, matRoom);
  const k = 10 / scale;
  const diagram = drawMatDiagram(pose, sides, unit, SMALLEST_TEXT / k);
  if (diagram === null) return null;
  const by: Point = [x + room.width - diagram.lengthCm * k, y + MARK_ROOM];
  const shapes = [
    ...drawFigure(content, figureRoom, [x, y]),
    ...placeShapes(diagram.shapes, k, by),
  ];
  return { shapes, scale, height: room.height };
}
