import { useEffect, useSyncExternalStore } from 'react';
import { onOutOfDate } from '../../data/database.ts';
import { HandOverBar } from '../handOver/HandOverBar.tsx';
import {
  becomeOutOfDate,
  getUpdateState,
  onUpdateState,
  registerServiceWorker,
  takeNewVersion,
} from './updates.ts';
import { WordButton } from './ui/Button.tsx';
import { ToastRegion } from './ui/ToastRegion.tsx';
import { appNotices as say } from './words.ts';

/** What concerns the whole app, on every page: a new version, the app handed over, and what was just done. */
export function AppNotices() {
  const state = useSyncExternalStore(onUpdateState, getUpdateState);
  useEffect(() => {
    onOutOfDate(becomeOutOfDate);
    void registerServiceWorker();
  }, []);
  return (
    <>
      <HandOverBar />
      <ToastRegion />
      {state !== 'current' && <UpdateNotice isReady={state === 'ready'} />}
    </>
  );
}

function UpdateNotice({ isReady }: { isReady: boolean }) {
  return (
    <p className="rounded bg-mist px-4 py-[0.3rem]" role="status">
      {isReady ? say.newVersionReadyPage : say.tabOutDateAnother}
      <WordButton onClick={takeNewVersion}>{say.reload}</WordButton>
    </p>
  );
}
