import { useLiveQuery } from 'dexie-react-hooks';
import { EASY_BREATH_SECONDS } from '../../core/studio/studio.ts';
import { getPace, setPace } from '../../data/settings.ts';
import { getStudio } from '../../data/studio.ts';

/** A person's own seconds a breath, as it was last tapped or set; before that, the studio's. */
export function usePace(personId: string): readonly [number, (seconds: number) => Promise<void>] {
  const known = useLiveQuery(
    async () => (await getPace(personId)) ?? (await getStudio()).breathSeconds,
    [personId],
  );
  return [known ?? EASY_BREATH_SECONDS, (seconds) => setPace(personId, seconds)];
}
