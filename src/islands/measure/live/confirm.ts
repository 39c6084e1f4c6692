import { speak } from '../../shared/speak.ts';
import type { Confirmation } from '../../../data/settings.ts';

let audio: AudioContext | null = null;

/** A short tone: higher for taken, lower for undone. */
function beep(hertz: number): void {
  audio ??= new AudioContext();
  const tone = audio.createOscillator();
  const volume = audio.createGain();
  volume.gain.setValueAtTime(0.15, audio.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.25);
  tone.frequency.value = hertz;
  tone.connect(volume).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.25);
}

/** Says to the room what has just been taken or undone. */
export function confirmAloud(how: Confirmation, words: string, isUndone = false): void {
  if (how === 'sound' && 'AudioContext' in window) beep(isUndone ? 330 : 880);
  if (how === 'voice') speak(words);
}
