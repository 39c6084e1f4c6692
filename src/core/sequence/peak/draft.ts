import { otherSide, type Side } from '../../measures/protocol.ts';
import { EASY_BREATH_SECONDS } from '../../studio/studio.ts';
import { arrangeSides } from '../arrangeSides.ts';
import { makeStep, type NewStep } from '../editFlow.ts';
import type { FlowStep } from '../flow.ts';
import type { StepSolver } from '../stepSolver.ts';
import { toLeastStep, withBreaths, type BreathRange, type Candidate } from './candidates.ts';

/** One step of a flow whose breaths are still open. */
export interface DraftStep {
  readonly step: NewStep;
  readonly part: 'before' | 'peak' | 'after' | 'rest';
  /** Steps of one group get the same breaths, so that both sides do. */
  readonly group: string;
  readonly range: BreathRange;
}

/** What a flow toward a peak is made of. */
export interface PeakParts {
  readonly before: readonly Candidate[];
  /** How often the standing preparations are gone through. */
  readonly rounds: number;
  readonly peak: string;
  readonly peakBreaths: number;
  readonly after: readonly Candidate[];
  readonly rest: BreathRange;
  readonly findFirstSide: (poses: readonly string[]) => Side;
}

/** The peak is rehearsed so often, in and out with the breath, before it is held. */
const REHEARSALS = 3;
/** So many poses of one side follow each other: one leg carries no more in a row. */
const MOST_ON_A_SIDE = 3;
const RESTS = ['rest', 'cross-legged', 'front-of-mat'];

const stepFor = (id: string, side: Side): NewStep => {
  const step = makeStep(id, side);
  if (step === null) throw new Error(`${id} is not there`);
  return step;
};

/** Standing poses of one family that follow each other are gone through on one side, then on the other. */
function splitIntoParts(candidates: readonly Candidate[]): readonly (readonly Candidate[])[] {
  const parts: Candidate[][] = [];
  for (const each of candidates) {
    const part = parts.at(-1);
    const last = part?.at(-1);
    const goesOn =
      last?.kind === 'standing' &&
      each.kind === 'standing' &&
      last.hasSides &&
      each.hasSides &&
      last.family === each.family &&
      part!.length < MOST_ON_A_SIDE;
    if (goesOn) part!.push(each);
    else parts.push([each]);
  }
  return parts;
}

function draftCandidates(
  candidates: readonly Candidate[],
  part: DraftStep['part'],
  round: number,
  findFirstSide: PeakParts['findFirstSide'],
): readonly DraftStep[] {
  return splitIntoParts(candidates).flatMap((own) => {
    const ids = own.map(({ id }) => id);
    const steps = own.map(toLeastStep);
    const arranged = own[0]!.hasSides
      ? arrangeSides(steps, findFirstSide(ids), 'one-then-the-other')
      : steps;
    return arranged.map((step, i): DraftStep => {
      const { id, breaths } = own[i % own.length]!;
      return { step, part, group: `${part} ${id} ${String(round)}`, range: breaths };
    });
  });
}

/** Rehearsed and held on the harder side, then on the other. */
function draftPeak({ peak, peakBreaths, findFirstSide }: PeakParts): readonly DraftStep[] {
  const first = findFirstSide([peak]);
  const held = stepFor(peak, first);
  const own = [
    { ...held, manner: { kind: 'rhythm', times: REHEARSALS } as const },
    { ...held, manner: { kind: 'held', breaths: peakBreaths } as const },
  ];
  const hasSides = held.kind === 'pose' && stepHasSides(held.pose);
  const steps = hasSides ? arrangeSides(own, first, 'one-then-the-other') : own;
  return steps.map((step, i) => {
    const count = step.manner.kind === 'rhythm' ? REHEARSALS : peakBreaths;
    const range = { least: count, most: count };
    return { step, part: 'peak', group: `peak ${String(i % 2)}`, range };
  });
}

const stepHasSides = (pose: string): boolean => {
  const [left, right] = [stepFor(pose, 'left'), stepFor(pose, otherSide('left'))];
  return left.kind === 'pose' && right.kind === 'pose' && left.side !== right.side;
};

/** A pose between that closes the standing part, and one before lying down; breaths. Our choice. */
const LINKS = [
  { id: 'forward-fold', range: { least: 3, most: 8 } },
  { id: 'cross-legged', range: { least: 3, most: 12 } },
] as const;

function draftLink(
  solver: StepSolver,
  { id, range }: (typeof LINKS)[number],
): readonly DraftStep[] {
  const step = stepFor(id, 'right');
  return solver.findAskedAlone({ ...step, id }).ok
    ? [{ step: withBreaths(step, range.least), part: 'after', group: id, range }]
    : [];
}

/** Lying down where this person may, sitting otherwise. */
function draftRest(solver: StepSolver, range: BreathRange): readonly DraftStep[] {
  const id = RESTS.find(
    (each) => solver.findAskedAlone({ ...stepFor(each, 'right'), id: each }).ok,
  );
  if (id === undefined) return [];
  const step = withBreaths(stepFor(id, 'right'), range.least);
  return [{ step, part: 'rest', group: 'rest', range }];
}

/**
 * A flow toward a peak with every step at its fewest breaths.
 *
 * @param solver of the person
 * @param parts what it is made of
 * @returns the steps in order
 */
export function draftFlow(solver: StepSolver, parts: PeakParts): readonly DraftStep[] {
  const { before, rounds, after, rest, findFirstSide } = parts;
  const low = before.filter(({ kind }) => kind !== 'standing');
  const standing = before.filter(({ kind }) => kind === 'standing');
  return [
    ...draftCandidates(low, 'before', 1, findFirstSide),
    ...Array.from({ length: rounds }, (_each, round) =>
      draftCandidates(standing, 'before', round + 1, findFirstSide),
    ).flat(),
    ...draftPeak(parts),
    ...draftLink(solver, LINKS[0]),
    ...draftCandidates(
      after.filter(({ height }) => height !== 'lying'),
      'after',
      1,
      findFirstSide,
    ),
    ...draftLink(solver, LINKS[1]),
    ...draftCandidates(
      after.filter(({ height }) => height === 'lying'),
      'after',
      1,
      findFirstSide,
    ),
    ...draftRest(solver, rest),
  ];
}

/** Steps with as many breaths as they were given. */
export interface Fitted {
  readonly steps: readonly FlowStep[];
  /** Of each part. */
  readonly seconds: Readonly<Record<DraftStep['part'], number>>;
  readonly totalSeconds: number;
}

const withIds = (steps: readonly NewStep[]): readonly FlowStep[] =>
  steps.map((step, i) => ({ ...step, id: String(i + 1) }));

/**
 * Gives the steps of a draft breaths until its parts last as long as they should: always one more to
 * the group that is furthest from its most.
 *
 * @param solver of the person
 * @param draft at its fewest breaths
 * @param wanted seconds of the preparations, and of the whole
 * @returns steps, and how long each part lasts by the flow’s own sum
 */
export function fitBreaths(
  solver: StepSolver,
  draft: readonly DraftStep[],
  wanted: { readonly before: number; readonly whole: number },
): Fitted {
  const least = solver.listSeconds(withIds(draft.map(({ step }) => step)));
  const breaths = new Map(draft.map(({ group, range }) => [group, range.least]));
  const calcSum = (isCounted: (each: DraftStep) => boolean): number =>
    draft.reduce((sum, each, i) => {
      const added = breaths.get(each.group)! - each.range.least;
      return sum + (isCounted(each) ? least[i]!.total + added * EASY_BREATH_SECONDS : 0);
    }, 0);
  const fill = (part: DraftStep['part'], until: () => number): void => {
    const groups = [
      ...new Set(draft.filter((each) => each.part === part).map((each) => each.group)),
    ];
    const own = groups.map((group) => {
      const steps = draft.filter((each) => each.group === group);
      const { range } = steps[0]!;
      return { group, range, cost: steps.length * EASY_BREATH_SECONDS };
    });
    for (;;) {
      const room = until();
      const open = own
        .filter(({ group, range, cost }) => breaths.get(group)! < range.most && cost <= room)
        .map((each) => {
          const { least: from, most } = each.range;
          return { ...each, share: (breaths.get(each.group)! - from) / (most - from) };
        });
      const next = open.reduce<(typeof open)[number] | null>(
        (low, each) => (low === null || each.share < low.share ? each : low),
        null,
      );
      if (next === null) return;
      breaths.set(next.group, breaths.get(next.group)! + 1);
    }
  };
  const roomOfWhole = (): number => wanted.whole - calcSum(() => true);
  fill('before', () => wanted.before - calcSum(({ part }) => part === 'before'));
  fill('rest', roomOfWhole);
  fill('after', roomOfWhole);
  // What the end cannot fill goes to the preparations.
  fill('before', roomOfWhole);
  const steps = draft.map(({ step, group }) => withBreaths(step, breaths.get(group)!));
  const sumOf = (part: DraftStep['part']): number => calcSum((each) => each.part === part);
  return {
    steps: withIds(steps),
    seconds: {
      before: sumOf('before'),
      peak: sumOf('peak'),
      after: sumOf('after'),
      rest: sumOf('rest'),
    },
    totalSeconds: calcSum(() => true),
  };
}
