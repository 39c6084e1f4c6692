import type { CanonicalBody } from '../skeleton/canonicalBody.ts';
import { soleOutline } from '../skeleton/foot.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import type { MatSize } from '../studio/studio.ts';
import { cmFromMetres } from '../units/brands.ts';
import { plain, type WorkingStep } from '../planning/working.ts';

export interface MatFit extends MatSize {
  readonly fits: boolean;
  /** Length of the stance from toe tip to the rear of the back foot, cm. */
  readonly extentCm: number;
  /** Terms of the front heel's mark, from the mat's front edge. */
  readonly working: readonly WorkingStep[];
}

/**
 * Lays the stance in the middle of the mat's length, so that both ends have room.
 *
 * @param canonicalBody lengths of the body as the solver sees it, metres
 * @param skeleton the posed body, metres and radians, solver frame
 * @param mat cm
 * @returns where the mat lies, metres, and whether the stance fits
 */
export function layOnMat(canonicalBody: CanonicalBody, skeleton: Skeleton, mat: MatSize): MatFit {
  const { front, back } = skeleton.legs;
  const xs = [
    ...soleOutline(canonicalBody, front.foot),
    ...soleOutline(canonicalBody, back.foot),
  ].map(([x]) => x);
  const farthest = Math.max(...xs);
  const extentCm = cmFromMetres(farthest - Math.min(...xs));
  const marginCm = (mat.lengthCm - extentCm) / 2;
  return {
    lengthCm: mat.lengthCm,
    widthCm: mat.widthCm,
    fits: marginCm >= 0,
    extentCm,
    working: [
      plain('half the mat', mat.lengthCm / 2),
      plain('less half the stance, toe tip to rear edge', -extentCm / 2),
      plain('front toes back to the heel', cmFromMetres(farthest - front.foot.heel[0])),
    ],
  };
}

/**
 * The same stance moved along the mat by less than half a centimetre, until the front heel's mark
 * is one that a teacher can set: then both marks and the stance between them add up as they are shown.
 *
 * @param mat as it was laid
 * @returns moved by less than half a centimetre
 */
export function onHalfCentimetre(mat: MatFit): MatFit {
  const mark = mat.working.reduce((sum, { value }) => sum + value, 0);
  const rest = Math.round(mark * 2) / 2 - mark;
  return { ...mat, working: [...mat.working, plain('to the nearest half centimetre', rest)] };
}
