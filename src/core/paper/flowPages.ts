import { drawMarks } from '../drawing/flowMat.ts';
import { drawLinkingFigure } from '../drawing/linkingFigure.ts';
import { placeShapes, type Drawing, type Point, type Shape } from '../drawing/shapes.ts';
import { drawThumbnail } from '../drawing/thumbnail.ts';
import { findView } from '../drawing/view.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { findLyingPose } from '../poses/lying/index.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { findWarmUp } from '../poses/warmUps/index.ts';
import { countBreaths } from '../sequence/flow.ts';
import type { FlowPlan } from '../sequence/flowChecks.ts';
import type { Mark } from '../sequence/marks.ts';
import type { PlannedStep } from '../sequence/plannedFlow.ts';
import { sayWayInto } from '../sequence/sayMoves.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { sayCount } from '../units/sayCount.ts';
import { drawBar, PAPER_SIZES, SMALLEST_TEXT, words, wrapWords, type Page } from './page.ts';

/** What is printed of a flow. */
export interface FlowOnPaper {
  readonly plan: FlowPlan;
  /** Whose it is. */
  readonly name: string;
  readonly date: string;
  readonly unit: LengthUnit;
}

const MARGIN = 10;
const HEAD = 20;
const FOOT = 12;
const COLUMNS = 4;
const GAP = 4;
const TEXT = SMALLEST_TEXT;
const LINE = 1.25 * TEXT;
/** Every figure is as large as the others: of 1:10 this share, unless it has no room. */
const FIGURE_SCALE = 0.13;
const FIGURE_HEIGHT = 27;
const ROW_GAP = 5;
/** The mat’s share of the width of the page. */
const MAT_SHARE = 0.75;
/** Bold letters are wider: so much of a column is filled with them. */
const BOLD_SHARE = 0.88;

/** The same drawing seen from the other side. */
function mirror({ box, ...drawing }: Drawing): Drawing {
  const [left, , width] = box;
  const flip = ([x, y]: Point): Point => [2 * left + width - x, y];
  const shapes = drawing.shapes.map((each): Shape => {
    switch (each.kind) {
      case 'polygon':
      case 'line':
        return { ...each, points: each.points.map(flip) };
      case 'circle':
      case 'arc':
        return { ...each, centre: flip(each.centre) };
      case 'text':
        return { ...each, at: flip(each.at) };
    }
  });
  return { ...drawing, box, shapes };
}

/** The small figure of a step, the mat’s front edge on the right. */
function findFigure({ setUp, place }: PlannedStep): Drawing | null {
  if (setUp === null) return drawLinkingFigure(place.pose);
  const pose = findPose(setUp.pose);
  const lying = findLyingPose(setUp.pose);
  const drawing = pose === null ? lying && drawThumbnail(lying, setUp) : drawThumbnail(pose, setUp);
  const isTurned = pose !== null && findView(pose, setUp).from === 1;
  return drawing !== null && isTurned ? mirror(drawing) : drawing;
}

/** A figure that stands on the foot of its room. */
function drawFigure(figure: Drawing | null, [x, y]: Point, width: number): readonly Shape[] {
  if (figure === null) return [];
  const [left, top, drawnWidth, drawnHeight] = figure.box;
  const k = Math.min(FIGURE_SCALE, width / drawnWidth, FIGURE_HEIGHT / drawnHeight);
  return placeShapes(figure.shapes, k, [x - left * k, y + FIGURE_HEIGHT - (top + drawnHeight) * k]);
}

interface Cell {
  readonly figure: Drawing | null;
  readonly title: readonly string[];
  readonly lines: readonly string[];
}

function sayManner({ step }: PlannedStep): string {
  if (step === null || step.manner.kind === 'passed') return 'one breath';
  const count = countBreaths(step);
  return step.manner.kind === 'rhythm' ? sayCount(count, 'time') : sayCount(count, 'breath');
}

/** One step with what is passed through before it, and what the feet do on the whole way. */
function describeCell(
  planned: PlannedStep,
  number: number,
  plan: FlowPlan,
  { unit }: FlowOnPaper,
  width: number,
): Cell {
  const { step, index, place, name } = planned;
  const isWarmUp = step?.kind === 'warm-up';
  const title = isWarmUp ? (findWarmUp(step.movement)?.name ?? name) : name;
  const side = isWarmUp ? step.side : place.side;
  return {
    figure: findFigure(planned),
    title: wrapWords(`${String(number)} ${title}`, TEXT, BOLD_SHARE * width),
    lines: [
      [side, sayManner(planned)].filter(Boolean).join(', '),
      ...sayWayInto(plan.steps, index, unit),
    ].flatMap((each) => wrapWords(each, TEXT, width)),
  };
}

const heightOf = ({ title, lines }: Cell): number =>
  FIGURE_HEIGHT + (title.length + lines.length + 0.4) * LINE;

function drawCell({ figure, title, lines }: Cell, at: Point, width: number): readonly Shape[] {
  const [x, y] = at;
  const below = y + FIGURE_HEIGHT + LINE;
  return [
    ...drawFigure(figure, at, width),
    ...title.map((text, i) => words('title', [x, below + i * LINE], text, TEXT)),
    ...lines.map((text, i) => words('card', [x, below + (title.length + i) * LINE], text, TEXT)),
  ];
}

/** Where a mark is, as it is measured on the mat. */
function sayMark({ number, side, place, serves }: Mark, plan: FlowPlan, unit: LengthUnit): string {
  const write = (cm: number): string =>
    writeLength(metresFromCm(Math.abs(cm)), unit, unit === 'cm' ? 0 : 1);
  const part = place.part === 'foot' ? 'heel' : place.part;
  const across =
    Math.abs(place.y) < 0.5
      ? 'in the middle'
      : `${write(place.y)} to the ${place.y > 0 ? 'left' : 'right'}`;
  const deg = Math.round(Math.abs(place.turnDeg));
  const toes =
    place.part === 'knee'
      ? ''
      : deg < 1
        ? ', toes ahead'
        : `, toes ${String(deg)}° to the ${place.turnDeg > 0 ? 'left' : 'right'}`;
  const poses = [...new Set(serves.map((i) => plan.steps[i]!.name))].join(', ');
  return `${String(number)}: ${side} ${part} ${write(Math.max(0, -place.x))} behind the front marks, ${across}${toes}. ${poses}.`;
}

/** Which poses share which stance. */
const sayStances = ({ runs, steps }: FlowPlan, unit: LengthUnit): readonly string[] =>
  runs.map(({ from, poses, stanceCm, backFootDeg }) => {
    const names = poses.map(({ pose }) => findAnyPose(pose)?.name ?? pose).join(', ');
    const length = writeLength(metresFromCm(stanceCm), unit, unit === 'cm' ? 0 : 1);
    const side = steps[from]!.place.side ?? '';
    return `${names}, ${side}: one stance of ${length}, back foot at ${String(Math.round(backFootDeg))}°.`;
  });

/**
 * A flow on paper: a strip of this person’s figures with what the feet do between them, and the
 * marks of the mat.
 *
 * @param asked the plan, whose it is, and the unit of lengths
 * @param paper the sheets it is printed on
 * @returns pages; none of a flow without a step
 */
export function drawFlowPages(asked: FlowOnPaper, paper: 'a4' | 'letter'): readonly Page[] {
  const { plan, name, date, unit } = asked;
  const { width, height } = PAPER_SIZES[paper];
  const { flow, steps, mat, marks, seconds } = plan;
  const inner = width - 2 * MARGIN;
  const column = (inner - (COLUMNS - 1) * GAP) / COLUMNS;
  const cells = steps
    .filter(({ step }) => step !== null)
    .map((each, i) => describeCell(each, i + 1, plan, asked, column));
  const bottom = height - FOOT;
  const bodies: Shape[][] = [];
  let y = Infinity;
  /** Room for something as high as this, on a new page where there is none. */
  const take = (needed: number): { readonly body: Shape[]; readonly top: number } => {
    if (y + needed > bottom) {
      bodies.push([]);
      y = HEAD;
    }
    const top = y;
    y += needed + ROW_GAP;
    return { body: bodies.at(-1)!, top };
  };
  for (let i = 0; i < cells.length; i += COLUMNS) {
    const row = cells.slice(i, i + COLUMNS);
    const { body, top } = take(Math.max(...row.map(heightOf)));
    for (const [at, cell] of row.entries()) {
      body.push(...drawCell(cell, [MARGIN + at * (column + GAP), top], column));
    }
  }
  if (marks.length > 0) {
    const k = (MAT_SHARE * inner) / mat.lengthCm;
    const drawn = drawMarks(mat, marks);
    const [left, above, , drawnHeight] = drawn.box;
    const front = writeLength(metresFromCm(mat.frontMarksCm), unit, unit === 'cm' ? 0 : 1);
    const lines = [
      `The front heels stand ${front} from the mat’s front edge.`,
      ...marks.map((each) => sayMark(each, plan, unit)),
      ...sayStances(plan, unit),
    ].flatMap((each) => wrapWords(each, TEXT, inner));
    const { body, top } = take(drawnHeight * k + LINE);
    body.push(
      words('title', [MARGIN, top + TEXT], 'Marks on the mat', TEXT),
      ...placeShapes(drawn.shapes, k, [MARGIN - left * k, top + 1.5 * LINE - above * k]),
    );
    for (const text of lines) {
      const { body: own, top: at } = take(LINE);
      y -= ROW_GAP;
      own.push(words('card', [MARGIN, at + TEXT], text, TEXT));
    }
  }
  const minutes = sayCount(Math.round(seconds.total / 60), 'minute');
  return bodies.map((shapes, i): Page => ({
    name: `${flow.name}, page ${String(i + 1)} of ${String(bodies.length)}`,
    width,
    height,
    shapes: [
      words('title', [MARGIN, MARGIN + 4], flow.name, 6),
      words('label', [width - MARGIN, MARGIN + 4], `${name}, ${date}, ${minutes}`, TEXT, 'end'),
      ...shapes,
      ...drawBar([MARGIN, height - 4]),
      words(
        'label',
        [width - MARGIN, height - 4],
        `${String(i + 1)} of ${String(bodies.length)}`,
        TEXT,
        'end',
      ),
    ],
  }));
}
