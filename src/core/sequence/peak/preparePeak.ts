import { findAnyPose } from '../../poses/anyPose.ts';
import { POSES } from '../../poses/catalogue/index.ts';
import { hasSides } from '../../poses/hasSides.ts';
import { SIDES, type Side } from '../../measures/protocol.ts';
import { problem, type Result } from '../../problems/problem.ts';
import { EASY_BREATH_SECONDS } from '../../studio/studio.ts';
import type { Asked, JointSideMotion } from '../asked.ts';
import { makeStep } from '../editFlow.ts';
import type { Flow } from '../flow.ts';
import type { StepSolver } from '../stepSolver.ts';
import { listCandidates, type BreathRange, type Candidate } from './candidates.ts';
import { choose, type ChoiceTask, type Chosen } from './choose.ts';
import { draftFlow, fitBreaths, type Fitted, type PeakParts } from './draft.ts';
import { compareBefore, listAfter, listGoals, serveOpposites, serveRungs } from './goals.ts';
import { findLimiting, findOpposite, findPreparing, joinAsked, RUNGS } from './preparing.ts';

/** What a teacher asks for. */
export interface PeakAsked {
  readonly peak: string;
  /** How long the flow should last. */
  readonly minutes: number;
  /** About four fifths of the time is active. */
  readonly isActive: boolean;
}

/** A motion that the flow does not prepare, and why. */
export interface Unprepared extends JointSideMotion {
  readonly peakShare: number;
  /** `nothing-asks-it`: this person does nothing that asks about as much. */
  readonly why: 'nothing-asks-it' | 'no-time';
}

/** A flow toward a peak. */
export interface PreparedPeak {
  readonly flow: Flow;
  readonly unprepared: readonly Unprepared[];
  /** Nothing better can be chosen; otherwise it is the best that was found. */
  readonly isProven: boolean;
}

/** The middle of the peak lies here, as a share of the whole time. */
const PEAK_AT = 2 / 3;
/** The share of the time that a rest is given, and in an active class. Our choice. */
const REST_SHARE = { least: 0.06, most: 0.16, active: 0.1 } as const;
/** About this share may be passive, the rest among it. Our choice. */
const PASSIVE_SHARE = { usual: 0.4, active: 0.2 } as const;
/** A rest is never shorter, breaths. */
const SHORTEST_REST = 6;
/** A peak is held so long, breaths, and in a short flow so long. */
const PEAK_BREATHS = { usual: 5, short: 3, shortUnderMinutes: 12 } as const;
/** The standing preparations are gone through so often at most. */
const MOST_ROUNDS = 5;
/** So often the choice is made again for less time, when the ways take longer than was thought. */
const MOST_TRIES = 8;
/** A flow lasts as long as it should within this share. */
const MAY_DIFFER = 0.05;

const pick = (candidates: readonly Candidate[], { picks }: Chosen): readonly Candidate[] =>
  picks.map((i) => candidates[i]!);

/** What the peak asks, on both sides where it has them. */
function findPeakAsked(solver: StepSolver, peak: string): Result<readonly Asked[]> {
  const any = findAnyPose(peak);
  if (any?.kind !== 'standing') {
    const known = POSES.map(({ name }) => name).join(', ');
    return { ok: false, problems: [problem('unknown-pose', 'peak', { text: peak, known })] };
  }
  const asked: Asked[] = [];
  for (const side of hasSides(peak) ? SIDES : (['right'] as const)) {
    const found = solver.findAskedAlone({ ...makeStep(peak, side)!, id: peak });
    if (!found.ok) return found;
    asked.push(...found.value);
  }
  return { ok: true, value: findLimiting(joinAsked(asked)) };
}

/** Everything that the search for a flow rests on. */
interface Setting {
  readonly solver: StepSolver;
  readonly asked: PeakAsked;
  readonly limiting: readonly Asked[];
  readonly candidates: readonly Candidate[];
  readonly findFirstSide: PeakParts['findFirstSide'];
}

/** Seconds that may be passive before the peak, and as many after it, without the rest. */
function findPassiveLimit({ isActive, minutes }: PeakAsked): number {
  const share = isActive
    ? PASSIVE_SHARE.active - REST_SHARE.active
    : PASSIVE_SHARE.usual - REST_SHARE.most;
  return (share / 2) * 60 * minutes;
}

function findRest({ minutes, isActive }: PeakAsked): BreathRange {
  const toBreaths = (share: number): number =>
    Math.max(SHORTEST_REST, Math.round((share * 60 * minutes) / EASY_BREATH_SECONDS));
  const most = isActive ? REST_SHARE.active : REST_SHARE.most;
  return { least: toBreaths(REST_SHARE.least), most: toBreaths(most) };
}

/** Movements and lying forms that go the other way, from standing down to the floor. */
function chooseAfter(
  setting: Setting,
  seconds: number,
  used: readonly Candidate[],
): readonly Candidate[] {
  const { asked, limiting, candidates } = setting;
  const opposites = limiting.flatMap((each) => findOpposite(each) ?? []);
  const open = listAfter(candidates, limiting).filter((each) => !used.includes(each));
  const task: ChoiceTask = {
    choices: open.map((each) => serveOpposites(each, opposites)),
    goals: opposites.map(() => 1),
    seconds,
    passiveSeconds: findPassiveLimit(asked),
    next: { family: 'neutral', feet: null },
  };
  return pick(open, choose(task));
}

interface Attempt extends Fitted {
  readonly chosen: Chosen;
  readonly before: readonly Candidate[];
}

/** The best preparations for so many seconds, with everything that follows them. */
function attempt(setting: Setting, budget: number, open: readonly Candidate[]): Attempt {
  const { solver, asked, limiting, findFirstSide } = setting;
  const whole = 60 * asked.minutes;
  const any = findAnyPose(asked.peak)!;
  const chosen = choose({
    choices: open.map((each) => serveRungs(each, limiting, any.family)),
    goals: listGoals(limiting),
    seconds: Math.max(0, budget),
    passiveSeconds: findPassiveLimit(asked),
    next: {
      family: any.family,
      feet: any.kind === 'standing' ? (any.pose.blueprint ?? any.id) : null,
    },
  });
  const before = pick(open, chosen);
  const { usual, short, shortUnderMinutes } = PEAK_BREATHS;
  const rest = findRest(asked);
  const after = chooseAfter(
    setting,
    Math.max(0, whole * (1 - PEAK_AT) - rest.most * EASY_BREATH_SECONDS),
    before,
  );
  const parts: PeakParts = {
    before,
    rounds: 1,
    peak: asked.peak,
    peakBreaths: asked.minutes < shortUnderMinutes ? short : usual,
    after,
    rest,
    findFirstSide,
  };
  const fit = (rounds: number): Fitted => {
    const draft = draftFlow(solver, { ...parts, rounds });
    const peakSeconds = fitBreaths(solver, draft, { before: 0, whole: 0 }).seconds.peak;
    return fitBreaths(solver, draft, { before: PEAK_AT * whole - peakSeconds / 2, whole });
  };
  let fitted = fit(1);
  for (let rounds = 2; rounds <= MOST_ROUNDS && isShort(fitted, whole); rounds += 1) {
    const more = fit(rounds);
    if (more.totalSeconds > whole * (1 + MAY_DIFFER)) break;
    fitted = more;
  }
  return { ...fitted, chosen, before };
}

const isShort = ({ totalSeconds }: Fitted, whole: number): boolean =>
  totalSeconds < whole * (1 - MAY_DIFFER);

/** What no preparation asks about three fifths of. */
function findUnprepared(
  { limiting, candidates }: Setting,
  before: readonly Candidate[],
): readonly Unprepared[] {
  const isServed = (by: readonly Candidate[], motion: Asked): boolean =>
    by.some(({ asked }) =>
      findPreparing(asked, [motion]).some(
        ({ share, peakShare }) => share >= RUNGS[1].from * peakShare,
      ),
    );
  return limiting
    .filter((motion) => !isServed(before, motion))
    .map((motion): Unprepared => {
      const { joint, motion: own, side, share: peakShare } = motion;
      const why = isServed(candidates, motion) ? 'no-time' : 'nothing-asks-it';
      return { joint, motion: own, side, peakShare, why };
    });
}

/**
 * A flow that prepares a peak, for one person: warm-ups and poses that ask about 40, 60 and 80 % of
 * what the peak asks of each joint, the peak rehearsed and held, the motions the other way, rest.
 *
 * @param solver of the person
 * @param findHarder the harder side of a pose, as it was measured or noted; null = neither
 * @param asked the peak, the time, and whether the class is an active one
 * @param flow id and name of the new flow
 * @returns problems where this person does not do the peak, or the time is too short for it
 */
export function preparePeak(
  solver: StepSolver,
  findHarder: (pose: string) => Side | null,
  asked: PeakAsked,
  flow: Pick<Flow, 'id' | 'name'>,
): Result<PreparedPeak> {
  const limiting = findPeakAsked(solver, asked.peak);
  if (!limiting.ok) return limiting;
  const candidates = listCandidates(solver).filter(({ id }) => id !== asked.peak);
  // Where neither side of a part is harder, it begins on the side on which the peak does.
  const findFirstSide = (poses: readonly string[]): Side =>
    [...poses, asked.peak].map(findHarder).find((side) => side !== null) ?? 'right';
  const setting = { solver, asked, limiting: limiting.value, candidates, findFirstSide };
  const any = findAnyPose(asked.peak)!;
  const open = candidates
    .filter((each) => serveRungs(each, limiting.value, any.family).serves.length > 0)
    // What stands on one leg asks more than a peak that stands on two.
    .filter(({ onOneLeg }) => any.onOneLeg || !onOneLeg)
    .toSorted(compareBefore(limiting.value, any.family));
  const whole = 60 * asked.minutes;
  let budget = PEAK_AT * whole;
  let found = attempt(setting, budget, open);
  for (let tries = 1; tries < MOST_TRIES; tries += 1) {
    const over = found.totalSeconds - whole * (1 + MAY_DIFFER);
    if (over <= 0 || found.before.length === 0) break;
    budget -= over;
    found = attempt(setting, budget, open);
  }
  const { steps, totalSeconds, chosen, before } = found;
  const isWarm = before.some(({ kind }) => kind === 'warm-up');
  if (totalSeconds > whole * (1 + MAY_DIFFER) || !isWarm) {
    const details = { pose: any.name, minutes: asked.minutes };
    return { ok: false, problems: [problem('too-short-for-peak', 'minutes', details)] };
  }
  return {
    ok: true,
    value: {
      flow: { ...flow, peak: asked.peak, minutes: asked.minutes, steps },
      unprepared: findUnprepared(setting, before),
      isProven: chosen.isProven,
    },
  };
}
