<script lang="ts">
  // Whose bench this is, the clocks that run, the line to the server, and the way out.
  import type { Snippet } from 'svelte';
  import type { Job } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import type { Hands } from './hands.svelte';
  import LineState from '../../lib/bench/LineState.svelte';
  import RunningClocks from './RunningClocks.svelte';
  import { say } from '$words/page-bench-mode.ftl';

  interface Props {
    hands: Hands;
    job: Job | null;
    children: Snippet;
  }
  let { hands, job, children }: Props = $props();
</script>

<header class="lay-row">
  <strong>{job?.model ?? '…'}</strong>
  <span class="quiet number">{say('bench-mode-job', { number: job?.number ?? '' })}</span>
  <RunningClocks jobId={hands.at.jobId} running={hands.running} />
  <span><LineState at={hands.at} /></span>
  <Button kind="bare" href={hands.leave} key="Esc" label={say('bench-mode-leave-bench-mode')}
    >{say('bench-mode-leave')}</Button
  >
  {@render children()}
</header>

<style>
  header {
    grid-column: 1 / -1;
    align-items: center;
    gap: var(--gap-2) var(--gap-4);
    padding: var(--gap-2) var(--gap-4);
    border-bottom: 3px solid var(--ink);
  }
  strong {
    font-family: var(--font-head);
    font-size: var(--size-3);
  }
  @media (max-width: 640px) {
    header {
      gap: var(--gap-1) var(--gap-3);
      padding: 0 var(--gap-3);
    }
    .number {
      display: none;
    }
  }
</style>
