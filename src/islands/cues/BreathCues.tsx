import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { findCueAt, planBreaths, type BreathCue } from '../../core/cues/breathPlan.ts';
import { findCues } from '../../core/cues/cueText.ts';
import type { Guidance } from '../../core/poses/guidance.ts';
import { capital } from '../../core/units/capital.ts';
import { getCueVoice, setCueVoice } from '../../data/settings.ts';
import { hush, speak, useCanSpeak } from '../shared/speak.ts';
import { Toggle } from '../shared/ui/Button.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { useOwnCues } from './useOwnCues.ts';
import { breathCues as say } from './words.ts';

interface BreathCuesProps {
  pose: string;
  guidance: Guidance;
  /** Of the hold. */
  breaths: number;
  secondsABreath: number;
  /** The breath that is being breathed, from 1. */
  breath: number;
  /** Breaths count themselves: each has its two halves. */
  isCounting: boolean;
}

/** Which half of a breath it is: in, then out after half its time. */
function useHalf(breath: number, seconds: number, isCounting: boolean): BreathCue['on'] {
  const [outOf, setOutOf] = useState<number | null>(null);
  useEffect(() => {
    if (!isCounting) return;
    const timer = setTimeout(() => {
      setOutOf(breath);
    }, seconds * 500);
    return () => {
      clearTimeout(timer);
      // A breath that was paused begins again.
      setOutOf(null);
    };
  }, [breath, seconds, isCounting]);
  return outOf === breath ? 'out' : 'in';
}

/** What is said at this breath, the half that is being breathed in bold; read aloud if it is wanted. */
export function BreathCues({
  pose,
  guidance,
  breaths,
  secondsABreath,
  breath,
  isCounting,
}: BreathCuesProps) {
  const own = useOwnCues();
  const hasVoice = useLiveQuery(getCueVoice, []) ?? false;
  const { write, told } = useWrite();
  const canSpeak = useCanSpeak();
  const half = useHalf(breath, secondsABreath, isCounting);
  const { cues } = findCues(guidance, own?.texts[pose] ?? null);
  const plan = planBreaths(cues, breaths, secondsABreath);
  const words = findCueAt(plan, breath, half);
  useEffect(() => {
    if (hasVoice && words !== null) speak(words);
    // A voice that was found late speaks the words that are shown.
  }, [hasVoice, canSpeak, words]);
  useEffect(() => hush, []);
  const turn = (isOn: boolean): void => {
    if (!isOn) hush();
    write(() => setCueVoice(isOn));
  };
  useEffect(() => {
    if (!hasVoice) return;
    const onKey = ({ key, ctrlKey, metaKey, target }: KeyboardEvent): void => {
      const isTyped = target instanceof Element && target.closest('input, textarea') !== null;
      if (key.toLowerCase() === 'q' && !ctrlKey && !metaKey && !isTyped) turn(false);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
    // `turn` is new at every render and does the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [hasVoice]);
  return (
    <div
      className="mb-2 min-h-28 max-w-[44ch] text-[1.5rem] leading-[1.25]"
      data-testid="breath-cues"
    >
      {(['in', 'out'] as const).map((on) => {
        const cue = findCueAt(plan, breath, on);
        return (
          <p key={on} className="m-0 grid grid-cols-[3rem_1fr]" aria-current={on === half}>
            <span className="text-faint">{say[on]}</span>
            {cue === null ? (
              <span className="text-faint">{say.quiet}</span>
            ) : (
              <span className={on === half ? 'font-bold' : undefined}>{capital(cue)}</span>
            )}
          </p>
        );
      })}
      <Toggle
        className="mt-2"
        aria-pressed={hasVoice}
        onClick={() => {
          turn(!hasVoice);
        }}
      >
        {say.readAloud(hasVoice)}
      </Toggle>
      {hasVoice && !canSpeak && <p className="text-[1.1rem] text-faint">{say.noVoice}</p>}
      {told}
    </div>
  );
}
