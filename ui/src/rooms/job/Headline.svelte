<script lang="ts">
  import type { Verdict } from '../../lib/api';

  interface Props {
    verdict: Verdict;
    level?: 'h1' | 'h2';
  }
  let { verdict, level = 'h2' }: Props = $props();

  // The core writes the sentence; two numbers with an arrow between them belong to a side each and take its colour.
  const parts = $derived.by(() => {
    const found = /^(.*?)([\d.,]+)( → )([\d.,]+ W)(.*)$/.exec(verdict.headline);
    if (!found) return [{ text: verdict.headline, side: '' }];
    return [
      { text: found[1] ?? '', side: '' },
      { text: found[2] ?? '', side: 'before' },
      { text: found[3] ?? '', side: '' },
      { text: found[4] ?? '', side: 'after' },
      { text: found[5] ?? '', side: '' },
    ];
  });
</script>

<svelte:element this={level} class={verdict.verdict}>
  {#each parts as part, i (i)}<span class={part.side}>{part.text}</span>{/each}
</svelte:element>

<style>
  h1,
  h2 {
    font-size: var(--size-4);
  }
</style>
