<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // What went wrong, by number; then the short list that gets one out of it.
  import { onMount } from 'svelte';
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import { benchWords } from '../../lib/bench/bench.svelte';
  import Button from '../../lib/parts/Button.svelte';

  interface Props {
    at: BenchJob;
    step: string;
    onclose: () => void;
  }
  let { at, step, onclose }: Props = $props();
  const kinds = $derived(benchWords.table?.mishaps ?? []);
  let chosen = $state<string | null>(null);
  let words = $state('');
  const kind = $derived(kinds.find((k) => k.name === chosen));
  let box: HTMLElement | undefined = $state();

  onMount(() => box?.focus());

  function note() {
    if (!kind) return;
    at.do('mishap', { what: kind.name, words: words.trim(), ...(step ? { step } : {}) });
    onclose();
  }

  function keys(event: KeyboardEvent) {
    const typing = event.target instanceof HTMLInputElement;
    if (event.key === 'Escape') {
      event.preventDefault();
      if (chosen) chosen = null;
      else onclose();
    } else if (!typing && /^[1-9]$/.test(event.key) && !chosen) {
      const found = kinds[Number(event.key) - 1];
      if (found) {
        event.preventDefault();
        chosen = found.name;
      }
    } else if (kind && ((event.key === 'Enter' && typing) || (event.key.toLowerCase() === 'w' && !typing))) {
      event.preventDefault();
      note();
    }
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<section bind:this={box} tabindex="-1" aria-label={say('bench-mode-mishap')} onkeydown={keys}>
  {#if kind}
    <h2>{kind.words}</h2>
    <ol>
      {#each kind.recovery as one, at (at)}<li>{one}</li>{/each}
    </ol>
    {#if kind.check}<p class="check">{say('mishap-panel-before-closes', { check: kind.check })}</p>{/if}
    <div class="foot lay-row">
      <label
        ><span>{say('mishap-panel-what-happened')}</span><input
          bind:value={words}
          name="mishap-words"
          maxlength="400"
        /></label
      >
      <Button kind="main" onclick={note} key="W">{say('mishap-panel-put-into-record')}</Button>
      <Button onclick={() => (chosen = null)} key="Esc">{say('mishap-panel-back')}</Button>
    </div>
  {:else}
    <h2>{say('mishap-panel-what-went-wrong')}</h2>
    <div class="kinds">
      {#each kinds as one, i (one.name)}
        <button type="button" onclick={() => (chosen = one.name)}><kbd>{i + 1}</kbd>{one.words}</button>
      {/each}
    </div>
    <Button onclick={onclose} key="Esc">{say('mishap-panel-nothing-back')}</Button>
  {/if}
</section>

<style>
  section {
    padding: var(--gap-4) var(--gap-5);
    border-top: 4px solid var(--care);
    background: var(--sheet);
    outline: none;
  }
  h2 {
    margin-bottom: var(--gap-3);
    font-size: var(--size-4);
  }
  .kinds {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
    gap: var(--gap-2);
    margin-bottom: var(--gap-3);
  }
  button {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    min-height: 3.5rem;
    padding: 0 var(--gap-3);
    border: var(--line) solid var(--ink);
    border-radius: var(--round);
    background: var(--paper);
    color: var(--ink);
    font: inherit;
    font-size: var(--size-2);
    text-align: left;
    cursor: pointer;
  }
  ol {
    padding-left: 2rem;
    list-style: decimal;
    font-size: var(--size-3);
  }
  .check {
    margin-top: var(--gap-2);
    font-size: var(--size-2);
    font-weight: 620;
  }
  .foot {
    align-items: end;
    margin-top: var(--gap-3);
  }
  label {
    flex: 1 1 18rem;
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
    font-size: var(--size-2);
  }
</style>
