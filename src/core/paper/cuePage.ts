import type { CueSheet } from '../cues/cueSheet.ts';
import { capital } from '../units/capital.ts';
import { sayCount } from '../units/sayCount.ts';
import { line, type Shape } from '../drawing/shapes.ts';
import { drawBar, PAPER_SIZES, SMALLEST_TEXT, words, wrapWords, type Page } from './page.ts';

/** What is printed above the cues of a pose. */
export interface CuesOnPaper {
  readonly sheet: CueSheet;
  /** A person, a flow or a class. */
  readonly name: string;
  readonly date: string;
  /** The way there from the pose before; empty = none is said. */
  readonly wayIn: readonly string[];
}

const MARGIN = 14;
const FOOT = 12;
const TEXT = SMALLEST_TEXT;
const LINE = 1.35 * TEXT;
const HEADING = 4.6;
const TITLE = 8;
/** Of the page’s width: where the words after a breath begin. */
const BREATH_COLUMN = 34;

/** Lines of the page from above, each where the one before it ended. */
class Column {
  readonly shapes: Shape[] = [];
  private y = MARGIN;

  constructor(private readonly width: number) {}

  private write(text: string, size: number, role: string, x = MARGIN): void {
    for (const each of wrapWords(text, size, this.width - x - MARGIN)) {
      this.y += size === TEXT ? LINE : 1.3 * size;
      this.shapes.push(words(role, [x, this.y], each, size));
    }
  }

  title(text: string): void {
    this.write(text, TITLE, 'title');
  }

  heading(text: string): void {
    this.y += LINE * 0.7;
    this.write(text, HEADING, 'number');
    this.y += 1.2;
    this.shapes.push(line('extension', [MARGIN, this.y], [this.width - MARGIN, this.y]));
  }

  text(text: string): void {
    this.write(text, TEXT, 'words');
  }

  /** Words with what they belong to on their left. */
  pair(left: string, right: string): void {
    const top = this.y;
    this.write(right, TEXT, 'words', MARGIN + BREATH_COLUMN);
    this.shapes.push(words('label', [MARGIN, top + LINE], left, TEXT));
  }
}

const sayOption = ({ words: text, fits }: CueSheet['easier'][number]): string =>
  fits === null ? text : `${text} (${fits ? 'fits' : 'does not fit yet'})`;

/**
 * The cues of a pose on one page.
 *
 * @param printed the sheet, and for whom it is
 * @param paper size of the page
 * @returns every line of the sheet, once
 */
export function drawCuePage(
  { sheet, name, date, wayIn }: CuesOnPaper,
  paper: 'a4' | 'letter',
): Page {
  const { width, height } = PAPER_SIZES[paper];
  const column = new Column(width);
  const { breaths, secondsABreath, plan, cues, unsaid } = sheet;
  column.title(sheet.name);
  column.text(
    `${name}, ${date}. ${sayCount(breaths, 'breath')} of ${String(secondsABreath)} seconds.`,
  );
  if (wayIn.length > 0) {
    column.heading('The way there');
    for (const each of wayIn) column.text(each);
  }
  column.heading('With the breath');
  for (const { breath, on, words: said } of plan) {
    column.pair(`breath ${String(breath)}, ${on}`, `${capital(said)}.`.replace('..', '.'));
  }
  if (unsaid.length > 0) column.text(`If there is time: ${unsaid.join('; ')}.`);
  column.heading('Gaze and reach');
  for (const each of cues.gaze) column.text(each);
  if (cues.farPoints.length > 0) column.text(`Reach apart: ${cues.farPoints.join(' and ')}.`);
  column.heading('Often seen, the likeliest first');
  for (const { seen, first, felt, times } of sheet.tendencies) {
    const noted = times === 0 ? '' : `, noted ${sayCount(times, 'time')}`;
    column.text([`${seen}${noted}.`, first, felt].filter(Boolean).join(' '));
  }
  column.heading('Easier');
  for (const each of sheet.easier) column.text(capital(sayOption(each)));
  column.heading('Harder');
  for (const each of sheet.harder) column.text(capital(sayOption(each)));
  const shapes = [...column.shapes, ...drawBar([MARGIN, height - FOOT])];
  return { name: `cues ${sheet.pose}`, width, height, shapes };
}
