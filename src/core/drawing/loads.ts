import { angleBetween, subtract } from '../geometry/vector.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import {
  nameLoad,
  nameWeight,
  sayLoads,
  writeArm,
  writeRange,
  writeShare,
} from '../setup/sayLoads.ts';
import type { JointLoad, SetUp, WeightOn } from '../setup/setUp.ts';
import { nameLandmark, type LandmarkCm } from '../skeleton/landmark.ts';
import { degreesFromRadians } from '../units/brands.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { boxOfDrawing, drawColumn, drawRow, LINE_GAP, NUMBER, type Label } from './columns.ts';
import { boxOfPoints } from './placement.ts';
import { arrow, line, type Drawing, type Point, type Shape } from './shapes.ts';
import { drawThumbnail } from './thumbnail.ts';
import { findView, toElevation, type View } from './view.ts';

/** From the body to the columns, mm. */
const GAP = 8;
/** A bend that is smaller counts as straight, degrees: its arm stands in the table alone. */
const BENT_DEG = 12;
/** How far above the body the gravity line begins. */
const LINE_ABOVE = 4;
/** Shorter arms are not seen, cm. */
const SEEN_CM = 0.5;
/** Half the tick at each end of an arm, and how far above the hips that of the low back is drawn. */
const TICK = 1.8;
const BACK_ABOVE = 6;
/** A ground reaction force as large as the whole weight is an arrow this long, so far below the floor. */
const WHOLE_WEIGHT = 22;
const FLOOR_GAP = 3;
/** Where the numbers beneath those arrows stand. */
const ROW_Y = FLOOR_GAP + WHOLE_WEIGHT + NUMBER;
const HEAD = 2.4;

const mark = ({ landmarks }: SetUp, name: string): LandmarkCm => landmarks[name]!;

/** Whether two parts that meet at a joint are out of line. */
const bends = (setUp: SetUp, from: string, at: string, to: string): boolean =>
  degreesFromRadians(
    angleBetween(
      subtract(mark(setUp, at), mark(setUp, from)),
      subtract(mark(setUp, to), mark(setUp, at)),
    ),
  ) >= BENT_DEG;

function isBent(setUp: SetUp, { joint, side }: JointLoad): boolean {
  if (side === null) return true;
  const of = (name: string): string => nameLandmark(name, side);
  return joint === 'knee'
    ? bends(setUp, of('hip'), of('knee'), of('ankle'))
    : bends(setUp, 'chestCentre', of('hip'), of('knee'));
}

/** A moment arm on the page: from the line of the weight to the joint. */
interface Arm {
  readonly load: JointLoad;
  readonly line: Point;
  readonly joint: Point;
}

function findArm(view: View, setUp: SetUp, load: JointLoad): Arm {
  const { joint, side, lineArmCm } = load;
  const name = side === null ? 'pelvisCentre' : nameLandmark(joint, side);
  const [x, y, z] = mark(setUp, name);
  const ahead = load.line === 'ahead' ? lineArmCm : -lineArmCm;
  const raised = z + (side === null ? BACK_ABOVE : 0);
  return {
    load,
    line: toElevation(view, [x + ahead, y, raised]),
    joint: toElevation(view, [x, y, raised]),
  };
}

/** A bent joint whose arm can be seen. */
const isShown = (setUp: SetUp, load: JointLoad): boolean =>
  load.lineArmCm >= SEEN_CM && isBent(setUp, load);

const listArms = (view: View, setUp: SetUp): readonly Arm[] =>
  setUp.loads.filter((load) => isShown(setUp, load)).map((load) => findArm(view, setUp, load));

const drawArm = ({ line: from, joint }: Arm, role: string): readonly Shape[] => [
  line(role, from, joint),
  line(role, [from[0], from[1] - TICK], [from[0], from[1] + TICK]),
  { kind: 'circle', role: 'joint', centre: joint, radius: 1.3 },
];

/** Where a contact’s centre of pressure lies on the page. */
const pressureOnPage = (view: View, { centreOfPressureCm: [x] }: WeightOn): number =>
  toElevation(view, [x, 0, 0])[0];

/** The vertical part of each ground reaction force, from below. */
const drawGroundReactions = (view: View, { weights }: SetUp): readonly Shape[] =>
  weights
    .filter(({ share }) => share > 0)
    .flatMap((weight) => {
      const x = pressureOnPage(view, weight);
      const below = FLOOR_GAP + WHOLE_WEIGHT * weight.share;
      return arrow('ground-reaction', HEAD, [x, below], [x, FLOOR_GAP]);
    });

/** The vertical through the centre of mass, from above the body to the floor. */
function drawGravityLine(view: View, setUp: SetUp, top: number, role: string): readonly Shape[] {
  const [x, y] = toElevation(view, mark(setUp, 'centreOfMass'));
  return [
    line(role, [x, top], [x, 2]),
    line('weight', [x - 2.2, y], [x + 2.2, y]),
    line('weight', [x, y - 2.2], [x, y + 2.2]),
  ];
}

/** Lines over landmarks: a second body over the first. */
const BONES: readonly (readonly string[])[] = [
  ['toe*', 'heel*', 'ankle*', 'knee*', 'hip*'],
  ['shoulder*', 'elbow*', 'wrist*', 'hand*'],
  ['hipLeft', 'hipRight'],
  ['pelvisCentre', 'chestCentre', 'neck', 'head'],
  ['shoulderLeft', 'shoulderRight'],
];

function drawBones(view: View, setUp: SetUp): readonly Shape[] {
  return BONES.flatMap((names) => {
    const sides = names[0]?.endsWith('*') === true ? ['Left', 'Right'] : [''];
    return sides.map((side) =>
      line(
        'other-body',
        ...names.map((name) => toElevation(view, mark(setUp, name.replace('*', side)))),
      ),
    );
  });
}

type Words = Omit<Label, 'at'>;

/** A joint’s label: its arm, and its torque where that is determined. */
function labelLoad(load: JointLoad, setUp: SetUp, unit: LengthUnit): Words {
  const torque = load.torqueShare === null ? '' : `, torque ${writeShare(load.torqueShare)}`;
  return { number: writeArm(load, unit), words: `${nameLoad(load, setUp)}${torque}` };
}

function labelWeight(weight: WeightOn, setUp: SetUp): Words {
  const range = writeRange(weight);
  const name = nameWeight(weight, setUp);
  return { number: writeShare(weight.share), words: range === null ? name : `${name}, ${range}` };
}

/** Both versions of a label in one: “45 → 40 cm”, under the name alone. */
function pairUp(first: Words, second: Words): Words {
  const [name = ''] = first.words.split(',');
  const [, unit = ''] = /( \S+)$/.exec(first.number) ?? [];
  const bare = first.number.slice(0, first.number.length - unit.length);
  const number = first.number === second.number ? first.number : `${bare} → ${second.number}`;
  return { number, words: name };
}

/**
 * Labels of what two versions have, each once: both numbers where both have it.
 *
 * @param first of the version that is drawn in full
 * @param second of the one that lies over it; empty = there is none
 * @param isSame whether two entries are the same joint or contact
 * @param label words of an entry
 * @param at where an entry stands
 */
function pairLabels<Entry>(
  first: readonly Entry[],
  second: readonly Entry[],
  isSame: (a: Entry, b: Entry) => boolean,
  label: (entry: Entry, of: 'first' | 'second') => Words,
  at: (entry: Entry) => Point,
): readonly Label[] {
  const paired = first.map((entry): Label => {
    const other = second.find((each) => isSame(each, entry));
    const own = label(entry, 'first');
    return {
      ...(other === undefined ? own : pairUp(own, label(other, 'second'))),
      at: at(entry),
    };
  });
  const onlySecond = second
    .filter((entry) => !first.some((each) => isSame(each, entry)))
    .map((entry): Label => ({ ...label(entry, 'second'), at: at(entry) }));
  return [...paired, ...onlySecond];
}

/** What is drawn: a set-up, and another version over it, in one view. */
interface Drawn {
  readonly view: View;
  readonly setUp: SetUp;
  readonly other: SetUp | null;
  readonly unit: LengthUnit;
}

const isSameJoint = (a: Arm, b: Arm): boolean =>
  a.load.joint === b.load.joint && a.load.side === b.load.side;

/** Labels of the moment arms, of those on the right of the gravity line or on its left. */
function labelArms({ view, setUp, other, unit }: Drawn, isRight: boolean): readonly Label[] {
  const first = listArms(view, setUp);
  const isLabelled = (arm: Arm): boolean => first.some((each) => isSameJoint(each, arm));
  // A joint that is labelled in one version has its number in both.
  const second =
    other === null
      ? []
      : other.loads
          .map((load) => findArm(view, other, load))
          .filter((arm) => isLabelled(arm) || isShown(other, arm.load));
  const isOnSide = (arm: Arm): boolean => {
    const { line: from, joint } = first.find((each) => isSameJoint(each, arm)) ?? arm;
    return joint[0] >= from[0] === isRight;
  };
  return pairLabels(
    first.filter(isOnSide),
    second.filter(isOnSide),
    isSameJoint,
    ({ load }, of) => labelLoad(load, of === 'first' ? setUp : (other ?? setUp), unit),
    ({ joint }) => joint,
  );
}

/** Labels of what each foot, knee and hand carries, beneath the floor. */
const labelWeights = ({ view, setUp, other }: Drawn): readonly Label[] =>
  pairLabels(
    setUp.weights,
    other?.weights ?? [],
    (a, b) => a.on === b.on && a.side === b.side,
    (weight, of) => labelWeight(weight, of === 'first' ? setUp : (other ?? setUp)),
    (weight) => [pressureOnPage(view, weight), ROW_Y],
  );

/** The second version: its bones, its gravity line and its arms. */
const drawOther = (view: View, other: SetUp, top: number): readonly Shape[] => [
  ...drawGravityLine(view, other, top, 'gravity other'),
  ...listArms(view, other).flatMap((each) => drawArm(each, 'moment-arm other')),
];

/**
 * The body from the side with its loads: the gravity line, the moment arm of each bent joint with
 * its torque where that is determined, and the weight on each foot and hand. A second version of
 * the pose lies over it as lines, on the same front heel, its numbers after the first ones.
 *
 * @param pose the pose’s data, as it is held
 * @param setUp the set-up
 * @param unit centimetres or inches
 * @param other the version that lies over it; null = none
 * @returns null when there is no posture to draw
 */
export function drawLoads(
  pose: PoseDefinition,
  setUp: SetUp,
  unit: LengthUnit,
  other: SetUp | null = null,
): Drawing | null {
  const figure = drawThumbnail(pose, setUp);
  if (figure === null) return null;
  const view = findView(pose, setUp);
  const drawn: Drawn = { view, setUp, other, unit };
  const bones = other === null ? [] : drawBones(view, other);
  const [figureLeft, figureTop, width, height] = figure.box;
  const [left, bodyTop, right] = boxOfPoints([
    [figureLeft, figureTop],
    [figureLeft + width, figureTop + height],
    ...bones.flatMap((each) => (each.kind === 'line' ? each.points : [])),
  ]);
  const top = bodyTop - LINE_ABOVE;
  const lowest = -LINE_GAP - 1;
  const shapes: Shape[] = [
    ...figure.shapes,
    ...bones,
    ...(other === null ? [] : drawOther(view, other, top)),
    ...drawGravityLine(view, setUp, top, 'gravity'),
    ...listArms(view, setUp).flatMap((each) => drawArm(each, 'moment-arm')),
    ...drawGroundReactions(view, setUp),
    ...drawColumn(labelArms(drawn, false), left - GAP, 'end', lowest),
    ...drawColumn(labelArms(drawn, true), right + GAP, 'start', lowest),
    ...drawRow(labelWeights(drawn)),
  ];
  return {
    box: boxOfDrawing(shapes, [left, top, right, ROW_Y + LINE_GAP]),
    shapes,
    caption: sayDrawn(pose, drawn),
  };
}

function sayDrawn({ name }: PoseDefinition, { view, setUp, other, unit }: Drawn): string {
  const own = sayLoads(setUp, unit);
  return other === null
    ? `${name}, ${view.words}, with its loads: ${own}`
    : `${name}, ${view.words}: ${own} Then: ${sayLoads(other, unit)}`;
}
