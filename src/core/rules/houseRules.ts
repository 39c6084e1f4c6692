/**
 * The disagreements of the trade as switches. Defaults and their reasons stand in
 * docs/numbers.md. Names and values are those of rules files; they stay stable.
 */
interface Choices {
  readonly depth: 'recommended' | 'deepest';
  readonly stance: 'solved' | 'leg-length' | 'one-and-a-half-leg-lengths' | 'wrists' | 'fixed';
  readonly pyramidStance: 'short' | 'leg-length' | 'long';
  readonly heelLine: 'heel-to-arch' | 'heel-to-heel' | 'hip-width' | 'two-fists' | 'diagonal';
  readonly openHeelLine: 'heel-to-arch' | 'heel-to-heel' | 'hip-width';
  readonly pelvisOpen: 'as-hips-allow' | 'square';
  readonly pelvisWarriorOne: 'open' | 'square';
  readonly pelvisReverseWarrior: 'level' | 'may-drop';
  readonly backFoot: 'parallel' | 'turned-in' | 'natural';
  readonly frontKnee: 'stacked' | 'may-pass';
  readonly twist: 'by-pose' | 'hip-first' | 'pelvis-fixed' | 'full';
  readonly triangleShape: 'long' | 'side-bend';
  readonly straightKnees: 'straight' | 'soft';
  readonly chairStyle: 'equal-arms' | 'knees-forward' | 'hips-back';
  readonly sides: 'harder-easier-harder' | 'equal' | 'one-side-first' | 'alternate';
  readonly easing: 'as-named' | 'shorter';
  readonly balanceProp: 'tallest-face' | 'floor';
}

export type RuleId = keyof Choices;

export interface HouseRules extends Omit<Choices, 'heelLine'> {
  readonly provisional: boolean;
  /** Limits are used at value − this many standard errors. */
  readonly limitMarginSem: number;
  readonly reserveByExperience: boolean;
  readonly minimumToSpareDeg: number;
  /** First step inside the deepest, degrees of front-knee bend; null = by experience. */
  readonly firstStepDeg: number | null;
  readonly fixedStanceCm: number | null;
  /** Of every pose; null = by family: open poses as `openHeelLine`, closed straight-leg poses two fists apart. */
  readonly heelLine: Choices['heelLine'] | null;
  readonly heelLineCm: number | null;
  readonly backFootDeg: number | null;
  /** What the student does now, to be judged by the same numbers; null = not asked. */
  readonly asFound: AsFound | null;
}

/** A posture as it was found, as far as it was noted; cm and degrees, depth in the pose's own unit. */
export interface AsFound {
  readonly stanceCm: number | null;
  readonly widthCm: number | null;
  readonly backFootDeg: number | null;
  readonly depth: number | null;
  readonly handCm: number | null;
}

/**
 * Of the model and the rules that numbers are made by. Kept with every number that is kept,
 * so that a change of ours is not taken for a change of the person.
 */
export const RULES_VERSION = 2;

export const DEFAULT_RULES: HouseRules = {
  provisional: false,
  limitMarginSem: 1,
  reserveByExperience: true,
  minimumToSpareDeg: 3,
  depth: 'recommended',
  firstStepDeg: null,
  stance: 'solved',
  fixedStanceCm: null,
  pyramidStance: 'leg-length',
  heelLine: null,
  heelLineCm: null,
  openHeelLine: 'heel-to-arch',
  pelvisOpen: 'as-hips-allow',
  pelvisWarriorOne: 'open',
  pelvisReverseWarrior: 'level',
  backFoot: 'turned-in',
  backFootDeg: null,
  frontKnee: 'stacked',
  twist: 'by-pose',
  triangleShape: 'long',
  straightKnees: 'straight',
  chairStyle: 'equal-arms',
  sides: 'harder-easier-harder',
  easing: 'as-named',
  balanceProp: 'tallest-face',
  asFound: null,
};

/** A book's stance when `fixed` is chosen without a number: three feet. Common practice, no source. */
export const BOOK_STANCE_CM = 91;
