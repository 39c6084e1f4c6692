import { SIDES } from '../measures/protocol.ts';
import {
  findChestHeading,
  findHipRotation,
  findTwistShares,
  type HipRotation,
} from './hipRotation.ts';
import { nameLeg } from './jointReport.ts';
import type { SetUp } from './setUp.ts';

/** One line of a sum in words. */
export interface SumLine {
  readonly words: string;
  readonly amount: string;
  /** What the lines above come to. */
  readonly isSum: boolean;
}

const degrees = (value: number): string => `${Math.abs(value).toFixed(1)}°`;

/**
 * A direction on the mat, from its front edge.
 *
 * @param deg + to the left
 * @returns in whole degrees: “67° left”
 */
export function writeHeading(deg: number): string {
  const whole = Math.round(deg);
  if (whole === 0) return 'ahead';
  return `${String(Math.abs(whole))}° ${whole > 0 ? 'left' : 'right'}`;
}

/**
 * A rotation of the hip.
 *
 * @param deg + outward
 * @returns in whole degrees: “35° out”
 */
export function writeTurn(deg: number): string {
  const whole = Math.round(deg);
  return whole === 0 ? '0°' : `${String(Math.abs(whole))}° ${whole > 0 ? 'out' : 'in'}`;
}

const exactHeading = (deg: number): string =>
  Math.abs(deg) < 0.05 ? 'straight ahead' : `${degrees(deg)} to the ${deg > 0 ? 'left' : 'right'}`;
const exactTurn = (deg: number): string =>
  Math.abs(deg) < 0.05 ? '0°' : `${degrees(deg)} ${deg > 0 ? 'out' : 'in'}`;

const POINTS = {
  foot: 'Foot points',
  thigh: 'Thigh points',
  shin: 'Knee faces',
} as const;
const LOWER_LEG = {
  foot: 'The foot points outward of the knee (thigh-foot angle)',
  thigh: 'The shin leans out of the thigh’s upright plane',
  shin: 'The shin leans out of the thigh’s plane',
} as const;

/**
 * From where a leg points to the rotation of its hip, line by line.
 *
 * @param rotation of a hip
 * @returns a closing sum
 */
export const listRotationSteps = (rotation: HipRotation): readonly SumLine[] => [
  { words: POINTS[rotation.by], amount: exactHeading(rotation.directionDeg), isSum: false },
  { words: 'Pelvis faces', amount: exactHeading(rotation.pelvisDeg), isSum: false },
  { words: 'Between them, on the floor', amount: exactTurn(rotation.floorDeg), isSum: true },
  { words: 'Tilt of leg and pelvis', amount: exactTurn(rotation.tiltDeg), isSum: false },
  { words: LOWER_LEG[rotation.by], amount: exactTurn(rotation.lowerLegDeg), isSum: false },
  { words: 'Hip rotation', amount: exactTurn(rotation.rotationDeg), isSum: true },
];

/**
 * What pelvis and spine give of a twist, line by line.
 *
 * @param setUp the set-up
 * @returns a closing sum; null where the pose is no twist
 */
export function listTwistSteps(setUp: SetUp): readonly SumLine[] | null {
  const twist = findTwistShares(setUp);
  if (twist === null) return null;
  return [
    {
      words: 'Pelvis turns from facing the floor',
      amount: exactTwist(twist.pelvisDeg),
      isSum: false,
    },
    { words: 'Spine turns on it', amount: exactTwist(twist.spineDeg), isSum: false },
    { words: 'Chest turned', amount: exactTwist(twist.chestDeg), isSum: true },
  ];
}

const exactTwist = (deg: number): string => `${deg < 0 ? 'the other way ' : ''}${degrees(deg)}`;

/**
 * The rotation of every hip that stands on something, in words.
 *
 * @param setUp the set-up
 * @returns sentences with the numbers of the drawing
 */
export function sayRotations(setUp: SetUp): string {
  const hips = SIDES.flatMap((side) => findHipRotation(setUp, side) ?? []);
  const legs = hips.map(({ side, footDeg, thighDeg, rotationDeg }) => {
    const leg = nameLeg(side, setUp);
    const foot = footDeg === null ? '' : `${leg} foot ${writeHeading(footDeg)}, `;
    return `${foot}${leg} thigh ${writeHeading(thighDeg)}, ${leg} hip ${writeTurn(rotationDeg)}`;
  });
  const [first] = hips;
  const pelvis = first === undefined ? '' : `; pelvis ${writeHeading(first.pelvisDeg)}`;
  const heading = findChestHeading(setUp);
  const chest = heading === null ? '' : `; chest ${writeHeading(heading)}`;
  return `${legs.join('; ')}${pelvis}${chest}.`;
}
