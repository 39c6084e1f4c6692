import type { SetUp } from '../setup/setUp.ts';
import { type View, toElevation, findView, FRONT_VIEW } from '../drawing/view.ts';
import { type BodyMark, type Marks, type PhotoView, LINE, SCALE, bodyMarks } from './poseMarks.ts';
import type { Pixel, PhotoFrame } from '../photo/photoReading.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import { SIDE_QUANTITIES, FRONT_QUANTITIES } from './poseQuantities.ts';

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
  const quantities = view === 'side' ? SIDE_QUANTITIES : FRONT_QUANTITIES;
  return quantities
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
