<script lang="ts">
  import type { Verdict } from '../../lib/api';

  interface Props {
    verdict: Verdict;
    level?: 'h1' | 'h2';
  }
  let { verdict, level = 'h2' }: Props = $props();

  // The core writes the sentence; the two numbers that belong to a side take its colour.
  const capacity = $derived(verdict.effects.find((e) => e.quantity === 'sustained_capacity'));
  const parts = $derived.by(() => {
    const after = capacity?.after === null || !capacity ? '' : `${capacity.after.toFixed(0)} W`;
    const before = capacity?.before === null || !capacity ? '' : `${capacity.before.toFixed(0)} W`;
    const found = /^(.*hold )(\S+ W)( where .*hold )(\S+ W)$/.exec(verdict.headline);
    if (!found || found[2] !== after || found[4] !== before) return [{ text: verdict.headline, side: '' }];
    return [
      { text: found[1] ?? '', side: '' },
      { text: after, side: 'after' },
      { text: found[3] ?? '', side: '' },
      { text: before, side: 'before' },
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
