import { describe, expect, it } from 'vitest';
import { isCalledOn, nameJoint } from '../../../src/core/setup/jointReport.ts';
import { REFERENCE } from '../../support/people.ts';
import { planPlain } from '../../support/plan.ts';

describe('what is said to run out first', () => {
  it('is a joint that the pose calls on, not a low back that is asked nothing', () => {
    const setUp = planPlain(REFERENCE, 'mountain');
    const [least] = setUp.joints;
    const called = setUp.joints.find(isCalledOn);
    expect(least).toMatchObject({ joint: 'spine', motion: 'flexion', hasDeg: 10 });
    expect(Math.abs(least!.askedDeg!)).toBeLessThan(1);
    expect(called).toMatchObject({ joint: 'hip', motion: 'extension' });
    expect(setUp.limiting).toMatchObject({ joint: 'hip', motion: 'extension' });
  });

  it('may be asked less than nothing: a hip that cannot come to straight ends a lunge', () => {
    const stiff = { ...REFERENCE, 'hip-extension': -5, 'hip-extension-bent-knee': -5 };
    const { limiting, joints } = planPlain(stiff, 'high-lunge', 'right', { depth: 'deepest' });
    expect(limiting).toMatchObject({ joint: 'hip', side: 'left', motion: 'extension' });
    const back = joints.find((each) => each.motion === 'extension' && each.side === 'left')!;
    expect(back.askedDeg).toBeLessThan(0);
    expect(isCalledOn(back)).toBe(true);
  });

  it('is named by its place in the pose, and by left and right where neither leg is in front', () => {
    const joint = { joint: 'ankle', side: 'left', motion: 'dorsiflexion' } as const;
    expect(nameJoint(joint, { pose: 'triangle', side: 'left' })).toBe('front ankle dorsiflexion');
    expect(nameJoint(joint, { pose: 'triangle', side: 'right' })).toBe('back ankle dorsiflexion');
    expect(nameJoint(joint, { pose: 'chair', side: 'right' })).toBe('left ankle dorsiflexion');
  });
});
