import { otherSide, SIDES, type Side } from '../measures/protocol.ts';
import { findMotionOf, listMeasuresOf } from '../conditions/motionMeasures.ts';
import { findAnyPose } from '../poses/anyPose.ts';
import { hasSides } from '../poses/hasSides.ts';
import { WARM_UPS } from '../poses/warmUps/index.ts';
import { makeStep, type FlowEdit, type NewStep } from './editFlow.ts';
import { countBreaths, type Flow, type FlowStep } from './flow.ts';
import { calcFlowLoad, type LoadStep } from './flowLoad.ts';
import type { FlowLayout } from './plannedFlow.ts';
import type { PeakReport } from './peak/reportPeak.ts';
import { sumParts } from './wayCosts.ts';

/** Something of a flow that a teacher may want to look at again. */
export interface FlowCheck {
  readonly kind:
    'two-flips' | 'peak-unprepared' | 'leg-loaded' | 'head-low' | 'sides-unequal' | 'over-time';
  /** Of the step it concerns; null = the whole flow. */
  readonly index: number | null;
  /** What was found, in a sentence. */
  readonly found: string;
  /** What would change it, in a sentence. */
  readonly fix: string;
  /** The same as a change of the flow; null = there is more than one way to do it. */
  readonly edit: FlowEdit | null;
}

/** A flow for one person. */
export interface FlowPlan extends FlowLayout {
  /** What a teacher may want to look at again, each with what would change it. */
  readonly checks: readonly FlowCheck[];
  /** Poses of it that have a harder side, as it was measured or noted. */
  readonly harder: readonly { readonly pose: string; readonly side: Side }[];
  /** null = it has no peak. */
  readonly peak: PeakReport | null;
}

/** Breaths in a row on one front leg. Our choice: five poses of five breaths, with their ways. */
const MOST_BREATHS_ON_A_LEG = 32;
/** Of what a peak asks nearly all, something before it asks this share of it. Our choice. */
const NEARLY_ALL = 0.75;
const PREPARED = 0.5;
/** A flow may be longer than it should by this share. */
const MAY_BE_OVER = 1.05;

const joinWords = (words: readonly string[]): string => [...new Set(words)].join(', ');

/** A second change between open and closed hips before the other side begins. */
function findFlips(flow: Flow, plan: FlowLayout): readonly FlowCheck[] {
  let side: Side | null = null;
  let flips = 0;
  return plan.steps.flatMap(({ step, index, place, name }): FlowCheck[] => {
    if (step === null) return [];
    if (place.side !== null && place.side !== side) {
      side = place.side;
      flips = 0;
    }
    const way = plan.ways.find((each) => each.index === index)?.way;
    const before = flips;
    flips +=
      way === undefined
        ? 0
        : (sumParts(way.passages).find(({ kind }) => kind === 'flips')?.amount ?? 0);
    if (flips < 2 || flips === before) return [];
    const family = findAnyPose(place.pose)?.family ?? 'neutral';
    const alike = flow.steps.slice(0, index).findLast((each) => isAlike(each, side, family));
    return [
      {
        kind: 'two-flips',
        index,
        found: `${name} is the second change between open and closed hips on one side.`,
        fix: `Move it next to the other poses with ${family} hips.`,
        edit: alike === undefined ? null : { kind: 'move', step: step.id, after: alike.id },
      },
    ];
  });
}

const isAlike = (step: FlowStep, side: Side | null, family: string): boolean =>
  step.kind === 'pose' && step.side === side && findAnyPose(step.pose)?.family === family;

/** Motions of which the peak asks nearly all, and nothing before it about half. */
function findUnprepared(flow: Flow, steps: readonly LoadStep[]): readonly FlowCheck[] {
  const { peak } = flow;
  const at = steps.findIndex(({ index }) => {
    const step = flow.steps[index]!;
    return step.kind === 'pose' && step.pose === peak;
  });
  const found = steps[at];
  if (peak === null || found === undefined) return [];
  const missing = found.asked.filter(
    ({ joint, motion, side, share }) =>
      share >= NEARLY_ALL &&
      listMeasuresOf({ joint, motion }).length > 0 &&
      !steps
        .slice(0, at)
        .some(({ asked }) =>
          asked.some(
            (each) =>
              each.joint === joint &&
              each.motion === motion &&
              each.side === side &&
              each.share >= PREPARED * share,
          ),
        ),
  );
  if (missing.length === 0) return [];
  const warmUp = WARM_UPS.find(({ asks }) =>
    asks.some(({ measure }) => {
      const motion = findMotionOf(measure);
      return missing.some((each) => each.joint === motion?.joint && each.motion === motion.motion);
    }),
  );
  const words = joinWords(
    missing.map(({ joint, motion }) => `${joint} ${motion.replace('-', ' ')}`),
  );
  const added = warmUp === undefined ? null : makeStep(warmUp.id, found.side ?? 'right');
  return [
    {
      kind: 'peak-unprepared',
      index: found.index,
      found: `Nothing before ${found.name} prepares ${words}.`,
      fix:
        warmUp === undefined
          ? 'Put a pose before it that asks the same, about half as far.'
          : `Begin with “${warmUp.name}”.`,
      edit: added === null ? null : { kind: 'insert', after: null, steps: [added] },
    },
  ];
}

/** One front leg for too many breaths in a row; what is passed through counts one. */
function findLoadedLegs(plan: FlowLayout): readonly FlowCheck[] {
  let side: Side | null = null;
  let breaths = 0;
  return plan.steps.flatMap(({ step, index, place, name }): FlowCheck[] => {
    const isStanding = findAnyPose(place.pose)?.kind === 'standing' && place.side !== null;
    if (!isStanding || place.side !== side) breaths = 0;
    side = isStanding ? place.side : null;
    if (!isStanding) return [];
    const before = breaths;
    breaths += step === null ? 1 : countBreaths(step);
    if (before > MOST_BREATHS_ON_A_LEG || breaths <= MOST_BREATHS_ON_A_LEG || step === null) {
      return [];
    }
    const rest = makeStep('front-of-mat', 'right');
    const previous = plan.flow.steps[index - 1];
    return [
      {
        kind: 'leg-loaded',
        index,
        found: `With ${name} the ${side ?? ''} leg has carried ${String(breaths)} breaths in a row.`,
        fix: 'Stand at the front of the mat for two breaths before it.',
        edit:
          rest === null || previous === undefined
            ? null
            : { kind: 'insert', after: previous.id, steps: [rest] },
      },
    ];
  });
}

/** Linking poses that are left out because the head has to stay above the heart. */
const findLowHeads = ({ leftOut }: FlowLayout): readonly FlowCheck[] =>
  leftOut
    .filter(({ problems }) => problems.some(({ code }) => code === 'head-below-heart'))
    .map(({ index, step, problems }) => ({
      kind: 'head-low',
      index,
      found: problems[0]!.message,
      fix: problems[0]!.hint,
      edit: { kind: 'remove', step: step.id },
    }));

/** A pose that is held longer on one side, and not because that side is the harder one. */
function findUnequal(flow: Flow, findHarder: (pose: string) => Side | null): readonly FlowCheck[] {
  const poses = flow.steps.flatMap((step) =>
    step.kind === 'pose' && hasSides(step.pose) ? [step.pose] : [],
  );
  return [...new Set(poses)].flatMap((pose): FlowCheck[] => {
    const own = flow.steps.filter((step) => step.kind === 'pose' && step.pose === pose);
    const [left, right] = SIDES.map((side) =>
      own
        .filter((step) => step.kind === 'pose' && step.side === side)
        .reduce((sum, step) => sum + countBreaths(step), 0),
    ) as [number, number];
    if (left === right) return [];
    const more: Side = left > right ? 'left' : 'right';
    if (findHarder(pose) === more) return [];
    const less = otherSide(more);
    const last = own.at(-1)!;
    const added: NewStep | null = makeStep(pose, less);
    const breaths = Math.abs(left - right);
    const name = findAnyPose(pose)?.name ?? pose;
    return [
      {
        kind: 'sides-unequal',
        index: flow.steps.indexOf(last),
        found: `${name} has ${String(breaths)} breaths more on the ${more}, and no reason is known for it.`,
        fix: `Hold it on the ${less} for as long.`,
        edit:
          added === null
            ? null
            : {
                kind: 'insert',
                after: last.id,
                steps: [{ ...added, manner: { kind: 'held', breaths } }],
              },
      },
    ];
  });
}

function findOverTime({ minutes }: Flow, { seconds }: FlowLayout): readonly FlowCheck[] {
  if (minutes === null || seconds.total <= MAY_BE_OVER * 60 * minutes) return [];
  const over = Math.round(seconds.total / 60 - minutes);
  return [
    {
      kind: 'over-time',
      index: null,
      found: `The flow lasts ${String(over)} min longer than it should.`,
      fix: 'Hold some poses for fewer breaths, or leave one out.',
      edit: null,
    },
  ];
}

/**
 * What a teacher may want to look at again in a flow, each with what would change it.
 *
 * @param plan of the flow
 * @param findHarder the harder side of a pose, as it was measured or noted; null = neither
 * @returns none where nothing was found
 */
export function checkFlow(
  plan: FlowLayout,
  findHarder: (pose: string) => Side | null,
): readonly FlowCheck[] {
  const { flow } = plan;
  if (plan.steps.length === 0) return [];
  return [
    ...findFlips(flow, plan),
    ...findUnprepared(flow, calcFlowLoad(plan).steps),
    ...findLoadedLegs(plan),
    ...findLowHeads(plan),
    ...findUnequal(flow, findHarder),
    ...findOverTime(flow, plan),
  ];
}
