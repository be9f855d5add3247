<script lang="ts">
  // A day as the shop writes it everywhere: 28 May 2027. What is typed is read in the usual ways; the calendar is the
  // browser's own, behind a button.
  import { untrack } from 'svelte';
  import { say } from '../say';
  import { day, parseDay } from '../format';
  import Field from './Field.svelte';

  interface Props {
    label: string;
    /** yyyy-mm-dd, or empty; what cannot be read stays as it was typed, and the server says so too. */
    value: string;
    name: string;
    hint?: string;
    error?: string | undefined;
  }
  let { label, value = $bindable(), name, hint = '', error }: Props = $props();

  const uid = $props.id();
  const id = $derived(`${name}-${uid}`);
  let picker: HTMLInputElement | undefined = $state();
  let typed = $state(untrack(() => shown(value)));
  let wrong = $state(false);
  const told = $derived(wrong ? say('date-field-no-day') : error);

  function shown(iso: string): string {
    return /^\d{4}-\d{2}-\d{2}$/.test(iso) ? day(iso) : iso;
  }

  // What comes from elsewhere is shown; what is being typed stays.
  $effect(() => {
    const now = value;
    untrack(() => {
      if (typed !== now && parseDay(typed) !== now) [typed, wrong] = [shown(now), false];
    });
  });

  function read() {
    const iso = parseDay(typed);
    wrong = iso === null;
    value = iso ?? typed;
    if (iso !== null) typed = shown(iso);
  }
</script>

<Field {label} {id} {hint} error={told}>
  <span class="box">
    <input
      {id}
      {name}
      bind:value={typed}
      onchange={read}
      autocomplete="off"
      aria-describedby={told || hint ? `${id}-note` : undefined}
      aria-invalid={!!told}
    />
    <button type="button" aria-label={say('date-field-calendar', { label })} onclick={() => picker?.showPicker()}>
      <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true"
        ><path d="M4 6h16v14H4zM4 10h16M8 3v5M16 3v5" /></svg
      >
    </button>
    <input
      class="picker"
      type="date"
      tabindex="-1"
      aria-hidden="true"
      bind:this={picker}
      value={parseDay(typed) ?? ''}
      onchange={(e) => {
        typed = shown(e.currentTarget.value);
        read();
      }}
    />
  </span>
</Field>

<style>
  .box {
    position: relative;
    display: flex;
  }
  input:not(.picker) {
    flex: 1;
    min-width: 0;
    min-height: var(--target);
    padding: var(--gap-2) var(--gap-3);
    border: var(--line) solid var(--edge);
    border-right: 0;
    border-radius: var(--round) 0 0 var(--round);
    background: var(--sheet);
  }
  input:focus-visible {
    border-color: var(--owl);
    outline-offset: 0;
  }
  [aria-invalid='true'] {
    border-color: var(--halt);
    border-width: 2px;
  }
  button {
    flex: none;
    width: var(--target);
    min-height: var(--target);
    display: grid;
    place-items: center;
    border: var(--line) solid var(--edge);
    border-radius: 0 var(--round) var(--round) 0;
    background: var(--sheet);
    cursor: pointer;
  }
  path {
    fill: none;
    stroke: currentcolor;
    stroke-width: 2;
  }
  .picker {
    position: absolute;
    inset: auto 0 0 auto;
    width: 1px;
    height: 1px;
    opacity: 0;
    pointer-events: none;
  }
</style>
