<script lang="ts">
  // A word of the trade, with what it means at hand: the glossary, beside the word.
  import { meaningOf } from '../glossary';
  import { say, upper } from '../say';
  import Unit from './Unit.svelte';

  interface Props {
    /** The name that the glossary has it under. */
    of: string;
    words: string;
  }
  let { of, words }: Props = $props();
  const uid = $props.id();
  let button: HTMLButtonElement | undefined = $state();
  let note: HTMLElement | undefined = $state();
  let open = $state(false);
  const MARGIN_PX = 8;

  // Below the word where there is room for it, else above; never over the edge.
  function place() {
    if (!button || !note) return;
    const word = button.getBoundingClientRect();
    const below = word.bottom + note.offsetHeight + MARGIN_PX < innerHeight;
    note.style.top = `${below ? word.bottom + 4 : Math.max(MARGIN_PX, word.top - note.offsetHeight - 4)}px`;
    note.style.left = `${Math.max(MARGIN_PX, Math.min(word.left, innerWidth - note.offsetWidth - MARGIN_PX))}px`;
  }
</script>

<button type="button" bind:this={button} popovertarget={uid}>{words}</button>
<span
  id={uid}
  role="note"
  popover="auto"
  bind:this={note}
  ontoggle={(event) => {
    open = event.newState === 'open';
    if (open) requestAnimationFrame(place);
  }}
>
  {#if open}
    {#await meaningOf(of) then found}
      {#if found}
        <strong>{upper(of)}</strong>{#if found.symbol !== '–'}<i>{found.symbol}</i>{/if}
        {#if found.unit !== '–'}<span class="quiet">{say('term-in')} <Unit of={found.unit} /></span>{/if}
        <span class="meaning">{upper(found.meaning)}.</span>
      {/if}
    {/await}
  {/if}
</span>

<style>
  button {
    position: relative;
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    text-align: inherit;
    text-decoration: underline dotted;
    text-decoration-color: var(--soft);
    text-underline-offset: 0.25em;
    cursor: help;
  }
  /* As large as a finger, without making its line so. */
  button::after {
    position: absolute;
    inset: calc((100% - var(--target)) / 2) min(0px, calc((100% - var(--target)) / 2));
    content: '';
  }
  [popover] {
    position: fixed;
    inset: auto;
    max-width: min(24rem, calc(100vw - 1rem));
    margin: 0;
    padding: var(--gap-3) var(--gap-4);
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    font-family: var(--font-text);
    font-size: var(--size-1);
    font-weight: 400;
    text-align: left;
    white-space: normal;
  }
  i {
    margin: 0 var(--gap-2);
  }
  .meaning {
    display: block;
  }
  @media print {
    button {
      text-decoration: none;
    }
  }
</style>
