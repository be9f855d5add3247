<script lang="ts">
  import { say } from '$words/page-handover.ftl';
  import { untrack } from 'svelte';
  import { action } from '../../lib/asking.svelte';
  import { client, Problem, take, type CustomerRecord, type Job } from '../../lib/api';
  import { readForm, type FieldList, type ValuesOf } from '../../lib/fields';
  import { day } from '../../lib/format';
  import { liveForm } from '../../lib/live-form.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import SaveStand from '../../lib/parts/SaveStand.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { session } from '../../lib/session.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import HandedOver from './HandedOver.svelte';
  import RecordFiles from './RecordFiles.svelte';

  interface Props {
    job: Job;
    /** Null where it did not come: the price can be noted all the same. */
    record: CustomerRecord | null;
    onchange: () => Promise<void>;
  }
  let { job, record = $bindable(), onchange }: Props = $props();
  const params = $derived({ path: { job_id: job.id } });
  const open = $derived(job.handed_over_at === null);
  const latest = $derived(record?.versions[0]?.number ?? 0);
  const proposed = $derived(
    record
      ? say('hand-over-proposed-no', {
          proposed_service_on: day(record.proposed_service_on),
          proposed_service_reason: record.proposed_service_reason,
          held_again_on: !!record.held_again_on,
          held_again_on_2: day(record.held_again_on),
        })
      : '',
  );

  const list = untrack(
    () =>
      [
        {
          key: 'price_cents',
          kind: 'price',
          label: say('hand-over-price'),
          unit: session.present?.person?.currency ?? 'EUR',
        },
        { key: 'next_service_on', kind: 'day', label: say('hand-over-next-service'), hint: proposed },
        { key: 'handover_note', label: say('hand-over-word-to-owner'), wide: true, lines: 3 },
      ] as const satisfies FieldList,
  );
  // The next version says what is put right in the one before.
  let why = $state({ why: '' });
  const reason = $derived([
    {
      key: 'why',
      label: say('hand-over-why', { number: latest }),
      hint: say('hand-over-why-hint', { number: latest }),
      wide: true,
      needed: true,
    },
  ] as const satisfies FieldList);

  async function put(given: Partial<ValuesOf<typeof list>>, handed_over: boolean): Promise<Job> {
    const body = { version: job.version, handed_over, why: why.why, ...given };
    record = await take(client.PUT('/api/jobs/{job_id}/hand-over', { params, body }));
    // Waited for, so that the next write carries the new version.
    await onchange();
    return job;
  }
  const live = liveForm(list, () => job, {
    key: untrack(() => `handover:${job.id}`),
    reload: () => onchange(),
    // What another tablet has closed meanwhile is not opened again by a field that saves itself.
    saves: () => open,
    send: (given) => put(given, false),
    proposed: untrack(() => ({
      ...(job.next_service_on || !record ? {} : { next_service_on: record.proposed_service_on }),
      ...(job.price_cents === null && record?.planned_cents != null ? { price_cents: record.planned_cents } : {}),
    })),
  });
  const missing = $derived(
    open
      ? [
          ...(live.fields.price_cents.trim() ? [] : [{ text: say('hand-over-missing-price') }]),
          ...(latest && !why.why.trim() ? [{ text: say('hand-over-missing-why') }] : []),
        ]
      : [],
  );

  // Only what the button began holds it: a field that saves itself as it is left would swallow the press.
  const closing = action(async (handed: boolean): Promise<boolean> => {
    const was = !open;
    // A save that is under way carries the version that comes next.
    if (!was) await live.saver.flush();
    if (live.clashes.length || live.saver.stand === 'refused') return false;
    // All that stands in the fields goes along, also what was proposed there.
    const read = readForm(list, live.fields);
    live.errors = read.errors ?? {};
    if (!read.values) return false;
    try {
      await put(read.values, handed);
    } catch (error) {
      // What is newer comes in; the press is repeated by whoever has seen it.
      if (error instanceof Problem && error.body.reason === 'stale') await onchange();
      throw error;
    }
    live.landed(job);
    if (handed) why.why = '';
    if (handed && !was)
      toast(say('hand-over-job-handed-over', { number: job.number }), { undo: () => void closing.run(false) });
    else if (was && !handed) toast(say('hand-over-hand-over-was-taken'));
    return true;
  });
  const errors = $derived({ ...live.errors, ...closing.trouble?.fields });
</script>

{#snippet fields()}
  {#if latest}<Fields list={reason} bind:form={why} {errors} />{/if}
  <Fields {list} bind:form={live.fields} {errors} />
{/snippet}
{#if !open && record}
  <HandedOver {job} bind:record {fields} save={async () => !!(await closing.run(true))} busy={closing.busy} />
{:else}
  <form
    class="lay-form"
    onsubmit={(e) => {
      e.preventDefault();
      void live.saver.flush();
    }}
    onchange={() => void live.saver.flush()}
  >
    <BothSides form={live} />
    {@render fields()}
  </form>
  <RecordFiles {job} />
{/if}
<Trouble of={[live, closing]} />
<FootBar {missing}>
  {#if open}<SaveStand stand={live.saver.stand} />{/if}
  {#if open}
    <Button kind="main" busy={closing.busy} onclick={() => void closing.run(true)}
      >{say('hand-over-hand-over', { model: job.model })}</Button
    >
  {:else}
    <Button busy={closing.busy} onclick={() => void closing.run(false)}>{say('hand-over-take-hand-over-back')}</Button>
  {/if}
</FootBar>

<style>
  form {
    --field: 14rem;

    max-width: 46rem;
  }
</style>
