import { useLiveQuery } from 'dexie-react-hooks';
import { EASY_BREATH_SECONDS } from '../../core/sessions/timing.ts';
import { getPace, setPace } from '../../data/settings.ts';

/** A person's own seconds a breath, as it was last tapped or set. */
export function usePace(personId: string): readonly [number, (seconds: number) => Promise<void>] {
  const stored = useLiveQuery(() => getPace(personId), [personId]);
  return [stored ?? EASY_BREATH_SECONDS, (seconds) => setPace(personId, seconds)];
}
