<script lang="ts">
  import { say } from '../job/words';
  import { onMount, untrack } from 'svelte';
  import { client, Problem, take, type Job, type Schemas } from '../../lib/api';
  import { dropDraft, keepDraft, readDraft } from '../../lib/draft.svelte';
  import { offer } from '../../lib/keys.svelte';
  import { Suggestions } from '../../lib/suggestions.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import { KINDS } from '../../lib/words';
  import Gates from '../job/Gates.svelte';
  import IntakeLife from './IntakeLife.svelte';
  import IntakeLimits from './IntakeLimits.svelte';
  import IntakeSection from './IntakeSection.svelte';
  import { check, emptyForm, formOf, known, withDevice, type IntakeForm } from './intake-form';
  import SameDevice from './SameDevice.svelte';

  interface Props {
    job: Job | null;
    /** A device that has been here and comes in again. */
    device?: Schemas['DeviceOut'] | null;
    onsaved: (job: Job) => Promise<void> | void;
    onchange?: () => Promise<void>;
  }
  let { job, device = null, onsaved, onchange }: Props = $props();

  const draftKey = untrack(() => `intake:${job?.id ?? 'new'}`);
  const draft = readDraft<IntakeForm>(draftKey);
  const blank = untrack(() => (device ? withDevice(emptyForm(), device) : emptyForm()));
  let form = $state<IntakeForm>({ ...untrack(() => (job ? formOf(job) : blank)), ...draft });
  let restored = $state(draft !== null);
  let errors = $state<Record<string, string>>({});
  let trouble = $state<Problem | null>(null);
  let busy = $state(false);
  const suggestions = new Suggestions();
  const saved = $derived(job ? formOf(job) : blank);
  const changed = $derived(JSON.stringify(form) !== JSON.stringify(saved));

  // The draft follows the typing, so that a reload or a refusal loses nothing.
  $effect(() => {
    if (changed) keepDraft(draftKey, form);
    else dropDraft(draftKey);
  });

  async function save() {
    const { body, errors: wrong } = check(form);
    errors = wrong ?? {};
    trouble = null;
    if (!body) return focusFirstError();
    busy = true;
    try {
      const kept = job
        ? await take(
            client.PUT('/api/jobs/{job_id}', {
              params: { path: { job_id: job.id } },
              body: { ...body, version: job.version },
            }),
          )
        : await take(client.POST('/api/jobs', { body }));
      dropDraft(draftKey);
      restored = false;
      await onsaved(kept);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      trouble = error;
      focusFirstError();
    } finally {
      busy = false;
    }
  }

  function focusFirstError() {
    requestAnimationFrame(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
  }

  onMount(() => offer([{ key: 'Enter', words: say('intake-save-intake-and-go'), run: () => void save() }]));
</script>

{#if job && job.gates.some((g) => g.stage === 'intake')}
  <div class="gates">
    <Gates {job} gates={job.gates.filter((g) => g.stage === 'intake')} onchange={async () => onchange?.()} />
  </div>
{/if}
{#if restored}
  <div class="gates">
    <Notice title={say('intake-unsaved-typing-was-brought')}>
      {#snippet actions()}
        <Button
          onclick={() => {
            form = { ...saved };
            restored = false;
          }}>{say('intake-drop')}</Button
        >
      {/snippet}
    </Notice>
  </div>
{/if}

<form
  onsubmit={(e) => {
    e.preventDefault();
    void save();
  }}
>
  <IntakeSection title={say('intake-whose-and-what')}>
    <TextField
      label={say('intake-customer')}
      name="customer_name"
      bind:value={form.customer_name}
      error={errors.customer_name}
      needed
      suggestions={suggestions.of('customer_name')}
      onfocus={() => void suggestions.ask('customer_name')}
      focusFirst={!job}
    />
    <TextField
      label={say('intake-how-to-reach-them')}
      name="customer_contact"
      bind:value={form.customer_contact}
      error={errors.customer_contact}
    />
    <Choice
      legend={say('intake-device')}
      name="kind"
      wide
      bind:value={form.kind}
      options={Object.entries(KINDS).map(([value, label]) => ({ value: value as IntakeForm['kind'], label }))}
    />
    <TextField
      label={say('intake-maker')}
      name="maker"
      bind:value={form.maker}
      error={errors.maker}
      suggestions={suggestions.of('maker')}
      onfocus={() => void suggestions.ask('maker')}
    />
    <TextField
      label={say('intake-model')}
      name="model"
      bind:value={form.model}
      error={errors.model}
      needed
      suggestions={suggestions.of('model')}
      onfocus={() => void suggestions.ask('model', form.maker)}
    />
    <TextField
      label={say('intake-serial')}
      name="serial"
      bind:value={form.serial}
      error={errors.serial}
      hint={say('intake-serial-hint')}
    />
    <TextField label={say('intake-tag')} name="tag" bind:value={form.tag} error={errors.tag} />
    <SameDevice
      {form}
      onchoose={(device) => (form = withDevice(form, device))}
      onforget={() => (form = { ...form, device_id: '' })}
    />
    <TextField
      label={say('intake-symptom-in-customers-words')}
      name="symptom"
      wide
      lines={3}
      bind:value={form.symptom}
      error={errors.symptom}
    />
  </IntakeSection>
  <IntakeLife bind:form {errors} {suggestions} />
  <IntakeSection title={say('intake-before-anyone-opens')} why="order-of-work">
    <Choice
      legend={say('intake-backup-done')}
      name="backup_done"
      bind:value={form.backup_done}
      options={known(say('intake-yes'), say('intake-no'))}
    />
    <Choice
      legend={say('intake-warranty')}
      name="warranty"
      bind:value={form.warranty}
      options={[
        { value: 'unknown', label: say('conditions-form-not-known') },
        { value: 'running', label: say('intake-running') },
        { value: 'over', label: say('intake-over') },
      ]}
    />
    <Choice
      legend={say('intake-tamper-seal')}
      name="seal"
      bind:value={form.seal}
      options={[
        { value: 'unknown', label: say('conditions-form-not-known') },
        { value: 'intact', label: say('intake-intact') },
        { value: 'broken', label: say('intake-broken') },
        { value: 'none', label: say('intake-none') },
      ]}
    />
    <div class="ticks">
      <Tick label={say('intake-battery-swollen')} tone="halt" bind:checked={form.battery_swollen} />
      <Tick label={say('intake-traces-liquid')} bind:checked={form.liquid_damage} />
    </div>
  </IntakeSection>
  <IntakeLimits bind:form {errors} />
  {#if trouble}
    <Notice tone="care" title={trouble.body.detail}>
      {trouble.body.remedy}
      {#snippet actions()}
        {#if trouble?.body.reason === 'serial_known'}<Button
            onclick={() => {
              form = { ...form, another_device: true };
              void save();
            }}>{say('intake-another-device')}</Button
          >{/if}
        {#if trouble?.body.reason === 'stale'}<Button onclick={() => void onchange?.()}
            >{say('conditions-form-load-newer-state')}</Button
          >{/if}
      {/snippet}
    </Notice>
  {/if}
  <footer>
    <Button kind="main" type="submit" {busy} key="Enter"
      >{job ? say('intake-save-intake') : say('intake-take-in')}</Button
    >
    {#if changed}<span class="quiet">{say('conditions-form-not-saved-yet-kept')}</span>{/if}
  </footer>
</form>

<style>
  .gates {
    margin-bottom: var(--gap-4);
  }
  .ticks {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2);
    align-items: end;
  }
  footer {
    display: flex;
    align-items: center;
    gap: var(--gap-4);
    padding-top: var(--gap-4);
  }
</style>
