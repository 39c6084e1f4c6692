import { useEffect, useState } from 'react';
import type { Result } from '../../core/problems/problem.ts';
import type { Watch } from '../../workers/setUpClient.ts';
import { useAnswer } from './useAnswer.ts';

/** Where a question that takes seconds stands. */
export type LongAnswer<Answer> =
  | { readonly kind: 'not-asked'; readonly ask: () => void }
  | {
      readonly kind: 'working';
      readonly done: number;
      /** 0 = not known yet. */
      readonly all: number;
      readonly stop: () => void;
    }
  | { readonly kind: 'answered'; readonly result: Result<Answer> };

/** A question about one key; nobody runs it until it is asked, or once it is stopped. */
const askAbout = (key: string, isRunning: boolean) => ({
  key,
  running: isRunning ? new AbortController() : null,
  done: 0,
  all: 0,
});

/**
 * A question that takes seconds: it can be watched and stopped, and stops by itself when it is
 * asked about something else or its view is left.
 *
 * @param key what the answer depends on
 * @param question asks it
 * @param startsBy `itself` = it is asked without a press, once for each key
 */
export function useLongAnswer<Answer>(
  key: string,
  question: (watch: Watch) => Promise<Result<Answer>>,
  startsBy: 'a press' | 'itself' = 'a press',
): LongAnswer<Answer> {
  const [asked, setAsked] = useState(() => askAbout(key, startsBy === 'itself'));
  if (asked.key !== key) setAsked(askAbout(key, startsBy === 'itself'));
  const { running, done, all } = asked;
  const result = useAnswer(running === null ? null : key, () =>
    question({
      signal: running!.signal,
      onProgress: (done, all) => {
        setAsked((now) => (now.running === running ? { ...now, done, all } : now));
      },
    }),
  );
  useEffect(
    () => () => {
      running?.abort();
    },
    [running],
  );
  const setRunning = (isRunning: boolean) => (): void => {
    setAsked(askAbout(key, isRunning));
  };
  if (running === null) return { kind: 'not-asked', ask: setRunning(true) };
  if (result !== null) return { kind: 'answered', result };
  return { kind: 'working', done, all, stop: setRunning(false) };
}
