import Joi from 'joi';
import { SAMPLES_PER_SECOND } from '../core/instruments/simulatedInclinometer.ts';
import { findShapeProblems } from '../core/formats/validate.ts';
import { findDevice, type PanelMove } from './inclinometerDevices.ts';
import { refuse } from './problemAnswer.ts';
import { readJsonBody } from './readJsonBody.ts';

const NAME = /^[\w-]{1,64}$/;

/** Streams that are open at once; each costs twenty events a second. Our choice. */
const MOST_STREAMS = 64;
let streams = 0;

const moveSchema = Joi.object({
  device: Joi.string().pattern(NAME).required(),
  deg: Joi.number().min(-180).max(180),
  isPoor: Joi.boolean(),
  disconnect: Joi.boolean(),
});

/**
 * `GET /api/inclinometer?device=…`: the stand-in's stream as server-sent events, one
 * sample an event, twenty a second. The browser comes back by itself when it breaks.
 */
export function streamInclinometer(url: URL): Response {
  const name = url.searchParams.get('device') ?? '';
  if (!NAME.test(name)) {
    return refuse(400, 'Name the device: letters, digits, _ and -, 1 to 64 of them.');
  }
  if (streams >= MOST_STREAMS) {
    const words = `${String(MOST_STREAMS)} instruments are open already. Close one.`;
    return refuse(503, words, [], { 'Retry-After': '5' });
  }
  streams += 1;
  let isOpen = true;
  const close = (): void => {
    clearInterval(timer);
    if (isOpen) streams -= 1;
    isOpen = false;
  };
  const encoder = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      controller.enqueue(encoder.encode('retry: 1000\n\n'));
      timer = setInterval(() => {
        const sample = findDevice(name, Date.now()).read(Date.now());
        if (sample === null) {
          close();
          controller.close();
        } else {
          controller.enqueue(encoder.encode(`data: ${JSON.stringify(sample)}\n\n`));
        }
      }, 1000 / SAMPLES_PER_SECOND);
    },
    cancel: close,
  });
  return new Response(stream, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' },
  });
}

/** `POST /api/inclinometer`: `{device, deg?, isPoor?, disconnect?}` leads the stand-in by hand. */
export async function moveInclinometer(request: Request): Promise<Response> {
  const json = await readJsonBody(request);
  if (json instanceof Response) return json;
  const problems = findShapeProblems(moveSchema, json.value);
  if (problems.length > 0) return refuse(400, 'Some fields are wrong.', problems);
  const { device, ...move } = json.value as PanelMove & { readonly device: string };
  findDevice(device, Date.now()).move(move);
  return new Response(null, { status: 204 });
}
