import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { USUAL_PROPS } from '../../../src/core/props/propList.ts';
import { planInFull } from '../../../src/core/whatIf/planInFull.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { findSupportProps } from '../../../src/core/setup/supportProps.ts';
import { calcExpression } from '../../support/expression.ts';
import { contextOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';
import { depthOf, distanceCm, markOf, planPlain, settingOf } from '../../support/plan.ts';

/** Supple enough for the most demanding levels. */
const VERY_SUPPLE = {
  ...SUPPLE,
  'hip-flexion': 150,
  'straight-leg-raise': 145,
  'hip-extension': 30,
  'hip-adduction': 30,
  'trunk-rotation': 75,
  'knee-flexion': 158,
};

const at = (pose: string, level: string | null, measures = REFERENCE): SetUp =>
  planPlain(measures, pose, 'right', {}, level);

describe('every level of every pose', () => {
  it.each(POSES.flatMap(({ id, levels }) => levels.map((level) => [id, level.id] as const)))(
    '%s, %s: can be held by a very supple body, each number by its own written steps',
    (pose, level) => {
      const setUp = at(pose, level, VERY_SUPPLE);
      expect(setUp.problems.map((each) => each.message)).toEqual(
        setUp.problems.filter((each) => each.severity !== 'error').map((each) => each.message),
      );
      expect(setUp.status).not.toBe('failed');
      for (const { id, value, working } of setUp.settings) {
        const sum = working
          .filter((step) => step.kind === 'term')
          .reduce((all, step) => all + calcExpression(step.expression ?? ''), 0);
        expect(Math.abs(sum - value), id).toBeLessThanOrEqual(0.1);
      }
      // Both arms keep their length: an upper arm of 0.186 of 0.386 of the reach, the rest beyond it.
      for (const side of ['Left', 'Right']) {
        const [shoulder, elbow, hand] = ['shoulder', 'elbow', 'hand'].map((each) =>
          markOf(setUp, each + side),
        );
        expect(distanceCm(shoulder!, elbow!)).toBeCloseTo((62 * 0.186) / 0.386, 0);
        expect(distanceCm(elbow!, hand!)).toBeLessThan((62 * 0.2) / 0.386 + 0.05);
      }
    },
  );
});

describe('the four levels of the revolved side angle', () => {
  it('each asks more of the twist than the one before, and the hook hooks', () => {
    const hook = at('revolved-side-angle', 'hook', VERY_SUPPLE);
    const [elbow, knee] = [markOf(hook, 'elbowLeft'), markOf(hook, 'kneeRight')];
    // Within 5 cm of a point 8 cm outside the front knee.
    expect(distanceCm(elbow, [knee[0], knee[1] - 8, knee[2]])).toBeLessThan(5.05);
    expect(settingOf(at('revolved-side-angle', 'bind', VERY_SUPPLE), 'bind-strap')).toBe(60);
    const [knees, heels] = [null, 'heel-up'].map((level) =>
      markOf(at('revolved-side-angle', level, VERY_SUPPLE), 'kneeLeft'),
    );
    expect(knees![2]).toBeCloseTo(7.5, 1);
    expect(heels![2]).toBeGreaterThan(20);
  });
});

/** Common practice, no source, where a band is given. */
describe('what a pose is leant on', () => {
  it('warrior II: a seat just under the middle of the front thigh', () => {
    const setUp = at('warrior-two', 'on-a-chair');
    const middle = (markOf(setUp, 'hipRight')[2] + markOf(setUp, 'kneeRight')[2]) / 2;
    expect(settingOf(setUp, 'thigh-support')).toBeCloseTo(middle - 8, 1);
  });

  it('half moon: the standing foot 5–8 cm from the wall', () => {
    const away = settingOf(at('half-moon', 'at-a-wall'), 'wall-behind');
    expect(away).toBeGreaterThanOrEqual(5);
    expect(away).toBeLessThanOrEqual(8);
  });

  it('triangle: a strap of 200–250 cm from the back foot round the front thigh', () => {
    const own = settingOf(at('triangle', 'with-a-strap'), 'strap-to-own');
    expect(own).toBeGreaterThan(200);
    expect(own).toBeLessThan(250);
  });

  it('triangle: the palm lies on the shin, as far up it as is told, the arm straight', () => {
    const setUp = at('triangle', 'hand-on-shin');
    const [ankle, knee, palm] = ['ankleRight', 'kneeRight', 'handRight'].map((each) =>
      markOf(setUp, each),
    );
    const up = settingOf(setUp, 'hand-up-shin');
    const share = up / 40;
    const onShin = [0, 1, 2].map((i) => ankle![i]! + share * (knee![i]! - ankle![i]!));
    expect(distanceCm(palm!, onShin as [number, number, number])).toBeLessThan(0.1);
    expect(distanceCm(markOf(setUp, 'shoulderRight'), palm!)).toBeCloseTo(62, 0);
  });

  it('triangle: a block under the ball lifts the toes about the heel and asks the ankle more', () => {
    const [flat, lifted] = [null, 'ball-on-a-block'].map((level) => at('triangle', level));
    expect(markOf(lifted!, 'ballRight')[2]).toBeCloseTo(7.5, 1);
    expect(markOf(lifted!, 'heelRight')[2]).toBeCloseTo(0, 1);
    const bend = (setUp: SetUp): number =>
      setUp.joints.find(
        (each) => each.joint === 'ankle' && each.side === 'right' && each.motion !== 'inversion',
      )!.askedDeg!;
    // asin(7.5 / (0.62 × 24.5)) = 29.6°, less what the shin leans back.
    expect(bend(lifted!) - bend(flat!)).toBeGreaterThan(25);
  });

  it('side angle: the elbow rests on top of the thigh, about two thirds from the hip', () => {
    const setUp = at('side-angle', 'elbow-on-thigh', SUPPLE);
    const [hip, knee, elbow] = ['hipRight', 'kneeRight', 'elbowRight'].map((each) =>
      markOf(setUp, each),
    );
    const share = (elbow![0] - hip![0]) / (knee![0] - hip![0]);
    expect(share).toBeGreaterThan(0.43);
    expect(share).toBeLessThan(0.86);
    expect(elbow![2] - (hip![2] + share * (knee![2] - hip![2]))).toBeCloseTo(8, 0);
  });

  it('warrior I: a wedge under the back heel lets a stiff ankle go deeper', () => {
    const wedge = at('warrior-one', 'heel-on-a-wedge', STIFF);
    const plainDepth = depthOf(at('warrior-one', null, STIFF)).value!;
    expect(depthOf(wedge).value).toBeGreaterThan(plainDepth + 2);
    expect(settingOf(wedge, 'heel-wedge')).toBeCloseTo(markOf(wedge, 'heelLeft')[2], 1);
  });

  it('walls stand where fingertips and hips come to', () => {
    const three = at('warrior-three', 'hands-at-a-wall');
    const heel = markOf(three, 'heelRight')[0];
    expect(settingOf(three, 'wall-ahead')).toBeCloseTo(markOf(three, 'handRight')[0] - heel, 1);
    const chair = at('chair', 'at-a-wall');
    const behind = markOf(chair, 'heelRight')[0] - markOf(chair, 'sacrum')[0];
    expect(settingOf(chair, 'wall-behind')).toBeCloseTo(Math.max(5, behind), 1);
  });

  it('is mirrored with the side', () => {
    for (const pose of POSES) {
      for (const level of pose.levels.filter((each) => each.changes.supports !== undefined)) {
        const [right, left] = (['right', 'left'] as const).map((side) =>
          planPlain(VERY_SUPPLE, pose.id, side, {}, level.id),
        );
        expect(left!.settings.map((each) => each.value)).toEqual(
          right!.settings.map((each) => each.value),
        );
      }
    }
  });
});

describe('what of the cupboard serves it', () => {
  const full = (pose: string, level: string | null): SetUp => {
    const planned = planInFull(contextOf(REFERENCE), pose, 'right', {}, level);
    if (!planned.ok) throw new Error(planned.problems[0]!.message);
    return planned.value;
  };

  it('is the nearest that is high enough, and the shortest strap that is long enough', () => {
    expect(full('low-lunge', null).supportProps).toEqual([
      { setting: 'knee-pad', neededCm: 2.5, name: 'Knee pad (2.5 cm)', beyondCm: 0 },
    ]);
    const [strap] = full('triangle', 'with-a-strap').supportProps;
    expect(strap).toMatchObject({ setting: 'strap-to-own', name: 'Strap (240 cm)' });
    expect(strap!.beyondCm).toBeCloseTo(240 - strap!.neededCm, 1);
    const wedge = full('warrior-one', 'heel-on-a-wedge').supportProps[0]!;
    expect(wedge.name).toMatch(/\(4 cm\)/);
  });

  it('says so when nothing is, and never stands a hard thing on a soft one', () => {
    const setUp = at('warrior-two', 'on-a-chair');
    const few = USUAL_PROPS.filter((each) => each.kind === 'pad');
    expect(findSupportProps(setUp, few)[0]).toMatchObject({ name: null, beyondCm: 0 });
    const named = findSupportProps(setUp, USUAL_PROPS)[0]!.name!;
    expect(named.split(' on ').at(-1)).toMatch(/^(Chair|Bolster|Folded blanket)/);
  });

  it('serves lying and seated forms too', () => {
    const { supportProps } = full('lying-warrior-two', null);
    expect(supportProps.map((each) => each.setting)).toContain('knee-support');
    for (const { name } of supportProps) expect(name).not.toBeNull();
  });
});
