<script lang="ts">
  import { say } from './words';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { client, Problem, take, type CustomerRecord, type Job, type Verdict } from '../../lib/api';
  import { AutoSave, TwoSides } from '../../lib/autosave.svelte';
  import { dropDraft, keepDraft, readDraft } from '../../lib/draft.svelte';
  import { day, parseNumber } from '../../lib/format';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Skeleton from '../../lib/parts/Skeleton.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import DateField from '../../lib/parts/DateField.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import Headline from '../verdict/Headline.svelte';
  import HandedOver from './HandedOver.svelte';
  import RecordFiles from './RecordFiles.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    job: Job;
    verdict: Verdict | null;
    onchange: () => Promise<void>;
  }
  let { job, verdict, onchange }: Props = $props();

  const draftKey = untrack(() => `handover:${job.id}`);
  const formOf = (j: Job) => ({
    price: j.price_cents === null ? '' : (j.price_cents / 100).toFixed(2),
    next: j.next_service_on ?? '',
    note: j.handover_note,
  });
  let form = $state({
    ...untrack(() => formOf(job)),
    ...readDraft<{ price: string; next: string; note: string }>(draftKey),
  });
  let errors = $state<Record<string, string>>({});
  let trouble = $state<Problem | null>(null);
  let busy = $state(false);
  let record = $state<CustomerRecord | null>(null);
  const params = $derived({ path: { job_id: job.id } });
  const currency = $derived(session.present?.person?.currency ?? 'EUR');
  const lead = $derived(
    job.handed_over_at
      ? say('hand-over-handed-over-on', { handed_over_at: day(job.handed_over_at) })
      : say('hand-over-what-owner-gets-proof'),
  );
  const changed = $derived(JSON.stringify(form) !== JSON.stringify(formOf(job)));

  const sides = new TwoSides<ReturnType<typeof formOf>>();
  let base = untrack(() => formOf(job));
  $effect(() => {
    const next = formOf(job);
    untrack(() => (form = sides.merge($state.snapshot(form), base, next)));
    base = next;
  });

  // The draft follows the typing, so that a reload or a refusal loses nothing.
  $effect(() => {
    if (changed) {
      keepDraft(draftKey, form);
      // What is proposed in a field is not typed by anyone: it is kept with the hand-over.
      if (asked && !job.handed_over_at && JSON.stringify(form) !== proposed) untrack(() => saver.typed());
    } else {
      dropDraft(draftKey);
      untrack(() => saver.same());
    }
  });

  // The fields wait for what is proposed in them: a proposal that came late would mix with what is being typed.
  let asked = $state(false);
  onMount(async () => {
    try {
      const found = await take(client.GET('/api/jobs/{job_id}/record', { params }));
      record = found;
      if (!form.next) form.next = found.proposed_service_on;
      if (!form.price && typeof found.planned_cents === 'number') form.price = (found.planned_cents / 100).toFixed(2);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    } finally {
      proposed = JSON.stringify(form);
      asked = true;
    }
  });

  let proposed = $state('');
  // What another tablet has closed meanwhile is not opened again by a field that saves itself.
  const saver = new AutoSave(async () => job.handed_over_at !== null || (await save(false)));
  // The next version says what is put right in the one before.
  let why = $state('');
  const latest = $derived(record?.versions[0]?.number ?? 0);
  onDestroy(() => void saver.flush());
  const missing = $derived(
    job.handed_over_at || !asked
      ? []
      : [
          ...(form.price.trim() ? [] : [{ text: say('hand-over-missing-price') }]),
          ...(latest && !why.trim() ? [{ text: say('hand-over-missing-why') }] : []),
        ],
  );

  // Only what the button began holds it: a field that saves itself as it is left would swallow the press.
  async function begin(handed: boolean): Promise<boolean> {
    busy = true;
    try {
      // A save that is under way carries the version that comes next.
      await saver.flush();
      return saver.stand !== 'refused' && (await save(handed));
    } finally {
      busy = false;
    }
  }

  async function save(handed: boolean): Promise<boolean> {
    [errors, trouble] = [{}, null];
    const price = parseNumber(form.price);
    if (price !== null && (Number.isNaN(price) || price < 0)) {
      errors.price_cents = say('hand-over-this-no-price-leave');
      return false;
    }
    const sent = JSON.stringify(form);
    sides.sending($state.snapshot(form));
    const was = job.handed_over_at !== null;
    try {
      const price_cents = price === null ? null : Math.round(price * 100);
      const told = { price_cents, next_service_on: form.next || null, handover_note: form.note, why };
      const body = { version: job.version, handed_over: handed, ...told };
      record = await take(client.PUT('/api/jobs/{job_id}/hand-over', { params, body }));
      dropDraft(draftKey);
      if (handed) why = '';
      // Waited for, so that the next write carries the new version.
      await onchange();
      // As the server writes it; what was typed while it was under way stays.
      if (JSON.stringify(form) === sent) form = formOf(job);
      if (handed && !was)
        toast(say('hand-over-job-handed-over', { number: job.number }), { undo: () => void save(false) });
      else if (was && !handed) toast(say('hand-over-hand-over-was-taken'));
      return true;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      trouble = error;
      return false;
    }
  }
</script>

{#if verdict}<Headline {verdict} />{/if}
<Titled why="life">
  <p class="lead quiet">{lead}</p>
</Titled>
{#if asked && job.handed_over_at && record}
  <HandedOver {job} bind:record save={() => begin(true)} bind:form bind:why {errors} {busy} />
{:else if asked}
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void saver.flush();
    }}
    onchange={() => void saver.flush()}
  >
    <BothSides
      {sides}
      ontake={(key, value) => (form[key] = value)}
      names={{ next: 'next_service_on', note: 'handover_note' }}
    />
    <TextField
      label={say('hand-over-price')}
      name="price"
      numeric
      unit={currency}
      bind:value={form.price}
      error={errors.price_cents}
    />
    <DateField
      label={say('hand-over-next-service')}
      name="next_service_on"
      bind:value={form.next}
      error={errors.next_service_on}
      hint={record
        ? say('hand-over-proposed-no', {
            proposed_service_on: day(record.proposed_service_on),
            proposed_service_reason: record.proposed_service_reason,
            held_again_on: !!record.held_again_on,
            held_again_on_2: day(record.held_again_on),
          })
        : ''}
    />
    <TextField
      label={say('hand-over-word-to-owner')}
      name="handover_note"
      wide
      lines={3}
      bind:value={form.note}
      error={errors.handover_note}
    />
    {#if latest}
      <TextField
        label={say('hand-over-why', { number: latest })}
        name="why"
        wide
        needed
        bind:value={why}
        error={errors.why}
        hint={say('hand-over-why-hint', { number: latest })}
      />
    {/if}
  </form>
  <RecordFiles {job} />
{:else}
  <Skeleton />
{/if}
{#if trouble}
  <Notice tone="care" title={trouble.body.detail}>
    {trouble.body.remedy}
    {#snippet actions()}
      {#if trouble?.body.reason === 'stale'}<Button onclick={() => void onchange()}
          >{say('conditions-form-load-newer-state')}</Button
        >{/if}
    {/snippet}
  </Notice>
{/if}
<FootBar {missing}>
  {#if !job.handed_over_at}<SaveStand stand={saver.stand} />{/if}
  {#if job.handed_over_at}
    <Button {busy} onclick={() => void begin(false)}>{say('hand-over-take-hand-over-back')}</Button>
  {:else}
    <Button kind="main" {busy} onclick={() => void begin(true)}
      >{say('hand-over-hand-over', { model: job.model })}</Button
    >
  {/if}
</FootBar>

<style>
  .lead {
    margin: var(--gap-1) 0 var(--gap-5);
  }
  form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 14rem), 1fr));
    gap: var(--gap-4);
    max-width: 46rem;
  }
</style>
