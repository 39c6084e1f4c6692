import { mark as markOf, sideName } from '../drawing/sheetFrame.ts';
import { FRONT_VIEW, findView, toElevation, type View } from '../drawing/view.ts';
import { lerp } from '../geometry/vector.ts';
import type { Mark } from '../photo/photoMarks.ts';
import {
  readPhotoAngle,
  readPhotoLength,
  type PhotoFrame,
  type PhotoValue,
  type Pixel,
} from '../photo/photoReading.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { LandmarkCm } from '../skeleton/landmark.ts';
import type { SetUp } from '../setup/setUp.ts';

/** From the mat's long edge, square to it, or from its front edge. */
export type PhotoView = 'side' | 'front';

interface BodyMark extends Mark {
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
const LINE: readonly Mark[] = [
  { id: 'line-a', words: 'the upper end of something upright' },
  { id: 'line-b', words: 'its lower end' },
];
const SCALE: readonly Mark[] = [
  { id: 'scale-a', words: 'one end of the known length' },
  { id: 'scale-b', words: 'its other end' },
];

const bodyMarks = (view: PhotoView): readonly BodyMark[] =>
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

type Marks = Readonly<Record<string, Pixel>>;

interface Check {
  readonly id: string;
  /** What is compared. */
  readonly name: string;
  readonly unit: 'deg' | 'cm';
  /** What it is when the picture has more of it, and when it has less. */
  readonly more: string;
  readonly less: string;
  readonly read: (frame: PhotoFrame, at: (id: string) => Pixel) => PhotoValue;
}

/** The bend of a joint: how far its two arms are from one straight line. */
const bend =
  (joint: string, up: string, down: string): Check['read'] =>
  (frame, at) => {
    const { value, error95 } = readPhotoAngle(frame, {
      ray: [at(joint), at(up)],
      against: [at(joint), at(down)],
    });
    return { value: 180 - value, error95 };
  };
/** How far a line is from upright. */
const lean =
  (from: string, to: string): Check['read'] =>
  (frame, at) =>
    readPhotoAngle(frame, { ray: [at(from), at(to)], against: 'up' });

const NO_LENGTH: PhotoValue = { value: NaN, error95: NaN };

const SIDE_CHECKS: readonly Check[] = [
  {
    id: 'stance-length',
    name: 'stance, heel to back ankle',
    unit: 'cm',
    more: 'longer',
    less: 'shorter',
    read: (frame, at) => readPhotoLength(frame, [at('front-heel'), at('back-ankle')]) ?? NO_LENGTH,
  },
  {
    id: 'front-knee-bend',
    name: 'front knee',
    unit: 'deg',
    more: 'more bent',
    less: 'less bent',
    read: bend('front-knee', 'front-hip', 'front-ankle'),
  },
  {
    id: 'knee-over-ankle',
    name: 'front shin from upright',
    unit: 'deg',
    more: 'more tilted: the knee is not above the ankle',
    less: 'more upright',
    read: lean('front-ankle', 'front-knee'),
  },
  {
    id: 'back-knee-bend',
    name: 'back knee',
    unit: 'deg',
    more: 'more bent',
    less: 'straighter',
    read: bend('back-knee', 'back-hip', 'back-ankle'),
  },
  {
    id: 'trunk-lean',
    name: 'trunk from upright',
    unit: 'deg',
    more: 'leans more',
    less: 'leans less',
    read: lean('pelvis', 'chest'),
  },
];

const FRONT_CHECKS: readonly Check[] = [
  {
    id: 'knee-drift',
    name: 'front knee off the line from hip to ankle',
    unit: 'deg',
    more: 'drifts more',
    less: 'drifts less',
    read: bend('front-knee', 'front-hip', 'front-ankle'),
  },
  {
    id: 'pelvis-level',
    name: 'pelvis from level',
    unit: 'deg',
    more: 'less level',
    less: 'more level',
    read: (frame, at) => {
      const { value, error95 } = readPhotoAngle(frame, {
        ray: [at('asis-left'), at('asis-right')],
        against: 'up',
      });
      return { value: Math.abs(90 - value), error95 };
    },
  },
  {
    id: 'trunk-lean-across',
    name: 'trunk from upright',
    unit: 'deg',
    more: 'leans more',
    less: 'leans less',
    read: lean('pelvis', 'chest'),
  },
];

/**
 * What is seen of a joint lies this near its centre, 95 of 100 times: skin, cloth, a body that is
 * not quite square to the camera. Degrees and cm. Our choice.
 */
const SEEN_95 = { deg: 5, cm: 3 } as const;

/** One quantity of a photographed pose beside its plan. */
export interface PoseFinding {
  readonly id: string;
  readonly name: string;
  readonly unit: 'deg' | 'cm';
  readonly planned: number;
  readonly seen: number;
  /** A difference within this is no difference. */
  readonly error: number;
  readonly isAsPlanned: boolean;
  /** `as planned`, or how it differs. */
  readonly words: string;
}

/** Pixels of the picture that the plan itself would make: its own marks, and how they are read. */
function drawPlanned(setUp: SetUp, view: View, marks: readonly BodyMark[]): Marks {
  const scale = 5;
  const places = marks.map(({ id, find }): [string, Pixel] => {
    const [x, y] = toElevation(view, find(setUp));
    return [id, [1000 + scale * x, 1500 + scale * y]];
  });
  return {
    'line-a': [100, 100],
    'line-b': [100, 1400],
    'scale-a': [500, 1500],
    'scale-b': [1000, 1500],
    ...Object.fromEntries(places),
  };
}
/** The known length of the drawn plan: 500 of its pixels at 5 a centimetre. */
const PLANNED_KNOWN_CM = 100;
const PLANNED_SIZE = { width: 2000, height: 1600 };

function toFrame(
  { width, height }: { readonly width: number; readonly height: number },
  marks: Marks,
  knownCm: number | null,
): PhotoFrame {
  const line = { kind: 'plumb', ends: [marks['line-a']!, marks['line-b']!] } as const;
  const ends = [marks['scale-a'], marks['scale-b']] as const;
  const hasScale = knownCm !== null && ends[0] !== undefined && ends[1] !== undefined;
  return {
    width,
    height,
    line,
    scale: hasScale ? { ends: [ends[0], ends[1]], cm: knownCm } : null,
  };
}

/**
 * Compares a photographed pose with its plan, both read off in the plane of the picture by
 * the same marks. A difference within the error is called as planned.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @param view from where the picture was taken
 * @param size of the picture, pixels
 * @param marks by the ids of {@link listPoseMarks}
 * @param knownCm between the two scale marks; null = lengths are not compared
 * @returns null while a mark is missing, or when the set-up has no posture
 */
export function checkPose(
  pose: PoseDefinition,
  setUp: SetUp,
  view: PhotoView,
  size: { readonly width: number; readonly height: number },
  marks: Marks,
  knownCm: number | null,
): readonly PoseFinding[] | null {
  const isScaled = view === 'side' && knownCm !== null;
  const asked = [...LINE, ...(isScaled ? SCALE : []), ...bodyMarks(view)];
  if (setUp.status === 'failed' || asked.some(({ id }) => marks[id] === undefined)) return null;
  const seenFrom = view === 'side' ? findView(pose, setUp) : FRONT_VIEW;
  const drawn = drawPlanned(setUp, seenFrom, bodyMarks(view));
  const plan = toFrame(PLANNED_SIZE, drawn, PLANNED_KNOWN_CM);
  const photo = toFrame(size, marks, knownCm);
  const checks = view === 'side' ? SIDE_CHECKS : FRONT_CHECKS;
  return checks
    .filter(({ unit }) => unit === 'deg' || isScaled)
    .map(({ id, name, unit, more, less, read }): PoseFinding => {
      const planned = read(plan, (mark) => drawn[mark]!).value;
      const { value: seen, error95 } = read(photo, (mark) => marks[mark]!);
      const error = Math.hypot(error95, SEEN_95[unit]);
      const difference = seen - planned;
      const isAsPlanned = Math.abs(difference) <= error;
      const words = isAsPlanned ? 'as planned' : difference > 0 ? more : less;
      return { id, name, unit, planned, seen, error, isAsPlanned, words };
    });
}
