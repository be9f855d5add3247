// The service worker: the application and what was last seen of the day's jobs are there without a line.
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { KEPT_ANSWERS, KEPT_HEADER } from './lib/kept';

/** Files of this version, written in as it is built. */
declare const __KEPT__: { url: string; revision: string | null }[];

const worker = globalThis as unknown as {
  skipWaiting(): Promise<void>;
  addEventListener(kind: 'message', ear: (event: { data: unknown }) => void): void;
};

precacheAndRoute(__KEPT__);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/(api|r|q|check)(\/|$)/] }));

const PATIENCE_S = 6;
// What the bench and a job's stages are made of. Streams, files and the record come from the server alone.
const READ =
  /^\/api\/(session|bench|bench\/words|bench\/waits|shop|known|jobs\/[0-9a-f-]{36}(\/(bench|plan|verdict|fit\/items|runs\/(before|after)))?)$/;

registerRoute(
  ({ url, request }) => url.origin === location.origin && request.method === 'GET' && READ.test(url.pathname),
  new NetworkFirst({
    cacheName: KEPT_ANSWERS,
    networkTimeoutSeconds: PATIENCE_S,
    plugins: [
      {
        // An answer from here is told apart from one of the server: it may be old.
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          if (!cachedResponse) return null;
          const headers = new Headers(cachedResponse.headers);
          headers.set(KEPT_HEADER, '1');
          return new Response(await cachedResponse.blob(), { status: cachedResponse.status, headers });
        },
      },
    ],
  }),
);

worker.addEventListener('message', (event) => {
  if (event.data === 'take over') void worker.skipWaiting();
});
