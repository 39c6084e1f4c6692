import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { useWrite } from '../shared/useWrite.tsx';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { findLyingPose } from '../../core/poses/lying/index.ts';
import { calcPace, clampPace } from '../../core/sessions/pace.ts';
import type { PlannedHold } from '../../core/sessions/session.ts';
import { getBreathSound, setBreathSound } from '../../data/settings.ts';
import { usePace } from './usePace.ts';

interface BreatheStageProps {
  personId: string;
  plan: PlannedHold;
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
export function BreatheStage({ personId, plan, breath, onBreath }: BreatheStageProps) {
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
    // One timer a breath: it begins anew when a breath was counted or the pace changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isCounting, pace, breath, hasSound]);
  const tap = (): void => {
    taps.current = [...taps.current, performance.now()].slice(-4);
    const own = calcPace(taps.current);
    if (own !== null) write(() => setPace(own));
    count();
  };
  const planned = plan.breaths * plan.rounds;
  const pose = findPose(plan.pose) ?? findLyingPose(plan.pose);
  const looks = pose !== null && 'lookAt' in pose ? pose.lookAt : [];
  return (
    <div className="run-breathe">
      <div className="pacer">
        <div className="pacer-vessel" aria-hidden>
          <div
            key={breath}
            className={isCounting ? 'pacer-water' : 'pacer-water still'}
            style={{ animationDuration: `${String(pace)}s` }}
          />
        </div>
        <p className="pacer-count" role="status">
          <span className="pacer-digits">{breath}</span> of {planned} breaths
        </p>
        <p className="run-words">
          {breath >= planned ? 'That is all that was planned.' : pose?.guidance.gaze}
        </p>
        <div className="pacer-tools">
          <button type="button" onClick={tap}>
            tap along
          </button>
          <button
            type="button"
            aria-pressed={!isCounting}
            onClick={() => {
              setIsCounting(!isCounting);
            }}
          >
            {isCounting ? 'pause' : 'count on'}
          </button>
          <button
            type="button"
            aria-label="shorter breaths"
            onClick={() => {
              write(() => setPace(clampPace(pace - 0.5)));
            }}
          >
            −
          </button>
          <span>{pace} s a breath</span>
          <button
            type="button"
            aria-label="longer breaths"
            onClick={() => {
              write(() => setPace(clampPace(pace + 0.5)));
            }}
          >
            +
          </button>
          <button
            type="button"
            aria-pressed={hasSound}
            onClick={() => {
              write(() => setBreathSound(!hasSound));
            }}
          >
            sound {hasSound ? 'on' : 'off'}
          </button>
        </div>
      </div>
      {told}
      <ol className="run-looks">
        {looks.map(({ at, look, change }) => (
          <li key={at}>
            <strong>{at}.</strong> {look} <span className="quiet">Else: {change}</span>
          </li>
        ))}
      </ol>
    </div>
  );
}
