<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // A clock of one's own: by number with its usual length, or any that makes sense. It runs on the server.
  import { onMount } from 'svelte';
  import type { BenchJob } from './bench.svelte';
  import { benchWords } from './bench.svelte';
  import { minutesWords } from './clock';
  import { parseNumber } from '../format';
  import Button from '../parts/Button.svelte';
  import { toast } from '../toasts.svelte';
  import Titled from '../parts/Titled.svelte';

  interface Props {
    at: BenchJob;
    step?: string;
    only?: string[];
    onclose: () => void;
  }
  let { at, step = '', only, onclose }: Props = $props();
  const all = $derived(benchWords.table?.waits ?? []);
  const kinds = $derived(only ? only.flatMap((name) => all.find((k) => k.name === name) ?? []) : all);
  let minutes = $state('');
  let box: HTMLElement | undefined = $state();
  const wanted = $derived(parseNumber(minutes));

  onMount(() => box?.focus());

  function start(name: string) {
    const kind = kinds.find((k) => k.name === name);
    if (!kind) return;
    const own = wanted !== null && !Number.isNaN(wanted) ? wanted : kind.minutes;
    if (own < kind.least_min || own > kind.most_min) {
      toast(
        say('wait-panel-to-make-sense', {
          words: kind.words,
          least_min: minutesWords(kind.least_min),
          most_min: minutesWords(kind.most_min),
        }),
        {
          tone: 'wrong',
        },
      );
      return;
    }
    at.do('wait_started', { wait: name, minutes: own, ...(step ? { step } : {}) });
    toast(say('wait-panel-clock-runs-for', { words: kind.words, own: minutesWords(own) }));
    onclose();
  }

  function keys(event: KeyboardEvent) {
    // What is pressed over the rules that lie above is not meant for the clocks.
    if ((event.target as Element).closest('dialog')) return;
    if (event.key === 'Escape') {
      event.preventDefault();
      onclose();
    } else if (!(event.target instanceof HTMLInputElement) && /^[1-9]$/.test(event.key)) {
      const kind = kinds[Number(event.key) - 1];
      if (kind) {
        event.preventDefault();
        start(kind.name);
      }
    }
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<section bind:this={box} tabindex="-1" aria-label={say('bench-mode-start-clock')} onkeydown={keys}>
  <Titled why="waits"><h2>{say('bench-mode-start-clock')}</h2></Titled>
  <div class="kinds">
    {#each kinds as kind, i (kind.name)}
      <button type="button" onclick={() => start(kind.name)}
        >{#if i < 9}<kbd>{i + 1}</kbd>{/if}{kind.words}<small>{minutesWords(kind.minutes)}</small></button
      >
    {/each}
  </div>
  <div class="foot lay-row">
    <label
      ><span>{say('wait-panel-other-length-in-minutes')}</span><input
        bind:value={minutes}
        inputmode="decimal"
        name="wait-minutes"
      /></label
    >
    <Button onclick={onclose} key="Esc">{say('mishap-panel-back')}</Button>
  </div>
</section>

<style>
  section {
    padding: var(--gap-4) var(--gap-5);
    border-top: 4px solid var(--owl);
    background: var(--sheet);
    outline: none;
  }
  h2 {
    margin-bottom: var(--gap-3);
  }
  .kinds {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(16rem, 1fr));
    gap: var(--gap-2);
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
  small {
    margin-left: auto;
    color: var(--soft);
    white-space: nowrap;
  }
  .foot {
    align-items: end;
    margin-top: var(--gap-3);
  }
  label {
    display: grid;
    gap: var(--gap-1);
  }
  input {
    width: 10rem;
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
