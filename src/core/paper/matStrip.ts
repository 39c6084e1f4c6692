import { clipLine } from './clip.ts';
import { placeShapes, line, type Point, type Shape } from '../drawing/shapes.ts';
import { findBackMark } from '../drawing/sheetFrame.ts';
import { writeSettable } from '../drawing/units.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { saySide } from '../poses/saySide.ts';
import { sayPropsShort } from '../recipe/sheetFacts.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { drawBar, PAPER_SIZES, words, type Page } from './page.ts';

/** No printer reaches the edge of its paper, mm. */
const EDGE = 12;
/** Title and the bar, mm. */
const HEAD = 18;
const FOOT = 14;
/** One piece of the strip, and what it shares with the next, to be glued under it, mm. */
const PIECE_HEIGHT = 19;
const ROW = 21;
const OVERLAP = 10;
const TEXT = 4;
/** The strip goes on beyond its last mark, mm. */
const BEYOND = 15;
const CM_PER_TICK = { cm: 1, in: 2.54 } as const;
const TICKS_A_NUMBER = { cm: 5, in: 2 } as const;

interface MatMark {
  readonly cm: number;
  readonly words: string;
}

function listMarks(setUp: SetUp): readonly MatMark[] {
  const back = findBackMark(setUp);
  const front = getValue(setUp, 'front-heel-from-mat-edge');
  const backCm = back === null ? null : getValue(setUp, back);
  const part = back?.replace('-from-mat-edge', '').replace('-', ' ') ?? '';
  const turn = getValue(setUp, 'back-foot-angle');
  const angle = turn === null ? '' : `, toes ${String(Math.round(turn))}°`;
  return [
    ...(front === null ? [] : [{ cm: front, words: 'front heel' }]),
    ...(backCm === null ? [] : [{ cm: backCm, words: `${part}${angle}` }]),
  ];
}

/** The whole strip from the mat's front edge on, mm: ticks with numbers above, marks below. */
function drawStrip(marks: readonly MatMark[], lengthMm: number, unit: LengthUnit): Shape[] {
  const shapes: Shape[] = [line('edge-line', [0, 0], [lengthMm, 0])];
  const step = CM_PER_TICK[unit] * 10;
  for (let tick = 0; tick * step <= lengthMm + 0.01; tick += 1) {
    const x = tick * step;
    const isNamed = tick % TICKS_A_NUMBER[unit] === 0;
    shapes.push(line('tick', [x, 0], [x, isNamed ? 5 : 2.5]));
    if (isNamed) shapes.push(words('ruler', [x + 0.8, 8.5], String(tick), TEXT));
  }
  for (const { cm, words: told } of marks) {
    const x = cm * 10;
    shapes.push(
      line('bar', [x, 0], [x, PIECE_HEIGHT]),
      words('number', [x + 1, 13], `${writeSettable(cm, unit)} ${unit}`, TEXT),
      words('label', [x + 1, 17.5], told, TEXT),
    );
  }
  return shapes;
}

function clipToPiece(shape: Shape, from: number, to: number): Shape[] {
  if (shape.kind === 'text') {
    // A word stands on the piece where its mark is, to that side of the mark where there is room.
    const [x, y] = shape.at;
    if (x < from || x >= to - OVERLAP) return [];
    const runsOut = x + shape.text.length * TEXT * 0.55 > to - OVERLAP;
    return runsOut && shape.role !== 'ruler'
      ? [{ ...shape, at: [x - 2, y], anchor: 'end' }]
      : [shape];
  }
  if (shape.kind !== 'line') return [];
  return clipLine(shape.points, [from, -1], [to, PIECE_HEIGHT + 1]).map((points) => ({
    ...shape,
    points,
  }));
}

/**
 * A strip in true size for the mat's long edge, cut into pieces that are glued end to end: where the
 * heels go, from the mat's front edge.
 *
 * @param pose the pose's data
 * @param setUp one side of it
 * @param unit centimetres or inches
 * @param paper the sheets it is printed on
 * @returns one page; null when the pose has no marks
 */
export function drawMatStrip(
  pose: PoseDefinition,
  setUp: SetUp,
  unit: LengthUnit,
  paper: 'a4' | 'letter',
): Page | null {
  const marks = listMarks(setUp);
  if (marks.length === 0) return null;
  const { width, height } = PAPER_SIZES[paper];
  const window = width - 2 * EDGE;
  const most = Math.floor((height - HEAD - FOOT - EDGE) / ROW);
  const lengthMm = Math.min(
    Math.max(...marks.map(({ cm }) => cm)) * 10 + BEYOND,
    most * (window - OVERLAP),
  );
  const strip = drawStrip(marks, lengthMm, unit);
  const count = Math.ceil(lengthMm / (window - OVERLAP));
  const side = saySide(pose, setUp.side);
  const shapes = Array.from({ length: count }, (_, i): Shape[] => {
    const from = i * (window - OVERLAP);
    const to = Math.min(from + window, lengthMm);
    const at: Point = [EDGE - from, HEAD + EDGE + i * ROW];
    const [left, right] = [EDGE, EDGE + to - from];
    const [top, bottom] = [at[1], at[1] + PIECE_HEIGHT];
    return [
      ...placeShapes(
        strip.flatMap((shape) => clipToPiece(shape, from, to)),
        1,
        at,
      ),
      line('cut', [left, top], [right, top], [right, bottom], [left, bottom], [left, top]),
      ...(i === count - 1
        ? []
        : [
            line('square', [right - OVERLAP, top], [right - OVERLAP, bottom]),
            words('label', [right - OVERLAP + 1, bottom - 1], String(i + 1), TEXT),
          ]),
    ];
  }).flat();
  return {
    name: `${pose.name}, ${side}, strip for the mat’s edge`,
    width,
    height,
    shapes: [
      words('title', [EDGE, EDGE + 2], `${pose.name}, ${side}`, 6),
      words(
        'label',
        [EDGE, EDGE + 8],
        'Cut out, glue each piece over the tab of the one before; 0 lies at the mat’s front edge.',
        TEXT,
      ),
      words('label', [EDGE, EDGE + 13], sayPropsShort(setUp, unit).join(' '), TEXT),
      ...shapes,
      ...drawBar([EDGE, height - 6]),
    ],
  };
}
