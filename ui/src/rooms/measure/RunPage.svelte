<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // One further run: measured like Before and After.
  import { resource } from '../../lib/asking.svelte';
  import { client, take } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import JobHead from '../../lib/job/JobHead.svelte';
  import RunPanels from './RunPanels.svelte';
  import { nameOf } from '../../lib/run-names';

  interface Props {
    id: string;
    key: string;
  }
  let { id, key }: Props = $props();
  const whole = resource(
    () => ({ id, key }),
    async ({ id: job_id, key: side }) => {
      const params = { path: { job_id } };
      const [job, run, all] = await Promise.all([
        take(client.GET('/api/jobs/{job_id}', { params })),
        take(client.GET('/api/jobs/{job_id}/runs/{side}', { params: { path: { job_id, side } } })),
        take(client.GET('/api/jobs/{job_id}/all-runs', { params })),
      ]);
      return { job, run, row: all.runs.find((r) => r.key === side) ?? null };
    },
  );
  const shown = $derived(whole.value);
</script>

<Trouble of={whole}>
  {#snippet actions()}<Button href="/jobs/{id}/runs">{say('run-page-all-runs')}</Button>{/snippet}
</Trouble>
{#if shown}
  <JobHead job={shown.job} />
  <header class="lay-head">
    <h2>{say('run-page-run', { name: shown.row ? nameOf(shown.row) : '' })}</h2>
    <Button href="/jobs/{id}/runs">{say('run-page-all-runs')}</Button>
  </header>
  <RunPanels
    jobId={id}
    run={shown.run}
    runKey={key}
    closed={!!shown.job.handed_over_at}
    onrun={async (run) => {
      whole.value = { ...shown, run };
    }}
    onreload={whole.load}
  />
{:else if !whole.trouble}
  <p class="quiet" role="status">{say('run-list-opening')}</p>
{/if}

<style>
  header {
    margin: var(--gap-4) 0;
  }
  h2 {
    margin: 0;
    font-size: var(--size-3);
  }
</style>
