import type { Cues } from './cues.ts';

/** A cue at one breath of a hold. */
export interface BreathCue {
  /** Counted from 1. */
  readonly breath: number;
  readonly on: 'in' | 'out';
  readonly words: string;
}

/** A calm voice says so many words a second: 150 a minute. Common practice, no source. */
const WORDS_A_SECOND = 2.5;
/** A sentence may run a little into the other half of the breath, seconds. Our choice. */
const MAY_RUN_OVER = 0.5;

/** How long it takes to say something, seconds. */
const calcSeconds = (words: string): number => words.split(/\s+/).length / WORDS_A_SECOND;

/** What is said over the breath, in order: actions by pairs, then gaze and far points. */
function listPairs({
  inhale,
  exhale,
  gaze,
  farPoints,
}: Cues): readonly (readonly [string, string])[] {
  const count = Math.max(inhale.length, exhale.length);
  const actions = Array.from(
    { length: count },
    (_, i) => [inhale[i] ?? '', exhale[i] ?? ''] as const,
  );
  const [first = '', second = ''] = farPoints;
  const reach = second === '' ? first : `reach ${first} away from ${second}`;
  return [...actions, [gaze[0] ?? '', reach]];
}

/**
 * Cues laid over the breaths of a hold: an action as the breath comes in, one as it goes out. Where
 * both do not fit one breath, the second waits for the next. Breaths that are left over are quiet.
 *
 * @param cues of the pose
 * @param breaths of the hold
 * @param secondsABreath the person’s own pace
 * @returns in the order in which they are said, no more than one a half breath
 */
export function planBreaths(
  cues: Cues,
  breaths: number,
  secondsABreath: number,
): readonly BreathCue[] {
  const half = secondsABreath / 2 + MAY_RUN_OVER;
  const planned: BreathCue[] = [];
  let breath = 1;
  for (const [onIn, onOut] of listPairs(cues)) {
    if (breath > breaths) break;
    if (onIn !== '') planned.push({ breath, on: 'in', words: onIn });
    if (onOut !== '') {
      const fits = onIn === '' || (calcSeconds(onIn) <= half && calcSeconds(onOut) <= half);
      if (!fits) breath += 1;
      if (breath <= breaths) planned.push({ breath, on: 'out', words: onOut });
    }
    breath += 1;
  }
  return planned;
}

/**
 * What is said at a moment of a hold.
 *
 * @param plan of the hold
 * @param breath that is being breathed, from 1
 * @param on whether it comes in or goes out
 * @returns null = quiet
 */
export const findCueAt = (
  plan: readonly BreathCue[],
  breath: number,
  on: BreathCue['on'],
): string | null => plan.find((each) => each.breath === breath && each.on === on)?.words ?? null;
