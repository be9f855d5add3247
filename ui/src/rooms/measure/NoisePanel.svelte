<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { untrack } from 'svelte';
  import { client, Problem, take, type Run, type RunKey } from '../../lib/api';
  import { once } from '../../lib/once';
  import { dropDraft, keepDraft, readDraft } from '../../lib/draft.svelte';
  import { fixed, parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import ReadingList from './ReadingList.svelte';
  import { removeReading } from './remove-reading';

  interface Props {
    jobId: string;
    run: Run;
    side: RunKey;
    onrun: (run: Run) => Promise<void>;
  }
  let { jobId, run, side, onrun }: Props = $props();

  const last = untrack(() => run.noise.at(-1));
  const draftKey = untrack(() => `noise:${jobId}:${side}`);
  const blank = {
    level_db: '',
    background_db: last?.background_db === null || !last ? '' : String(last.background_db),
    place: last?.place ?? '',
    distance_m: last?.distance_m ? String(last.distance_m) : '',
  };
  let form = $state({ ...blank, ...readDraft<typeof blank>(draftKey) });
  let errors = $state<Record<string, string>>({});
  const path = $derived({ job_id: jobId, side });

  // The draft follows the typing, so that a reload or a refusal loses nothing.
  $effect(() => {
    if (form.level_db) keepDraft(draftKey, form);
  });

  const add = once(async () => {
    errors = {};
    const level = parseNumber(form.level_db);
    const background = parseNumber(form.background_db);
    const distance = parseNumber(form.distance_m);
    if (level === null || Number.isNaN(level)) errors.level_db = say('noise-panel-type-level-meter-shows');
    if (Number.isNaN(background)) errors.background_db = say('noise-panel-this-no-number');
    if (Number.isNaN(distance)) errors.distance_m = say('noise-panel-this-no-number');
    if (Object.keys(errors).length || level === null) return;
    try {
      const body = { level_db: level, background_db: background, place: form.place, distance_m: distance };
      await onrun(await take(client.POST('/api/jobs/{job_id}/runs/{side}/noise', { params: { path }, body })));
      form.level_db = '';
      dropDraft(draftKey);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).length) errors.level_db = `${error.body.detail} ${error.body.remedy}`;
    }
  });

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
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void add();
    }}
  >
    <TextField
      label={say('noise-panel-level')}
      name="level_db"
      numeric
      unit="dB"
      bind:value={form.level_db}
      error={errors.level_db}
    />
    <TextField
      label={say('noise-panel-background-2')}
      name="background_db"
      numeric
      unit="dB"
      bind:value={form.background_db}
      error={errors.background_db}
    />
    <TextField label={say('noise-panel-place')} name="place" bind:value={form.place} error={errors.place} />
    <TextField
      label={say('noise-panel-distance')}
      name="distance_m"
      numeric
      unit="m"
      bind:value={form.distance_m}
      error={errors.distance_m}
    />
    <Button type="submit">{say('noise-panel-add-reading')}</Button>
  </form>
</section>

<style>
  form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-3) var(--gap-4);
    align-items: end;
  }
</style>
