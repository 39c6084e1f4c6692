import { hipToAnkle } from '../body/body.ts';
import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { makeRequest } from '../planning/request.ts';
import { findAnyPose, type AnyPose } from '../poses/anyPose.ts';
import { FITTING_LEVEL } from '../poses/level.ts';
import { findWarmUp } from '../poses/warmUps/index.ts';
import type { Problem, Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { planLying } from '../setup/planLying.ts';
import { planPose, type Plan, type PlanResult } from '../setup/planSetUp.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { cmFromMetres } from '../units/brands.ts';
import { findAskedByLying, findAskedBySetUp, findAskedByWarmUp, type Asked } from './asked.ts';
import { findWholeWay, type Entry, type Taken } from './entries.ts';
import {
  estimateFeetPlaces,
  findFeetPlaces,
  USUAL_BUILD,
  type Build,
  type FeetPlaces,
} from './feetPlaces.ts';
import type { FlowStep } from './flow.ts';
import type { LeftOut } from './plannedFlow.ts';
import type { Run } from './runs.ts';
import type { Stood } from './sharedStance.ts';
import { findLinkCaution, findStepPlace } from './stepPlaces.ts';
import { listSeconds, type FlowSeconds } from './timing.ts';
import type { Place, Terrain } from './ways.ts';

/** A set-up with the feet it stands on, in its own frame. */
interface OnFeet {
  readonly setUp: SetUp | null;
  readonly gap: readonly Problem[];
  readonly own: FeetPlaces;
}

/**
 * Solves single steps for one person, each pose once: what a flow, and the choice of one, stand on.
 */
export class StepSolver {
  readonly build: Build;
  private readonly plans = new Map<string, PlanResult>();
  private readonly excluded = new Map<string, boolean>();

  /**
   * @param context the person, see {@link PlanningContext}
   * @param rules house rules that differ from the defaults
   */
  constructor(
    readonly context: PlanningContext,
    private readonly rules: Partial<HouseRules>,
  ) {
    const mountain = this.planOf({ pose: 'mountain', side: null }, null);
    this.build = mountain.kind === 'planned' ? findBuild(mountain) : USUAL_BUILD;
  }

  /** The steps that this person does, and those that are left out. */
  take(steps: readonly FlowStep[]): {
    readonly taken: readonly Taken[];
    readonly leftOut: readonly LeftOut[];
  } {
    const taken: Taken[] = [];
    const leftOut: LeftOut[] = [];
    for (const [index, step] of steps.entries()) {
      const found = findStepPlace(step, `steps[${String(index)}]`);
      const problems = 'code' in found ? [found] : this.findReasons(step, found.any, found.place);
      if ('code' in found || problems.length > 0) leftOut.push({ index, step, problems });
      else taken.push({ index, step, ...found });
    }
    return { taken, leftOut };
  }

  /** Why a person does not do a step: a caution, or a level that is gone. */
  private findReasons(step: FlowStep, any: AnyPose, place: Place): readonly Problem[] {
    const link = findLinkCaution(any, this.context.record.person);
    if (link !== null) return [link];
    if (step.kind !== 'pose' || any.kind === 'lying') return [];
    const planned = this.planOf(place, step.level);
    if (planned.kind === 'stopped') return planned.setUp.problems;
    return planned.kind === 'problems'
      ? planned.problems.filter(({ code }) => code === 'unknown-level')
      : [];
  }

  /** A standing pose, solved once; see planPose. */
  planOf({ pose, side }: Place, level: string | null): PlanResult {
    const key = `${pose} ${side ?? '-'} ${level ?? ''}`;
    const known = this.plans.get(key);
    if (known !== undefined) return known;
    const planned = planPose(this.context, pose, side ?? 'right', this.rules, level);
    this.plans.set(key, planned);
    return planned;
  }

  /**
   * Feet are estimated from this person's leg, whatever is solved: so a way costs the same in every
   * flow, and a pose more never makes a flow cheaper. What the feet really do stands in the moves.
   */
  terrain(): Terrain {
    return {
      feetOf: ({ pose, side }) =>
        estimateFeetPlaces(findAnyPose(pose)!, side ?? 'right', this.build),
      isExcluded: (id) => this.isExcluded(findAnyPose(id)!),
    };
  }

  /** Whether a caution leaves a pose out, even for a breath. */
  private isExcluded(any: AnyPose): boolean {
    const known = this.excluded.get(any.id);
    if (known !== undefined) return known;
    const { record } = this.context;
    const isExcluded =
      any.kind === 'standing'
        ? makeRequest(record, any.pose, 'right', this.rules, null, null).adapted.excluded.length > 0
        : findLinkCaution(any, record.person) !== null;
    this.excluded.set(any.id, isExcluded);
    return isExcluded;
  }

  /** A solved standing pose, as it may share a stance; null = it is none. */
  stand({ step, any, place }: Entry): Stood | null {
    if (any.kind !== 'standing') return null;
    const planned = this.planOf(place, levelOf(step));
    if (planned.kind !== 'planned') return null;
    return { plan: planned, isHeld: step !== null && step.manner.kind !== 'passed' };
  }

  /** What a step asks of the joints, with the set-up that it is held in. */
  findAsked(
    step: FlowStep | null,
    any: AnyPose,
    side: Side,
    setUp: SetUp | null,
  ): readonly Asked[] {
    if (step?.kind === 'warm-up') {
      const warmUp = findWarmUp(step.movement);
      return warmUp === null ? [] : findAskedByWarmUp(warmUp, step.side);
    }
    if (setUp === null) return [];
    return any.kind === 'lying'
      ? findAskedByLying(any.pose, side, this.context, this.rules)
      : findAskedBySetUp(setUp);
  }

  /**
   * What a step asks of this person when it is done by itself.
   *
   * @returns why they do not do it, when they do not
   */
  findAskedAlone(step: FlowStep): Result<readonly Asked[]> {
    const { taken, leftOut } = this.take([step]);
    const [only] = taken;
    if (only === undefined) return { ok: false, problems: leftOut[0]?.problems ?? [] };
    const { any, place } = only;
    const { setUp, gap } = this.setUpOf({ ...only, passage: null }, null);
    if (gap.length > 0) return { ok: false, problems: gap };
    return { ok: true, value: this.findAsked(step, any, place.side ?? 'right', setUp) };
  }

  /** Seconds of every step that is done, in order. */
  listSeconds(steps: readonly FlowStep[]): readonly FlowSeconds[] {
    const { taken } = this.take(steps);
    return listSeconds(taken, findWholeWay(taken, this.terrain()));
  }

  /** The set-up of a pose, on the stance of its run where it has one. */
  setUpOf(entry: Entry, run: Run | null): OnFeet {
    const { any, place, step } = entry;
    const side = place.side ?? 'right';
    const none = { setUp: null, gap: [], own: estimateFeetPlaces(any, side, this.build) };
    // What is only passed through needs no numbers.
    const withGap = (gap: readonly Problem[]): OnFeet => (step === null ? none : { ...none, gap });
    if (any.kind === 'linking') return none;
    if (any.kind === 'lying') {
      if (step === null) return none;
      const lying = planLying(this.context, any.pose, side, this.rules);
      return lying.ok ? { ...none, setUp: lying.value } : withGap(lying.problems);
    }
    const planned = this.planOf(place, levelOf(step));
    if (planned.kind === 'problems') return withGap(planned.problems);
    if (planned.kind === 'stopped') return withGap(planned.setUp.problems);
    const shared = run?.stance.poses.find(
      (each) => each.setUp.pose === any.id && each.setUp.level === planned.setUp.level,
    );
    const setUp = shared?.setUp ?? planned.setUp;
    if (setUp.status === 'failed') return withGap(setUp.problems);
    return { setUp, gap: [], own: findFeetPlaces(setUp, planned.request.pose) };
  }
}

const findBuild = ({ limited, setUp }: Plan): Build => ({
  legCm: cmFromMetres((hipToAnkle(limited.body, 'left') + hipToAnkle(limited.body, 'right')) / 2),
  heelsApartCm: Math.abs(getValue(setUp, 'stance-width') ?? USUAL_BUILD.heelsApartCm),
});

/** The level that a step is planned at; what is passed through is done as it fits. */
const levelOf = (step: FlowStep | null): string | null =>
  step?.kind === 'pose' ? step.level : FITTING_LEVEL;
