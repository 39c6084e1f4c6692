import { SIDES } from '../../measures/protocol.ts';
import { ANY_POSES, findAnyPose, type AnyPose } from '../../poses/anyPose.ts';
import type { Height } from '../../poses/linking/linkingPose.ts';
import { WARM_UPS } from '../../poses/warmUps/index.ts';
import { EASY_BREATH_SECONDS } from '../../studio/studio.ts';
import type { Asked } from '../asked.ts';
import { makeStep, type NewStep } from '../editFlow.ts';
import type { StepSolver } from '../stepSolver.ts';
import type { Choice } from './choose.ts';
import { joinAsked } from './preparing.ts';

/** A pose or movement that may stand before or after the peak, done on both its sides. */
export interface Candidate extends Omit<Choice, 'serves' | 'actions' | 'besides'> {
  readonly kind: 'standing' | 'lying' | 'warm-up';
  readonly height: Height;
  readonly hasSides: boolean;
  readonly onOneLeg: boolean;
  /** On both sides together. */
  readonly asked: readonly Asked[];
  readonly breaths: BreathRange;
}

/** As few and as many breaths as something is given. */
export interface BreathRange {
  readonly least: number;
  readonly most: number;
}

/** Held poses and repeated movements are given so many breaths. Our choice. */
const LEAST = { held: 3, rhythm: 4 } as const;
const MOST_HELD = 8;
/** Coming into a pose and setting it up, about; the flow’s own sum is taken in the end. */
const COMING_IN_SECONDS = 8;

/**
 * As few and as many breaths as a step may be given.
 *
 * @param step of a flow
 * @returns whole breaths
 */
export function findBreathRange({ kind, manner }: NewStep): BreathRange {
  if (manner.kind === 'rhythm')
    return { least: LEAST.rhythm, most: Math.round(1.5 * manner.times) };
  const usual = manner.kind === 'held' ? manner.breaths : 1;
  const isLow = kind === 'pose' && usual > MOST_HELD;
  return {
    least: Math.min(LEAST.held, usual),
    most: isLow ? usual : Math.max(usual, Math.min(2 * usual, MOST_HELD)),
  };
}

/** What is asked on both sides; null = this person does not do it on one of them. */
function findAskedOnBoth(
  solver: StepSolver,
  id: string,
  hasSides: boolean,
): Candidate['asked'] | null {
  const asked: Asked[] = [];
  for (const side of hasSides ? SIDES : (['right'] as const)) {
    const step = makeStep(id, side);
    const found = step === null ? null : solver.findAskedAlone({ ...step, id });
    if (found?.ok !== true) return null;
    asked.push(...found.value);
  }
  return joinAsked(asked);
}

function describe(
  solver: StepSolver,
  id: string,
  common: Pick<
    Candidate,
    'kind' | 'height' | 'hasSides' | 'onOneLeg' | 'family' | 'feet' | 'isPassive'
  >,
): readonly Candidate[] {
  const step = makeStep(id, 'right');
  const asked = findAskedOnBoth(solver, id, common.hasSides);
  if (step === null || asked === null || asked.length === 0) return [];
  const breaths = findBreathRange(step);
  const sides = common.hasSides ? 2 : 1;
  const toSeconds = (count: number): number =>
    sides * (count * EASY_BREATH_SECONDS + COMING_IN_SECONDS);
  return [
    {
      id,
      ...common,
      asked,
      breaths,
      leastSeconds: toSeconds(breaths.least),
      mostSeconds: toSeconds(breaths.most),
    },
  ];
}

/** Poses of one blueprint stand on the same feet; those on the floor leave nothing on the mat. */
const findFeet = (any: AnyPose): string | null =>
  any.kind === 'standing' ? (any.pose.blueprint ?? any.id) : null;

const describePose = (solver: StepSolver, any: AnyPose): readonly Candidate[] =>
  any.kind === 'linking'
    ? []
    : describe(solver, any.id, {
        kind: any.kind,
        height: any.height,
        hasSides: any.hasSides,
        onOneLeg: any.onOneLeg,
        family: any.family,
        feet: findFeet(any),
        isPassive: any.effort === 'passive',
      });

const describeWarmUp = (solver: StepSolver, { id, at, hasSides }: (typeof WARM_UPS)[number]) =>
  describe(solver, id, {
    kind: 'warm-up',
    height: findAnyPose(at)!.height,
    hasSides,
    onOneLeg: false,
    family: 'neutral',
    feet: null,
    isPassive: false,
  });

/**
 * Everything that this person does and that asks something of a joint: warm-ups, lying and seated
 * forms, standing poses at the level that fits.
 *
 * @param solver of the person
 * @returns in the order of the catalogue
 */
export const listCandidates = (solver: StepSolver): readonly Candidate[] => [
  ...WARM_UPS.flatMap((each) => describeWarmUp(solver, each)),
  ...ANY_POSES.flatMap((each) => describePose(solver, each)),
];

/**
 * A candidate as a new step on one side, at its fewest breaths.
 *
 * @param candidate of the list
 * @returns held or repeated
 */
export function toLeastStep({ id, breaths }: Candidate): NewStep {
  const step = makeStep(id, 'right');
  if (step === null) throw new Error(`${id} is not there`);
  return withBreaths(step, breaths.least);
}

/**
 * A step for so many breaths.
 *
 * @param step held, repeated or passed
 * @param breaths whole breaths
 * @returns the step; one that is passed through stays as it is
 */
export function withBreaths<Step extends NewStep>(step: Step, breaths: number): Step {
  switch (step.manner.kind) {
    case 'held':
      return { ...step, manner: { kind: 'held', breaths } };
    case 'rhythm':
      return { ...step, manner: { kind: 'rhythm', times: breaths } };
    case 'passed':
      return step;
  }
}
