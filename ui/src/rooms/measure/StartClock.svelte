<script lang="ts">
  // Which clock of a run to start. It tells the bench of the job, whose script comes with it.
  import { untrack } from 'svelte';
  import { BenchJob } from '../../lib/bench/bench.svelte';
  import WaitPanel from '../../lib/bench/WaitPanel.svelte';

  interface Props {
    jobId: string;
    only: string[];
    onclose: () => void;
  }
  let { jobId, only, onclose }: Props = $props();
  const at = untrack(() => new BenchJob(jobId));
  void at.refresh();
</script>

<WaitPanel {at} {only} {onclose} />
