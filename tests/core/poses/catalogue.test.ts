import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { POSES } from '../../../src/core/poses/catalogue/index.ts';
import { LYING_POSES } from '../../../src/core/poses/lyingCatalogue.ts';
import { nameJoint } from '../../../src/core/setup/jointReport.ts';
import type { SetUp } from '../../../src/core/setup/setUp.ts';
import { REFERENCE, STIFF, SUPPLE, type Measures } from '../../support/people.ts';
import { depthOf, planPlain } from '../../support/plan.ts';

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
  return nameJoint(setUp.limiting!, 'right');
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
      for (const file of readdirSync(`src/core/${room}`)) {
        const code = readFileSync(`src/core/${room}/${file}`, 'utf8');
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
});
