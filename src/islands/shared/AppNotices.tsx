import { lazy, Suspense, useEffect, useState, useSyncExternalStore } from 'react';
import { onOutOfDate } from '../../data/database.ts';
import { HandOverBar } from '../handOver/HandOverBar.tsx';
import { KeysHelp } from './KeysHelp.tsx';
import {
  becomeOutOfDate,
  getUpdateState,
  onUpdateState,
  registerServiceWorker,
  takeNewVersion,
} from './updates.ts';
import { WordButton } from './ui/Button.tsx';
import { toasts } from './ui/toasts.ts';
import { appNotices as say } from './words.ts';

const ToastRegion = lazy(async () => ({
  default: (await import('./ui/ToastRegion.tsx')).ToastRegion,
}));

/** The region of toasts, loaded with the first of them. */
function Toasts() {
  const hasToasts = useSyncExternalStore(
    (onChange) => toasts.subscribe(onChange),
    () => toasts.visibleToasts.length > 0,
  );
  const [wasShown, setWasShown] = useState(false);
  if (hasToasts && !wasShown) setWasShown(true);
  return wasShown ? (
    <Suspense>
      <ToastRegion />
    </Suspense>
  ) : null;
}

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
      <Toasts />
      <KeysHelp />
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
