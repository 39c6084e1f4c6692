import { describe, expect, it } from 'vitest';
import { POSES } from '../../src/core/poses/catalogue/index.ts';
import { answerClassProps } from '../../src/server/classPropsEndpoint.ts';
import type { Flow } from '../../src/core/sequence/flow.ts';
import type { FlowPlan } from '../../src/core/sequence/flowChecks.ts';
import type { ClassSettings } from '../../src/core/classes/planSettings.ts';
import { answerClassSettings } from '../../src/server/classSettingsEndpoint.ts';
import { answerFlow } from '../../src/server/flowEndpoint.ts';
import { answerPoses } from '../../src/server/posesEndpoint.ts';
import { answerSchema } from '../../src/server/schemas.ts';
import { answerSetUp } from '../../src/server/setUpEndpoint.ts';
import { writePersonFile } from '../../src/core/formats/personFile.ts';
import { flowOf } from '../support/flows.ts';
import { fileOf, recordOf, REFERENCE, STIFF } from '../support/people.ts';
import { mutateText } from '../support/mutate.ts';
import { makeRandom } from '../support/random.ts';

interface ProblemBody {
  status: number;
  title: string;
  problems: { path: string; code: string; hint: string }[];
}

const person = (): unknown => JSON.parse(writePersonFile(recordOf(REFERENCE)));
const post = (body: BodyInit, type = 'application/json'): Promise<Response> =>
  answerSetUp(
    new Request('http://localhost/api/set-up', {
      method: 'POST',
      body,
      headers: { 'content-type': type },
      ...(body instanceof ReadableStream ? { duplex: 'half' } : {}),
    }),
  );
const refused = async (answer: Promise<Response>): Promise<ProblemBody> => {
  const response = await answer;
  expect(response.headers.get('content-type')).toBe('application/problem+json');
  const body = (await response.json()) as ProblemBody;
  expect(body.status).toBe(response.status);
  return body;
};

describe('POST /api/set-up', () => {
  it('answers a set-up', async () => {
    const response = await post(
      JSON.stringify({ person: person(), pose: 'triangle', side: 'left', rules: {} }),
    );
    expect(response.status).toBe(200);
    expect(await response.json()).toMatchObject({
      format: 'stillwater.set-up',
      pose: 'triangle',
      side: 'left',
      status: 'solved',
    });
  });

  it('names every wrong path, with a hint', async () => {
    const body = await refused(
      post(
        JSON.stringify({
          person: { format: 'stillwater.person', version: 1 },
          pose: 'triangle',
          side: 'both',
        }),
      ),
    );
    expect(body.status).toBe(400);
    expect(body.problems.map((each) => each.path)).toEqual([
      'person.person',
      'person.readings',
      'side',
    ]);
    for (const each of body.problems) expect(each.hint).not.toBe('');
  });

  it('answers 422 and names the measure that is missing', async () => {
    const short = recordOf({ ...REFERENCE });
    const readings = short.readings.filter((each) => each.measure !== 'hip-opening');
    const body = await refused(
      post(
        JSON.stringify({
          person: JSON.parse(writePersonFile({ ...short, readings })) as unknown,
          pose: 'triangle',
          side: 'left',
        }),
      ),
    );
    expect(body.status).toBe(422);
    expect(body.problems.map((each) => each.path)).toEqual([
      'hip-opening left',
      'hip-opening right',
    ]);
  });

  it('answers 400 to an unknown pose and to what is not JSON', async () => {
    expect(
      (await refused(post(JSON.stringify({ person: person(), pose: 'headstand', side: 'left' }))))
        .status,
    ).toBe(400);
    expect((await refused(post('{"person"'))).status).toBe(400);
    expect((await refused(post(''))).status).toBe(400);
  });

  it('answers 415 to another type and 413 above 1 MB, chunked too', async () => {
    expect((await refused(post('{}', 'text/plain'))).status).toBe(415);
    const large = 'x'.repeat(1_100_000);
    expect((await refused(post(large))).status).toBe(413);
    const chunk = new TextEncoder().encode('x'.repeat(200_000));
    let sent = 0;
    const stream = new ReadableStream({
      pull(controller) {
        sent += 1;
        if (sent > 10) controller.close();
        else controller.enqueue(chunk);
      },
    });
    expect((await refused(post(stream))).status).toBe(413);
  });

  it('survives 600 fuzzed bodies: an answer or a refusal, never a crash', async () => {
    const random = makeRandom(99);
    const good = JSON.stringify({
      person: person(),
      pose: 'pyramid',
      side: 'right',
      rules: { stance: 'fixed' },
      detail: 'quick',
    });
    const seen = new Map<number, number>();
    for (let i = 0; i < 600; i += 1) {
      const response = await post(mutateText(good, random));
      seen.set(response.status, (seen.get(response.status) ?? 0) + 1);
      expect([200, 400, 422]).toContain(response.status);
    }
    expect(seen.get(400) ?? 0).toBeGreaterThan(100);
  });
});

describe('GET /api/schemas', () => {
  it('serves each schema and refuses other names', async () => {
    for (const name of ['person', 'set-up', 'rules', 'props']) {
      expect(await answerSchema(name).json()).toMatchObject({
        $schema: 'https://json-schema.org/draft/2020-12/schema',
      });
    }
    expect(answerSchema('nothing').status).toBe(404);
    expect(answerSchema('__proto__').status).toBe(404);
  });
});

describe('POST /api/class-props', () => {
  const ask = (body: unknown): Promise<Response> =>
    answerClassProps(
      new Request('http://localhost/api/class-props', {
        method: 'POST',
        body: JSON.stringify(body),
        headers: { 'content-type': 'application/json' },
      }),
    );

  it('gives the one tall block to whom it fits best', async () => {
    const block = { id: 'block', kind: 'block', name: 'Block', heightsCm: [23, 7.5, 15] };
    const response = await ask({
      props: [{ ...block, lengthCm: null, count: 1 }],
      needs: [
        { person: 'Vesna', heightCm: 22, hands: 1 },
        { person: 'Tove', heightCm: 3, hands: 1 },
      ],
    });
    expect(response.status).toBe(200);
    const { shares } = (await response.json()) as {
      shares: { person: string; offCm: number; stack: { heightCm: number } }[];
    };
    expect(shares.map(({ person, stack, offCm }) => [person, stack.heightCm, offCm])).toEqual([
      ['Vesna', 23, 1],
      ['Tove', 0, -3],
    ]);
  });

  const makeProp = (id: string, kind: string, heightsCm: readonly number[]) => ({
    ...{ id, kind, name: id, lengthCm: null, count: 200 },
    heightsCm,
  });

  it('refuses a cupboard of more kinds than a studio has, by name', async () => {
    // 9 kB that ran out of memory before: every block carries every other, and every blanket.
    const many = Array.from({ length: 100 }, (_, i) =>
      makeProp(String(i), i % 2 === 0 ? 'block' : 'blanket', [1, 2, 3, 4, 5, 6]),
    );
    const { problems, status } = await refused(ask({ props: many, needs: [] }));
    expect(status).toBe(400);
    expect(problems[0]!.path).toBe('props');
  });

  it('answers the largest cupboard that it takes', async () => {
    const most = Array.from({ length: 24 }, (_, i) =>
      makeProp(
        String(i),
        i % 2 === 0 ? 'block' : 'blanket',
        [1, 2, 3, 4, 5, 6].map((each) => each + i / 100),
      ),
    );
    const response = await ask({
      props: most,
      needs: Array.from({ length: 60 }, (_, i) => ({
        person: String(i),
        heightCm: 3 + i / 10,
        hands: 1,
      })),
    });
    const { shares } = (await response.json()) as { shares: { offCm: number }[] };
    expect(shares).toHaveLength(60);
    for (const { offCm } of shares) expect(Math.abs(offCm)).toBeLessThan(0.3);
  });

  it('names every wrong field', async () => {
    const { problems, status } = await refused(
      ask({ props: [], needs: [{ person: 'Vesna', heightCm: -4, hands: 3 }] }),
    );
    expect(status).toBe(400);
    expect(problems.map((each) => each.path).sort()).toEqual([
      'needs[0].hands',
      'needs[0].heightCm',
    ]);
  });
});

describe('POST /api/flow', () => {
  const ask = (flow: Flow, rules: object = {}): Promise<Response> =>
    answerFlow(
      new Request('http://localhost/api/flow', {
        method: 'POST',
        body: JSON.stringify({
          person: person(),
          flow: { format: 'stillwater.flow', version: 1, ...flow },
          rules,
        }),
        headers: { 'content-type': 'application/json' },
      }),
    );

  it('answers the flow planned for the person, with set-ups, moves and marks', async () => {
    const response = await ask(flowOf('mountain', 'warrior-two', 'side-angle'));
    expect(response.status).toBe(200);
    const plan = (await response.json()) as FlowPlan;
    expect(plan.steps.map(({ name }) => name)).toEqual(['Mountain', 'Warrior II', 'Side angle']);
    expect(plan.steps[1]!.moves[0]).toMatchObject({ side: 'left', how: 'lifted' });
    expect(plan.runs).toHaveLength(1);
    expect(plan.marks.length).toBeGreaterThan(2);
  });

  it('refuses what it cannot read, and a flow without steps or with too many', async () => {
    expect((await refused(ask(flowOf()))).problems[0]!.code).toBe('no-steps');
    const many = flowOf(...Array.from({ length: 200 }, () => 'mountain'));
    expect((await refused(ask(many))).problems[0]!.code).toBe('too-many-steps');
    const wrong = await refused(ask(flowOf('mountain'), { stance: 'huge' }));
    expect(wrong.status).toBe(400);
  });
});

describe('GET /api/poses', () => {
  it('lists every pose with its levels and the measures it needs', async () => {
    const { poses } = (await answerPoses().json()) as {
      poses: { id: string; levels: { id: string }[]; needs: string[] }[];
    };
    expect(poses).toHaveLength(POSES.length);
    const twist = poses.find((each) => each.id === 'revolved-side-angle');
    expect(twist?.levels.map((each) => each.id)).toEqual(['usual', 'heel-up', 'hook', 'bind']);
    expect(twist?.needs).toContain('trunk-rotation');
  });

  it('lists what links them, and where each pose may lead', async () => {
    const { poses, linking, warmUps } = (await answerPoses().json()) as Record<
      'poses' | 'linking' | 'warmUps',
      readonly { readonly id: string; readonly transitions?: readonly { readonly to: string }[] }[]
    >;
    const mountain = poses.find(({ id }) => id === 'mountain');
    expect(mountain?.transitions?.map(({ to }) => to)).toContain('forward-fold');
    expect(linking.map(({ id }) => id)).toContain('downward-dog');
    expect(warmUps.map(({ id }) => id)).toContain('leg-swings');
  });
});

describe('POST /api/class-settings', () => {
  const ask = (body: object): Promise<Response> =>
    answerClassSettings(
      new Request('http://localhost/api/class-settings', {
        method: 'POST',
        body: JSON.stringify(body),
        headers: { 'content-type': 'application/json' },
      }),
    );

  it('groups a class, and refuses what is none', async () => {
    const people = [REFERENCE, STIFF].map((measures, i) =>
      fileOf(recordOf(measures, { id: `p${String(i)}` })),
    );
    const answer = await ask({ people, pose: 'triangle', setting: 'hand-height' });
    expect(answer.status).toBe(200);
    const { groups } = (await answer.json()) as ClassSettings;
    expect(groups).toHaveLength(4);
    expect(groups[3]!.places.map(({ person, sides }) => [person, ...sides])).toEqual([
      ['p0', 'left', 'right'],
      ['p1', 'left', 'right'],
    ]);
    expect((await ask({ people: [], pose: 'triangle' })).status).toBe(400);
  });
});
