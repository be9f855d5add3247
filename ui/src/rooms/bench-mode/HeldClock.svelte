<script lang="ts">
  // The step waits: how long still.
  import { remaining } from '../../lib/bench/clock';
  import type { Wait } from '../../lib/bench/types';
  import { waits } from '../../lib/bench/waits.svelte';
  import { say } from '$words/page-bench-mode.ftl';

  interface Props {
    held: Wait;
  }
  let { held }: Props = $props();
</script>

<p role="timer">
  <b>{remaining(new Date(held.due).getTime() - waits.now)}</b>
  <span>{say('bench-mode-then-this-step-another', { to_lower_case: held.words.toLowerCase() })}</span>
</p>

<style>
  p {
    display: flex;
    align-items: center;
    gap: var(--gap-4);
    margin-top: var(--gap-5);
    padding: var(--gap-3) var(--gap-4);
    border: 3px dashed var(--owl);
    border-radius: var(--round);
    font-size: var(--size-3);
  }
  b {
    font-size: var(--size-5);
    color: var(--owl);
  }
</style>
