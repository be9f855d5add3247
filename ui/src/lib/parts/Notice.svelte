<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    tone?: 'note' | 'care' | 'halt';
    title?: string;
    children?: Snippet;
    actions?: Snippet | undefined;
  }
  let { tone = 'note', title = '', children, actions }: Props = $props();
</script>

<section class={tone} role={tone === 'note' ? undefined : 'alert'}>
  <svg viewBox="0 0 28 28" width="28" height="28" aria-hidden="true">
    {#if tone === 'halt'}
      <path class="solid" d="M9 2h10l7 7v10l-7 7H9l-7-7V9z" /><path class="mark" d="M8 14h12" />
    {:else if tone === 'care'}
      <path class="solid" d="M14 2l13 24H1z" /><path class="mark" d="M14 11v7M14 21v1.5" />
    {:else}
      <circle class="solid" cx="14" cy="14" r="12" /><path class="mark" d="M14 12v8M14 7.5v1.5" />
    {/if}
  </svg>
  <div class="text">
    {#if title}<strong>{title}</strong>{/if}
    {@render children?.()}
    {#if actions}<div class="actions lay-row">{@render actions()}</div>{/if}
  </div>
</section>

<style>
  section {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: var(--gap-3);
    padding: var(--gap-3) var(--gap-4);
    border: 2px solid var(--tone);
    border-radius: var(--round);
    background: var(--tint);
  }
  .note {
    --tone: var(--owl);
    --tint: var(--owl-tint);
  }
  .care {
    --tone: var(--care);
    --tint: var(--care-tint);
  }
  .halt {
    --tone: var(--halt);
    --tint: var(--halt-tint);
  }
  strong {
    display: block;
    color: var(--tone);
  }
  .text {
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .actions {
    gap: var(--gap-2);
    margin-top: var(--gap-2);
  }
  .solid {
    fill: var(--tone);
  }
  .mark {
    fill: none;
    stroke: var(--tint);
    stroke-width: 3;
    stroke-linecap: round;
  }
</style>
