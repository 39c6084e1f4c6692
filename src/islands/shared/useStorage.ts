import { useCallback, useEffect, useState } from 'react';
import { findStorage, type StorageState } from './storage.ts';

/** What the browser says of its storage, and how to look again; null = nothing. */
export function useStorage(): {
  readonly storage: StorageState | null;
  readonly lookAgain: () => void;
} {
  const [storage, setStorage] = useState<StorageState | null>(null);
  const lookAgain = useCallback(() => {
    void findStorage().then(setStorage);
  }, []);
  useEffect(lookAgain, [lookAgain]);
  return { storage, lookAgain };
}
