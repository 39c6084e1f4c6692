import { CENTRE_FROM_PROXIMAL, MASS_SHARE } from '../body/masses.ts';
import type { Side } from '../measures/protocol.ts';
import type { Vec3 } from '../geometry/vector.ts';
import {
  PLACES,
  type ArmDefinition,
  type PoseDefinition,
  type SupportKind,
} from '../poses/poseDefinition.ts';
import { sideOfPlace } from '../skeleton/canonicalBody.ts';
import { WHOLE_MASS_SHARE } from '../skeleton/centreOfMass.ts';
import type { LegPose } from '../skeleton/leg.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { cmFromMetres } from '../units/brands.ts';
import { toHundredths, toThousandths } from '../units/rounding.ts';
import type { JointLoad, WeightOn } from './setUp.ts';
import { SIDE_BY_SIDE } from './weights.ts';

/** Standard gravity, m/s². ISO 80000-3. */
const GRAVITY = 9.80665;

type Posed = Pick<PoseDefinition, 'arms' | 'supports' | 'musts'>;

/** Share of the body’s mass, and where it acts along the mat, metres. */
interface Mass {
  readonly share: number;
  readonly x: number;
}

type Segment = keyof typeof CENTRE_FROM_PROXIMAL;

const massOf = (segment: Segment, proximalX: number, distalX: number): Mass => ({
  share: MASS_SHARE[segment] / WHOLE_MASS_SHARE,
  x: proximalX + (distalX - proximalX) * CENTRE_FROM_PROXIMAL[segment],
});

const join = (parts: readonly Mass[]): Mass => {
  const share = parts.reduce((sum, part) => sum + part.share, 0);
  return { share, x: parts.reduce((sum, part) => sum + part.share * part.x, 0) / share };
};

const massesOfLeg = ({ foot, knee, hip }: LegPose): Record<'foot' | 'shank' | 'thigh', Mass> => ({
  foot: massOf('foot', foot.heel[0], foot.toe[0]),
  shank: massOf('shank', knee[0], foot.ankle[0]),
  thigh: massOf('thigh', hip[0], knee[0]),
});

/** Trunk, head and arms: what the low back carries. */
const massAbove = ({ posture, chestCentre, head, arms }: Skeleton): Mass =>
  join([
    massOf('trunk', posture.pelvisCentre[0], chestCentre[0]),
    { share: MASS_SHARE.headAndNeck / WHOLE_MASS_SHARE, x: head[0] },
    ...PLACES.flatMap((place) => {
      const { shoulder, elbow, wrist, palm } = arms[place];
      return [
        massOf('upperArm', shoulder[0], elbow[0]),
        massOf('forearm', elbow[0], wrist[0]),
        massOf('hand', wrist[0], palm[0]),
      ];
    }),
  ]);

/** Arms that rest on something: what they carry is up to the student. */
const RESTING: ReadonlySet<ArmDefinition['reach']> = new Set([
  'down',
  'forearm-down',
  'on-front-shin',
  'elbow-on-front-thigh',
  'on-front-thigh',
]);

/** What may carry a part of the weight. */
const LEANT_ON: ReadonlySet<SupportKind> = new Set([
  'under-front-thigh',
  'wall-behind',
  'wall-ahead',
  'wall-beside',
  'wall-at-shin',
  'chair-behind',
  'upper-hand-at-wall',
  'strap-foot-to-thigh',
]);

/** Whether nothing but the feet can carry weight: no hand, wall or chair, and no elbow that presses a knee. */
function standsFree({ arms, musts, supports = [] }: Posed): boolean {
  return (
    PLACES.every((place) => !RESTING.has(arms[place].reach)) &&
    !supports.some((each) => LEANT_ON.has(each)) &&
    !musts.some(({ quantity }) => quantity === 'hook-distance')
  );
}

/**
 * Whether the posture alone determines the force under each foot: on one foot, and on two side by
 * side. Feet that stand apart may also push against each other, by as much as one likes.
 */
const areFeetDetermined = (feet: readonly WeightOn[], stance: number): boolean =>
  feet.length === 1 || (feet.every(({ on }) => on === 'foot') && stance < SIDE_BY_SIDE);

/** What the loads of a posture are found from. */
export interface LoadedBody {
  /** Metres and radians, solver frame. */
  readonly skeleton: Skeleton;
  readonly pose: Posed;
  /** On each foot and hand. */
  readonly weights: readonly WeightOn[];
  /** The side of the front leg. */
  readonly frontSide: Side;
  /** Of the front leg, metres. */
  readonly legLength: number;
  /** null = not known. */
  readonly massKg: number | null;
}

/** A joint, and the mass whose weight it is asked to carry. */
interface Carried {
  readonly at: number;
  readonly mass: number;
  readonly share: number | null;
  /** Share of body weight times metres; null = not determined. */
  readonly moment: number | null;
}

/**
 * What gravity asks of knees, hips and low back in the side plane. The torque at a joint of the
 * leg is the moment of the ground’s push on its foot less that of the leg’s own parts below the
 * joint; by equilibrium it is the moment of the weight above that this leg carries.
 *
 * @param loaded the posed body and what carries it, see {@link LoadedBody}
 * @returns the joints of the legs that carry weight, then the low back
 */
export function calcLoads(loaded: LoadedBody): readonly JointLoad[] {
  const { skeleton, pose, weights, frontSide, legLength, massKg } = loaded;
  const { legs, centreOfMass, posture } = skeleton;
  const describe = (
    joint: JointLoad['joint'],
    side: Side | null,
    { at, mass, share, moment }: Carried,
  ): JointLoad => ({
    joint,
    side,
    lineArmCm: toHundredths(cmFromMetres(Math.abs(at - mass))),
    line: mass >= at ? 'ahead' : 'behind',
    weightShare: share === null ? null : toThousandths(share),
    torqueShare: moment === null ? null : toThousandths(moment / legLength),
    staticTorque:
      moment === null
        ? null
        : toThousandths(massKg === null ? cmFromMetres(moment) : moment * massKg * GRAVITY),
    unit: massKg === null ? 'BW·cm' : 'N·m',
  });
  const isFree = standsFree(pose);
  const feet = weights.filter(({ on }) => on !== 'hand');
  const stance = Math.abs(legs.front.foot.heel[0] - legs.back.foot.heel[0]);
  const isDetermined = isFree && areFeetDetermined(feet, stance);
  const [weight] = centreOfMass;
  const loads = PLACES.flatMap((place) => {
    const side = sideOfPlace(place, frontSide);
    const carrying = feet.find((each) => each.side === side);
    // Where a seat carries an unknown part, both feet still carry something.
    if (feet.length > 0 && carrying === undefined) return [];
    const { foot, shank, thigh } = massesOfLeg(legs[place]);
    const share = carrying?.share ?? null;
    const describeAt = (joint: 'knee' | 'hip', [at]: Vec3, below: readonly Mass[]): JointLoad => {
      const moment =
        share === null || !isDetermined
          ? null
          : below.reduce((sum, part) => sum - part.share * (part.x - at), share * (weight - at));
      return describe(joint, side, { at, mass: weight, share, moment });
    };
    const hip = describeAt('hip', legs[place].hip, [foot, shank, thigh]);
    return carrying?.on === 'knee'
      ? [hip]
      : [describeAt('knee', legs[place].knee, [foot, shank]), hip];
  });
  const above = massAbove(skeleton);
  const [at] = posture.pelvisCentre;
  const moment = isFree ? above.share * (above.x - at) : null;
  return [...loads, describe('back', null, { at, mass: above.x, share: above.share, moment })];
}
