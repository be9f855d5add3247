<script lang="ts">
  import { say } from '../job/words';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { client, Problem, take, type Job, type Schemas } from '../../lib/api';
  import { AutoSave, TwoSides } from '../../lib/autosave.svelte';
  import { dropDraft, keepDraft, readDraft } from '../../lib/draft.svelte';
  import { offer } from '../../lib/keys.svelte';
  import { Suggestions } from '../../lib/suggestions.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { KINDS } from '../../lib/words';
  import Gates from '../job/Gates.svelte';
  import IntakeBefore from './IntakeBefore.svelte';
  import IntakeLife from './IntakeLife.svelte';
  import IntakeLimits from './IntakeLimits.svelte';
  import IntakeSection from './IntakeSection.svelte';
  import KnownModel from './KnownModel.svelte';
  import { agree, check, emptyForm, formOf, withDevice, type IntakeForm } from './intake-form';
  import Restored from './Restored.svelte';
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

  const sides = new TwoSides<typeof form>();
  let base = untrack(() => saved);
  $effect(() => {
    const next = saved;
    untrack(() => (form = sides.merge($state.snapshot(form), base, next)));
    base = next;
  });

  // The draft follows the typing, so that a reload or a refusal loses nothing.
  $effect(() => {
    if (changed) {
      keepDraft(draftKey, form);
      if (job) untrack(() => saver.typed());
    } else {
      dropDraft(draftKey);
      untrack(() => saver.same());
    }
  });

  let agreed = $state<Record<string, string>>({});
  const settled = $derived(job?.gates.filter((g) => g.acknowledged_by).map((g) => g.rule) ?? []);
  const saver = new AutoSave(async () => (await save()) !== null);
  onDestroy(() => void saver.flush());
  const missing = $derived(
    [
      [!form.customer_name.trim(), say('intake-missing-customer')],
      [!form.model.trim(), say('intake-missing-model')],
      [form.backup_done === 'unknown', say('intake-missing-backup')],
      [form.warranty === 'unknown', say('intake-missing-warranty')],
    ].flatMap(([is, text]) => (is ? [{ text: text as string }] : [])),
  );

  /** The server's job, or null where something stands in the way: it is told beside its field. */
  async function save(): Promise<Job | null> {
    const { body, errors: wrong } = check(form);
    errors = wrong ?? {};
    trouble = null;
    if (!body) return null;
    const sent = JSON.stringify(form);
    sides.sending($state.snapshot(form));
    busy = true;
    try {
      let kept = job
        ? await take(
            client.PUT('/api/jobs/{job_id}', {
              params: { path: { job_id: job.id } },
              body: { ...body, version: job.version },
            }),
          )
        : await take(client.POST('/api/jobs', { body }));
      dropDraft(draftKey);
      restored = false;
      if (job && JSON.stringify(form) === sent) form = formOf(kept);
      kept = await agree(kept, agreed);
      if (job) await onchange?.();
      return kept;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      trouble = error;
      return null;
    } finally {
      busy = false;
    }
  }

  async function onward() {
    if (job) await saver.flush();
    const kept = !job ? await save() : saver.stand === 'refused' ? null : job;
    if (kept) await onsaved(kept);
    else focusFirstError();
  }

  function focusFirstError() {
    requestAnimationFrame(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
  }

  onMount(() => offer([{ key: 'Enter', words: say('intake-save-intake-and-go'), run: () => void onward() }]));
</script>

{#if job && job.gates.some((g) => g.stage === 'intake')}
  <div class="gates">
    <Gates {job} gates={job.gates.filter((g) => g.stage === 'intake')} onchange={async () => onchange?.()} />
  </div>
{/if}
{#if restored}<Restored
    ondrop={() => {
      form = { ...saved };
      restored = false;
    }}
  />{/if}
<BothSides {sides} ontake={(key, value) => Object.assign(form, { [key]: value })} />

<form
  id="intake"
  onsubmit={(e) => {
    e.preventDefault();
    void onward();
  }}
  onchange={() => job && void saver.flush()}
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
    <KnownModel bind:form />
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
  <IntakeBefore bind:form bind:agreed {settled} />
  <IntakeLife bind:form {errors} {suggestions} />
  <IntakeLimits bind:form {errors} />
  {#if trouble}
    <Notice tone="care" title={trouble.body.detail}>
      {trouble.body.remedy}
      {#snippet actions()}
        {#if trouble?.body.reason === 'serial_known'}<Button
            onclick={() => {
              form = { ...form, another_device: true };
              void onward();
            }}>{say('intake-another-device')}</Button
          >{/if}
        {#if trouble?.body.reason === 'stale'}<Button onclick={() => void onchange?.()}
            >{say('conditions-form-load-newer-state')}</Button
          >{/if}
      {/snippet}
    </Notice>
  {/if}
</form>
<FootBar {missing} note={job ? '' : changed ? say('intake-kept-in-browser') : ''}>
  {#if job}
    <SaveStand stand={saver.stand} />
    <Button kind="main" key="Enter" onclick={() => void onward()}>{say('intake-go-on')}</Button>
  {:else}
    <Button kind="main" type="submit" form="intake" {busy} key="Enter">{say('intake-take-in')}</Button>
  {/if}
</FootBar>

<style>
  .gates {
    margin-bottom: var(--gap-4);
  }
</style>
