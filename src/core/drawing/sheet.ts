import { withLevel } from '../poses/level.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { LandmarkCm, SetUp, SettingId } from '../setup/setUp.ts';
import { METRES_PER_INCH } from '../units/brands.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { drawFigure } from './figure.ts';
import { boxOfPoints, boxOfText, choosePlace, type Box } from './placement.ts';
import type { Drawing, Point, Shape } from './shapes.ts';
import { writeDegrees, writeSettable } from './units.ts';
import { facesLongEdge, findView, FRONT_VIEW, toElevation, toPlan, type View } from './view.ts';

/** How a set-up is to be drawn. */
export interface SheetOptions {
  readonly unit: LengthUnit;
  /** Height of a label in mm; numbers are larger by their own size. */
  readonly labelMm: number;
}

const CM_PER_INCH = METRES_PER_INCH * 100;
const MAT_MARGIN = 9;
/** Fingers reach this far beyond the palm, and a crown above the ear. */
const FINGERS = 12;
const HEADROOM = 13;
const NUMBER_SIZE = 1.75;
const STANCE_SIZE = 2.5;

/** Everything one sheet is drawn from. */
interface Sheet {
  readonly setUp: SetUp;
  readonly view: View;
  readonly options: SheetOptions;
  /** Vertical place of the mat's middle line. */
  readonly planY: number;
  readonly mat: NonNullable<SetUp['mat']>;
  /** Distance of the front heel from the mat's front edge, cm. */
  readonly heelMark: number;
}

function getValue(setUp: SetUp, id: SettingId): number | null {
  return setUp.settings.find((each) => each.id === id)?.value ?? null;
}

const mark = (setUp: SetUp, name: string): LandmarkCm => setUp.landmarks[name]!;
const sideName = (setUp: SetUp, place: 'front' | 'back'): 'Left' | 'Right' =>
  (setUp.side === 'left') === (place === 'front') ? 'Left' : 'Right';

/** Where a landmark stands on the mat, cm. */
function planPoint(setUp: SetUp, name: string): readonly [number, number] {
  const [x, y] = mark(setUp, name);
  return [x, y];
}

function onPlan(sheet: Sheet, x: number, y: number): Point {
  const [px, py] = toPlan(sheet.view, x, y - matMiddle(sheet.setUp));
  return [px, py + sheet.planY];
}

/** The mat is laid so that feet and props lie in the middle of its width. */
function matMiddle(setUp: SetUp): number {
  const feet = [...(setUp.footprints?.front ?? []), ...(setUp.footprints?.back ?? [])];
  const ys = feet.map(([, y]) => y);
  if (getValue(setUp, 'hand-height') !== null) {
    for (const hand of ['handLeft', 'handRight']) {
      const [, y, z] = mark(setUp, hand);
      if (z <= (getValue(setUp, 'hand-height') ?? 0) + 5) ys.push(y);
    }
  }
  return (Math.min(...ys) + Math.max(...ys)) / 2;
}

const line = (role: string, ...points: Point[]): Shape => ({ kind: 'line', role, points });

function text(
  sheet: Sheet,
  role: string,
  at: Point,
  words: string,
  size: number,
  anchor: 'start' | 'middle' | 'end' = 'middle',
  setting?: SettingId,
): Shape {
  return {
    kind: 'text',
    role,
    at,
    text: words,
    size: size * sheet.options.labelMm,
    anchor,
    ...(setting === undefined ? {} : { setting }),
  };
}

/** A number with its plain words beneath it. */
function labelled(
  sheet: Sheet,
  at: Point,
  number: string,
  words: string,
  anchor: 'start' | 'middle' | 'end',
  setting: SettingId,
): Shape[] {
  const label = sheet.options.labelMm;
  return [
    text(sheet, 'number', at, number, NUMBER_SIZE, anchor, setting),
    text(sheet, 'label', [at[0], at[1] + label * 1.35], words, 1, anchor),
  ];
}

/** A place a label might take, and the room it would fill there. */
interface LabelPlace {
  readonly at: Point;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly boxes: readonly Box[];
}

function placeLabel(
  sheet: Sheet,
  at: Point,
  number: string,
  words: string,
  anchor: LabelPlace['anchor'],
): LabelPlace {
  const label = sheet.options.labelMm;
  const below: Point = [at[0], at[1] + label * 1.35];
  return {
    at,
    anchor,
    boxes: [
      boxOfText(number, at, NUMBER_SIZE * label, anchor),
      boxOfText(words, below, label, anchor),
    ],
  };
}

const planBottom = ({ planY, mat }: Sheet): number => planY + mat.widthCm / 2;

function drawElevation(sheet: Sheet, pose: PoseDefinition): Shape[] {
  const { setUp, view, mat, heelMark } = sheet;
  const frontEdge = toElevation(view, [heelMark, 0, 0])[0];
  const backEdge = toElevation(view, [heelMark - mat.lengthCm, 0, 0])[0];
  const shapes: Shape[] = [line('floor', [frontEdge, 0], [backEdge, 0])];
  shapes.push(...drawProp(sheet));
  shapes.push(...drawWall(sheet, pose), ...drawPad(sheet, pose));
  shapes.push(...drawFigure(view, setUp, facesLongEdge(pose)));
  for (const name of ['hip', 'knee', 'ankle']) {
    for (const side of ['Left', 'Right']) {
      const centre = toElevation(view, mark(setUp, `${name}${side}`));
      shapes.push({ kind: 'circle', role: 'joint', centre, radius: 1.1 });
    }
  }
  shapes.push(...drawKnee(sheet), ...drawHeelLift(sheet));
  return shapes;
}

/** The hand that rests on something: the lower of the two. */
const lowerHand = (setUp: SetUp): 'handLeft' | 'handRight' =>
  mark(setUp, 'handLeft')[2] < mark(setUp, 'handRight')[2] ? 'handLeft' : 'handRight';

const PAD_CM = { half: 9, height: 2.5 } as const;
const HALF_CALF_CM = 6;

const isKneeling = ({ backContact }: PoseDefinition): boolean =>
  backContact !== 'flat' &&
  backContact !== 'ball' &&
  backContact !== 'lifted' &&
  backContact !== 'on-front-leg';

/** The pad under a knee that is down. */
function drawPad({ setUp, view }: Sheet, pose: PoseDefinition): Shape[] {
  if (!isKneeling(pose)) return [];
  const [x] = toElevation(view, mark(setUp, `knee${sideName(setUp, 'back')}`));
  const { half, height } = PAD_CM;
  return [
    {
      kind: 'polygon',
      role: 'prop',
      points: [
        [x - half, 0],
        [x - half, -height],
        [x + half, -height],
        [x + half, 0],
      ],
    },
  ];
}

/** The wall behind a shin that stands up it. */
function drawWall({ setUp, view }: Sheet, pose: PoseDefinition): Shape[] {
  if (pose.backContact !== 'shin-on-wall') return [];
  const [knee, ankle] = ['knee', 'ankle'].map((name) =>
    mark(setUp, `${name}${sideName(setUp, 'back')}`),
  ) as [LandmarkCm, LandmarkCm];
  const x = toElevation(view, [knee[0] - HALF_CALF_CM, 0, 0])[0];
  return [line('floor', [x, 0], [x, -ankle[2] - 20])];
}

/** The prop under the hand, as tall as it has to be; its width is a block's. */
function drawProp(sheet: Sheet): Shape[] {
  const { setUp, view, options } = sheet;
  const height = getValue(setUp, 'hand-height');
  if (height === null) return [];
  const label = options.labelMm;
  const [x] = toElevation(view, mark(setUp, lowerHand(setUp)));
  const away = toElevation(view, [1, 0, 0])[0];
  const lineX = x + away * 13;
  const shapes: Shape[] = [];
  if (height > 0.5) {
    const half = 5.5;
    shapes.push({
      kind: 'polygon',
      role: 'prop',
      points: [
        [x - half, 0],
        [x - half, -height],
        [x + half, -height],
        [x + half, 0],
      ],
    });
  }
  const number = writeSettable(height, options.unit);
  shapes.push(
    line('dimension', [lineX, 0], [lineX, -height]),
    line('dimension', [lineX - 2, -height], [lineX + 2, -height]),
    ...labelled(
      sheet,
      [lineX + away * 3, -Math.max(height / 2, label * 2)],
      number,
      'hand up',
      away > 0 ? 'start' : 'end',
      'hand-height',
    ),
  );
  return shapes;
}

/** The front knee's bend: the angle between thigh and shank, told beside it. */
function drawKnee(sheet: Sheet): Shape[] {
  const { setUp, view } = sheet;
  const bend = getValue(setUp, 'front-knee-bend');
  if (bend === null || bend < 5) return [];
  const side = sideName(setUp, 'front');
  const knee = toElevation(view, mark(setUp, `knee${side}`));
  const ankle = toElevation(view, mark(setUp, `ankle${side}`));
  const back = -toElevation(view, [1, 0, 0])[0];
  const at: Point = [knee[0] + back * 17, (knee[1] + ankle[1]) / 2 - 2];
  return [
    line('plumb', [knee[0], knee[1] - 14], [ankle[0], 0]),
    ...labelled(
      sheet,
      at,
      writeDegrees(bend),
      'knee bend',
      back > 0 ? 'start' : 'end',
      'front-knee-bend',
    ),
  ];
}

/** How far the back heel is lifted, told behind it. */
function drawHeelLift(sheet: Sheet): Shape[] {
  const { setUp, view } = sheet;
  const lift = getValue(setUp, 'back-heel-lift');
  if (lift === null) return [];
  const [x, y] = toElevation(view, mark(setUp, `heel${sideName(setUp, 'back')}`));
  const back = -toElevation(view, [1, 0, 0])[0];
  const at: Point = [x + back * 8, y - 1];
  const anchor = back > 0 ? 'start' : 'end';
  return labelled(sheet, at, writeDegrees(lift), 'heel up', anchor, 'back-heel-lift');
}

/** Stance length between the elevation and the mat, from heel to heel. */
function drawStance(sheet: Sheet, y: number): Shape[] {
  const { setUp, view, options } = sheet;
  const stance = getValue(setUp, 'stance-length');
  if (stance === null) return [];
  const label = options.labelMm;
  const [front] = toElevation(view, mark(setUp, `heel${sideName(setUp, 'front')}`));
  const backPart = BACK_PARTS[findBackMark(setUp) ?? 'back-heel-from-mat-edge'];
  const backPoint = `${backPart}${sideName(setUp, 'back')}`;
  const [back] = toElevation(view, mark(setUp, backPoint));
  const middle = (front + back) / 2;
  const gap = label * STANCE_SIZE * 1.45;
  const toward = Math.sign(middle - front);
  const planTop = sheet.planY - sheet.mat.widthCm / 2;
  return [
    line('extension', [front, 2], [front, planTop + 12]),
    line('extension', [back, 2], [back, planTop + 12]),
    line('dimension', [front, y - 2.5], [front, y + 2.5]),
    line('dimension', [back, y - 2.5], [back, y + 2.5]),
    line('dimension', [front, y], [middle - toward * gap, y]),
    line('dimension', [middle + toward * gap, y], [back, y]),
    text(
      sheet,
      'number stance',
      [middle, y + label * 0.85],
      writeSettable(stance, options.unit),
      STANCE_SIZE,
      'middle',
      'stance-length',
    ),
    text(sheet, 'label', [middle, y + label * 2.45], `${options.unit}, heel to ${backPart}`, 1),
  ];
}

const BACK_PARTS = {
  'back-heel-from-mat-edge': 'heel',
  'back-ball-from-mat-edge': 'ball',
  'back-knee-from-mat-edge': 'knee',
} as const;
type BackMark = keyof typeof BACK_PARTS;
const BACK_MARKS = Object.keys(BACK_PARTS) as BackMark[];

/** What the back end is marked at: heel, ball or knee; null when only one foot stands. */
const findBackMark = (setUp: SetUp): BackMark | null =>
  BACK_MARKS.find((id) => getValue(setUp, id) !== null) ?? null;

const toCmStep = (unit: LengthUnit, ticks: number): number =>
  unit === 'cm' ? ticks * 10 : ticks * 6 * CM_PER_INCH;

/** The ruler a teacher reads along the mat's near edge, from the front edge on. */
function drawRuler(sheet: Sheet): Shape[] {
  const { mat, heelMark, options, planY } = sheet;
  const edgeY = planY + mat.widthCm / 2;
  const label = options.labelMm;
  const shapes: Shape[] = [];
  const at = (fromEdge: number): number => onPlan(sheet, heelMark - fromEdge, 0)[0];
  const backMark = findBackMark(sheet.setUp);
  const marks = [heelMark, ...(backMark === null ? [] : [getValue(sheet.setUp, backMark) ?? 0])];
  for (let tick = 0; toCmStep(options.unit, tick) <= mat.lengthCm + 0.1; tick += 1) {
    const cm = toCmStep(options.unit, tick);
    const x = at(cm);
    const named = tick % 2 === 0;
    shapes.push(line('tick', [x, edgeY], [x, edgeY - (named ? 3.2 : 1.8)]));
    const nearMark = marks.some((each) => Math.abs(each - cm) < label * 3.4);
    if (named && !nearMark) {
      const number = writeSettable(cm, options.unit);
      shapes.push(text(sheet, 'ruler', [x, edgeY + label * 1.1], number, 0.9));
    }
  }
  const heelMarks: readonly SettingId[] = [
    'front-heel-from-mat-edge',
    ...(backMark === null ? [] : [backMark]),
  ];
  for (const setting of heelMarks) {
    const cm = getValue(sheet.setUp, setting) ?? 0;
    const x = at(cm);
    shapes.push(
      {
        kind: 'polygon',
        role: 'heel-mark',
        points: [
          [x, edgeY - 4],
          [x - 1.8, edgeY + 0.6],
          [x + 1.8, edgeY + 0.6],
        ],
      },
      text(
        sheet,
        'number',
        [x, edgeY + label * 1.75],
        writeSettable(cm, options.unit),
        1.4,
        'middle',
        setting,
      ),
    );
  }
  return shapes;
}

/** Thirds of a right angle to either side of the way a label would like to lie. */
const RING_TURNS = [0, 30, -30, 60, -60, 90, -90, 120, -120, 150, -150, 180] as const;

/**
 * Places round a point: the nearest first, and of those the ones that lie the wished way.
 *
 * @param wishedDeg degrees, clockwise from the right, as the page turns
 */
function ringOfPlaces(
  sheet: Sheet,
  round: Point,
  wishedDeg: number,
  number: string,
  words: string,
): LabelPlace[] {
  const label = sheet.options.labelMm;
  return [1.6, 2.6, 3.6, 5, 7].flatMap((radius) =>
    RING_TURNS.map((turn) => {
      const angle = ((wishedDeg + turn) * Math.PI) / 180;
      const cos = Math.cos(angle);
      const x = round[0] + cos * radius * label * 1.6;
      const y = round[1] + Math.sin(angle) * radius * label;
      const anchor = Math.abs(cos) < 0.3 ? 'middle' : cos > 0 ? 'start' : 'end';
      return placeLabel(sheet, [x, y], number, words, anchor);
    }),
  );
}

const degreesBetween = (from: Point, to: Point): number =>
  (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;

/** Pelvis as a bar between the hips with a pointer, and what is missing to square. */
function drawPelvis(sheet: Sheet, pose: PoseDefinition, taken: readonly Box[]): Shape[] {
  const { setUp, view } = sheet;
  const plan = (name: string): Point => onPlan(sheet, ...planPoint(setUp, name));
  const left = plan('hipLeft');
  const right = plan('hipRight');
  const centre: Point = [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2];
  const angleOf = ([x, y]: Point): number => (Math.atan2(y, x) * 180) / Math.PI;
  const hipLine: Point = [left[0] - right[0], left[1] - right[1]];
  // The pelvis faces square to its hip line: from above, a quarter turn to the right of "left".
  const facing: Point = [-hipLine[1], hipLine[0]];
  const size = Math.hypot(...facing) || 1;
  const reach = 25;
  const tip: Point = [
    centre[0] + (facing[0] / size) * reach,
    centre[1] + (facing[1] / size) * reach,
  ];
  const square = facesLongEdge(pose)
    ? toPlan(view, 0, setUp.side === 'right' ? 1 : -1)
    : toPlan(view, 1, 0);
  const squareTip: Point = [centre[0] + square[0] * reach, centre[1] + square[1] * reach];
  const stacked = getValue(setUp, 'pelvis-short-of-stacked');
  const short = stacked ?? getValue(setUp, 'pelvis-short-of-square') ?? 0;
  const shapes: Shape[] = [
    line('pelvis-bar', left, right),
    line('pelvis-bar inner', left, right),
    line('pelvis-pointer', centre, tip),
    { kind: 'circle', role: 'pelvis-tip', centre: tip, radius: 1.3 },
  ];
  if (stacked === null && Math.abs(short) >= 1) {
    shapes.push(line('square', centre, squareTip), {
      kind: 'arc',
      role: 'dimension',
      centre,
      radius: reach * 0.72,
      fromDeg: angleOf(square),
      toDeg: angleOf(facing),
    });
  }
  const number = writeDegrees(Math.abs(short));
  const words = stacked === null ? 'short of square' : 'short of stacked';
  const obstacles: Box[] = [
    ...taken,
    boxOfPoints([left, right]),
    boxOfPoints([centre, tip, squareTip]),
    ...matBands(sheet),
  ];
  const [first, ...others] = ringOfPlaces(sheet, tip, degreesBetween(centre, tip), number, words);
  if (first === undefined) return shapes;
  const place = choosePlace([first, ...others], obstacles);
  shapes.push(
    ...labelled(
      sheet,
      place.at,
      number,
      words,
      place.anchor,
      stacked === null ? 'pelvis-short-of-square' : 'pelvis-short-of-stacked',
    ),
  );
  return shapes;
}

/** The back foot's turn against the mat's line, told beside it. */
function drawBackFoot(sheet: Sheet, taken: readonly Box[]): Shape[] {
  const { setUp } = sheet;
  const angle = getValue(setUp, 'back-foot-angle');
  // Feet side by side point where the mat does: nothing to tell.
  if (angle === null || getValue(setUp, 'stance-length') === null) return [];
  const side = sideName(setUp, 'back');
  const [hx, hy] = mark(setUp, `heel${side}`);
  const heel = onPlan(sheet, hx, hy);
  const toe = onPlan(sheet, ...planPoint(setUp, `toe${side}`));
  const ahead = onPlan(sheet, hx + 13, hy);
  const number = writeDegrees(angle);
  const words = 'back foot';
  const [toDegrees, aheadDegrees] = [degreesBetween(heel, toe), degreesBetween(heel, ahead)];
  const middle: Point = [(heel[0] + toe[0]) / 2, (heel[1] + toe[1]) / 2];
  const obstacles = [...taken, ...matBands(sheet), boxOfPoints([heel, ahead, toe])];
  const [first, ...others] = ringOfPlaces(sheet, middle, aheadDegrees + 180, number, words);
  if (first === undefined) return [];
  const place = choosePlace([first, ...others], obstacles);
  return [
    line('square', heel, ahead),
    {
      kind: 'arc',
      role: 'dimension',
      centre: heel,
      radius: 10,
      fromDeg: aheadDegrees,
      toDeg: toDegrees,
    },
    ...labelled(sheet, place.at, number, words, place.anchor, 'back-foot-angle'),
  ];
}

/** Where no label may stand: the ruler's edge, the far edge, and beyond both ends of the mat. */
function matBands(sheet: Sheet): Box[] {
  const bottom = planBottom(sheet);
  const ends = [sheet.heelMark, sheet.heelMark - sheet.mat.lengthCm].map(
    (x) => onPlan(sheet, x, 0)[0],
  );
  return [
    [-Infinity, bottom - 4, Infinity, Infinity],
    [-Infinity, -Infinity, Infinity, bottom - sheet.mat.widthCm + 1],
    [-Infinity, -Infinity, Math.min(...ends) + 1, Infinity],
    [Math.max(...ends) - 1, -Infinity, Infinity, Infinity],
  ];
}

function drawPlan(sheet: Sheet, pose: PoseDefinition): Shape[] {
  const { setUp, mat, heelMark, planY } = sheet;
  const front = onPlan(sheet, heelMark, 0)[0];
  const rear = onPlan(sheet, heelMark - mat.lengthCm, 0)[0];
  const half = mat.widthCm / 2;
  const shapes: Shape[] = [
    {
      kind: 'polygon',
      role: 'mat',
      points: [
        [front, planY - half],
        [rear, planY - half],
        [rear, planY + half],
        [front, planY + half],
      ],
    },
  ];
  const outline = (points: readonly (readonly [number, number])[]): Point[] =>
    points.map(([x, y]) => onPlan(sheet, x, y));
  if (setUp.balance !== null) {
    shapes.push({ kind: 'polygon', role: 'base', points: outline(setUp.balance.base) });
  }
  const line0 = onPlan(sheet, heelMark, 0);
  shapes.push(line('heel-line', line0, onPlan(sheet, heelMark - mat.lengthCm, 0)));
  const standing = (['front', 'back'] as const).filter(
    (place) => (setUp.footprints?.[place] ?? []).length > 0,
  );
  for (const place of standing) {
    shapes.push({ kind: 'polygon', role: `footprint ${place}`, points: footprint(sheet, place) });
  }
  if (isKneeling(pose)) {
    const knee = onPlan(sheet, ...planPoint(setUp, `knee${sideName(setUp, 'back')}`));
    shapes.push({ kind: 'circle', role: 'footprint back', centre: knee, radius: 5 });
  }
  const hands = findHandPlaces(sheet, pose);
  for (const points of hands) shapes.push({ kind: 'polygon', role: 'prop', points });
  const weight = onPlan(sheet, ...planPoint(setUp, 'centreOfMass'));
  const prints = [
    ...standing.map((place) => boxOfPoints(footprint(sheet, place))),
    ...hands.map(boxOfPoints),
    boxOfPoints([
      [weight[0] - 4, weight[1] - 4],
      [weight[0] + 4, weight[1] + 4],
    ]),
  ];
  const hips = ['hipLeft', 'hipRight'].map((name) => onPlan(sheet, ...planPoint(setUp, name)));
  const backFoot = drawBackFoot(sheet, [...prints, boxOfPoints(hips)]);
  const taken = [
    ...prints,
    ...backFoot.flatMap((shape) =>
      shape.kind === 'text' ? [boxOfText(shape.text, shape.at, shape.size, shape.anchor)] : [],
    ),
  ];
  shapes.push(...drawPelvis(sheet, pose, taken), ...backFoot, ...cross(weight));
  shapes.push(...drawRuler(sheet));
  const frontWord = onPlan(sheet, heelMark, 0)[0];
  const inward = -toPlan(sheet.view, 1, 0)[0];
  const label = sheet.options.labelMm;
  shapes.push(
    text(
      sheet,
      'edge',
      [frontWord + inward * 2.5, planY - half + label * 1.5],
      'front',
      1,
      inward > 0 ? 'start' : 'end',
    ),
  );
  return shapes;
}

/** A sole's outline seen from above, from the foot's landmarks: heel, waist, ball and toes. */
const SOLE_OUTLINE: readonly (readonly [number, number])[] = [
  [0.0, -0.12],
  [0.02, -0.26],
  [0.12, -0.34],
  [0.3, -0.3],
  [0.5, -0.36],
  [0.7, -0.5],
  [0.84, -0.46],
  [0.94, -0.3],
  [0.99, -0.08],
  [1.0, 0.12],
  [0.98, 0.32],
  [0.88, 0.44],
  [0.72, 0.46],
  [0.56, 0.26],
  [0.4, 0.2],
  [0.22, 0.3],
  [0.1, 0.34],
  [0.02, 0.24],
  [0, 0.08],
];

function footprint(sheet: Sheet, place: 'front' | 'back'): Point[] {
  const { setUp } = sheet;
  const side = sideName(setUp, place);
  const ball = mark(setUp, `ball${side}`);
  const toe = mark(setUp, `toe${side}`);
  // Ball to toe lies on the floor whatever the heel does: 0.28 of the foot.
  const length = Math.hypot(toe[0] - ball[0], toe[1] - ball[1]) / 0.28;
  const ux = (toe[0] - ball[0]) / (length * 0.28);
  const uy = (toe[1] - ball[1]) / (length * 0.28);
  // Big toe toward the body's midline: to the left of a right foot.
  const inner = side === 'Right' ? 1 : -1;
  const width = widthOfPrint(setUp, place);
  return SOLE_OUTLINE.map(([share, across]) => {
    const ahead = (share - 1) * length;
    const side2 = across * width * inner;
    return onPlan(sheet, toe[0] + ux * ahead - uy * side2, toe[1] + uy * ahead + ux * side2);
  });
}

/** The foot's width, read back from its outline in the set-up. */
function widthOfPrint(setUp: SetUp, place: 'front' | 'back'): number {
  const points = setUp.footprints?.[place] ?? [];
  let widest = 0;
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [a, b] = [points[i]!, points[i + 1]!];
    widest = Math.max(widest, Math.hypot(a[0] - b[0], a[1] - b[1]));
  }
  return widest;
}

const BLOCK_ON_PLAN = { along: 15, across: 7.5 } as const;

/** Where props stand under the hands, seen from above. */
function findHandPlaces(sheet: Sheet, pose: PoseDefinition): Point[][] {
  const { setUp } = sheet;
  if (getValue(setUp, 'hand-height') === null) return [];
  const places = (['front', 'back'] as const).filter((place) => pose.arms[place].reach === 'down');
  return places.map((place) => {
    const [x, y] = mark(setUp, `hand${sideName(setUp, place)}`);
    const { along, across } = BLOCK_ON_PLAN;
    const corners = [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const;
    return corners.map(([sx, sy]) => onPlan(sheet, x + (sx * along) / 2, y + (sy * across) / 2));
  });
}

/** The weight point: an ink cross in a ring. */
const cross = ([x, y]: Point): Shape[] => [
  { kind: 'circle', role: 'weight', centre: [x, y], radius: 2.1 },
  line('weight', [x - 3.4, y], [x + 3.4, y]),
  line('weight', [x, y - 3.4], [x, y + 3.4]),
];

/**
 * Draws a set-up: the body from the side straight above the mat from above, on one scale.
 *
 * @returns null when there is no posture to draw (a failed set-up)
 */
export function drawSheet(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const stanceY = options.labelMm * 2.6;
  const pose = withLevel(usual, setUp.level);
  const sheet = laySheet(pose, setUp, options, stanceY + options.labelMm * 3.3);
  if (sheet === null) return null;
  const { view } = sheet;
  const [cx, , cz] = mark(setUp, 'centreOfMass');
  const weight = toElevation(view, [cx, 0, cz]);
  const shapes = [
    ...drawPlan(sheet, pose),
    ...drawElevation(sheet, pose),
    line('weight-line', weight, [weight[0], sheet.planY]),
    ...cross(weight),
    ...drawStance(sheet, stanceY),
  ];
  const [left, top, width] = boxOfElevation(sheet);
  const height = -top + sheet.planY + sheet.mat.widthCm / 2 + options.labelMm * 3;
  return { box: [left, top, width, height], shapes, caption: describe(pose, setUp, view, options) };
}

/** The mat from above, alone. */
export function drawFromAbove(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const pose = withLevel(usual, setUp.level);
  const stanceY = options.labelMm * 2.6;
  const sheet = laySheet(pose, setUp, options, stanceY + options.labelMm * 3.3);
  if (sheet === null) return null;
  const [left, , width] = boxOfElevation(sheet);
  const bottom = sheet.planY + sheet.mat.widthCm / 2 + options.labelMm * 3;
  return {
    box: [left, 0, width, bottom],
    shapes: [...drawPlan(sheet, pose), ...drawStance(sheet, stanceY)],
    caption: describe(pose, setUp, sheet.view, options),
  };
}

/** The body from the side, alone. */
export function drawFromSide(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const pose = withLevel(usual, setUp.level);
  const sheet = laySheet(pose, setUp, options, 0);
  if (sheet === null) return null;
  const [cx, , cz] = mark(setUp, 'centreOfMass');
  const weight = toElevation(sheet.view, [cx, 0, cz]);
  const stanceY = options.labelMm * 2.6;
  return {
    box: extendBelow(boxOfElevation(sheet), options.labelMm * 6),
    shapes: [
      ...drawElevation(sheet, pose),
      line('weight-line', weight, [weight[0], 0]),
      ...cross(weight),
      ...drawStance({ ...sheet, planY: stanceY + sheet.mat.widthCm / 2 }, stanceY),
    ],
    caption: describe(pose, setUp, sheet.view, options),
  };
}

/** The body from the front edge of the mat: the pelvis's level, the front knee over its foot. */
export function drawFromFront(
  usual: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
): Drawing | null {
  const pose = withLevel(usual, setUp.level);
  const sheet = laySheet(pose, setUp, options, 0);
  if (sheet === null) return null;
  const front: Sheet = { ...sheet, view: FRONT_VIEW };
  const at = (name: string): Point => toElevation(FRONT_VIEW, mark(setUp, name));
  const side = sideName(setUp, 'front');
  const half = sheet.mat.widthCm / 2;
  const middle = matMiddle(setUp);
  const [weight, hipLeft, hipRight] = [at('centreOfMass'), at('hipLeft'), at('hipRight')];
  const hipsMiddle: Point = [(hipLeft[0] + hipRight[0]) / 2, (hipLeft[1] + hipRight[1]) / 2];
  const label = options.labelMm;
  const level = getValue(setUp, 'pelvis-level') ?? 0;
  const box = boxOfElevation(front);
  const labelAt: Point = [box[0] + box[2] - label, hipsMiddle[1] - label * 3];
  return {
    box: extendBelow(box, label * 2.5),
    shapes: [
      line('floor', [middle - half, 0], [middle + half, 0]),
      ...tickWidths(front, middle, half),
      ...drawFigure(FRONT_VIEW, setUp, true),
      ...['hip', 'knee', 'ankle'].flatMap((name) =>
        ['Left', 'Right'].map((each): Shape => ({
          kind: 'circle',
          role: 'joint',
          centre: at(`${name}${each}`),
          radius: 1.1,
        })),
      ),
      line('pelvis-bar', hipLeft, hipRight),
      line('pelvis-bar inner', hipLeft, hipRight),
      line('plumb', at(`knee${side}`), [at(`knee${side}`)[0], 0]),
      line('weight-line', weight, [weight[0], 0]),
      ...cross(weight),
      ...labelled(
        front,
        labelAt,
        writeDegrees(Math.abs(level)),
        'off level',
        'end',
        'pelvis-level',
      ),
    ],
    caption: `${pose.name}, ${setUp.side} foot in front, ${FRONT_VIEW.words}. Pelvis ${writeDegrees(Math.abs(level))} off level.`,
  };
}

/** A tick every ten centimetres across the mat. */
function tickWidths(sheet: Sheet, middle: number, half: number): Shape[] {
  const { options } = sheet;
  const ticks: Shape[] = [];
  for (let across = 0; across <= 2 * half; across += 10) {
    const x = middle - half + across;
    ticks.push(line('tick', [x, 0], [x, 2]));
    if (across % 20 === 0) {
      const number = writeSettable(across, options.unit);
      ticks.push(text(sheet, 'ruler', [x, options.labelMm * 1.7], number, 0.9));
    }
  }
  return ticks;
}

/** Everything that shapes are drawn from; null when there is no posture. */
function laySheet(
  pose: PoseDefinition,
  setUp: SetUp,
  options: SheetOptions,
  planTop: number,
): Sheet | null {
  if (setUp.mat === null || setUp.footprints === null) return null;
  return {
    setUp,
    view: findView(pose, setUp),
    options,
    mat: setUp.mat,
    planY: planTop + setUp.mat.widthCm / 2,
    heelMark: getValue(setUp, 'front-heel-from-mat-edge') ?? 0,
  };
}

/** Room for the whole body and the whole mat, as seen; ends at the floor. */
function boxOfElevation({ view, setUp, mat, heelMark }: Sheet): Drawing['box'] {
  const points = Object.values(setUp.landmarks);
  const bodyXs = points.map((point) => toElevation(view, point)[0]);
  const middle = matMiddle(setUp);
  const edges =
    view.axis === 'front'
      ? [middle - mat.widthCm / 2, middle + mat.widthCm / 2]
      : [heelMark, heelMark - mat.lengthCm].map((x) => toElevation(view, [x, 0, 0])[0]);
  const highest = Math.max(...points.map(([, , z]) => z)) + HEADROOM;
  const left = Math.min(...edges.map((x) => x - MAT_MARGIN), ...bodyXs.map((x) => x - FINGERS));
  const right = Math.max(...edges.map((x) => x + MAT_MARGIN), ...bodyXs.map((x) => x + FINGERS));
  return [left, -highest, right - left, highest];
}

const extendBelow = ([left, top, width, height]: Drawing['box'], by: number): Drawing['box'] => [
  left,
  top,
  width,
  height + by,
];

function describe(pose: PoseDefinition, setUp: SetUp, view: View, options: SheetOptions): string {
  const told: string[] = [
    `${pose.name}, ${setUp.side} foot in front, ${view.words}, above the mat from above.`,
  ];
  const tell = (id: SettingId, words: (value: string) => string): void => {
    const setting = setUp.settings.find((each) => each.id === id);
    if (setting === undefined) return;
    const { value, unit } = setting;
    const cm = `${writeSettable(value, options.unit)} ${options.unit}`;
    told.push(words(unit === 'deg' ? writeDegrees(value) : cm));
  };
  tell('stance-length', (value) => `Stance ${value}.`);
  tell('back-foot-angle', (value) => `Back foot ${value}.`);
  tell('front-knee-bend', (value) => `Front knee ${value}.`);
  tell('pelvis-short-of-square', (value) => `Pelvis ${value} short of square.`);
  tell('pelvis-short-of-stacked', (value) => `Pelvis ${value} short of stacked.`);
  tell('lifted-leg', (value) => `Back leg lifted ${value}.`);
  tell('hand-height', (value) => `Hand ${value} above the mat.`);
  return told.join(' ');
}
