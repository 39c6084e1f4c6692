import { findMotionOf, listMeasuresOf } from '../conditions/motionMeasures.ts';
import type { Side } from '../measures/protocol.ts';
import type { MeasureId } from '../measures/protocols/index.ts';
import type { SetUp } from '../setup/setUp.ts';
import { NOWHERE, findFeltPlace, type Felt } from './places.ts';
import { findStretches, type Stretch } from './stretches.ts';
import { STRETCH_TABLE } from './stretchTable.ts';

/** From this share of its range on, a stretch is felt by most. Our choice. */
export const FELT_FROM = 0.85;
/** Below this share, what is felt does not come from the set-up. Our choice. */
const NOT_FELT_BELOW = 0.7;

/** More places than this are not asked after. */
const MOST_NAMED = 3;

/** Whether what was felt is where the set-up stretches. */
export interface FeltJudgement {
  /** Where the set-up stretches most, the nearest to its end first. */
  readonly expected: readonly Stretch[];
  readonly kind: 'agrees' | 'elsewhere' | 'nowhere';
  /** Felt, but hardly stretched by the set-up: ids of FELT_PLACES. */
  readonly elsewhere: readonly string[];
  /** What to measure again when no error is seen: the ranges behind those places. */
  readonly remeasure: readonly { readonly measure: MeasureId; readonly side: Side | null }[];
}

/**
 * Where a set-up stretches most: what is near the end of its range, or else what is nearest.
 *
 * @param setUp as it was held
 * @returns up to three places that are commonly felt
 */
export function findExpected(setUp: Pick<SetUp, 'joints'>): readonly Stretch[] {
  const felt = findStretches(setUp).filter(({ rule }) => !rule.isRarelyFelt);
  const near = felt.filter(({ share }) => share >= FELT_FROM);
  return (near.length === 0 ? felt.slice(0, 1) : near).slice(0, MOST_NAMED);
}

/** The measured ranges whose end is felt at a place. */
function listMeasuresAt(id: string): FeltJudgement['remeasure'] {
  const place = findFeltPlace(id);
  if (place === null) return [];
  const measures = STRETCH_TABLE.filter(({ region }) => region === place.region).flatMap(
    ({ joint, motion }) => listMeasuresOf({ joint, motion }),
  );
  return [...new Set(measures)].map((measure) => ({
    measure,
    side: findMotionOf(measure)?.joint === 'spine' ? null : place.side,
  }));
}

/**
 * Compares where a stretch was felt with where the set-up stretches.
 *
 * @param setUp as it was held
 * @param felt as it was noted; what works is no stretch, and says nothing of it
 * @returns null = no stretch was noted, or nothing is known of the ranges
 */
export function judgeFelt(
  setUp: Pick<SetUp, 'joints'>,
  felt: readonly Felt[],
): FeltJudgement | null {
  const places = felt.filter(({ how }) => how === 'stretch').map(({ place }) => place);
  const expected = findExpected(setUp);
  if (places.length === 0 || expected.length === 0) return null;
  const own = places.filter((each) => each !== NOWHERE);
  if (own.length === 0) {
    const remeasure = expected.slice(0, 1).flatMap(({ place }) => listMeasuresAt(place));
    return { expected, kind: 'nowhere', elsewhere: [], remeasure };
  }
  const shares = new Map(findStretches(setUp).map(({ place, share }) => [place, share]));
  const elsewhere = own.filter((each) => (shares.get(each) ?? 0) < NOT_FELT_BELOW);
  return {
    expected,
    kind: elsewhere.length === 0 ? 'agrees' : 'elsewhere',
    elsewhere,
    remeasure: elsewhere.slice(0, 1).flatMap(listMeasuresAt),
  };
}
