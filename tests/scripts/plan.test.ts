import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { recordOf, STIFF } from '../support/people.ts';
import type { FlowPlan } from '../../src/core/sequence/flowChecks.ts';
import type { SetUp } from '../../src/core/setup/setUp.ts';
import { writePersonFile } from '../../src/core/formats/personFile.ts';

const folder = mkdtempSync(join(tmpdir(), 'stillwater-'));
function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}
function plan(...words: string[]): { status: number | null; stdout: string; stderr: string } {
  return spawnSync(process.execPath, ['--import', 'tsx', 'scripts/plan.ts', ...words], {
    encoding: 'utf8',
  });
}

describe('the plan command', () => {
  const marit = 'public/demo/marit-sollen.json';

  it('prints a set-up and exits 0', () => {
    const { status, stdout } = plan('--person', marit, '--pose', 'warrior-two', '--side', 'right');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ format: 'stillwater.set-up', status: 'solved' });
  });

  it('tells a set-up in full: ±, bounds, what gives, the prop under the hand', () => {
    const { stdout } = plan('--person', marit, '--pose', 'triangle', '--side', 'left');
    const { settings, bounds, ifPushed, handProp, loads, weights, depth } = JSON.parse(
      stdout,
    ) as SetUp;
    for (const { plusMinus } of settings) expect(plusMinus).toBeGreaterThanOrEqual(0.3);
    expect(depth!.plusMinus).toBeGreaterThanOrEqual(0.5);
    expect(bounds!.shortest.cm).toBeLessThan(bounds!.longest.cm);
    expect(ifPushed!.sentence.length).toBeGreaterThan(10);
    expect(handProp!.neededCm).toBe(settings.find((each) => each.id === 'hand-height')!.value);
    expect(loads.map((each) => each.joint).sort()).toEqual(['back', 'hip', 'hip', 'knee', 'knee']);
    expect(weights.map((each) => each.on)).toEqual(['foot', 'foot', 'hand']);
  });

  it('takes a level, and a lying form, and prints a drawing at 1:10', () => {
    const level = plan(
      '--person',
      marit,
      '--pose',
      'warrior-three',
      '--side',
      'left',
      '--level',
      'hands-on-blocks',
    );
    expect(JSON.parse(level.stdout)).toMatchObject({ level: 'hands-on-blocks', status: 'solved' });
    const wrong = plan('--person', marit, '--pose', 'pyramid', '--side', 'left', '--level', 'sky');
    expect(wrong.status).toBe(1);
    expect(wrong.stderr).toContain('this pose has no level called “sky”');
    const lying = plan('--person', marit, '--pose', 'staff', '--side', 'left');
    expect(JSON.parse(lying.stdout)).toMatchObject({ pose: 'staff', status: 'solved' });
    const drawn = plan('--person', marit, '--pose', 'pyramid', '--side', 'left', '--svg', 'front');
    expect(drawn.stdout.startsWith('<svg xmlns="http://www.w3.org/2000/svg" width="')).toBe(true);
    expect(
      plan('--person', marit, '--pose', 'pyramid', '--side', 'left', '--svg', 'up').status,
    ).toBe(2);
  });

  it('exits 0 for a failed solve too: it is an answer', () => {
    const person = file('stiff.json', writePersonFile(recordOf(STIFF)));
    const rules = file('rules.json', JSON.stringify({ backFootDeg: 90, depth: 'deepest' }));
    const { status, stdout } = plan(
      '--person',
      person,
      '--pose',
      'warrior-two',
      '--side',
      'left',
      '--rules',
      rules,
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ status: 'failed' });
  });

  it('exits 1 with problems on stderr for missing measures and bad input', () => {
    const missing = plan(
      '--person',
      'public/demo/bram-okelo.json',
      '--pose',
      'pyramid',
      '--side',
      'right',
    );
    expect(missing.status).toBe(1);
    expect(missing.stdout).toBe('');
    const { problems } = JSON.parse(missing.stderr) as {
      problems: { code: string; path: string }[];
    };
    expect(problems.map((each) => each.path)).toContain('straight-leg-raise left');
    expect(new Set(problems.map((each) => each.code))).toEqual(new Set(['missing-measure']));
    const bad = plan(
      '--person',
      file('bad.json', '{"format":1}'),
      '--pose',
      'pyramid',
      '--side',
      'right',
    );
    expect(bad.status).toBe(1);
    expect(JSON.parse(bad.stderr)).toMatchObject({ problems: [{ code: 'wrong-format' }] });
  });

  it.each([
    [['--pose', 'pyramid', '--side', 'right']],
    [['--person', 'public/demo/marit-sollen.json', '--pose', 'pyramid', '--side', 'up']],
    [['--person', 'no-such-file.json', '--pose', 'pyramid', '--side', 'left']],
    [['--wrong']],
  ])('exits 2 for wrong use: %j', (words) => {
    const { status, stderr } = plan(...words);
    expect(status).toBe(2);
    expect(stderr).toContain('Use:');
  });

  it('plans a flow for a person, or says what is wrong with it', () => {
    const flow = {
      format: 'stillwater.flow',
      version: 1,
      id: 'short',
      name: 'Short',
      steps: [
        { id: '1', kind: 'pose', pose: 'mountain', side: 'right', manner: { kind: 'passed' } },
        {
          id: '2',
          kind: 'pose',
          pose: 'triangle',
          side: 'left',
          manner: { kind: 'held', breaths: 4 },
        },
      ],
    };
    const good = plan('--person', marit, '--flow', file('flow.json', JSON.stringify(flow)));
    expect(good.status).toBe(0);
    const planned = JSON.parse(good.stdout) as FlowPlan;
    expect(planned.steps.map(({ name }) => name)).toEqual(['Mountain', 'Warrior II', 'Triangle']);
    const wrong = { ...flow, steps: [{ ...flow.steps[0], side: 'up' }] };
    const bad = plan('--person', marit, '--flow', file('wrong.json', JSON.stringify(wrong)));
    expect(bad.status).toBe(1);
    expect(bad.stderr).toContain('flow.steps[0].side');
    const none = plan(
      '--person',
      marit,
      '--flow',
      file('none.json', JSON.stringify({ ...flow, steps: [] })),
    );
    expect(none.stderr).toContain('This flow has no steps yet.');
    expect(plan('--flow', file('flow.json', JSON.stringify(flow))).status).toBe(2);
  });
});
