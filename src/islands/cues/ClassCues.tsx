import { useLiveQuery } from 'dexie-react-hooks';
import type { Session } from '../../core/sessions/session.ts';
import { CueSheetView } from './CueSheetView.tsx';
import { makeClassCueSheet } from './gatherCues.ts';

/** The cues of the pose that a class is in. */
export function ClassCues({ pose, sessions }: { pose: string; sessions: readonly Session[] }) {
  const sheet = useLiveQuery(() => makeClassCueSheet(pose, sessions), [pose, sessions.length]);
  return sheet == null ? null : (
    <div data-testid="class-cues">
      <CueSheetView sheet={sheet} />
    </div>
  );
}
