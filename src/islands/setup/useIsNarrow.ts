import { useSyncExternalStore } from 'react';

const NARROW = '(max-width: 700px)';

function subscribe(onChange: () => void): () => void {
  const media = window.matchMedia(NARROW);
  media.addEventListener('change', onChange);
  return () => {
    media.removeEventListener('change', onChange);
  };
}

/** Whether the screen is a small one: labels are drawn larger, and the shelf waits to be opened. */
export const useIsNarrow = (): boolean =>
  useSyncExternalStore(subscribe, () => window.matchMedia(NARROW).matches);
