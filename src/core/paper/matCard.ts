import type { Point, Shape } from '../drawing/shapes.ts';
import { sayCount } from '../units/sayCount.ts';
import { drawPicture } from './cardPicture.ts';
import {
  isStanding,
  listNumbers,
  listProps,
  nameLevel,
  sayMat,
  type CardContent,
} from './cardWords.ts';
import { drawBar, PAPER_SIZES, SMALLEST_TEXT, words, wrapWords, type Page } from './page.ts';

export type CardSize = 'a5' | 'index';

const STOP = 'Pain, numbness or a catching joint: come out as you came in, and say so.';

const TEXT = SMALLEST_TEXT;
const LINE = 1.3 * TEXT;
const GAP = 6;

interface TextBlock {
  readonly heading: string;
  readonly paragraphs: readonly string[];
}

interface TextLine {
  readonly text: string;
  readonly isHeading: boolean;
}

/** Blocks as lines of a width; a heading stands above its block. */
const toLines = (blocks: readonly TextBlock[], width: number): readonly TextLine[] =>
  blocks.flatMap(({ heading, paragraphs }): TextLine[] => [
    ...(heading === '' ? [] : [{ text: heading, isHeading: true }]),
    ...paragraphs
      .flatMap((each) => wrapWords(each, TEXT, width))
      .map((text) => ({ text, isHeading: false })),
  ]);

/** Lines in two columns as high as a room allows; null = they do not fit. */
function drawColumns(
  blocks: readonly TextBlock[],
  [x, y]: Point,
  width: number,
  height: number,
): Shape[] | null {
  const column = (width - GAP) / 2;
  const lines = toLines(blocks, column);
  const most = Math.floor(height / LINE);
  if (lines.length > 2 * most) return null;
  // Even columns, but a heading never stands alone at the foot of one.
  const half = Math.ceil(lines.length / 2);
  const first = lines[half - 1]?.isHeading === true && half > 1 ? half - 1 : half;
  if (Math.max(first, lines.length - first) > most) return null;
  return lines.map(({ text, isHeading }, i) => {
    const [row, left] = i < first ? [i, x] : [i - first, x + column + GAP];
    return words(isHeading ? 'title' : 'card', [left, y + row * LINE], text, TEXT);
  });
}

function drawHead(content: CardContent, size: number, at: Point, right: number): Shape[] {
  const { pose, name, date } = content;
  const title = words('title', at, pose.name, size);
  const full = `${name}, ${date}`;
  const room = right - at[0] - pose.name.length * size * 0.66 - full.length * TEXT * 0.52;
  const owner = words('label', [right, at[1]], room < 3 ? name : full, TEXT, 'end');
  const sanskrit = words(
    'label',
    [at[0] + pose.name.length * size * 0.66 + 3, at[1]],
    pose.sanskrit,
    TEXT,
  );
  const hasRoom = room > pose.sanskrit.length * TEXT * 0.52 + 6;
  return [title, ...(hasRoom ? [sanskrit] : []), owner];
}

/** Heights that the drawing of an A5 card may have, mm, the largest first: the rest is for words. */
const A5_DRAWINGS = [76, 70, 64, 58, 50] as const;
/** Half an A4 sheet: body, mat and numbers, and the safe way in and out, on its back where they do not fit. */
function drawA5(content: CardContent): Page[] {
  const { width, height } = PAPER_SIZES.a5;
  const margin = 8;
  const inner = width - 2 * margin;
  const { pose } = content;
  const head = drawHead(content, 6, [margin, 11], width - margin);
  const foot = drawBar([margin, height - 4]);
  const { gaze, breaths } = pose.guidance;
  const held = `${sayCount(breaths, 'breath')}. ${gaze}`;
  const numbers = [
    ...nameLevel(content),
    ...listProps(content),
    ...listNumbers(content),
    sayMat(content),
  ];
  const set = { heading: 'Set', paragraphs: numbers.filter((each) => each !== '') };
  const way: readonly TextBlock[] = isStanding(pose)
    ? [
        { heading: 'The way in', paragraphs: [...pose.wayIn, held] },
        { heading: 'The way out', paragraphs: [...pose.wayOut, STOP] },
      ]
    : [{ heading: 'While it is held', paragraphs: [held, STOP] }];
  const felt = content.feel ?? [];
  const told = felt.length === 0 ? way : [...way, { heading: 'What to feel', paragraphs: felt }];
  const draw = (blocks: readonly TextBlock[], top: number): Shape[] | null =>
    drawColumns(blocks, [margin, top], inner, height - 8 - top);
  const page = (name: string, shapes: readonly Shape[]): Page => ({
    name: `${pose.name}, A5 card${name}`,
    width,
    height,
    shapes: [...head, ...shapes, ...foot],
  });
  /** The drawing as high as the words beneath it allow; null = they do not fit beneath the smallest. */
  const drawWith = (blocks: readonly TextBlock[]): Shape[] | null => {
    for (const most of A5_DRAWINGS) {
      const picture = drawPicture(content, { width: inner, height: most }, [margin, 14]);
      const lines = draw(blocks, picture === null ? 20 : 14 + picture.height + 7);
      if (lines === null) continue;
      if (picture === null) return lines;
      const scale = `1:${String(picture.scale)}`;
      return [
        ...picture.shapes,
        ...lines,
        words('label', [width - margin, height - 4], scale, TEXT, 'end'),
      ];
    }
    return null;
  };
  const all = drawWith([set, ...told]);
  if (all !== null) return [page('', all)];
  // A long recipe has the way in and out on its back, and a very long one the recipe too.
  const front = drawWith([set]);
  const back = draw(told, 20) ?? [];
  return front === null
    ? [
        page('', drawWith([]) ?? []),
        page(', back', draw([set], 20) ?? []),
        page(', way in and out', back),
      ]
    : [page('', front), page(', back', back)];
}

/** Five by three inches: body, mat with its marks, props, and what to do when something is not right. */
function drawIndex(content: CardContent): Page {
  const { width, height } = PAPER_SIZES.index;
  const margin = 6;
  const inner = width - 2 * margin;
  const { pose } = content;
  const picture = drawPicture(content, { width: inner, height: 36 }, [margin, 9]);
  const top = picture === null ? 14 : 14 + picture.height;
  const stop = wrapWords(STOP, TEXT, inner);
  const most = Math.floor((height - 7 - top) / LINE) + 1 - stop.length;
  const numbers = [...listProps(content), ...listNumbers(content)]
    .flatMap((each) => wrapWords(each, TEXT, inner))
    .slice(0, Math.max(0, most));
  return {
    name: `${pose.name}, index card`,
    width,
    height,
    shapes: [
      ...drawHead(content, 4.6, [margin, 7], width - margin),
      ...(picture?.shapes ?? []),
      ...[...numbers, ...stop].map((text, i) =>
        words('card', [margin, top + i * LINE], text, TEXT),
      ),
      ...drawBar([(width - 100) / 2, height - 2.5]),
    ],
  };
}

/**
 * One pose on a card: the body, both sides in one diagram with the marks to put on the mat's edge, props
 * and words, none smaller than 11 points.
 *
 * @param content pose, both sides and words
 * @param size half a sheet, or an index card
 * @returns its front, and its back where not everything fits
 */
export const drawCard = (content: CardContent, size: CardSize): readonly Page[] =>
  size === 'a5' ? drawA5(content) : [drawIndex(content)];
