import { describe, expect, it } from 'vitest';
import type { HouseRules } from '../../../src/core/rules/houseRules.ts';
import type { JointReport, SetUp } from '../../../src/core/setup/setUp.ts';
import { REFERENCE, SUPPLE } from '../../support/people.ts';
import { depthOf, markOf, planPlain, settingOf } from '../../support/plan.ts';

const plan = (pose: string, rules: Partial<HouseRules>, measures = REFERENCE): SetUp =>
  planPlain(measures, pose, 'right', rules);

describe('heel line', () => {
  it.each([
    ['heel-to-heel', {}, 0],
    // −0.40 × 24.5 × sin 90°
    ['heel-to-arch', {}, -9.8],
    ['hip-width', {}, 17],
    // Two fists of 9 cm, because the fist is not measured.
    ['two-fists', {}, 18],
    ['diagonal', { heelLineCm: -4 }, -4],
  ] as const)('%s', (heelLine, more, width) => {
    const setUp = plan('warrior-two', { heelLine, ...more, backFootDeg: 90 });
    expect(settingOf(setUp, 'stance-width')).toBe(width);
    const [, y] = markOf(setUp, 'heelLeft');
    expect(y).toBeCloseTo(width, 1);
  });

  it('is heel to arch in open poses and two fists in the pyramid when nothing is chosen', () => {
    expect(settingOf(plan('triangle', { backFootDeg: 90 }), 'stance-width')).toBe(-9.8);
    expect(settingOf(plan('pyramid', {}), 'stance-width')).toBe(18);
    expect(settingOf(plan('pyramid', {}, { ...REFERENCE, 'fist-width': 8 }), 'stance-width')).toBe(
      16,
    );
  });
});

describe('stance', () => {
  it.each([
    ['leg-length', 82],
    ['wrists', 2 * (0.129 + 0.186 + 0.146) * 170],
    ['fixed', 91],
  ] as const)('%s sets the triangle', (stance, cm) => {
    expect(settingOf(plan('triangle', { stance }), 'stance-length')).toBeCloseTo(cm, 0);
  });

  it('of one and a half leg lengths leaves less lean than one leg length', () => {
    const long = plan('triangle', { stance: 'one-and-a-half-leg-lengths' });
    const ordinary = plan('triangle', { stance: 'leg-length' });
    expect(settingOf(long, 'stance-length')).toBe(123);
    expect(depthOf(long).value!).toBeLessThan(depthOf(ordinary).value! - 8);
  });

  it('of the pyramid is three quarters of a leg length, one, or longer with the foot turned out', () => {
    const ankle = (setUp: SetUp): number =>
      setUp.joints.find((each) => each.motion === 'dorsiflexion' && each.side === 'left')!
        .askedDeg!;
    const [short, usual, long] = (['short', 'leg-length', 'long'] as const).map((pyramidStance) =>
      plan('pyramid', { pyramidStance }),
    );
    expect(settingOf(short!, 'stance-length')).toBe(61.5);
    expect(settingOf(usual!, 'stance-length')).toBe(82);
    expect(settingOf(long!, 'stance-length')).toBeGreaterThan(1.1 * 82);
    expect(settingOf(long!, 'stance-length')).toBeLessThanOrEqual(1.35 * 82 + 0.05);
    expect(settingOf(long!, 'back-foot-angle')).toBeGreaterThan(10);
    expect(ankle(usual!)).toBeGreaterThan(ankle(short!) + 3);
  });

  it('of the pyramid is cut where the back ankle runs out', () => {
    const setUp = plan('pyramid', {}, { ...REFERENCE, 'ankle-dorsiflexion-straight': 24 });
    expect(settingOf(setUp, 'stance-length')).toBeLessThan(75);
    const ankle = setUp.joints.find(
      (each) => each.motion === 'dorsiflexion' && each.side === 'left',
    );
    expect(ankle!.toSpareDeg!).toBeGreaterThanOrEqual(-0.05);
  });

  it('that no joint can reach is refused, and says which joints lack how much', () => {
    const setUp = plan('warrior-two', { stance: 'fixed', fixedStanceCm: 175 }, SUPPLE);
    expect(setUp.status).toBe('failed');
    expect(setUp.problems[0]?.code).toBe('cannot-hold');
    expect(setUp.problems[0]?.message).toMatch(/back hip abduction is \d+° short/);
  });
});

describe('feet, knees and pelvis', () => {
  it.each([
    ['parallel', 90, 0],
    ['turned-in', 75, 0],
    ['natural', 60, 10],
  ] as const)('back foot %s', (backFoot, goal, front) => {
    // Well inside the deepest, nothing pulls the foot from its school.
    const setUp = planPlain(SUPPLE, 'warrior-two', 'right', {
      backFoot,
      depth: 'recommended',
      firstStepDeg: 25,
    });
    expect(Math.abs(settingOf(setUp, 'back-foot-angle') - goal)).toBeLessThanOrEqual(6);
    expect(settingOf(setUp, 'front-foot-angle')).toBe(front);
  });

  it('a square pelvis is out of this body’s reach in warrior II, which is told, not forced', () => {
    const square = plan('warrior-two', { pelvisOpen: 'square' });
    expect(square.status).toBe('degraded');
    const told = square.problems.find((each) => each.code === 'wish-far-off');
    expect(told?.path).toBe('pelvis-turn');
    expect(told?.message).toContain(`${settingOf(square, 'pelvis-short-of-square').toFixed(0)}°`);
  });

  it('a square pelvis in warrior I costs the reference body over 20° of knee', () => {
    const open = plan('warrior-one', {});
    const square = plan('warrior-one', { pelvisWarriorOne: 'square' });
    expect(settingOf(square, 'pelvis-short-of-square')).toBeLessThanOrEqual(6.1);
    expect(depthOf(square).value!).toBeLessThan(depthOf(open).value! - 20);
  });

  it('a knee that may pass its ankle goes no less deep, and stays above it sideways', () => {
    const stacked = plan('warrior-two', { stance: 'fixed', fixedStanceCm: 95 });
    const passing = plan('warrior-two', {
      stance: 'fixed',
      fixedStanceCm: 95,
      frontKnee: 'may-pass',
    });
    expect(depthOf(passing).value!).toBeGreaterThanOrEqual(depthOf(stacked).value! - 0.1);
    const [kx, ky] = markOf(passing, 'kneeRight');
    const [ax, ay] = markOf(passing, 'ankleRight');
    expect(Math.abs(ky - ay)).toBeLessThanOrEqual(0.5);
    expect(kx - ax).toBeGreaterThan(1);
  });

  it('soft knees keep 5–10° of bend', () => {
    const bend = (rules: Partial<HouseRules>): number =>
      settingOf(plan('triangle', rules), 'front-knee-bend');
    expect(bend({ straightKnees: 'straight' })).toBeLessThanOrEqual(2);
    expect(bend({ straightKnees: 'soft' })).toBeGreaterThanOrEqual(5);
    expect(bend({ straightKnees: 'soft' })).toBeLessThanOrEqual(10);
  });

  it('the side-bend school reaches lower than long sides', () => {
    const long = plan('triangle', { triangleShape: 'long' });
    const bend = plan('triangle', { triangleShape: 'side-bend' });
    expect(settingOf(bend, 'hand-height')).toBeLessThan(settingOf(long, 'hand-height') - 3);
    const spine = bend.joints.find((each) => each.motion === 'side-bend')!;
    expect(spine.askedDeg!).toBeGreaterThan(5);
  });
});

describe('how far inside', () => {
  it('more margin, more reserve and a larger step are never deeper', () => {
    const depth = (rules: Partial<HouseRules>): number =>
      depthOf(plan('warrior-two', { depth: 'recommended', ...rules })).value ?? 0;
    expect(depth({ limitMarginSem: 1 })).toBeLessThan(depth({ limitMarginSem: 0 }));
    expect(depth({ reserveByExperience: true })).toBeLessThanOrEqual(
      depth({ reserveByExperience: false }),
    );
    expect(depth({ firstStepDeg: 20 })).toBeLessThan(depth({ firstStepDeg: 10 }));
    expect(depth({ minimumToSpareDeg: 8 })).toBeLessThanOrEqual(depth({ minimumToSpareDeg: 0 }));
  });

  it('the margins are never added: each joint holds back the largest of them, a quarter at most', () => {
    // Two or more readings would shrink the error; one reading has √(2.0² + 2.5²) = 3.20°.
    const error = Math.sqrt(10.25);
    const heldBack = (more: Partial<HouseRules>): ReadonlyMap<string, JointReport> => {
      const rules = { depth: 'recommended', firstStepDeg: 0, ...more } as const;
      const { joints } = plan('warrior-two', rules);
      return new Map(
        joints.map((each) => [`${each.joint} ${each.side ?? ''} ${each.motion}`, each]),
      );
    };
    const byError = heldBack({ limitMarginSem: 1, minimumToSpareDeg: 3 });
    const byLeast = heldBack({ limitMarginSem: 0, minimumToSpareDeg: 3 });
    const byBoth = heldBack({ limitMarginSem: 1, minimumToSpareDeg: 5 });
    const hip = 'hip right abduction';
    expect(byError.get(hip)!.heldBackDeg).toBeCloseTo(error, 1);
    expect(byError.get(hip)!.heldBackFor).toBe('measuring');
    expect(byLeast.get(hip)!.heldBackDeg).toBeCloseTo(3, 2);
    expect(byLeast.get(hip)!.heldBackFor).toBe('least-margin');
    expect(byBoth.get(hip)!.heldBackDeg).toBeCloseTo(5, 2);
    for (const each of byBoth.values()) {
      if (each.measuredDeg === null || each.heldBackDeg === null) continue;
      expect(each.heldBackDeg).toBeLessThanOrEqual(Math.max(0.25 * each.measuredDeg, 0) + 0.01);
      expect(each.hasDeg).toBeCloseTo(each.measuredDeg - each.heldBackDeg, 1);
    }
  });
});

describe('twist', () => {
  it('turns the pelvis most when it may turn fully, least when it is fixed', () => {
    const turn = (twist: HouseRules['twist']): number =>
      Math.abs(settingOf(plan('revolved-triangle', { twist }, SUPPLE), 'pelvis-short-of-square'));
    expect(turn('pelvis-fixed')).toBeLessThanOrEqual(2.1);
    expect(turn('full')).toBeGreaterThan(turn('pelvis-fixed') + 3);
  });

  it('leaves more to the spine when the pelvis is fixed', () => {
    const chest = (twist: HouseRules['twist']): number =>
      depthOf(plan('revolved-side-angle', { twist })).value!;
    const spine = (twist: HouseRules['twist']): number =>
      Math.abs(settingOf(plan('revolved-side-angle', { twist }), 'spine-share-of-twist'));
    expect(chest('full')).toBeGreaterThanOrEqual(chest('pelvis-fixed') - 0.5);
    expect(spine('pelvis-fixed')).toBeGreaterThan(spine('full') + 1);
  });
});

describe('chair style', () => {
  const arms = (chairStyle: HouseRules['chairStyle']): { knee: number; hip: number } => {
    const { loads } = plan('chair', { chairStyle });
    const of = (joint: string): number => loads.find((each) => each.joint === joint)!.lineArmCm;
    return { knee: of('knee'), hip: of('hip') };
  };

  it('equal arms puts the weight line midway between knee and hip', () => {
    const { knee, hip } = arms('equal-arms');
    expect(Math.abs(knee - hip)).toBeLessThan(0.3);
  });

  it('hips back gives the hip twice the arm of the knee', () => {
    const { knee, hip } = arms('hips-back');
    expect(hip / knee).toBeCloseTo(2, 1);
  });

  it('knees forward bends the ankle as far as it goes', () => {
    const { joints } = plan('chair', { chairStyle: 'knees-forward' });
    const ankle = joints.find((each) => each.motion === 'dorsiflexion')!;
    expect(ankle.toSpareDeg).toBeLessThan(2);
    expect(arms('knees-forward').knee).toBeGreaterThan(arms('hips-back').knee + 3);
  });
});

describe('easing and the balance prop', () => {
  it('eases the high lunge by a shorter stance when asked to', () => {
    const stance = (easing: HouseRules['easing']): number =>
      settingOf(plan('high-lunge', { easing, depth: 'recommended' }, SUPPLE), 'stance-length');
    expect(stance('shorter')).toBeLessThan(stance('as-named') - 1);
  });

  it('brings the half moon’s hand lower when it goes to the floor', () => {
    const hand = (balanceProp: HouseRules['balanceProp']): number =>
      settingOf(plan('half-moon', { balanceProp }, SUPPLE), 'hand-height');
    expect(hand('floor')).toBeLessThan(hand('tallest-face') - 5);
  });
});
