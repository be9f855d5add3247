<script lang="ts">
  import { say } from '$words/page-workings.ftl';
  import { client, take, type Job } from '../../lib/api';
  import { action, resource } from '../../lib/asking.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import { toast } from '../../lib/toasts.svelte';

  interface Props {
    open: boolean;
    name: string;
    given: Record<string, string>;
  }
  let { open = $bindable(), name, given }: Props = $props();
  const found = resource(
    () => (open ? { query: { limit: 100 } } : null),
    (params) => take(client.GET('/api/bench', { params })),
  );
  const jobs = $derived(found.value?.jobs.filter((j) => j.stage !== 'stopped') ?? null);
  const put = action(async (job: Job) => {
    const params = { path: { job_id: job.id } };
    await take(client.POST('/api/jobs/{job_id}/plan/notes', { params, body: { name, given } }));
    open = false;
    toast(say('into-job-in-plan-job', { number: job.number, model: job.model }));
  });
</script>

<Dialog title={say('into-job-put-into-which-job')} bind:open>
  <Trouble of={[found, put]} />
  {#if jobs === null}
    <p class="quiet" role="status">{say('into-job-looking')}</p>
  {:else}
    <ul>
      {#each jobs as job (job.id)}
        <li>
          <button type="button" onclick={() => void put.run(job)}>
            <strong>{job.model}</strong>
            <span class="quiet">{say('into-job-job', { number: job.number, customer_name: job.customer_name })}</span>
          </button>
        </li>
      {:else}
        <li class="quiet">{say('into-job-no-job-open-take')}</li>
      {/each}
    </ul>
  {/if}
</Dialog>

<style>
  button {
    width: 100%;
    min-height: var(--target);
    padding: 0 var(--gap-3);
    border: 0;
    border-bottom: 1px solid var(--rule);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button:hover {
    background: var(--owl-tint);
  }
</style>
