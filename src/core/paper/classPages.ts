import type { PoseSheet } from '../classes/classSheet.ts';
import type { Shape } from '../drawing/shapes.ts';
import { drawBar, PAPER_SIZES, SMALLEST_TEXT, words, wrapWords, type Page } from './page.ts';

/** What is printed of a class. Of nobody’s health, age or weight anything is known here. */
export interface ClassOnPaper {
  readonly name: string;
  /** When it meets, or the day, in words. */
  readonly when: string;
  readonly sheets: readonly PoseSheet[];
  /** Everybody, with what a substitute should watch. */
  readonly people: readonly { readonly name: string; readonly watch: readonly string[] }[];
}

const MARGIN = 12;
const FOOT = 16;
const TEXT = SMALLEST_TEXT;
const LINE = 1.35 * TEXT;
const LARGE = 9;
const TITLE = 7;
/** Bold letters are wider: so much of a line is filled with them. */
const BOLD_SHARE = 0.88;

/** Common practice, no source: said in every class. */
const STOP =
  'Pain, numbness or a catching joint: come out as you came in. Nothing here is a diagnosis; local rules for teachers come first.';

/** One line of a page; a gap stands before a heading. */
interface Line {
  readonly role: 'title' | 'card' | 'label';
  readonly text: string;
  readonly size: number;
  readonly gap: number;
}

const plain = (text: string, width: number): readonly Line[] =>
  wrapWords(text, TEXT, width).map((each) => ({ role: 'card', text: each, size: TEXT, gap: 0 }));

const heading = (text: string): Line => ({ role: 'title', text, size: TEXT * 1.15, gap: LINE / 2 });

const isEmpty = (list: readonly unknown[]): boolean => list.length === 0;

/** Each group’s number large, its members below it. */
function listGroupLines({ groups, setting }: PoseSheet, width: number): readonly Line[] {
  if (setting === null || isEmpty(groups)) {
    return [heading('Everybody their own number'), ...plain('See each line below.', width)];
  }
  return groups.flatMap(({ value, names }): Line[] => [
    { role: 'title', text: value, size: LARGE, gap: LINE / 2 },
    ...plain(names.join('; '), width),
  ]);
}

/** What stands on the page of one pose, in its order. */
function listLines(sheet: PoseSheet, width: number): readonly Line[] {
  const { lines, layOut, keepFrom, notPlanned } = sheet;
  const laid = layOut.map(({ name, count }) => `${String(count)} × ${name.toLowerCase()}`);
  return [
    ...listGroupLines(sheet, width),
    ...(isEmpty(laid) ? [] : [heading('Lay out beforehand'), ...plain(laid.join(', '), width)]),
    ...(isEmpty(keepFrom)
      ? []
      : [
          heading('Keep from'),
          ...keepFrom.flatMap(({ name, instead }) =>
            plain(instead === '' ? name : `${name}: ${instead}`, width),
          ),
        ]),
    ...(isEmpty(notPlanned)
      ? []
      : [heading('Set up by eye, not measured'), ...plain(notPlanned.join(', '), width)]),
    ...(isEmpty(lines)
      ? []
      : [
          heading('Each their own'),
          ...lines.flatMap(({ member, words: said, marks }) =>
            plain(
              `${member.name}${member.isGuest ? ' (estimate)' : ''}: ${[...said, marks].filter(Boolean).join(', ')}`,
              width,
            ),
          ),
        ]),
  ];
}

const heightOf = ({ size, gap }: Line): number => gap + Math.max(LINE, 1.25 * size);

/** Lines on as many pages as they take; each begins with the same head. */
function layLines(
  lines: readonly Line[],
  title: string,
  side: string,
  paper: 'a4' | 'letter',
): readonly Page[] {
  const { width, height } = PAPER_SIZES[paper];
  const bottom = height - FOOT - 2 * LINE;
  const pages: Page[] = [];
  let shapes: Shape[] = [];
  let y = 0;
  const begin = (): void => {
    const [first = ''] = wrapWords(title, TITLE, BOLD_SHARE * (width - 2 * MARGIN));
    shapes = [
      words('title', [MARGIN, MARGIN + TITLE], first, TITLE),
      words('label', [MARGIN, MARGIN + TITLE + 1.6 * TEXT], side, TEXT),
    ];
    y = MARGIN + TITLE + 2.6 * TEXT;
  };
  const end = (): void => {
    const notes = wrapWords(STOP, TEXT, width - 2 * MARGIN);
    pages.push({
      name: pages.length === 0 ? title : `${title}, page ${String(pages.length + 1)}`,
      width,
      height,
      shapes: [
        ...shapes,
        ...notes.map((text, i) =>
          words('label', [MARGIN, height - FOOT - (notes.length - 1 - i) * LINE], text, TEXT),
        ),
        ...drawBar([MARGIN, height - 7]),
      ],
    });
  };
  begin();
  for (const line of lines) {
    if (y + heightOf(line) > bottom) {
      end();
      begin();
    }
    y += heightOf(line);
    shapes.push(words(line.role, [MARGIN, y], line.text, line.size));
  }
  end();
  return pages;
}

/**
 * The sheet of a class: one page a pose, more where a class is large. What is on it anybody in the
 * room may read: groups, what is different for whom, what is laid out, and who is kept from a pose,
 * never why.
 *
 * @param content of the class
 * @param paper that it is printed on
 * @returns pages in the order of the poses
 */
export const drawClassPages = (
  { name, when, sheets }: ClassOnPaper,
  paper: 'a4' | 'letter',
): readonly Page[] => {
  const width = PAPER_SIZES[paper].width - 2 * MARGIN;
  return sheets.flatMap((sheet) =>
    layLines(listLines(sheet, width), sheet.name, `${name}, ${when}`, paper),
  );
};

/**
 * What a substitute teacher is given: who comes and what to watch, then the sheet.
 *
 * @param content of the class
 * @param paper that it is printed on
 * @returns the page of people first
 */
export function drawHandover(content: ClassOnPaper, paper: 'a4' | 'letter'): readonly Page[] {
  const { name, when, sheets, people } = content;
  const width = PAPER_SIZES[paper].width - 2 * MARGIN;
  const lines: Line[] = [
    heading('Poses'),
    ...plain(sheets.map((each) => each.name).join(', '), width),
    heading('Who comes, and what to watch'),
    ...people.flatMap(({ name: who, watch }) =>
      plain(isEmpty(watch) ? who : `${who}: ${watch.join('; ')}`, width),
    ),
  ];
  return [...layLines(lines, name, when, paper), ...drawClassPages(content, paper)];
}
