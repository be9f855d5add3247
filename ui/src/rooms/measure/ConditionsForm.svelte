<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { onDestroy, untrack } from 'svelte';
  import { client, take, type Run, type RunKey } from '../../lib/api';
  import { clock } from '../../lib/format';
  import { LiveForm } from '../../lib/live-form.svelte';
  import { Suggestions } from '../../lib/suggestions.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import ResultFields from './ResultFields.svelte';
  import { formOf, numbersOf, type ConditionsText } from './conditions-form';

  interface Props {
    jobId: string;
    run: Run;
    side: RunKey;
    onrun: (run: Run) => Promise<void>;
    onreload: () => Promise<void>;
    /** Enter in a field, once all that the next step needs is there. */
    onward?: (() => void) | undefined;
  }
  let { jobId, run, side, onrun, onreload, onward }: Props = $props();

  const suggestions = new Suggestions();
  const live = new LiveForm<ConditionsText>(
    untrack(() => formOf(run)),
    { key: `run:${untrack(() => `${jobId}:${side}`)}`, write, reload: async () => onreload(), saves: () => true },
  );
  const errors = $derived(live.errors);
  $effect(() => {
    const now = formOf(run);
    untrack(() => live.take(now));
  });
  $effect(() => live.track());
  onDestroy(() => void live.saver.flush());

  function put(place: string) {
    live.fields.placement = place;
    void live.saver.flush();
  }

  async function enter() {
    await live.saver.flush();
    if (live.saver.stand === 'saved' && run.trace && run.room_c !== null) onward?.();
  }

  async function write(typed: ConditionsText, changed: (keyof ConditionsText)[]): Promise<ConditionsText | null> {
    const numbers = numbersOf(typed);
    const wrong = Object.entries(numbers).filter(([, value]) => Number.isNaN(value));
    live.errors = Object.fromEntries(wrong.map(([key]) => [key, say('conditions-form-this-no-number-leave')]));
    if (wrong.length) return null;
    const body = { ...typed, ...numbers };
    const given = Object.fromEntries(changed.map((key) => [key, body[key]])) as Partial<typeof body>;
    const next = await take(
      client.PUT('/api/jobs/{job_id}/runs/{side}', {
        params: { path: { job_id: jobId, side } },
        body: { ...given, version: run.version },
      }),
    );
    await onrun(next);
    return formOf(next);
  }
</script>

<form
  class="lay-stack"
  onsubmit={(e) => {
    e.preventDefault();
    void enter();
  }}
  onchange={() => void live.saver.flush()}
>
  <!-- Without it Enter in one of several fields sends nothing. -->
  <button hidden>{say('foot-bar-next-step')}</button>
  <BothSides form={live} />
  <div class="grid">
    <TextField
      label={say('conditions-form-room')}
      name="room_c"
      numeric
      unit="°C"
      bind:value={live.fields.room_c}
      error={errors.room_c}
      needed
    />
    {#if run.trace}
      <div class="told">
        <span>{say('conditions-form-duration')}</span>
        <p>{say('conditions-form-duration-of-the-log', { time: clock(run.trace.duration_s) })}</p>
      </div>
    {:else}
      <TextField
        label={say('conditions-form-duration')}
        name="duration_min"
        numeric
        unit="min"
        bind:value={live.fields.duration_min}
        error={errors.duration_min}
      />
    {/if}
    <TextField
      label={say('conditions-form-load')}
      name="load_recipe"
      wide
      bind:value={live.fields.load_recipe}
      error={errors.load_recipe}
      suggestions={suggestions.of('load_recipe')}
      onfocus={() => void suggestions.ask('load_recipe')}
      hint={say('conditions-form-program-scene-or-benchmark')}
    />
    <TextField
      label={say('conditions-form-fan-setting')}
      name="fan_setting"
      bind:value={live.fields.fan_setting}
      error={errors.fan_setting}
      suggestions={suggestions.of('fan_setting')}
      onfocus={() => void suggestions.ask('fan_setting')}
    />
    <TextField
      label={say('conditions-form-power-profile')}
      name="power_profile"
      bind:value={live.fields.power_profile}
      error={errors.power_profile}
      suggestions={suggestions.of('power_profile')}
      onfocus={() => void suggestions.ask('power_profile')}
    />
    <TextField
      label={say('conditions-form-placement')}
      name="placement"
      wide
      bind:value={live.fields.placement}
      error={errors.placement}
      suggestions={suggestions.of('placement')}
      onfocus={() => void suggestions.ask('placement')}
      hint={say('conditions-form-stand-lap-dock-lid')}
    />
    {#if !live.fields.placement && run.places_offered.length}
      <div class="offered lay-row" role="group" aria-label={say('conditions-form-places-offered')}>
        {#each run.places_offered as place (place)}
          <Button onclick={() => put(place)}>{place}</Button>
        {/each}
      </div>
    {/if}
    <Choice
      legend={say('conditions-form-start')}
      name="start"
      wide
      bind:value={live.fields.start}
      options={[
        { value: '', label: say('conditions-form-not-known') },
        { value: 'cold', label: say('conditions-form-cold') },
        { value: 'warm', label: say('conditions-form-warm') },
      ]}
    />
    <TextField
      label={say('conditions-form-firmware')}
      name="firmware"
      bind:value={live.fields.firmware}
      error={errors.firmware}
    />
    <TextField
      label={say('conditions-form-tuning')}
      name="tuning"
      bind:value={live.fields.tuning}
      error={errors.tuning}
      hint={say('conditions-form-undervolt-cap-driver')}
    />
    <TextField
      label={say('conditions-form-fan-blades')}
      name="fan_blades"
      numeric
      bind:value={live.fields.fan_blades}
      error={errors.fan_blades}
      hint={say('conditions-form-one-fan-gives-its')}
    />
  </div>
  <ResultFields bind:form={live.fields} {errors} />
  {#if live.trouble && !Object.keys(errors).length}
    <Notice tone="care" title={live.trouble.body.detail}>{live.trouble.body.remedy}</Notice>
  {/if}
  <SaveStand stand={live.saver.stand} />
</form>

<style>
  form {
    gap: var(--gap-4);
    align-content: start;
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-3) var(--gap-4);
  }
  .offered {
    grid-column: 1 / -1;
    gap: var(--gap-2);
  }
  .told span {
    font-weight: 620;
  }
  .told p {
    line-height: var(--target);
  }
</style>
