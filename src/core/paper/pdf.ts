import { PDFDocument, rgb, StandardFonts, type Color, type PDFFont, type PDFPage } from 'pdf-lib';
import { findStyle, PAPER, type ShapeStyle } from '../drawing/styles.ts';
import type { Point, Shape } from '../drawing/shapes.ts';
import { arcPoints } from './clip.ts';
import type { Page } from './page.ts';

/** A PDF counts in points: 72 an inch. */
const POINTS_PER_MM = 72 / 25.4;

const toColor = (hex: string): Color =>
  rgb(
    ...([1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255) as [
      number,
      number,
      number,
    ]),
  );

/** Signs that the fonts which every reader of PDF has do not hold, and what stands for them. */
const SPELLED: Readonly<Record<string, string>> = { '−': '-', '′': "'", '″': '"', '⅛': '1/8' };

function spell(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  return text
    .normalize('NFC')
    .replace(/./gu, (each) => SPELLED[each] ?? each)
    .replace(/./gu, (each) => (isKnown(each, known) ? each : plainLetter(each, known)));
}

const isKnown = (letter: string, known: ReadonlySet<number>): boolean =>
  known.has(letter.codePointAt(0) ?? 0);

/** A letter without its marks, or a question mark: a card never fails for a name. */
function plainLetter(letter: string, known: ReadonlySet<number>): string {
  const base = letter.normalize('NFD').charAt(0);
  return isKnown(base, known) ? base : '?';
}

interface Fonts {
  readonly plain: PDFFont;
  readonly bold: PDFFont;
}

function drawPath(
  page: PDFPage,
  points: readonly Point[],
  isClosed: boolean,
  { fill, stroke, width, dash }: ShapeStyle,
): void {
  const write = ([x, y]: Point): string => `${x.toFixed(4)} ${y.toFixed(4)}`;
  const path = `M ${points.map(write).join(' L ')}${isClosed ? ' Z' : ''}`;
  page.drawSvgPath(path, {
    x: 0,
    y: page.getHeight(),
    scale: POINTS_PER_MM,
    ...(fill === null || !isClosed ? {} : { color: toColor(PAPER.colours[fill]) }),
    ...(stroke === null ? {} : { borderColor: toColor(PAPER.colours[stroke]), borderWidth: width }),
    ...(dash.length === 0 ? {} : { borderDashArray: [...dash] }),
  });
}

function drawShape(page: PDFPage, shape: Shape, fonts: Fonts): void {
  switch (shape.kind) {
    case 'polygon':
      drawPath(page, shape.points, true, findStyle(shape));
      return;
    case 'line':
      drawPath(page, shape.points, false, findStyle(shape));
      return;
    case 'circle':
      drawPath(page, arcPoints(shape), true, findStyle(shape));
      return;
    case 'arc':
      drawPath(page, arcPoints(shape), false, findStyle(shape));
      return;
    case 'text': {
      const { fill, isBold } = findStyle(shape);
      const font = isBold ? fonts.bold : fonts.plain;
      const size = shape.size * POINTS_PER_MM;
      const text = spell(shape.text, font);
      const width = font.widthOfTextAtSize(text, size);
      const back = shape.anchor === 'start' ? 0 : shape.anchor === 'end' ? width : width / 2;
      page.drawText(text, {
        x: shape.at[0] * POINTS_PER_MM - back,
        y: page.getHeight() - shape.at[1] * POINTS_PER_MM,
        size,
        font,
        color: toColor(PAPER.colours[fill ?? 'ink']),
      });
    }
  }
}

/**
 * Pages as one PDF file, lines as lines and words as words. The same pages give the same
 * bytes: it carries no date.
 *
 * @param pages in order
 * @param title of the file
 * @returns the bytes of the file
 */
export async function writePdf(pages: readonly Page[], title: string): Promise<Uint8Array> {
  const file = await PDFDocument.create({ updateMetadata: false });
  file.setTitle(title);
  const fonts: Fonts = {
    plain: await file.embedFont(StandardFonts.Helvetica),
    bold: await file.embedFont(StandardFonts.HelveticaBold),
  };
  for (const { width, height, shapes } of pages) {
    const page = file.addPage([width * POINTS_PER_MM, height * POINTS_PER_MM]);
    for (const shape of shapes) drawShape(page, shape, fonts);
  }
  return file.save();
}
