// The application without a line: its worker, a newer version, and what is kept of the server's answers.
import { KEPT_ANSWERS } from './kept';
import { forgetRecent } from './recent';
import { say } from './say';
import { toast } from './toasts.svelte';

const LATE_MS = 1500;
const AFTER_MS = 3000; // the page's own first requests come first

/** Whether a page may have a worker here: over HTTPS, or on this machine. */
const possible = () => 'serviceWorker' in navigator && globalThis.isSecureContext;

function told(waiting: ServiceWorker): void {
  toast(say('offline-newer-version'), {
    lasts: true,
    act: { words: say('offline-load-it'), run: () => waiting.postMessage('take over') },
  });
}

/** Register the worker, and say when a newer version waits. It takes over when one says so: never in the middle. */
export function workOffline(): void {
  if (!possible()) return;
  let had = navigator.serviceWorker.controller !== null;
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    if (had) location.reload();
    had = true;
  });
  setTimeout(() => {
    void navigator.serviceWorker
      .register('/sw.js')
      .then((found) => {
        if (found.waiting && navigator.serviceWorker.controller) told(found.waiting);
        found.addEventListener('updatefound', () => {
          const next = found.installing;
          next?.addEventListener('statechange', () => {
            if (next.state === 'installed' && navigator.serviceWorker.controller) told(next);
          });
        });
        // What waits to be sent is not to be thrown away when the disk fills.
        void navigator.storage?.persist?.();
      })
      .catch(() => undefined); // a browser that keeps nothing works with a line, as before
  }, AFTER_MS);
}

/** What one person has seen is not shown to the next. */
export async function forgetAnswers(): Promise<void> {
  forgetRecent();
  if (typeof caches === 'undefined') return;
  await caches.delete(KEPT_ANSWERS);
  // An answer that was on its way meanwhile is forgotten too.
  setTimeout(() => void caches.delete(KEPT_ANSWERS), LATE_MS);
}
