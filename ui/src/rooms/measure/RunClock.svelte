<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  // A clock for the run: baseline, cool-down or burn-in count on the server while the hands are elsewhere.
  import type { RunKey } from '../../lib/api';
  import { remaining } from '../../lib/bench/clock';
  import { waits } from '../../lib/bench/waits.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Late from '../../lib/parts/Late.svelte';

  interface Props {
    jobId: string;
    side: RunKey;
    closed: boolean;
  }
  let { jobId, side, closed }: Props = $props();
  let asking = $state(false);
  const mine = $derived(waits.list.filter((w) => w.job_id === jobId && Date.parse(w.due) > waits.now));
  const kinds = $derived([...(side === 'before' ? [] : ['burn_in']), 'baseline', 'cool_down', 'load_cpu']);
  // One load is over: the next begins while the log runs on.
  const next = $derived(
    waits.list.find((w) => w.job_id === jobId && w.then && Date.parse(w.due) <= waits.now)?.then ?? '',
  );
  const only = $derived(next ? [next, ...kinds] : kinds);
  const startClock = () => import('./StartClock.svelte');
</script>

<span class="clocks lay-row">
  {#each mine as wait (wait.id)}<span role="timer"
      >{wait.words} <b>{remaining(Date.parse(wait.due) - waits.now)}</b></span
    >{/each}
  {#if !closed && !asking}<Button kind={next ? 'main' : 'plain'} onclick={() => (asking = true)}
      >{say(next ? 'run-clock-next-load' : 'run-clock-start-clock')}</Button
    >{/if}
</span>
{#if asking}
  <div class="panel"><Late load={startClock} given={{ jobId, only, onclose: () => (asking = false) }} /></div>
{/if}

<style>
  .clocks {
    align-items: center;
    margin-left: auto;
  }
  .panel {
    flex-basis: 100%;
    order: 3;
  }
</style>
