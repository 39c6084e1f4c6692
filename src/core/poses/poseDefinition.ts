import type { MeasureId } from '../measures/protocols/index.ts';
import type { RuleId } from '../rules/houseRules.ts';
import type { Guidance } from './guidance.ts';
import type { QuantityId } from './quantityId.ts';
import type { TransitionDefinition } from './transition.ts';

/** The two sides of a pose: the front (or standing) leg and the back (or lifted) one. */
export type Place = 'front' | 'back';
export const PLACES: readonly Place[] = ['front', 'back'];

/** A number, or one that a house rule chooses among named options. Degrees and centimetres. */
export type ByRule<T = number> =
  T | { readonly rule: RuleId; readonly options: Readonly<Record<string, T>> };

export interface MustDefinition {
  readonly quantity: QuantityId;
  readonly atLeast?: ByRule;
  readonly atMost?: ByRule;
}

export interface WishDefinition {
  readonly quantity: QuantityId;
  readonly goal: ByRule;
  readonly sigma: ByRule;
}

/** How stance length is found: free for the solver, a multiple of a length, or as long as possible up to it. */
export type StanceDefinition =
  | {
      readonly kind: 'free';
      /** Ends of it as shares of the front leg's length; without them, those of {@link HouseRules}. */
      readonly legLengths?: readonly [least: number, most: number];
    }
  | { readonly kind: 'times'; readonly of: 'leg-length' | 'wrist-span'; readonly factor: number }
  | {
      readonly kind: 'longest-up-to';
      readonly of: 'leg-length' | 'wrist-span';
      readonly factor: number;
    }
  | { readonly kind: 'fixed' }
  /** Feet side by side, or one foot alone on the floor. */
  | { readonly kind: 'none' };

/** An angle the solver may choose between two ends, or one that is held. */
export type AngleDefinition =
  | { readonly kind: 'free'; readonly from: number; readonly to: number; readonly start: ByRule }
  | { readonly kind: 'held'; readonly at: ByRule };

/**
 * What the back leg stands on.
 * `flat`: the whole foot. `ball`: its ball, heel up. `knee-toes-tucked` and
 * `knee-foot-flat`: its knee on a pad. `shin-on-wall`: its knee at a wall, the shin up
 * it. `shin-leaning-on-wall`: its knee away from the wall, the foot against it. `lifted`: nothing. `on-front-leg`: its sole rests on the inside of the front leg.
 */
export type BackContact =
  | 'flat'
  | 'ball'
  | 'knee-toes-tucked'
  | 'knee-foot-flat'
  | 'shin-on-wall'
  | 'shin-leaning-on-wall'
  | 'lifted'
  | 'on-front-leg';

export interface ArmDefinition {
  /**
   * `out`: in line with the shoulders. `up`, `beside`: along the trunk, up or down.
   * `forward`: where the chest faces. `down`: plumb to a prop or the floor.
   * `on-back-leg`: toward the back knee, without weight. `folded`: palms at the breastbone.
   * `on-front-shin`: as low on the front shin as it comes. `elbow-on-front-thigh`: the
   * forearm on the thigh. `on-front-thigh`: the palm on it. `forearm-down`: the elbow plumb to a
   * prop or the floor, the forearm level ahead of it. `behind-back`: wrapped behind the waist.
   */
  readonly reach:
    | 'out'
    | 'down'
    | 'up'
    | 'beside'
    | 'forward'
    | 'on-back-leg'
    | 'folded'
    | 'on-front-shin'
    | 'elbow-on-front-thigh'
    | 'on-front-thigh'
    | 'forearm-down'
    | 'behind-back';
  /** A prop under this hand is kept clear of the front foot. */
  readonly clearOfFrontFoot?: boolean;
  /** A prop that is kept clear moves this hand from under its shoulder by at most this, cm; without it 15. */
  readonly mostAsideCm?: number;
  /** This hand bears weight: it widens the base. */
  readonly bears?: boolean;
  /** A bent elbow points to its own side of the trunk; without it, behind the chest. */
  readonly elbowOutward?: boolean;
}

/**
 * What the hands stand on, where a version names it instead of taking what fits.
 * `chair`: its seat. `stacked-blocks`: one block on its broad face, another on its middle
 * face on top. `low-block`: one on its broad face. `floor`: nothing.
 */
export type HandSurface = 'chair' | 'stacked-blocks' | 'low-block' | 'floor';

export interface HandsOn {
  readonly surface: HandSurface;
  /** `straight`: the trunk stays as high as the arms need. `bent`: the elbows take up what is too high. */
  readonly elbows: 'straight' | 'bent';
}

/**
 * Whether an arm rests on a prop or the floor: its height is that of the hand's prop.
 *
 * @returns false for an arm in the air or on the body
 */
export const restsOnProp = ({ reach }: Pick<ArmDefinition, 'reach'>): boolean =>
  reach === 'down' || reach === 'forearm-down';

/**
 * What a pose is leant on or held with beside the hand's prop, each with a place or a
 * height that is computed. `wall-behind`: behind the back, or behind the hips of a pose
 * that faces the front. `wall-ahead`: at the palms. `wall-beside`: at arm's length
 * from the front leg's shoulder. `wall-at-shin`: behind a back shin that leans on it.
 * `strap-foot-to-thigh`: a loop round the back foot and
 * the front thigh. `bind-strap`: between the hands, found by trial. `wall-at-toes`: the
 * front sole up it. `wall-at-foot`: along the mat, close to the standing foot.
 * `chair-behind`: its rail under the lower shoulder blade. `second-block`: for the other
 * side. `two-blocks`: how far apart both hands stand. `upper-hand-at-wall`: where it
 * touches the wall behind.
 */
export type SupportKind =
  | 'under-front-thigh'
  | 'heel-wedge'
  | 'knee-pad'
  | 'front-ball-block'
  | 'wall-behind'
  | 'wall-ahead'
  | 'wall-beside'
  | 'wall-at-shin'
  | 'strap-foot-to-thigh'
  | 'bind-strap'
  | 'wall-at-toes'
  | 'wall-at-foot'
  | 'chair-behind'
  | 'second-block'
  | 'two-blocks'
  | 'upper-hand-at-wall';

export interface StartDefinition {
  readonly pelvisTurn: number;
  readonly pelvisTilt: number;
  readonly pelvisList: number;
  readonly spineRotation: number;
  /** Front-knee bend the hips start at, degrees. */
  readonly kneeBend: number;
  /** Stance as a share of hip to ankle. */
  readonly stanceShare: number;
  /** Hip angles of a lifted back leg: flexion, abduction, external rotation. */
  readonly lifted?: readonly [number, number, number];
  /**
   * Later stages of the search that begin here as well: of some bodies they would end in
   * another valley if they only went on from the stage before.
   */
  readonly again?: readonly Stage[];
}

/** Of a search, after the deepest depth: the deepest with some to spare, and the posture at the depth that is chosen. */
export type Stage = 'sparing' | 'settled';

/** One thing that grows from easy to the textbook shape. Degrees or centimetres. */
export interface DepthDefinition {
  readonly quantity: QuantityId;
  /** Words for the depth: what a teacher sees grow. */
  readonly words: string;
  readonly easiest: number;
  readonly textbook: number;
}

/**
 * A level of a pose: another support or shape, as changes to some of its data. The level
 * `usual` has none: it is the pose's own data.
 */
export interface LevelDefinition {
  readonly id: string;
  readonly name: string;
  /** For whom a level is that few people hold. */
  readonly forWhom?: string;
  /**
   * How a person comes to it; without it, it opens as soon as their measures allow it.
   * `practice`: a step of the ladder that no measure decides: the record of sessions
   * leads there, or the teacher. `choice`: a variant, neither easier nor harder than the
   * rest: shown after the ladder and never proposed as a step.
   */
  readonly reachedBy?: 'practice' | 'choice';
  /**
   * Opened in place of the next harder level where that one's stance is shorter by this
   * share, or its hand needs a higher prop than this.
   */
  readonly insteadWhere?: { readonly stanceShorterBy: number } | { readonly handAboveCm: number };
  readonly changes: Partial<Omit<PoseDefinition, 'id' | 'levels'>>;
}

/**
 * The motions of which one should run out first in three made-up bodies, or “the textbook
 * shape” when that is reached, or “cannot be held”; a test holds the pose to it.
 */
interface ExpectedLimits {
  readonly reference: readonly string[];
  readonly stiff: readonly string[];
  readonly supple: readonly string[];
}

/** A pose as data. Degrees and centimetres; the front leg is the right one. */
export interface PoseDefinition {
  readonly id: string;
  readonly name: string;
  readonly sanskrit: string;
  readonly family: 'open' | 'closed' | 'neutral';
  /** The hands come down from here: between open hips and a pose on the hands a lunge is passed through. */
  readonly isLunge?: true;
  /** Where the pelvis would face in the textbook shape; `stacked`: one hip over the other. */
  readonly pelvisFaces: 'long-edge' | 'front' | 'stacked';
  /** Where the origin of the drawing lies; without it, under the front heel. */
  readonly origin?: 'mid-stance';
  /**
   * Another pose whose feet this one keeps: it is solved first, as it is recommended to this
   * person on this side, at the level that fits or at the one that is named.
   */
  readonly restsOn?: {
    readonly pose: string;
    readonly level?: string;
    /** The front knee may straighten by this much there, its shin leaning back; without it, not at all. */
    readonly kneeMayStraightenDeg?: number;
  };
  /** Poses of one blueprint follow each other on unmoved feet, if the back leg stands on the same part. */
  readonly blueprint?: 'open-stance' | 'closed-straight-legs' | 'closed-lunge';
  readonly straightLegs: readonly Place[];
  readonly frontFootYaw: AngleDefinition;
  readonly backContact: BackContact;
  readonly backFootYaw: ByRule<AngleDefinition>;
  /** A lifted back heel turns about the ball of the foot, within these degrees; null = not on the ball. */
  readonly backHeelLift: {
    readonly from: number;
    readonly to: number;
    readonly start: number;
  } | null;
  /** The ball of the front foot stands on a block's broad face: its height is that of this studio's block. */
  readonly frontBallOnBlock?: true;
  /** The ball of the front foot stands this high on a block or a wall, cm; its heel on the floor. */
  readonly frontBallOnCm?: number;
  /** A back shin up a wall leans outward by this, so that its foot stands outside the hip, degrees. */
  readonly backShinOutDeg?: number;
  /** A sole on the front leg: at its ankle with the toes down, along its shin or along its thigh, never at the knee. */
  readonly soleAt?: 'ankle' | 'shin' | 'thigh';
  /** How far apart the heels stand across the mat, unless a rule says otherwise. */
  readonly heelLine: 'heel-to-arch' | 'heel-to-heel' | 'hip-width' | 'two-fists';
  /** The feet stand on the mat's diagonal: the front foot at one long edge, the back toes at the other. */
  readonly feetOnDiagonal?: true;
  /** The mat that they stand on: `feetOnDiagonal` with this studio's cupboard, cm. */
  readonly matWidthCm?: number;
  /** The front foot may step outward by up to this, cm. */
  readonly mostWidening?: number;
  readonly stance: ByRule<StanceDefinition>;
  /** A caution may shorten the stance that a rule sets to this share. */
  readonly stanceShare?: number;
  readonly arms: Readonly<Record<Place, ArmDefinition>>;
  /** What the hands stand on; without it, the lowest thing that fits. */
  readonly handsOn?: HandsOn;
  /** Height that bent elbows let the hands stand on, cm: `handsOn` with this studio's cupboard. */
  readonly handsOnCm?: number;
  readonly supports?: readonly SupportKind[];
  /** Shares of a measured trunk range that this pose may use; without it, all of it. */
  readonly trunkShares?: { readonly rotation?: number; readonly extension?: number };
  /** Rounding of the spine that this pose may use, degrees; without it, that of a long back. */
  readonly spineFlexionDeg?: number;
  readonly musts: readonly MustDefinition[];
  readonly wishes: readonly WishDefinition[];
  readonly eases: readonly WishDefinition[];
  /** A depth that is taken first and held while the last one grows; null = only one depth. */
  readonly firstDepth: DepthDefinition | null;
  /** null = one set-up, no degrees of it. */
  readonly depth: DepthDefinition | null;
  /** The chest's wish that is reported as “short of”, if the pose has one. */
  readonly chestTarget: 'long-edge' | 'front' | null;
  readonly starts: readonly StartDefinition[];
  /** Ranges that a must needs: without them there is no full set-up. */
  readonly needs: readonly MeasureId[];
  readonly expected: ExpectedLimits | null;
  /** Its levels from easier to harder, the usual one among them; empty = it has only that one. */
  readonly levels: readonly LevelDefinition[];
  /** What to do when it cannot be held. */
  readonly easier: string;
  readonly guidance: Guidance;
  /** What to look at, in order, and what to change first. */
  readonly lookAt: readonly {
    readonly at: string;
    readonly look: string;
    readonly change: string;
  }[];
  readonly wayIn: readonly string[];
  readonly wayOut: readonly string[];
  /** Where it may lead, without anything between. */
  readonly transitions: readonly TransitionDefinition[];
}

/**
 * Whether the back leg stands on its foot with its knee bent, as both legs do in chair.
 *
 * @returns false when it is straight, lifted or down
 */
export const standsOnBentBackKnee = ({ straightLegs, backContact }: PoseDefinition): boolean =>
  !straightLegs.includes('back') && backContact === 'flat';
