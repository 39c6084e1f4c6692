import { useCallback, useSyncExternalStore } from 'react';

const CHANGED = 'stillwater:query';

function subscribe(onChange: () => void): () => void {
  window.addEventListener('popstate', onChange);
  window.addEventListener(CHANGED, onChange);
  return () => {
    window.removeEventListener('popstate', onChange);
    window.removeEventListener(CHANGED, onChange);
  };
}

/** The page's query as state, so that every view has a link and the back button works. */
export function useQuery(): readonly [
  URLSearchParams,
  (changes: Readonly<Record<string, string | null>>) => void,
] {
  const search = useSyncExternalStore(subscribe, () => window.location.search);
  const change = useCallback((changes: Readonly<Record<string, string | null>>) => {
    const next = new URLSearchParams(window.location.search);
    for (const [key, value] of Object.entries(changes)) {
      if (value === null) next.delete(key);
      else next.set(key, value);
    }
    window.history.pushState(null, '', `?${next.toString()}`);
    window.dispatchEvent(new Event(CHANGED));
  }, []);
  return [new URLSearchParams(search), change];
}
