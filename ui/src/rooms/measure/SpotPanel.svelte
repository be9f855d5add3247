<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { client, Problem, take, type Run, type RunKey } from '../../lib/api';
  import { once } from '../../lib/once';
  import { fixed, parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
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

  let form = $state({ spot: 'exhaust' as 'exhaust' | 'skin' | 'heatsink', reading_c: '', place: '' });
  let errors = $state<Record<string, string>>({});
  const path = $derived({ job_id: jobId, side });

  const add = once(async () => {
    errors = {};
    const reading = parseNumber(form.reading_c);
    if (reading === null || Number.isNaN(reading)) {
      errors.reading_c = say('spot-panel-type-temperature-in-c');
      return;
    }
    try {
      const body = { ...form, reading_c: reading };
      await onrun(await take(client.POST('/api/jobs/{job_id}/runs/{side}/spot', { params: { path }, body })));
      form.reading_c = '';
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).length) errors.reading_c = `${error.body.detail} ${error.body.remedy}`;
    }
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
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void add();
    }}
  >
    <Choice
      legend={say('spot-panel-spot')}
      name="spot"
      wide
      bind:value={form.spot}
      options={[
        { value: 'exhaust', label: say('spot-panel-exhaust') },
        { value: 'skin', label: say('spot-panel-skin') },
        { value: 'heatsink', label: say('spot-panel-heatsink') },
      ]}
    />
    <TextField
      label={say('job-room-reading')}
      name="reading_c"
      numeric
      unit="°C"
      bind:value={form.reading_c}
      error={errors.reading_c}
    />
    <TextField label={say('spot-panel-where-exactly')} name="spot_place" bind:value={form.place} error={errors.place} />
    <Button type="submit">{say('spot-panel-add-spot')}</Button>
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
