// The end of a list where nothing is left to decide.
import { line, type BenchJob } from '../../lib/bench/bench.svelte';
import { go } from '../../lib/router.svelte';
import { toast } from '../../lib/toasts.svelte';
import { say } from '$words/page-bench-mode.ftl';

/** Every mapped screw is back and nothing is open: the last step closes the bench work too. What nobody has mapped is
 * counted by hand first. */
export function closeAllBack(at: BenchJob): void {
  const bench = at.bench;
  const screws = bench?.places.filter((p) => p.kind === 'screw') ?? [];
  if (!screws.length || screws.some((p) => p.is_out) || bench?.blockers.length || !line.stands) return;
  at.do('closed');
  const undo = () => {
    at.undo();
    go(`/jobs/${at.jobId}/bench`);
  };
  toast(say('bench-mode-closed-all-back', { count: screws.length }), { undo });
  go(`/jobs/${at.jobId}/after`);
}
