import type { LyingFormId } from '../poses/lying/lyingPose.ts';
import {
  type LyingNumbers,
  deg,
  degTerm,
  cm,
  cmTerm,
  f,
  support,
  DEG,
  kneeSupport,
  readNumbers,
} from './lyingNumbers.ts';
import { calcLyingLandmarks } from './lyingPosture.ts';
import type { Setting, SetUp } from './setUp.ts';
import { bentKneeForm, straightForm, handToFoot, pyramidLoop, crossedTwist } from './lyingForms.ts';
import { otherSide, type Side } from '../measures/protocol.ts';
import { seat } from './seatedForms.ts';
import type { Body } from '../body/body.ts';
import type { PlanningRanges } from '../planning/ranges.ts';

const FORMS: Readonly<Record<LyingFormId, (n: LyingNumbers) => Setting[]>> = {
  'lying-warrior-two': bentKneeForm,
  'lying-side-angle': bentKneeForm,
  'lying-triangle': straightForm,
  'lying-warrior-one': (n) => [
    ...bentKneeForm(n),
    deg(
      'pelvis-turn',
      'flat-on-the-floor',
      'pelvis',
      degTerm(
        'toward the front leg, as far as the back hip extends',
        n.range('hip-extension', otherSide(n.side)),
      ),
    ),
    cm(
      'bolster-height',
      'floor',
      'raised-hip',
      cmTerm('beside the hip', f(n.hipLying), n.hipLying),
    ),
  ],
  'lying-revolved-side-angle': (n) => {
    const lacking = Math.max(0, 90 - n.range('trunk-rotation'));
    return [
      ...bentKneeForm(n),
      cm(
        'bolster-height',
        'floor',
        'hip-on-the-front-side',
        cmTerm('along the hip', f(n.hipLying), n.hipLying),
      ),
      support(
        'head-support',
        'floor',
        'head',
        cmTerm(
          'half the shoulders by what is missing of the chest’s turn',
          `${f(n.halfShoulders)} × sin(${f(lacking)}°)`,
          n.halfShoulders * Math.sin(lacking * DEG),
        ),
      ),
    ];
  },
  'lying-hand-to-foot': handToFoot,
  'lying-pyramid': pyramidLoop,
  'lying-crossed-twist': crossedTwist,
  staff: seat,
  'seated-straddle': seat,
  'bound-angle': (n) => [kneeSupport(n)],
};

/** What a lying or seated form sets, and the posture that it leads to. */
export interface LyingAnswer {
  /** Every number with its contact points (`from`, `to`) and the sum behind it. */
  readonly settings: readonly Setting[];
  /** See {@link calcLyingLandmarks}. */
  readonly landmarks: SetUp['landmarks'];
}

/**
 * Wall distances, marks, supports and straps of a lying or seated form, with its posture.
 *
 * @param form which
 * @param body lengths of the body, metres
 * @param ranges ranges as they are planned with
 * @param side the front, raised or crossed leg
 * @returns settings and landmarks
 */
export function calcLying(
  form: LyingFormId,
  body: Body,
  ranges: PlanningRanges,
  side: Side,
): LyingAnswer {
  const numbers = readNumbers(body, ranges, side);
  return {
    settings: FORMS[form](numbers),
    landmarks: calcLyingLandmarks(form, numbers, body, side),
  };
}
