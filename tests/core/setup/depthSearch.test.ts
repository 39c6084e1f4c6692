import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readPersonFile } from '../../../src/core/formats/personFile.ts';
import type { Side } from '../../../src/core/measures/protocol.ts';
import type { PersonRecord } from '../../../src/core/person/person.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { WISH_STRETCH } from '../../../src/core/solver/residuals.ts';
import { hintOf } from '../../../src/core/solver/run.ts';
import { settleAt } from '../../../src/core/solver/solve.ts';
import { radiansFromDegrees } from '../../../src/core/units/brands.ts';
import { recordOf, REFERENCE } from '../../support/people.ts';

function readDemo(id: string): PersonRecord {
  const read = readPersonFile(readFileSync(`public/demo/${id}.json`, 'utf8'), null);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value.file;
}

function planHeld(record: PersonRecord, pose: string, side: Side = 'right') {
  const plan = planPose(record, pose, side);
  if (plan.kind !== 'planned') throw new Error(plan.kind);
  const { answer } = plan;
  if (answer.found.kind !== 'held') throw new Error(answer.found.because);
  return { answer, found: answer.found };
}

describe('a depth that cannot be taken as shallow as wanted', () => {
  it('is the shallowest that keeps 3° at every joint, where a straighter knee asks for more rotation', () => {
    const { answer, found } = planHeld(readDemo('oda-brask'), 'warrior-two', 'left');
    expect(found.reason).toEqual({ kind: 'to-spare', spareDeg: 3 });
    const near = hintOf(found.answer);
    const aim = {
      toSpare: radiansFromDegrees(3),
      wishesWithin: found.wishesLetGo ? null : WISH_STRETCH,
    };
    const canBeHeldAt = (depth: number): boolean =>
      settleAt(answer.built.task, 'front-knee-bend', radiansFromDegrees(depth), aim, near).kept;
    expect(canBeHeldAt(found.depth! - 1)).toBe(false);
    expect(canBeHeldAt(found.depth!)).toBe(true);
    expect(canBeHeldAt(found.depth! + 1)).toBe(true);
  });
});

describe('legs that come from another pose', () => {
  it('give way to a share of that pose’s own depth', () => {
    const { answer, found } = planHeld(
      recordOf({ ...REFERENCE, 'trunk-side-bend': 25 }),
      'reverse-warrior',
    );
    const base = planHeld(recordOf({ ...REFERENCE, 'trunk-side-bend': 25 }), 'warrior-two');
    const { share } = answer.legs!;
    expect(share).toBeLessThan(1);
    const bend = answer.legs!.answer.found.depth!;
    expect(bend).toBeCloseTo(share * base.found.depth!, 1);
    const { kneeFlexion } = found.answer.skeleton.legs.front;
    expect((kneeFlexion * 180) / Math.PI).toBeCloseTo(bend, 1);
  });
});
