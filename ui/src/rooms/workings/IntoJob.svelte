<script lang="ts">
  import { say } from '$words/page-workings.ftl';
  import { client, Problem, take, type Job } from '../../lib/api';
  import { once } from '../../lib/once';
  import Dialog from '../../lib/parts/Dialog.svelte';
  import { toast } from '../../lib/toasts.svelte';

  interface Props {
    open: boolean;
    name: string;
    given: Record<string, string>;
  }
  let { open = $bindable(), name, given }: Props = $props();
  let jobs = $state.raw<Job[] | null>(null);
  let trouble = $state('');

  $effect(() => {
    if (open) void load();
  });

  async function load() {
    trouble = '';
    try {
      const found = (await take(client.GET('/api/bench', { params: { query: { limit: 100 } } }))).jobs;
      jobs = found.filter((j) => j.stage !== 'stopped');
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = `${error.body.detail} ${error.body.remedy}`;
    }
  }

  const put = once(async (job: Job) => {
    try {
      const params = { path: { job_id: job.id } };
      await take(client.POST('/api/jobs/{job_id}/plan/notes', { params, body: { name, given } }));
      open = false;
      toast(say('into-job-in-plan-job', { number: job.number, model: job.model }));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = `${error.body.detail} ${error.body.remedy}`;
    }
  });
</script>

<Dialog title={say('into-job-put-into-which-job')} bind:open>
  {#if trouble}<p class="wrong" role="alert">{trouble}</p>{/if}
  {#if jobs === null}
    <p class="quiet" role="status">{say('into-job-looking')}</p>
  {:else}
    <ul>
      {#each jobs as job (job.id)}
        <li>
          <button type="button" onclick={() => void put(job)}>
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
  .wrong {
    color: var(--halt);
    font-weight: 620;
  }
</style>
