import { calcHipAngles } from '../body/jointAngles.ts';
import { fromYawTiltList, type Rotation } from '../geometry/rotation.ts';
import {
  angleBetween,
  cross,
  normalise,
  rejectFrom,
  scale,
  subtract,
  turnAbout,
  type Vec3,
} from '../geometry/vector.ts';
import type { Side } from '../measures/protocol.ts';
import { nameLandmark } from '../skeleton/landmark.ts';
import { degreesFromRadians, radiansFromDegrees } from '../units/brands.ts';
import { toTenths } from '../units/rounding.ts';
import type { SetUp } from './setUp.ts';

/**
 * From where a leg points on the floor to the rotation of its hip, degrees. Directions are turned
 * from the front edge of the mat, + to the left; the rest is outward, so that the sums are the same
 * on both sides: `floorDeg` is the direction less the pelvis, outward, and
 * `floorDeg + tiltDeg + lowerLegDeg = rotationDeg`.
 */
export interface HipRotation {
  readonly side: Side;
  /** What points: the foot under a straight leg, the thigh of a bent one, the shin of one that kneels. */
  readonly by: 'foot' | 'thigh' | 'shin';
  readonly directionDeg: number;
  /** Where the foot points that stands on the floor; null = none does. */
  readonly footDeg: number | null;
  /** Where the thigh points, or its knee where the thigh is near plumb. */
  readonly thighDeg: number;
  readonly pelvisDeg: number;
  /** The angle between the two on the floor. */
  readonly floorDeg: number;
  /** What the tilt of leg and pelvis adds: a leg that is spread or flexed turns otherwise in its hip than on the floor. */
  readonly tiltDeg: number;
  /** Of a straight leg the thigh-foot angle, less; of a bent one the lean of the shin. */
  readonly lowerLegDeg: number;
  /** External rotation; below 0 it is internal. */
  readonly rotationDeg: number;
}

/** A turn of the chest, and what pelvis and spine give of it, degrees: `pelvisDeg + spineDeg = chestDeg`. */
export interface TwistShares {
  readonly chestDeg: number;
  readonly pelvisDeg: number;
  readonly spineDeg: number;
}

/** A leg bent by more than this points where its thigh does, degrees; see the thigh-foot angle in leg.ts. */
const STRAIGHT_DEG = 20;

/** A chest that looks at the floor or the ceiling points nowhere along the floor. */
const SEEN_SHARE = 0.35;

const UP: Vec3 = [0, 0, 1];

/**
 * Where a landmark lies.
 *
 * @returns cm, world frame
 */
const markOf = ({ landmarks }: SetUp, name: string): Vec3 => landmarks[name]!;

/** A direction seen from above, degrees from the front edge of the mat, + to the left. */
const headingOf = ([x, y]: Vec3): number => degreesFromRadians(Math.atan2(y, x));

/** Between −180° and 180°. */
const wrap = (degrees: number): number => degrees - 360 * Math.round(degrees / 360);

function frameOf({ yawDeg, tiltDeg, listDeg }: NonNullable<SetUp['pelvis']>): Rotation {
  return fromYawTiltList({
    yaw: radiansFromDegrees(yawDeg),
    tilt: radiansFromDegrees(tiltDeg),
    list: radiansFromDegrees(listDeg),
  });
}

/** A leg of a set-up, rebuilt from its landmarks. */
interface RebuiltLeg {
  readonly thighDown: Vec3;
  readonly foot: Vec3 | null;
  readonly by: HipRotation['by'];
  /** What points, unit vector or cm. */
  readonly pointing: Vec3;
  /** The knee would face this way if the leg stood as it points. */
  readonly facing: Vec3;
}

function rebuildLeg(setUp: SetUp, side: Side): RebuiltLeg {
  const of = (name: string): Vec3 => markOf(setUp, nameLandmark(name, side));
  const thighDown = normalise(subtract(of('knee'), of('hip')));
  const shankDown = normalise(subtract(of('ankle'), of('knee')));
  const isKneeling = setUp.weights.some((each) => each.side === side && each.on === 'knee');
  if (isKneeling) {
    const pointing = scale(shankDown, -1);
    return { thighDown, foot: null, by: 'shin', pointing, facing: pointing };
  }
  const [x, y] = subtract(of('toe'), of('ball'));
  const foot: Vec3 = [x, y, 0];
  const bend = degreesFromRadians(angleBetween(thighDown, shankDown));
  return bend < STRAIGHT_DEG
    ? { thighDown, foot, by: 'foot', pointing: foot, facing: foot }
    : { thighDown, foot, by: 'thigh', pointing: thighDown, facing: UP };
}

/** The hip’s rotation as the set-up reports it: one of two motions stands for both. */
function findReported({ joints }: SetUp, side: Side): number | null {
  const report = joints.find(
    ({ joint, side: of, motion }) =>
      joint === 'hip' && of === side && /^(external|internal)-rotation$/.test(motion),
  );
  if (report?.askedDeg == null) return null;
  return report.motion === 'external-rotation' ? report.askedDeg : -report.askedDeg;
}

/**
 * From the direction of a foot or a thigh on the floor to the rotation of its hip.
 *
 * @param setUp a solved standing pose
 * @param side left or right
 * @returns null for a leg in the air, and where flexion and rotation cannot be told apart
 */
export function findHipRotation(setUp: SetUp, side: Side): HipRotation | null {
  const reported = findReported(setUp, side);
  const carries = setUp.weights.some((each) => each.side === side && each.on !== 'hand');
  if (setUp.pelvis === null || reported === null || !carries) return null;
  const pelvis = frameOf(setUp.pelvis);
  const { thighDown, foot, by, pointing, facing } = rebuildLeg(setUp, side);
  const kneeForward = normalise(rejectFrom(facing, thighDown));
  const withoutLowerLeg = calcHipAngles(pelvis, thighDown, kneeForward, side).externalRotation;
  if (withoutLowerLeg === null) return null;
  const directionDeg = toTenths(headingOf(pointing));
  // Square to the hip line, as the pelvis’s turn is measured everywhere.
  const pelvisDeg = toTenths(headingOf([pelvis.left[1], -pelvis.left[0], 0]));
  const floorDeg = toTenths(wrap(directionDeg - pelvisDeg) * (side === 'left' ? 1 : -1));
  const rotationDeg = toTenths(reported);
  const lowerLegDeg = toTenths(wrap(reported - degreesFromRadians(withoutLowerLeg)));
  const tiltDeg = toTenths(rotationDeg - lowerLegDeg - floorDeg);
  const outward = radiansFromDegrees(lowerLegDeg) * (side === 'left' ? 1 : -1);
  const knee = turnAbout(kneeForward, scale(thighDown, -1), outward);
  return {
    side,
    by,
    directionDeg,
    footDeg: foot === null ? null : toTenths(headingOf(foot)),
    thighDeg: by === 'foot' ? toTenths(headingOf(knee)) : directionDeg,
    pelvisDeg,
    floorDeg,
    tiltDeg,
    lowerLegDeg,
    rotationDeg,
  };
}

/**
 * What pelvis and spine give of a twist.
 *
 * @param setUp a solved standing pose
 * @returns null where the pose is no twist
 */
export function findTwistShares({ settings }: Pick<SetUp, 'settings'>): TwistShares | null {
  const of = (id: string): number | null => settings.find((each) => each.id === id)?.value ?? null;
  const [chest, spine] = [of('chest-turned'), of('spine-share-of-twist')];
  if (chest === null || spine === null) return null;
  const [chestDeg, spineDeg] = [toTenths(chest), toTenths(Math.abs(spine))];
  return { chestDeg, spineDeg, pelvisDeg: toTenths(chestDeg - spineDeg) };
}

/**
 * Where the chest of a twist looks, seen from above.
 *
 * @param setUp a solved standing pose
 * @returns degrees from the front edge of the mat, + to the left; null where the pose is no twist,
 *   and where the chest looks up or down
 */
export function findChestHeading(setUp: SetUp): number | null {
  if (findTwistShares(setUp) === null) return null;
  const left = subtract(markOf(setUp, 'shoulderLeft'), markOf(setUp, 'shoulderRight'));
  const up = subtract(markOf(setUp, 'chestCentre'), markOf(setUp, 'pelvisCentre'));
  const forward = normalise(cross(left, up));
  return Math.hypot(forward[0], forward[1]) < SEEN_SHARE ? null : headingOf(forward);
}
