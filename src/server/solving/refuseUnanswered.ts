import { refuse } from '../problemAnswer.ts';
import type { TaskOutcome } from './solver.ts';

const WORDS: Readonly<Record<Exclude<TaskOutcome<unknown>['kind'], 'answered'>, string>> = {
  busy: 'Too many requests wait. Ask again in a moment.',
  'took-too-long': 'This took too long and was stopped. Ask for less at once.',
  abandoned: 'Nobody waits for this any more.',
  stopped: 'The calculation stopped. Ask again.',
};

/** The refusal of a task that has no answer: 503, and when to ask again. */
export const refuseUnanswered = (kind: keyof typeof WORDS): Response =>
  refuse(503, WORDS[kind], [], { 'Retry-After': '1' });
