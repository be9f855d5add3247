<script lang="ts" generics="L extends FieldList">
  // Questions about a job, asked where they are needed: they save themselves.
  import { untrack } from 'svelte';
  import { say } from '$words/page-job.ftl';
  import { client, take, type Job } from '../api';
  import type { FieldList, KeyOf } from '../fields';
  import { liveForm } from '../live-form.svelte';
  import BothSides from '../parts/BothSides.svelte';
  import Fields from '../parts/Fields.svelte';
  import SaveStand from '../parts/SaveStand.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { apart, together } from './job-fields';

  interface Props {
    job: Job;
    list: L;
    onchange: () => Promise<void>;
  }
  let { job, list, onchange }: Props = $props();

  const value = () => apart(job) as Record<KeyOf<L>, unknown>;
  const live = liveForm(
    untrack(() => list),
    value,
    {
      key: untrack(() => `job:${job.id}:${list[0]?.key ?? ''}`),
      saves: () => true,
      reload: () => onchange(),
      send: async (given) => {
        const body = { ...together(given, job.sensor_limits), version: job.version };
        const next = await take(client.PUT('/api/jobs/{job_id}', { params: { path: { job_id: job.id } }, body }));
        await onchange();
        return apart(next) as Record<KeyOf<L>, unknown>;
      },
    },
  );
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
