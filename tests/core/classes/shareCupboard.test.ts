import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  countPieces,
  listNeeds,
  listNeedsOf,
  toNeedy,
  type Choice,
  type ClassNeed,
} from '../../../src/core/classes/cupboard/needs.ts';
import {
  Deadline,
  shareCupboard,
  type SharedCupboard,
} from '../../../src/core/classes/cupboard/shareCupboard.ts';
import { findShopping } from '../../../src/core/classes/cupboard/shopping.ts';
import { planMember, type MemberPose } from '../../../src/core/classes/planMember.ts';
import { USUAL_PROPS, type PropItem } from '../../../src/core/props/propList.ts';
import { recordOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';
import { solveWithin } from '../../support/highs.ts';
import { makeRandom } from '../../support/random.ts';

const NOW = '2026-12-01T10:00:00Z';
const noHurry = (): Deadline => new Deadline(60, () => 0);
const share = (needs: readonly ClassNeed[], props: readonly PropItem[]): Promise<SharedCupboard> =>
  shareCupboard(needs, props, solveWithin, noHurry());

const blocks = (count: number): PropItem => ({ ...USUAL_PROPS[0]!, count });
const chairs = (count: number): PropItem => ({ ...USUAL_PROPS[1]!, count });

/** What is fetched from one slot to the next, over a whole way of sharing. */
function countFetched(needs: readonly ClassNeed[], chosen: readonly Choice[]): number {
  const slots = [...new Set(needs.map(({ pose }) => pose))];
  const takes = (member: string, slot: string): Map<string, number> => {
    const all = new Map<string, number>();
    needs.forEach((need, i) => {
      if (need.member !== member || need.pose !== slot) return;
      for (const [id, count] of chosen[i]!.takes) all.set(id, (all.get(id) ?? 0) + count);
    });
    return all;
  };
  let total = 0;
  for (const member of new Set(needs.map((each) => each.member))) {
    slots.forEach((slot, s) => {
      const before = s === 0 ? new Map<string, number>() : takes(member, slots[s - 1]!);
      for (const [id, count] of takes(member, slot)) {
        total += Math.max(0, count - (before.get(id) ?? 0));
      }
    });
  }
  return total;
}

/** Every way of sharing, tried: least shortfall, then fewest fetched, then fewest pieces. */
function tryAll(needs: readonly ClassNeed[], props: readonly PropItem[]): readonly number[] {
  let best: readonly number[] = [Infinity, 0, 0];
  const isLess = (a: readonly number[], b: readonly number[]): boolean => {
    const i = a.findIndex((each, k) => each !== b[k]);
    return i >= 0 && a[i]! < b[i]!;
  };
  const used = new Map<string, number>();
  const go = (chosen: readonly Choice[]): void => {
    const need = needs[chosen.length];
    if (need === undefined) {
      const total = [
        chosen.reduce((sum, each) => sum + each.shortfall, 0),
        countFetched(needs, chosen),
        chosen.reduce((sum, each) => sum + countPieces(each), 0),
      ];
      if (isLess(total, best)) best = total;
      return;
    }
    for (const choice of need.choices) {
      const keys = [...choice.takes].map(
        ([id, count]) => [`${need.pose} ${id}`, id, count] as const,
      );
      const fits = keys.every(
        ([key, id, count]) =>
          (used.get(key) ?? 0) + count <= (props.find((each) => each.id === id)?.count ?? 0),
      );
      if (!fits) continue;
      for (const [key, , count] of keys) used.set(key, (used.get(key) ?? 0) + count);
      go([...chosen, choice]);
      for (const [key, , count] of keys) used.set(key, (used.get(key) ?? 0) - count);
    }
  };
  go([]);
  return best;
}

const valueOf = (needs: readonly ClassNeed[], { shares }: SharedCupboard): readonly number[] => {
  const chosen = shares.map(({ choice }) => choice);
  return [
    chosen.reduce((sum, each) => sum + each.shortfall, 0),
    countFetched(needs, chosen),
    chosen.reduce((sum, each) => sum + countPieces(each), 0),
  ];
};

/** A need of made-up choices. */
function makeNeed(random: () => number, member: string, pose: string): ClassNeed {
  const ids = ['block', 'chair', 'blanket'];
  const some = Array.from({ length: 1 + Math.floor(random() * 3) }, (): Choice => {
    const takes = new Map<string, number>();
    for (const id of ids) if (random() < 0.4) takes.set(id, 1 + Math.floor(random() * 2));
    const shortfall = Math.floor(random() * 5) * 100;
    return { piles: [], takes, isServing: true, shortfall };
  });
  const nothing: Choice = { piles: [], takes: new Map(), isServing: false, shortfall: 600 };
  const choices = [...some.toSorted((a, b) => a.shortfall - b.shortfall), nothing];
  return { member, pose, setting: 'hand-height', sides: [], choices };
}

describe('one cupboard shared by a class', () => {
  it('is shared as by trying every way, 200 small classes', async () => {
    const random = makeRandom(27);
    for (let i = 0; i < 200; i += 1) {
      const members = Array.from(
        { length: 1 + Math.floor(random() * 3) },
        (_, k) => `p${String(k)}`,
      );
      const poses = ['a', 'b'].slice(0, 1 + Math.floor(random() * 2));
      const needs = poses.flatMap((pose) => members.map((each) => makeNeed(random, each, pose)));
      const props = [
        blocks(Math.floor(random() * 4)),
        chairs(Math.floor(random() * 3)),
        { ...USUAL_PROPS[2]!, count: Math.floor(random() * 3) },
      ];
      const shared = await share(needs, props);
      expect(valueOf(needs, shared), `class ${String(i)}`).toEqual(tryAll(needs, props));
      expect(shared.gapDeg).toBe(0);
      expect(shared.isFewest).toBe(true);
    }
  });

  const people = [REFERENCE, STIFF, SUPPLE].map((measures, i) =>
    recordOf(measures, { id: `p${String(i)}` }),
  );
  const poses = ['triangle', 'pyramid'];
  const memberPoses: readonly MemberPose[] = people.flatMap((record) =>
    poses.map((pose) => planMember({ record, sessions: [] }, pose, null, NOW)),
  );
  const planned = memberPoses.map(toNeedy);

  it('gives a class of one what their own page gives, where the class is one pose', async () => {
    for (const each of memberPoses) {
      const { shares } = await share(listNeedsOf(toNeedy(each), USUAL_PROPS), USUAL_PROPS);
      expect(shares.length).toBeGreaterThan(0);
      for (const { need, choice } of shares) {
        const own = each.pairs.map(({ setUp }) =>
          need.setting === 'hand-height'
            ? (setUp.handProp!.stack?.heightCm ?? null)
            : (setUp.supportProps.find(({ setting }) => setting === need.setting)?.name ?? null),
        );
        expect(choice.isServing).toBe(!own.includes(null));
        if (!choice.isServing) continue;
        const given = choice.piles.map(({ name, heightCm }) =>
          need.setting === 'hand-height' ? heightCm : name,
        );
        expect(given).toEqual(own);
      }
    }
  });

  it('never loses more with more props, and nothing by the order of its people', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: 5 }),
        fc.integer({ min: 0, max: 2 }),
        fc.constantFrom('block', 'chair'),
        fc.shuffledSubarray([...planned], { minLength: planned.length }),
        async (blockCount, chairCount, kind, shuffled) => {
          const props = [blocks(blockCount), chairs(chairCount)];
          const more = props.map((each) =>
            each.kind === kind ? { ...each, count: each.count + 1 } : each,
          );
          const before = await share(listNeeds(planned, poses, props), props);
          const after = await share(listNeeds(planned, poses, more), more);
          expect(after.shortfallDeg).toBeLessThanOrEqual(before.shortfallDeg);
          expect(await share(listNeeds(shuffled, poses, props), props)).toEqual(before);
        },
      ),
      { numRuns: 12, seed: 4 },
    );
  });

  it('leaves everyone without from an empty cupboard, and says what would serve them', async () => {
    const none = await share(listNeeds(planned, poses, []), []);
    expect(none.shares.length).toBeGreaterThan(0);
    for (const { choice } of none.shares)
      expect([choice.takes.size, choice.isServing]).toEqual([0, false]);
    const list = await findShopping(planned, poses, [], solveWithin, noHurry());
    expect(list.items.length).toBeGreaterThan(0);
    const bought = list.items.map(({ name, count }): PropItem => ({
      ...USUAL_PROPS.find((each) => each.name === name)!,
      count,
    }));
    const then = await share(listNeeds(planned, poses, bought), bought);
    expect(then.shares.filter(({ choice }) => !choice.isServing)).toHaveLength(list.stillWithout);
    // One piece less leaves somebody without.
    const last = bought.map((each, i) => (i === 0 ? { ...each, count: each.count - 1 } : each));
    const less = await share(listNeeds(planned, poses, last), last);
    expect(less.shares.filter(({ choice }) => !choice.isServing).length).toBeGreaterThan(
      list.stillWithout,
    );
  });

  it('gives nobody what does not stand firm under a hand', async () => {
    const soft = [{ ...blocks(20), isFirm: false }];
    const needs = listNeeds(planned, poses, soft).filter(
      ({ setting }) => setting === 'hand-height',
    );
    const { shares } = await share(needs, soft);
    expect(shares.every(({ choice }) => !choice.isServing)).toBe(true);
  });

  it('takes nothing where the time is up before it began, and says how far off that may be', async () => {
    const late = new Deadline(0, () => 0);
    const needs = listNeeds(planned, poses, USUAL_PROPS);
    const cut = await shareCupboard(needs, USUAL_PROPS, () => Promise.resolve(null), late);
    expect(cut.isFewest).toBe(false);
    expect(cut.gapDeg).toBeGreaterThan(0);
    const best = await share(needs, USUAL_PROPS);
    expect(best.shortfallDeg).toBeGreaterThanOrEqual(cut.shortfallDeg - cut.gapDeg);
  });
});
