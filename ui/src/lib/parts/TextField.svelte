<script lang="ts">
  import { spoken } from '../units';
  import Field from './Field.svelte';

  interface Props {
    label: string;
    value: string;
    name: string;
    unit?: string;
    hint?: string;
    error?: string | undefined;
    needed?: boolean;
    wide?: boolean;
    lines?: number;
    type?: 'text' | 'password';
    numeric?: boolean;
    suggestions?: string[];
    autocomplete?: 'off' | 'username' | 'current-password' | 'new-password';
    focusFirst?: boolean;
    onfocus?: () => void;
  }
  let {
    label,
    value = $bindable(),
    name,
    unit = '',
    hint = '',
    error,
    needed = false,
    wide = false,
    lines = 1,
    type = 'text',
    numeric = false,
    suggestions = [],
    autocomplete = 'off',
    focusFirst = false,
    onfocus,
  }: Props = $props();

  const uid = $props.id();
  const id = $derived(`${name}-${uid}`);
  const described = $derived(
    [unit && `${id}-unit`, (error || hint) && `${id}-note`].filter(Boolean).join(' ') || undefined,
  );

  // In a dialog that is not shown yet focus() does nothing; there the attribute counts when it opens.
  function focusNow(node: HTMLElement) {
    if (!focusFirst) return;
    node.autofocus = true;
    node.focus();
  }
</script>

<Field {label} {id} {hint} {error} needed={needed && !value} {wide}>
  {#if lines > 1}
    <textarea {id} {name} bind:value rows={lines} aria-describedby={described} aria-invalid={!!error} {onfocus}
    ></textarea>
  {:else}
    <span class="box" class:numeric class:long={unit.length > 4}>
      <input
        {id}
        {name}
        {type}
        bind:value
        inputmode={numeric ? 'decimal' : undefined}
        {autocomplete}
        list={suggestions.length ? `${id}-list` : undefined}
        aria-describedby={described}
        aria-invalid={!!error}
        aria-required={needed}
        {onfocus}
        use:focusNow
      />
      {#if unit}<span class="unit" aria-hidden="true">{unit}</span><span id="{id}-unit" hidden>{spoken(unit)}</span
        >{/if}
    </span>
    {#if suggestions.length}
      <datalist id="{id}-list">
        {#each suggestions as s (s)}<option value={s}></option>{/each}
      </datalist>
    {/if}
  {/if}
</Field>

<style>
  input,
  textarea {
    width: 100%;
    min-height: var(--target);
    padding: var(--gap-2) var(--gap-3);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
  }
  textarea {
    resize: vertical;
  }
  input:focus-visible,
  textarea:focus-visible {
    border-color: var(--owl);
    outline-offset: 0;
  }
  [aria-invalid='true'] {
    border-color: var(--halt);
    border-width: 2px;
  }
  .box {
    position: relative;
    display: block;
  }
  .numeric input {
    text-align: right;
    padding-right: 3.4rem;
    font-weight: 620;
  }
  .numeric.long input {
    padding-right: 4.4rem;
  }
  .unit {
    position: absolute;
    inset: 0 0 0 auto;
    display: flex;
    align-items: center;
    padding: 0 var(--gap-3);
    color: var(--soft);
    pointer-events: none;
  }
</style>
