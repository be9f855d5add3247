<script lang="ts">
  import { say } from '$words/page-plan.ftl';
  import { onMount, untrack } from 'svelte';
  import { client, take as take_, type Job } from '../../lib/api';
  import { resource } from '../../lib/asking.svelte';
  import { offer } from '../../lib/keys.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { go } from '../../lib/router.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import AskedHere from '../../lib/job/AskedHere.svelte';
  import { unopened } from '../../lib/job/still-open';
  import Gates from '../../lib/job/Gates.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import CutPanel from '../../lib/parts/CutPanel.svelte';
  import { factsThatMatter } from './facts';
  import Found from './Found.svelte';
  import OptionDetail from './OptionDetail.svelte';
  import PlanNotes from './PlanNotes.svelte';
  import PlanTaken from './PlanTaken.svelte';
  import OptionScale from './OptionScale.svelte';
  import { GOALS } from './plan-words';
  import { PlanState } from './plan.svelte';
  import QuoteAnswer from './QuoteAnswer.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    job: Job;
    onchange: () => Promise<void>;
    onnext: (() => void) | null;
    nextName: string | undefined;
  }
  let { job, onchange, onnext, nextName }: Props = $props();
  const SETTLE_MS = 800;
  const state_ = untrack(() => new PlanState(job.id, onchange));
  let selected = $state('');
  // What the shop knows stands beside the prediction; a plan does not wait for it.
  const shopKnows = resource(
    () => ({}),
    () => take_(client.GET('/api/known')),
  );
  const known = $derived(shopKnows.value?.materials ?? []);
  const plan = $derived(state_.plan);
  const shown = $derived(
    plan?.options.find((o) => o.key === (selected || plan.chosen?.key || plan.answer?.key)) ?? plan?.options[0],
  );
  const matter = $derived(shown ? factsThatMatter(shown) : []);
  const closed = $derived(job.handed_over_at !== null);
  // The first decision of a job goes straight to the bench; a later one is looked at against what was done.
  const startable = $derived(
    job.stage === 'plan' && !plan?.chosen && !!shown && !['leave', 'tune'].includes(shown.key),
  );
  const gates = $derived(job.gates.filter((g) => g.stage === 'plan' || g.rule === 'warranty_and_seal'));
  const sheetParts = $derived(
    shown?.parts.filter((p) => p.unit === 'piece' && ['pad', 'phase_change_sheet'].includes(p.kind)) ?? [],
  );

  const footNote = $derived(
    shown && shown.key !== plan?.chosen?.key ? say('plan-page-shown', { words: shown.words }) : '',
  );
  const missing = $derived(
    [
      ...(plan && !plan.chosen && !shown ? [say('plan-page-missing-before')] : []),
      ...(shown && plan?.chosen?.key !== shown.key
        ? shown.gates.filter((g) => g.severity === 'stop').map((g) => g.remedy)
        : []),
      ...(job.warranty === 'unknown' && unopened(job) ? [say('plan-page-warranty-open')] : []),
      ...gates.filter((g) => g.severity === 'acknowledge' && !g.acknowledged_by).map((g) => g.reason),
    ].map((text) => ({ text })),
  );

  onMount(() => {
    void state_.load();
    return offer([
      {
        key: 'Enter',
        words: say('plan-page-take-plan-that-shown'),
        run: () => step(performance.now() < readable),
      },
    ]);
  });

  // Whoever pressed Enter twice in the field before has decided nothing here.
  let readable = 0;
  $effect(() => {
    if (plan && !readable) readable = performance.now() + SETTLE_MS;
  });

  /** Go on, or decide; a decision is not taken from a plan that has only just appeared. */
  function step(justShown = false) {
    if (!shown) return;
    if (plan?.chosen?.key === shown.key || closed) onnext?.();
    else if (justShown) return;
    else if (startable) void start(shown.key);
    else void take(shown.key);
  }

  /** Choose it, begin its list, and off to the bench; where something is in the way, Open says what. */
  async function start(key: string) {
    await take(key);
    if (plan?.chosen?.key !== key) return;
    const trouble = await state_.begin();
    if (trouble) toast(trouble.words, { tone: 'wrong' });
    go(`/jobs/${job.id}/${trouble ? 'open' : 'bench'}`);
  }

  async function take(key: string | null) {
    if (closed || (key !== null && (plan?.chosen?.key === key || shown?.blocked))) return;
    const before = plan?.chosen?.key ?? null;
    if (await state_.choose(key))
      toast(key === null ? say('plan-page-decision-open-again') : say('plan-page-taken-what-was-promised'), {
        undo: () => void state_.choose(before),
      });
  }

  function goal(value: (typeof GOALS)[number]['value']) {
    if (!state_.form || state_.form.goal === value) return;
    state_.form.goal = value;
    state_.changed();
  }
</script>

<div class="head lay-head">
  <Titled why="materials"><h2>{say('plan-page-plan-what-to-do')}</h2></Titled>
  {#if state_.form && !closed}
    <Choice
      inline
      legend={say('found-customer-wants-above-all')}
      name="goal"
      options={[...GOALS]}
      bind:value={() => state_.form?.goal ?? 'cooler', goal}
    />
  {/if}
</div>
{#if state_.trouble}
  <div class="gap">
    <Notice tone="care" title={state_.trouble.body.detail}>
      {state_.trouble.body.remedy}
      {#snippet actions()}<Button onclick={() => void state_.load()}>{say('plan-page-load-newer-state')}</Button
        >{/snippet}
    </Notice>
  </div>
{/if}
{#if plan}
  {#if plan.answer}
    <div class="gap">
      <QuoteAnswer {plan} answer={plan.answer} shown={shown?.key ?? ''} onshow={(key) => (selected = key)} />
    </div>
  {/if}
  {#if plan.chosen}<div class="gap"><PlanTaken {plan} chosen={plan.chosen} /></div>{/if}
  {#if plan.remembered}<p class="quiet gap">{plan.remembered}</p>{/if}
  {#if plan.opening}
    <div class="gap">
      <Working summary={say(`plan-page-opening-${plan.opening.answer}`)}>
        <ul class="reasons">
          {#each plan.opening.reasons as reason, at (at)}<li>{reason}</li>{/each}
        </ul>
      </Working>
    </div>
  {/if}
  {#if gates.length}<div class="gap"><Gates {job} {gates} {onchange} /></div>{/if}
  {#if plan.missing}
    <Notice title={say('plan-page-nothing-can-be-predicted')}>
      {plan.missing}
      {#snippet actions()}<Button href="/jobs/{job.id}/before">{say('plan-page-to-before')}</Button>{/snippet}
    </Notice>
  {:else}
    <div class="split">
      <OptionScale {plan} selected={shown?.key ?? ''} onselect={(key) => (selected = key)} />
      {#if shown}
        {#key shown.key}
          <OptionDetail
            option={shown}
            {plan}
            {closed}
            state={state_}
            {matter}
            busy={state_.choice.busy}
            ontake={(key) => void take(key)}
            known={known.find((k) => k.kind === shown.kind) ?? null}
          />
        {/key}
      {/if}
    </div>
    {#if shown && sheetParts.length && !closed}
      <!-- Another option is cut from other sheets. -->
      {#key shown.key}<CutPanel jobId={job.id} parts={sheetParts} />{/key}
    {/if}
  {/if}
  {#if !closed}
    <Found state={state_} without={matter} />
    <AskedHere {job} about="factory" title={say('plan-page-life')} {onchange} />
    {#if unopened(job)}
      <AskedHere {job} about="warranty" title={say('plan-page-warranty')} {onchange} eager />
    {/if}
  {/if}
  {#if plan.notes.length}<PlanNotes {plan} {closed} onforget={(id) => state_.removeNote(id)} />{/if}
  <FootBar {missing} note={footNote}>
    {#if plan.chosen?.key === 'leave' && shown?.key === 'leave'}
      <Button kind="main" href="/jobs/{job.id}/handover">{say('plan-page-go-on-to-hand')}</Button>
    {:else if plan.chosen && (shown?.key === plan.chosen.key || closed)}
      {#if onnext && nextName}<Button kind="main" key="Enter" onclick={onnext}
          >{say('plan-page-go-on-to', { next_name: nextName })}</Button
        >{/if}
    {:else if shown && !closed}
      {#if startable}<Button disabled={shown.blocked} onclick={() => void take(shown.key)}
          >{say('option-detail-choose')}</Button
        >{/if}
      <Button kind="main" key="Enter" busy={state_.choice.busy} disabled={shown.blocked} onclick={() => step()}
        >{startable
          ? say('plan-page-choose-and-start')
          : shown.key === 'leave'
            ? say('option-detail-leave-alone')
            : say('option-detail-choose')}</Button
      >
    {/if}
  </FootBar>
{:else if !state_.trouble}
  <p class="quiet" role="status">{say('plan-page-working-out-options')}</p>
{/if}

<style>
  .head {
    gap: var(--gap-2) var(--gap-5);
    margin-bottom: var(--gap-2);
  }
  .split {
    display: grid;
    grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
    gap: var(--gap-5);
    align-items: start;
  }
  @media (max-width: 1099px) {
    .split {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  .gap {
    margin-bottom: var(--gap-4);
  }
  .reasons {
    margin: 0;
  }
</style>
