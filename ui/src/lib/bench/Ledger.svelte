<script lang="ts">
  import { say } from '$words/page-open.ftl';
  // What is out and what is in, by class of screw and by plug: the map as a list.
  import type { Bench } from './types';
  import ClassShape from '../maps/ClassShape.svelte';

  interface Props {
    bench: Bench;
    chosen: string | null;
    onchoose: (id: string) => void;
  }
  let { bench, chosen, onchoose }: Props = $props();
  const screws = $derived(bench.places.filter((p) => p.kind === 'screw'));
  const plugs = $derived(bench.places.filter((p) => p.kind === 'plug'));
  const rows = $derived(
    bench.classes.map((c) => {
      const mine = screws.filter((p) => p.letter === c.letter);
      return { ...c, out: mine.filter((p) => p.is_out).length, all: mine.length };
    }),
  );
  const out = $derived(screws.filter((p) => p.is_out).length);
</script>

<aside aria-label={say('ledger-ledger')}>
  <p class="sum">
    <b>{out}</b>
    {say('ledger-figures')} <b>{screws.length}</b>
    {say('ledger-screws-out')}
  </p>
  <ul>
    {#each rows as row (row.letter)}
      <li>
        <svg viewBox="-30 -30 60 60" width="38" height="38" aria-hidden="true"
          ><ClassShape shape={row.shape} letter={row.letter} r={22} /></svg
        >
        <span>{row.words}<small>{say('ledger-out', { letter: row.letter, out: row.out, all: row.all })}</small></span>
      </li>
    {/each}
  </ul>
  {#if plugs.length}
    <p class="sum plugs">
      <b>{plugs.filter((p) => p.is_out).length}</b>
      {say('ledger-figures')} <b>{plugs.length}</b>
      {say('ledger-plugs-off')}
    </p>
    <ul>
      {#each plugs as plug (plug.id)}
        <li>
          <button type="button" class:chosen={chosen === plug.id} onclick={() => onchoose(plug.id)}>
            <span>{plug.words || plug.note || plug.holds}</span>
            <b>{plug.is_out ? say('ledger-off') : say('ledger-on')}</b>
          </button>
        </li>
      {/each}
    </ul>
  {/if}
  {#if bench.leftover}<p class="care">
      {say('ledger-left-over-in-tray', {
        leftover: bench.leftover,
        leftover_words: !!bench.leftover_words,
        leftover_words_2: bench.leftover_words,
      })}
    </p>{/if}
</aside>

<style>
  aside {
    border-top: 2px solid var(--ink);
  }
  .sum {
    padding: var(--gap-2) 0;
    font-size: var(--size-2);
  }
  .plugs {
    border-top: 1px solid var(--edge);
  }
  li {
    display: flex;
    align-items: center;
    gap: var(--gap-2);
    padding: var(--gap-1) 0;
    line-height: 1.25;
  }
  svg {
    flex: none;
  }
  small {
    display: block;
    color: var(--soft);
  }
  button {
    display: flex;
    justify-content: space-between;
    gap: var(--gap-2);
    width: 100%;
    min-height: var(--target);
    padding: 0 var(--gap-2);
    border: 0;
    border-radius: var(--round);
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    align-items: center;
    cursor: pointer;
  }
  button:hover,
  .chosen {
    background: var(--owl-tint);
  }
  .care {
    color: var(--care);
    font-weight: 620;
  }
</style>
