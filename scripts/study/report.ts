import { LEAST_STANCE_SHARE } from '../../src/core/planning/stance.ts';
import { POSES } from '../../src/core/poses/catalogue/index.ts';
import type { Solved } from './solveBody.ts';

const percent = (part: number, whole: number): string =>
  whole === 0 ? '–' : `${Math.round((100 * part) / whole).toString()} %`;

function quantiles(values: readonly (number | null)[]): string {
  const sorted = values.filter((each) => each !== null).sort((a, b) => a - b);
  if (sorted.length === 0) return '';
  const at = (share: number): string =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!.toFixed(0);
  return `${at(0.05)} / ${at(0.5)} / ${at(0.95)}`;
}

function mostFrequent(words: readonly string[], most = 3): string {
  const counts = new Map<string, number>();
  for (const each of words) counts.set(each, (counts.get(each) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .slice(0, most)
    .map(([word, count]) => `${word} ${percent(count, words.length)}`)
    .join(', ');
}

function groupBy<Item>(
  items: readonly Item[],
  key: (item: Item) => string,
): ReadonlyMap<string, readonly Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) groups.set(key(item), [...(groups.get(key(item)) ?? []), item]);
  return groups;
}

function printTable(solved: readonly Solved[]): void {
  console.log(
    '| pose, level | solved / degraded / failed | stance cm | depth | hand cm | short of square | what limits |',
  );
  console.log('| --- | --- | --- | --- | --- | --- | --- |');
  for (const [key, rows] of groupBy(solved, ({ pose, level }) => `${pose}, ${level}`)) {
    const held = rows.filter(({ status }) => status !== 'failed');
    const rate = (status: Solved['status']): string =>
      percent(rows.filter((each) => each.status === status).length, rows.length);
    console.log(
      `| ${[
        key,
        `${rate('solved')} / ${rate('degraded')} / ${rate('failed')}`,
        quantiles(held.map(({ stance }) => stance)),
        quantiles(held.map(({ depth }) => depth)),
        quantiles(held.map(({ hand }) => hand)),
        quantiles(held.map(({ shortOfSquare }) => shortOfSquare)),
        mostFrequent(held.map(({ limiting }) => limiting)),
      ].join(' | ')} |`,
    );
  }
}

/** Pairs of poses of which the second keeps the feet of the first. */
const LINKED = [
  ['warrior-two', 'reverse-warrior'],
  ['warrior-two', 'side-angle'],
  ['triangle', 'reverse-triangle'],
] as const;
/** Feet that differ by less than this stand where they stood, cm and degrees. */
const SAME_FEET = 0.15;
const OPENED = 'auto';
const LONGER_CM = 2;

const isHeld = ({ status }: Solved): boolean => status !== 'failed';

/** Each body's row of one pose as it opens. */
const openedBy = (solved: readonly Solved[], pose: string): ReadonlyMap<number, Solved> =>
  new Map(
    solved
      .filter((each) => each.pose === pose && each.level === OPENED && isHeld(each))
      .map((each) => [each.body, each]),
  );

const distance = (a: number | null, b: number | null): number => Math.abs((a ?? 0) - (b ?? 0));

/** Usual ranges and a stature for which practice states its numbers. */
const isOrdinary = ({ group, statureCm }: Solved): boolean =>
  group === 'usual' && statureCm >= 160 && statureCm <= 180;

function printStances(solved: readonly Solved[]): void {
  const two = [...openedBy(solved, 'warrior-two').values()].filter(isOrdinary);
  const shares = two.map(({ stance, legLengthCm }) => (stance ?? 0) / legLengthCm);
  const long = shares.filter((each) => each >= 0.85).length;
  console.log(
    `\nUsual ranges, 160–180 cm (${String(two.length)}): warrior II stands at ${quantiles(two.map(({ stance }) => stance))} cm; ${percent(long, two.length)} at 0.85 leg lengths or more.`,
  );
  const one = openedBy(solved.filter(isOrdinary), 'warrior-one');
  const pairs = two.flatMap((each) => {
    const other = one.get(each.body);
    return other === undefined ? [] : [{ two: each, one: other }];
  });
  const longer = pairs.filter((each) => each.one.stance! > each.two.stance! + LONGER_CM);
  console.log(
    `Warrior I is at most ${String(LONGER_CM)} cm longer than warrior II for ${percent(pairs.length - longer.length, pairs.length)}, longer at all for ${percent(pairs.filter((each) => each.one.stance! > each.two.stance!).length, pairs.length)}. Where it is: warrior II is limited by ${mostFrequent(
      longer.map((each) => each.two.limiting),
      5,
    )}.`,
  );
}

function printLinks(solved: readonly Solved[]): void {
  for (const [first, second] of LINKED) {
    const from = openedBy(solved, first);
    const both = [...openedBy(solved, second).values()].filter(({ body }) => from.has(body));
    const moved = both.filter((each) => {
      const other = from.get(each.body)!;
      return (
        distance(each.stance, other.stance) > SAME_FEET ||
        distance(each.backFoot, other.backFoot) > SAME_FEET
      );
    });
    console.log(
      `Feet move from ${first} to ${second}: ${String(moved.length)} of ${String(both.length)}.`,
    );
  }
}

/** Poses that stand on a straight back leg. */
const STRAIGHT_BACK_LEG: ReadonlySet<string> = new Set(
  POSES.filter(
    ({ backContact, straightLegs, stance }) =>
      (backContact === 'flat' || backContact === 'ball') &&
      straightLegs.includes('back') &&
      !('kind' in stance && stance.kind === 'none'),
  ).map(({ id }) => id),
);

/** A set-up gives a stance to 0.1 cm, so that one at the limit can print this much below it. */
const HALF_A_PRINTED_DIGIT_CM = 0.05;

function printShortest(solved: readonly Solved[]): void {
  const straight = solved.filter(
    (each) => each.level === OPENED && isHeld(each) && STRAIGHT_BACK_LEG.has(each.pose),
  );
  const share = ({ stance, legLengthCm }: Solved): number => stance! / legLengthCm;
  const short = straight.filter(
    ({ stance, legLengthCm }) =>
      stance! + HALF_A_PRINTED_DIGIT_CM < LEAST_STANCE_SHARE * legLengthCm,
  );
  console.log(`Straight back leg under 0.75 leg lengths: ${String(short.length)}.`);
  console.log('Shortest:');
  for (const each of [...straight].sort((a, b) => share(a) - share(b)).slice(0, 8)) {
    console.log(
      `- ${each.pose} (${each.opened}), body ${String(each.body)} (${each.group}): ${each.stance!.toFixed(1)} cm, ${share(each).toFixed(2)} leg lengths; ${each.limiting} runs out first`,
    );
  }
}

/** A pose wants a level that this share of usual bodies holds, a level this share of supple ones. */
const FOR_USUAL = 0.98;
const FOR_SUPPLE = 0.6;

function printLevels(solved: readonly Solved[]): void {
  const share = (rows: readonly Solved[]): number => rows.filter(isHeld).length / rows.length;
  for (const [pose, rows] of groupBy(solved, ({ pose }) => pose)) {
    const opened = rows.filter(({ level, group }) => level === OPENED && group === 'usual');
    if (share(opened) < FOR_USUAL) {
      console.log(`${pose}: ${percent(share(opened), 1)} of usual bodies hold some level.`);
    }
    const supple = rows.filter(({ group, level }) => group === 'supple' && level !== OPENED);
    for (const [level, own] of groupBy(supple, (each) => each.level)) {
      if (share(own) < FOR_SUPPLE) {
        console.log(`${pose}, ${level}: ${percent(share(own), 1)} of supple bodies hold it.`);
      }
    }
  }
}

export function printStudy(solved: readonly Solved[]): void {
  printTable(solved);
  printStances(solved);
  printLinks(solved);
  printShortest(solved);
  printLevels(solved);
}
