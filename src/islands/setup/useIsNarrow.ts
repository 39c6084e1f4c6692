import { useSyncExternalStore } from 'react';

const NARROW = '(max-width: 700px)';

function subscribe(onChange: () => void): () => void {
  const media = window.matchMedia(NARROW);
  media.addEventListener('change', onChange);
  return () => {
    media.removeEventListener('change', onChange);
  };
}

/** Whether labels have to be drawn larger for a small screen. */
export const useIsNarrow = (): boolean =>
  useSyncExternalStore(subscribe, () => window.matchMedia(NARROW).matches);
