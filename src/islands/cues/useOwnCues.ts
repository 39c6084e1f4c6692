import { useLiveQuery } from 'dexie-react-hooks';
import { getMeasurer, listOwnCues } from '../../data/settings.ts';

interface OwnCues {
  /** Who teaches in this browser; empty = not said. */
  readonly teacher: string;
  /** Plain text by pose. */
  readonly texts: Readonly<Record<string, string>>;
}

/** The own cues of whoever teaches in this browser; undefined while they are read. */
export function useOwnCues(): OwnCues | undefined {
  return useLiveQuery(async () => {
    const teacher = await getMeasurer();
    return { teacher, texts: await listOwnCues(teacher) };
  }, []);
}
