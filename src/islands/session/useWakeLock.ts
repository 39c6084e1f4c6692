import { useEffect } from 'react';

/** Keeps the screen awake while a view is open, where the browser allows it. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let isOpen = true;
    const ask = async (): Promise<void> => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (!isOpen) await lock.release();
      } catch {
        // A battery that is low, or a browser that does not want to: the session goes on.
        lock = null;
      }
    };
    const onVisible = (): void => {
      void ask();
    };
    void ask();
    document.addEventListener('visibilitychange', onVisible);
    return () => {
      isOpen = false;
      document.removeEventListener('visibilitychange', onVisible);
      void lock?.release();
    };
  }, []);
}
