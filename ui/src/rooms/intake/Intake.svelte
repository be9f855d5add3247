<script lang="ts">
  // At the counter: what decides whether it is taken in. The rest can be told here, and is asked where it is needed.
  import { say } from '$words/page-intake.ftl';
  import { onMount, untrack } from 'svelte';
  import { client, take, type Job, type Schemas } from '../../lib/api';
  import type { FormOf } from '../../lib/fields';
  import Gates from '../../lib/job/Gates.svelte';
  import {
    intakeFields,
    LIFE,
    LIMITS,
    marks,
    SETTLED_AT_ONCE,
    WARRANTY,
    WHAT_COMES_IN,
    type IntakeFields,
  } from '../../lib/job/job-fields';
  import { apart, stillToAsk, together } from '../../lib/job/still-open';
  import { liveForm } from '../../lib/live-form.svelte';
  import { offer } from '../../lib/keys.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { session } from '../../lib/session.svelte';
  import { agree, withDevice } from './intake-form';
  import IntakeGates from './IntakeGates.svelte';
  import KnownModel from './KnownModel.svelte';
  import SameDevice from './SameDevice.svelte';

  interface Props {
    job: Job | null;
    /** A device that has been here and comes in again. */
    device?: Schemas['DeviceOut'] | null;
    onsaved: (job: Job) => Promise<void> | void;
    onchange?: () => Promise<void>;
  }
  let { job, device = null, onsaved, onchange }: Props = $props();

  type Form = FormOf<IntakeFields>;
  const NEW = { language: session.present?.person?.language ?? 'en' } as Record<keyof Form, unknown>;
  const list = intakeFields();
  let anotherDevice = $state(false);
  let taken: Job | null = null;
  const live = liveForm(list, () => (job ? apart(job) : NEW), {
    key: `intake:${untrack(() => job?.id) ?? 'new'}`,
    reload: async () => onchange?.(),
    saves: () => !!job,
    whole: untrack(() => !job),
    send: async (given) => {
      const body = { ...together(given, job?.sensor_limits), ...(anotherDevice && { another_device: true }) };
      const kept = job
        ? await take(
            client.PUT('/api/jobs/{job_id}', {
              params: { path: { job_id: job.id } },
              body: { ...body, version: job.version },
            }),
          )
        : await take(client.POST('/api/jobs', { body: body as Schemas['IntakeIn'] }));
      taken = await agree(kept, agreed);
      if (job) await onchange?.();
      return apart(taken);
    },
  });
  untrack(() => device && (live.fields = withDevice(live.fields, device)));
  const form = $derived(live.fields);
  const [customer, ...rest] = WHAT_COMES_IN;
  // Of a device that comes in the customer is asked first; of one that is here the keys of the page are free.
  const whatComesIn = $derived([{ ...customer, first: !job }, ...rest]);

  /** What was agreed, by rule; what was agreed before needs no more words. */
  let agreed = $state<Record<string, string>>({});
  const settled = $derived(job?.gates.filter((g) => g.acknowledged_by).map((g) => g.rule) ?? []);
  let busy = $state(false);
  const missing = $derived(
    [
      [!form.customer_name.trim(), say('intake-missing-customer')],
      [!form.model.trim(), say('intake-missing-model')],
      [form.backup_done === 'unknown', say('intake-missing-backup')],
    ].flatMap(([is, text]) => (is ? [{ text: text as string }] : [])),
  );
  const open = $derived(job ? stillToAsk(job).map((item) => item.text) : []);

  async function onward() {
    if (busy) return;
    busy = true;
    try {
      const saved = live.changed.length || !job ? await live.save() : true;
      const kept = job ?? taken;
      if (saved && kept) await onsaved(kept);
      else requestAnimationFrame(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
    } finally {
      busy = false;
    }
  }

  onMount(() => offer([{ key: 'Enter', words: say('intake-save-intake-and-go'), run: () => void onward() }]));
</script>

{#if job && job.gates.some((g) => g.stage === 'intake')}
  <div class="gates">
    <Gates {job} gates={job.gates.filter((g) => g.stage === 'intake')} onchange={async () => onchange?.()} />
  </div>
{/if}
{#if live.restored}
  <div class="gates">
    <Notice title={say('intake-unsaved-typing-was-brought')}>
      {#snippet actions()}<Button onclick={() => live.drop()}>{say('intake-drop')}</Button>{/snippet}
    </Notice>
  </div>
{/if}
<BothSides form={live} />

<form
  id="intake"
  onsubmit={(e) => {
    e.preventDefault();
    void onward();
  }}
  onchange={() => job && void live.saver.flush()}
>
  <div class="pair">
    <Fields list={whatComesIn} bind:form={live.fields} errors={live.errors}>
      {#snippet behind(key)}
        {#if key === 'model'}
          <KnownModel bind:form={live.fields} fresh={!job} />
        {:else if key === 'device_id'}
          <SameDevice
            {form}
            onchoose={(found) => (live.fields = withDevice(form, found))}
            onforget={() => (live.fields.device_id = '')}
          />
        {/if}
      {/snippet}
    </Fields>
    <div class="settled lay-row lay-wide">
      <Fields list={SETTLED_AT_ONCE} bind:form={live.fields} errors={live.errors} />
    </div>
    <IntakeGates {form} bind:words={agreed} {settled} />
  </div>
  <Working summary={say('intake-more')} stand={open.join(' · ')}>
    {#each [marks(), WARRANTY, LIFE, LIMITS] as const as group (group[0].key)}
      <div class="group lay-form"><Fields list={group} bind:form={live.fields} errors={live.errors} /></div>
    {/each}
  </Working>
  {#if live.trouble}
    <Notice tone="care" title={live.trouble.body.detail}>
      {live.trouble.body.remedy}
      {#snippet actions()}
        {#if live.trouble?.body.reason === 'serial_known'}<Button
            onclick={() => {
              anotherDevice = true;
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
  .pair {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--gap-3) var(--gap-4);
    margin-bottom: var(--gap-3);
  }
  .settled {
    align-items: end;
    gap: var(--gap-3) var(--gap-5);
  }
  .group {
    --field: 15rem;

    padding: var(--gap-3) 0 var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  @media (max-width: 640px) {
    .pair {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
