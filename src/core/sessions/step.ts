import { isFirmUnderHand, type PropItem } from '../props/propList.ts';
import { USUAL_STUDIO } from '../studio/studio.ts';
import type { AsFound } from '../rules/houseRules.ts';
import { getValue } from '../setup/setUp.ts';
import { isMoved, NOT_MOVED, planMoved } from '../whatIf/planMoved.ts';
import type { Plan } from '../setup/planSetUp.ts';
import type { Setting, SetUp } from '../setup/setUp.ts';

/** One number before and after a step. */
export interface StepChange {
  readonly id: Setting['id'];
  readonly unit: Setting['unit'];
  readonly was: number;
  readonly now: number;
}

/** One step of the ladder as it changes a set-up. */
export interface Step {
  /** What is changed, in words. */
  readonly words: string;
  /** What is held from now on. */
  readonly held: AsFound;
  readonly before: SetUp;
  readonly setUp: SetUp;
  readonly changes: readonly StepChange[];
}

/** A step of the knee, of any other angle, and of the stance. Common practice, no source. */
const KNEE_STEP = 12;
const DEPTH_STEP = 10;
const STANCE_SHARE = 0.95;
/** A hand's height counts as a face of a block within this, cm. */
const SAME_FACE = 0.5;
/** A depth that lies this near its end is at its end. */
const AT_END = 0.5;
/** An easier set-up is no deeper than this beyond the old one, degrees or cm. */
const NO_DEEPER = 0.2;
/** Smaller changes are not set, cm or degrees. */
const SEEN = 0.5;

/** Heights of single firm things that a hand goes up and down by, lowest first. */
const findFaces = (cupboard: readonly PropItem[]): readonly number[] =>
  cupboard
    .filter((each) => HARD.includes(each.kind) && isFirmUnderHand(each) && each.count > 0)
    .flatMap(({ heightsCm }) => heightsCm)
    .sort((a, b) => a - b);
const HARD: readonly PropItem['kind'][] = ['block', 'chair', 'book', 'own'];

type Held = Pick<Step, 'words'> & { readonly change: Partial<AsFound> };

/** What might be eased, in the order in which it is tried. */
function listEasier(
  setUp: SetUp,
  faces: readonly number[],
  isKnee: boolean,
  easiest: number,
): readonly Held[] {
  const found: Held[] = [];
  const hand = getValue(setUp, 'hand-height');
  const depth = setUp.depth?.value ?? null;
  const face = hand === null ? undefined : faces.find((each) => each > hand + SAME_FACE);
  if (face !== undefined) {
    const words = 'the hand one face higher';
    // Some poses come up with the hand, some stay as they are.
    found.push({ words, change: { handCm: face } });
    if (depth !== null) found.push({ words, change: { handCm: face, depth } });
  }
  if (depth !== null && depth > easiest + AT_END) {
    const to = Math.max(easiest, depth - (isKnee ? KNEE_STEP : DEPTH_STEP));
    found.push({ words: isKnee ? 'the knee bent less' : 'less deep', change: { depth: to } });
  }
  const stance = getValue(setUp, 'stance-length');
  if (stance !== null) {
    found.push({ words: 'the stance shorter', change: { stanceCm: stance * STANCE_SHARE } });
  }
  return found;
}

function listFurther(setUp: SetUp, faces: readonly number[]): readonly Held[] {
  const { depth } = setUp;
  if (depth?.value != null && depth.deepest !== null && depth.value < depth.deepest - AT_END) {
    // A step that begins inside the recommended depth ends there at the latest.
    const { recommended } = depth;
    const isInside = recommended !== null && depth.value < recommended - AT_END;
    const to = Math.min(isInside ? recommended : depth.deepest, depth.value + DEPTH_STEP);
    return [{ words: 'one step deeper', change: { depth: to } }];
  }
  const hand = depth === null ? getValue(setUp, 'hand-height') : null;
  if (hand === null || hand <= SAME_FACE) return [];
  const face = faces.findLast((each) => each < hand - SAME_FACE) ?? 0;
  return [{ words: 'the hand one face lower', change: { handCm: face } }];
}

/**
 * One step easier or one step further from the set-up that was really used, solved again,
 * with every number that changes. Never two steps, never past the deepest safe set-up.
 *
 * @param plan the plan that was solved
 * @param used what was held by hand; nothing = as it was planned
 * @param direction which way
 * @returns null when there is no further step that way, or the pose gives there
 */
export function takeStep(plan: Plan, used: AsFound, direction: 'easier' | 'further'): Step | null {
  const before = isMoved(used) ? planMoved(plan, used)?.setUp : plan.setUp;
  if (before === undefined || before.status === 'failed') return null;
  const { depth } = plan.request.pose;
  const faces = findFaces((plan.request.record.studio ?? USUAL_STUDIO).cupboard);
  const candidates =
    direction === 'further'
      ? listFurther(before, faces)
      : listEasier(before, faces, depth?.quantity === 'front-knee-bend', depth?.easiest ?? 0);
  for (const { words, change } of candidates) {
    // A new depth frees the hand and the stance that went with the old one.
    const kept = 'depth' in change ? NOT_MOVED : used;
    const held: AsFound = { ...kept, ...change };
    const after = planMoved(plan, held);
    if (after === null || after.gives !== null) continue;
    const isDeeper = (after.setUp.depth?.value ?? 0) > (before.depth?.value ?? 0) + NO_DEEPER;
    if (direction === 'easier' && isDeeper) continue;
    return {
      words,
      held,
      before,
      setUp: after.setUp,
      changes: findStepChanges(before, after.setUp),
    };
  }
  return null;
}

/**
 * Every number that two set-ups share and that differs by enough to be set.
 *
 * @param before as it was
 * @param after as it will be
 * @returns cm and degrees
 */
export const findStepChanges = (before: SetUp, after: SetUp): readonly StepChange[] =>
  before.settings.flatMap((was): StepChange[] => {
    const now = getValue(after, was.id);
    return now === null || Math.abs(now - was.value) < SEEN
      ? []
      : [{ id: was.id, unit: was.unit, was: was.value, now }];
  });
