import { type PoseDefinition, restsOnProp } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import { drawFigure } from './figure.ts';
import { line, type Point, type Shape } from './shapes.ts';
import { getValue } from '../setup/setUp.ts';
import { isSeat, ON_THE_FLOOR_CM } from './prints.ts';
import { labelled, mark, sideName, standing, type Sheet } from './sheetFrame.ts';
import { drawStrap, drawSupports, HALF_HAND_PROP, HALF_SEAT, hasWallAcross } from './supports.ts';
import { writeDegrees, writeSettable } from './units.ts';
import { facesLongEdge, toElevation } from './view.ts';

/**
 * The body, its props and its numbers as seen from the side or the front.
 *
 * @param sheet what shapes are drawn from
 * @param pose the pose's data
 * @returns shapes, back to front, mm at 1:10
 */
export function drawElevation(sheet: Sheet, pose: PoseDefinition): Shape[] {
  const { setUp, view, mat, matFront } = sheet;
  const frontEdge = toElevation(view, [matFront, 0, 0])[0];
  const backEdge = toElevation(view, [matFront - mat.lengthCm, 0, 0])[0];
  const shapes: Shape[] = [line('floor', [frontEdge, 0], [backEdge, 0])];
  shapes.push(...drawHandProps(sheet, pose));
  shapes.push(...drawSupports(sheet));
  shapes.push(...drawFigure(view, setUp, facesLongEdge(pose)));
  shapes.push(...drawStrap(sheet));
  for (const name of ['hip', 'knee', 'ankle']) {
    for (const side of ['Left', 'Right']) {
      const centre = toElevation(view, mark(setUp, `${name}${side}`));
      shapes.push({ kind: 'circle', role: 'joint', centre, radius: 1.1 });
    }
  }
  shapes.push(...drawHandHeight(sheet), ...drawKnee(sheet), ...drawHeelLift(sheet));
  return shapes;
}

/** The hand that rests on something: the lower of the two. */
const lowerHand = (setUp: SetUp): 'handLeft' | 'handRight' =>
  mark(setUp, 'handLeft')[2] < mark(setUp, 'handRight')[2] ? 'handLeft' : 'handRight';

/** The props under the hands, as tall as they have to be; as wide as a block. One hides another close behind it. */
function drawHandProps(sheet: Sheet, pose: PoseDefinition): Shape[] {
  const { setUp, view } = sheet;
  const height = getValue(setUp, 'hand-height');
  if (height === null || height <= ON_THE_FLOOR_CM) return [];
  const [x] = toElevation(view, mark(setUp, lowerHand(setUp)));
  const others = (['front', 'back'] as const)
    .filter((place) => restsOnProp(pose.arms[place]))
    .map((place) => toElevation(view, mark(setUp, `hand${sideName(setUp, place)}`))[0])
    .filter((other) => Math.abs(other - x) > HALF_HAND_PROP);
  if (isSeat(height)) {
    const hands = [...others, x];
    const middle = hands.reduce((sum, at) => sum + at, 0) / hands.length;
    return [standing(middle, HALF_SEAT, height)];
  }
  return [...others, x].map((at) => standing(at, HALF_HAND_PROP, height));
}

/** “on block”, beneath the height of the hand; where nothing in the cupboard is high enough, “hand up”. */
function nameHandProp({ handProp }: SetUp): string {
  const pieces = handProp?.stack?.props;
  if (pieces === undefined) return 'hand up';
  const [top] = pieces.slice(-1);
  return top === undefined ? 'hand' : `on ${top.name.toLowerCase()}`;
}

/** How high the hand rests, written beside it: in front of the body, so that no leg hides the number. */
function drawHandHeight(sheet: Sheet): Shape[] {
  const { setUp, view, options } = sheet;
  const height = getValue(setUp, 'hand-height');
  if (height === null) return [];
  const label = options.labelMm;
  const [x] = toElevation(view, mark(setUp, lowerHand(setUp)));
  const away = toElevation(view, [1, 0, 0])[0];
  const lineX = x + away * 13;
  return [
    line('dimension', [lineX, 0], [lineX, -height]),
    line('dimension', [lineX - 2, -height], [lineX + 2, -height]),
    ...labelled(
      sheet,
      [lineX + away * 3, -Math.max(height / 2, label * 2)],
      writeSettable(height, options.unit),
      nameHandProp(setUp),
      away > 0 ? 'start' : 'end',
      'hand-height',
    ),
  ];
}

/** A knee bent by less is straight or soft, which the list of settings says. */
const SOFT_KNEE = 12;

/** A hand that rests this far behind the knee has its number there, cm. */
const BEHIND_KNEE = { from: 25, to: 60 } as const;

function hasHandBehindKnee(setUp: SetUp): boolean {
  if (getValue(setUp, 'hand-height') === null) return false;
  const knee = mark(setUp, `knee${sideName(setUp, 'front')}`)[0];
  const behind = knee - mark(setUp, lowerHand(setUp))[0];
  return behind > BEHIND_KNEE.from && behind < BEHIND_KNEE.to;
}

/** The front knee's bend: the angle between thigh and shank, written beside it. */
function drawKnee(sheet: Sheet): Shape[] {
  const { setUp, view } = sheet;
  const bend = getValue(setUp, 'front-knee-bend');
  if (bend === null || bend < SOFT_KNEE) return [];
  const side = sideName(setUp, 'front');
  const knee = toElevation(view, mark(setUp, `knee${side}`));
  const ankle = toElevation(view, mark(setUp, `ankle${side}`));
  const ahead = toElevation(view, [1, 0, 0])[0];
  // Behind the knee there is room, unless a wall or a hand on its prop is there.
  const back = hasWallAcross(setUp) || hasHandBehindKnee(setUp) ? ahead : -ahead;
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

/** How far the back heel is lifted, written behind it. */
function drawHeelLift(sheet: Sheet): Shape[] {
  const { setUp, view, options } = sheet;
  const lift = getValue(setUp, 'back-heel-lift');
  if (lift === null) return [];
  const [x, y] = toElevation(view, mark(setUp, `heel${sideName(setUp, 'back')}`));
  const back = -toElevation(view, [1, 0, 0])[0];
  // Its words stand above the floor.
  const at: Point = [x + back * 8, Math.min(y - 1, -options.labelMm * 1.8)];
  const anchor = back > 0 ? 'start' : 'end';
  return labelled(sheet, at, writeDegrees(lift), 'heel up', anchor, 'back-heel-lift');
}
