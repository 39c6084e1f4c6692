import { FOOT } from '../body/proportions.ts';
import { findFootSize, outlineFoot } from '../drawing/prints.ts';
import { line, placeShapes, type Point, type Shape } from '../drawing/shapes.ts';
import type { Side } from '../measures/protocol.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { Template } from './footTemplate.ts';
import { drawBar, PAPER_SIZES, words, type Page } from './page.ts';
import { roundOff } from './roundOff.ts';
import { tile } from './tiles.ts';

/** No printer reaches the edge of its paper, mm. */
const EDGE = 10;
const TEXT = 4;
/** Beneath the foot there are words and the bar, mm. */
const FOOT_ROOM = 24;
/** The angles that a back foot may be turned by, degrees, and how far their rays reach, mm. */
const ANGLES = [0, 15, 30, 45, 60, 75, 90] as const;
/** Degrees between ticks. */
const TICK = 5;
const RAY = { from: 35, to: 80 } as const;

/** Outline, heel centre, foot line, and rays to turn the foot by. The heel's centre is the origin, toes up. */
function drawOutline(lengthMm: number, widthMm: number, side: Side): Shape[] {
  const name = side === 'left' ? 'Left' : 'Right';
  const heel = FOOT.heelCentre * lengthMm;
  const toPaper = ([along, left]: Point): Point => [-left, heel - along];
  const outline = outlineFoot(lengthMm, widthMm, name).map(toPaper);
  // Toes turned out from the mat's line: the line lies to the big-toe side of the foot.
  const inner = side === 'right' ? -1 : 1;
  const at = (angle: number, reach: number): Point => {
    const turn = (angle * Math.PI) / 180;
    return [inner * Math.sin(turn) * reach, -Math.cos(turn) * reach];
  };
  const ticks = Array.from({ length: 90 / TICK + 1 }, (_, i) =>
    line('tick', at(i * TICK, RAY.to - 8), at(i * TICK, RAY.to)),
  );
  const rays = ANGLES.flatMap((angle): Shape[] => {
    const [x, y] = at(angle, RAY.to + 4);
    return [
      line('square', at(angle, RAY.from), at(angle, RAY.to)),
      words('label', [x, y], `${String(angle)}°`, TEXT, 'middle'),
    ];
  });
  return [
    { kind: 'line', role: `sole ${side}`, points: roundOff(outline) },
    line('heel', [-6, 0], [6, 0]),
    line('heel', [0, -6], [0, 6]),
    line('heel-line', [0, heel], [0, heel - lengthMm]),
    ...ticks,
    ...rays,
  ];
}

/**
 * The outline of one foot in true size, shared by all poses: lay it with its heel's centre on the mark,
 * and turn it until the ray of the angle lies along the mat.
 *
 * @param setUp any set-up of this person whose front foot stands on the floor
 * @param side of the foot
 * @param paper the sheets it is printed on
 * @returns one page; more where a foot is longer than the paper
 */
export function drawFootOutline(setUp: SetUp, side: Side, paper: 'a4' | 'letter'): Page[] {
  const { width, height } = PAPER_SIZES[paper];
  const size = findFootSize(setUp, 'front');
  const [lengthMm, widthMm] = [size.lengthCm * 10, size.widthCm * 10];
  const shapes = drawOutline(lengthMm, widthMm, side);
  const name = `${side} foot, outline in true size`;
  const heel = FOOT.heelCentre * lengthMm;
  if (lengthMm > height - EDGE - FOOT_ROOM) return tile(frame(name, shapes, lengthMm), paper);
  const at: Point = [width / 2, EDGE + lengthMm - heel];
  return [
    {
      name,
      width,
      height,
      shapes: [
        ...placeShapes(shapes, 1, at),
        words(
          'title',
          [EDGE, height - 15],
          `${side} foot: heel on its mark, the ray of the angle along the mat.`,
          TEXT,
        ),
        ...drawBar([EDGE, height - 6]),
      ],
    },
  ];
}

/** A foot longer than the paper, as a drawing that is cut into pages. */
function frame(name: string, shapes: readonly Shape[], lengthMm: number): Template {
  const width = 2 * (RAY.to + 12);
  const at: Point = [width / 2, EDGE + lengthMm];
  return {
    name,
    width,
    height: lengthMm + 2 * EDGE,
    shapes: placeShapes(shapes, 1, at),
  };
}
