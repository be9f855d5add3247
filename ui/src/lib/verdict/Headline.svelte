<script lang="ts">
  import type { Verdict } from '../api';

  interface Props {
    verdict: Verdict;
    level?: 'h1' | 'h2' | 'h3';
  }
  let { verdict, level = 'h2' }: Props = $props();
</script>

<svelte:element this={level} class={verdict.verdict}>
  {#each verdict.phrases as part, i (i)}<span class={part.side}>{part.text}</span>{/each}
</svelte:element>

<style>
  .assumed {
    text-decoration: underline dashed 2px;
    text-underline-offset: 0.18em;
  }
  h1,
  h2 {
    font-size: var(--size-4);
  }
</style>
