import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { LandmarkCm } from '../skeleton/landmark.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';
import { getValue } from '../setup/setUp.ts';
import type { LengthUnit } from '../units/readQuantity.ts';
import { line, type Point, type Shape } from './shapes.ts';
import { toPlan, type View } from './view.ts';

/** How a set-up is to be drawn. */
export interface SheetOptions {
  readonly unit: LengthUnit;
  /** Height of a label in mm; numbers are larger by their own size. */
  readonly labelMm: number;
  /** The set-up as it was recommended, drawn faintly beneath one that was moved. */
  readonly ghost?: SetUp | null;
}

export const NUMBER_SIZE = 1.75;
/** Everything one sheet is drawn from. */
export interface Sheet {
  readonly setUp: SetUp;
  readonly view: View;
  readonly options: SheetOptions;
  /** Vertical place of the mat's middle line. */
  readonly planY: number;
  readonly mat: NonNullable<SetUp['mat']>;
  /** Where the mat's front edge lies along the mat, and the front heel's line across it, cm. */
  readonly matFront: number;
  readonly heelLine: number;
}

/**
 * A landmark of a set-up that has a posture.
 *
 * @param setUp the set-up
 * @param name as in its landmarks, such as `kneeLeft`
 * @returns cm, world frame
 */
export const mark = (setUp: SetUp, name: string): LandmarkCm => setUp.landmarks[name]!;
/**
 * The side of a leg, as it stands in the names of landmarks.
 *
 * @param setUp whose front leg is known
 * @param place which leg
 * @returns `Left` or `Right`
 */
export const sideName = (setUp: SetUp, place: 'front' | 'back'): 'Left' | 'Right' =>
  (setUp.side === 'left') === (place === 'front') ? 'Left' : 'Right';

/**
 * Where a landmark stands on the mat, cm.
 *
 * @param setUp the set-up
 * @param name as in its landmarks
 * @returns x along the mat, y across it
 */
export function planPoint(setUp: SetUp, name: string): readonly [number, number] {
  const [x, y] = mark(setUp, name);
  return [x, y];
}

/**
 * A point of the mat on the page.
 *
 * @param sheet what shapes are drawn from
 * @param x cm along the mat, to its front
 * @param y cm across it, to its left
 * @returns mm at 1:10
 */
export function onPlan(sheet: Sheet, x: number, y: number): Point {
  const [px, py] = toPlan(sheet.view, x, y - matMiddle(sheet.setUp));
  return [px, py + sheet.planY];
}

/**
 * The mat is laid so that feet and props lie in the middle of its width.
 *
 * @param setUp the set-up
 * @returns cm, y of the middle in the world frame
 */
export function matMiddle(setUp: SetUp): number {
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

/**
 * A box that stands on the floor, seen from the side.
 *
 * @param x of its middle, mm
 * @param half its width, mm
 * @param height mm
 * @returns a polygon
 */
export const standing = (x: number, half: number, height: number): Shape => ({
  kind: 'polygon',
  role: 'prop',
  points: [
    [x - half, 0],
    [x - half, -height],
    [x + half, -height],
    [x + half, 0],
  ],
});

/**
 * A line of words.
 *
 * @param sheet which says how large a label is
 * @param role what it is
 * @param at mm
 * @param words what it says
 * @param size relative to a label, which is 1
 * @param anchor which end of the words lies at the point
 * @param setting the setting whose number it carries
 * @returns the shape
 */
export function text(
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

/**
 * A number with its plain words beneath it.
 *
 * @param sheet what shapes are drawn from
 * @param at where the number stands, mm
 * @param number as it is written
 * @param words beneath it
 * @param anchor which end of the words lies at the point
 * @param setting that the number is of
 * @returns number and words
 */
export function labelled(
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

export const BACK_PARTS = {
  'back-heel-from-mat-edge': 'heel',
  'back-ball-from-mat-edge': 'ball',
  'back-knee-from-mat-edge': 'knee',
} as const;
type BackMark = keyof typeof BACK_PARTS;
const BACK_MARKS = Object.keys(BACK_PARTS) as BackMark[];

/**
 * What the back end is marked at: heel, ball or knee; null when only one foot stands.
 *
 * @param setUp the set-up
 * @returns its landmark and its words
 */
export const findBackMark = (setUp: SetUp): BackMark | null =>
  BACK_MARKS.find((id) => getValue(setUp, id) !== null) ?? null;

/**
 * Whether the back knee lies on the floor.
 *
 * @returns true for the poses that stand on knee and foot
 */
export const isKneeling = ({ backContact }: PoseDefinition): boolean =>
  backContact !== 'flat' &&
  backContact !== 'ball' &&
  backContact !== 'lifted' &&
  backContact !== 'on-front-leg';

/**
 * The centre of mass: an ink cross in a ring.
 *
 * @returns ring and cross
 */
export const cross = ([x, y]: Point): Shape[] => [
  { kind: 'circle', role: 'weight', centre: [x, y], radius: 2.1 },
  line('weight', [x - 3.4, y], [x + 3.4, y]),
  line('weight', [x, y - 3.4], [x, y + 3.4]),
];
