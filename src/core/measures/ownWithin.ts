import { sumNthPowerDeviations } from 'simple-statistics';
import { getProtocol, isMeasureId } from './protocols/index.ts';
import type { ErrorKind } from './protocol.ts';
import type { Reading } from './reading.ts';
import { ERROR_TERMS } from './readingErrors.ts';
import { splitSittings, type Sitting } from './sittings.ts';

/**
 * The default term counts like this many repeats, so that two lucky readings do not
 * pass for a steady hand. Our choice.
 */
const DEFAULT_WORTH = 10;

/** A within-sitting error term and what it rests on. */
export interface WithinTerm {
  readonly within: number;
  /** Degrees of freedom of the person's own repeats; 0 = the default alone. */
  readonly repeats: number;
}

export type OwnWithin = Readonly<Record<ErrorKind, WithinTerm>>;

/**
 * How far a person's own repeats of one sitting scatter, pooled over measures of the same
 * kind, with the default term as a prior: √((10 · default² + Σ(x − x̄)²) / (10 + Σ(n − 1))).
 *
 * @param readings all of one person
 * @returns a term for every kind, in its own unit
 */
export const calcOwnWithin = (readings: readonly Reading[]): OwnWithin =>
  poolWithin(splitSittings(readings));

/**
 * The same of readings that are split already.
 *
 * @param sittings of every measure
 * @returns the spread by kind of error
 */
export function poolWithin(sittings: readonly Sitting[]): OwnWithin {
  const sums = new Map<ErrorKind, { squares: number; repeats: number }>();
  for (const sitting of sittings) {
    const { measure } = sitting[0]!;
    if (sitting.length < 2 || !isMeasureId(measure)) continue;
    const { errorKind } = getProtocol(measure);
    const values = sitting.map((each) => each.value);
    const known = sums.get(errorKind) ?? { squares: 0, repeats: 0 };
    sums.set(errorKind, {
      squares: known.squares + sumNthPowerDeviations(values, 2),
      repeats: known.repeats + values.length - 1,
    });
  }
  const refine = (kind: ErrorKind): WithinTerm => {
    const { squares, repeats } = sums.get(kind) ?? { squares: 0, repeats: 0 };
    const pooled = DEFAULT_WORTH * ERROR_TERMS[kind].within ** 2 + squares;
    return { within: Math.sqrt(pooled / (DEFAULT_WORTH + repeats)), repeats };
  };
  return {
    range: refine('range'),
    ankle: refine('ankle'),
    length: refine('length'),
    floor: refine('floor'),
    balance: refine('balance'),
  };
}
