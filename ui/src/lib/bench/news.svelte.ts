// One line to the server for all pages of this browser: news of every bench of the shop, and whether the line stands. One
// page holds the stream and tells the others; a browser opens six connections to a server, and the seventh page would wait.
import { LINE_DOWN, LINE_UP } from '../kept';

type Ear = (job: string | null, number: number) => void;
type Said = { job: string | null; number: number } | 'here';

/** The server says that it is here every five seconds; after so long without a word the line is down. */
const SILENT_MS = 12_000;
const LOOK_MS = 2_000;
/** A kept answer is asked for again after this, then twice as late each time. */
const AGAIN_MS = 2_000;
const AGAIN_MOST_MS = 30_000;

let stands = $state(true);
let ears: Ear[] = [];
let source: EventSource | null = null;
let release: (() => void) | null = null;
let channel: BroadcastChannel | null = null;
let looking: ReturnType<typeof setInterval> | undefined;
let heardAt = 0;
let again: ReturnType<typeof setTimeout> | undefined;
let againMs = AGAIN_MS;

export const line = {
  get stands() {
    return stands;
  },
};

/** Hear of the bench until the returned function is called. */
export function hear(ear: Ear): () => void {
  ears = [...ears, ear];
  if (ears.length === 1) start();
  return () => {
    ears = ears.filter((e) => e !== ear);
    if (!ears.length) stop();
  };
}

const tell = (job: string | null, number: number) => ears.forEach((ear) => ear(job, number));

/** What a request has just found out about the line. */
export function lineSeen(up: boolean): void {
  if (up) {
    heardAt = Date.now();
    clearTimeout(again);
    [again, againMs] = [undefined, AGAIN_MS];
  }
  if (up === stands) return;
  stands = up;
  // Its worker shows what is kept at once while the line is down.
  navigator.serviceWorker?.controller?.postMessage(up ? LINE_UP : LINE_DOWN);
  if (up) tell(null, 0);
}

/** An answer did not come in time and a kept one is shown. A server that still speaks is slow, not gone: it is asked
 *  again; one that does not is. */
export function lineSlow(): void {
  if (!source && !channel) lineSeen(false);
  else if (Date.now() - heardAt > SILENT_MS) lineSeen(false);
  if (again !== undefined) return;
  again = setTimeout(() => {
    again = undefined;
    againMs = Math.min(2 * againMs, AGAIN_MOST_MS);
    tell(null, 0);
  }, againMs);
}

function heardSaid(said: Said): void {
  heardAt = Date.now();
  lineSeen(true);
  if (said !== 'here') tell(said.job, said.number);
}

function start(): void {
  heardAt = Date.now();
  if (typeof BroadcastChannel !== 'undefined') {
    channel = new BroadcastChannel('line');
    channel.onmessage = (event: MessageEvent<Said>) => heardSaid(event.data);
  }
  lead(false);
  looking = setInterval(look, LOOK_MS);
  addEventListener('offline', down);
  addEventListener('online', reopen);
  document.addEventListener('visibilitychange', look);
}

function stop(): void {
  removeEventListener('offline', down);
  removeEventListener('online', reopen);
  document.removeEventListener('visibilitychange', look);
  clearInterval(looking);
  clearTimeout(again);
  again = undefined;
  resign();
  channel?.close();
  channel = null;
}

/** Hold the stream for all pages, now or once the page that holds it is closed; take: from one that says nothing. */
function lead(take: boolean): void {
  // Without locks, as over plain HTTP in a network, each page has a stream of its own.
  if (!navigator.locks) return open();
  void navigator.locks
    .request('line', take ? { steal: true } : {}, () => {
      if (!ears.length) return undefined;
      open();
      return new Promise<void>((resolve) => (release = resolve));
    })
    .catch(() => {
      // Another page took it over; this one waits for its turn again.
      release = null;
      close();
      if (ears.length) lead(false);
    });
}

function resign(): void {
  close();
  release?.();
  release = null;
}

function open(): void {
  if (source || typeof EventSource === 'undefined') return;
  const own = new EventSource('/api/bench/stream');
  source = own;
  const pass = (said: Said) => {
    if (source !== own) return;
    channel?.postMessage(said);
    heardSaid(said);
  };
  own.addEventListener('open', () => pass('here'));
  own.addEventListener('here', () => pass('here'));
  own.addEventListener('bench', (event) => pass(JSON.parse((event as MessageEvent<string>).data) as Said));
  own.addEventListener('error', () => {
    if (source !== own) return;
    lineSeen(false);
    // A stream that was refused, not broken, is not opened again by the browser itself.
    if (own.readyState === EventSource.CLOSED) {
      close();
      setTimeout(() => ears.length && release && open(), 3000);
    }
  });
}

function close(): void {
  source?.close();
  source = null;
}

const down = () => lineSeen(false);

function reopen(): void {
  if (source) close();
  if (release || !navigator.locks) open();
}

/** Has anything been heard? A hung line says nothing, and neither does a page that sleeps with the stream. */
function look(): void {
  if (Date.now() - heardAt <= SILENT_MS || typeof EventSource === 'undefined') return;
  lineSeen(false);
  heardAt = Date.now();
  if (release || !navigator.locks) reopen();
  else if (document.visibilityState === 'visible') lead(true);
}
