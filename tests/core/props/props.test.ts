import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { USUAL_PROPS, type PropItem } from '../../../src/core/props/propList.ts';
import { readSolution } from '../../../src/core/props/readSolution.ts';
import {
  listChoices,
  shareProps,
  type PropNeed,
  type SolveProgram,
} from '../../../src/core/props/shareProps.ts';
import { findNearestAbove, findStacks, findStrap } from '../../../src/core/props/stacks.ts';
import { findHandProp } from '../../../src/core/setup/handProp.ts';
import { REFERENCE } from '../../support/people.ts';
import { planPlain, settingOf } from '../../support/plan.ts';
import { makeRandom } from '../../support/random.ts';

const BLOCK: PropItem = {
  id: 'block',
  kind: 'block',
  name: 'Block',
  heightsCm: [7.5, 15, 23],
  lengthCm: null,
  count: 3,
};
const CHAIR: PropItem = {
  ...BLOCK,
  id: 'chair',
  kind: 'chair',
  name: 'Chair',
  heightsCm: [45],
  count: 1,
};
const BOOK: PropItem = {
  ...BLOCK,
  id: 'book',
  kind: 'book',
  name: 'Book',
  heightsCm: [3],
  count: 9,
};

describe('stacks under a loaded hand', () => {
  it('lie on broad faces, never tall on top, never three blocks', () => {
    const heights = findStacks([BLOCK]).map((each) => each.heightCm);
    // Alone 7.5, 15, 23; on one broad face 15, 22.5. Worked by hand.
    expect(heights).toEqual([0, 7.5, 15, 15, 22.5, 23]);
    const blanket = { ...BLOCK, id: 'blanket', kind: 'blanket', heightsCm: [4], count: 2 } as const;
    for (const { props } of findStacks([BLOCK, blanket, CHAIR])) {
      expect(props.filter(({ id }) => id === 'block').length).toBeLessThanOrEqual(2);
    }
  });

  it('take one block rather than two where it is hardly higher than needed', () => {
    const stacks = findStacks([BLOCK]);
    expect(findNearestAbove(stacks, 22)).toMatchObject({ heightCm: 23, props: [{ id: 'block' }] });
    // A lower one serves, and the other is more than 2 cm too high.
    expect(findNearestAbove(stacks, 20)?.heightCm).toBe(22.5);
  });

  it('use no more pieces than there are, and no books', () => {
    expect(findStacks([{ ...BLOCK, count: 1 }, BOOK]).map((each) => each.heightCm)).toEqual([
      0, 7.5, 15, 23,
    ]);
  });

  it('give the nearest at or above a height, and nothing when it is too high', () => {
    const stacks = findStacks([BLOCK, CHAIR]);
    expect(findNearestAbove(stacks, 16)?.heightCm).toBe(22.5);
    expect(findNearestAbove(stacks, 15.2)?.heightCm).toBe(15);
    expect(findNearestAbove(stacks, 0)?.props).toEqual([]);
    expect(findNearestAbove(stacks, 31)?.props.map((each) => each.id)).toEqual(['chair']);
    expect(findNearestAbove(stacks, 46)).toBeNull();
  });

  it('choose the shortest strap that is long enough', () => {
    const strap = (lengthCm: number): PropItem => ({
      ...BLOCK,
      kind: 'strap',
      id: String(lengthCm),
      lengthCm,
    });
    const straps = [strap(300), strap(180), strap(240)];
    expect(findStrap(straps, 200)?.lengthCm).toBe(240);
    // The shortest two that are long enough joined: 180 + 240 less the join of 15; each is there twice.
    expect(findStrap(straps, 346)?.lengthCm).toBe(405);
    expect(findStrap(straps, 1146)).toBeNull();
  });
});

describe('the prop under a hand', () => {
  const setUp = planPlain({ ...REFERENCE, 'straight-leg-raise': 95 }, 'triangle');

  it('is at or above the solved height; what it is too high bends the elbow', () => {
    const found = findHandProp(setUp, [BLOCK])!;
    const needed = settingOf(setUp, 'hand-height');
    expect(found.neededCm).toBe(needed);
    expect(found.stack!.heightCm).toBeGreaterThanOrEqual(needed - 0.25);
    expect(found.aboveCm).toBeCloseTo(found.stack!.heightCm - needed, 1);
    // Law of cosines on an arm of 62 cm, upper arm 0.482 of it (published proportions).
    const [upper, lower] = [0.4819 * 62, 0.5181 * 62];
    const span = 62 - found.aboveCm;
    const inner = Math.acos((upper ** 2 + lower ** 2 - span ** 2) / (2 * upper * lower));
    expect(found.elbowBendDeg).toBeCloseTo(180 - (inner * 180) / Math.PI, 0);
    expect(found.trunkLiftDeg).toBe(0);
  });

  it('lifts the trunk when it is far too high, and says what is missing when nothing is high enough', () => {
    const chair = findHandProp(setUp, [CHAIR])!;
    expect(chair.stack!.heightCm).toBe(45);
    expect(chair.trunkLiftDeg).toBeGreaterThan(5);
    const low = findHandProp(planPlain(REFERENCE, 'pyramid'), [{ ...BLOCK, count: 1 }])!;
    expect(low.stack).toBeNull();
    expect(low.shortCm).toBeCloseTo(low.neededCm - 23, 1);
  });

  it('is no question in a pose without a hand down', () => {
    expect(findHandProp(planPlain(REFERENCE, 'warrior-two'), USUAL_PROPS)).toBeNull();
  });
});

/** The least cost over every combination, tried one by one. */
function findByBruteForce(needs: readonly PropNeed[], props: readonly PropItem[]): number {
  const choices = listChoices(needs, props);
  const left = new Map(props.map((each) => [each.id, each.count]));
  const search = (person: number): number => {
    if (person === choices.length) return 0;
    let best = Infinity;
    for (const { takes, cost } of choices[person]!) {
      if ([...takes].some(([id, count]) => (left.get(id) ?? 0) < count)) continue;
      for (const [id, count] of takes) left.set(id, left.get(id)! - count);
      best = Math.min(best, cost + search(person + 1));
      for (const [id, count] of takes) left.set(id, left.get(id)! + count);
    }
    return best;
  };
  return search(0);
}

describe('one cupboard for a class', () => {
  const solve: SolveProgram = async (program) => readSolution((await loadHighs()).solve(program));

  it('is shared as well as trying every combination does, 25 small classes', async () => {
    const random = makeRandom(71);
    for (let round = 0; round < 25; round += 1) {
      const props = [
        { ...BLOCK, count: 1 + Math.floor(random() * 3) },
        { ...CHAIR, count: Math.floor(random() * 2) },
      ];
      const needs = Array.from({ length: 2 + Math.floor(random() * 2) }, (_, i): PropNeed => ({
        person: `P${String(i)}`,
        heightCm: Math.round(random() * 500) / 10,
        hands: random() < 0.3 ? 2 : 1,
      }));
      const { shares, gapCm } = (await shareProps(needs, props, solve))!;
      expect(gapCm).toBe(0);
      const choices = listChoices(needs, props);
      const cost = shares.reduce((sum, share, i) => {
        const own = choices[i]!.find(
          (each) =>
            each.stack === share.stack ||
            (each.stack.heightCm === share.stack.heightCm &&
              each.stack.props.map((p) => p.id).join() ===
                share.stack.props.map((p) => p.id).join()),
        );
        return sum + own!.cost;
      }, 0);
      expect(cost).toBeCloseTo(findByBruteForce(needs, props), 2);
      for (const { id, count } of props) {
        const used = shares.reduce(
          (sum, share, i) =>
            sum + needs[i]!.hands * share.stack.props.filter((p) => p.id === id).length,
          0,
        );
        expect(used).toBeLessThanOrEqual(count);
      }
    }
  });

  it('shares the same way every time when two people need the same', async () => {
    const needs: PropNeed[] = ['Vesna', 'Tove', 'Ilka'].map((person) => ({
      person,
      heightCm: 23,
      hands: 1,
    }));
    const props = [{ ...BLOCK, count: 1 }];
    const first = await shareProps(needs, props, solve);
    expect(await shareProps(needs, props, solve)).toEqual(first);
    expect(first!.shares.filter((share) => share.stack.heightCm === 23)).toHaveLength(1);
  });

  it('tells how far the best that was found in time can be from the best there is', async () => {
    const needs: PropNeed[] = ['Vesna', 'Tove'].map((person) => ({
      person,
      heightCm: 23,
      hands: 1,
    }));
    // Everybody on the floor: a solution, and not the best one.
    const onTheFloor: SolveProgram = () => {
      const choices = listChoices(needs, [BLOCK]);
      const floor = choices.map((own) => own.find(({ stack }) => stack.props.length === 0)!);
      const columns = Object.fromEntries(
        choices.flat().map(({ variable }) => [variable, { Primal: 0 }]),
      );
      for (const { variable } of floor) columns[variable] = { Primal: 1 };
      return Promise.resolve(readSolution({ Status: 'Time limit reached', Columns: columns }));
    };
    const found = (await shareProps(needs, [BLOCK], onTheFloor))!;
    const best = (await shareProps(needs, [BLOCK], solve))!;
    const totalOf = ({ shares }: typeof found): number =>
      shares.reduce((sum, { offCm }) => sum + (offCm < 0 ? -3 * offCm : offCm), 0);
    expect(found.gapCm).toBeGreaterThan(0);
    expect(found.gapCm).toBeGreaterThanOrEqual(totalOf(found) - totalOf(best) - 0.01);
    const half = { x0_0: { Primal: 0.5 } };
    expect(readSolution({ Status: 'Time limit reached', Columns: half })).toBeNull();
  });
});
