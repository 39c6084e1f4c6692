import type { MeasureId } from '../measures/protocols/index.ts';
import { type Side, otherSide } from '../measures/protocol.ts';
import type { Body } from '../body/body.ts';
import { type PlanningRanges, findRange } from '../planning/ranges.ts';
import { type Metres, cmFromMetres } from '../units/brands.ts';
import { type WorkingStep, term } from '../planning/working.ts';
import type { Setting } from './setUp.ts';
import type { SettingId } from './settingKinds.ts';
import { makeSetting } from './makeSetting.ts';
import { FOOT, HALF_THIGH_CM, HIP_CENTRE } from '../body/proportions.ts';

/** A support lower than this is none, cm. */
const NO_SUPPORT_UNDER = 2;

export const DEG = Math.PI / 180;

/**
 * A number in a sum.
 *
 * @param value any number
 * @returns with two decimals
 */
export const f = (value: number): string => value.toFixed(2);

/** One person's numbers for one side, centimetres and degrees. */
export interface LyingNumbers {
  readonly thigh: number;
  readonly shank: number;
  readonly leg: number;
  readonly otherLeg: number;
  readonly ankle: number;
  readonly foot: number;
  readonly hips: number;
  /** A hip centre above the floor, lying on the back. */
  readonly hipLying: number;
  readonly legLength: number;
  readonly trunk: number;
  readonly reach: number;
  readonly halfShoulders: number;
  /** A range as it is planned with; 0 when it is not known, which the needs rule out. */
  readonly range: (measure: MeasureId, side?: Side | null) => number;
  /** Round the top thigh and the bottom foot. */
  readonly girths: { readonly thigh: number; readonly foot: number };
  readonly side: Side;
}

/**
 * The numbers that lying and seated forms are computed from.
 *
 * @param body lengths
 * @param ranges as they are planned with
 * @param side the front, raised or crossed leg
 * @returns centimetres and degrees
 */
export function readNumbers(body: Body, ranges: PlanningRanges, side: Side): LyingNumbers {
  const cm = (metres: Metres): number => cmFromMetres(metres);
  const other = otherSide(side);
  return {
    thigh: cm(body.thigh[side]),
    shank: cm(body.shank[side]),
    leg: cm(body.thigh[side]) + cm(body.shank[side]),
    otherLeg: cm(body.thigh[other]) + cm(body.shank[other]),
    ankle: cm(body.ankleHeight),
    foot: cm(body.footLength),
    hips: cm(body.hipCentreDistance),
    // Of the pelvis's depth, what lies behind the hip centres.
    hipLying: cm(body.pelvisDepth) - HIP_CENTRE.behind * cm(body.hipBoneWidth),
    legLength: cm(body.legLength[side]),
    trunk: cm(body.trunk),
    reach: cm(body.armReach[side]),
    halfShoulders: cm(body.shoulderWidth) / 2,
    range: (measure, at = side) => findRange(ranges, measure, at)?.recommended.limit ?? 0,
    girths: { thigh: cm(body.thighGirth[side]), foot: cm(body.footGirth[other]) },
    side,
  };
}

/**
 * A line of a sum in centimetres.
 *
 * @param text what is added
 * @param expression the arithmetic behind it
 * @param value cm
 * @returns the step
 */
export const cmTerm = (text: string, expression: string, value: number): WorkingStep =>
  term(text, expression, value, 'cm');

/**
 * A line of a sum in degrees.
 *
 * @param text what is added
 * @param value degrees
 * @returns the step
 */
export const degTerm = (text: string, value: number): WorkingStep =>
  term(text, f(value), value, 'deg');

/**
 * A length that is set.
 *
 * @param id which setting
 * @param from the point it is measured from
 * @param to the point it is measured to
 * @param terms the lines of its sum, cm
 * @returns the setting
 */
export const cm = (id: SettingId, from: string, to: string, ...terms: WorkingStep[]): Setting =>
  makeSetting(id, 'cm', from, to, terms, []);

/**
 * An angle that is set.
 *
 * @param id which setting
 * @param from the line it is measured from
 * @param to the line it is measured to
 * @param terms the lines of its sum, degrees
 * @returns the setting
 */
export const deg = (id: SettingId, from: string, to: string, ...terms: WorkingStep[]): Setting =>
  makeSetting(id, 'deg', from, to, terms, []);

/**
 * A support that is none when it would be lower than two centimetres.
 *
 * @param id which setting
 * @param from the point it is measured from
 * @param to the point it is measured to
 * @param terms the lines of its sum, cm
 * @returns the setting, which may be 0
 */
export function support(id: SettingId, from: string, to: string, ...terms: WorkingStep[]): Setting {
  const total = terms.reduce((sum, step) => sum + step.value, 0);
  return total > NO_SUPPORT_UNDER
    ? cm(id, from, to, ...terms)
    : cm(id, from, to, cmTerm('under two centimetres: none', '0', 0));
}

/**
 * A hip centre above the floor, lying on the back.
 *
 * @param n one person's numbers
 * @returns a line of a sum, cm
 */
export const hipAboveFloor = ({ hipLying }: LyingNumbers): WorkingStep =>
  cmTerm('hip centre above the floor, from the pelvis’s depth', f(hipLying), hipLying);

/**
 * The thigh stops short of the floor line by what the hip opening lacks.
 *
 * @param n one person's numbers
 * @returns the setting
 */
export function kneeSupport(n: LyingNumbers): Setting {
  const opening = n.range('hip-opening');
  return support(
    'knee-support',
    'floor',
    'front-thigh',
    hipAboveFloor(n),
    cmTerm(
      'thigh rising by what is missing of the opening',
      `${f(n.thigh)} × cos(${f(opening)}°)`,
      n.thigh * Math.cos(opening * DEG),
    ),
    cmTerm('less half the thigh’s depth', f(-HALF_THIGH_CM), -HALF_THIGH_CM),
  );
}

/**
 * A block under the back of the back heel that holds its ankle as high as the hip lies.
 *
 * @param n one person's numbers
 * @returns the setting
 */
export const backHeelBlock = (n: LyingNumbers): Setting =>
  support(
    'back-heel-block',
    'floor',
    'back-heel',
    hipAboveFloor(n),
    cmTerm(
      'less the ankle’s centre above the back of its heel',
      `-${f(FOOT.ankle)} × ${f(n.foot)}`,
      -FOOT.ankle * n.foot,
    ),
  );
