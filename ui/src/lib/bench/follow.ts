// The bench of a job, followed while one of its stages is open. Its script comes with the first of them.
import { say } from '../say';
import { toast } from '../toasts.svelte';
import type { BenchJob } from './bench.svelte';

/** Show the bench of a job once it is here; the answer stops following it. */
export function followBench(jobId: string, show: (bench: BenchJob | null) => void, changed: () => void): () => void {
  let left = false;
  let close: (() => void) | undefined;
  show(null);
  import('./bench.svelte')
    .then((script) => {
      if (left) return;
      const bench = new script.BenchJob(jobId, changed);
      show(bench);
      close = bench.open();
    })
    .catch(() => toast(`${say('app-page-did-not-come')}. ${say('app-page-did-not-come-words')}`, { tone: 'wrong' }));
  return () => {
    left = true;
    close?.();
  };
}
