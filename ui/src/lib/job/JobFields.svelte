<script lang="ts">
  // Questions about a job, asked where they are needed: they save themselves.
  import { untrack } from 'svelte';
  import { say } from '$words/page-job.ftl';
  import { client, take, type Job } from '../api';
  import type { FieldList } from '../fields';
  import { liveForm } from '../live-form.svelte';
  import BothSides from '../parts/BothSides.svelte';
  import Fields from '../parts/Fields.svelte';
  import SaveStand from '../parts/SaveStand.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { ASKED } from './job-fields';
  import { apart, together } from './still-open';

  interface Props {
    job: Job;
    about: keyof typeof ASKED;
    onchange: () => Promise<void>;
  }
  let { job, about, onchange }: Props = $props();

  const list: FieldList = untrack(() => ASKED[about]);
  const live = liveForm(list, () => apart(job) as Record<string, unknown>, {
    key: untrack(() => `job:${job.id}:${about}`),
    saves: () => true,
    reload: () => onchange(),
    send: async (given) => {
      const body = { ...together(given, job.sensor_limits), version: job.version };
      const next = await take(client.PUT('/api/jobs/{job_id}', { params: { path: { job_id: job.id } }, body }));
      await onchange();
      return apart(next) as Record<string, unknown>;
    },
  });
</script>

<form onchange={() => void live.saver.flush()} onsubmit={(e) => e.preventDefault()}>
  <BothSides form={live} />
  <div class="fields lay-form"><Fields {list} bind:form={live.fields} errors={live.errors} /></div>
  <Trouble of={live} />
  <p aria-label={say('foot-bar-next-step')}><SaveStand stand={live.saver.stand} /></p>
</form>

<style>
  .fields {
    --field: 15rem;
  }
</style>
