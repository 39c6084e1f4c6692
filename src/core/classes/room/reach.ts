import type { Side } from '../../measures/protocol.ts';
import { getValue, type SetUp } from '../../setup/setUp.ts';
import type { LandmarkCm } from '../../skeleton/landmark.ts';
import type { MatSize } from '../../studio/studio.ts';

/**
 * How far something reaches from the middle of a mat, metres: ahead is toward the teacher, left and
 * right are those of someone who faces the teacher.
 */
export interface Reach {
  readonly ahead: number;
  readonly behind: number;
  readonly left: number;
  readonly right: number;
}

/** A chair from the middle of a mat, metres. */
export interface ChairAt {
  readonly ahead: number;
  readonly right: number;
}

/** The clear space of one side of one pose. */
export interface SlotReach extends Reach {
  readonly pose: string;
  readonly side: Side;
  /** Under the hands that rest on it; null = there is none. */
  readonly chair: ChairAt | null;
}

/** Hands and feet are wider than their middles, and nobody stands like a drawing, cm. Our choice. */
const AROUND_CM = 15;
/** Half the floor of a usual chair, cm. General knowledge, no source. */
export const HALF_CHAIR_CM = 22;
/** Hands that differ by less stand on the same chair, cm. */
const SAME_HEIGHT_CM = 5;
const CM_PER_M = 100;

/** The hands that rest on the chair: the lower one, and the other where it is as low. */
function findHandsOnChair({ landmarks }: SetUp): readonly LandmarkCm[] {
  const hands = ['handLeft', 'handRight'].flatMap((name) => {
    const found = landmarks[name];
    return found === undefined ? [] : [found];
  });
  const lowest = Math.min(...hands.map(([, , z]) => z));
  return hands.filter(([, , z]) => z - lowest < SAME_HEIGHT_CM);
}

/** The two ends of a body, its chair and its mat along one axis, metres from the middle of the mat. */
function findEnds(
  body: readonly number[],
  chair: readonly number[],
  middle: number,
  matCm: number,
): readonly [least: number, most: number] {
  const spans = [
    [middle - matCm / 2, middle + matCm / 2],
    ...body.map((at) => [at - AROUND_CM, at + AROUND_CM]),
    ...chair.map((at) => [at - HALF_CHAIR_CM, at + HALF_CHAIR_CM]),
  ];
  const least = Math.min(...spans.map(([low]) => low!));
  const most = Math.max(...spans.map(([, high]) => high!));
  return [(least - middle) / CM_PER_M, (most - middle) / CM_PER_M];
}

/**
 * The clear space that a solved pose needs about the middle of its mat: arms, lifted legs, and the
 * chair if there is one.
 *
 * @param setUp solved
 * @param mat that it is laid on
 * @param hasChair under the hands
 * @returns never less than the mat itself
 */
export function findReach(setUp: SetUp, mat: MatSize, hasChair: boolean): SlotReach {
  const points = Object.values(setUp.landmarks);
  const chairs = hasChair ? findHandsOnChair(setUp) : [];
  const xs = points.map(([x]) => x);
  const edge = getValue(setUp, 'front-heel-from-mat-edge');
  // The marks say where the feet stand on the mat; without them the body lies in its middle.
  const middleX =
    edge === null ? (Math.min(0, ...xs) + Math.max(0, ...xs)) / 2 : edge - mat.lengthCm / 2;
  const heels = ['heelLeft', 'heelRight'].map((name) => setUp.landmarks[name]?.[1] ?? 0);
  const middleY = (Math.min(...heels) + Math.max(...heels)) / 2;
  const along = findEnds(
    xs,
    chairs.map(([x]) => x),
    middleX,
    mat.lengthCm,
  );
  const across = findEnds(
    points.map(([, y]) => y),
    chairs.map(([, y]) => y),
    middleY,
    mat.widthCm,
  );
  const { pose, side } = setUp;
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, each) => sum + each, 0) / values.length / CM_PER_M;
  // Of a set-up x points ahead and y to the left.
  const chair =
    chairs.length === 0
      ? null
      : {
          ahead: mean(chairs.map(([x]) => x - middleX)),
          right: -mean(chairs.map(([, y]) => y - middleY)),
        };
  const [behind, ahead] = along;
  const [right, left] = across;
  return { pose, side, ahead, behind: -behind, left, right: -right, chair };
}
