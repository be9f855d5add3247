// The clocks of all jobs, read against the server's time, and the bell when one is over, whatever page is open.
import { say } from '../say';
import { client, Problem, take, type Schemas } from '../api';
import { toast } from '../toasts.svelte';
import { ring } from './bell';
import { hear } from './news.svelte';

export type RunningWait = Schemas['RunningWaitOut'];

let list = $state.raw<RunningWait[]>([]);
let now = $state(Date.now());
let offsetMs = 0;
const rung: Record<string, boolean> = {};

export const waits = {
  get list() {
    return list;
  },
  /** The moment by the server's clock, ticking once a second. */
  get now() {
    return now;
  },
};

async function load(first: boolean): Promise<void> {
  try {
    const found = await take(client.GET('/api/bench/waits'));
    offsetMs = new Date(found.now).getTime() - Date.now();
    list = found.waits;
    // What was over before this page was opened is shown, not rung.
    if (first) for (const w of list) if (new Date(w.due).getTime() <= Date.now() + offsetMs) rung[w.id] = true;
    tick();
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
  }
}

function tick(): void {
  now = Date.now() + offsetMs;
  for (const wait of list) {
    if (rung[wait.id] || new Date(wait.due).getTime() > now) continue;
    rung[wait.id] = true;
    ring();
    toast(say('waits-over-job-can-go', { words: wait.words, model: wait.model, number: wait.number }));
  }
}

/** Watch the clocks until the returned function is called. */
export function watchWaits(): () => void {
  void load(true);
  const deaf = hear(() => void load(false));
  const timer = setInterval(tick, 1000);
  return () => {
    deaf();
    clearInterval(timer);
  };
}
