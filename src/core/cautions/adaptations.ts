import type { MeasureId } from '../measures/protocols/index.ts';
import { standsOnBentBackKnee } from '../poses/poseDefinition.ts';
import type { MustDefinition, PoseDefinition, SupportKind } from '../poses/poseDefinition.ts';
import type { QuantityId } from '../poses/quantityId.ts';
import type { HouseRules } from '../rules/houseRules.ts';

/**
 * What a caution changes in a set-up, as data. Common practice, no source; every number
 * is our choice and stands in docs/numbers.md. It never replaces the advice of a doctor
 * or physiotherapist, and local rules for teachers come first.
 */
export interface Adaptation {
  readonly caution: string;
  /** Poses that are left out, by id. */
  readonly excludes?: readonly string[];
  /** Versions that are left out: those that stand or lean on one of these. */
  readonly excludesSupports?: readonly SupportKind[];
  /** House rules that change, whatever the teacher chose. */
  readonly rules?: Partial<HouseRules>;
  /** Share of every range kept in reserve, at least. */
  readonly reserve?: number;
  /** Share kept in reserve of some ranges, on the caution's own side. */
  readonly reserveOf?: { readonly measures: readonly MeasureId[]; readonly share: number };
  /** Ranges that are not used beyond this many degrees, on the caution's own side. */
  readonly caps?: Readonly<Partial<Record<MeasureId, number>>>;
  /** Conditions added to every pose. */
  readonly musts?: readonly MustDefinition[];
  /** No knee of a leg that stands on its foot bends further, degrees. */
  readonly kneesAtMost?: number;
  /** Raised arms are lowered beside the trunk. */
  readonly armsBelowHead?: boolean;
  /** A stance that a rule sets is taken this much of its length. */
  readonly stanceShare?: number;
  /** What is changed, in words, and why. */
  readonly change: string;
  readonly reason: string;
}

const KNEELING_POSES = ['wall-kneel', 'low-lunge', 'lizard'];
const ONE_LEG_POSES = ['half-moon', 'tree', 'warrior-three', 'revolved-half-moon'];
const CLOSED_TWISTS = ['revolved-triangle', 'revolved-side-angle', 'revolved-half-moon'];

/** A sore joint keeps this share of its own ranges. */
const SORE_JOINT_RESERVE = 0.15;
/** No deeper knee than this with a sore one, degrees. */
const SORE_KNEE_BEND = 60;

const HEAD_ABOVE_HEART: MustDefinition = { quantity: 'head-above-heart', atLeast: 0 };
const LONG_BACK: MustDefinition = { quantity: 'spine-flexion', atMost: 0 };

export const ADAPTATIONS: readonly Adaptation[] = [
  {
    caution: 'knee-pain',
    excludes: ['wall-kneel'],
    rules: { frontKnee: 'stacked', chairStyle: 'hips-back' },
    kneesAtMost: SORE_KNEE_BEND,
    change:
      'Front knee no deeper than 60° and stacked; in chair both knees, hips back; no wall kneel.',
    reason: 'A sore knee is spared depth and drift.',
  },
  {
    caution: 'painful-kneeling',
    excludes: KNEELING_POSES,
    change: 'No poses on the knee.',
    reason: 'Kneeling hurts; a pad either side of the kneecap comes first.',
  },
  {
    caution: 'hip-pinch',
    rules: { backFoot: 'natural', pelvisOpen: 'as-hips-allow' },
    reserveOf: {
      measures: ['hip-flexion', 'straight-leg-raise', 'hip-internal-rotation', 'hip-adduction'],
      share: SORE_JOINT_RESERVE,
    },
    change: 'Less fold, less turning in and crossing of that hip; both feet turned out naturally.',
    reason: 'The front of the hip is pinched by depth, turning in and crossing.',
  },
  {
    caution: 'low-back-ache',
    rules: { twist: 'hip-first' },
    musts: [LONG_BACK],
    change: 'No rounding of the back; the pelvis may give a little in twists.',
    reason: 'A sore low back is kept long, so the hand rests higher.',
  },
  {
    caution: 'dizziness',
    musts: [HEAD_ABOVE_HEART],
    armsBelowHead: true,
    change: 'The head stays above the heart, the arms below the head.',
    reason: 'Rising from a low head makes dizziness worse.',
  },
  {
    caution: 'over-mobile',
    rules: { straightKnees: 'soft' },
    reserve: 0.15,
    change: 'Every range is stopped 15 % short; straight knees stay soft.',
    reason: 'Over-mobile joints are held by muscle, not by the end of their range.',
  },
  {
    caution: 'pregnancy',
    excludes: CLOSED_TWISTS,
    reserve: 0.15,
    stanceShare: 0.9,
    change: 'No closed twists; every range stopped 15 % short; the stance a little shorter.',
    reason: 'Joints are looser, and there must be room for the belly.',
  },
  {
    caution: 'pelvic-girdle-pain',
    excludes: ['wide-fold', 'high-lunge', 'warrior-one', ...ONE_LEG_POSES],
    stanceShare: 0.8,
    change: 'No wide straddle, long lunge or one-leg pose; the stance shorter.',
    reason: 'Uneven load on the pelvis keeps its joints sore.',
  },
  {
    caution: 'heart',
    musts: [HEAD_ABOVE_HEART],
    armsBelowHead: true,
    change: 'The head stays above the heart, the arms below the head.',
    reason: 'Blood pressure rises with the arms up and with the head down.',
  },
  {
    caution: 'eye-pressure',
    musts: [HEAD_ABOVE_HEART],
    change: 'The head stays above the heart.',
    reason: 'A low head raises the pressure in the eye.',
  },
  {
    caution: 'low-bone-density',
    excludes: ONE_LEG_POSES,
    musts: [LONG_BACK],
    reserveOf: { measures: ['trunk-rotation'], share: 0.3 },
    change: 'No rounding, twists 30 % short of their end; no one-leg poses away from a wall.',
    reason: 'Rounded, loaded folds, end-range twists and falls are what break weak bone.',
  },
  {
    caution: 'numb-feet',
    excludesSupports: ['front-ball-block'],
    change: 'No version with a hard block under a foot.',
    reason: 'A numb foot does not feel a hard edge.',
  },
  {
    caution: 'hip-replacement-back',
    caps: {
      'hip-flexion': 90,
      'straight-leg-raise': 90,
      'hip-adduction': 0,
      'hip-internal-rotation': 0,
    },
    change: 'That hip not past 90° of flexion, no crossing, no turning in.',
    reason: 'Usual limits after a back approach; that clinic’s own written limits come first.',
  },
  {
    caution: 'hip-replacement-front',
    caps: { 'hip-extension': 0, 'hip-extension-bent-knee': 0, 'hip-external-rotation': 0 },
    change: 'That leg not behind the body, and not turned out.',
    reason: 'Usual limits after a front approach; that clinic’s own written limits come first.',
  },
  {
    caution: 'guardian-needed',
    reserve: 0.15,
    change: 'No end-range work: every range is stopped 15 % short.',
    reason: 'Under 18, or unable to say what hurts: a guardian is present.',
  },
];

/**
 * Conditions of a pose with those of an adaptation added; an open end is narrowed, never widened.
 *
 * @param pose the pose's data
 * @returns a changed copy of the pose's data
 */
export function addMusts(
  pose: PoseDefinition,
  { musts = [], kneesAtMost }: Adaptation,
): PoseDefinition {
  const knees: readonly QuantityId[] = standsOnBentBackKnee(pose)
    ? ['front-knee-bend', 'back-knee-bend']
    : ['front-knee-bend'];
  const ofKnees: readonly MustDefinition[] =
    kneesAtMost === undefined ? [] : knees.map((quantity) => ({ quantity, atMost: kneesAtMost }));
  return { ...pose, musts: [...pose.musts, ...musts, ...ofKnees] };
}
