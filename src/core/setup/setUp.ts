import type { LandmarkCm } from '../skeleton/landmark.ts';
import type { MeasureUse } from '../body/body.ts';
import type { Side } from '../measures/protocol.ts';
import type { Stack } from '../props/stacks.ts';
import type { Problem } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import type { Joint, Motion } from '../conditions/limits.ts';
import type { ToldAdaptation } from '../cautions/adapt.ts';
import type { HeldBackReason } from '../planning/ranges.ts';
import type { SettingId } from './settingKinds.ts';
import type { WorkingStep } from '../planning/working.ts';

export const SET_UP_FORMAT = 'stillwater.set-up';
export const SET_UP_VERSION = 1;

/** One number to set. Same sign on both sides. */
export interface Setting {
  readonly id: SettingId;
  readonly value: number;
  readonly unit: 'cm' | 'deg';
  readonly from: string;
  readonly to: string;
  /** One standard error; null until error bars are computed: never a placeholder. */
  readonly plusMinus: number | null;
  readonly working: readonly WorkingStep[];
}

/** What a joint is asked against what it has, degrees. */
export interface JointReport {
  readonly joint: Joint;
  readonly side: Side | null;
  readonly motion: Motion;
  readonly askedDeg: number | null;
  /** The whole range as it was measured or stated; null = not known, or no limit holds. */
  readonly measuredDeg: number | null;
  /** How much of the range is held back; the rest is what the set-up may use. */
  readonly heldBackDeg: number | null;
  /** What asks most to be held back; null = nothing is. */
  readonly heldBackFor: HeldBackReason | null;
  /** What the set-up may use: measured less held back. */
  readonly hasDeg: number | null;
  /** What is left over. */
  readonly toSpareDeg: number | null;
  /** What the deepest safe set-up may use. */
  readonly safeDeg: number | null;
}

/** What one level of a pose still needs of a joint, a length or a reach. */
export interface LevelNeed {
  readonly words: string;
  readonly amount: number;
  readonly unit: 'cm' | 'deg';
  /** It has to become less, as the height of a hand on the floor. */
  readonly isLess?: true;
}

/** One level of a pose for this person. */
export interface LevelReport {
  /** null = the usual one. */
  readonly id: string | null;
  readonly name: string;
  /** For whom it is, where few people hold it; null = for anybody. */
  readonly forWhom: string | null;
  /**
   * `practice`: it fits, and the record of sessions or the teacher leads there. `choice`: a
   * variant that fits, neither easier nor harder.
   */
  readonly status: 'ready' | 'nearly' | 'needs-more' | 'practice' | 'choice';
  /** What would make it ready; empty when it is. */
  readonly needs: readonly LevelNeed[];
}

/** How far the centre of mass lies inside the base, cm: nearest edge, along the mat and across it. */
export interface BalanceMargins {
  readonly nearestEdgeCm: number;
  readonly aheadCm: number;
  readonly behindCm: number;
  readonly toLeftCm: number;
  readonly toRightCm: number;
}

/** Share of the body’s weight on one foot, knee or hand that rests on something. */
export interface WeightOn {
  readonly on: 'foot' | 'knee' | 'hand';
  readonly side: Side;
  /** With hands resting as lightly as they can; beside one foot, with that foot pressing at its middle. */
  readonly share: number;
  /** What balance allows; both are `share` where the posture alone determines it. */
  readonly least: number;
  readonly most: number;
  /** Where it presses: along the mat and across it, cm, world frame. */
  readonly centreOfPressureCm: readonly [number, number];
}

/** What gravity asks of one joint. */
export interface JointLoad {
  readonly joint: 'knee' | 'hip' | 'back';
  /** null = the low back. */
  readonly side: Side | null;
  /**
   * Moment arm: the horizontal distance along the mat from the joint to the line of the body’s
   * weight, of the low back to that of trunk, head and arms, cm.
   */
  readonly lineArmCm: number;
  /** Where along the mat that line lies from the joint. */
  readonly line: 'ahead' | 'behind';
  /** Share of the body’s weight that this leg carries, by the lever rule, or that lies above the low back; null = a seat carries an unknown part. */
  readonly weightShare: number | null;
  /**
   * Torque of the weights above the joint as a share of body weight times leg length; null where
   * statics does not determine it: two feet stand apart and may push against each other, or a
   * hand, a wall or a chair takes a part.
   */
  readonly torqueShare: number | null;
  /** The same torque in `unit`. */
  readonly staticTorque: number | null;
  /** Newton metres with body mass known, else a share of body weight times cm. */
  readonly unit: 'N·m' | 'BW·cm';
}

/** The rule that a stance follows or is compared with: a factor of a length of this person. */
export interface StanceByRule {
  readonly of: 'leg-length' | 'wrist-span';
  readonly factor: number;
  readonly cm: number;
}

/** One end of the stances that work. */
export interface StanceBound {
  readonly cm: number;
  readonly reason: string;
}

export interface StanceBounds {
  readonly shortest: StanceBound;
  readonly longest: StanceBound;
}

export type GiveId =
  'pelvis-drops' | 'pelvis-turns' | 'heel-lifts' | 'knee-drifts' | 'back-rounds' | 'chest-short';

/** One thing that gave, in degrees or centimetres. */
export interface Give {
  readonly id: GiveId;
  readonly amount: number;
  readonly unit: 'deg' | 'cm';
  /** In units of its cost: the largest gives first. */
  readonly cost: number;
}

/** A posture forced where it would not go by itself. */
export interface PushedReport {
  readonly to: string;
  readonly gives: readonly Give[];
  readonly joints: readonly JointReport[];
  readonly sentence: string;
}

/** How deep, of how deep it may be. */
export interface DepthReport {
  readonly id: string;
  readonly value: number | null;
  readonly unit: 'deg' | 'cm';
  /** null when the deepest was asked for, which makes no recommendation, or when there is none. */
  readonly recommended: number | null;
  readonly deepest: number | null;
  readonly textbook: number;
  /** One standard error; null until error bars are computed. */
  readonly plusMinus: number | null;
  readonly working: readonly WorkingStep[];
}

/** What the hand rests on, and what that changes. */
export interface HandProp {
  readonly neededCm: number;
  /** null = nothing in the cupboard is that high. */
  readonly stack: Stack | null;
  /** How far the stack stands above the hand's own height, cm. */
  readonly aboveCm: number;
  /** A stack that is a little high bends the elbow by this much, degrees. */
  readonly elbowBendDeg: number;
  /** A stack too high for that lifts the trunk instead, degrees. */
  readonly trunkLiftDeg: number;
  /** With nothing high enough: how far the highest stack stays below, cm. */
  readonly shortCm: number;
  /** The same as a substitute. */
  readonly substitute?: Substitute;
}

/** What of a cupboard serves a support or a strap of a set-up. */
export interface SupportProp {
  readonly setting: SettingId;
  readonly neededCm: number;
  /** null = nothing in the cupboard is that high or that long. */
  readonly name: string | null;
  /** How far it goes beyond what is needed, cm. */
  readonly beyondCm: number;
  /** Where nothing serves. */
  readonly substitute?: Substitute;
}

/** What comes nearest to a prop that the cupboard does not have. */
export interface Substitute {
  /** null = nothing of that kind at all. */
  readonly nearest: string | null;
  /** How much lower or shorter that is, cm. */
  readonly shortCm: number;
  /** What any house has that would do. */
  readonly improvised: string;
}

/** One pose set up for one person and side: the same object for screen, file, endpoint and test. */
export interface SetUp {
  readonly format: typeof SET_UP_FORMAT;
  readonly version: typeof SET_UP_VERSION;
  readonly pose: string;
  /** Which of the pose's levels; null = the pose as it is usually done. */
  readonly level: string | null;
  /** Its levels from easier to harder, those that were tried; empty = none was looked at. */
  readonly levels: readonly LevelReport[];
  /** The pose and level whose feet it stands on; null = feet of its own. */
  readonly standsOn: { readonly pose: string; readonly level: string | null } | null;
  /** The front or standing leg. */
  readonly side: Side;
  readonly status: 'solved' | 'degraded' | 'failed';
  readonly provisional: boolean;
  /** null = this pose has no degrees of depth. */
  readonly depth: DepthReport | null;
  /** What is taken first and held while the depth grows, when the pose has two. */
  readonly firstDepth: DepthReport | null;
  readonly settings: readonly Setting[];
  readonly pelvis: {
    readonly yawDeg: number;
    readonly tiltDeg: number;
    readonly listDeg: number;
  } | null;
  readonly landmarks: Readonly<Record<string, LandmarkCm>>;
  readonly joints: readonly JointReport[];
  readonly limiting: Pick<JointReport, 'joint' | 'side' | 'motion' | 'toSpareDeg'> | null;
  readonly balance:
    ({ readonly base: readonly (readonly [number, number])[] } & BalanceMargins) | null;
  readonly weights: readonly WeightOn[];
  readonly loads: readonly JointLoad[];
  /** What a rule makes the stance; null = no rule is known for this pose, or no stance. */
  readonly stanceRule: StanceByRule | null;
  /** Shortest and longest stance that work at this depth; null = not looked for, or no stance. */
  readonly bounds: StanceBounds | null;
  /** What gives when the textbook depth is forced; null = not looked for, or it is reached. */
  readonly ifPushed: PushedReport | null;
  /** What the student does now, judged by the same numbers; null = not asked. */
  readonly asFound: PushedReport | null;
  readonly mat: {
    readonly lengthCm: number;
    readonly widthCm: number;
    readonly fits: boolean;
  } | null;
  /** Footprint outlines, cm, for the drawing. */
  readonly footprints: Readonly<
    Record<'front' | 'back', readonly (readonly [number, number])[]>
  > | null;
  readonly cautions: readonly {
    readonly id: string;
    readonly name: string;
    readonly advice: string;
  }[];
  /** What the hand rests on; null = no hand on anything, or not looked for. */
  readonly handProp: HandProp | null;
  /** What of the cupboard serves each support and strap; empty when not looked for. */
  readonly supportProps: readonly SupportProp[];
  /** What a caution changed in this set-up, each with its reason. */
  readonly adaptations: readonly ToldAdaptation[];
  readonly problems: readonly Problem[];
  readonly provenance: {
    readonly measures: readonly MeasureUse[];
    readonly rules: HouseRules;
    readonly reserve: number;
  };
}

/**
 * A number of a set-up, cm or degrees; null = this set-up does not have it.
 *
 * @param id which setting
 * @returns cm or degrees
 * @example
 * getValue(setUp, 'stance-length') // → 106.6
 */
export const getValue = ({ settings }: Pick<SetUp, 'settings'>, id: SettingId): number | null =>
  settings.find((each) => each.id === id)?.value ?? null;
