// The service worker: the application and what was last seen of the day's jobs are there without a line.
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { KEPT } from './first-visits';
import { KEPT_ANSWERS, KEPT_HEADER, LINE_DOWN, LINE_UP } from './lib/kept';

/** Files of this version, written in as it is built. */
declare const __KEPT__: { url: string; revision: string | null }[];

const worker = globalThis as unknown as {
  skipWaiting(): Promise<void>;
  addEventListener(kind: 'message', ear: (event: { data: unknown }) => void): void;
};

precacheAndRoute(__KEPT__);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/(api|r|q|check)(\/|$)/] }));

// How long an answer is waited for before the kept one is shown; once the line is in doubt, not long.
const [PATIENCE_S, DOUBTED_PATIENCE_S, DOUBT_MS] = [6, 1.5, 30_000];
let doubtedUntil = 0;
// Streams, files and the record come from the server alone.
const READ = new RegExp(`^(${KEPT.join('|').replaceAll(':id', '[0-9a-f-]{36}')})$`);

const readingWith = (networkTimeoutSeconds: number) =>
  new NetworkFirst({
    cacheName: KEPT_ANSWERS,
    networkTimeoutSeconds,
    plugins: [
      {
        fetchDidSucceed: async ({ response }) => {
          doubtedUntil = 0;
          return response;
        },
        // An answer from here is told apart from one of the server: it may be old.
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          doubtedUntil = Date.now() + DOUBT_MS;
          if (!cachedResponse) return null;
          const headers = new Headers(cachedResponse.headers);
          headers.set(KEPT_HEADER, '1');
          return new Response(await cachedResponse.blob(), { status: cachedResponse.status, headers });
        },
      },
    ],
  });
const [patient, doubting] = [readingWith(PATIENCE_S), readingWith(DOUBTED_PATIENCE_S)];

registerRoute(
  ({ url, request }) => url.origin === location.origin && request.method === 'GET' && READ.test(url.pathname),
  (options) => (Date.now() < doubtedUntil ? doubting : patient).handle(options),
);

worker.addEventListener('message', (event) => {
  if (event.data === 'take over') void worker.skipWaiting();
  if (event.data === LINE_DOWN) doubtedUntil = Number.POSITIVE_INFINITY;
  if (event.data === LINE_UP) doubtedUntil = 0;
});
