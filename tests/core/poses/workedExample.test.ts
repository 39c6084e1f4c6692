import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { transformSync } from 'esbuild';
import type { PoseDefinition } from '../../../src/core/poses/poseDefinition.ts';
import { planPose } from '../../../src/core/setup/planSetUp.ts';
import { solvePose } from '../../../src/core/planning/solvePose.ts';
import { calcWeightInside } from '../../../src/core/conditions/quantities.ts';
import { PLAIN_RULES, contextOf, REFERENCE, STIFF, SUPPLE } from '../../support/people.ts';

/** The pose that docs/model.md adds as its example, read from the document itself. */
function readExample(): PoseDefinition {
  const [, code] = /```ts\n([\s\S]*?)```/.exec(readFileSync('docs/model.md', 'utf8')) ?? [];
  const { code: script } = transformSync(code ?? '', { loader: 'ts', format: 'cjs' });
  const module: { exports: { goddess?: PoseDefinition } } = { exports: {} };
  // eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call -- the document's own code
  new Function('module', 'exports', script)(module, module.exports);
  if (module.exports.goddess === undefined) throw new Error('no example in docs/model.md');
  return module.exports.goddess;
}

describe('the worked example of docs/model.md', () => {
  const pose = readExample();

  it.each([
    ['reference', REFERENCE],
    ['supple', SUPPLE],
  ] as const)(
    'is solved for the %s body by its data alone: both knees alike, upright',
    (_, body) => {
      const plan = planPose(contextOf(body), 'mountain', 'right', PLAIN_RULES);
      if (plan.kind !== 'planned') throw new Error(plan.kind);
      const { found } = solvePose({ ...plan.poseRequest, pose });
      if (found.kind !== 'held') throw new Error('not held');
      const { skeleton } = found.answer;
      const { front, back } = skeleton.legs;
      expect(found.depth).toBeGreaterThan(25);
      expect((front.kneeFlexion * 180) / Math.PI).toBeCloseTo(found.depth!, 1);
      expect(Math.abs(front.kneeFlexion - back.kneeFlexion)).toBeLessThan(0.001);
      expect(skeleton.chest.up[2]).toBeGreaterThan(Math.cos(Math.PI / 5));
      expect(calcWeightInside(skeleton)).toBeGreaterThan(0.0195);
    },
  );

  it('is refused to the stiff body, whose thighs turn out too little for its feet', () => {
    const plan = planPose(contextOf(STIFF), 'mountain', 'right', PLAIN_RULES);
    if (plan.kind !== 'planned') throw new Error(plan.kind);
    const { found } = solvePose({ ...plan.poseRequest, pose });
    expect(found).toMatchObject({ kind: 'cannot', because: 'musts' });
    expect(pose.expected?.stiff).toEqual(['cannot be held']);
  });
});
