import type { Vec3 } from '../geometry/vector.ts';
import { SIDES } from '../measures/protocol.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import {
  findChestHeading,
  findHipRotation,
  findTwistShares,
  type HipRotation,
} from '../setup/hipRotation.ts';
import { nameLeg } from '../setup/jointReport.ts';
import { sayRotations, writeHeading, writeTurn } from '../setup/sayRotation.ts';
import type { SetUp } from '../setup/setUp.ts';
import { nameLandmark } from '../skeleton/landmark.ts';
import { boxOfDrawing, drawColumn, LINE_GAP, NUMBER, type Label } from './columns.ts';
import { boxOfPoints } from './placement.ts';
import { outlineFootprint } from './prints.ts';
import { arrow, line, type Drawing, type Point, type Shape } from './shapes.ts';
import { findView, toPlan, type View } from './view.ts';

/** Of the pointers and their heads, mm, and from the feet to the labels. */
const POINTER = 24;
const HEAD = 3.4;
const GAP = 12;

const mark = ({ landmarks }: SetUp, name: string): Vec3 => landmarks[name]!;

/** A pointer on the page: from a joint, along a heading. */
interface Pointer {
  readonly role: string;
  readonly from: Point;
  readonly to: Point;
  readonly label: Label;
}

function makePointer(
  view: View,
  role: string,
  [x, y]: Vec3,
  headingDeg: number,
  number: string,
  words: string,
): Pointer {
  const angle = (headingDeg * Math.PI) / 180;
  const to = toPlan(view, x + POINTER * Math.cos(angle), y + POINTER * Math.sin(angle));
  return { role, from: toPlan(view, x, y), to, label: { number, words, at: to } };
}

/** Where the foot, the thigh and the pelvis point. */
function listPointers(view: View, setUp: SetUp, hips: readonly HipRotation[]): readonly Pointer[] {
  const legs = hips.flatMap(({ side, footDeg, thighDeg }): readonly Pointer[] => {
    const point = (joint: string, part: string, deg: number): Pointer =>
      makePointer(
        view,
        `pointer ${part}`,
        mark(setUp, nameLandmark(joint, side)),
        deg,
        writeHeading(deg),
        `${nameLeg(side, setUp)} ${part}`,
      );
    const thigh = point('knee', 'thigh', thighDeg);
    return footDeg === null ? [thigh] : [point('toe', 'foot', footDeg), thigh];
  });
  const [first] = hips;
  if (first === undefined) return legs;
  const { pelvisDeg } = first;
  const from = mark(setUp, 'pelvisCentre');
  return [
    ...legs,
    makePointer(view, 'pointer pelvis', from, pelvisDeg, writeHeading(pelvisDeg), 'pelvis'),
    ...listChest(view, setUp),
  ];
}

/** Where the chest of a twist looks. */
function listChest(view: View, setUp: SetUp): readonly Pointer[] {
  const heading = findChestHeading(setUp);
  if (heading === null) return [];
  const from = mark(setUp, 'chestCentre');
  return [makePointer(view, 'pointer pelvis', from, heading, writeHeading(heading), 'chest')];
}

/** The thighs, hips and shoulders from above. */
function drawBars(view: View, setUp: SetUp): readonly Shape[] {
  const at = (name: string): Point => {
    const [x, y] = mark(setUp, name);
    return toPlan(view, x, y);
  };
  const hips = [at('hipLeft'), at('hipRight')] as const;
  return [
    ...SIDES.map((side) =>
      line('leg-line', at(nameLandmark('hip', side)), at(nameLandmark('knee', side))),
    ),
    ...(findTwistShares(setUp) === null
      ? []
      : [line('leg-line', at('shoulderLeft'), at('shoulderRight'))]),
    line('pelvis-bar', ...hips),
    line('pelvis-bar inner', ...hips),
  ];
}

/** The rotation of a hip, beside its joint. */
const labelHip = (view: View, setUp: SetUp, { side, rotationDeg }: HipRotation): Label => {
  const [x, y] = mark(setUp, nameLandmark('hip', side));
  return {
    number: writeTurn(rotationDeg),
    words: `${nameLeg(side, setUp)} hip`,
    at: toPlan(view, x, y),
  };
};

/**
 * Feet, thighs and pelvis from above, each with where it points, and the rotation of each hip.
 *
 * @param pose the pose’s data, as it is held
 * @param setUp the set-up
 * @returns null where no hip’s rotation can be followed from the floor
 */
export function drawRotation(pose: PoseDefinition, setUp: SetUp): Drawing | null {
  const hips = SIDES.flatMap((side) => findHipRotation(setUp, side) ?? []);
  if (hips.length === 0) return null;
  const view = findView(pose, setUp);
  const feet = (['front', 'back'] as const)
    .filter((place) => (setUp.footprints?.[place] ?? []).length > 0)
    .map((place): Shape => ({
      kind: 'polygon',
      role: `footprint ${place}`,
      points: outlineFootprint(setUp, place, (x, y) => toPlan(view, x, y)),
    }));
  const pointers = listPointers(view, setUp, hips);
  const bars = drawBars(view, setUp);
  const [left, top, right, bottom] = boxOfPoints([
    ...feet.flatMap((each) => (each.kind === 'polygon' ? each.points : [])),
    ...bars.flatMap((each) => (each.kind === 'line' ? each.points : [])),
    ...pointers.map(({ to }) => to),
  ]);
  const labels = [
    ...pointers.map(({ label }) => label),
    ...hips.map((each) => labelHip(view, setUp, each)),
  ];
  const middle = (left + right) / 2;
  const column = (isRight: boolean): Shape[] =>
    drawColumn(
      labels.filter(({ at }) => at[0] >= middle === isRight),
      isRight ? right + GAP : left - GAP,
      isRight ? 'start' : 'end',
      bottom,
    );
  const shapes: Shape[] = [
    ...feet,
    ...bars,
    ...pointers.flatMap(({ role, from, to }) => arrow(role, HEAD, from, to)),
    ...column(false),
    ...column(true),
  ];
  return {
    box: boxOfDrawing(shapes, [left, top - NUMBER, right, bottom + LINE_GAP]),
    shapes,
    caption: `${pose.name} from above. ${sayRotations(setUp)}`,
  };
}
