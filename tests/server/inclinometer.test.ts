import { describe, expect, it } from 'vitest';
import type { Sample } from '../../src/core/instruments/sample.ts';
import { moveInclinometer, streamInclinometer } from '../../src/server/inclinometerEndpoint.ts';

const open = (device: string): Response =>
  streamInclinometer(new URL(`http://localhost/api/inclinometer?device=${device}`));

const move = (body: unknown): Promise<Response> =>
  moveInclinometer(
    new Request('http://localhost/api/inclinometer', {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    }),
  );

/** Reads events until there are enough, or the stream ends. */
async function readSamples(response: Response, count: number): Promise<Sample[]> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  const samples: Sample[] = [];
  let text = '';
  while (samples.length < count) {
    const { done, value } = await reader.read();
    if (done) break;
    text += value;
    const events = text.split('\n\n');
    text = events.pop() ?? '';
    for (const event of events) {
      if (event.startsWith('data: ')) samples.push(JSON.parse(event.slice(6)) as Sample);
    }
  }
  await reader.cancel();
  return samples;
}

const known = (samples: readonly Sample[]): number[] =>
  samples.flatMap(({ deg }) => (deg === null ? [] : [deg]));

describe('the inclinometer’s stand-in', () => {
  it('streams samples with angle, battery and quality, and never the truth', async () => {
    const response = open('stream');
    expect(response.headers.get('content-type')).toBe('text/event-stream');
    const samples = await readSamples(response, 20);
    expect(samples).toHaveLength(20);
    for (const each of samples) {
      expect(Object.keys(each).sort()).toEqual(['at', 'batteryPercent', 'deg', 'quality']);
    }
    const seconds = (samples.at(-1)!.at - samples[0]!.at) / 1000;
    expect(seconds).toBeGreaterThan(0.8);
  });

  it('is led by hand, at the speed of a hand', async () => {
    await readSamples(open('led'), 2);
    expect((await move({ device: 'led', deg: 30 })).status).toBe(204);
    const path = known(await readSamples(open('led'), 30));
    expect(path[0]).toBeLessThan(15);
    const rest = path.slice(-5);
    expect(rest.reduce((sum, each) => sum + each, 0) / rest.length).toBeCloseTo(30, -1);
  });

  it('breaks off when it is told to, and goes on where it was', async () => {
    await readSamples(open('broken'), 3);
    await move({ device: 'broken', disconnect: true });
    expect(await readSamples(open('broken'), 40)).toEqual([]);
    expect(await readSamples(open('broken'), 3)).toHaveLength(3);
  });

  it('says itself when its contact is poor', async () => {
    await move({ device: 'poor', isPoor: true });
    const samples = await readSamples(open('poor'), 10);
    expect(Math.max(...samples.map((each) => each.quality))).toBeLessThan(0.5);
  });

  it.each([
    ['no name', {}, 'device'],
    ['an angle beyond a turn', { device: 'a', deg: 400 }, 'deg'],
    ['an angle in words', { device: 'a', deg: 'steep' }, 'deg'],
  ])('refuses %s by its field', async (_, body, path) => {
    const answer = await move(body);
    expect(answer.status).toBe(400);
    const { problems } = (await answer.json()) as { problems: { path: string }[] };
    expect(problems.map((each) => each.path)).toEqual([path]);
  });

  it('refuses a stream without a name', () => {
    expect(open('').status).toBe(400);
  });
});
