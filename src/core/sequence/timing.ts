import type { Side } from '../measures/protocol.ts';
import { EASY_BREATH_SECONDS } from '../studio/studio.ts';
import { countBreaths, type FlowStep } from './flow.ts';
import type { Taken, WholeWay } from './entries.ts';
import { sumParts, type CostPart } from './wayCosts.ts';

/** Where the time of a flow goes, seconds. */
export interface FlowSeconds {
  readonly holds: number;
  /** Coming from one pose into the next, poses passed through among them. */
  readonly moves: number;
  /** Coming to the other side. */
  readonly sides: number;
  readonly props: number;
  readonly total: number;
}

/** What is set up before a pose is held: the feet on their marks, and a prop. Our choice, seconds. */
const SETTLING_SECONDS = 4;
const PROP_SECONDS = 10;
/** The same for the other side, when the teacher has said everything once. */
const CHANGING_SIDES_SECONDS = 5;

const withTotal = (seconds: Omit<FlowSeconds, 'total'>): FlowSeconds => ({
  ...seconds,
  total: seconds.holds + seconds.moves + seconds.sides + seconds.props,
});

/**
 * Seconds of one step, with the way into it.
 *
 * @param step of a flow
 * @param passed poses that are passed through before it
 * @param parts what the way counts, see {@link CostPart}
 * @param changesSides the front leg is another one than before
 * @returns seconds of the hold and of the way
 */
function calcStepSeconds(
  step: FlowStep,
  passed: number,
  parts: readonly CostPart[],
  changesSides: boolean,
): FlowSeconds {
  const props = parts.reduce((sum, { kind, amount }) => sum + (kind === 'props' ? amount : 0), 0);
  const settles = step.kind === 'pose' && step.manner.kind !== 'passed';
  return withTotal({
    holds: countBreaths(step) * EASY_BREATH_SECONDS,
    moves: passed * EASY_BREATH_SECONDS + (settles ? SETTLING_SECONDS : 0),
    sides: changesSides ? CHANGING_SIDES_SECONDS : 0,
    props: props * PROP_SECONDS,
  });
}

/**
 * Seconds added up.
 *
 * @param seconds of every step
 * @returns each kind summed
 * @example
 * addSeconds([]).total // → 0
 */
export function addSeconds(seconds: readonly FlowSeconds[]): FlowSeconds {
  const sumOf = (kind: keyof FlowSeconds): number =>
    seconds.reduce((sum, each) => sum + each[kind], 0);
  return withTotal({
    holds: sumOf('holds'),
    moves: sumOf('moves'),
    sides: sumOf('sides'),
    props: sumOf('props'),
  });
}

/**
 * Seconds of every step, with the way into it.
 *
 * @param taken the steps that are done
 * @param way through all of them
 * @returns one for each
 */
export function listSeconds(taken: readonly Taken[], { ways }: WholeWay): readonly FlowSeconds[] {
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
