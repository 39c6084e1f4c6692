import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { SetUp } from '../setup/setUp.ts';
import { checkPose, type PoseFinding } from './checkPose.ts';
import type { Marks, PhotoView } from './poseMarks.ts';

/** The frames that are taken of a hold. */
export const FRAME_NAMES = ['start', 'middle', 'end'] as const;
export type FrameName = (typeof FRAME_NAMES)[number];

/** One frame of a film with its marks. */
export interface MarkedFrame {
  readonly name: FrameName;
  readonly width: number;
  readonly height: number;
  readonly marks: Marks;
}

/** One quantity of a pose through a hold, next to its plan. */
export interface HeldQuantity extends Pick<PoseFinding, 'id' | 'name' | 'unit' | 'planned'> {
  readonly points: readonly (Pick<PoseFinding, 'seen' | 'error' | 'isAsPlanned' | 'words'> & {
    readonly frame: FrameName;
  })[];
}

/**
 * Compares the frames of one hold with its plan, each as a photograph.
 *
 * @param pose the pose's data
 * @param setUp the set-up
 * @param view from where the film was taken
 * @param frames those whose marks are all placed count
 * @param knownCm between the two scale marks; null = lengths are not compared
 * @returns every quantity that the view shows, its frames from the start on; none while no frame is marked
 */
export function compareFrames(
  pose: PoseDefinition,
  setUp: SetUp,
  view: PhotoView,
  frames: readonly MarkedFrame[],
  knownCm: number | null,
): readonly HeldQuantity[] {
  const held = new Map<string, HeldQuantity>();
  for (const name of FRAME_NAMES) {
    const frame = frames.find((each) => each.name === name);
    const findings =
      frame === undefined ? null : checkPose(pose, setUp, view, frame, frame.marks, knownCm);
    for (const { id, name: words, unit, planned, ...seen } of findings ?? []) {
      const known = held.get(id) ?? { id, name: words, unit, planned, points: [] };
      held.set(id, { ...known, points: [...known.points, { ...seen, frame: name }] });
    }
  }
  return [...held.values()];
}
