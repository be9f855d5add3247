// What waits on this tablet is sent from wherever one is in the application, not only from its own bench.
import { hear, line } from './news.svelte';
import { onOutbox, openBenches, outboxOf, waitingHere } from './outbox';

let jobs = $state.raw<Record<string, number>>({});
let others = $state(0);
const AGAIN_MS = 15_000;

export const waiting = {
  /** Steps of the one who is signed in that are not on the server yet. */
  get count() {
    return Object.values(jobs).reduce((sum, n) => sum + n, 0);
  },
  /** Steps of somebody else: they go out when that person signs in here. */
  get others() {
    return others;
  },
};

function look(): void {
  const found = waitingHere();
  jobs = found.jobs;
  others = found.others;
}

async function send(): Promise<void> {
  for (const job of Object.keys(waitingHere().jobs)) {
    if (openBenches.includes(job)) continue; // its own page sends it
    // Seldom needed, and large: it comes when something waits.
    const { BenchJob } = await import('./bench.svelte');
    const at = new BenchJob(job);
    await at.flush();
    at.rest();
  }
}

/** Send for this person until the returned function is called. */
export function sendWhatWaits(person: string): () => void {
  outboxOf(person);
  onOutbox(look);
  look();
  void send();
  const deaf = hear((job) => job === null && void send());
  const timer = setInterval(() => line.stands && void send(), AGAIN_MS);
  const now = () => void send();
  const other = () => look();
  addEventListener('online', now);
  addEventListener('storage', other);
  return () => {
    deaf();
    clearInterval(timer);
    removeEventListener('online', now);
    removeEventListener('storage', other);
    onOutbox(() => undefined);
  };
}
