<script lang="ts">
  import { say } from './words';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import { client, take, type Job } from '../../lib/api';
  import { day } from '../../lib/format';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import { VERDICTS } from '../../lib/words';

  const STEP = 25;
  let jobs = $state<Job[] | null>(null);
  let total = $state(0);
  let offset = $state(0);

  // The page of jobs follows the offset.
  $effect(() => {
    const at = offset;
    void take(client.GET('/api/jobs', { params: { query: { all: true, limit: STEP, offset: at } } })).then((page) => {
      jobs = page.jobs;
      total = page.total;
    });
  });
</script>

<div class="head">
  <h1>{say('jobs-all-jobs')}</h1>
  <Button kind="main" href="/jobs/new" key="n">{say('jobs-take-device-in')}</Button>
</div>
{#if jobs?.length}
  <DataTable>
    <thead>
      <tr
        ><td></td><th scope="col">{say('jobs-job')}</th><th scope="col">{say('jobs-device')}</th><th scope="col"
          >{say('jobs-customer')}</th
        ><th scope="col">{say('jobs-verdict')}</th><th scope="col">{say('jobs-handed-over')}</th></tr
      >
    </thead>
    <tbody>
      {#each jobs as job (job.id)}
        <tr>
          <td class="owl"
            ><Owl
              before={job.glance_before}
              after={job.glance_after}
              verdict={job.verdict}
              stopped={job.stage === 'stopped'}
              size={52}
              decorative
            /></td
          >
          <th scope="row"><a href="/jobs/{job.id}">{job.number}</a></th>
          <td
            >{job.model}{#if job.visits > 1}<small>{say('jobs-visit', { visit: job.visit, visits: job.visits })}</small
              >{/if}</td
          >
          <td>{job.customer_name}</td>
          <td>{job.stage === 'stopped' ? say('jobs-stopped-for-safety') : job.verdict ? VERDICTS[job.verdict] : '–'}</td
          >
          <td>{job.handed_over_at ? day(job.handed_over_at) : say('jobs-on-bench')}</td>
        </tr>
      {/each}
    </tbody>
  </DataTable>
  {#if total > STEP}
    <div class="pages">
      <Button disabled={offset === 0} onclick={() => (offset = Math.max(0, offset - STEP))}>{say('jobs-newer')}</Button>
      <span class="quiet"
        >{say('jobs-to', { offset: offset + 1, total: Math.min(total, offset + STEP), total_2: total })}</span
      >
      <Button disabled={offset + STEP >= total} onclick={() => (offset += STEP)}>{say('jobs-older')}</Button>
    </div>
  {/if}
{:else if jobs}
  <p class="quiet">{say('jobs-no-job-yet-first')}</p>
{/if}

<style>
  .head,
  .pages {
    display: flex;
    align-items: center;
    justify-content: space-between;
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
  th a {
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
  }
</style>
