import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { recordOf, STIFF } from '../support/people.ts';
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
});
