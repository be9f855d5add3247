<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // A reason in words: a number takes one that is often true, or one types. Gloves, foot switch and keyboard alike.
  import { onMount, untrack } from 'svelte';
  import Button from '../parts/Button.svelte';

  interface Props {
    title: string;
    text?: string;
    ready: string[];
    verb: string;
    tone?: 'care' | 'halt' | 'note';
    start?: string;
    onsay: (words: string) => void;
    oncancel: () => void;
  }
  let { title, text = '', ready, verb, tone = 'note', start = '', onsay, oncancel }: Props = $props();
  let words = $state(untrack(() => start));
  let field: HTMLInputElement | undefined = $state();
  const enough = $derived(words.trim().length >= 4);

  onMount(() => field?.focus());

  function keys(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.preventDefault();
      oncancel();
    } else if (event.key === 'Enter' && event.target === field) {
      event.preventDefault();
      if (enough) onsay(words.trim());
    } else if (/^[1-9]$/.test(event.key) && !words && ready[Number(event.key) - 1]) {
      event.preventDefault();
      onsay(ready[Number(event.key) - 1] ?? '');
    }
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<section class={tone} aria-label={title} onkeydown={keys}>
  <h2>{title}</h2>
  {#if text}<p>{text}</p>{/if}
  <div class="ready lay-row">
    {#each ready as one, i (one)}
      <button type="button" onclick={() => onsay(one)}><kbd>{i + 1}</kbd>{one}</button>
    {/each}
  </div>
  <div class="own lay-row">
    <label>
      <span>{say('reason-panel-in-your-words')}</span>
      <input bind:this={field} bind:value={words} maxlength="400" name="words" autocomplete="off" />
    </label>
    <Button kind="main" disabled={!enough} onclick={() => onsay(words.trim())} key="Enter">{verb}</Button>
    <Button onclick={oncancel} key="Esc">{say('mishap-panel-back')}</Button>
  </div>
</section>

<style>
  section {
    padding: var(--gap-4) var(--gap-5);
    border-top: 4px solid var(--owl);
    background: var(--sheet);
  }
  .halt {
    border-color: var(--halt);
    background: var(--halt-tint);
  }
  .care {
    border-color: var(--care);
    background: var(--care-tint);
  }
  h2 {
    font-size: var(--size-4);
  }
  p {
    margin-top: var(--gap-1);
    font-size: var(--size-3);
  }
  .ready {
    gap: var(--gap-2);
    margin: var(--gap-3) 0;
  }
  .ready button {
    display: inline-flex;
    align-items: center;
    gap: var(--gap-2);
    min-height: 3.5rem;
    padding: 0 var(--gap-4);
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--paper);
    color: var(--ink);
    font: inherit;
    font-size: var(--size-2);
    cursor: pointer;
  }
  .own {
    align-items: end;
  }
  label {
    flex: 1 1 20rem;
    display: grid;
    gap: var(--gap-1);
  }
  input {
    min-height: 3.5rem;
    padding: 0 var(--gap-3);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--paper);
    color: var(--ink);
    font: inherit;
    font-size: var(--size-3);
  }
</style>
