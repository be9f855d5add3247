<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { client, take, type Job, type Schemas } from '../../lib/api';
  import { LiveForm } from '../../lib/live-form.svelte';
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
  import { agree, check, emptyForm, formOf, only, withDevice, type IntakeForm } from './intake-form';
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

  const blank = untrack(() => (device ? withDevice(emptyForm(), device) : emptyForm()));
  const live = new LiveForm<IntakeForm>(
    untrack(() => (job ? formOf(job) : blank)),
    {
      key: `intake:${untrack(() => job?.id) ?? 'new'}`,
      write,
      reload: async () => onchange?.(),
      saves: () => !!job,
      whole: untrack(() => !job),
    },
  );
  const form = $derived(live.fields);
  const errors = $derived(live.errors);
  const suggestions = new Suggestions();
  $effect(() => {
    const now = job && formOf(job);
    if (now) untrack(() => live.take(now));
  });
  $effect(() => live.track());

  let agreed = $state<Record<string, string>>({});
  const settled = $derived(job?.gates.filter((g) => g.acknowledged_by).map((g) => g.rule) ?? []);
  let busy = $state(false);
  let taken: Job | null = null;
  onDestroy(() => void (job && live.saver.flush()));
  const missing = $derived(
    [
      [!form.customer_name.trim(), say('intake-missing-customer')],
      [!form.model.trim(), say('intake-missing-model')],
      [form.backup_done === 'unknown', say('intake-missing-backup')],
      [form.warranty === 'unknown', say('intake-missing-warranty')],
    ].flatMap(([is, text]) => (is ? [{ text: text as string }] : [])),
  );

  /** What can be told wrong is told beside its field; what was agreed goes with its gate. */
  async function write(typed: IntakeForm, changed: (keyof IntakeForm)[]): Promise<IntakeForm | null> {
    const { body, errors: wrong } = check(typed);
    live.errors = wrong ?? {};
    if (!body) return null;
    const kept = job
      ? await take(
          client.PUT('/api/jobs/{job_id}', {
            params: { path: { job_id: job.id } },
            body: { ...only(body, changed), version: job.version },
          }),
        )
      : await take(client.POST('/api/jobs', { body }));
    taken = await agree(kept, agreed);
    if (job) await onchange?.();
    return formOf(taken);
  }

  async function onward() {
    busy = true;
    try {
      const saved = live.changed.length || !job ? await live.save() : true;
      const kept = job ?? taken;
      if (saved && kept) await onsaved(kept);
      else focusFirstError();
    } finally {
      busy = false;
    }
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
{#if live.restored}<Restored ondrop={() => live.drop()} />{/if}
<BothSides form={live} />

<form
  id="intake"
  onsubmit={(e) => {
    e.preventDefault();
    void onward();
  }}
  onchange={() => job && void live.saver.flush()}
>
  <IntakeSection title={say('intake-whose-and-what')}>
    <TextField
      label={say('intake-customer')}
      name="customer_name"
      bind:value={live.fields.customer_name}
      error={errors.customer_name}
      needed
      suggestions={suggestions.of('customer_name')}
      onfocus={() => void suggestions.ask('customer_name')}
      focusFirst={!job}
    />
    <TextField
      label={say('intake-how-to-reach-them')}
      name="customer_contact"
      bind:value={live.fields.customer_contact}
      error={errors.customer_contact}
    />
    <Choice
      legend={say('intake-device')}
      name="kind"
      wide
      bind:value={live.fields.kind}
      options={Object.entries(KINDS).map(([value, label]) => ({ value: value as IntakeForm['kind'], label }))}
    />
    <TextField
      label={say('intake-maker')}
      name="maker"
      bind:value={live.fields.maker}
      error={errors.maker}
      suggestions={suggestions.of('maker')}
      onfocus={() => void suggestions.ask('maker')}
    />
    <TextField
      label={say('intake-model')}
      name="model"
      bind:value={live.fields.model}
      error={errors.model}
      needed
      suggestions={suggestions.of('model')}
      onfocus={() => void suggestions.ask('model', form.maker)}
    />
    <KnownModel bind:form={live.fields} fresh={!job} />
    <TextField
      label={say('intake-serial')}
      name="serial"
      bind:value={live.fields.serial}
      error={errors.serial}
      hint={say('intake-serial-hint')}
    />
    <TextField label={say('intake-tag')} name="tag" bind:value={live.fields.tag} error={errors.tag} />
    <SameDevice
      {form}
      onchoose={(device) => (live.fields = withDevice(form, device))}
      onforget={() => (live.fields.device_id = '')}
    />
    <TextField
      label={say('intake-symptom-in-customers-words')}
      name="symptom"
      wide
      lines={3}
      bind:value={live.fields.symptom}
      error={errors.symptom}
    />
  </IntakeSection>
  <IntakeBefore bind:form={live.fields} bind:agreed {settled} />
  <IntakeLife bind:form={live.fields} {errors} {suggestions} />
  <IntakeLimits bind:form={live.fields} {errors} />
  {#if live.trouble}
    <Notice tone="care" title={live.trouble.body.detail}>
      {live.trouble.body.remedy}
      {#snippet actions()}
        {#if live.trouble?.body.reason === 'serial_known'}<Button
            onclick={() => {
              live.fields.another_device = true;
              void onward();
            }}>{say('intake-another-device')}</Button
          >{/if}
      {/snippet}
    </Notice>
  {/if}
</form>
<FootBar {missing} note={!job && live.changed.length ? say('intake-kept-in-browser') : ''}>
  {#if job}
    <SaveStand stand={live.saver.stand} />
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
