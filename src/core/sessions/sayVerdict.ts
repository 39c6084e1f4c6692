import type { VerdictKind } from './ladder.ts';

const WORDS: Readonly<Record<VerdictKind, string>> = {
  'go-on': 'one step further',
  keep: 'keep it as it is',
  ease: 'one step easier',
  'stop-today': 'stopped that day, next time one step easier',
  pause: 'paused until it is cleared',
  'pause-and-send-on': 'paused; a doctor or physiotherapist should look at it',
  'end-session': 'nothing until it is cleared',
};

/**
 * A verdict in words.
 *
 * @param kind of the verdict
 * @returns a few words, to stand in a sentence
 * @example
 * sayVerdict('go-on') // → "one step further"
 */
export const sayVerdict = (kind: VerdictKind): string => WORDS[kind];
