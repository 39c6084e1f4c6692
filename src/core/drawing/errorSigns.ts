import { arrow, line, type Drawing, type Point, type Shape } from './shapes.ts';

/** Side of the square that a sign is drawn in, mm. */
const SIZE = 40;
const HEAD = 3.2;

/** `x,y x,y`: a line through places of the square, y down. */
type Trace = string;

/** A few strokes: what stands there, what should be there, and where it goes. */
interface Strokes {
  readonly body: readonly Trace[];
  /** Where it should be. */
  readonly guide?: readonly Trace[];
  /** Arrows: where it goes instead. */
  readonly goes?: readonly Trace[];
  /** Centres of heads and joints with their radius. */
  readonly rounds?: readonly (readonly [number, number, number])[];
}

const FLOOR = '2,37 38,37';

/** Our own drawings, one an error. */
const STROKES: Readonly<Record<string, Strokes>> = {
  'knee-drifts': {
    body: [FLOOR, '22,6 13,21 20,36', '15,36 26,36'],
    guide: ['21,6 21,36'],
    goes: ['25,21 15,21'],
  },
  'pelvis-hauled': {
    body: ['8,14 32,14', '29,14 21,26 30,37', '11,14 6,37'],
    goes: ['8,12 8,3', '32,12 32,5'],
  },
  'pelvis-drops': {
    body: ['8,12 32,20', '10,13 10,37', '30,20 30,37', FLOOR],
    guide: ['8,12 34,12'],
    goes: ['34,12 34,21'],
  },
  'stance-long': {
    body: [FLOOR, '20,12 4,36', '20,12 36,36'],
    goes: ['14,30 4,30', '26,30 36,30'],
  },
  'legs-upright': {
    body: [FLOOR, '20,8 16,36', '20,8 24,36'],
    guide: ['20,8 6,36', '20,8 34,36'],
    goes: ['8,31 15,31', '32,31 25,31'],
  },
  'back-hip-rises': {
    body: ['8,24 32,14', '10,23 10,37', '30,15 30,37', FLOOR],
    guide: ['8,24 36,24'],
    goes: ['35,24 35,12'],
  },
  'hip-creeps': {
    body: [FLOOR, '34,36 30,24 18,20 3,36', '18,20 18,6'],
    goes: ['12,14 26,14'],
  },
  'back-rounds': {
    body: [FLOOR, '10,36 10,18 14,12 22,9 29,13 32,20'],
    guide: ['10,18 34,14'],
    goes: ['22,17 22,10'],
    rounds: [[34, 23, 3]],
  },
  'heel-floats': {
    body: [FLOOR, '32,36 14,29 16,24', '16,24 26,5'],
    goes: ['11,36 11,29'],
  },
  'feet-turned-in': {
    body: ['9,35 16,13', '31,35 24,13'],
    guide: ['9,35 9,12', '31,35 31,12'],
    goes: ['9,10 16,10', '31,10 24,10'],
  },
  'heels-in-line': {
    body: ['20,38 20,26', '20,14 20,2'],
    guide: ['12,40 12,0', '28,40 28,0'],
    goes: ['28,32 22,32', '12,8 18,8'],
  },
  'knees-locked': {
    body: [FLOOR, '22,4 16,20 20,36', '18,36 28,36'],
    guide: ['22,4 21,36'],
    goes: ['27,20 18,20'],
  },
  'knee-bends': {
    body: [FLOOR, '6,8 24,19 32,36'],
    guide: ['6,8 32,36'],
    goes: ['17,23 23,18'],
  },
  'neck-short': {
    body: ['12,38 15,20 20,14'],
    rounds: [[19, 9, 5]],
    guide: ['15,20 17,4'],
    goes: ['30,8 24,12'],
  },
  'twist-from-pelvis': {
    body: ['6,24 34,16', '10,10 30,10'],
    guide: ['6,20 34,20'],
    goes: ['36,24 34,12', '4,14 6,28'],
  },
  'hand-beside-ankle': {
    body: [FLOOR, '26,36 24,12 8,12', '24,12 36,6', '12,12 22,36'],
    goes: ['22,32 6,32'],
  },
  'on-kneecap': {
    body: [FLOOR, '4,36 22,36 24,12', '24,12 24,4'],
    goes: ['31,24 25,34'],
    rounds: [[23, 35, 2]],
  },
  'heel-hidden': {
    body: ['4,3 4,37', FLOOR, '8,36 6,15', '8,36 22,18 24,4'],
    rounds: [[7, 14, 2]],
    goes: ['14,14 9,14'],
  },
  'arches-fall': {
    body: [FLOOR, '14,8 16,30 6,36', '16,30 20,36', '6,36 20,36', '32,8 30,30 34,36'],
    goes: ['16,22 20,34'],
  },
  'breath-held': {
    body: ['14,26 26,26', '20,36 20,40'],
    rounds: [[20, 20, 15]],
    guide: ['14,26 26,26'],
    goes: ['32,33 24,28'],
  },
  'shoulders-up': {
    body: ['4,38 6,24 14,19 26,19 34,24 36,38', '20,19 20,16'],
    rounds: [[20, 10, 6]],
    goes: ['9,30 9,20', '31,30 31,20'],
  },
  'gaze-wanders': {
    body: ['6,20 20,12 34,20 20,28 6,20'],
    rounds: [[20, 20, 4]],
    goes: ['16,34 5,34', '24,34 35,34'],
  },
};

const toPoints = (trace: Trace): Point[] =>
  trace.split(' ').map((pair) => {
    const [x, y] = pair.split(',').map(Number);
    return [x!, y!];
  });

/**
 * A small drawing of an error of poseErrors/catalogue.ts.
 *
 * @param id of the error
 * @param words that describe it, for those who do not see it
 * @returns null when the error is not one we know
 */
export function drawErrorSign(id: string, words: string): Drawing | null {
  const strokes = STROKES[id];
  if (strokes === undefined) return null;
  const { body, guide = [], goes = [], rounds = [] } = strokes;
  const shapes: Shape[] = [
    ...guide.map((trace) => line('sign-guide', ...toPoints(trace))),
    ...body.map((trace) => line('sign-body', ...toPoints(trace))),
    ...rounds.map(([x, y, radius]): Shape => ({
      kind: 'circle',
      role: 'sign-body',
      centre: [x, y],
      radius,
    })),
    ...goes.flatMap((trace) => arrow('sign-goes', HEAD, ...toPoints(trace))),
  ];
  return { box: [0, 0, SIZE, SIZE], shapes, caption: words };
}
