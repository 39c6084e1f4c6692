import { describe, expect, it } from 'vitest';
import type { MeasureId } from '../../../src/core/measures/protocols/index.ts';
import type { PropItem } from '../../../src/core/props/propList.ts';
import { findMat, USUAL_STUDIO } from '../../../src/core/studio/studio.ts';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import type { SettingId } from '../../../src/core/setup/settingKinds.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import type { LandmarkCm } from '../../../src/core/skeleton/landmark.ts';
import { PLAIN_RULES, recordOf, REFERENCE, SUPPLE, type Measures } from '../../support/people.ts';
import { depthOf, markOf, planPlain, settingOf } from '../../support/plan.ts';

/**
 * Numbers of the versions worked by hand from lengths and landmarks. The arm of the reference
 * body is 62 cm to the palm, in the shares of Drillis & Contini 1966 (from memory).
 */
const REACH = 62;
const ARM = { upper: 0.186, forearm: 0.146, halfHand: 0.054 };
const ARM_TOTAL = ARM.upper + ARM.forearm + ARM.halfHand;
const UPPER = (REACH * ARM.upper) / ARM_TOTAL;
const FOREARM = (REACH * ARM.forearm) / ARM_TOTAL;
const HALF_HAND = (REACH * ARM.halfHand) / ARM_TOTAL;
const DEG = Math.PI / 180;

const version = (pose: string, level: string, measures: Measures = REFERENCE): SetUp =>
  planPlain(measures, pose, 'right', {}, level);

const minus = (a: LandmarkCm, b: LandmarkCm): LandmarkCm => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const times = (a: LandmarkCm, by: number): LandmarkCm => [a[0] * by, a[1] * by, a[2] * by];
const cross = (a: LandmarkCm, b: LandmarkCm): LandmarkCm => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Bend of an elbow under a shoulder that is so far above the palm, plumb. */
function elbowUnder(height: number): number {
  const span = height - HALF_HAND;
  const cosine = (UPPER ** 2 + FOREARM ** 2 - span ** 2) / (2 * UPPER * FOREARM);
  return 180 - Math.acos(cosine) / DEG;
}

describe('numbers of the versions, worked by hand', () => {
  it('the front sole up the wall: the foot slopes as its ball is high', () => {
    const setUp = version('triangle', 'front-sole-up-a-wall');
    const slope = Math.asin(11 / (0.62 * 24.5));
    expect(settingOf(setUp, 'ball-up-wall')).toBeCloseTo(11, 1);
    expect(settingOf(setUp, 'heel-from-wall')).toBeCloseTo(0.9 * 24.5 * Math.cos(slope), 1);
  });

  it('on the diagonal the feet stand at both long edges of the mat', () => {
    const setUp = version('triangle', 'on-the-diagonal');
    const turn = settingOf(setUp, 'back-foot-angle');
    const foot = 0.9 * 24.5 * Math.sin(turn * DEG);
    const { widthCm } = findMat(USUAL_STUDIO.cupboard);
    const expected = widthCm - (0.055 * 170) / 2 - foot;
    expect(settingOf(setUp, 'stance-width')).toBeCloseTo(expected, 1);
  });

  it('a block each side: the stance, and the hand ahead of the heel twice', () => {
    const setUp = version('triangle', 'a-block-each-side');
    const ahead = markOf(setUp, 'handRight')[0] - markOf(setUp, 'heelRight')[0];
    expect(settingOf(setUp, 'blocks-apart')).toBeCloseTo(82 + 2 * ahead, 1);
  });

  it('a chair behind: its rail at the lower edge of the lower shoulder blade', () => {
    const setUp = version('triangle', 'chair-behind');
    const chest = markOf(setUp, 'chestCentre');
    const up = times(minus(chest, markOf(setUp, 'pelvisCentre')), 1 / 50);
    const left = times(
      minus(markOf(setUp, 'shoulderLeft'), markOf(setUp, 'shoulderRight')),
      1 / 36,
    );
    const forward = cross(left, up);
    const offset = minus(
      minus(times(left, -0.6 * 18), times(up, 0.09 * 170)),
      times(forward, 0.07 * 170),
    );
    const [x, y, z] = minus(chest, times(offset, -1));
    const [heelX, heelY] = markOf(setUp, 'heelRight');
    expect(settingOf(setUp, 'rail-height')).toBeCloseTo(z, 1);
    expect(settingOf(setUp, 'chair-behind')).toBeCloseTo(heelY - y, 1);
    expect(settingOf(setUp, 'chair-along')).toBeCloseTo(x - heelX, 1);
  });

  it('a straight arm on a chair: the shoulder an arm above its seat', () => {
    const setUp = version('triangle', 'hand-on-a-chair', SUPPLE);
    expect(settingOf(setUp, 'hand-height')).toBeCloseTo(45, 0);
    const [shoulder, palm] = [markOf(setUp, 'shoulderRight'), markOf(setUp, 'handRight')];
    expect(Math.hypot(...minus(shoulder, palm))).toBeCloseTo(REACH, 1);
  });

  it.each([
    ['warrior-three', 'hands-on-a-chair', 'Left'],
    ['half-moon', 'hand-on-a-chair', 'Right'],
    ['revolved-half-moon', 'hand-on-a-chair', 'Left'],
  ] as const)('%s on a chair: the elbow takes up what is too high', (pose, level, side) => {
    const setUp = version(pose, level);
    expect(settingOf(setUp, 'hand-height')).toBeCloseTo(45, 1);
    const above = markOf(setUp, `shoulder${side}`)[2] - 45;
    expect(settingOf(setUp, 'elbow-bend')).toBeCloseTo(elbowUnder(above), 0);
    // The trunk is as level as it is without the chair.
    const usual = depthOf(version(pose, 'usual')).value ?? NaN;
    expect(depthOf(setUp).value).toBeCloseTo(usual, 0);
  });

  it('both hands down: as far apart as level shoulders, nearer as the chest turns', () => {
    expect(settingOf(version('warrior-three', 'hands-on-blocks'), 'hands-apart')).toBeCloseTo(
      36,
      1,
    );
    const turned = version('revolved-half-moon', 'hands-on-two-blocks');
    const turn = settingOf(turned, 'chest-turned');
    const apart = settingOf(turned, 'hands-apart');
    expect(apart).toBeCloseTo(36 * Math.cos(turn * DEG), 0);
    expect(settingOf(turned, 'second-block-in')).toBeCloseTo(36 - apart, 1);
  });

  it('the upper hand at a wall: both arms and the shoulders, as far as they are stacked', () => {
    const setUp = version('half-moon', 'upper-hand-at-a-wall');
    const rise = markOf(setUp, 'shoulderLeft')[2] - markOf(setUp, 'shoulderRight')[2];
    const low = settingOf(setUp, 'hand-height') + REACH;
    expect(settingOf(setUp, 'upper-hand-height')).toBeCloseTo(low + rise + (REACH * rise) / 36, 0);
  });

  it('forearms down: as high as the shoulders less the upper arm', () => {
    const setUp = version('lizard', 'forearms-on-a-prop');
    const lower = Math.min(markOf(setUp, 'elbowLeft')[2], markOf(setUp, 'elbowRight')[2]);
    const shoulder = Math.max(markOf(setUp, 'shoulderLeft')[2], markOf(setUp, 'shoulderRight')[2]);
    expect(settingOf(setUp, 'hand-height')).toBeCloseTo(shoulder - UPPER, 1);
    expect(lower).toBeCloseTo(shoulder - UPPER, 1);
  });

  it('a pelvis that may drop bends farther to the side', () => {
    const level = planPlain(REFERENCE, 'reverse-warrior');
    const drops = planPlain(REFERENCE, 'reverse-warrior', 'right', {
      pelvisReverseWarrior: 'may-drop',
    });
    expect(depthOf(drops).value).toBeGreaterThan((depthOf(level).value ?? NaN) - 0.1);
    expect(settingOf(drops, 'pelvis-level')).toBeGreaterThan(settingOf(level, 'pelvis-level') + 2);
  });
});

/** Which number of which version rises (+) or falls (−) when one length grows by 3 cm. */
const WAYS: readonly (readonly [string, string, SettingId, MeasureId, 1 | -1])[] = [
  ['triangle', 'front-sole-up-a-wall', 'heel-from-wall', 'foot-length', 1],
  ['triangle', 'on-the-diagonal', 'stance-width', 'foot-length', -1],
  ['triangle', 'a-block-each-side', 'blocks-apart', 'leg-length', 1],
  ['triangle', 'chair-behind', 'rail-height', 'shoulder-height', 1],
  ['triangle', 'chair-behind', 'chair-along', 'shoulder-height', 1],
  ['triangle', 'chair-behind', 'chair-behind', 'shoulder-width', 1],
  ['triangle', 'with-a-strap', 'loop-length', 'trochanter-height', 1],
  ['warrior-three', 'hands-on-a-chair', 'elbow-bend', 'arm-reach', 1],
  ['warrior-three', 'hands-on-a-chair', 'elbow-bend', 'trochanter-height', -1],
  ['half-moon', 'hand-on-a-chair', 'elbow-bend', 'arm-reach', 1],
  ['half-moon', 'upper-hand-at-a-wall', 'upper-hand-height', 'arm-reach', 1],
  ['half-moon', 'upper-hand-at-a-wall', 'upper-hand-height', 'trochanter-height', 1],
  ['warrior-three', 'hands-on-blocks', 'hands-apart', 'shoulder-width', 1],
  ['revolved-half-moon', 'hand-on-a-chair', 'elbow-bend', 'trochanter-height', -1],
  ['lizard', 'forearms-on-a-prop', 'hand-height', 'arm-reach', -1],
  ['lying-warrior-two', 'usual', 'back-heel-block', 'foot-length', -1],
  ['lying-warrior-two', 'usual', 'back-heel-block', 'hip-bone-width', 1],
];

describe('a length that grows moves each number the right way', () => {
  it.each(WAYS)('%s, %s: %s by %s, %i', (pose, level, setting, measure, way) => {
    const lying = level === 'usual' ? null : level;
    const plan = (by: number): number =>
      settingOf(
        planPlain(
          { ...REFERENCE, [measure]: (REFERENCE[measure] as number) + by },
          pose,
          'right',
          {},
          lying,
        ),
        setting,
      );
    expect(way * (plan(3) - plan(-3))).toBeGreaterThan(0.2);
  });
});

describe('a small cupboard', () => {
  const strap = (id: string, lengthCm: number): PropItem => ({
    id,
    kind: 'strap',
    name: 'Strap',
    heightsCm: [0.3],
    lengthCm,
    count: 1,
  });
  const chair: PropItem = {
    id: 'chair',
    kind: 'chair',
    name: 'Chair',
    heightsCm: [45],
    lengthCm: null,
    count: 1,
  };
  const planWith = (cupboard: readonly PropItem[], pose: string, level: string): SetUp => {
    const record = { ...recordOf(REFERENCE), studio: { ...USUAL_STUDIO, cupboard } };
    const planned = planSetUp(new PlanningContext(record), pose, 'right', PLAIN_RULES, level);
    if (!planned.ok) throw new Error(planned.problems[0]?.message);
    return planned.value;
  };
  const strapOf = (setUp: SetUp) =>
    setUp.supportProps.find(({ setting }) => setting === 'strap-to-own');

  it('joins two short straps, and loses 15 cm to the join', () => {
    const setUp = planWith([strap('a', 180), strap('b', 120)], 'triangle', 'with-a-strap');
    const needed = settingOf(setUp, 'strap-to-own');
    expect(needed).toBeGreaterThan(180);
    expect(strapOf(setUp)?.name).toBe('Strap (180 cm) and Strap (120 cm), joined');
    expect(strapOf(setUp)?.beyondCm).toBeCloseTo(180 + 120 - 15 - needed, 1);
  });

  it('says how much a strap is too short, and what else would do', () => {
    const setUp = planWith([strap('a', 100)], 'triangle', 'with-a-strap');
    const needed = settingOf(setUp, 'strap-to-own');
    expect(strapOf(setUp)).toMatchObject({
      name: null,
      substitute: {
        nearest: 'Strap (100 cm)',
        shortCm: Math.round((needed - 100) * 10) / 10,
        improvised: 'a belt or a long scarf',
      },
    });
  });

  it('a chair without a rail, and one whose rail is too low, both have an outcome in words', () => {
    const without = planWith([chair], 'triangle', 'chair-behind');
    const low = planWith([{ ...chair, railCm: 80 }], 'triangle', 'chair-behind');
    const railOf = (setUp: SetUp) =>
      setUp.supportProps.find((each) => each.setting === 'rail-height');
    expect(railOf(without)?.substitute?.nearest).toBeNull();
    expect(railOf(low)?.substitute?.nearest).toBe('Rail of chair (80 cm)');
    expect(railOf(low)?.substitute?.shortCm).toBeCloseTo(settingOf(low, 'rail-height') - 80, 1);
    expect(railOf(low)?.substitute?.improvised).not.toBe('');
  });

  it('a mat too short for the diagonal says by how much', () => {
    const mat: PropItem = { ...strap('mat', 90), kind: 'mat', name: 'Mat', widthCm: 60 };
    const setUp = planWith([mat], 'triangle', 'on-the-diagonal');
    expect(setUp.problems.map(({ code }) => code)).toContain('does-not-fit-mat');
    expect(setUp.mat).toMatchObject({ lengthCm: 90, widthCm: 60, fits: false });
  });

  it('says that a version needs a wall where the studio has none', () => {
    const noted = (wallM: number, level: string): readonly string[] => {
      const record = { ...recordOf(REFERENCE), studio: { ...USUAL_STUDIO, wallM } };
      const planned = planSetUp(new PlanningContext(record), 'triangle', 'right', {}, level);
      return planned.ok ? planned.value.problems.map(({ code }) => code) : ['not planned'];
    };
    expect(noted(0, 'at-a-wall')).toContain('no-wall');
    expect(noted(3, 'at-a-wall')).not.toContain('no-wall');
    expect(noted(0, 'usual')).not.toContain('no-wall');
  });

  it('lays a lying form on its own mat', () => {
    const mat: PropItem = { ...strap('mat', 200), kind: 'mat', name: 'Mat', widthCm: 80 };
    const record = { ...recordOf(REFERENCE), studio: { ...USUAL_STUDIO, cupboard: [mat] } };
    const planned = planSetUp(new PlanningContext(record), 'lying-warrior-two', 'right');
    expect(planned.ok && planned.value.mat).toMatchObject({ lengthCm: 200, widthCm: 80 });
  });

  it('stands the ball of the foot on its own block', () => {
    const low: PropItem = {
      ...chair,
      id: 'low',
      kind: 'block',
      name: 'Low block',
      heightsCm: [5, 10, 20],
    };
    const setUp = planWith([low], 'triangle', 'ball-on-a-block');
    expect(settingOf(setUp, 'front-ball-block')).toBeCloseTo(5, 1);
  });

  it('takes the height of its own chair, and books only when they are marked firm', () => {
    const high = planWith([{ ...chair, heightsCm: [50] }], 'half-moon', 'hand-on-a-chair');
    expect(settingOf(high, 'hand-height')).toBeCloseTo(50, 1);
    const books: PropItem = { ...chair, id: 'books', kind: 'book', name: 'Books', heightsCm: [35] };
    expect(planWith([books], 'triangle', 'usual').handProp?.stack).toBeNull();
    const firm = planWith([{ ...books, isFirm: true }], 'triangle', 'usual');
    expect(firm.handProp?.stack?.props[0]?.id).toBe('books');
  });
});
