<script lang="ts">
  import { say } from '$words/page-jobs.ftl';
  // All jobs: found as one types, narrowed by what they are, a page at a time.
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Job } from '../../lib/api';
  import { day } from '../../lib/format';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Late from '../../lib/parts/Late.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { VERDICTS } from '../../lib/words';
  import { router } from '../../lib/router.svelte';
  import { session } from '../../lib/session.svelte';
  import Filters from './Filters.svelte';
  import { asAddress, BLANK, fromAddress, narrowed, type Wanted } from './wanted';

  const STEP = 25;
  const saveList = () => import('../../lib/parts/SaveList.svelte');
  let saving = $state(false);
  const COUNTED_MOST = 1000;
  // The address holds what is looked for, so that Back and a bookmark find it again.
  let wanted = $state<Wanted>(fromAddress(location.search));
  $effect(() => {
    if (router.sent) wanted = fromAddress(location.search);
  });
  const asked = $derived({ ...wanted });
  const owner = $derived(session.present?.person?.role === 'owner');
  // What is sent; a page of it is asked for by its offset.
  const sought = $derived(narrowed(asked));
  const changed = $derived(JSON.stringify({ ...asked, offset: 0 }) !== JSON.stringify(BLANK));

  // The list follows what is typed.
  const found = resource(
    () => ({ ...sought, all: true, limit: STEP, offset: asked.offset }),
    (query) => take(client.GET('/api/jobs', { params: { query } })),
    120,
  );
  const jobs = $derived(found.value?.jobs ?? null);
  const total = $derived(found.value?.total ?? 0);
  $effect(() => history.replaceState(history.state, '', asAddress(asked)));
  const set = (more: Partial<Wanted>) => (wanted = { ...wanted, offset: 0, ...more });
</script>

<div class="head">
  <h1>{say('jobs-all-jobs')}</h1>
  <Button kind="main" href="/jobs/new" key="n">{say('jobs-take-device-in')}</Button>
</div>
<TextField
  label={say('jobs-find')}
  name="find"
  bind:value={() => wanted.find, (find) => set({ find })}
  hint={say('jobs-find-hint')}
/>
<Working summary={say('jobs-filters')} stand={changed ? say('jobs-narrowed') : say('jobs-none-set')}>
  <Filters {wanted} onset={set} />
</Working>
<Trouble of={found} />
{#if jobs?.length}
  {#snippet owl(job: Job)}
    <span class="owl"
      ><Owl
        before={job.glance_before}
        after={job.glance_after}
        verdict={job.verdict}
        stopped={job.stage === 'stopped'}
        size={52}
        decorative
      /></span
    >
  {/snippet}
  {#snippet number(job: Job)}<a href="/jobs/{job.id}">{job.number}</a>{/snippet}
  {#snippet model(job: Job)}
    {job.model}{#if job.visits > 1}<small>{say('jobs-visit', { visit: job.visit, visits: job.visits })}</small>{/if}
  {/snippet}
  <DataTable
    rows={jobs}
    key={(job) => job.id}
    columns={[
      { head: '', cell: owl },
      { head: say('jobs-job'), name: true, cell: number },
      { head: say('jobs-device'), cell: model },
      { head: say('jobs-customer'), text: (job) => job.customer_name },
      {
        head: say('jobs-verdict'),
        text: (job) =>
          job.stage === 'stopped' ? say('jobs-stopped-for-safety') : job.verdict ? VERDICTS[job.verdict] : '–',
      },
      {
        head: say('jobs-handed-over'),
        text: (job) => (job.handed_over_at ? day(job.handed_over_at) : say('jobs-on-bench')),
      },
    ]}
  />
  <div class="pages">
    <Button disabled={wanted.offset === 0} onclick={() => set({ offset: Math.max(0, wanted.offset - STEP) })}
      >{say('jobs-page-back')}</Button
    >
    <span class="quiet" role="status"
      >{say('jobs-to', {
        offset: wanted.offset + 1,
        total: wanted.offset + jobs.length,
        total_2: total > COUNTED_MOST ? say('jobs-more-than', { most: COUNTED_MOST }) : total,
      })}</span
    >
    <Button
      disabled={jobs.length < STEP || wanted.offset + STEP >= total}
      onclick={() => set({ offset: wanted.offset + STEP })}>{say('jobs-page-on')}</Button
    >
  </div>
  {#if owner}
    <Working
      summary={say('jobs-save-list')}
      stand={changed ? say('jobs-save-narrowed') : say('jobs-save-all')}
      bind:open={saving}
    >
      {#if saving}<Late load={saveList} given={{ query: sought }} />{/if}
    </Working>
  {/if}
{:else if jobs && changed}
  <p class="quiet">
    {say('jobs-none-fits')}
    <Button onclick={() => (wanted = { ...BLANK })}>{say('jobs-show-all')}</Button>
  </p>
{:else if jobs}
  <p class="quiet">{say('jobs-no-job-yet-first')}</p>
{/if}

<style>
  .head,
  .pages {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    margin-bottom: var(--gap-4);
  }
  .pages {
    margin-top: var(--gap-4);
  }
  .owl {
    width: 4rem;
  }
  small {
    display: block;
    color: var(--soft);
  }
</style>
