<script lang="ts">
  import { say } from '$words/page-counter.ftl';
  import { untrack } from 'svelte';
  import { action } from '../../lib/asking.svelte';
  import { client, raw, take, type Job, type Schemas } from '../../lib/api';
  import type { FieldList } from '../../lib/fields';
  import { liveForm } from '../../lib/live-form.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { local, momentOf } from '../../lib/zone';
  import Conditions from './Conditions.svelte';
  import Quotes from './Quotes.svelte';
  import SignSection from './SignSection.svelte';

  type Sheet = Schemas['CounterOut'];
  interface Props {
    job: Job;
    sheet: Sheet;
    reload: () => Promise<void>;
  }
  let { job, sheet = $bindable(), reload }: Props = $props();
  const params = $derived({ path: { job_id: job.id } });
  const currency = untrack(() => session.present?.person?.currency ?? 'EUR');

  const LIST = [
    { key: 'accessories', label: say('counter-accessories'), hint: say('counter-accessories-hint') },
    { key: 'limit_cents', kind: 'price', label: say('counter-limit'), unit: currency, hint: say('counter-limit-hint') },
    { key: 'day', kind: 'day', label: say('counter-ready') },
    { key: 'time', label: say('counter-at'), hint: say('counter-at-hint') },
    {
      key: 'passcode',
      kind: 'choice',
      label: say('counter-passcode'),
      wide: true,
      options: [
        { value: 'not_asked', label: say('counter-passcode-not-asked') },
        { value: 'typed_by_owner', label: say('counter-passcode-typed') },
        { value: 'kept_apart', label: say('counter-passcode-apart') },
      ],
    },
    { key: 'limits', label: say('counter-limits'), wide: true, lines: 2 },
  ] as const satisfies FieldList;
  // When it is ready is a day and a time where the shop is, and one moment on the server.
  const shown = (of: Sheet) => ({ ...of, ...local(of.pick_up_at) });
  const live = liveForm(LIST, () => shown(sheet), {
    key: untrack(() => `counter:${job.id}`),
    reload: () => reload(),
    saves: () => true,
    send: async ({ day, time, ...given }) => {
      const pick_up_at = momentOf(live.fields.day, live.fields.time);
      if (pick_up_at === undefined) {
        live.errors = { time: say('counter-no-time') };
        return null;
      }
      const moved = day !== undefined || time !== undefined;
      const body = { version: sheet.version, ...given, ...(moved && { pick_up_at }) };
      sheet = await take(client.PUT('/api/jobs/{job_id}/counter', { params, body }));
      return shown(sheet);
    },
  });

  const change = action(async (work: () => Promise<Sheet>) => {
    sheet = await work();
    return true;
  });
  const errors = $derived(change.trouble?.fields ?? {});
  // What is wrong with a signature is told at its pad.
  const atPad = $derived('strokes' in errors || 'name' in errors);

  async function sign(what: 'consent' | 'picked_up', name: string, strokes: number[][][]) {
    // As they stand while the pen is lifted: what is saved only now was not read by anyone.
    const words = (what === 'consent' ? sheet.consent_words : sheet.pick_up_words) ?? [];
    await live.saver.flush();
    const body = { version: sheet.version, what, name, words, strokes };
    if (await change.run(() => take(client.POST('/api/jobs/{job_id}/counter/signatures', { params, body }))))
      toast(say('counter-signed'));
  }
  const add = (file: File, place: string) =>
    change.run(async () => {
      const photo_id = crypto.randomUUID();
      const path = { job_id: job.id, photo_id };
      const sent = raw(file, 'application/octet-stream');
      await take(client.POST('/api/jobs/{job_id}/photos/{photo_id}', { params: { path }, ...sent }));
      const body = { photo_id, place: place as 'lid' };
      return take(client.POST('/api/jobs/{job_id}/counter/conditions', { params, body }));
    });
  async function alter(one: Schemas['ConditionPhotoOut'], given: Partial<Schemas['ConditionChangeIn']>) {
    const kept: Schemas['ConditionChangeIn'] = {
      place: one.place as 'lid',
      marks: one.marks,
      note: one.note,
      removed: false,
    };
    const path = { job_id: job.id, condition_id: one.id };
    const put = (body: typeof kept) =>
      change.queue(() =>
        take(client.PUT('/api/jobs/{job_id}/counter/conditions/{condition_id}', { params: { path }, body })),
      );
    if ((await put({ ...kept, ...given })) && given.removed)
      toast(say('counter-photo-removed'), { undo: async () => void (await put(kept)) });
  }
</script>

{#if !atPad}
  <Trouble of={[live, change]}>
    {#snippet actions()}<Button onclick={() => void reload()}>{say('counter-load-again')}</Button>{/snippet}
  </Trouble>
{/if}
<div class="head lay-row">
  <h2>{say('counter-title')}</h2>
  <SaveStand stand={live.saver.stand} />
  <Button href="/jobs/{job.id}">{say('counter-to-job')}</Button>
  <Button href="/api/jobs/{job.id}/ticket.pdf" download>{say('counter-ticket')}</Button>
  {#if job.handed_over_at}<Button href="/api/jobs/{job.id}/pick-up.pdf" download>{say('counter-pick-up-sheet')}</Button
    >{/if}
</div>
<BothSides form={live} />
<form class="lay-form" onchange={() => void live.saver.flush()} onsubmit={(e) => e.preventDefault()}>
  <Fields list={LIST} bind:form={live.fields} errors={live.errors} />
</form>
<section>
  <h2>{say('counter-condition')}</h2>
  <Conditions
    conditions={sheet.conditions}
    sending={change.busy}
    onadd={(f, p) => void add(f, p)}
    onchange={(o, g) => void alter(o, g)}
  />
</section>
<SignSection
  title={say('counter-consent')}
  signed={sheet.consent}
  words={sheet.consent_words}
  name={job.customer_name}
  busy={change.busy}
  {errors}
  onsign={(n, s) => void sign('consent', n, s)}
/>
<section>
  <h2>{say('counter-quotes')}</h2>
  <Quotes
    jobId={job.id}
    quotes={sheet.quotes}
    {currency}
    closed={!!job.handed_over_at}
    busy={change.busy}
    act={async (work) => !!(await change.run(work))}
  />
</section>
<SignSection
  title={say('counter-pick-up')}
  signed={sheet.picked_up}
  words={sheet.pick_up_words}
  later={job.handed_over_at ? '' : say('counter-pick-up-later')}
  name={job.customer_name}
  busy={change.busy}
  {errors}
  onsign={(n, s) => void sign('picked_up', n, s)}
/>

<style>
  .head {
    align-items: center;
    margin: var(--gap-4) 0;
  }
  .head h2 {
    flex: 1 1 auto;
  }
  form {
    --field: 13rem;
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
