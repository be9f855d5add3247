<script lang="ts">
  import Field from './Field.svelte';

  interface Props {
    label: string;
    name: string;
    value: string;
    options: { value: string; label: string }[];
    error?: string | undefined;
    hint?: string;
    bare?: boolean;
  }
  let { label, name, value = $bindable(), options, error, hint = '', bare = false }: Props = $props();
  const uid = $props.id();
  const id = $derived(`${name}-${uid}`);
</script>

{#snippet control()}
  <select {id} {name} bind:value aria-label={bare ? label : undefined} aria-invalid={!!error}>
    {#each options as option (option.value)}<option value={option.value}>{option.label}</option>{/each}
  </select>
{/snippet}

{#if bare}
  {@render control()}
{:else}
  <Field {label} {id} {error} {hint}>{@render control()}</Field>
{/if}

<style>
  select {
    width: 100%;
    min-height: var(--target);
    padding: 0 var(--gap-3);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
  }
  select:focus-visible {
    border-color: var(--owl);
    outline-offset: 0;
  }
</style>
