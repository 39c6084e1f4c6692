import { describe, expect, it } from 'vitest';
import { PlanningContext } from '../../../src/core/planning/planningContext.ts';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { nameJoint } from '../../../src/core/setup/jointReport.ts';
import { planSetUp } from '../../../src/core/setup/planSetUp.ts';
import { planVersions, type Versions } from '../../../src/core/whatIf/versions.ts';
import { completePerson, type HeldPose } from '../../../src/core/person/person.ts';
import { recordOf, REFERENCE, STIFF, type Measures } from '../../support/people.ts';

function versionsOf(
  pose: string,
  measures: Measures = REFERENCE,
  held: readonly HeldPose[] = [],
  caution: string | null = null,
): Versions {
  const { cautions } = completePerson({
    id: 'test',
    name: 'Test',
    experience: 'steady',
    cautions: caution === null ? [] : [{ id: caution, severity: 'mild' }],
  });
  const record = { ...recordOf(measures, { cautions }), held };
  const found = planVersions(new PlanningContext(record), pose, 'right', {});
  if (!found.ok) throw new Error(found.problems[0]?.message);
  return found.value;
}

const find = ({ versions }: Versions, level: string) => {
  const found = versions.find((each) => each.level === level);
  if (found === undefined) throw new Error(level);
  return found;
};

describe('the versions of a pose', () => {
  it('stand from easier to harder, the variants after the ladder', () => {
    const { versions } = versionsOf('triangle');
    const kinds = versions.map(({ isVariant }) => isVariant);
    expect(kinds).toEqual([...kinds].sort((a, b) => Number(a) - Number(b)));
    expect(versions.filter((each) => !each.isVariant).map(({ level }) => level)).toEqual([
      'hand-on-a-chair',
      'natural-feet',
      'hand-on-shin',
      'usual',
      'hand-on-the-floor',
    ]);
  });

  it('say the margin of what fits, and what the others still need', () => {
    const triangle = versionsOf('triangle');
    const usual = find(triangle, 'usual');
    const { joint, side, motion } = usual.setUp!.limiting!;
    const report = usual.setUp!.joints.find(
      (each) => each.joint === joint && each.side === side && each.motion === motion,
    )!;
    expect(usual).toMatchObject({
      status: 'fits',
      margin: { joint: nameJoint(report, usual.setUp!) },
    });
    expect(usual.margin?.deg).toBe(Math.round(report.safeDeg! - report.askedDeg!));
    const floor = find(triangle, 'hand-on-the-floor');
    expect(floor).toMatchObject({ status: 'needs-more', setUp: null, orHandHigher: true });
    const flexion = floor.needs.find(({ words }) => words === 'front hip flexion');
    expect(flexion).toMatchObject({ unit: 'deg' });
    expect(floor.needs.find(({ isLess }) => isLess)?.words).toBe('the hand above the mat');
  });

  it('compare what other feet ask of the front hip at one and the same depth', () => {
    const triangle = versionsOf('triangle');
    // The foot sloping up its block or wall turns the thigh with it.
    expect(find(triangle, 'front-sole-up-a-wall').hip.length).toBeGreaterThan(0);
    expect(find(triangle, 'on-the-diagonal').hip.length).toBeGreaterThan(0);
    expect(find(triangle, 'usual').hip).toEqual([]);
    expect(find(triangle, 'with-a-strap').hip).toEqual([]);
  });

  it('propose the hardest that fits at first, and later what the record leads to', () => {
    expect(versionsOf('triangle').proposed).toEqual({ level: 'usual', because: 'fits' });
    const held = [{ pose: 'triangle', level: 'hand-on-a-chair' }];
    expect(versionsOf('triangle', REFERENCE, held).proposed).toEqual({
      level: 'hand-on-a-chair',
      because: 'record',
    });
  });

  it('leave out what a caution excludes, without a word why', () => {
    const triangle = versionsOf('triangle', REFERENCE, [], 'numb-feet');
    expect(find(triangle, 'ball-on-a-block')).toMatchObject({ status: 'excluded', setUp: null });
    expect(JSON.stringify(find(triangle, 'ball-on-a-block'))).not.toMatch(/numb/i);
    expect(find(triangle, 'usual').status).toBe('fits');
  });

  it('never propose what fails, nor a variant', () => {
    for (const measures of [STIFF, REFERENCE]) {
      for (const { id, levels } of POSES.filter((each) => each.levels.length > 0)) {
        const { proposed } = versionsOf(id, measures);
        if (proposed === null) continue;
        expect(levels.find((each) => each.id === proposed.level)?.reachedBy, id).toBeUndefined();
        const record = { ...recordOf(measures), held: [] };
        const planned = planSetUp(new PlanningContext(record), id, 'right', {}, proposed.level);
        expect(planned.ok && planned.value.status, id).not.toBe('failed');
      }
    }
  });

  it('answer an unknown pose with a problem', () => {
    const found = planVersions(new PlanningContext(recordOf(REFERENCE)), 'handstand', 'left', {});
    expect(found.ok ? [] : found.problems.map(({ code }) => code)).toEqual(['unknown-pose']);
  });
});
