import { findStopSigns } from '../cautions/stopSigns.ts';
import { hipToAnkle } from '../body/body.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { makeRequest } from '../planning/request.ts';
import { findAnyPose, type AnyPose } from '../poses/anyPose.ts';
import { FITTING_LEVEL, USUAL_LEVEL } from '../poses/level.ts';
import { problem, type Problem } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { planLying } from '../setup/planLying.ts';
import type { Session } from '../sessions/session.ts';
import { findHarderSide } from '../sessions/sides.ts';
import { planPose, type Plan, type PlanResult } from '../setup/planSetUp.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { findMat, USUAL_STUDIO } from '../studio/studio.ts';
import { cmFromMetres } from '../units/brands.ts';
import { NOT_MOVED, planMoved } from '../whatIf/planMoved.ts';
import { findWholeWay, type Entry, type Taken, type WholeWay } from './entries.ts';
import {
  estimateFeetPlaces,
  findFeetPlaces,
  NO_FEET,
  USUAL_BUILD,
  type Build,
  type FeetPlaces,
  type FootPlace,
} from './feetPlaces.ts';
import { checkFlow } from './flowChecks.ts';
import { MOST_STEPS, type Flow, type FlowStep } from './flow.ts';
import { layFlow } from './layFlow.ts';
import { findMarks, type Mark, type Stand } from './marks.ts';
import { findFootMoves, findHandPlace } from './moves.ts';
import { findHomeMarks, placeFeet, type HomeMarks } from './placeFeet.ts';
import type { FlowPlan } from './flowChecks.ts';
import type { FlowRun, LeftOut, PlannedStep } from './plannedFlow.ts';
import { findRuns, listDistinct, type Run, type Stretch } from './runs.ts';
import { findSharedStance, type SharedStance, type Stood } from './sharedStance.ts';
import { findLinkCaution, findStepPlace } from './stepPlaces.ts';
import { addSeconds, calcStepSeconds, type FlowSeconds } from './timing.ts';
import { sumParts } from './wayCosts.ts';
import { findWays, type Place, type Terrain, type Way } from './ways.ts';

/** A mark may cost a pose this much depth, in its own unit. */
const MARK_MAY_COST = 2;

/** A set-up with the feet it stands on, in its own frame. */
interface OnFeet {
  readonly setUp: SetUp | null;
  readonly gap: readonly Problem[];
  readonly own: FeetPlaces;
}

/**
 * Plans flows for one person. It remembers the poses and stances that it has solved, so that a
 * change to a flow costs only what is new; a plan comes out the same with a new planner, only later.
 */
export class FlowPlanner {
  private readonly plans = new Map<string, PlanResult>();
  private readonly stances = new Map<string, SharedStance | null>();
  private readonly excluded = new Map<string, boolean>();
  private readonly build: Build;
  private readonly home: HomeMarks;

  /**
   * @param context the person, see {@link PlanningContext}
   * @param rules house rules that differ from the defaults
   * @param sessions of this person, in any order: what was noted of the harder side
   */
  constructor(
    private readonly context: PlanningContext,
    private readonly rules: Partial<HouseRules> = {},
    private readonly sessions: readonly Session[] = [],
  ) {
    const mountain = this.planOf({ pose: 'mountain', side: null }, null);
    this.build = mountain.kind === 'planned' ? findBuild(mountain) : USUAL_BUILD;
    this.home = findHomeMarks(this.build.heelsApartCm);
  }

  /**
   * The whole plan of a flow: set-ups, one stance where it serves, ways, moves, marks and time.
   * A step that this person cannot do is left out with the reason, and the rest is planned.
   *
   * @param flow any
   * @param stances `known` = only stances that were found before: quick, for a first look
   * @returns a plan; with `no-steps`, `too-many-steps` or a stop sign among its problems nothing is
   *   planned
   */
  plan(flow: Flow, stances: 'all' | 'known' = 'all'): FlowPlan {
    const refused = this.findRefusal(flow);
    const { taken, leftOut } = refused.length > 0 ? NOTHING : this.take(flow);
    const way = findWholeWay(taken, this.terrain());
    const { entries, ways } = way;
    const stood = entries.map((each) => this.stand(each));
    const { runs, cut } = findRuns(stood, (poses) => this.share(poses, stances));
    const steps = this.placeAll(entries, runs);
    const notes = stances === 'known' ? [] : cut.map((each) => sayCut(each, entries, stood));
    const plan = {
      flow,
      steps,
      leftOut,
      runs: runs.map(reportRun),
      marks: this.findMarks(steps),
      mat: layFlow(steps, findMat((this.context.record.studio ?? USUAL_STUDIO).cupboard)),
      ways: [...ways].map(([index, each]) => ({ index, way: each })),
      cost: [...ways.values()].reduce((sum, { cost }) => sum + cost, 0),
      seconds: addSeconds(listSeconds(taken, way)),
      problems: [...refused, ...way.problems, ...notes],
    };
    return { ...plan, checks: checkFlow(plan, (pose) => this.findHarder(pose)) };
  }

  /**
   * The ways into a step, the cheapest first.
   *
   * @param flow any
   * @param index of the step
   * @param most how many
   * @returns none for the first step, and for one that is left out
   */
  findOtherWays(flow: Flow, index: number, most: number): readonly Way[] {
    const { taken } = this.take(flow);
    const at = taken.findIndex((each) => each.index === index);
    const before = taken[at - 1];
    if (before === undefined) return [];
    const terrain = this.terrain();
    const hips = findWholeWay(taken, terrain).hipsBefore.get(index)!;
    return findWays(before.place, taken[at]!.place, hips, terrain, most);
  }

  /**
   * The side of a part of a flow that comes first: the harder one of the first of its poses that has
   * one, as it was measured or noted.
   *
   * @param poses ids in order
   * @returns right where neither side is harder
   */
  findFirstSide(poses: readonly string[]): Side {
    for (const pose of poses) {
      const harder = this.findHarder(pose);
      if (harder !== null) return harder;
    }
    return 'right';
  }

  /** The harder side of a pose, as it was measured or noted; null = neither. */
  private findHarder(pose: string): Side | null {
    const any = findAnyPose(pose);
    if (any?.kind !== 'standing' || !any.hasSides) return null;
    const [left, right] = SIDES.map((side) => this.planOf({ pose, side }, FITTING_LEVEL));
    if (left?.kind !== 'planned' || right?.kind !== 'planned') return null;
    const setUps = { left: left.setUp, right: right.setUp };
    return findHarderSide(setUps, this.context.set, this.sessions)?.side ?? null;
  }

  private findRefusal({ steps }: Flow): readonly Problem[] {
    if (steps.length === 0) return [problem('no-steps', 'steps')];
    if (steps.length > MOST_STEPS) {
      return [problem('too-many-steps', 'steps', { count: steps.length, most: MOST_STEPS })];
    }
    return findStopSigns(this.context.record.person);
  }

  /** The steps that this person does, and those that are left out. */
  private take({ steps }: Flow): {
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

  private planOf({ pose, side }: Place, level: string | null): PlanResult {
    const key = `${pose} ${side ?? '-'} ${level ?? ''}`;
    const known = this.plans.get(key);
    if (known !== undefined) return known;
    const planned = planPose(this.context, pose, side ?? 'right', this.rules, level);
    this.plans.set(key, planned);
    return planned;
  }

  private share(poses: readonly Stood[], stances: 'all' | 'known'): SharedStance | null {
    const keys = poses.map(({ plan: { request }, isHeld }) =>
      [request.pose.id, request.level ?? '', request.side, String(isHeld)].join(' '),
    );
    const key = keys.join(', ');
    const known = this.stances.get(key);
    if (known !== undefined) return known;
    if (stances === 'known') return null;
    const found = findSharedStance(poses);
    this.stances.set(key, found);
    return found;
  }

  /**
   * Feet are estimated from this person's leg, whatever is solved: so a way costs the same in every
   * flow, and a pose more never makes a flow cheaper. What the feet really do stands in the moves.
   */
  private terrain(): Terrain {
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

  private stand({ step, any, place }: Entry): Stood | null {
    if (any.kind !== 'standing') return null;
    const planned = this.planOf(place, levelOf(step));
    if (planned.kind !== 'planned') return null;
    return { plan: planned, isHeld: step !== null && step.manner.kind !== 'passed' };
  }

  private placeAll(entries: readonly Entry[], runs: readonly Run[]): readonly PlannedStep[] {
    const placed: PlannedStep[] = [];
    let before = NO_FEET;
    let frontSide: Side = entries.find(({ place }) => place.side !== null)?.place.side ?? 'right';
    for (const [i, entry] of entries.entries()) {
      const { index, step, any, place, passage } = entry;
      frontSide = place.side ?? frontSide;
      const run = runs.findIndex(({ from, to }) => i >= from && i <= to);
      const { setUp, gap, own } = this.setUpOf(entry, runs[run] ?? findRunOf(entry, entries, runs));
      const isSame = passage === null && placed.at(-1)?.place.pose === place.pose;
      const foot = isSame ? 'none' : (passage?.transition.foot ?? null);
      const feet = placeFeet(before, own, any, frontSide, foot, this.home);
      const hand = setUp === null ? null : findHandPlace(setUp, own, feet);
      const moves = findFootMoves(before, feet, passage?.transition.stepsIn);
      const common = { index, step, place, name: any.name, passage, setUp, gap, feet, hand, moves };
      placed.push({ ...common, run: run < 0 ? null : run });
      if (feet.left !== null || feet.right !== null) before = feet;
    }
    return placed;
  }

  /** The set-up of a pose, on the stance of its run where it has one. */
  private setUpOf(entry: Entry, run: Run | null): OnFeet {
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

  private findMarks(steps: readonly PlannedStep[]): readonly Mark[] {
    const stands = steps.flatMap(({ feet, setUp }, step): Stand[] =>
      SIDES.flatMap((side) => {
        const place = feet[side];
        return setUp === null || place === null ? [] : [{ step, side, place }];
      }),
    );
    return findMarks(stands, (stand, place) => this.mayStand(steps[stand.step]!, stand, place));
  }

  /** Whether a pose loses little when one of its feet stands on another mark. */
  private mayStand({ setUp, place: where }: PlannedStep, stand: Stand, on: FootPlace): boolean {
    const stance = setUp === null ? null : getValue(setUp, 'stance-length');
    const depth = setUp?.depth?.value ?? null;
    if (setUp === null || stance === null || depth === null) return true;
    const plan = this.planOf(where, setUp.level ?? USUAL_LEVEL);
    if (plan.kind !== 'planned') return true;
    const isFront = stand.side === setUp.side;
    const ahead = on.x - stand.place.x;
    const turn = getValue(setUp, 'back-foot-angle');
    const answer = planMoved(plan, {
      ...NOT_MOVED,
      stanceCm: stance + (isFront ? ahead : -ahead),
      backFootDeg: turn === null || isFront ? null : Math.abs(on.turnDeg),
    });
    if (answer?.gives !== null) return false;
    return (answer.setUp.depth?.value ?? 0) >= depth - MARK_MAY_COST;
  }
}

/**
 * What is passed through alone stands where a run of the same flow has its marks, so that it needs
 * none of its own.
 */
const findRunOf = (
  { step, place }: Entry,
  entries: readonly Entry[],
  runs: readonly Run[],
): Run | null =>
  step !== null
    ? null
    : (runs.find(
        ({ from, stance }) =>
          entries[from]!.place.side === place.side &&
          stance.poses.some(({ setUp }) => setUp.pose === place.pose),
      ) ?? null);

const reportRun = ({ from, to, stance }: Run): FlowRun => ({
  ...stance,
  from,
  to,
  poses: stance.poses.map(({ setUp, ...each }) => {
    return { pose: setUp.pose, level: setUp.level, ...each };
  }),
});

const findBuild = ({ limited, setUp }: Plan): Build => ({
  legCm: cmFromMetres((hipToAnkle(limited.body, 'left') + hipToAnkle(limited.body, 'right')) / 2),
  heelsApartCm: Math.abs(getValue(setUp, 'stance-width') ?? USUAL_BUILD.heelsApartCm),
});

const NOTHING = { taken: [], leftOut: [] } as const;

/** The level that a step is planned at; what is passed through is done as it fits. */
const levelOf = (step: FlowStep | null): string | null =>
  step?.kind === 'pose' ? step.level : FITTING_LEVEL;

function sayCut(
  { from, to }: Stretch,
  entries: readonly Entry[],
  stood: readonly (Stood | null)[],
): Problem {
  const distinct = listDistinct(stood.slice(from, to + 1).flatMap((each) => each ?? []));
  const poses = distinct.map(({ plan }) => plan.request.pose.name).join(', ');
  return problem('cannot-share-stance', `steps[${String(entries[from]!.index)}]`, { poses });
}

/** Seconds of every step, with the way into it. */
function listSeconds(taken: readonly Taken[], { ways }: WholeWay): readonly FlowSeconds[] {
  let before: Side | null = null;
  return taken.map(({ step, index, place }) => {
    const way = ways.get(index);
    const parts = way === undefined ? [] : sumParts(way.passages);
    const passed = Math.max(0, (way?.passages.length ?? 0) - 1);
    const changesSides = before !== null && place.side !== null && place.side !== before;
    before = place.side ?? before;
    return calcStepSeconds(step, passed, parts, changesSides);
  });
}
