import { findAnyPose } from '../../poses/anyPose.ts';
import { isSameMotion, type Asked } from '../asked.ts';
import type { FlowLayout, PlannedStep } from '../plannedFlow.ts';
import {
  findLimiting,
  findOpposite,
  findPreparing,
  joinAsked,
  sayMotion,
  sayPreparing,
} from './preparing.ts';

/** What a step of a flow has to do with its peak. */
export interface StepReason {
  /** Of the step in the flow. */
  readonly index: number;
  /** How much of what limits the peak it asks, as a share of what the peak asks, 0 to 1; of a motion the other way, 0. */
  readonly toward: number;
  /** In sentences; none = it has nothing to do with it. */
  readonly words: readonly string[];
}

/** How a flow leads to its peak, as it is laid out. */
export interface PeakReport {
  readonly pose: string;
  /** The step of the flow that holds it first. */
  readonly index: number;
  /** When that step begins, as a share of the whole time. */
  readonly at: number;
  /** Of the whole time. */
  readonly activeShare: number;
  readonly reasons: readonly StepReason[];
}

/** So many motions are named of a step. */
const MOST_NAMED = 2;

const isPeak = ({ step }: PlannedStep, peak: string): boolean =>
  step?.kind === 'pose' && step.pose === peak;

function findReason(
  planned: PlannedStep,
  limiting: readonly Asked[],
  isAfter: boolean,
): StepReason | null {
  const { step, index, asked } = planned;
  if (step === null) return null;
  const preparing = findPreparing(asked, limiting);
  const given = limiting.flatMap((each) => {
    const opposite = findOpposite(each);
    const isGiven = opposite !== null && asked.some((one) => isSameMotion(one, opposite));
    return isGiven ? [`gives the ${sayMotion(opposite)}, the other way than the peak`] : [];
  });
  const words = isAfter ? given : preparing.map(sayPreparing);
  const toward = isAfter
    ? 0
    : Math.max(0, ...preparing.map(({ share, peakShare }) => Math.min(1, share / peakShare)));
  return { index, toward, words: words.slice(0, MOST_NAMED) };
}

/**
 * How a flow leads to its peak: when it comes, how much of the time is active, and why each step is
 * there.
 *
 * @param layout of the flow
 * @returns null when the flow has no peak, or this person does not do it
 */
export function reportPeak({ flow, steps, times, seconds }: FlowLayout): PeakReport | null {
  const { peak } = flow;
  if (peak === null) return null;
  const held = steps.filter((each) => isPeak(each, peak));
  const first = held.find(({ step }) => step?.manner.kind === 'held') ?? held[0];
  const last = held.at(-1);
  if (first === undefined || last === undefined) return null;
  const limiting = findLimiting(joinAsked(held.flatMap(({ asked }) => asked)));
  const own = steps.filter((each) => each.step !== null && !isPeak(each, peak));
  const sumOf = (isCounted: (index: number) => boolean): number =>
    times.reduce((sum, each) => sum + (isCounted(each.index) ? each.seconds : 0), 0);
  const isActive = (index: number): boolean => {
    const step = flow.steps[index]!;
    return step.kind === 'warm-up' || findAnyPose(step.pose)?.effort === 'active';
  };
  return {
    pose: peak,
    index: first.index,
    at: sumOf((index) => index < first.index) / seconds.total,
    activeShare: sumOf(isActive) / seconds.total,
    reasons: own.flatMap((each) => findReason(each, limiting, each.index > last.index) ?? []),
  };
}
