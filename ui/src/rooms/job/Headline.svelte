<script lang="ts">
  import type { Verdict } from '../../lib/api';

  interface Props {
    verdict: Verdict;
    level?: 'h1' | 'h2';
  }
  let { verdict, level = 'h2' }: Props = $props();

  // The core writes the sentence; two numbers with an arrow between them belong to a side each and take its colour, and
  // what nobody noted is set apart.
  const SHAPE = /^(\w+)?(, if .*? same)?(.*?)(?:([\d.,]+)( → )([\d.,]+ W)(.*))?$/;
  const parts = $derived.by(() => {
    const [, word = '', assumed = '', ...rest] = SHAPE.exec(verdict.headline) ?? [];
    const sides = ['', 'before', '', 'after', ''];
    return [
      { text: word, side: '' },
      { text: assumed, side: 'assumed' },
      ...sides.map((side, i) => ({ text: rest[i] ?? '', side })),
    ].filter((part) => part.text);
  });
</script>

<svelte:element this={level} class={verdict.verdict}>
  {#each parts as part, i (i)}<span class={part.side}>{part.text}</span>{/each}
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
