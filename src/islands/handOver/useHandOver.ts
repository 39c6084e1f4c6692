import { useSyncExternalStore } from 'react';
import { onHandOver, readHandOver } from './handOver.ts';

/** What was chosen for handing over, and whether the app is handed over now. */
export const useHandOver = (): ReturnType<typeof readHandOver> =>
  useSyncExternalStore(onHandOver, readHandOver);
