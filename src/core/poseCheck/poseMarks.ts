import type { Mark } from '../photo/photoMarks.ts';
import type { SetUp } from '../setup/setUp.ts';
import type { LandmarkCm } from '../skeleton/landmark.ts';
import { mark as markOf, sideName } from '../drawing/sheetFrame.ts';
import { lerp } from '../geometry/vector.ts';
import type { Pixel } from '../photo/photoReading.ts';

/** From the mat's long edge, square to it, or from its front edge. */
export type PhotoView = 'side' | 'front';

export interface BodyMark extends Mark {
  /** Where the plan has it. */
  readonly find: (setUp: SetUp) => LandmarkCm;
}

const of =
  (name: string, place: 'front' | 'back') =>
  (setUp: SetUp): LandmarkCm =>
    markOf(setUp, name + sideName(setUp, place));

const alone =
  (name: string) =>
  (setUp: SetUp): LandmarkCm =>
    markOf(setUp, name);

const between =
  (name: string) =>
  (setUp: SetUp): LandmarkCm =>
    lerp(markOf(setUp, `${name}Left`), markOf(setUp, `${name}Right`), 0.5);

const SIDE_MARKS: readonly BodyMark[] = [
  { id: 'front-heel', words: 'the front heel, at the floor', find: of('heel', 'front') },
  { id: 'front-ankle', words: 'the front ankle bone', find: of('ankle', 'front') },
  { id: 'front-knee', words: 'the middle of the front knee', find: of('knee', 'front') },
  { id: 'front-hip', words: 'the front leg’s hip', find: of('hip', 'front') },
  { id: 'back-ankle', words: 'the back ankle bone', find: of('ankle', 'back') },
  { id: 'back-knee', words: 'the middle of the back knee', find: of('knee', 'back') },
  { id: 'back-hip', words: 'the back leg’s hip', find: of('hip', 'back') },
  { id: 'pelvis', words: 'the middle of the pelvis', find: alone('pelvisCentre') },
  { id: 'chest', words: 'the middle between the shoulders', find: between('shoulder') },
];

const FRONT_MARKS: readonly BodyMark[] = [
  { id: 'front-ankle', words: 'the front ankle, between its bones', find: of('ankle', 'front') },
  { id: 'front-knee', words: 'the middle of the front kneecap', find: of('knee', 'front') },
  { id: 'front-hip', words: 'the front leg’s hip', find: of('hip', 'front') },
  { id: 'asis-left', words: 'the left front hip bone', find: alone('asisLeft') },
  { id: 'asis-right', words: 'the right front hip bone', find: alone('asisRight') },
  { id: 'pelvis', words: 'the middle of the pelvis', find: alone('pelvisCentre') },
  { id: 'chest', words: 'the middle between the shoulders', find: between('shoulder') },
];

/** Something upright straightens the picture; a known length along the mat sets its scale. */
export const LINE: readonly Mark[] = [
  { id: 'line-a', words: 'the upper end of something upright' },
  { id: 'line-b', words: 'its lower end' },
];

export const SCALE: readonly Mark[] = [
  { id: 'scale-a', words: 'one end of the known length' },
  { id: 'scale-b', words: 'its other end' },
];

/**
 * The marks of the body that a view shows.
 *
 * @param view from where the picture was taken
 * @returns marks in the order in which they are placed
 */
export const bodyMarks = (view: PhotoView): readonly BodyMark[] =>
  view === 'side' ? SIDE_MARKS : FRONT_MARKS;

/**
 * What has to be pointed at, in order.
 *
 * @param view from where the picture was taken
 * @returns marks in the order in which they are placed
 */
export const listPoseMarks = (view: PhotoView): readonly Mark[] => [
  ...LINE,
  ...(view === 'side' ? SCALE : []),
  ...bodyMarks(view),
];

export type Marks = Readonly<Record<string, Pixel>>;
