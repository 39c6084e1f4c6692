import { line, type Shape } from '../drawing/shapes.ts';
import { drawBar, PAPER_SIZES, SMALLEST_TEXT, words, wrapWords, type Page } from './page.ts';

/** What a person’s own page says above its lines. */
export interface Diary {
  readonly name: string;
  /** Names of the poses. */
  readonly poses: readonly string[];
  readonly date: string;
}

const MARGIN = 14;
const TEXT = SMALLEST_TEXT;
/** High enough to write in by hand, mm. */
const ROW = 8.5;
const TOP = 46;
const FOOT = 16;
/** Where the day, a box for each pose, and the words begin, mm. */
const DAY_WIDTH = 26;
const BOX_COLUMN = 27;
const BOX = 4;

const HINT = 'A line a day, when you like. Any day counts, and a day without one is no matter.';

/**
 * Lines to fill in by hand: the day, a box for each pose, and what was felt.
 *
 * @param diary for whom, and which poses
 * @param paper size of the page
 * @returns one page, as many lines as fit
 */
export function drawDiaryPage({ name, poses, date }: Diary, paper: 'a4' | 'letter'): Page {
  const { width, height } = PAPER_SIZES[paper];
  const right = width - MARGIN;
  const columns = poses.map((_, i) => MARGIN + DAY_WIDTH + i * BOX_COLUMN);
  const wordsAt = MARGIN + DAY_WIDTH + poses.length * BOX_COLUMN;
  const rows = Math.floor((height - FOOT - TOP) / ROW);
  const heads = columns.flatMap((x, i): Shape[] =>
    wrapWords(poses[i]!, TEXT, BOX_COLUMN - 2).map((text, j) =>
      words('title', [x, TOP - 9 + j * 1.2 * TEXT], text, TEXT),
    ),
  );
  const lines = Array.from({ length: rows }, (_, i): Shape[] => {
    const y = TOP + (i + 1) * ROW;
    return [
      line('extension', [MARGIN, y], [right, y]),
      ...columns.map((x): Shape => ({
        kind: 'line',
        role: 'bar',
        points: [
          [x, y - 2],
          [x + BOX, y - 2],
          [x + BOX, y - 2 - BOX],
          [x, y - 2 - BOX],
          [x, y - 2],
        ],
      })),
    ];
  });
  return {
    name: `Days at home, ${name}`,
    width,
    height,
    shapes: [
      words('title', [MARGIN, 20], `${name}, at home`, 8),
      words('label', [right, 20], date, TEXT, 'end'),
      words('card', [MARGIN, 28], HINT, TEXT),
      words('title', [MARGIN, TOP - 9], 'Day', TEXT),
      ...heads,
      words('title', [wordsAt, TOP - 9], 'How it was, and where I felt it', TEXT),
      ...lines.flat(),
      ...drawBar([MARGIN, height - 6]),
    ],
  };
}
