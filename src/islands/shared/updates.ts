import { closeOutOfDate } from '../../data/database.ts';

/** Where this tab stands between two versions of the app. */
export type UpdateState =
  | 'current'
  /** A new version has come and waits. */
  | 'ready'
  /** Another tab runs a newer version already: this one writes no more. */
  | 'out-of-date';

let state: UpdateState = 'current';
let waiting: ServiceWorker | null = null;
let isReloading = false;
const listeners = new Set<() => void>();

function set(next: UpdateState): void {
  state = next;
  for (const listener of listeners) listener();
}

export const getUpdateState = (): UpdateState => state;

export function onUpdateState(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

/** This tab is older than what is stored, or than the files that are served. */
export function becomeOutOfDate(): void {
  closeOutOfDate();
  set('out-of-date');
}

function offer(worker: ServiceWorker | null): void {
  if (worker === null || state !== 'current') return;
  waiting = worker;
  set('ready');
}

/** Turns to the version that waits; every other open tab says that it is out of date. */
export function takeNewVersion(): void {
  isReloading = true;
  if (waiting?.state === 'installed') waiting.postMessage('take over');
  else window.location.reload();
}

/** Keeps the app’s files for use without a network, and watches for a new version. */
export async function registerServiceWorker(): Promise<void> {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  const { serviceWorker } = navigator;
  // The first one takes over a page that had none: that is no new version.
  let hadOne = serviceWorker.controller !== null;
  serviceWorker.addEventListener('controllerchange', () => {
    if (isReloading) window.location.reload();
    else if (hadOne) becomeOutOfDate();
    hadOne = true;
  });
  const registration = await serviceWorker.register('/service-worker.js');
  offer(registration.active === null ? null : registration.waiting);
  registration.addEventListener('updatefound', () => {
    const worker = registration.installing;
    worker?.addEventListener('statechange', () => {
      if (worker.state === 'installed' && registration.active !== null) offer(worker);
    });
  });
}
