<script lang="ts">
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
  <label for={id}>
    <span>{label}</span>
    {#if needed}<span class="needed">needed</span>{/if}
  </label>
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
  .needed {
    margin-left: var(--gap-2);
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
