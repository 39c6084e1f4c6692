import type { PropItem } from '../../props/propList.ts';
import type { ProgramSolution } from '../../props/shareProps.ts';
import { countPieces, type Choice, type ClassNeed } from './needs.ts';

/**
 * Solves a mixed-integer program given as CPLEX LP text within some seconds; injected, because the
 * solver is a library that loads its own way in a worker and on a server.
 *
 * @returns null when there is no solution, or none was found in time
 */
export type SolveWithin = (program: string, seconds: number) => Promise<ProgramSolution | null>;

/** What somebody is given for one need. */
export interface ClassShare {
  readonly need: ClassNeed;
  readonly choice: Choice;
}

/** One cupboard as a class shares it. */
export interface SharedCupboard {
  /** In the order of the needs. */
  readonly shares: readonly ClassShare[];
  /** What everybody together loses, degrees of recommended depth. */
  readonly shortfallDeg: number;
  /** The best way is at most this much better, degrees; 0 = it is proven that nothing is better. */
  readonly gapDeg: number;
  /** Whether it is proven that nobody has to change props less often, or carry fewer. */
  readonly isFewest: boolean;
}

const HUNDREDTHS = 100;

/** One variable of the program: a need and one of its choices. */
const nameChoice = (need: number, choice: number): string => `x${String(need)}_${String(choice)}`;

const sumUp = (terms: readonly string[]): string =>
  terms.length === 0 ? '0 zero' : terms.join(' + ');

/** Needs of a class, with the constraints that every way of sharing keeps. */
class Program {
  readonly rules: string[] = [];
  readonly binaries: string[] = [];

  constructor(
    private readonly needs: readonly ClassNeed[],
    props: readonly PropItem[],
    /** Of which needs; the others are not part of it. */
    private readonly indexes: readonly number[],
  ) {
    for (const i of indexes) {
      const names = needs[i]!.choices.map((_each, c) => nameChoice(i, c));
      this.binaries.push(...names);
      this.rules.push(` one${String(i)}: ${names.join(' + ')} = 1`);
    }
    const poses = [...new Set(indexes.map((i) => needs[i]!.pose))];
    for (const [s, pose] of poses.entries()) {
      const inPose = indexes.filter((i) => needs[i]!.pose === pose);
      for (const [p, { id, count }] of props.entries()) {
        const terms = inPose.flatMap((i) => this.listTerms(i, ({ takes }) => takes.get(id) ?? 0));
        if (terms.length === 0) continue;
        this.rules.push(` has${String(s)}_${String(p)}: ${terms.join(' + ')} <= ${String(count)}`);
      }
    }
  }

  /** The terms of one need, by what each of its choices counts. */
  listTerms(i: number, count: (choice: Choice, index: number) => number): readonly string[] {
    return this.needs[i]!.choices.flatMap((each, c) => {
      const factor = count(each, c);
      return factor === 0 ? [] : [`${String(factor)} ${nameChoice(i, c)}`];
    });
  }

  /** The program as LP text. */
  write(
    cost: readonly string[],
    more: readonly string[] = [],
    whole: readonly string[] = [],
  ): string {
    return [
      'Minimize',
      ` cost: ${sumUp(cost)}`,
      'Subject To',
      ...this.rules,
      ...more,
      ...(cost.length === 0 ? [' none: zero = 0'] : []),
      ...(whole.length === 0 ? [] : ['General', ` ${whole.join(' ')}`]),
      'Binary',
      ` ${this.binaries.join(' ')}`,
      'End',
      '',
    ].join('\n');
  }

  /** Which choice of each need a solution takes. */
  read({ values }: ProgramSolution): ReadonlyMap<number, number> {
    return new Map(
      this.indexes.map((i) => {
        const { choices } = this.needs[i]!;
        const found = choices.findIndex((_each, c) => (values.get(nameChoice(i, c)) ?? 0) > 0.5);
        return [i, Math.max(0, found)];
      }),
    );
  }
}

/** Time that is left of a limit. */
export class Deadline {
  private readonly end: number;

  constructor(
    seconds: number,
    private readonly clock: () => number,
  ) {
    this.end = clock() + seconds * 1000;
  }

  get seconds(): number {
    return Math.max(0, (this.end - this.clock()) / 1000);
  }
}

/** Each pose of a class shared by itself. */
export interface SharedPoses {
  /** The choice of each need, by their places in the lists. */
  readonly chosen: ReadonlyMap<number, number>;
  /** Shortfall of each pose, hundredths of a degree. */
  readonly leasts: ReadonlyMap<string, number>;
  /** The best way is at most this much better, hundredths of a degree. */
  readonly gap: number;
}

/**
 * Least shortfall, pose by pose: nobody’s shortfall in one pose depends on another pose.
 *
 * @param needs see needs.ts
 * @param props what the class has
 * @param solve solves a mixed-integer program
 * @param deadline after it everyone goes without
 * @returns choices, without regard to what has to be fetched
 */
export async function sharePoses(
  needs: readonly ClassNeed[],
  props: readonly PropItem[],
  solve: SolveWithin,
  deadline: Deadline,
): Promise<SharedPoses> {
  const chosen = new Map<number, number>();
  const leasts = new Map<string, number>();
  let gap = 0;
  for (const pose of new Set(needs.map(({ pose }) => pose))) {
    const indexes = needs.flatMap((need, i) => (need.pose === pose ? [i] : []));
    const program = new Program(needs, props, indexes);
    const cost = indexes.flatMap((i) => program.listTerms(i, ({ shortfall }) => shortfall));
    const solved = await solve(program.write(cost), deadline.seconds);
    // Whatever happens, nobody is given more than there is: the last choice takes nothing.
    const own =
      solved === null
        ? new Map(indexes.map((i) => [i, needs[i]!.choices.length - 1]))
        : program.read(solved);
    const of = (i: number, c: number): number => needs[i]!.choices[c]!.shortfall;
    const total = [...own].reduce((sum, [i, c]) => sum + of(i, c), 0);
    const best = indexes.reduce((sum, i) => sum + of(i, 0), 0);
    if (solved?.isBest !== true) gap += total - best;
    leasts.set(pose, total);
    for (const [i, c] of own) chosen.set(i, c);
  }
  return { chosen, leasts, gap };
}

/** What keeps each pose’s shortfall as it was found. */
const keepShortfalls = (
  program: Program,
  needs: readonly ClassNeed[],
  leasts: ReadonlyMap<string, number>,
): readonly string[] =>
  [...leasts].flatMap(([pose, least], s) => {
    const terms = needs.flatMap((need, i) =>
      need.pose === pose ? program.listTerms(i, ({ shortfall }) => shortfall) : [],
    );
    return terms.length === 0
      ? []
      : [` short${String(s)}: ${terms.join(' + ')} <= ${String(least)}`];
  });

/** How many pieces each member has to fetch for each pose: those that they did not have in the one before. */
function writeFetches(
  program: Program,
  needs: readonly ClassNeed[],
): { readonly rules: readonly string[]; readonly names: readonly string[] } {
  const poses = [...new Set(needs.map(({ pose }) => pose))];
  const rules: string[] = [];
  const names: string[] = [];
  const members = [...new Set(needs.map(({ member }) => member))];
  for (const [m, member] of members.entries()) {
    const inPose = poses.map((pose) =>
      needs.flatMap((need, i) => (need.member === member && need.pose === pose ? [i] : [])),
    );
    const ids = new Set(
      needs.flatMap((need) =>
        need.member === member ? need.choices.flatMap(({ takes }) => [...takes.keys()]) : [],
      ),
    );
    for (const [p, id] of [...ids].entries()) {
      const terms = (s: number): readonly string[] =>
        (inPose[s] ?? []).flatMap((i) => program.listTerms(i, ({ takes }) => takes.get(id) ?? 0));
      for (const s of poses.keys()) {
        const [now, before] = [terms(s), terms(s - 1)];
        if (now.length === 0) continue;
        const name = `f${String(m)}_${String(p)}_${String(s)}`;
        names.push(name);
        const less = before.map((each) => ` - ${each}`).join('');
        rules.push(` ${name}r: ${now.join(' + ')}${less} - ${name} <= 0`);
      }
    }
  }
  return { rules, names };
}

/**
 * Shares one cupboard over all poses of a class: least shortfall first, then the fewest pieces to
 * fetch from one pose to the next, then the fewest pieces; of equals always the same one. The same
 * class is shared the same way in whatever order its people stand.
 *
 * @param needs see needs.ts
 * @param props what the class has
 * @param solve solves a mixed-integer program
 * @param deadline when the best that was found so far is taken
 * @returns everybody’s share, with its proven gap
 */
export async function shareCupboard(
  needs: readonly ClassNeed[],
  props: readonly PropItem[],
  solve: SolveWithin,
  deadline: Deadline,
): Promise<SharedCupboard> {
  const poses = await sharePoses(needs, props, solve, deadline);
  let { chosen } = poses;
  let isFewest = needs.length === 0;
  const all = needs.map((_each, i) => i);
  const program = new Program(needs, props, all);
  const kept = keepShortfalls(program, needs, poses.leasts);
  const { rules, names } = writeFetches(program, needs);
  if (names.length > 0 && deadline.seconds > 0) {
    const fewest = await solve(program.write(names, [...kept, ...rules], names), deadline.seconds);
    if (fewest !== null) {
      chosen = program.read(fewest);
      const fetched = names.reduce(
        (sum, each) => sum + Math.round(fewest.values.get(each) ?? 0),
        0,
      );
      const most = all.reduce((sum, i) => sum + needs[i]!.choices.length, 1);
      // Fewest pieces; of equals what stands first in everybody’s list.
      const cost = all.flatMap((i) =>
        program.listTerms(i, (each, c) => most * countPieces(each) + c),
      );
      const limit = ` fetched: ${names.join(' + ')} <= ${String(fetched)}`;
      const lightest =
        deadline.seconds > 0
          ? await solve(program.write(cost, [...kept, ...rules, limit], names), deadline.seconds)
          : null;
      if (lightest !== null) chosen = program.read(lightest);
      isFewest = fewest.isBest && lightest?.isBest === true;
    }
  }
  const shares = needs.map((need, i): ClassShare => ({
    need,
    choice: need.choices[chosen.get(i) ?? need.choices.length - 1]!,
  }));
  const shortfall = shares.reduce((sum, { choice }) => sum + choice.shortfall, 0);
  return {
    shares,
    shortfallDeg: shortfall / HUNDREDTHS,
    gapDeg: poses.gap / HUNDREDTHS,
    isFewest: isFewest || names.length === 0,
  };
}
