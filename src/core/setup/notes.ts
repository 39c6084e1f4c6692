import type { Request } from '../planning/request.ts';
import type { BuiltTask } from '../planning/buildTask.ts';
import type { Skeleton } from '../skeleton/skeleton.ts';
import { type Problem, problem } from '../problems/problem.ts';
import { calcWishOff, WISH_STRETCH, toScaled } from '../conditions/violation.ts';
import { getQuantity, calcWeightInside } from '../conditions/quantities.ts';
import { saySwap } from '../poses/swaps.ts';
import type { PoseDefinition } from '../poses/poseDefinition.ts';
import type { JointReport, SetUp } from './setUp.ts';
import { findSettingKind } from './settingKinds.ts';
import type { StudioForSetUps } from '../studio/studio.ts';
import type { MatFit } from './mat.ts';
import { cmFromMetres } from '../units/brands.ts';

/** Inversion of the back ankle that deserves a word, degrees. Our modelling choice. */
const WIDE_ANKLE_DEG = 35;

/** A chest that falls this short is worth a note, degrees. */
const FALLS_SHORT_DEG = 1;

/**
 * Whether the wishes of a pose are met, and what to say where they are not.
 *
 * @param request what was asked
 * @param built the task
 * @param skeleton the solved posture
 * @returns `degraded` when a wish is farther off than it may stretch
 */
export function judgeWishes(
  request: Request,
  built: BuiltTask,
  skeleton: Skeleton,
): { readonly degraded: boolean; readonly problems: Problem[] } {
  const off = built.task.wishes.map((wish) => ({
    wish,
    sigmas: Math.abs(calcWishOff(wish, skeleton)),
  }));
  const broken = off.filter(({ sigmas }) => sigmas > WISH_STRETCH + 0.01);
  const say = (
    { wish, sigmas }: (typeof off)[number],
    code: 'wish-far-off' | 'falls-short',
  ): Problem => {
    const { words, kind } = getQuantity(wish.quantity);
    const unit = kind === 'angle' ? '°' : ' cm';
    const sigma = toScaled(wish.quantity, wish.sigma);
    return problem(code, wish.quantity, {
      wish: words,
      off: `${(sigma * sigmas).toFixed(0)}${unit}`,
      sigma: `${sigma.toFixed(0)}${unit}`,
      swap: saySwap(request.pose),
    });
  };
  const short = off.filter(
    (each) =>
      each.wish.quantity === 'chest-turn' &&
      !broken.includes(each) &&
      toScaled('chest-turn', each.wish.sigma) * each.sigmas > FALLS_SHORT_DEG,
  );
  return {
    degraded: broken.length > 0,
    problems: [
      ...broken.map((each) => say(each, 'wish-far-off')),
      ...short.map((each) => say(each, 'falls-short')),
    ],
  };
}

/**
 * What is said about a set-up that needs a wall where there is none.
 *
 * @param setUp solved
 * @param studio where it is done; left out = a usual room, which has a wall
 * @returns one note, or none
 */
export const findWallNote = (
  { settings }: Pick<SetUp, 'settings'>,
  studio: Pick<StudioForSetUps, 'wallM'> | undefined,
): Problem[] =>
  studio?.wallM === 0 && settings.some(({ id }) => findSettingKind(id)?.needsWall === true)
    ? [problem('no-wall', 'settings')]
    : [];

/** Weight nearer to the edge than this asks for feet set wider, metres. Our modelling choice. */
const SMALL_MARGIN = 0.03;

/**
 * What else is said beside a set-up.
 *
 * @param pose the pose's data
 * @param joints what each is asked and has
 * @param mat where the pose lies on it
 * @param skeleton the solved posture
 * @returns notes, none of which holds the set-up back
 */
export function findSideNotes(
  pose: PoseDefinition,
  joints: readonly JointReport[],
  mat: MatFit,
  skeleton: Skeleton,
): Problem[] {
  const notes: Problem[] = [];
  const onTwoFeet = pose.backContact === 'flat' || pose.backContact === 'ball';
  const weightInside = calcWeightInside(skeleton);
  if (onTwoFeet && weightInside < SMALL_MARGIN) {
    const inside = cmFromMetres(weightInside).toFixed(1);
    notes.push(problem('small-margin', 'balance', { inside }));
  }
  const inversion = joints.find(
    (each) => each.motion === 'inversion' && (each.askedDeg ?? 0) > WIDE_ANKLE_DEG,
  );
  if (inversion !== undefined) {
    notes.push(problem('wide-ankle', 'inversion', { asked: (inversion.askedDeg ?? 0).toFixed(0) }));
  }
  if (!mat.fits) {
    const over = (mat.extentCm - mat.lengthCm).toFixed(1);
    notes.push(problem('does-not-fit-mat', 'stance-length', { over }));
  }
  return notes;
}
