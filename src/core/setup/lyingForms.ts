import type { WorkingStep } from '../planning/working.ts';
import {
  type LyingNumbers,
  DEG,
  cm,
  cmTerm,
  f,
  kneeSupport,
  backHeelBlock,
  deg,
  degTerm,
} from './lyingNumbers.ts';
import type { Setting } from './setUp.ts';
import { FOOT } from '../body/proportions.ts';
import { calcLoop, calcStrapToOwn } from './strap.ts';
import { otherSide } from '../measures/protocol.ts';

/** A loop sits this far above the knee, cm. */
const ABOVE_KNEE = 5;

/** How far the pelvis rolls with a leg that crosses, degrees. Common practice, no source. */
const PELVIS_ROLL = 45;

/** Soles to the wall: the hips stand off it by the ankle and a leg. */
const hipsOffWall = (n: LyingNumbers, leg: WorkingStep): Setting =>
  cm(
    'hips-off-wall',
    'wall',
    'hip-centres',
    cmTerm('ankle from the sole', f(n.ankle), n.ankle),
    leg,
  );

/**
 * The wall is their floor: front shin level to it, knee at a right angle.
 *
 * @param n one person's numbers
 * @returns its settings
 */
export function bentKneeForm(n: LyingNumbers): Setting[] {
  const opening = n.range('hip-opening');
  const ahead = n.thigh * Math.sin(opening * DEG);
  const back = Math.sqrt(Math.max(0, n.otherLeg ** 2 - n.shank ** 2));
  const ankleBack = (FOOT.ankle - FOOT.heelCentre) * n.foot;
  return [
    hipsOffWall(n, cmTerm('front shank level to the wall', f(n.shank), n.shank)),
    cm(
      'heel-marks',
      'front-heel-mark',
      'back-heel-mark',
      cmTerm('thigh along the wall', `${f(n.thigh)} × sin(${f(opening)}°)`, ahead),
      cmTerm(
        'back leg along the wall',
        `√(${f(n.otherLeg)} × ${f(n.otherLeg)} − ${f(n.shank)} × ${f(n.shank)})`,
        back,
      ),
      cmTerm('hip line', f(n.hips), n.hips),
      cmTerm('less ankle to heel of the front foot', f(-ankleBack), -ankleBack),
    ),
    kneeSupport(n),
    backHeelBlock(n),
  ];
}

/**
 * How far each foot stands out from its hip, with the feet one leg length apart.
 *
 * @param n one person's numbers
 * @returns cm
 */
export const calcHalfSpread = ({ legLength, hips }: LyingNumbers): number => (legLength - hips) / 2;

/**
 * How far legs that are spread so reach from the hips.
 *
 * @param n one person's numbers
 * @returns cm, without the ankle
 */
export const calcSpreadHeight = (n: LyingNumbers): number =>
  Math.sqrt(Math.max(0, n.leg ** 2 - calcHalfSpread(n) ** 2));

/**
 * Both legs straight, a leg length apart, soles to the wall.
 *
 * @param n one person's numbers
 * @returns its settings
 */
export function straightForm(n: LyingNumbers): Setting[] {
  const half = calcHalfSpread(n);
  return [
    hipsOffWall(
      n,
      cmTerm(
        'straight legs, feet one leg length apart',
        `√(${f(n.leg)} × ${f(n.leg)} − ${f(half)} × ${f(half)})`,
        calcSpreadHeight(n),
      ),
    ),
    cm(
      'heel-marks',
      'front-heel-mark',
      'back-heel-mark',
      cmTerm('leg length', f(n.legLength), n.legLength),
    ),
    backHeelBlock(n),
  ];
}

/**
 * One leg raised, the hand at its foot or on a strap.
 *
 * @param n one person's numbers
 * @returns its settings
 */
export function handToFoot(n: LyingNumbers): Setting[] {
  const angle = n.range('straight-leg-raise');
  const sole = n.leg + n.ankle;
  const along = sole * Math.cos(angle * DEG) + n.trunk;
  const up = n.hipLying + sole * Math.sin(angle * DEG);
  const toSole = Math.hypot(along, up);
  const gap = Math.max(0, toSole - n.reach);
  return [
    deg('leg-angle', 'floor', 'raised-leg', degTerm('leg raise as it is planned with', angle)),
    cm(
      'strap-length',
      'hand',
      'hand-round-the-sole',
      gap === 0
        ? cmTerm('the hand reaches the foot: no strap', '0', 0)
        : cmTerm(
            'there and back between sole and hand',
            `2 × (${f(toSole)} − ${f(n.reach)})`,
            2 * gap,
          ),
    ),
    // A leg that passes upright leaves a door frame behind.
    ...(angle < 90
      ? [
          cm(
            'door-frame-distance',
            'door-frame',
            'hip-centres',
            cmTerm(
              'leg along the floor',
              `${f(n.leg)} × cos(${f(angle)}°)`,
              n.leg * Math.cos(angle * DEG),
            ),
          ),
        ]
      : []),
  ];
}

/**
 * Between the legs of the person's own pyramid, which is one leg length long; degrees.
 *
 * @returns degrees
 */
export const calcLegsBetween = ({ legLength, leg }: LyingNumbers): number =>
  (2 * Math.asin(Math.min(1, Math.max(0, legLength / (2 * leg))))) / DEG;

/**
 * Both legs hang from one square pelvis: the hip line takes no share of the stance.
 *
 * @param n one person's numbers
 * @returns its settings
 */
export function pyramidLoop(n: LyingNumbers): Setting[] {
  const angle = n.range('straight-leg-raise');
  const between = calcLegsBetween(n);
  const thigh = n.thigh - ABOVE_KNEE;
  const bottom = n.otherLeg + n.ankle;
  const straight = Math.sqrt(
    thigh ** 2 + bottom ** 2 - 2 * thigh * bottom * Math.cos(between * DEG),
  );
  const loop = calcLoop(
    cmTerm(
      'there and back from the sole to above the knee',
      `2 × √(${f(thigh)} × ${f(thigh)} + ${f(bottom)} × ${f(bottom)} − 2 × ${f(thigh)} × ${f(bottom)} × cos(${f(between)}°))`,
      2 * straight,
    ),
    n.girths,
  );
  return [
    deg('leg-angle', 'floor', 'top-leg', degTerm('leg raise as it is planned with', angle)),
    cm('loop-length', 'sole-of-bottom-foot', 'top-thigh-above-knee', ...loop),
    cm('strap-to-own', 'strap-end', 'strap-end', ...calcStrapToOwn(loop)),
  ];
}

/**
 * What adduction, the pelvis' roll and the trunk's turn lack to bring the leg to the floor, degrees.
 *
 * @param n one person's numbers
 * @returns degrees
 */
export function calcTwistLacking(n: LyingNumbers): number {
  const reach =
    n.range('hip-adduction') + PELVIS_ROLL + n.range('trunk-rotation', otherSide(n.side));
  return Math.max(0, 90 - reach);
}

/**
 * One leg across the body, its foot toward a wall at that side.
 *
 * @param n one person's numbers
 * @returns its settings
 */
export function crossedTwist(n: LyingNumbers): Setting[] {
  const left = calcTwistLacking(n);
  return [
    cm(
      'foot-height',
      'floor',
      'sole-of-crossed-foot',
      cmTerm(
        'leg above the floor by what is missing of adduction, roll and turn',
        `${f(n.leg)} × sin(${f(left)}°)`,
        n.leg * Math.sin(left * DEG),
      ),
    ),
    cm(
      'hips-off-wall',
      'wall',
      'hip-centres',
      cmTerm('leg and sole', f(n.leg + n.ankle), n.leg + n.ankle),
    ),
  ];
}
