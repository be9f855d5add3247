<script lang="ts">
  import { untrack } from 'svelte';
  import { client, Problem, take, type Run, type SideName } from '../../lib/api';
  import { dropDraft, keepDraft, readDraft } from '../../lib/draft.svelte';
  import { clock, parseDuration, parseNumber } from '../../lib/format';
  import { Suggestions } from '../../lib/suggestions.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { say } from '../../lib/toasts.svelte';

  interface Props {
    jobId: string;
    run: Run;
    side: SideName;
    onrun: (run: Run) => Promise<void>;
    onreload: () => void;
  }
  let { jobId, run, side, onrun, onreload }: Props = $props();

  interface Form {
    room_c: string;
    duration_min: string;
    load_recipe: string;
    fan_setting: string;
    power_profile: string;
    placement: string;
    start: '' | 'cold' | 'warm';
    firmware: string;
    tuning: string;
    fan_blades: string;
    result_score: string;
    result_duration_s: string;
    result_frame_rate: string;
  }
  const text = (value: number | null) => (value === null ? '' : String(value));
  const formOf = (r: Run): Form => ({
    room_c: text(r.room_c),
    duration_min: text(r.duration_min),
    load_recipe: r.load_recipe,
    fan_setting: r.fan_setting,
    power_profile: r.power_profile,
    placement: r.placement,
    start: r.start as Form['start'],
    firmware: r.firmware,
    tuning: r.tuning,
    fan_blades: text(r.fan_blades),
    result_score: text(r.result_score),
    result_duration_s:
      r.result_duration_s !== null && Number.isInteger(r.result_duration_s)
        ? clock(r.result_duration_s)
        : text(r.result_duration_s),
    result_frame_rate: text(r.result_frame_rate),
  });

  const draftKey = untrack(() => `run:${jobId}:${side}`);
  let form = $state<Form>({ ...untrack(() => formOf(run)), ...readDraft<Form>(draftKey) });
  let errors = $state<Record<string, string>>({});
  let trouble = $state<Problem | null>(null);
  let busy = $state(false);
  const suggestions = new Suggestions();
  const changed = $derived(JSON.stringify(form) !== JSON.stringify(formOf(run)));

  // The draft follows the typing, so that a reload or a refusal loses nothing.
  $effect(() => {
    if (changed) keepDraft(draftKey, form);
    else dropDraft(draftKey);
  });

  async function save() {
    errors = {};
    trouble = null;
    const numbers = {
      room_c: parseNumber(form.room_c),
      duration_min: parseNumber(form.duration_min),
      fan_blades: parseNumber(form.fan_blades),
      result_score: parseNumber(form.result_score),
      result_duration_s: parseDuration(form.result_duration_s),
      result_frame_rate: parseNumber(form.result_frame_rate),
    };
    for (const [key, value] of Object.entries(numbers))
      if (Number.isNaN(value)) errors[key] = 'This is no number. Leave it empty if it is not known.';
    if (Object.keys(errors).length) return;
    busy = true;
    try {
      const body = { ...form, ...numbers, version: run.version };
      const kept = await take(
        client.PUT('/api/jobs/{job_id}/runs/{side}', { params: { path: { job_id: jobId, side } }, body }),
      );
      dropDraft(draftKey);
      await onrun(kept);
      form = formOf(kept);
      say('Conditions saved.');
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).length) trouble = error;
    } finally {
      busy = false;
    }
  }
</script>

<form
  onsubmit={(e) => {
    e.preventDefault();
    void save();
  }}
>
  <h3>How it was run</h3>
  <div class="grid">
    <TextField label="Room" name="room_c" numeric unit="°C" bind:value={form.room_c} error={errors.room_c} needed />
    <TextField
      label="Duration"
      name="duration_min"
      numeric
      unit="min"
      bind:value={form.duration_min}
      error={errors.duration_min}
    />
    <TextField
      label="Load"
      name="load_recipe"
      wide
      bind:value={form.load_recipe}
      error={errors.load_recipe}
      suggestions={suggestions.of('load_recipe')}
      onfocus={() => void suggestions.ask('load_recipe')}
      hint="Program, scene or benchmark, so that After can repeat it"
    />
    <TextField
      label="Fan setting"
      name="fan_setting"
      bind:value={form.fan_setting}
      error={errors.fan_setting}
      suggestions={suggestions.of('fan_setting')}
      onfocus={() => void suggestions.ask('fan_setting')}
    />
    <TextField
      label="Power profile"
      name="power_profile"
      bind:value={form.power_profile}
      error={errors.power_profile}
      suggestions={suggestions.of('power_profile')}
      onfocus={() => void suggestions.ask('power_profile')}
    />
    <TextField
      label="Placement"
      name="placement"
      wide
      bind:value={form.placement}
      error={errors.placement}
      suggestions={suggestions.of('placement')}
      onfocus={() => void suggestions.ask('placement')}
      hint="Stand, lap, dock, lid, cooling mat, cover off"
    />
    <Choice
      legend="Start"
      name="start"
      wide
      bind:value={form.start}
      options={[
        { value: '', label: 'Not known' },
        { value: 'cold', label: 'Cold' },
        { value: 'warm', label: 'Warm' },
      ]}
    />
    <TextField label="Firmware" name="firmware" bind:value={form.firmware} error={errors.firmware} />
    <TextField
      label="Tuning"
      name="tuning"
      bind:value={form.tuning}
      error={errors.tuning}
      hint="Undervolt, cap, driver"
    />
    <TextField
      label="Fan blades"
      name="fan_blades"
      numeric
      bind:value={form.fan_blades}
      error={errors.fan_blades}
      hint="Of one fan; gives its speed from a recording"
    />
  </div>
  <h3>What it scored</h3>
  <div class="grid three">
    <TextField
      label="Score"
      name="result_score"
      numeric
      unit="points"
      bind:value={form.result_score}
      error={errors.result_score}
    />
    <TextField
      label="Took"
      name="result_duration_s"
      numeric
      unit="m:ss"
      bind:value={form.result_duration_s}
      error={errors.result_duration_s}
    />
    <TextField
      label="Frame rate"
      name="result_frame_rate"
      numeric
      unit="1/s"
      bind:value={form.result_frame_rate}
      error={errors.result_frame_rate}
    />
  </div>
  {#if trouble}
    <Notice tone="care" title={trouble.body.detail}>
      {trouble.body.remedy}
      {#snippet actions()}
        {#if trouble?.body.reason === 'stale'}<Button onclick={onreload}>Load the newer state</Button>{/if}
      {/snippet}
    </Notice>
  {/if}
  <footer>
    <Button kind={changed ? 'main' : 'plain'} type="submit" {busy}>Save the conditions</Button>
    {#if changed}<span class="quiet">Not saved yet; kept in this browser.</span>{/if}
  </footer>
</form>

<style>
  form {
    display: grid;
    gap: var(--gap-4);
    align-content: start;
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--gap-3) var(--gap-4);
  }
  .three {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
  footer {
    display: flex;
    align-items: center;
    gap: var(--gap-3);
  }
</style>
