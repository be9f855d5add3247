<script lang="ts">
  import { say } from './words';
  import { onMount, untrack } from 'svelte';
  import { client, Problem, take as take_, type Job, type Plan, type Schemas } from '../../lib/api';
  import { day, fixed, money } from '../../lib/format';
  import { offer } from '../../lib/keys.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import Gates from '../job/Gates.svelte';
  import CutPanel from './CutPanel.svelte';
  import Found from './Found.svelte';
  import OptionDetail from './OptionDetail.svelte';
  import OptionScale from './OptionScale.svelte';
  import { PlanState } from './plan.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    job: Job;
    onchange: () => Promise<void>;
    onnext: (() => void) | null;
    nextName: string | undefined;
  }
  let { job, onchange, onnext, nextName }: Props = $props();
  const state_ = untrack(() => new PlanState(job.id, onchange));
  let selected = $state('');
  let known = $state.raw<Schemas['KnownOut'][]>([]);
  const plan = $derived(state_.plan);
  const shown = $derived(plan?.options.find((o) => o.key === (selected || plan.chosen?.key)) ?? plan?.options[0]);
  const closed = $derived(job.handed_over_at !== null);
  const gates = $derived(job.gates.filter((g) => g.stage === 'plan'));
  const sheetParts = $derived(
    shown?.parts.filter((p) => p.unit === 'piece' && ['pad', 'phase_change_sheet'].includes(p.kind)) ?? [],
  );

  onMount(() => {
    void state_.load();
    // What the shop knows stands beside the prediction; a plan does not wait for it.
    void take_(client.GET('/api/known'))
      .then((found) => (known = found.materials))
      .catch((error: unknown) => {
        if (!(error instanceof Problem)) throw error;
      });
    return offer([{ key: 'Enter', words: say('plan-page-take-plan-that-shown'), run: step }]);
  });

  type Chosen = NonNullable<Plan['chosen']>;
  /** Watts tell nothing more once it holds all that it asks for. */
  const byWatts = (c: Chosen) => c.held && c.watts !== null && c.watts.high - c.watts.low > 0.5;
  function promise(c: Chosen): string {
    const [i, words] =
      byWatts(c) && c.watts ? [c.watts, say('plan-page-w-at-limit')] : [c.die_c, say('plan-page-c-at-work-before')];
    return say('plan-page-to', { median: fixed(i.median, 0), words, low: fixed(i.low, 0), high: fixed(i.high, 0) });
  }
  function measured(of: Plan): string {
    if (!of.outcome || !of.chosen) return '';
    if (byWatts(of.chosen) && of.outcome.watts !== null) return `${fixed(of.outcome.watts, 0)} W`;
    if (of.outcome.die_c !== null) return `${fixed(of.outcome.die_c, 1)} °C`;
    return `${fixed(of.outcome.resistance, 2)} K/W`;
  }

  function step() {
    if (!shown) return;
    if (plan?.chosen?.key === shown.key || closed) onnext?.();
    else void take(shown.key);
  }

  async function take(key: string | null) {
    if (closed || (key !== null && (plan?.chosen?.key === key || shown?.blocked))) return;
    const before = plan?.chosen?.key ?? null;
    if (await state_.choose(key))
      toast(key === null ? say('plan-page-decision-open-again') : say('plan-page-taken-what-was-promised'), {
        undo: () => void state_.choose(before),
      });
  }

  async function forget(id: string) {
    await state_.removeNote(id);
    toast(say('plan-page-taken-off-plan'));
  }
</script>

<Titled why="materials"><h2>{say('plan-page-plan-what-to-do')}</h2></Titled>
{#if state_.trouble}
  <div class="gap">
    <Notice tone="care" title={state_.trouble.body.detail}>
      {state_.trouble.body.remedy}
      {#snippet actions()}<Button onclick={() => void state_.reload()}>{say('plan-page-load-newer-state')}</Button
        >{/snippet}
    </Notice>
  </div>
{/if}
{#if plan}
  {#if plan.chosen}
    <div class="gap">
      <Notice title={say('plan-page-taken', { words: plan.chosen.words })}>
        {say('plan-page-promised-for', {
          by: plan.chosen.by,
          at: day(plan.chosen.at),
          chosen: promise(plan.chosen),
          total_cents: money(plan.chosen.total_cents, plan.currency),
        })}
        {#if plan.outcome}
          <p>
            <strong class={plan.outcome.inside ? 'in' : 'out'}
              >{say('plan-page-after-measured-at-fan', {
                plan: measured(plan),
                inside: !!plan.outcome.inside,
              })}</strong
            >
          </p>
        {/if}
      </Notice>
    </div>
  {/if}
  {#if plan.opening}
    <div class="gap">
      <Notice title={say(`plan-page-opening-${plan.opening.answer}`)}>
        <ul class="reasons">
          {#each plan.opening.reasons as reason (reason)}<li>{reason}</li>{/each}
        </ul>
      </Notice>
    </div>
  {/if}
  {#if gates.length}<div class="gap"><Gates {job} {gates} {onchange} /></div>{/if}
  {#if !closed}
    <Found state={state_} />
  {/if}
  {#if plan.missing}
    <Notice title={say('plan-page-nothing-can-be-predicted')}>
      {plan.missing}
      {#snippet actions()}<Button href="/jobs/{job.id}/before">{say('plan-page-to-before')}</Button>{/snippet}
    </Notice>
  {:else}
    <OptionScale {plan} selected={shown?.key ?? ''} onselect={(key) => (selected = key)} />
    {#if shown}
      {#key shown.key}
        <OptionDetail
          option={shown}
          {plan}
          {closed}
          busy={state_.busy}
          ontake={(key) => void take(key)}
          known={known.find((k) => k.kind === shown.kind) ?? null}
        />
        <!-- Another option is cut from other sheets. -->
        {#if sheetParts.length && !closed}<CutPanel jobId={job.id} parts={sheetParts} />{/if}
      {/key}
    {/if}
  {/if}
  {#if plan.notes.length}
    <section class="notes">
      <h3>{say('plan-page-worked-out-for-this')}</h3>
      <ul>
        {#each plan.notes as note (note.id)}
          <li>
            <a href="/workings/{note.name}?{new URLSearchParams(note.given)}">{note.title}</a>
            <span>{note.lines.join(', ')}</span>
            <span class="quiet">{note.by}, {day(note.at)}</span>
            {#if !closed}<Button
                kind="bare"
                label={say('plan-page-take-off', { title: note.title })}
                onclick={() => void forget(note.id)}>✕</Button
              >{/if}
          </li>
        {/each}
      </ul>
    </section>
  {/if}
  {#if plan.chosen && onnext && nextName && plan.chosen.key !== 'leave'}
    <footer><Button kind="main" onclick={onnext}>{say('plan-page-go-on-to', { next_name: nextName })}</Button></footer>
  {:else if plan.chosen?.key === 'leave'}
    <footer><Button kind="main" href="/jobs/{job.id}/handover">{say('plan-page-go-on-to-hand')}</Button></footer>
  {/if}
{:else if !state_.trouble}
  <p class="quiet" role="status">{say('plan-page-working-out-options')}</p>
{/if}

<style>
  h2 {
    margin-bottom: var(--gap-4);
  }
  .gap {
    margin-bottom: var(--gap-4);
  }
  .in {
    color: var(--after);
  }
  .out {
    color: var(--care);
  }
  .reasons {
    margin: 0;
  }
  .notes {
    margin-top: var(--gap-5);
  }
  .notes ul {
    margin: var(--gap-2) 0 0;
  }
  .notes li {
    display: grid;
    grid-template-columns: 8rem 1fr auto auto;
    gap: var(--gap-3);
    align-items: center;
    border-bottom: 1px solid var(--rule);
  }
  footer {
    margin-top: var(--gap-5);
  }
</style>
