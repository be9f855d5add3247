<script lang="ts">
  import { say } from './words';
  // One further run: measured like Before and After.
  import { client, Problem, take, type Run, type Schemas } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import JobHead from '../job/JobHead.svelte';
  import RunPanels from '../measure/RunPanels.svelte';
  import { nameOf } from './names';

  interface Props {
    id: string;
    key: string;
  }
  let { id, key }: Props = $props();
  let job = $state.raw<Schemas['JobOut'] | null>(null);
  let run = $state.raw<Run | null>(null);
  let row = $state.raw<Schemas['RunRowOut'] | null>(null);
  let trouble = $state.raw<Problem | null>(null);

  async function load() {
    const params = { path: { job_id: id } };
    try {
      const [taken, measured, all] = await Promise.all([
        take(client.GET('/api/jobs/{job_id}', { params })),
        take(client.GET('/api/jobs/{job_id}/runs/{side}', { params: { path: { job_id: id, side: key } } })),
        take(client.GET('/api/jobs/{job_id}/all-runs', { params })),
      ]);
      [job, run, row] = [taken, measured, all.runs.find((r) => r.key === key) ?? null];
      trouble = null;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    }
  }
  $effect(() => void load());
</script>

{#if trouble}
  <Notice tone="care" title={trouble.body.detail}
    >{trouble.body.remedy}
    {#snippet actions()}<Button href="/jobs/{id}/runs">{say('run-page-all-runs')}</Button>{/snippet}</Notice
  >
{/if}
{#if job}<JobHead {job} />{/if}
{#if run && job}
  <header>
    <h2>{say('run-page-run', { name: row ? nameOf(row) : '' })}</h2>
    <Button href="/jobs/{id}/runs">{say('run-page-all-runs')}</Button>
  </header>
  <RunPanels
    jobId={id}
    {run}
    runKey={key}
    closed={!!job.handed_over_at}
    onrun={async (next) => {
      run = next;
    }}
    onreload={load}
  />
{:else if !trouble}
  <p class="quiet" role="status">{say('run-list-opening')}</p>
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    margin: var(--gap-4) 0;
  }
  h2 {
    margin: 0;
    font-size: var(--size-3);
  }
</style>
