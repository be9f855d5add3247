<script lang="ts">
  import { say } from '../say';
  import type { Snippet } from 'svelte';

  interface Props {
    label: string;
    id: string;
    children: Snippet;
    hint?: string;
    error?: string | undefined;
    needed?: boolean;
    wide?: boolean;
  }
  let { label, id, children, hint = '', error, needed = false, wide = false }: Props = $props();
</script>

<div class="field" class:wide>
  <div class="top">
    <label for={id}>{label}</label>
    {#if needed}<span class="needed" aria-hidden="true">{say('field-needed')}</span>{/if}
  </div>
  {@render children()}
  {#if error}
    <p class="error" id="{id}-note" role="alert">{error}</p>
  {:else if hint}
    <p class="hint" id="{id}-note">{hint}</p>
  {/if}
</div>

<style>
  .field {
    display: flex;
    flex-direction: column;
    gap: var(--gap-1);
    min-width: 0;
  }
  .wide {
    grid-column: 1 / -1;
  }
  label {
    font-size: var(--size-1);
    font-weight: 620;
  }
  .top {
    display: flex;
    align-items: baseline;
    gap: var(--gap-2);
  }
  .needed {
    color: var(--owl);
    font-weight: 400;
    font-size: var(--size-0);
  }
  .hint,
  .error {
    font-size: var(--size-0);
    color: var(--soft);
  }
  .error {
    color: var(--halt);
    font-weight: 620;
  }
</style>
