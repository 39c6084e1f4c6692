import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { findPose, POSES } from '../../../src/core/poses/catalogue/index.ts';
import { LYING_POSES } from '../../../src/core/poses/lying/index.ts';
import { saySwap } from '../../../src/core/poses/swaps.ts';
import { nameJoint } from '../../../src/core/setup/jointReport.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { REFERENCE, STIFF, SUPPLE, type Measures } from '../../support/people.ts';
import { depthOf, planPlain, settingOf } from '../../support/plan.ts';

/** Three made-up bodies; their knees kneel as far as the rest of them lets one expect. */
const BODIES: Readonly<Record<'reference' | 'stiff' | 'supple', Measures>> = {
  reference: { ...REFERENCE, 'knee-flexion': 150 },
  stiff: { ...STIFF, 'knee-flexion': 135 },
  supple: { ...SUPPLE, 'knee-flexion': 165 },
};

function sayWhatRunsOut(setUp: SetUp): string {
  if (setUp.status === 'failed') return 'cannot be held';
  const { deepest, textbook } = depthOf(setUp);
  if (deepest! > textbook - 0.5) return 'the textbook shape';
  return nameJoint(setUp.limiting!, setUp);
}

describe('every pose with a depth', () => {
  const withDepth = POSES.filter((pose) => pose.depth !== null);
  it.each(withDepth.map((pose) => [pose.id, pose] as const))(
    '%s names what runs out first in three bodies, and it does',
    (id, { expected }) => {
      for (const [name, measures] of Object.entries(BODIES)) {
        const named = expected![name as keyof typeof BODIES];
        expect(named, `${id}, ${name}`).toContain(sayWhatRunsOut(planPlain(measures, id)));
      }
    },
  );

  it('asks no more of a stiff body than of a supple one', () => {
    for (const { id, firstDepth } of withDepth) {
      // What a first depth takes is missing for the second.
      if (firstDepth !== null) continue;
      const stiff = planPlain(BODIES.stiff, id);
      if (stiff.status === 'failed') continue;
      const supple = depthOf(planPlain(BODIES.supple, id)).deepest!;
      expect(supple, id).toBeGreaterThanOrEqual(depthOf(stiff).deepest! - 0.1);
    }
  });
});

describe('the catalogue', () => {
  it('holds the twenty standing poses and the lying and seated forms, each once', () => {
    const ids = [...POSES, ...LYING_POSES].map((pose) => pose.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(POSES).toHaveLength(20);
    expect(LYING_POSES).toHaveLength(11);
  });

  it('never names a pose in solver code, nor in the set-up’s: a pose is data', () => {
    const ids = POSES.map((pose) => pose.id);
    let read = 0;
    for (const room of ['solver', 'setup', 'drawing', 'body', 'geometry']) {
      for (const file of readdirSync(`src/core/${room}`, {
        recursive: true,
        encoding: 'utf8',
      }).filter((each) => each.endsWith('.ts'))) {
        const source = readFileSync(`src/core/${room}/${file}`, 'utf8');
        // An example in a comment may name one.
        const code = source.replace(/\/\*[\s\S]*?\*\//g, '');
        read += 1;
        for (const id of ids) {
          expect(code.includes(`'${id}'`), `${room}/${file} names ${id}`).toBe(false);
        }
      }
    }
    expect(read).toBeGreaterThan(40);
  });

  it('tells for every pose what to look at, the way in and out, and an easier one', () => {
    for (const pose of POSES) {
      expect(pose.lookAt.length, pose.id).toBeGreaterThanOrEqual(5);
      expect(pose.wayIn.length).toBeGreaterThanOrEqual(2);
      expect(pose.wayOut.length).toBeGreaterThanOrEqual(1);
      expect(pose.easier.length).toBeGreaterThan(4);
    }
  });

  it('tells for every pose and lying form what is often seen, and what breath does', () => {
    const all = [...POSES, ...LYING_POSES];
    for (const { id, guidance } of all) {
      const { tendencies, easier, harder, inhale, exhale, breaths, farPoints } = guidance;
      expect(tendencies.length, id).toBeGreaterThanOrEqual(3);
      expect(new Set(tendencies.map((each) => each.seen)).size).toBe(tendencies.length);
      expect(easier.length).toBeGreaterThanOrEqual(2);
      expect(harder.length).toBeGreaterThanOrEqual(2);
      expect(inhale).toHaveLength(3);
      expect(exhale).toHaveLength(3);
      for (const [verb, part, direction] of [...inhale, ...exhale]) {
        expect(Math.min(verb.length, part.length, direction.length), id).toBeGreaterThan(1);
      }
      expect(farPoints[0]).not.toBe(farPoints[1]);
      expect(breaths).toBeGreaterThanOrEqual(3);
    }
  });

  it('names the lying form to turn to where there is one', () => {
    expect(saySwap(findPose('warrior-two')!)).toMatch(/lying warrior II/);
    expect(saySwap(findPose('revolved-half-moon')!)).toMatch(/lying crossed twist/);
    for (const pose of POSES) {
      const words = saySwap(pose);
      for (const form of LYING_POSES.filter((each) => each.swapFor.includes(pose.id))) {
        const name = form.name.charAt(0).toLowerCase() + form.name.slice(1);
        expect(words.split(name)).toHaveLength(2);
      }
    }
  });
});

/**
 * What runs out first in three poses, worked out by hand on the reference body: legs of
 * 82 cm from hip to ankle, a leg raise of 85° and 0.4° more for a knee bent by 1°.
 */
describe('limits by hand', () => {
  const RAISE = 85 + (120 - 85) / 90;
  const asin = (share: number): number => (Math.asin(share) * 180) / Math.PI;

  it('pyramid: the front leg leans by half the stance, the rest of the leg raise is tilt', () => {
    const setUp = planPlain(REFERENCE, 'pyramid');
    expect(setUp.limiting).toMatchObject({ joint: 'hip', side: 'right', motion: 'flexion' });
    const lean = asin(settingOf(setUp, 'stance-length') / 2 / 82);
    // The pelvis may turn by up to 10°, which buys up to 3°.
    const tilt = settingOf(setUp, 'pelvis-tilt');
    expect(tilt).toBeGreaterThan(RAISE - lean - 1);
    expect(tilt).toBeLessThan(RAISE - lean + 3);
  });

  it('low lunge, hips forward: the thigh leans by what hip extension and 10° of tilt allow', () => {
    const setUp = planPlain(REFERENCE, 'low-lunge', 'right', {}, 'hips-forward');
    // The shin falls from 7.5 cm at the knee to 4 cm at the ankle; extension is 20° straight, 10° bent.
    const shin = asin(3.5 / 40);
    let lean = 20;
    for (let round = 0; round < 20; round += 1) {
      lean = 20 - (10 * (90 - lean - shin)) / 90 + 10;
    }
    const byHand = 42 * Math.sin((lean * Math.PI) / 180);
    // The pelvis may turn by up to 10°, which buys up to 2 cm.
    const ahead = settingOf(setUp, 'hips-ahead-of-back-knee');
    expect(ahead).toBeGreaterThan(byHand - 0.5);
    expect(ahead).toBeLessThan(byHand + 2);
  });

  it('reverse triangle: the side bend that is stated, 25°', () => {
    const setUp = planPlain(REFERENCE, 'reverse-triangle');
    expect(setUp.depth!.deepest).toBeCloseTo(25, 0);
    const bend = setUp.joints.find((each) => each.motion === 'side-bend')!;
    expect(bend.hasDeg).toBe(25);
    expect(bend.toSpareDeg).toBeLessThan(0.5);
  });
});

describe('the wall kneel with its knee away from the wall', () => {
  const solve = (level: string | null) =>
    planPlain({ ...REFERENCE, 'knee-flexion': 138 }, 'wall-kneel', 'right', {}, level);

  it('leans the shin back as far as it must and tells the knee’s place from the wall', () => {
    const leanOf = (knee: number): number => {
      const measures = { ...REFERENCE, 'knee-flexion': knee };
      const setUp = planPlain(measures, 'wall-kneel', 'right', {}, 'knee-off-wall');
      const { ankleLeft, kneeLeft } = setUp.landmarks;
      const [back, up] = [kneeLeft![0] - ankleLeft![0], ankleLeft![2] - kneeLeft![2]];
      expect(Math.hypot(back, up)).toBeCloseTo(40, 2);
      // From the wall it is 4 cm to the ankle, and from there the shank's lean.
      expect(settingOf(setUp, 'back-knee-from-wall')).toBeCloseTo(4 + back, 1);
      return (Math.atan2(back, up) * 180) / Math.PI;
    };
    const [stiff, usual] = [leanOf(120), leanOf(138)];
    expect(usual).toBeGreaterThan(5);
    expect(stiff).toBeGreaterThan(usual + 5);
    expect(stiff).toBeLessThanOrEqual(65.01);
  });

  it('serves a knee that the pose at the wall does not', () => {
    expect(solve(null).status).toBe('failed');
    expect(solve('knee-off-wall').status).not.toBe('failed');
  });
});
