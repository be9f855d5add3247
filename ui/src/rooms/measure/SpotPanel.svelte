<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import '$words/page-job.ftl';
  import { client, take, type Run, type RunKey } from '../../lib/api';
  import { answers, type FieldList } from '../../lib/fields';
  import { fixed } from '../../lib/format';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
  import { SPOTS } from '../../lib/words';
  import ReadingList from './ReadingList.svelte';
  import { removeReading } from './remove-reading';

  interface Props {
    jobId: string;
    run: Run;
    side: RunKey;
    onrun: (run: Run) => Promise<void>;
  }
  let { jobId, run, side, onrun }: Props = $props();
  const path = $derived({ job_id: jobId, side });

  const SPOT = [
    {
      key: 'spot',
      kind: 'choice',
      label: say('spot-panel-spot'),
      wide: true,
      options: answers('spot', ['exhaust', 'skin', 'heatsink']),
    },
    {
      key: 'reading_c',
      kind: 'number',
      label: say('job-room-reading'),
      unit: '°C',
      needed: say('spot-panel-type-temperature-in-c'),
    },
    { key: 'place', label: say('spot-panel-where-exactly') },
  ] as const satisfies FieldList;
  const adding = new SentForm(SPOT, async (body) => {
    await onrun(await take(client.POST('/api/jobs/{job_id}/runs/{side}/spot', { params: { path }, body })));
    adding.fields.reading_c = '';
  });

  const CFM_PER_M3_S = 2118.88;
  const rows = $derived(
    run.spots.map((s) => ({
      id: s.id,
      value: fixed(s.reading_c, 1),
      unit: '°C',
      text: [SPOTS[s.spot], s.place].filter(Boolean).join(', '),
    })),
  );
</script>

<section class="lay-stack">
  {#if run.air}
    <p>
      <strong>{say('spot-panel-l-s-air', { flow: fixed(run.air.flow * 1000, 1) })}</strong>
      <span class="quiet">
        {say('spot-panel-cfm-carry-w-away', {
          cfm: fixed(run.air.flow * CFM_PER_M3_S, 1),
          power: fixed(run.air.power, 0),
          exhaust_rise_k: fixed(run.air.exhaust_rise_k, 1),
        })}
      </span>
    </p>
  {/if}
  <ReadingList
    {rows}
    onremove={(id) => void removeReading(path, 'spot', id, say('spot-panel-spot-reading-was-taken'), onrun)}
  />
  <FilledForm form={adding} action={say('spot-panel-add-spot')} />
</section>
