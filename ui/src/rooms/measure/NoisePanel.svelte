<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import { untrack } from 'svelte';
  import { client, take, type Run, type RunKey } from '../../lib/api';
  import type { FieldList } from '../../lib/fields';
  import { fixed } from '../../lib/format';
  import FilledForm from '../../lib/parts/FilledForm.svelte';
  import { SentForm } from '../../lib/sent-form.svelte';
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

  const READING = [
    {
      key: 'level_db',
      kind: 'number',
      label: say('noise-panel-level'),
      unit: 'dB',
      needed: say('noise-panel-type-level-meter-shows'),
    },
    { key: 'background_db', kind: 'number', label: say('noise-panel-background-2'), unit: 'dB' },
    { key: 'place', label: say('noise-panel-place') },
    { key: 'distance_m', kind: 'number', label: say('noise-panel-distance'), unit: 'm' },
  ] as const satisfies FieldList;
  // The next reading is of the same place, against the same room; what is typed is there again after a reload.
  const adding = new SentForm(
    READING,
    async (body) => {
      await onrun(await take(client.POST('/api/jobs/{job_id}/runs/{side}/noise', { params: { path }, body })));
      adding.fields.level_db = '';
    },
    { draft: untrack(() => `noise:${jobId}:${side}`), like: untrack(() => ({ ...run.noise.at(-1), level_db: null })) },
  );

  const rows = $derived(
    run.noise.map((n) => ({
      id: n.id,
      value: fixed(n.level_db, 1),
      unit: 'dB',
      text: [
        n.place,
        n.distance_m ? `${n.distance_m} m` : '',
        n.background_db === null ? '' : say('noise-panel-background', { background_db: fixed(n.background_db, 1) }),
      ]
        .filter(Boolean)
        .join(', '),
    })),
  );
</script>

<section class="lay-stack">
  {#if run.noise_figure}
    <p>
      <strong>{fixed(run.noise_figure.level_db, 1)} dB</strong>
      <span class="quiet">
        {say('noise-panel-mean-by-energy-background', {
          readings: run.noise_figure.readings,
          upper_bound: !!run.noise_figure.upper_bound,
        })}
      </span>
    </p>
  {/if}
  <ReadingList
    {rows}
    onremove={(id) => void removeReading(path, 'noise', id, say('noise-panel-noise-reading-was-taken'), onrun)}
  />
  <FilledForm form={adding} action={say('noise-panel-add-reading')} />
</section>
