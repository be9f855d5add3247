<script lang="ts">
  import { say } from '$words/page-fit.ftl';
  import { onMount, untrack } from 'svelte';
  import { client, take, type FitItem, type Job, type Option } from '../../lib/api';
  import { quietly } from '../../lib/asking.svelte';
  import { answers } from '../../lib/fields';
  import { offer } from '../../lib/keys.svelte';
  import { liveForm } from '../../lib/live-form.svelte';
  import BothSides from '../../lib/parts/BothSides.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Fields from '../../lib/parts/Fields.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Skeleton from '../../lib/parts/Skeleton.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { line } from '../../lib/bench/news.svelte';
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import { go } from '../../lib/router.svelte';
  import StageSteps from '../../lib/bench/StageSteps.svelte';
  import CutPanel from '../../lib/parts/CutPanel.svelte';
  import FitItemForm from './FitItemForm.svelte';
  import FittedTable from './FittedTable.svelte';
  import PlannedParts from './PlannedParts.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    job: Job;
    at: BenchJob;
    onchange: () => Promise<void>;
    ondone: () => Promise<void>;
  }
  let { job, at, onchange, ondone }: Props = $props();

  // Each tick is a field of its own: two hands may tick different ones.
  const CLEANED_LIST = answers('cleaned', ['fins', 'fan', 'vents', 'contact', 'old_interface', 'pads_checked']).map(
    ({ value, label }) => ({ key: value, kind: 'tick' as const, label }),
  );
  const NOTE = {
    key: 'fit_note',
    label: say('fit-what-you-saw-and'),
    lines: 3,
    hint: say('fit-chalk-dust-felt-pads'),
  } as const;
  const cleanedOf = (j: Job) => ({
    fit_note: j.fit_note,
    ...(Object.fromEntries(CLEANED_LIST.map(({ key }) => [key, j.cleaned.includes(key)])) as Record<
      (typeof CLEANED_LIST)[number]['key'],
      boolean
    >),
  });
  /** What the press is for: it closes the step, or leaves it open. */
  let closes = false;
  const live = liveForm([...CLEANED_LIST, NOTE], () => cleanedOf(job), {
    key: untrack(() => `fit:${job.id}`),
    reload: () => onchange(),
    whole: true,
    send: async ({ fit_note = '', ...ticks }) => {
      const cleaned = CLEANED_LIST.map(({ key }) => key).filter((key) => ticks[key]);
      const body = { version: job.version, cleaned, fit_note, done: closes };
      return cleanedOf(await take(client.PUT('/api/jobs/{job_id}/fit', { params, body })));
    },
  });
  /** The list and the plan are there: what stands below them does not jump. */
  let there = $state(false);
  let items = $state<FitItem[]>([]);
  let planned = $state.raw<Option | null>(null);
  let busy = $state(false);
  const trouble = $derived(live.trouble);
  const sheets = $derived(
    planned?.parts.filter((p) => p.unit === 'piece' && ['pad', 'phase_change_sheet'].includes(p.kind)) ?? [],
  );
  const params = $derived({ path: { job_id: job.id } });

  onMount(() => {
    void Promise.all([refresh(), loadPlan()]).finally(() => (there = true));
  });
  const missing = $derived(
    job.fit_done || items.length || !planned?.parts.length ? [] : [{ text: say('fit-missing-parts') }],
  );
  const begun = $derived(at.bench?.begun ?? null);
  // Without a list the fit is closed here; with one, Enter belongs to bench mode and the list closes in Close.
  $effect(() =>
    begun || !at.bench
      ? undefined
      : offer([{ key: 'Enter', words: say('fit-close-fit-and-go'), run: () => void save(true) }]),
  );
  // What the bench has noted as fitted or cleaned shows here at once.
  const told = $derived(at.said?.number ?? 0);
  $effect(() => {
    if (told) void refresh();
  });

  /** The parts of the plan are a help: without them what was fitted is still noted by hand. */
  async function loadPlan() {
    const plan = await quietly(take(client.GET('/api/jobs/{job_id}/plan', { params })));
    planned = plan?.options.find((o) => o.key === plan.chosen?.key) ?? null;
  }

  async function refresh() {
    items = (await take(client.GET('/api/jobs/{job_id}/fit/items', { params }))).items;
  }

  async function save(done: boolean) {
    if (busy) return;
    [busy, closes] = [true, done];
    try {
      if (!(await live.save())) return;
      if (begun) {
        await onchange();
        return go(`/jobs/${job.id}/close`);
      }
      if (done) await ondone();
      else await onchange();
      toast(done ? say('fit-fit-closed') : say('fit-fit-open-again'));
    } finally {
      busy = false;
    }
  }
</script>

<Titled why="materials"><h2>{say('fit-fit-what-was-cleaned')}</h2></Titled>
{#if there && (at.bench || at.trouble || !line.stands)}
  {#if begun}<div class="steps"><StageSteps {at} stage="fit" /></div>{/if}
  <BothSides form={live} />
  <fieldset>
    <legend>{say('fit-cleaned')}</legend>
    <div class="ticks lay-row">
      <Fields list={CLEANED_LIST} bind:form={live.fields} />
    </div>
  </fieldset>

  {#if planned?.parts.length && !job.fit_done}
    <PlannedParts jobId={job.id} option={planned} {items} onitems={(found) => (items = found)} />
    {#if sheets.length}<CutPanel jobId={job.id} parts={sheets} onbooked={() => void refresh()} />{/if}
  {/if}
  <section>
    <h3>{say('fit-fitted')}</h3>
    <FittedTable jobId={job.id} {items} onitems={(found) => (items = found)} />
    <FitItemForm jobId={job.id} onitems={(found) => (items = found)} />
  </section>

  <Fields list={[NOTE]} bind:form={live.fields} />
{:else}
  <Skeleton />
{/if}
{#if trouble}
  <div class="gap">
    <Notice tone="care" title={trouble.body.detail}>
      {trouble.body.remedy}
      {#snippet actions()}
        {#if trouble?.body.reason === 'gate_open'}
          {@const where = job.gates.some((g) => g.stage === 'plan' && !g.acknowledged_by) ? 'plan' : 'intake'}
          <Button href="/jobs/{job.id}/{where}">{where === 'plan' ? say('fit-to-plan') : say('fit-to-intake')}</Button>
        {/if}
      {/snippet}
    </Notice>
  </div>
{/if}
<FootBar {missing} note={job.fit_done ? say('fit-closed') : ''}>
  {#if begun}
    <Button kind="main" {busy} onclick={() => void save(job.fit_done)}>{say('fit-save-and-go-on')}</Button>
  {:else}
    {#if job.fit_done}<Button {busy} onclick={() => void save(false)}>{say('fit-open-again')}</Button>{:else}
      <Button href="/jobs/{job.id}/open">{say('fit-work-by-step-list')}</Button>{/if}
    <Button kind="main" {busy} key="Enter" onclick={() => void save(true)}
      >{job.fit_done ? say('fit-save-and-go-on-2') : say('fit-done-go-on-to')}</Button
    >
  {/if}
</FootBar>

<style>
  h2 {
    margin-bottom: var(--gap-4);
  }
  .steps {
    margin-bottom: var(--gap-5);
  }
  fieldset {
    margin: 0 0 var(--gap-5);
    padding: 0;
    border: 0;
  }
  legend,
  h3 {
    margin-bottom: var(--gap-2);
    padding: 0;
    font-family: var(--font-head);
    font-size: var(--size-2);
    font-weight: 700;
  }
  .ticks {
    gap: var(--gap-2);
  }
  section {
    margin-bottom: var(--gap-5);
  }
  .gap {
    margin-top: var(--gap-4);
  }
</style>
