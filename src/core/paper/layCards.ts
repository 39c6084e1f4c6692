import { placeShapes, type Point, type Shape } from '../drawing/shapes.ts';
import { PAPER_SIZES, type Page } from './page.ts';

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
