<script lang="ts">
  import { say } from '../job/words';
  import { onDestroy, untrack } from 'svelte';
  import { client, Problem, take, type Run, type RunKey } from '../../lib/api';
  import { AutoSave, TwoSides } from '../../lib/autosave.svelte';
  import { clock } from '../../lib/format';
  import { dropDraft, keepDraft, readDraft } from '../../lib/draft.svelte';
  import { Suggestions } from '../../lib/suggestions.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
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
    onreload: () => void;
    /** Enter in a field, once all that the next step needs is there. */
    onward?: (() => void) | undefined;
  }
  let { jobId, run, side, onrun, onreload, onward }: Props = $props();

  const draftKey = untrack(() => `run:${jobId}:${side}`);
  let form = $state<ConditionsText>({ ...untrack(() => formOf(run)), ...readDraft<ConditionsText>(draftKey) });
  let errors = $state<Record<string, string>>({});
  let trouble = $state<Problem | null>(null);
  const suggestions = new Suggestions();
  /** As the server has it. */
  let kept = $state.raw(untrack(() => formOf(run)));
  const same = (a: ConditionsText, b: ConditionsText) => JSON.stringify(a) === JSON.stringify(b);
  const changed = $derived(!same(form, kept));
  const sides = new TwoSides<ConditionsText>();
  // What another screen saved comes in; what was typed here stays.
  $effect(() => {
    const next = formOf(run);
    untrack(() => {
      form = sides.merge($state.snapshot(form), kept, next);
      kept = next;
    });
  });
  const saver = new AutoSave(save);
  onDestroy(() => void saver.flush());

  // The draft follows the typing, so that a reload or a refusal loses nothing.
  $effect(() => {
    if (changed) {
      keepDraft(draftKey, form);
      untrack(() => saver.typed());
    } else {
      dropDraft(draftKey);
      untrack(() => saver.same());
    }
  });

  async function enter() {
    await saver.flush();
    if (saver.stand === 'saved' && run.trace && run.room_c !== null) onward?.();
  }

  async function save(): Promise<boolean> {
    const sent = $state.snapshot(form);
    sides.sending(sent);
    trouble = null;
    const numbers = numbersOf(form);
    errors = Object.fromEntries(
      Object.entries(numbers)
        .filter(([, value]) => Number.isNaN(value))
        .map(([key]) => [key, say('conditions-form-this-no-number-leave')]),
    );
    if (Object.keys(errors).length) return false;
    try {
      const body = { ...form, ...numbers, version: run.version };
      const next = await take(
        client.PUT('/api/jobs/{job_id}/runs/{side}', { params: { path: { job_id: jobId, side } }, body }),
      );
      // What was typed while it was under way stays.
      kept = formOf(next);
      if (same(form, sent)) form = kept;
      await onrun(next);
      return true;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).length) trouble = error;
      return false;
    }
  }
</script>

<form
  onsubmit={(e) => {
    e.preventDefault();
    void enter();
  }}
  onchange={() => void saver.flush()}
>
  <!-- Without it Enter in one of several fields sends nothing. -->
  <button hidden>{say('foot-bar-next-step')}</button>
  <BothSides {sides} ontake={(key, value) => Object.assign(form, { [key]: value })} />
  <div class="grid">
    <TextField
      label={say('conditions-form-room')}
      name="room_c"
      numeric
      unit="°C"
      bind:value={form.room_c}
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
        bind:value={form.duration_min}
        error={errors.duration_min}
      />
    {/if}
    <TextField
      label={say('conditions-form-load')}
      name="load_recipe"
      wide
      bind:value={form.load_recipe}
      error={errors.load_recipe}
      suggestions={suggestions.of('load_recipe')}
      onfocus={() => void suggestions.ask('load_recipe')}
      hint={say('conditions-form-program-scene-or-benchmark')}
    />
    <TextField
      label={say('conditions-form-fan-setting')}
      name="fan_setting"
      bind:value={form.fan_setting}
      error={errors.fan_setting}
      suggestions={suggestions.of('fan_setting')}
      onfocus={() => void suggestions.ask('fan_setting')}
    />
    <TextField
      label={say('conditions-form-power-profile')}
      name="power_profile"
      bind:value={form.power_profile}
      error={errors.power_profile}
      suggestions={suggestions.of('power_profile')}
      onfocus={() => void suggestions.ask('power_profile')}
    />
    <TextField
      label={say('conditions-form-placement')}
      name="placement"
      wide
      bind:value={form.placement}
      error={errors.placement}
      suggestions={suggestions.of('placement')}
      onfocus={() => void suggestions.ask('placement')}
      hint={say('conditions-form-stand-lap-dock-lid')}
    />
    <Choice
      legend={say('conditions-form-start')}
      name="start"
      wide
      bind:value={form.start}
      options={[
        { value: '', label: say('conditions-form-not-known') },
        { value: 'cold', label: say('conditions-form-cold') },
        { value: 'warm', label: say('conditions-form-warm') },
      ]}
    />
    <TextField
      label={say('conditions-form-firmware')}
      name="firmware"
      bind:value={form.firmware}
      error={errors.firmware}
    />
    <TextField
      label={say('conditions-form-tuning')}
      name="tuning"
      bind:value={form.tuning}
      error={errors.tuning}
      hint={say('conditions-form-undervolt-cap-driver')}
    />
    <TextField
      label={say('conditions-form-fan-blades')}
      name="fan_blades"
      numeric
      bind:value={form.fan_blades}
      error={errors.fan_blades}
      hint={say('conditions-form-one-fan-gives-its')}
    />
  </div>
  <ResultFields bind:form {errors} />
  {#if trouble}
    <Notice tone="care" title={trouble.body.detail}>
      {trouble.body.remedy}
      {#snippet actions()}
        {#if trouble?.body.reason === 'stale'}<Button onclick={onreload}
            >{say('conditions-form-load-newer-state')}</Button
          >{/if}
      {/snippet}
    </Notice>
  {/if}
  <SaveStand stand={saver.stand} />
</form>

<style>
  form {
    display: grid;
    gap: var(--gap-4);
    align-content: start;
  }
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 11rem), 1fr));
    gap: var(--gap-3) var(--gap-4);
  }
  .told span {
    font-weight: 620;
  }
  .told p {
    line-height: var(--target);
  }
</style>
