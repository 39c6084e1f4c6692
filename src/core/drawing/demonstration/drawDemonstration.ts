import type { Body } from '../../body/body.ts';
import type { Demonstration } from '../../measures/demonstration.ts';
import type { Protocol } from '../../measures/protocol.ts';
import { drawBoth } from './drawBoth.ts';
import { DOT, drawLimb, drawReading, drawThing } from './marks.ts';
import { drawFigure } from '../figure.ts';
import { boxOfPoints } from '../placement.ts';
import { line, type Drawing, type Point, type Shape } from '../shapes.ts';
import { toElevation, type View } from '../view.ts';
import {
  measuredPlace,
  poseDemonstration,
  type Demonstrated,
} from '../../skeleton/poseDemonstration.ts';

/** Millimetres of paper, at 1:10: paper round the body, and round a part that is seen near. */
const MARGIN = 9;
const NEAR_HALF = 21;

const VIEWS: Readonly<Record<Demonstration['seenFrom'], View>> = {
  'the side': { axis: 'side', from: -1, words: 'from the side' },
  'the front': { axis: 'front', from: 1, words: 'from the front' },
  'the feet': { axis: 'front', from: 1, words: 'from the feet' },
  above: { axis: 'above', from: 1, words: 'from above' },
};

/** A body on its back seen from above is drawn as one that stands, seen from the front. */
const findDemonstrationView = (demo: Demonstration): View =>
  demo.base === 'on the back' && demo.seenFrom === 'above'
    ? { ...VIEWS['the front'], words: 'from above' }
    : VIEWS[demo.seenFrom];

const isOnFloor = ({ words }: View): boolean => words !== 'from above';

/**
 * How a measure is taken, on this person's own body: the posture solved by the model, the
 * landmarks and the instrument marked. 1:10, millimetres.
 *
 * @param body lengths of the body, metres
 * @param protocol how the measure is taken
 * @returns a drawing whose lines are as thick at every scale
 */
export function drawDemonstration(body: Body, protocol: Protocol): Drawing {
  const { demonstration: demo } = protocol;
  const view = findDemonstrationView(demo);
  const near = drawView(body, protocol, view);
  const overview = findOverview(demo);
  if (overview === null) return near;
  const whole = drawView(body, protocol, overview);
  return drawBoth({ drawing: whole, words: overview.words }, { drawing: near, words: view.words });
}

/**
 * From where the whole body is seen too, because seen along its length it is a heap: a body that lies,
 * from its side; one that stands or sits, from the front.
 */
function findOverview({ base, seenFrom }: Demonstration): View | null {
  if (seenFrom === 'the feet') return VIEWS['the side'];
  return seenFrom === 'above' && (base === 'standing' || base === 'sitting')
    ? VIEWS['the front']
    : null;
}

/** The posed body with its landmarks and instrument from one side. */
function drawView(body: Body, protocol: Protocol, view: View): Drawing {
  const { demonstration: demo } = protocol;
  const posed = poseDemonstration(body, demo);
  const side = measuredPlace(demo) === 'front' ? 'right' : 'left';
  const drawn = { landmarks: posed.landmarks, side, settings: [] } as const;
  const figure = drawFigure(view, drawn, view.axis !== 'side');
  // Only from where it is read does the angle look as large as it is.
  const isReadHere = view.words === findDemonstrationView(demo).words;
  const reading = isReadHere ? drawReading(demo, view, posed) : drawLimb(demo, view, posed);
  const things = drawThing(demo, view, posed);
  const box = findBox(demo, view, posed, [...figure, ...reading, ...things]);
  const floor: Shape[] = isOnFloor(view) ? [line('floor', [box[0], 0], [box[0] + box[2], 0])] : [];
  return {
    box,
    shapes: [...floor, ...things, ...figure, ...reading].map((shape) => fitDot(demo, shape)),
    caption: `${protocol.name}, seen ${view.words}: ${protocol.landmarks}.`,
    look: 'demonstration',
  };
}

/** Seen near, a dot must not hide what it marks. */
const fitDot = ({ near }: Demonstration, shape: Shape): Shape =>
  near !== undefined && shape.kind === 'circle' ? { ...shape, radius: DOT.near } : shape;

function pointsOf(shape: Shape): readonly Point[] {
  switch (shape.kind) {
    case 'polygon':
    case 'line':
      return shape.points;
    case 'circle':
    case 'arc': {
      const [x, y] = shape.centre;
      const r = shape.radius;
      return [
        [x - r, y - r],
        [x + r, y + r],
      ];
    }
    case 'text':
      return [shape.at];
  }
}

function findBox(
  demo: Demonstration,
  view: View,
  { points }: Demonstrated,
  shapes: readonly Shape[],
): Drawing['box'] {
  if (demo.near !== undefined) {
    const [x, y] = toElevation(view, points[demo.near]);
    return [x - NEAR_HALF, y - NEAR_HALF * 0.75, NEAR_HALF * 2, NEAR_HALF * 1.5];
  }
  const [left, top, right, bottom] = boxOfPoints(shapes.flatMap(pointsOf));
  return [left - MARGIN, top - MARGIN, right - left + 2 * MARGIN, bottom - top + 2 * MARGIN];
}
