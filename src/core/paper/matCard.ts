import type { Drawing, Point, Shape } from '../drawing/shapes.ts';
import type { LyingPose } from '../poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { listRecipe, type RecipeLine } from '../recipe/recipe.ts';
import type { SetUp } from '../setup/setUp.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { drawMatDiagram, type BothSides } from './matDiagram.ts';
import { drawBar, PAPER_SIZES, placeShapes, words, wrapWords, type Page } from './page.ts';
import { sayCount } from '../units/sayCount.ts';

/**
 * What goes onto a card. Of the person only the name: neither notes nor answers about
 * health are ever printed on what a student takes home.
 */
export interface CardContent {
  readonly name: string;
  readonly pose: PoseDefinition | LyingPose;
  readonly sides: BothSides;
  /** A lying or seated form as it is drawn; null = a standing pose, or one without numbers. */
  readonly lying: Drawing | null;
  readonly unit: LengthUnit;
  /** The date in words; the core has no clock. */
  readonly date: string;
}

export type CardSize = 'a5' | 'index';

const STOP = 'Pain, numbness or a catching joint: come out as you came in, and say so.';

interface TextBlock {
  readonly heading: string;
  readonly paragraphs: readonly string[];
}

const LARGEST_TEXT = 3.1;
const LINE = 1.32;

/** A size at which every block fits its height, so that nothing is left out of a card. */
function findTextSize(blocks: readonly TextBlock[], width: number, height: number): number {
  const fits = (size: number): boolean =>
    blocks.every(
      ({ paragraphs }) =>
        paragraphs.flatMap((each) => wrapWords(each, size, width)).length * size * LINE <= height,
    );
  let size = LARGEST_TEXT;
  while (size > 1 && !fits(size)) size -= 0.1;
  return size;
}

function drawText(
  [x, y]: Point,
  width: number,
  size: number,
  paragraphs: readonly string[],
): Shape[] {
  return paragraphs
    .flatMap((each) => wrapWords(each, size, width))
    .map((text, i) => words('card', [x, y + size * LINE * i], text, size));
}

/** A long list as two columns under one heading. */
function inHalves(heading: string, paragraphs: readonly string[]): TextBlock[] {
  const half = Math.ceil(paragraphs.length / 2);
  return [
    { heading, paragraphs: paragraphs.slice(0, half) },
    { heading: '', paragraphs: paragraphs.slice(half) },
  ];
}

/** Text in columns of one size. */
function drawColumns(
  blocks: readonly TextBlock[],
  [x, y]: Point,
  width: number,
  height: number,
): Shape[] {
  const gap = 6;
  const column = (width - gap * (blocks.length - 1)) / blocks.length;
  const size = findTextSize(blocks, column, height - 5);
  return blocks.flatMap(({ heading, paragraphs }, i): Shape[] => {
    const left = x + i * (column + gap);
    return [
      words('title', [left, y], heading, 3),
      ...drawText([left, y + 4.4], column, size, paragraphs),
    ];
  });
}

/** One number of a recipe as both sides say it, once where they say the same. */
function listNumbers({ sides, unit, pose }: CardContent): string[] {
  // Where the mat is drawn, its edge has these marks.
  const isTold = ({ setting: { id } }: RecipeLine): boolean =>
    !isStanding(pose) || !id.endsWith('-from-mat-edge');
  const list = (setUp: SetUp | null): readonly RecipeLine[] =>
    setUp === null ? [] : listRecipe(setUp, unit).filter(isTold);
  const [right, left] = [list(sides.right), list(sides.left)];
  const ids = [...new Set([...right, ...left].map((each) => each.setting.id))];
  return ids.flatMap((id) => {
    const [a, b] = [right, left].map((list) => list.find((each) => each.setting.id === id)?.words);
    if (a === b || b === undefined) return a === undefined ? [] : [a];
    return a === undefined ? [`left: ${b}`] : [`right: ${a}`, `left: ${b}`];
  });
}

/** Whether the mat is long enough, in words. */
function sayMat({ sides, unit }: CardContent): string {
  const fits = [sides.right, sides.left].flatMap((each) => (each?.mat == null ? [] : [each.mat]));
  const [mat] = fits;
  if (mat === undefined) return '';
  const size = writeLength(metresFromCm(mat.lengthCm), unit, 0);
  return fits.every((each) => each.fits)
    ? `A mat of ${size} is long enough.`
    : `A mat of ${size} is too short: let the back foot stand behind it.`;
}

const isStanding = (pose: CardContent['pose']): pose is PoseDefinition => 'starts' in pose;

/** The largest whole scale 1:n at which a drawing, in cm of the mat, fits a room of paper. */
const findScale = (widthCm: number, heightCm: number, room: Room): number =>
  Math.ceil(Math.max((widthCm * 10) / room.width, (heightCm * 10) / room.height));

function drawHead(content: CardContent, size: number, at: Point, right: number): Shape[] {
  const { pose, name, date } = content;
  return [
    words('title', at, pose.name, size),
    words('label', [at[0] + pose.name.length * size * 0.66 + 3, at[1]], pose.sanskrit, size * 0.6),
    words('label', [right, at[1]], `${name}, ${date}`, size * 0.6, 'end'),
  ];
}

interface Room {
  readonly width: number;
  readonly height: number;
}

/** Above and below a mat there are marks and their numbers, cm of the mat. */
const MARKS = { above: 10, below: 10 } as const;
/** Of an A5 card the drawing takes no more than this, mm: the rest is for words, of which a lying form has few. */
const A5_DRAWING = { standing: 58, lying: 84 } as const;

/** What is drawn on a card: the mat with both sides, or a lying form; and at which scale. */
function drawPicture(
  content: CardContent,
  room: Room,
  [x, y]: Point,
): { readonly shapes: Shape[]; readonly scale: number; readonly height: number } | null {
  const { pose, sides, unit, lying } = content;
  if (!isStanding(pose)) {
    if (lying === null) return null;
    const [left, top, width, height] = lying.box;
    const scale = findScale(width, height, room);
    const k = 10 / scale;
    const at: Point = [x + (room.width - width * k) / 2 - left * k, y - top * k];
    return { shapes: placeShapes(lying.shapes, k, at), scale, height: height * k };
  }
  const diagram = drawMatDiagram(pose, sides, unit);
  if (diagram === null) return null;
  const whole = MARKS.above + diagram.widthCm + MARKS.below;
  const scale = findScale(diagram.lengthCm, whole, room);
  const k = 10 / scale;
  const at: Point = [x + (room.width - diagram.lengthCm * k) / 2, y + MARKS.above * k];
  return { shapes: placeShapes(diagram.shapes, k, at), scale, height: whole * k };
}

/** Half an A4 sheet: the drawing, the numbers, the safe way in and out. */
function drawA5(content: CardContent): Page {
  const { width, height } = PAPER_SIZES.a5;
  const margin = 9;
  const inner = width - 2 * margin;
  const { pose } = content;
  const shapes: Shape[] = drawHead(content, 6, [margin, 13], width - margin);
  const top = 17;
  const most = isStanding(pose) ? A5_DRAWING.standing : A5_DRAWING.lying;
  const picture = drawPicture(content, { width: inner, height: most }, [margin, top]);
  let y = 22;
  if (picture !== null) {
    y = top + picture.height + 6;
    const told = `The drawing is 1:${String(picture.scale)}.`;
    shapes.push(
      ...picture.shapes,
      words('label', [width - margin, height - 4.6], told, 2.4, 'end'),
    );
  }
  const { gaze, breaths } = pose.guidance;
  const held = `${sayCount(breaths, 'breath')}. ${gaze}`;
  const numbers = [...listNumbers(content), sayMat(content)].filter((each) => each !== '');
  const blocks: TextBlock[] = isStanding(pose)
    ? [
        ...inHalves('Set', numbers),
        { heading: 'The way in', paragraphs: [...pose.wayIn, held] },
        { heading: 'The way out', paragraphs: [...pose.wayOut, STOP] },
      ]
    : [...inHalves('Set', numbers), { heading: 'While it is held', paragraphs: [held, STOP] }];
  shapes.push(
    ...drawColumns(blocks, [margin, y], inner, height - 9 - y),
    ...drawBar([margin, height - 4]),
  );
  return { name: `${pose.name}, A5 card`, width, height, shapes };
}

/** Five by three inches: the mat with its marks, and what to do when something is not right. */
function drawIndex(content: CardContent): Page {
  const { width, height } = PAPER_SIZES.index;
  const margin = 6;
  const inner = width - 2 * margin;
  const { pose } = content;
  const shapes: Shape[] = drawHead(content, 4.2, [margin, 8], width - margin);
  const picture = drawPicture(content, { width: inner, height: height - 22 }, [margin, 10]);
  if (picture === null) {
    const blocks = [{ heading: 'Set', paragraphs: listNumbers(content) }];
    shapes.push(...drawColumns(blocks, [margin, 15], inner, height - 28));
  } else shapes.push(...picture.shapes);
  shapes.push(
    ...drawText([margin, height - 9], inner, 2.2, [STOP]),
    ...drawBar([(width - 100) / 2, height - 4]),
  );
  return { name: `${pose.name}, index card`, width, height, shapes };
}

/**
 * One pose on a card: both sides in one diagram, with the marks to put on the mat's edge.
 *
 * @param content pose, both sides and words
 * @param size half a sheet, or an index card
 * @returns one page
 */
export const drawCard = (content: CardContent, size: CardSize): Page =>
  size === 'a5' ? drawA5(content) : drawIndex(content);

/**
 * Cards on sheets to print and cut: two A5 or three index cards on one A4.
 *
 * @param cards of one size
 * @param sheet they are printed on
 * @returns pages with cutting lines
 */
export function layCards(cards: readonly Page[], sheet: 'a4' | 'letter'): Page[] {
  const { width, height, name } = PAPER_SIZES[sheet];
  const [first] = cards;
  if (first === undefined) return [];
  // Letter is shorter than two A5 cards: one a sheet.
  const perSheet = Math.max(1, Math.floor(height / first.height));
  const pages: Page[] = [];
  for (let i = 0; i < cards.length; i += perSheet) {
    const shapes = cards.slice(i, i + perSheet).flatMap((card, row): Shape[] => {
      const at: Point = [(width - card.width) / 2, row * card.height];
      const bottom = at[1] + card.height;
      return [
        ...placeShapes(card.shapes, 1, at),
        {
          kind: 'line',
          role: 'cut',
          points: [
            [0, bottom],
            [width, bottom],
          ],
        },
      ];
    });
    pages.push({
      name: `Cards on ${name}, sheet ${String(pages.length + 1)}`,
      width,
      height,
      shapes,
    });
  }
  return pages;
}
