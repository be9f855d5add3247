<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // All runs of a job: a row a log, with state and conditions; two picked are compared, all are ranked.
  import { client, take, type Schemas, type Verdict } from '../../lib/api';
  import { action, resource } from '../../lib/asking.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import EffectTable from '../../lib/verdict/EffectTable.svelte';
  import Headline from '../../lib/verdict/Headline.svelte';
  import JobHead from '../../lib/job/JobHead.svelte';
  import AddRuns from './AddRuns.svelte';
  import BurnInPanel from './BurnInPanel.svelte';
  import FactorsPanel from './FactorsPanel.svelte';
  import NextState from './NextState.svelte';
  import RankPanel from './RankPanel.svelte';
  import RunTable from './RunTable.svelte';
  import TwoGroups from './TwoGroups.svelte';
  import PlanRuns from './PlanRuns.svelte';
  import { nameOf } from '../../lib/run-names';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  let picked = $state<string[]>([]);
  let first = $state<string[]>([]);
  let compared = $state.raw<Verdict | null>(null);
  const params = $derived({ path: { job_id: id } });
  const page = resource(
    () => params,
    async (params) => {
      const [job, found] = await Promise.all([
        take(client.GET('/api/jobs/{job_id}', { params })),
        take(client.GET('/api/jobs/{job_id}/all-runs', { params })),
      ]);
      return { job, found };
    },
  );
  const job = $derived(page.value?.job ?? null);
  const found = $derived(page.value?.found ?? null);
  const closed = $derived(!!job?.handed_over_at);
  const show = (next: Schemas['AllRunsOut']) => {
    if (page.value) page.value = { ...page.value, found: next };
  };
  const names = $derived(new Map(found?.runs.map((r) => [r.key, nameOf(r)])));

  function pick(key: string) {
    picked = picked.includes(key)
      ? picked.filter((k) => k !== key)
      : [...picked.filter((k) => !first.includes(k)), key];
    first = first.filter((k) => k !== key);
    compared = null;
  }
  const compare = action(async () => {
    const [first = '', second = ''] = picked;
    compared = await take(
      client.GET('/api/jobs/{job_id}/compare', { params: { ...params, query: { first, second } } }),
    );
  });
  const restore = action(async (path: { job_id: string; run_id: string }) =>
    show(await take(client.POST('/api/jobs/{job_id}/all-runs/{run_id}/restore', { params: { path } }))),
  );
  const remove = action(async (run: Schemas['RunRowOut']) => {
    const path = { job_id: id, run_id: run.id };
    show(await take(client.DELETE('/api/jobs/{job_id}/all-runs/{run_id}', { params: { path } })));
    picked = picked.filter((k) => k !== run.key);
    first = first.filter((k) => k !== run.key);
    compared = null;
    toast(say('run-list-taken-off', { name: nameOf(run) }), { undo: () => void restore.run(path) });
  });
  const make = action(async (run: Schemas['RunRowOut'], side: 'before' | 'after') => {
    const params = { path: { job_id: id, run_id: run.id } };
    show(await take(client.POST('/api/jobs/{job_id}/all-runs/{run_id}/reference', { params, body: { side } })));
    [picked, first, compared] = [[], [], null];
    toast(say('run-list-made', { name: run.name, side }));
  });
</script>

{#if job}<JobHead {job} />{/if}
<header class="lay-head" data-stage={say('run-list-all-runs')}>
  <div>
    <h2>{say('run-list-all-runs')}</h2>
    <p class="quiet">{say('run-list-a-row-a-log')}</p>
  </div>
  <Button href="/jobs/{id}">{say('run-list-back-to-job')}</Button>
</header>
<Trouble of={page}>
  {#snippet actions()}<Button onclick={() => void page.load()}>{say('run-list-try-again')}</Button>{/snippet}
</Trouble>
<Trouble of={[compare, remove, restore, make]} />
{#if found}
  <RunTable
    jobId={id}
    {found}
    {picked}
    {first}
    {closed}
    onpick={pick}
    onremove={(run) => void remove.run(run)}
    onmake={(run, side) => void make.run(run, side)}
  />
  <div class="compare lay-row">
    <Button kind="main" disabled={picked.length !== 2 || first.length > 0} onclick={() => void compare.run()}
      >{say('run-list-compare')}</Button
    >
    {#if first.length}
      <Button onclick={() => ([picked, first] = [first, []])}>{say('run-list-group-back')}</Button>
    {:else}
      <Button disabled={!picked.length} onclick={() => ([first, picked] = [picked, []])}>{say('run-list-group')}</Button
      >
    {/if}
    <span class="quiet">
      {#if first.length}{say('run-list-group-now', { n: first.length })}
      {:else if picked.length === 2}{say('run-list-compared', {
          first: names.get(picked[0] ?? ''),
          second: names.get(picked[1] ?? ''),
        })}
      {:else}{say('run-list-compare-pick')}{/if}
    </span>
  </div>
  {#if first.length && picked.length}<TwoGroups jobId={id} {found} {first} second={picked} />{/if}
  {#if compared}
    <section class="compared">
      <Headline verdict={compared} />
      <ul>
        {#each compared.reasons as reason, at (at)}<li>{reason}</li>{/each}
      </ul>
      <EffectTable effects={compared.effects} />
    </section>
  {/if}
  <div class="sections lay-stack">
    <RankPanel jobId={id} {found} />
    <FactorsPanel jobId={id} {found} nameOfRun={(key) => names.get(key) ?? key} />
    {#if !closed}<PlanRuns jobId={id} {found} />{/if}
    <BurnInPanel jobId={id} {found} />
  </div>
  {#if !closed}
    <div class="two">
      <AddRuns jobId={id} {found} onadded={() => void page.load()} />
      <NextState jobId={id} {found} onstate={show} />
    </div>
  {/if}
{:else if !page.trouble}
  <p class="quiet" role="status">{say('run-list-opening')}</p>
{/if}

<style>
  .sections {
    gap: var(--gap-6);
  }
  header {
    align-items: end;
    margin: var(--gap-4) 0 var(--gap-3);
  }
  h2 {
    margin: 0;
    font-size: var(--size-4);
  }
  .compare {
    align-items: center;
    margin: var(--gap-4) 0 var(--gap-5);
  }
  .compared {
    margin-bottom: var(--gap-6);
    padding: var(--gap-4);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
  }
  .two {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--gap-6);
    margin-top: var(--gap-6);
  }
  @media (max-width: 760px) {
    .two {
      grid-template-columns: 1fr;
    }
  }
</style>
