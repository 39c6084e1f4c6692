import type { MeasureId } from '../measures/protocols/index.ts';
import type { RuleId } from '../rules/houseRules.ts';
import type { QuantityId } from './quantityId.ts';

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
  | { readonly kind: 'free' }
  | { readonly kind: 'times'; readonly of: 'leg-length' | 'wrist-span'; readonly factor: number }
  | { readonly kind: 'longest-up-to'; readonly of: 'leg-length'; readonly factor: number }
  | { readonly kind: 'fixed' };

export interface ArmDefinition {
  readonly reach: 'out' | 'down' | 'up';
  /** A prop under this hand is kept clear of the front foot. */
  readonly clearOfFrontFoot?: boolean;
}

export interface StartDefinition {
  readonly pelvisTurn: number;
  readonly pelvisTilt: number;
  readonly pelvisList: number;
  readonly spineRotation: number;
  /** Front-knee bend the hips start at, degrees. */
  readonly kneeBend: number;
  /** Stance as a share of hip to ankle. */
  readonly stanceShare: number;
}

/** A pose as data. Degrees and centimetres; the front leg is the right one. */
export interface PoseDefinition {
  readonly id: string;
  readonly name: string;
  readonly sanskrit: string;
  readonly family: 'open' | 'closed';
  readonly straightLegs: readonly Place[];
  readonly frontFootYaw: ByRule;
  readonly backFootYaw:
    | { readonly kind: 'free'; readonly from: number; readonly to: number; readonly start: ByRule }
    | { readonly kind: 'held'; readonly at: ByRule };
  /** A lifted back heel turns about the ball of the foot, within these degrees; null = the heel is down. */
  readonly backHeelLift: {
    readonly from: number;
    readonly to: number;
    readonly start: number;
  } | null;
  /** How far apart the heels stand across the mat, unless a rule says otherwise. */
  readonly heelLine: 'heel-to-arch' | 'hip-rails' | 'two-fist-rails';
  readonly stance: ByRule<StanceDefinition>;
  readonly arms: Readonly<Record<Place, ArmDefinition>>;
  readonly musts: readonly MustDefinition[];
  readonly wishes: readonly WishDefinition[];
  readonly eases: readonly WishDefinition[];
  readonly depth: {
    readonly quantity: QuantityId;
    /** Words for the depth: what a teacher sees grow. */
    readonly words: string;
    readonly easiest: number;
    readonly textbook: number;
  };
  /** The chest's wish that is told as “short of”, if the pose has one. */
  readonly chestTarget: 'long-edge' | 'front' | null;
  readonly starts: readonly StartDefinition[];
  /** Ranges that a must needs: without them there is no full set-up. */
  readonly needs: readonly MeasureId[];
  readonly easier: string;
  /** What to look at, in order, and what to change first. */
  readonly lookAt: readonly {
    readonly at: string;
    readonly look: string;
    readonly change: string;
  }[];
  readonly wayIn: readonly string[];
  readonly wayOut: readonly string[];
}
