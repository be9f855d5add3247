<script lang="ts">
  // In every header: whether the line stands, and what waits on this tablet.
  import { line } from '../lib/bench/news.svelte';
  import { waiting } from '../lib/bench/sender.svelte';
  import { say } from '../lib/say';
</script>

{#if !line.stands || waiting.count || waiting.others}
  <span class:down={!line.stands} role="status">
    {#if !line.stands}{say('waiting-no-line')}{/if}
    {#if waiting.count}{say('waiting-here', { count: waiting.count })}{/if}
    {#if waiting.others}{say('waiting-others', { count: waiting.others })}{/if}
  </span>
{/if}

<style>
  span {
    padding: 0 var(--gap-2);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    font-size: var(--size-0);
    font-weight: 620;
  }
  .down {
    border-color: var(--care);
    background: var(--care-tint);
    color: var(--care);
  }
</style>
