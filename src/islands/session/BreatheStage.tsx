import clsx from 'clsx';
import { BreathCues } from '../cues/BreathCues.tsx';
import { Toggle } from '../shared/ui/Button.tsx';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { useWrite } from '../shared/useWrite.tsx';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { findLyingPose } from '../../core/poses/lying/index.ts';
import { calcPace, clampPace } from '../../core/sessions/pace.ts';
import { getBreathSound, setBreathSound } from '../../data/settings.ts';
import { usePace } from '../shared/usePace.ts';
import { breatheStage as say } from './words.ts';

interface BreatheStageProps {
  personId: string;
  pose: string;
  /** What is said of a linking pose or a movement; '' = nothing. */
  say: string;
  /** Breaths in all. */
  planned: number;
  /** Breaths counted so far. */
  breath: number;
  onBreath: (breath: number) => void;
}

let audio: AudioContext | null = null;

/** A quiet tone at the end of a breath. */
function sound(): void {
  audio ??= new AudioContext();
  const tone = audio.createOscillator();
  const volume = audio.createGain();
  tone.frequency.value = 330;
  volume.gain.setValueAtTime(0.08, audio.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.6);
  tone.connect(volume).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.6);
}

/** The hold: breaths counted at the person's own pace, never forced, and what to look at in order. */
export function BreatheStage({
  personId,
  pose: id,
  say: sentence,
  planned,
  breath,
  onBreath,
}: BreatheStageProps) {
  const [pace, setPace] = usePace(personId);
  const { write, told } = useWrite();
  const hasSound = useLiveQuery(getBreathSound, []) ?? false;
  const [isCounting, setIsCounting] = useState(true);
  const taps = useRef<number[]>([]);
  const count = (): void => {
    if (hasSound) sound();
    onBreath(breath + 1);
  };
  useEffect(() => {
    if (!isCounting) return;
    const timer = setTimeout(count, pace * 1000);
    return () => {
      clearTimeout(timer);
    };
    // One timer a breath: it restarts when a breath was counted or the pace changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isCounting, pace, breath, hasSound]);
  const tap = (): void => {
    taps.current = [...taps.current, performance.now()].slice(-4);
    const own = calcPace(taps.current);
    if (own !== null) write(() => setPace(own));
    count();
  };
  const pose = findPose(id) ?? findLyingPose(id);
  const looks = pose !== null && 'lookAt' in pose ? pose.lookAt : [];
  return (
    <div
      className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-10 max-tablet:grid-cols-[minmax(0,1fr)]"
      data-testid="run-breathe"
    >
      <div className="grid grid-cols-[9rem_1fr] content-start gap-x-8 gap-y-2 max-phone:grid-cols-[3.5rem_1fr] max-phone:gap-x-4">
        <div
          className="row-span-3 flex h-80 items-end overflow-hidden border-3 border-t-0 border-ink"
          aria-hidden
        >
          <div
            key={breath}
            className={clsx(
              'size-full origin-bottom scale-y-20 border-t-4 border-water bg-shallow',
              isCounting && 'animate-[one-breath_5s_ease-in-out]',
            )}
            style={{ animationDuration: `${String(pace)}s` }}
          />
        </div>
        <p className="m-0 text-[2rem]" role="status">
          <span className="mr-2 font-serif text-[9rem] leading-none font-medium tabular-nums lining-nums">
            {breath}
          </span>
          {say.of(planned)}
        </p>
        {breath < planned && pose !== null ? (
          <BreathCues
            pose={pose.id}
            guidance={pose.guidance}
            breaths={planned}
            secondsABreath={pace}
            breath={breath + 1}
            isCounting={isCounting}
          />
        ) : (
          <p className="mb-2 max-w-[44ch] text-[1.5rem]">
            {breath >= planned ? say.plannedNumber : sentence}
          </p>
        )}
        <div className="flex flex-wrap items-center gap-2">
          <Toggle onClick={tap}>{say.tapEachBreath}</Toggle>
          <Toggle
            aria-pressed={!isCounting}
            onClick={() => {
              setIsCounting(!isCounting);
            }}
          >
            {isCounting ? 'pause' : say.countForMe}
          </Toggle>
          <Toggle
            aria-label={say.shorterBreaths}
            onClick={() => {
              write(() => setPace(clampPace(pace - 0.5)));
            }}
          >
            −
          </Toggle>
          <span>{say.sBreath(pace)}</span>
          <Toggle
            aria-label={say.longerBreaths}
            onClick={() => {
              write(() => setPace(clampPace(pace + 0.5)));
            }}
          >
            +
          </Toggle>
          <Toggle
            aria-pressed={hasSound}
            onClick={() => {
              write(() => setBreathSound(!hasSound));
            }}
          >
            {say.sound(hasSound ? 'on' : 'off')}
          </Toggle>
        </div>
      </div>
      {told}
      <ol className="pl-[1.8rem] text-[1.5rem] leading-[1.2] *:mb-2">
        {looks.map(({ at, look, change }) => (
          <li key={at}>
            <strong>{at}.</strong> {look}{' '}
            <span className="text-faint">{say.otherwise(change)}</span>
          </li>
        ))}
      </ol>
    </div>
  );
}
