import { useEffect, useSyncExternalStore } from 'react';
import { onOutOfDate } from '../../data/database.ts';
import {
  becomeOutOfDate,
  getUpdateState,
  onUpdateState,
  registerServiceWorker,
  takeNewVersion,
} from './updates.ts';

/** What concerns the whole app, on every page: that a new version is ready, or runs already. */
export function AppNotices() {
  const state = useSyncExternalStore(onUpdateState, getUpdateState);
  useEffect(() => {
    onOutOfDate(becomeOutOfDate);
    void registerServiceWorker();
  }, []);
  if (state === 'current') return null;
  return (
    <p className="undo" role="status">
      {state === 'ready'
        ? 'A new version is ready. This page goes on as it is until you reload. '
        : 'This tab is out of date: a newer version runs in another one. Nothing more is saved here. '}
      <button type="button" className="word-button" onClick={takeNewVersion}>
        Reload
      </button>
    </p>
  );
}
