<script lang="ts">
  // A drawing in millimetres, at true size once the screen was matched to a bank card, with its words beside it.
  import type { Snippet } from 'svelte';
  import { say } from '$words/page-true-drop.ftl';
  import Button from '../parts/Button.svelte';
  import CardMatch from '../parts/CardMatch.svelte';
  import { trueSize } from '../true-size.svelte';

  interface Props {
    widthMm: number;
    lengthMm: number;
    /** What the drawing shows, for the ear. */
    label: string;
    /** What stands beside it. */
    words: string;
    /** Shapes, in millimetres from the middle. */
    children: Snippet;
  }
  let { widthMm, lengthMm, label, words, children }: Props = $props();
  /** So wide is it drawn while nobody matched the screen. */
  const UNMATCHED_PX = 130;
  let matching = $state(false);
  const scale = $derived(trueSize.pxPerMm);
  const box = $derived({ width: widthMm + 2, height: lengthMm + 2 });
</script>

<figure>
  <svg
    viewBox="{-box.width / 2} {-box.height / 2} {box.width} {box.height}"
    width={scale ? box.width * scale : UNMATCHED_PX}
    height={scale ? box.height * scale : (UNMATCHED_PX * box.height) / box.width}
    role="img"
    aria-label={label}
  >
    {@render children()}
  </svg>
  <figcaption>
    {words}
    {#if scale}
      <span class="quiet">{say('true-drop-true-size')}</span>
      <Button kind="bare" onclick={() => (matching = true)}>{say('true-drop-match-again')}</Button>
    {:else}
      <span class="quiet">{say('true-drop-not-at-true-size')}</span>
      <Button kind="bare" onclick={() => (matching = true)}>{say('true-drop-match-to-bank-card')}</Button>
    {/if}
  </figcaption>
</figure>
<CardMatch bind:open={matching} />

<style>
  figure {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--gap-4);
    margin: var(--gap-2) 0;
  }
  svg {
    flex: none;
    max-width: 100%;
  }
  figcaption {
    flex: 1 1 14rem;
  }
</style>
