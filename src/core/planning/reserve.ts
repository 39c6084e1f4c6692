import type { Experience } from '../person/person.ts';
import type { HouseRules } from '../rules/houseRules.ts';

/** Share of a range kept in reserve. Our choice, by experience. */
const RESERVE_BY_EXPERIENCE: Readonly<Record<Experience, number>> = {
  new: 0.1,
  steady: 0.05,
  seasoned: 0,
};

/** First step inside the deepest, degrees of front-knee bend. Our choice. */
const FIRST_STEP_DEG: Readonly<Record<Experience, number>> = { new: 15, steady: 10, seasoned: 5 };

/** The bend that the steps above are a share of; other depths take the same share. */
const FULL_BEND_DEG = 90;

/**
 * The share of every measured range that is kept in reserve.
 *
 * @param rules house rules, which may set it for everyone
 * @param experience of the person
 * @returns 0 to 1
 */
export const getReserve = (rules: HouseRules, experience: Experience): number =>
  rules.reserveByExperience ? RESERVE_BY_EXPERIENCE[experience] : 0;

/**
 * How far inside the deepest a first set-up stays, degrees: 15, 10 or 5° of front-knee
 * bend, and 1/6, 1/9 or 1/18 of the deepest for every other depth.
 *
 * @param rules house rules, all filled in
 * @param experience of the person
 * @param isKneeBend whether the depth is the bend of the front knee
 * @param deepestDeg the deepest safe depth
 * @returns in the depth's own unit
 */
export function calcFirstStep(
  rules: HouseRules,
  experience: Experience,
  isKneeBend: boolean,
  deepestDeg: number,
): number {
  const step = rules.firstStepDeg ?? FIRST_STEP_DEG[experience];
  return isKneeBend ? step : (step / FULL_BEND_DEG) * deepestDeg;
}
