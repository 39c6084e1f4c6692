import { USUAL_PROPS, type PropItem } from '../props/propList.ts';
import type { LengthUnit } from '../units/readQuantity.ts';

/** A school that the house follows, for one pose or for every pose (`*`). Ids are those of rules/schools.ts. */
export interface HouseSchool {
  readonly pose: string;
  readonly rule: string;
  readonly option: string;
}

/** What set-ups are computed with, besides the person. */
export interface StudioForSetUps {
  readonly cupboard: readonly PropItem[];
  /** At most one a pose and rule. */
  readonly schools: readonly HouseSchool[];
  /** Free wall to stand at, metres; 0 = none. */
  readonly wallM: number;
}

/** A room for yoga and the habits of its house. */
export interface Studio extends StudioForSetUps {
  readonly unit: LengthUnit;
  readonly paper: 'A4' | 'Letter';
  /** Of someone whose own pace is not known. */
  readonly breathSeconds: number;
  /** Inner length and width, metres; null = not measured. */
  readonly room: { readonly lengthM: number; readonly widthM: number } | null;
}

/** One easy breath when no pace of the person's own is known, seconds. Common practice, no source. */
export const EASY_BREATH_SECONDS = 5;

/** Until a studio enters its own. General knowledge, no source. */
export const USUAL_STUDIO: Studio = {
  cupboard: USUAL_PROPS,
  schools: [],
  unit: 'cm',
  paper: 'A4',
  breathSeconds: EASY_BREATH_SECONDS,
  room: null,
  wallM: 3,
};

/** A usual mat, cm. Common practice, no source. */
const USUAL_MAT = { lengthCm: 183, widthCm: 66 } as const;

/** Length and width, cm. */
export interface MatSize {
  readonly lengthCm: number;
  readonly widthCm: number;
}

/**
 * The mat that set-ups are laid on: the longest that the cupboard has.
 *
 * @param cupboard what the studio has
 * @returns a usual mat when it has none
 */
export function findMat(cupboard: readonly PropItem[]): MatSize {
  const mats = cupboard.flatMap(({ kind, count, lengthCm, widthCm }) =>
    kind === 'mat' && count > 0 && lengthCm !== null
      ? [{ lengthCm, widthCm: widthCm ?? USUAL_MAT.widthCm }]
      : [],
  );
  return mats.toSorted((a, b) => b.lengthCm - a.lengthCm)[0] ?? USUAL_MAT;
}
