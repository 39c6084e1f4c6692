import { FOOT } from '../body/proportions.ts';
import { CENTRE_FROM_PROXIMAL, MASS_SHARE } from '../body/masses.ts';
import type { Side } from '../measures/protocol.ts';
import { PLACES, type Place } from '../poses/poseDefinition.ts';
import { sideOfPlace } from '../skeleton/canonicalBody.ts';
import { WHOLE_MASS_SHARE } from '../skeleton/centreOfMass.ts';
import type { LegPose } from '../skeleton/leg.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { cmFromMetres } from '../units/brands.ts';
import type { JointLoad } from './setUp.ts';

/** Standard gravity, m/s². ISO 80000-3. */
const GRAVITY = 9.80665;
/** Feet nearer than this along the mat share the weight evenly: they have no lever, metres. */
const SAME_PLACE = 0.1;

const middleOf = ({ foot }: LegPose): number => (foot.heel[0] + foot.toe[0]) / 2;

/** Share of the body's weight on each leg, by the lever rule along the stance, and where it acts. */
function shareGround({
  legs,
  centreOfMass,
}: Skeleton): Record<Place, { share: number; x: number }> {
  const [weight] = centreOfMass;
  if (legs.back.foot.bearsFrom === null && !legs.back.closure.startsWith('must')) {
    return { front: { share: 1, x: weight }, back: { share: 0, x: middleOf(legs.back) } };
  }
  const front = middleOf(legs.front);
  const back = legs.back.foot.bearsFrom === null ? legs.back.knee[0] : middleOf(legs.back);
  if (Math.abs(front - back) < SAME_PLACE) {
    return { front: { share: 0.5, x: weight }, back: { share: 0.5, x: weight } };
  }
  const share = Math.max(0, Math.min(1, (weight - back) / (front - back)));
  return { front: { share, x: front }, back: { share: 1 - share, x: back } };
}

/**
 * Whether a posture alone determines what each leg carries: on one foot, on two side by side, or
 * with the back heel lifted, so that the foot bears from its ball.
 */
function isDetermined({ legs: { front, back } }: Skeleton): boolean {
  const isOnOneFoot = back.foot.bearsFrom === null && !back.closure.startsWith('must');
  const isOnBall = back.foot.bearsFrom === FOOT.ball;
  const isKneeling = back.foot.bearsFrom === null || !back.ankleBears;
  const areTogether = !isKneeling && Math.abs(middleOf(front) - middleOf(back)) < SAME_PLACE;
  return isOnOneFoot || isOnBall || areTogether;
}

interface SegmentMass {
  readonly share: number;
  readonly x: number;
}

const calcSegmentMass = (
  segment: 'foot' | 'shank' | 'thigh',
  proximalX: number,
  distalX: number,
): SegmentMass => ({
  share: MASS_SHARE[segment] / WHOLE_MASS_SHARE,
  x: proximalX + (distalX - proximalX) * CENTRE_FROM_PROXIMAL[segment],
});

/**
 * What gravity asks of knees and hips in the side plane. The moment at a joint is that of
 * the ground's push on its foot less the weights of the leg below it; by equilibrium it is
 * the moment of all the weight above that this leg carries.
 *
 * @param skeleton the posed body, metres and radians, solver frame
 * @param frontSide the side of the front leg
 * @param massKg null = torque as a share of body weight times cm
 * @returns newton metres where the mass is known, and arms, cm; none where two loaded feet share
 *   the weight
 */
export function calcLoads(skeleton: Skeleton, frontSide: Side, massKg: number | null): JointLoad[] {
  const ground = shareGround(skeleton);
  const determined = isDetermined(skeleton);
  const loads: JointLoad[] = [];
  for (const place of PLACES) {
    const { share, x } = ground[place];
    const leg = skeleton.legs[place];
    if (share === 0) continue;
    const foot = calcSegmentMass('foot', leg.foot.heel[0], leg.foot.toe[0]);
    const shank = calcSegmentMass('shank', leg.knee[0], leg.foot.ankle[0]);
    const thigh = calcSegmentMass('thigh', leg.hip[0], leg.knee[0]);
    const tell = (joint: JointLoad['joint'], at: number, below: readonly SegmentMass[]): void => {
      const lever = below.reduce((sum, part) => sum - part.share * (part.x - at), share * (x - at));
      const torque = massKg === null ? cmFromMetres(lever) : lever * massKg * GRAVITY;
      loads.push({
        joint,
        side: sideOfPlace(place, frontSide),
        lineArmCm: round(cmFromMetres(Math.abs(at - skeleton.centreOfMass[0])), 2),
        weightShare: round(share, 3),
        staticTorque: determined ? round(torque, 3) : null,
        unit: massKg === null ? 'BW·cm' : 'N·m',
      });
    };
    if (leg.foot.bearsFrom !== null || place === 'front') tell('knee', leg.knee[0], [foot, shank]);
    tell('hip', leg.hip[0], [foot, shank, thigh]);
  }
  return loads;
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits)) + 0;
