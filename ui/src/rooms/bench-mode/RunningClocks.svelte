<script lang="ts">
  // The clocks that run: of this job by their kind, of the others by their device.
  import { say } from '$words/page-bench-mode.ftl';
  import { remaining } from '../../lib/bench/clock';
  import type { Wait } from '../../lib/bench/types';
  import { waits } from '../../lib/bench/waits.svelte';

  interface Props {
    jobId: string;
    running: Wait[];
  }
  let { jobId, running }: Props = $props();
  const others = $derived(waits.list.filter((w) => w.job_id !== jobId));
  const left = (due: string) => Date.parse(due) - waits.now;
</script>

<span class="clocks lay-row">
  {#each running as wait (wait.id)}
    <span class="clock" title={wait.step}><span>{wait.words}</span> <b>{remaining(left(wait.due))}</b></span>
  {/each}
  {#each others as wait (wait.id)}
    <a class="clock other" class:over={left(wait.due) <= 0} href="/jobs/{wait.job_id}/bench"
      ><span>{wait.model}, {wait.number}</span>
      <b>{left(wait.due) > 0 ? remaining(left(wait.due)) : say('running-clocks-over')}</b></a
    >
  {/each}
</span>

<style>
  .clocks {
    gap: var(--gap-2);
    margin-right: auto;
  }
  a {
    min-height: var(--target);
    align-items: center;
    text-decoration: none;
  }
  .clock {
    display: inline-flex;
    align-items: center;
    gap: var(--gap-2);
    padding: var(--gap-1) var(--gap-3);
    border: 2px solid var(--owl);
    border-radius: var(--round);
    background: var(--owl-tint);
  }
  .clock.other {
    border-color: var(--edge);
    background: none;
  }
  .clock.over {
    border-color: var(--after);
    background: var(--after-tint);
  }
</style>
