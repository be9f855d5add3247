<script lang="ts">
  // At the counter: what came along and how it looked, what is agreed and signed, what is offered, and the way back.
  import { say } from '$words/page-counter.ftl';
  import { onDestroy } from 'svelte';
  import { client, Problem, raw, take, type Job, type Schemas } from '../../lib/api';
  import { parseNumber } from '../../lib/format';
  import { LiveForm } from '../../lib/live-form.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import DateField from '../../lib/parts/DateField.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import Skeleton from '../../lib/parts/Skeleton.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import JobHead from '../job/JobHead.svelte';
  import Conditions from './Conditions.svelte';
  import Quotes from './Quotes.svelte';
  import { local, momentOf } from '../../lib/zone';
  import SignSection from './SignSection.svelte';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  type Sheet = Schemas['CounterOut'];
  let job = $state.raw<Job | null>(null);
  let sheet = $state<Sheet | null>(null);
  let trouble = $state.raw<Problem | null>(null);
  let errors = $state<Record<string, string>>({});
  let busy = $state(false);
  const params = $derived({ path: { job_id: id } });
  const currency = $derived(session.present?.person?.currency ?? 'EUR');
  const formOf = (s: Sheet) => ({
    accessories: s.accessories,
    passcode: s.passcode,
    limit: s.limit_cents === null ? '' : (s.limit_cents / 100).toFixed(2),
    limits: s.limits,
    ...local(s.pick_up_at),
  });

  async function act(work: () => Promise<Sheet>): Promise<boolean> {
    [trouble, errors] = [null, {}];
    try {
      sheet = await work();
      return true;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      errors = error.fields;
      if (!Object.keys(errors).some((name) => ['strokes', 'name', 'price_limit'].includes(name))) trouble = error;
      return false;
    }
  }
  async function pressed(work: () => Promise<Sheet>): Promise<boolean> {
    busy = true;
    try {
      return await act(work);
    } finally {
      busy = false;
    }
  }

  async function load() {
    const done = await act(async () => {
      const [found, counter] = await Promise.all([
        take(client.GET('/api/jobs/{job_id}', { params })),
        take(client.GET('/api/jobs/{job_id}/counter', { params })),
      ]);
      job = found;
      return counter;
    });
    if (!done || !sheet) return;
    if (live) live.take(formOf(sheet));
    else live = new LiveForm(formOf(sheet), { key: `counter:${id}`, write, reload: load, saves: () => true });
  }
  $effect(() => {
    void id;
    void load();
  });

  type Form = ReturnType<typeof formOf>;
  let live = $state.raw<LiveForm<Form> | null>(null);
  $effect(() => live?.track());
  async function write(form: Form): Promise<Form | null> {
    const limit = parseNumber(form.limit);
    if (limit !== null && (Number.isNaN(limit) || limit < 0)) {
      errors = { price_limit: say('counter-no-price') };
      return null;
    }
    const ready = momentOf(form.day, form.time);
    if (ready === undefined) {
      errors = { time: say('counter-no-time') };
      return null;
    }
    errors = {};
    const body = {
      version: sheet?.version ?? 1,
      accessories: form.accessories,
      passcode: form.passcode as 'not_asked',
      limit_cents: limit === null ? null : Math.round(limit * 100),
      limits: form.limits,
      pick_up_at: ready,
    };
    sheet = await take(client.PUT('/api/jobs/{job_id}/counter', { params, body }));
    return formOf(sheet);
  }
  onDestroy(() => void live?.saver.flush());

  async function sign(what: 'consent' | 'picked_up', name: string, strokes: number[][][]) {
    // As they stand while the pen is lifted: what is saved only now was not read by anyone.
    const read = (what === 'consent' ? sheet?.consent_words : sheet?.pick_up_words) ?? [];
    await live?.saver.flush();
    const body = { version: sheet?.version ?? 1, what, name, words: read, strokes };
    if (await pressed(() => take(client.POST('/api/jobs/{job_id}/counter/signatures', { params, body }))))
      toast(say('counter-signed'));
  }
  async function add(file: File, place: string) {
    const photo_id = crypto.randomUUID();
    await pressed(async () => {
      await take(
        client.POST('/api/jobs/{job_id}/photos/{photo_id}', {
          params: { path: { job_id: id, photo_id } },
          ...raw(file, 'application/octet-stream'),
        }),
      );
      const body = { photo_id, place: place as 'lid' };
      return take(client.POST('/api/jobs/{job_id}/counter/conditions', { params, body }));
    });
  }
  async function change(one: Schemas['ConditionPhotoOut'], given: Partial<Schemas['ConditionChangeIn']>) {
    const body = { place: one.place as 'lid', marks: one.marks, note: one.note, removed: false, ...given };
    const path = { job_id: id, condition_id: one.id };
    const put = (sent: typeof body) =>
      act(() =>
        take(client.PUT('/api/jobs/{job_id}/counter/conditions/{condition_id}', { params: { path }, body: sent })),
      );
    if ((await put(body)) && given.removed)
      toast(say('counter-photo-removed'), { undo: async () => void (await put({ ...body, removed: false })) });
  }

  const PASSCODES = [
    { value: 'not_asked', label: say('counter-passcode-not-asked') },
    { value: 'typed_by_owner', label: say('counter-passcode-typed') },
    { value: 'kept_apart', label: say('counter-passcode-apart') },
  ];
</script>

{#if trouble ?? live?.trouble}
  {@const told = (trouble ?? live?.trouble) as Problem}
  <Notice tone="care" title={told.body.detail}>
    {told.body.remedy}
    {#snippet actions()}<Button onclick={() => void load()}>{say('counter-load-again')}</Button>{/snippet}
  </Notice>
{/if}
{#if job && sheet && live}
  <JobHead {job} />
  <div class="head lay-row">
    <h2>{say('counter-title')}</h2>
    <SaveStand stand={live.saver.stand} />
    <Button href="/jobs/{id}">{say('counter-to-job')}</Button>
    <Button href="/api/jobs/{id}/ticket.pdf" download>{say('counter-ticket')}</Button>
    {#if job.handed_over_at}<Button href="/api/jobs/{id}/pick-up.pdf" download>{say('counter-pick-up-sheet')}</Button
      >{/if}
  </div>
  <BothSides form={live} />
  <form onchange={() => void live?.saver.flush()} onsubmit={(e) => e.preventDefault()}>
    <TextField
      label={say('counter-accessories')}
      name="accessories"
      bind:value={live.fields.accessories}
      hint={say('counter-accessories-hint')}
    />
    <TextField
      label={say('counter-limit')}
      name="price_limit"
      numeric
      unit={currency}
      bind:value={live.fields.limit}
      error={errors.price_limit}
      hint={say('counter-limit-hint')}
    />
    <div class="moment">
      <DateField label={say('counter-ready')} name="pick_up_on" bind:value={live.fields.day} />
      <TextField
        label={say('counter-at')}
        name="pick_up_time"
        bind:value={live.fields.time}
        error={errors.time}
        hint={say('counter-at-hint')}
      />
    </div>
    <Choice
      legend={say('counter-passcode')}
      name="passcode"
      wide
      options={PASSCODES}
      bind:value={live.fields.passcode}
    />
    <TextField label={say('counter-limits')} name="limits" wide lines={2} bind:value={live.fields.limits} />
  </form>
  <section>
    <h2>{say('counter-condition')}</h2>
    <Conditions
      conditions={sheet.conditions}
      sending={busy}
      onadd={(f, p) => void add(f, p)}
      onchange={(o, g) => void change(o, g)}
    />
  </section>
  <SignSection
    title={say('counter-consent')}
    signed={sheet.consent}
    words={sheet.consent_words}
    name={job.customer_name}
    {busy}
    {errors}
    onsign={(n, s) => void sign('consent', n, s)}
  />
  <section>
    <h2>{say('counter-quotes')}</h2>
    <Quotes jobId={id} quotes={sheet.quotes} {currency} closed={!!job.handed_over_at} {busy} act={pressed} />
  </section>
  <SignSection
    title={say('counter-pick-up')}
    signed={sheet.picked_up}
    words={sheet.pick_up_words}
    later={job.handed_over_at ? '' : say('counter-pick-up-later')}
    name={job.customer_name}
    {busy}
    {errors}
    onsign={(n, s) => void sign('picked_up', n, s)}
  />
{:else if !trouble}
  <Skeleton />
{/if}

<style>
  .head {
    align-items: center;
    margin: var(--gap-4) 0;
  }
  .head h2 {
    flex: 1 1 auto;
  }
  form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 15rem), 1fr));
    gap: var(--gap-4);
    align-items: start;
  }
  .moment {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 6.5rem;
    gap: var(--gap-2);
    align-items: start;
  }
  section {
    margin-top: var(--gap-5);
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  section h2 {
    margin-bottom: var(--gap-3);
  }
</style>
