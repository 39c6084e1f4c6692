import { cacheNames, setCacheNameDetails } from 'workbox-core';
import { precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';

/** Set by the build: every file of this version, and a name made from all of them. */
declare const __FILES__: PrecacheEntry[];
declare const __VERSION__: string;

/** What we use of a service worker's own scope. */
interface Scope {
  addEventListener(
    type: 'activate' | 'message',
    listener: (event: { readonly data?: unknown; waitUntil(done: Promise<unknown>): void }) => void,
  ): void;
  skipWaiting(): Promise<void>;
  readonly clients: { claim(): Promise<void> };
}
const scope = self as unknown as Scope;

// Every version keeps its files in a cache of its own, so that none is ever mixed with another.
setCacheNameDetails({ prefix: 'stillwater', precache: 'files', suffix: __VERSION__ });
precacheAndRoute(__FILES__, { ignoreURLParametersMatching: [/.*/], directoryIndex: 'index.html' });

// A tab of the version before goes on with its own files, also those that it loads late.
registerRoute(
  ({ url }) => url.pathname.startsWith('/_astro/'),
  async ({ request }) => (await caches.match(request)) ?? fetch(request),
);

/** The files of this version and of the one before stay. */
async function forgetOlder(): Promise<void> {
  const others = (await caches.keys()).filter((each) => each !== cacheNames.precache);
  await Promise.all(others.slice(0, -1).map((each) => caches.delete(each)));
}

scope.addEventListener('activate', (event) => {
  event.waitUntil(forgetOlder().then(() => scope.clients.claim()));
});

// A new version waits until someone asks for it.
scope.addEventListener('message', (event) => {
  if (event.data === 'take over') event.waitUntil(scope.skipWaiting());
});
