import { findStopSigns } from '../cautions/stopSigns.ts';
import type { MeasureSet } from '../measures/measureSet.ts';
import { SIDES, type Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { FITTING_LEVEL, USUAL_LEVEL } from '../poses/level.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { getValue, type SetUp } from '../setup/setUp.ts';
import { findMat, USUAL_STUDIO } from '../studio/studio.ts';
import { NOT_MOVED, planMoved } from '../whatIf/planMoved.ts';
import { findWholeWay, type Entry, type Taken } from './entries.ts';
import { NO_FEET, type FootPlace } from './feetPlaces.ts';
import { checkFlow } from './flowChecks.ts';
import { MOST_STEPS, type Flow } from './flow.ts';
import { layFlow } from './layFlow.ts';
import { findMarks, type Mark, type Stand } from './marks.ts';
import { findFootMoves, findHandPlace } from './moves.ts';
import { preparePeak, type PeakAsked, type PreparedPeak } from './peak/preparePeak.ts';
import { findPromisingPeaks, type PromisingPeak } from './peak/promising.ts';
import { reportPeak } from './peak/reportPeak.ts';
import { findHomeMarks, placeFeet, type HomeMarks } from './placeFeet.ts';
import type { FlowPlan } from './flowChecks.ts';
import type { FlowRun, PlannedStep } from './plannedFlow.ts';
import { findRuns, listDistinct, type Run, type Stretch } from './runs.ts';
import { findSharedStance, type SharedStance, type Stood } from './sharedStance.ts';
import { StepSolver } from './stepSolver.ts';
import { addSeconds, listSeconds } from './timing.ts';
import { findWays, type Way } from './ways.ts';

/** A mark may cost a pose this much depth, in its own unit. */
const MARK_MAY_COST = 2;

/** What earlier sessions of a person say. */
export interface Noted {
  /** The harder side of a pose by what is measured, else by what was noted; null = neither. */
  readonly findHarderSide: (setUps: Readonly<Record<Side, SetUp>>, set: MeasureSet) => Side | null;
  readonly isPaused: (pose: string) => boolean;
}

/**
 * Plans flows for one person. It remembers the poses and stances that it has solved, so that a
 * change to a flow costs only what is new; a plan comes out the same with a new planner, only later.
 */
export class FlowPlanner {
  private readonly stances = new Map<string, SharedStance | null>();
  private readonly solver: StepSolver;
  private readonly home: HomeMarks;

  /**
   * @param context the person, see {@link PlanningContext}
   * @param rules house rules that differ from the defaults
   * @param noted what earlier sessions say of sides and poses
   */
  constructor(
    private readonly context: PlanningContext,
    rules: Partial<HouseRules>,
    private readonly noted: Noted,
  ) {
    this.solver = new StepSolver(context, rules);
    this.home = findHomeMarks(this.solver.build.heelsApartCm);
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
    const { taken, leftOut } = refused.length > 0 ? NOTHING : this.solver.take(flow.steps);
    const way = findWholeWay(taken, this.solver.terrain());
    const { entries, ways } = way;
    const stood = entries.map((each) => this.solver.stand(each));
    const { runs, cut } = findRuns(stood, (poses) => this.share(poses, stances));
    const steps = this.placeAll(entries, runs);
    const notes = stances === 'known' ? [] : cut.map((each) => sayCut(each, entries, stood));
    const seconds = listSeconds(taken, way);
    const plan = {
      flow,
      steps,
      leftOut,
      runs: runs.map(reportRun),
      marks: this.findMarks(steps),
      mat: layFlow(steps, findMat((this.context.record.studio ?? USUAL_STUDIO).cupboard)),
      ways: [...ways].map(([index, each]) => ({ index, way: each })),
      cost: [...ways.values()].reduce((sum, { cost }) => sum + cost, 0),
      times: taken.map(({ index }, i) => ({ index, seconds: seconds[i]!.total })),
      seconds: addSeconds(seconds),
      problems: [...refused, ...way.problems, ...notes],
    };
    const checks = checkFlow(plan, (pose) => this.findHarder(pose));
    return { ...plan, checks, harder: this.listHarder(taken), peak: reportPeak(plan) };
  }

  /**
   * A flow that prepares a peak, see {@link preparePeak}.
   *
   * @param asked the peak, the time, and whether the class is an active one
   * @param flow id and name of the new flow
   */
  preparePeak(asked: PeakAsked, flow: Pick<Flow, 'id' | 'name'>): Result<PreparedPeak> {
    const stops = findStopSigns(this.context.record.person);
    if (stops.length > 0) return { ok: false, problems: stops };
    return preparePeak(this.solver, (pose) => this.findHarder(pose), asked, flow);
  }

  /** The poses most worth being a peak now, see {@link findPromisingPeaks}. */
  findPromisingPeaks(): readonly PromisingPeak[] {
    return findPromisingPeaks(this.solver, this.noted.isPaused);
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
    const { taken } = this.solver.take(flow.steps);
    const at = taken.findIndex((each) => each.index === index);
    const before = taken[at - 1];
    if (before === undefined) return [];
    const terrain = this.solver.terrain();
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

  private listHarder(taken: readonly Taken[]): FlowPlan['harder'] {
    const poses = new Set(taken.map(({ place }) => place.pose));
    return [...poses].flatMap((pose) => {
      const side = this.findHarder(pose);
      return side === null ? [] : [{ pose, side }];
    });
  }

  /** The harder side of a pose, as it was measured or noted; null = neither. */
  private findHarder(pose: string): Side | null {
    const any = findAnyPose(pose);
    if (any?.kind !== 'standing' || !any.hasSides) return null;
    const [left, right] = SIDES.map((side) => this.solver.planOf({ pose, side }, FITTING_LEVEL));
    if (left?.kind !== 'planned' || right?.kind !== 'planned') return null;
    const setUps = { left: left.setUp, right: right.setUp };
    return this.noted.findHarderSide(setUps, this.context.set);
  }

  private findRefusal({ steps }: Flow): readonly Problem[] {
    if (steps.length === 0) return [problem('no-steps', 'steps')];
    if (steps.length > MOST_STEPS) {
      return [problem('too-many-steps', 'steps', { count: steps.length, most: MOST_STEPS })];
    }
    return findStopSigns(this.context.record.person);
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

  private placeAll(entries: readonly Entry[], runs: readonly Run[]): readonly PlannedStep[] {
    const placed: PlannedStep[] = [];
    let before = NO_FEET;
    let frontSide: Side = entries.find(({ place }) => place.side !== null)?.place.side ?? 'right';
    for (const [i, entry] of entries.entries()) {
      const { index, step, any, place, passage } = entry;
      frontSide = place.side ?? frontSide;
      const run = runs.findIndex(({ from, to }) => i >= from && i <= to);
      const { setUp, gap, own } = this.solver.setUpOf(
        entry,
        runs[run] ?? findRunOf(entry, entries, runs),
      );
      const isSame = passage === null && placed.at(-1)?.place.pose === place.pose;
      const foot = isSame ? 'none' : (passage?.transition.foot ?? null);
      const feet = placeFeet(before, own, any, frontSide, foot, this.home);
      const hand = setUp === null ? null : findHandPlace(setUp, own, feet);
      const moves = findFootMoves(before, feet, passage?.transition.stepsIn);
      const asked = this.solver.findAsked(step, any, place.side ?? 'right', setUp);
      const common = { index, step, place, name: any.name, passage, setUp, gap, asked };
      placed.push({ ...common, feet, hand, moves, run: run < 0 ? null : run });
      if (feet.left !== null || feet.right !== null) before = feet;
    }
    return placed;
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
    const plan = this.solver.planOf(where, setUp.level ?? USUAL_LEVEL);
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

const NOTHING = { taken: [], leftOut: [] } as const;

function sayCut(
  { from, to }: Stretch,
  entries: readonly Entry[],
  stood: readonly (Stood | null)[],
): Problem {
  const distinct = listDistinct(stood.slice(from, to + 1).flatMap((each) => each ?? []));
  const poses = distinct.map(({ plan }) => plan.request.pose.name).join(', ');
  return problem('cannot-share-stance', `steps[${String(entries[from]!.index)}]`, { poses });
}
