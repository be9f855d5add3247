<script lang="ts">
  import { local } from '../../lib/zone';
  import { say } from '$words/page-close.ftl';
  // What did not go as planned, told as what it is, with the check that it asked for.
  import type { Bench } from '../../lib/bench/types';

  interface Props {
    bench: Pick<Bench, 'breaches' | 'mishaps' | 'notes'>;
  }
  let { bench }: Props = $props();
</script>

{#if bench.breaches.length || bench.mishaps.length || bench.notes.length}
  <section>
    <h3>{say('bench-story-what-happened-on-way')}</h3>
    <ul>
      {#each bench.breaches as one (one.id)}
        <li class="breach">
          <strong>{one.reason}</strong>
          {say('bench-story-told-by-at-no', {
            by: one.by,
            at: local(one.at).time,
            words: one.words,
            checked: !!one.checked,
            checked_2: one.checked,
            check: one.check,
          })}
        </li>
      {/each}
      {#each bench.mishaps as one (one.id)}
        <li class="mishap">
          <strong>{one.title}</strong>{one.words ? `: “${one.words}”` : ''}, {one.by}, {local(one.at).time}.
          {one.checked
            ? say('bench-story-checked', { checked: one.checked })
            : one.check
              ? say('bench-story-to-check', { check: one.check })
              : ''}
        </li>
      {/each}
      {#each bench.notes as one, at (at)}<li>{one.words} ({one.by})</li>{/each}
    </ul>
  </section>
{/if}

<style>
  section {
    margin-top: var(--gap-5);
  }
  ul {
    margin: var(--gap-2) 0 0;
  }
  li {
    padding: var(--gap-2) var(--gap-3);
    margin-bottom: var(--gap-2);
    border-left: 5px solid var(--edge);
    background: var(--sheet);
  }
  .breach {
    border-color: var(--halt);
  }
  .mishap {
    border-color: var(--care);
  }
</style>
