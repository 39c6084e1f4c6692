import type { Body } from '../body/body.ts';
import { FOOT, HALF_THIGH_CM } from '../body/proportions.ts';
import type { MeasureId } from '../measures/protocols/index.ts';
import { otherSide, type Side } from '../measures/protocol.ts';
import type { LyingFormId } from '../poses/lying/lyingPose.ts';
import { cmFromMetres, type Metres } from '../units/brands.ts';
import { makeSetting } from './makeSetting.ts';
import { findRange, type PlanningRanges } from '../planning/planningLimits.ts';
import type { Setting, SettingId } from './setUp.ts';
import { calcLoop, calcStrapToOwn } from './strap.ts';
import { term, type WorkingStep } from '../planning/working.ts';

/** Height of a hip centre above the floor when lying, cm. Our modelling choice. */
const HIP_CENTRE_LYING = 9;
/** Half the depth of an ankle, cm. Our modelling choice. */
const HALF_ANKLE = 4;
/** A support lower than this is none, cm. */
const NO_SUPPORT_UNDER = 2;
/** Hip centre above a seat less the ankle above the floor, cm. */
export const SEATED_HIP_LESS_ANKLE = 3.5;
/** Above this seat the knees are bent over a roll instead, cm. */
const HIGHEST_SEAT = 25;
/** A loop sits this far above the knee, cm. */
const ABOVE_KNEE = 5;
/** How far the pelvis rolls with a leg that crosses, degrees. Common practice, no source. */
const PELVIS_ROLL = 45;

const DEG = Math.PI / 180;
const f = (value: number): string => value.toFixed(2);

/** One person's numbers for one side, centimetres and degrees. */
interface Numbers {
  readonly thigh: number;
  readonly shank: number;
  readonly leg: number;
  readonly otherLeg: number;
  readonly ankle: number;
  readonly foot: number;
  readonly hips: number;
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

function readNumbers(body: Body, ranges: PlanningRanges, side: Side): Numbers {
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
    legLength: cm(body.legLength[side]),
    trunk: cm(body.trunk),
    reach: cm(body.armReach[side]),
    halfShoulders: cm(body.shoulderWidth) / 2,
    range: (measure, at = side) => findRange(ranges, measure, at)?.recommended.limit ?? 0,
    girths: { thigh: cm(body.thighGirth[side]), foot: cm(body.footGirth[other]) },
    side,
  };
}

const cmTerm = (text: string, expression: string, value: number): WorkingStep =>
  term(text, expression, value, 'cm');
const degTerm = (text: string, value: number): WorkingStep => term(text, f(value), value, 'deg');

const cm = (id: SettingId, from: string, to: string, ...terms: WorkingStep[]): Setting =>
  makeSetting(id, 'cm', from, to, terms, []);
const deg = (id: SettingId, from: string, to: string, ...terms: WorkingStep[]): Setting =>
  makeSetting(id, 'deg', from, to, terms, []);

/** A support that is none when it would be lower than two centimetres. */
function support(id: SettingId, from: string, to: string, ...terms: WorkingStep[]): Setting {
  const total = terms.reduce((sum, step) => sum + step.value, 0);
  return total > NO_SUPPORT_UNDER
    ? cm(id, from, to, ...terms)
    : cm(id, from, to, cmTerm('lower than two centimetres: none', '0', 0));
}

/** The thigh stops short of the floor line by what the hip opening lacks. */
function kneeSupport(n: Numbers): Setting {
  const opening = n.range('hip-opening');
  return support(
    'knee-support',
    'floor',
    'front-thigh',
    cmTerm('hip centre above the floor', f(HIP_CENTRE_LYING), HIP_CENTRE_LYING),
    cmTerm(
      'thigh rising by what the opening lacks',
      `${f(n.thigh)} × cos(${f(opening)}°)`,
      n.thigh * Math.cos(opening * DEG),
    ),
    cmTerm('less half the thigh’s depth', f(-HALF_THIGH_CM), -HALF_THIGH_CM),
  );
}

const backHeelBlock = (): Setting =>
  cm(
    'back-heel-block',
    'floor',
    'back-heel',
    cmTerm('hip centre above the floor', f(HIP_CENTRE_LYING), HIP_CENTRE_LYING),
    cmTerm('less half the ankle’s depth', f(-HALF_ANKLE), -HALF_ANKLE),
  );

/** The wall is their floor: front shin level to it, knee at a right angle. */
function bentKneeForm(n: Numbers): Setting[] {
  const opening = n.range('hip-opening');
  const ahead = n.thigh * Math.sin(opening * DEG);
  const back = Math.sqrt(Math.max(0, n.otherLeg ** 2 - n.shank ** 2));
  const ankleBack = (FOOT.ankle - FOOT.heelCentre) * n.foot;
  return [
    cm(
      'hips-off-wall',
      'wall',
      'hip-centres',
      cmTerm('ankle from the sole', f(n.ankle), n.ankle),
      cmTerm('front shank level to the wall', f(n.shank), n.shank),
    ),
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
    backHeelBlock(),
  ];
}

function straightForm(n: Numbers): Setting[] {
  const half = (n.legLength - n.hips) / 2;
  const height = Math.sqrt(Math.max(0, n.leg ** 2 - half ** 2));
  return [
    cm(
      'hips-off-wall',
      'wall',
      'hip-centres',
      cmTerm('ankle from the sole', f(n.ankle), n.ankle),
      cmTerm(
        'straight legs, feet one leg length apart',
        `√(${f(n.leg)} × ${f(n.leg)} − ${f(half)} × ${f(half)})`,
        height,
      ),
    ),
    cm(
      'heel-marks',
      'front-heel-mark',
      'back-heel-mark',
      cmTerm('leg length', f(n.legLength), n.legLength),
    ),
    backHeelBlock(),
  ];
}

function handToFoot(n: Numbers): Setting[] {
  const angle = n.range('straight-leg-raise');
  const sole = n.leg + n.ankle;
  const along = sole * Math.cos(angle * DEG) + n.trunk;
  const up = HIP_CENTRE_LYING + sole * Math.sin(angle * DEG);
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

/** Both legs hang from one square pelvis: the hip line takes no share of the stance. */
function pyramidLoop(n: Numbers): Setting[] {
  const angle = n.range('straight-leg-raise');
  const half = Math.min(1, Math.max(0, n.legLength / (2 * n.leg)));
  const between = (2 * Math.asin(half)) / DEG;
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

function crossedTwist(n: Numbers): Setting[] {
  const reach =
    n.range('hip-adduction') + PELVIS_ROLL + n.range('trunk-rotation', otherSide(n.side));
  const left = Math.max(0, 90 - reach);
  return [
    cm(
      'foot-height',
      'floor',
      'sole-of-crossed-foot',
      cmTerm(
        'leg above the floor by what adduction, roll and turn lack',
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

/** A seat that lets the low back be long: what the leg raise lacks to a right angle. */
function seat(n: Numbers): Setting[] {
  const lacking = Math.max(0, 90 - n.range('straight-leg-raise'));
  const height = n.leg * Math.sin(lacking * DEG) - SEATED_HIP_LESS_ANKLE;
  if (height > HIGHEST_SEAT) {
    return [
      cm(
        'seat-height',
        'floor',
        'seat',
        cmTerm('as high as is sat on safely', f(HIGHEST_SEAT), HIGHEST_SEAT),
      ),
      cm(
        'knee-support',
        'floor',
        'knees',
        cmTerm('a roll under both knees', f(HALF_THIGH_CM), HALF_THIGH_CM),
      ),
    ];
  }
  if (height <= 0) return [cm('seat-height', 'floor', 'seat', cmTerm('the floor', '0', 0))];
  return [
    cm(
      'seat-height',
      'floor',
      'seat',
      cmTerm(
        'leg by what the raise lacks to a right angle',
        `${f(n.leg)} × sin(${f(lacking)}°)`,
        n.leg * Math.sin(lacking * DEG),
      ),
      cmTerm(
        'less the hip above the seat and the ankle',
        f(-SEATED_HIP_LESS_ANKLE),
        -SEATED_HIP_LESS_ANKLE,
      ),
    ),
  ];
}

const FORMS: Readonly<Record<LyingFormId, (n: Numbers) => Setting[]>> = {
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
      cmTerm('beside the hip', f(HIP_CENTRE_LYING), HIP_CENTRE_LYING),
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
        cmTerm('along the hip', f(HIP_CENTRE_LYING), HIP_CENTRE_LYING),
      ),
      support(
        'head-support',
        'floor',
        'head',
        cmTerm(
          'half the shoulders by what the chest’s turn lacks',
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

/**
 * Wall distances, marks, supports and straps of a lying or seated form.
 *
 * @param side the front, raised or crossed leg
 * @returns every number with its contact points (`from`, `to`) and the sum behind it
 */
export const calcLyingSettings = (
  form: LyingFormId,
  body: Body,
  ranges: PlanningRanges,
  side: Side,
): Setting[] => FORMS[form](readNumbers(body, ranges, side));
