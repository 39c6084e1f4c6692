import { describe, expect, it } from 'vitest';
import { LatestOnly } from '../../src/workers/latestOnly.ts';

/** A worker whose answers come when the test lets them. */
function delayed() {
  const waiting: { readonly question: number; readonly answer: () => void }[] = [];
  const ask = (question: number): Promise<number> =>
    new Promise((resolve) => {
      waiting.push({
        question,
        answer: () => {
          resolve(question * 10);
        },
      });
    });
  return { waiting, ask };
}

const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

describe('only the latest question', () => {
  it('is asked next; what came between is never asked, and no older answer follows a newer', async () => {
    const { waiting, ask } = delayed();
    const landed: [number, number][] = [];
    const latest = new LatestOnly(ask, (answer, question) => landed.push([question, answer]));
    for (const question of [1, 2, 3, 4]) latest.put(question);
    expect(waiting.map((each) => each.question)).toEqual([1]);
    waiting[0]!.answer();
    await settle();
    expect(waiting.map((each) => each.question)).toEqual([1, 4]);
    latest.put(5);
    waiting[1]!.answer();
    await settle();
    waiting[2]!.answer();
    await settle();
    expect(landed).toEqual([
      [1, 10],
      [4, 40],
      [5, 50],
    ]);
  });

  it('lands nowhere once it is closed', async () => {
    const { waiting, ask } = delayed();
    const landed: number[] = [];
    const latest = new LatestOnly(ask, (answer) => landed.push(answer));
    latest.put(1);
    latest.put(2);
    latest.close();
    waiting[0]!.answer();
    await settle();
    expect(waiting).toHaveLength(1);
    expect(landed).toEqual([]);
  });
});
