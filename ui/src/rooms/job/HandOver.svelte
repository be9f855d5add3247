<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { client, Problem, take, type CustomerRecord, type Job, type Schemas, type Verdict } from '../../lib/api';
  import { day, parseNumber } from '../../lib/format';
  import { LiveForm } from '../../lib/live-form.svelte';
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

  const formOf = (j: Job) => ({
    price: j.price_cents === null ? '' : (j.price_cents / 100).toFixed(2),
    next: j.next_service_on ?? '',
    note: j.handover_note,
  });
  type Form = ReturnType<typeof formOf>;
  let trouble = $state.raw<Problem | null>(null);
  let busy = $state(false);
  let record = $state<CustomerRecord | null>(null);
  // Made once it is known what is proposed: a proposal that came late would mix with what is being typed.
  let live = $state.raw<LiveForm<Form> | null>(null);
  const errors = $derived(live?.errors ?? {});
  const params = $derived({ path: { job_id: job.id } });
  const currency = $derived(session.present?.person?.currency ?? 'EUR');
  const lead = $derived(
    job.handed_over_at
      ? say('hand-over-handed-over-on', { handed_over_at: day(job.handed_over_at) })
      : say('hand-over-what-owner-gets-proof'),
  );
  $effect(() => {
    const now = formOf(job);
    untrack(() => live?.take(now));
  });
  $effect(() => live?.track());

  onMount(async () => {
    let proposed: Partial<Form> = {};
    try {
      const found = await take(client.GET('/api/jobs/{job_id}/record', { params }));
      record = found;
      const planned = found.planned_cents;
      proposed = {
        ...(job.next_service_on ? {} : { next: found.proposed_service_on }),
        ...(job.price_cents === null && typeof planned === 'number' ? { price: (planned / 100).toFixed(2) } : {}),
      };
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      trouble = error;
    }
    // What another tablet has closed meanwhile is not opened again by a field that saves itself.
    const saves = () => job.handed_over_at === null;
    const write = (typed: Form, changed: (keyof Form)[]) => put(typed, changed, false);
    live = new LiveForm(formOf(job), { key: `handover:${job.id}`, write, reload: onchange, saves }, proposed);
  });

  // The next version says what is put right in the one before.
  let why = $state('');
  const latest = $derived(record?.versions[0]?.number ?? 0);
  onDestroy(() => {
    if (job.handed_over_at === null) void live?.saver.flush();
  });
  const missing = $derived(
    job.handed_over_at || !live
      ? []
      : [
          ...(live.fields.price.trim() ? [] : [{ text: say('hand-over-missing-price') }]),
          ...(latest && !why.trim() ? [{ text: say('hand-over-missing-why') }] : []),
        ],
  );

  // Only what the button began holds it: a field that saves itself as it is left would swallow the press.
  async function begin(handed: boolean): Promise<boolean> {
    if (busy || !live) return false;
    busy = true;
    const was = job.handed_over_at !== null;
    try {
      // A save that is under way carries the version that comes next.
      if (!was) await live.saver.flush();
      if (live.clashes.length || live.saver.stand === 'refused') return false;
      [live.errors, trouble] = [{}, null];
      // All that stands in the fields goes along, also what was proposed there.
      const kept = await put(live.fields, ['price', 'next', 'note'], handed);
      if (!kept) return false;
      live.take(kept);
      live.drop();
      if (handed) why = '';
      if (handed && !was)
        toast(say('hand-over-job-handed-over', { number: job.number }), { undo: () => void begin(false) });
      else if (was && !handed) toast(say('hand-over-hand-over-was-taken'));
      return true;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      live.errors = error.fields;
      trouble = error;
      // What is newer comes in; the press is repeated by whoever has seen it.
      if (error.body.reason === 'stale') await onchange();
      return false;
    } finally {
      busy = false;
    }
  }

  async function put(typed: Form, changed: (keyof Form)[], handed: boolean): Promise<Form | null> {
    const price = parseNumber(typed.price);
    if (price !== null && (Number.isNaN(price) || price < 0)) {
      if (live) live.errors = { price_cents: say('hand-over-this-no-price-leave') };
      return null;
    }
    const fields = {
      price: { price_cents: price === null ? null : Math.round(price * 100) },
      next: { next_service_on: typed.next || null },
      note: { handover_note: typed.note },
    };
    const given = Object.assign({}, ...changed.map((key) => fields[key])) as Partial<Schemas['HandOverIn']>;
    const body = { version: job.version, handed_over: handed, why, ...given };
    record = await take(client.PUT('/api/jobs/{job_id}/hand-over', { params, body }));
    // Waited for, so that the next write carries the new version.
    await onchange();
    return formOf(job);
  }
</script>

{#if verdict}<Headline {verdict} />{/if}
<Titled why="life">
  <p class="lead quiet">{lead}</p>
</Titled>
{#if live && job.handed_over_at && record}
  <HandedOver {job} bind:record save={() => begin(true)} bind:form={live.fields} bind:why {errors} {busy} />
{:else if live}
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void live?.saver.flush();
    }}
    onchange={() => void live?.saver.flush()}
  >
    <BothSides form={live} names={{ next: 'next_service_on', note: 'handover_note' }} />
    <TextField
      label={say('hand-over-price')}
      name="price"
      numeric
      unit={currency}
      bind:value={live.fields.price}
      error={errors.price_cents}
    />
    <DateField
      label={say('hand-over-next-service')}
      name="next_service_on"
      bind:value={live.fields.next}
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
      bind:value={live.fields.note}
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
{#if trouble ?? live?.trouble}
  {@const told = (trouble ?? live?.trouble) as Problem}
  <Notice tone="care" title={told.body.detail}>{told.body.remedy}</Notice>
{/if}
<FootBar {missing}>
  {#if !job.handed_over_at && live}<SaveStand stand={live.saver.stand} />{/if}
  {#if job.handed_over_at}
    <Button {busy} onclick={() => void begin(false)}>{say('hand-over-take-hand-over-back')}</Button>
  {:else}
    <Button kind="main" busy={busy || !live} onclick={() => void begin(true)}
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
