import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { createInterface } from 'node:readline';
import { describe, expect, it } from 'vitest';
import { writePersonFile } from '../../src/core/formats/personFile.ts';
import { writeFlowFile } from '../../src/core/formats/flowFile.ts';
import { POSES } from '../../src/core/poses/catalogue/index.ts';
import { answerLine } from '../../scripts/batch/answerLine.ts';
import { flowOf } from '../support/flows.ts';
import { fileOf, recordOf, REFERENCE, STIFF } from '../support/people.ts';

/** The command with a heap of so many megabytes. */
const start = (megabytes: number) =>
  spawn(
    process.execPath,
    [`--max-old-space-size=${String(megabytes)}`, '--import', 'tsx', 'scripts/plan.ts', '--batch'],
    { stdio: ['pipe', 'pipe', 'inherit'] },
  );

const readObject = (text: string): object => JSON.parse(text) as object;

const request = (pose: string, measures = REFERENCE): string =>
  JSON.stringify({
    person: readObject(writePersonFile(fileOf(recordOf(measures)))),
    pose,
    side: 'left',
    detail: 'quick',
  });

describe('a batch of requests', () => {
  it('is answered line by line in its order, a bad line in its place', async () => {
    const lines = [
      ...POSES.map(({ id }) => request(id)),
      '{ no json',
      '',
      request('headstand'),
      JSON.stringify({
        person: readObject(writePersonFile(fileOf(recordOf(REFERENCE)))),
        flow: readObject(writeFlowFile(flowOf('mountain', 'chair'))),
      }),
      JSON.stringify({ person: 3, pose: 'tree' }),
      ...POSES.slice(0, 12).map(({ id }) => request(id, STIFF)),
    ];
    const batch = start(300);
    batch.stdin.end(lines.join('\n'));
    const answers: string[] = [];
    for await (const line of createInterface({ input: batch.stdout })) answers.push(line);
    expect(answers).toHaveLength(lines.length);
    const now = new Date().toISOString();
    const known = lines.map((each, i) => answerLine(each, i + 1, now));
    for (const [i, answer] of answers.entries()) {
      const [own, other] = [answer, known[i]!].map(readObject);
      expect(own, lines[i]!.slice(-60)).toEqual(other);
    }
    const bad = JSON.parse(answers[POSES.length + 2]!) as { line: number; problems: object[] };
    expect(bad).toMatchObject({ line: POSES.length + 3, problems: [{ code: 'unknown-pose' }] });
  });

  it('takes no more memory for many lines than for few', async () => {
    // Three times as much text as the heap may hold.
    const [lines, megabytes] = [120_000, 90];
    const text = `{${' '.repeat(2_300)}\n`;
    const batch = start(megabytes);
    const write = async (): Promise<void> => {
      for (let i = 0; i < lines; i += 1) {
        if (!batch.stdin.write(text)) await once(batch.stdin, 'drain');
      }
      batch.stdin.end();
    };
    let count = 0;
    const read = async (): Promise<void> => {
      for await (const line of createInterface({ input: batch.stdout })) {
        count += 1;
        if (count % 40_000 === 0) expect(line).toContain(`"line":${String(count)},`);
      }
    };
    const [exit] = await Promise.all([once(batch, 'exit'), write(), read()]);
    expect(exit).toEqual([0, null]);
    expect(count).toBe(lines);
  });
});
