import { useSyncExternalStore } from 'react';

/** A voice of the device itself: words for others would be sent over the network. */
const findLocalVoice = (): SpeechSynthesisVoice | null =>
  'speechSynthesis' in window
    ? (window.speechSynthesis
        .getVoices()
        .filter(({ localService }) => localService)
        .toSorted((a, b) => Number(b.lang.startsWith('en')) - Number(a.lang.startsWith('en')))[0] ??
      null)
    : null;

/** Browsers list their voices some time after they were first asked for. */
function onVoices(tell: () => void): () => void {
  if (!('speechSynthesis' in window)) return () => undefined;
  window.speechSynthesis.addEventListener('voiceschanged', tell);
  return () => {
    window.speechSynthesis.removeEventListener('voiceschanged', tell);
  };
}

/** Whether this device has a voice of its own. */
export const useCanSpeak = (): boolean =>
  useSyncExternalStore(
    onVoices,
    () => findLocalVoice() !== null,
    () => false,
  );

/** Says something aloud in place of what is being said; nothing where the device has no voice of its own. */
export function speak(words: string): void {
  const voice = findLocalVoice();
  if (voice === null) return;
  window.speechSynthesis.cancel();
  const utterance = new SpeechSynthesisUtterance(words);
  utterance.voice = voice;
  window.speechSynthesis.speak(utterance);
}

/** Stops at once. */
export function hush(): void {
  if ('speechSynthesis' in window) window.speechSynthesis.cancel();
}
