import { add, normalise, scale, subtract, cross, type Vec3 } from '../geometry/vector.ts';
import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { findPose } from '../poses/catalogue/index.ts';
import { problem, type Result } from '../problems/problem.ts';
import type { AsFound } from '../rules/houseRules.ts';
import { nameJoint } from '../setup/jointReport.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { SetUp } from '../setup/setUp.ts';
import { holdByHand, planByHand, type HeldRequest } from '../whatIf/planMoved.ts';
import { findCause } from './cause.ts';
import { findPoseError } from './catalogue.ts';
import { findFix, type FixChange } from './fix.ts';
import { imposeError, type PoseWithError } from './imposeError.ts';

/** An error sign of one pose, for one person. */
export interface ErrorAsked extends HeldRequest {
  readonly error: string;
  /** Holds to come that stand on the same feet: a change of stance changes theirs too. */
  readonly onSameFeet: readonly SameFeetAsked[];
}

/** A hold on the feet of another, on the same side. */
export interface SameFeetAsked extends Omit<HeldRequest, 'side'> {
  /** The hold's id. */
  readonly hold: string;
}

/** What a change of stance makes of a hold on the same feet. */
export interface ChangedAlong {
  readonly hold: string;
  readonly pose: string;
  readonly held: AsFound;
  /** Less depth than it had, degrees or cm; 0 = it loses nothing. */
  readonly lost: number;
  readonly unit: 'deg' | 'cm';
}

/** The motion that an error most likely comes from, degrees. */
export interface ErrorCause {
  readonly joint: string;
  readonly askedDeg: number;
  readonly hasDeg: number;
}

/** An error on this body: how it looks, where it comes from, and what to change first. */
export interface ExplainedError {
  readonly error: string;
  /** The set-up as it is meant to be. */
  readonly planned: SetUp;
  /** The same with the error in it; null = it has no geometry, or this body cannot do it. */
  readonly withError: PoseWithError | null;
  /** null = it comes from habit. */
  readonly cause: ErrorCause | null;
  /** null = no change of the set-up is called for, or none lowers what is asked of the cause. */
  readonly fix: FixChange | null;
  /** What the change makes of the holds on the same feet; those that cannot be held there are left as they are. */
  readonly changedAlong: readonly ChangedAlong[];
}

/** A back that rounds by an angle bows by this share of its length for each radian: a flat arc. */
const BOW_PER_RADIAN = 1 / 8;

/** The middle of the back, bowed as far as the spine bends: landmarks know only its two ends. */
function withLowBack(setUp: SetUp, flexion: number): SetUp {
  const mark = (name: string): Vec3 => setUp.landmarks[name]!;
  const [pelvis, chest] = [mark('pelvisCentre'), mark('chestCentre')];
  const trunk = subtract(chest, pelvis);
  const left = normalise(subtract(mark('shoulderLeft'), mark('shoulderRight')));
  const forward = normalise(cross(left, trunk));
  const bow = -Math.hypot(...trunk) * flexion * BOW_PER_RADIAN;
  const lowBack = add(add(pelvis, scale(trunk, 0.5)), scale(forward, bow));
  return { ...setUp, landmarks: { ...setUp.landmarks, lowBack } };
}

const flexionOf = ({ answer: { found } }: Plan): number =>
  found.answer.skeleton.posture.spine.flexion;

/** A hold on the same feet, once they stand at another length. */
function changeAlong(
  context: PlanningContext,
  { hold, pose, rules, level, held }: SameFeetAsked,
  side: Side,
  stanceCm: number | null,
): readonly ChangedAlong[] {
  const then = { ...held, stanceCm };
  const planned = planByHand(context, { pose, side, rules, level, held });
  const after = planned.ok ? holdByHand(planned.value.recommended, then) : null;
  if (!planned.ok || after === null || after.gives !== null) return [];
  const [was, is] = [planned.value.plan.setUp.depth, after.plan.setUp.depth];
  const [from, to] = [was?.value ?? 0, is?.value ?? 0];
  const isLess = (was?.textbook ?? 0) >= from ? from - to : to - from;
  return [{ hold, pose, held: then, lost: Math.max(0, isLess), unit: was?.unit ?? 'deg' }];
}

/**
 * An error sign on one person's body in one pose: as planned and with the error, its likely cause,
 * and the first thing to change, proven by solving again.
 *
 * @param context the person, see {@link PlanningContext}
 * @param asked which sign in which set-up
 * @returns `unknown-error`, or why the pose itself is not planned
 */
export function explainError(
  context: PlanningContext,
  { error, pose, side, rules, level, held, onSameFeet }: ErrorAsked,
): Result<ExplainedError> {
  if (findPoseError(error) === null || findPose(pose) === null) {
    return { ok: false, problems: [problem('unknown-error', 'error', { text: error })] };
  }
  const planned = planByHand(context, { pose, side, rules, level, held });
  if (!planned.ok) return planned;
  const { plan, recommended } = planned.value;
  const { setUp } = plan;
  const imposed = imposeError(plan, error);
  const found = findCause(error, setUp);
  const fix = found === null ? null : findFix(recommended, held, setUp, error, found);
  const cause =
    found?.askedDeg == null || found.hasDeg === null
      ? null
      : {
          joint: nameJoint(found, { pose, side }),
          askedDeg: found.askedDeg,
          hasDeg: found.hasDeg,
        };
  return {
    ok: true,
    value: {
      error,
      planned: withLowBack(setUp, flexionOf(plan)),
      withError:
        imposed === null
          ? null
          : { ...imposed, setUp: withLowBack(imposed.setUp, imposed.spineFlexion) },
      cause,
      fix,
      changedAlong:
        fix?.setting === 'stance'
          ? onSameFeet.flatMap((each) => changeAlong(context, each, side, fix.held.stanceCm))
          : [],
    },
  };
}
