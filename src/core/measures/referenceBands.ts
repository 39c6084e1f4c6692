import { problem, type Problem } from '../problems/problem.ts';
import { getProtocol, type MeasureId } from './protocols/index.ts';

/** What most healthy people have, by published means: to question an entry, never a target. */
export interface ReferenceBand {
  readonly mean: number;
  /** Mean ± 3 standard deviations. */
  readonly low: number;
  readonly high: number;
  /** Whose: "women, 45 to 69". */
  readonly who: string;
  readonly source: string;
}

type Sex = 'female' | 'male';

/** The studies give the spread of means, not of people. 8 to 10° is usual; our choice. */
const PEOPLE_SD_DEG = 9;
const TIMES = 3;

const SOUCIE = 'Soucie et al. 2011, from memory';
const AAOS = 'American Academy of Orthopaedic Surgeons 1994, from memory';
const SPRINGER = 'Springer et al. 2007, from memory';

/** Means by sex and age, degrees: 20 to 44, 45 to 69. Soucie et al. 2011, Haemophilia; from memory. */
const BY_AGE_AND_SEX: Partial<Record<MeasureId, Readonly<Record<Sex, readonly [number, number]>>>> =
  {
    'hip-flexion': { female: [133.8, 130.8], male: [130.4, 127.2] },
    'hip-extension': { female: [18.1, 16.7], male: [17.4, 13.5] },
    'knee-flexion': { female: [141.9, 137.8], male: [137.7, 132.9] },
  };
const AGES = [
  { from: 20, to: 44 },
  { from: 45, to: 69 },
] as const;

/** Means for everyone, degrees. Greene & Heckman for the AAOS, 1994; from memory. */
const FOR_ALL: Partial<Record<MeasureId, number>> = {
  'hip-flexion': 120,
  'hip-extension': 25,
  'hip-abduction': 45,
  'hip-adduction': 30,
  'hip-internal-rotation': 45,
  'hip-external-rotation': 45,
  'knee-flexion': 135,
  'trunk-extension': 25,
  'trunk-side-bend': 35,
};

/** Seconds on one leg, eyes open, best of three, both sexes. Springer et al. 2007; from memory. */
const BALANCE: readonly { readonly from: number; readonly to: number; readonly mean: number }[] = [
  { from: 18, to: 39, mean: 44.7 },
  { from: 40, to: 49, mean: 41.9 },
  { from: 50, to: 59, mean: 41.2 },
  { from: 60, to: 69, mean: 32.1 },
  { from: 70, to: 79, mean: 21.5 },
  { from: 80, to: 99, mean: 9.4 },
];

const SEX_WORDS: Readonly<Record<Sex, string>> = { female: 'women', male: 'men' };

const holds =
  (age: number) =>
  ({ from, to }: { readonly from: number; readonly to: number }): boolean =>
    age >= from && age <= to;

const makeBand = (mean: number, who: string, source: string): ReferenceBand => ({
  mean,
  low: mean - TIMES * PEOPLE_SD_DEG,
  high: mean + TIMES * PEOPLE_SD_DEG,
  who,
  source,
});

/**
 * The published band of a measure: by age and sex where both are known and published, else
 * for everyone; null where nothing is published.
 *
 * @param measure which measure
 * @param sex null = not said
 * @param age in years; null = not known
 * @returns the band with its source
 */
export function findReferenceBand(
  measure: MeasureId,
  sex: Sex | null,
  age: number | null,
): ReferenceBand | null {
  if (measure === 'single-leg-balance') {
    const row = age === null ? undefined : BALANCE.find(holds(age));
    if (row === undefined) return null;
    // A watch that stops at 45 s has no upper end to question.
    const who = `people of ${String(row.from)} to ${String(row.to)}`;
    return { mean: row.mean, low: 0, high: 45, who, source: SPRINGER };
  }
  const byAge = age === null ? -1 : AGES.findIndex(holds(age));
  const row = sex === null ? undefined : BY_AGE_AND_SEX[measure]?.[sex][byAge];
  const ages = AGES[byAge];
  if (row !== undefined && sex !== null && ages !== undefined) {
    return makeBand(row, `${SEX_WORDS[sex]} of ${String(ages.from)} to ${String(ages.to)}`, SOUCIE);
  }
  const mean = FOR_ALL[measure];
  return mean === undefined ? null : makeBand(mean, 'adults', AAOS);
}

/**
 * Asks about a reading that lies outside the published band; null when it does not.
 *
 * @param value in the measure's unit
 * @param measure which measure
 * @param band null = nothing is published
 * @returns a warning
 */
export function questionAgainstBand(
  value: number,
  measure: MeasureId,
  band: ReferenceBand | null,
): Problem | null {
  if (band === null || (value >= band.low && value <= band.high)) return null;
  const { name, unit } = getProtocol(measure);
  return problem('outside-reference', measure, {
    measure: name,
    value,
    unit: unit === 'deg' ? '°' : ` ${unit}`,
    who: band.who,
    low: Math.round(band.low),
    high: Math.round(band.high),
    source: band.source,
  });
}
