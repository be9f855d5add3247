// The clocks of all jobs, read against the server's time, and the bell when one is over, whatever page is open.
import { client, isKept, take, type Schemas } from '../api';
import { quietly } from '../asking.svelte';
import { asking, begin, ringsNow, seen, snooze, SNOOZE_MIN } from './alarms';
import { ring } from './bell';
import { hear } from './news.svelte';
import { serverClock } from './server-clock.svelte';

export type RunningWait = Schemas['RunningWait'];

let list = $state.raw<RunningWait[]>([]);
let now = $state(serverClock.now());
let known = $state(false);
let over = $state.raw<RunningWait[]>([]);
const rangAt: Record<string, number> = {};
let touchedAt = 0;

export const waits = {
  get list() {
    return list;
  },
  /** Whether they were asked for, and told or not. */
  get known() {
    return known;
  },
  /** The moment by the server's clock, ticking once a second. */
  get now() {
    return now;
  },
  /** Those that are over and that nobody has seen yet. */
  get over() {
    return over;
  },
  seen(id: string) {
    seen(id);
    hushed(id, null);
  },
  snooze(id: string) {
    snooze(id, now);
    hushed(id, SNOOZE_MIN);
  },
};

/** Quiet here at once, and on the other tablets by the server; without a line it is quiet here. */
function hushed(id: string, minutes: number | null): void {
  const wait = list.find((one) => one.id === id);
  delete rangAt[id];
  tick();
  if (!wait) return;
  const params = { path: { job_id: wait.job_id } };
  const body = { wait_id: id, minutes };
  void quietly(take(client.POST('/api/jobs/{job_id}/bench/quiet', { params, body })));
}

const quietOf = (wait: RunningWait): number =>
  wait.seen ? Number.MAX_SAFE_INTEGER : wait.put_off_until ? Date.parse(wait.put_off_until) : 0;
const overs = () => list.map((wait) => ({ id: wait.id, due: Date.parse(wait.due), quiet: quietOf(wait) }));

async function load(first = false): Promise<void> {
  let fresh = true;
  const found = await quietly(take(client.GET('/api/bench/waits'), (answer) => (fresh = !isKept(answer))));
  known = true;
  if (!found) return;
  if (fresh) serverClock.learn(found.now);
  list = found.waits;
  if (first) begin(overs(), serverClock.now());
  tick();
}

function tick(): void {
  now = serverClock.now();
  const ask = asking(overs(), now).map((w) => w.id);
  over = list.filter((wait) => ask.includes(wait.id));
  const visible = document.visibilityState === 'visible';
  let loud = false;
  for (const { id } of over) {
    if (!ringsNow(rangAt[id], touchedAt + serverClock.offsetMs, visible, now)) continue;
    rangAt[id] = now;
    loud = true;
  }
  if (loud) ring();
}

/** Watch the clocks until the returned function is called. */
export function watchWaits(): () => void {
  void load(true);
  const deaf = hear(() => void load());
  const timer = setInterval(tick, 1000);
  const touched = () => (touchedAt = Date.now());
  for (const kind of ['pointerdown', 'keydown']) addEventListener(kind, touched, { passive: true });
  return () => {
    for (const kind of ['pointerdown', 'keydown']) removeEventListener(kind, touched);
    deaf();
    clearInterval(timer);
  };
}
