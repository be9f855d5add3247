<script lang="ts">
  import { say } from '$words/page-bench.ftl';
  import { onMount } from 'svelte';
  import { client, Problem, take, type Job } from '../../lib/api';
  import { hear } from '../../lib/bench/news.svelte';
  import { waits } from '../../lib/bench/waits.svelte';
  import { offer } from '../../lib/keys.svelte';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { go } from '../../lib/router.svelte';
  import BenchRow from './BenchRow.svelte';
  import WaitStrip from './WaitStrip.svelte';
  import { stageToOpen } from './stage-to-open';

  let jobs = $state<Job[] | null>(null);
  let trouble = $state('');

  const next = $derived(jobs?.find((j) => j.stage !== 'stopped') ?? null);

  // News may come while an earlier answer is under way: what is shown never goes back to an older one.
  let asked = 0;
  let shown = 0;
  async function load() {
    const mine = ++asked;
    try {
      const page = await take(client.GET('/api/bench', { params: { query: { limit: 100 } } }));
      if (mine < shown) return;
      shown = mine;
      jobs = page.jobs;
      trouble = '';
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      if (mine === asked && !jobs) trouble = error.words;
    }
  }
  // The bench follows what happens on it: news of the stream, and a wait that is over.
  let rest: ReturnType<typeof setTimeout> | undefined;
  const soon = () => {
    clearTimeout(rest);
    rest = setTimeout(() => void load(), 150);
  };
  const over = $derived(waits.list.filter((w) => Date.parse(w.due) <= waits.now).length);
  $effect(() => {
    if (over) soon();
  });

  onMount(() => {
    void load();
    const stops = [
      hear(soon),
      () => clearTimeout(rest),
      offer([{ key: 'Enter', words: say('bench-open-next-step'), run: () => next && go(stageToOpen(next)) }]),
    ];
    return () => stops.forEach((stop) => stop());
  });
</script>

<h1 class="off-screen">{say('bench-bench')}</h1>
{#if trouble}
  <Notice tone="care"
    >{trouble}{#snippet actions()}<Button onclick={() => void load()}>{say('bench-try-again')}</Button
      >{/snippet}</Notice
  >
{:else if jobs && !jobs.length}
  <section class="empty lay-stack">
    <h2>{say('bench-bench-clear')}</h2>
    <p class="quiet">{say('bench-take-device-in-say')}</p>
    <Button kind="main" href="/jobs/new" key="n">{say('bench-take-device-in')}</Button>
  </section>
{:else if jobs && waits.known}
  {#if next}
    <section class="next">
      <div>
        <p class="over">{say('bench-next-for-your-hands')}</p>
        <h2>{next.next_step}</h2>
        <p class="quiet">
          {say('bench-no-no-symptom-noted', {
            symptom: !!next.symptom,
            symptom_2: next.symptom,
            customer_name: next.customer_name,
            number: next.number,
          })}
        </p>
        <div class="actions lay-row">
          <Button kind="main" href={stageToOpen(next)} key="Enter">{say('bench-open-step')}</Button>
          <Button href="/jobs/new" key="n">{say('bench-take-device-in')}</Button>
        </div>
      </div>
      <Owl before={next.glance_before} after={next.glance_after} verdict={next.verdict} size={160} />
    </section>
  {/if}
  <WaitStrip />
  <ul>
    {#each jobs as job (job.id)}<li><BenchRow {job} /></li>{/each}
  </ul>
  <p class="foot quiet">
    {say('bench-devices-on-bench', { count: jobs.length })} <a href="/jobs">{say('bench-all-jobs-with-those')}</a>
  </p>
{/if}

<style>
  .next {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-5);
    padding: var(--gap-4) var(--gap-5);
    border: 2px solid var(--ink);
    border-radius: var(--round);
    background: var(--sheet);
    box-shadow: 7px 7px 0 var(--owl-tint);
    --paper: var(--sheet);
  }
  @media (max-width: 640px) {
    .next {
      flex-direction: column-reverse;
      align-items: start;
      gap: var(--gap-2);
      padding: var(--gap-4);
    }
    .next h2 {
      font-size: var(--size-3);
    }
    .next :global(svg) {
      width: 5.5rem;
      height: auto;
    }
  }
  .over {
    color: var(--owl);
    font-weight: 700;
  }
  .next h2 {
    margin: var(--gap-1) 0;
    font-size: var(--size-4);
  }
  .actions {
    margin-top: var(--gap-3);
  }
  .empty {
    justify-items: start;
    padding: var(--gap-7) 0;
  }
  ul {
    margin: var(--gap-5) 0 0;
    border-top: 2px solid var(--ink);
  }
  .foot {
    margin-top: var(--gap-4);
  }
</style>
