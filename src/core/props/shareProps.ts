import { toHundredths } from '../units/rounding.ts';
import type { PropItem } from './propList.ts';
import { findStacks, type Stack } from './stacks.ts';

/** What one person needs in one slot of a class. */
export interface PropNeed {
  readonly person: string;
  /** Height of the hand, cm. */
  readonly heightCm: number;
  /** Hands that rest at that height: each needs a stack of its own. */
  readonly hands: 1 | 2;
}

interface PropShare {
  readonly person: string;
  readonly stack: Stack;
  /** How far the stack is off the height wanted, cm; + too high. */
  readonly offCm: number;
}

/** What a program solver found. */
export interface ProgramSolution {
  readonly values: ReadonlyMap<string, number>;
  /** Nothing is better; otherwise it is the best that was found in time. */
  readonly isBest: boolean;
}

/** One cupboard as it was shared. */
export interface SharedProps {
  /** In the order of the needs. */
  readonly shares: readonly PropShare[];
  /** The best way is at most this much better in all, cm; 0 = nothing is better. */
  readonly gapCm: number;
}

/**
 * Solves a mixed-integer program given as CPLEX LP text; injected, because the solver is a
 * library that loads its own way in a worker and on a server.
 *
 * @returns null when there is no solution, or none was found in time
 */
export type SolveProgram = (program: string) => Promise<ProgramSolution | null>;

/** A hand too low asks the back to give, so it costs this many times a hand too high. Our choice. */
const TOO_LOW_COST = 3;
/** Stacks of the same pieces and height are one choice; of the rest, this many nearest are offered. */
const MOST_CHOICES = 12;

interface StackChoice {
  readonly variable: string;
  readonly person: string;
  readonly stack: Stack;
  readonly offCm: number;
  readonly cost: number;
  /** Pieces taken of each prop. */
  readonly takes: ReadonlyMap<string, number>;
}

const costOf = (offCm: number): number => (offCm < 0 ? -offCm * TOO_LOW_COST : offCm);

/**
 * Breaks ties the same way every time: a share of a thousandth of a centimetre that grows
 * with the order of people and choices, too small to outweigh a millimetre.
 */
const tieBreak = (person: number, choice: number): number =>
  1e-4 * (choice + 1) + 1e-6 * ((person * 7 + choice * 13) % 101);

/**
 * Every person's choices of stack, nearest first.
 *
 * @param needs of everyone in the class
 * @param props what the studio has
 * @returns one list a person
 */
export function listChoices(
  needs: readonly PropNeed[],
  props: readonly PropItem[],
): StackChoice[][] {
  const stacks = findStacks(props);
  return needs.map((need, p) => {
    const ranked = stacks
      .map((stack) => {
        const offCm = stack.heightCm - need.heightCm;
        return { stack, offCm, cost: costOf(offCm) * need.hands };
      })
      .sort((a, b) => a.cost - b.cost || a.stack.props.length - b.stack.props.length);
    const floor = ranked.find((each) => each.stack.props.length === 0)!;
    const offered = ranked.slice(0, MOST_CHOICES);
    if (!offered.includes(floor)) offered.push(floor);
    return offered.map(({ stack, offCm, cost }, c) => {
      const takes = new Map<string, number>();
      for (const { id } of stack.props) takes.set(id, (takes.get(id) ?? 0) + need.hands);
      return {
        variable: `x${String(p)}_${String(c)}`,
        person: need.person,
        stack,
        offCm,
        cost: cost + tieBreak(p, c),
        takes,
      };
    });
  });
}

/** The program as LP text: one choice a person, no more of a prop than there is, least total cost. */
function writeProgram(
  choices: readonly (readonly StackChoice[])[],
  props: readonly PropItem[],
): string {
  const all = choices.flat();
  const sum = (terms: readonly string[]): string => terms.join(' + ');
  const lines = ['Minimize', ` cost: ${sum(all.map((c) => `${c.cost.toFixed(8)} ${c.variable}`))}`];
  lines.push('Subject To');
  choices.forEach((own, p) => {
    lines.push(` one${String(p)}: ${sum(own.map((c) => c.variable))} = 1`);
  });
  props.forEach(({ id, count }, i) => {
    const terms = all.flatMap((c) => {
      const taken = c.takes.get(id);
      return taken === undefined ? [] : [`${String(taken)} ${c.variable}`];
    });
    if (terms.length > 0) lines.push(` has${String(i)}: ${sum(terms)} <= ${String(count)}`);
  });
  lines.push('Binary', ` ${all.map((c) => c.variable).join(' ')}`, 'End');
  return `${lines.join('\n')}\n`;
}

/**
 * Shares one cupboard among a class in one slot: least total shortfall, ties broken the
 * same way every time.
 *
 * @param needs of everyone in the class
 * @param props what the studio has
 * @param solve solves a mixed integer program
 * @returns null when the solver found no answer
 */
export async function shareProps(
  needs: readonly PropNeed[],
  props: readonly PropItem[],
  solve: SolveProgram,
): Promise<SharedProps | null> {
  if (needs.length === 0) return { shares: [], gapCm: 0 };
  const choices = listChoices(needs, props);
  const solved = await solve(writeProgram(choices, props));
  if (solved === null) return null;
  const { values, isBest } = solved;
  const chosen = choices.map((own) =>
    own.find((choice) => (values.get(choice.variable) ?? 0) > 0.5)!,
  );
  // No way is better than everybody’s nearest stack, whether the cupboard has it twice or not.
  const above = chosen.map(({ cost }, p) => cost - Math.min(...choices[p]!.map((c) => c.cost)));
  return {
    shares: chosen.map(({ person, stack, offCm }) => ({
      person,
      stack,
      offCm: toHundredths(offCm),
    })),
    gapCm: isBest ? 0 : toHundredths(above.reduce((sum, each) => sum + each, 0)),
  };
}
