<script lang="ts">
  // The steps of one stage beside its page: done, skipped, moved, added; bench mode is one key away.
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import { benchWords } from '../../lib/bench/bench.svelte';
  import { minutesWords, remaining } from '../../lib/bench/clock';
  import { brokenGuard, runningWait } from '../../lib/bench/project';
  import type { BenchStage, Guard, Step } from '../../lib/bench/types';
  import { waits } from '../../lib/bench/waits.svelte';
  import { fixed } from '../../lib/format';
  import { offer } from '../../lib/keys.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { go } from '../../lib/router.svelte';
  import { say } from '../../lib/toasts.svelte';
  import LineState from '../bench-mode/LineState.svelte';
  import ReasonPanel from '../bench-mode/ReasonPanel.svelte';

  interface Props {
    at: BenchJob;
    stage: BenchStage;
    onpower?: () => void;
  }
  let { at, stage, onpower }: Props = $props();
  const bench = $derived(at.bench);
  const all = $derived(bench?.steps ?? []);
  const mine = $derived(all.map((step, i) => ({ step, number: i + 1 })).filter((s) => s.step.stage === stage));
  const facts = $derived(new Set(bench?.facts ?? []));
  let asked = $state.raw<{ kind: 'skip' | 'breach'; step: Step; guard?: Guard } | null>(null);
  let own = $state<string | null>(null);
  let more = $state<string | null>(null);
  const benchHref = $derived(`/jobs/${at.jobId}/bench`);
  const undoWords = $derived(at.undoWords ? `Take back: ${at.undoWords}` : 'Nothing to take back');
  const redoWords = $derived(at.redoWords ? `Again: ${at.redoWords}` : '');

  function details(step: Step): string {
    const hands = step.outcome && step.hands_min !== null ? `${fixed(step.hands_min, 0)} min of hands` : '';
    return [
      step.material,
      step.tool,
      step.wait && !step.outcome ? `then wait ${minutesWords(step.wait_min)}` : '',
      step.outcome?.how === 'skipped' ? `skipped: ${step.outcome.words}` : '',
      hands,
      step.outcome && step.waited_min ? `${fixed(step.waited_min, 0)} min waited` : '',
    ]
      .filter(Boolean)
      .join(' · ');
  }

  function finish(step: Step) {
    if (step.shows === 'power') {
      if (onpower) onpower();
      else go(benchHref);
      return;
    }
    const guard = brokenGuard(step.guards, facts);
    if (guard) asked = { kind: 'breach', step, guard };
    else at.do('step_done', { step: step.id });
  }

  async function renew() {
    const trouble = await at.renew();
    if (trouble) say(`${trouble.body.detail} ${trouble.body.remedy}`, { tone: 'wrong' });
  }

  function answer(words: string) {
    if (!asked) return;
    if (asked.kind === 'skip') at.do('step_skipped', { step: asked.step.id, reason: words });
    else at.do('step_done', { step: asked.step.id, breach: words });
    asked = null;
  }

  function move(step: Step, by: -1 | 1) {
    const i = all.findIndex((s) => s.id === step.id);
    const after = by < 0 ? all[i - 2]?.id : all[i + 1]?.id;
    at.do('step_moved', { step: step.id, ...(after ? { after } : {}) });
  }

  function add() {
    const text = own?.trim();
    if (!text) return;
    const step = { id: `own-${crypto.randomUUID().slice(0, 8)}`, stage, text };
    const after = mine.at(-1)?.step.id ?? '';
    at.do('step_added', { step, ...(after ? { after } : {}) });
    own = null;
  }

  const over = $derived(bench?.closed != null);
  $effect(() => (over ? undefined : offer([{ key: 'Enter', words: 'Bench mode', run: () => go(benchHref) }])));
</script>

<section aria-label="Steps of this stage">
  <div class="head">
    <h3>Steps</h3>
    <LineState {at} />
  </div>
  {#if bench?.plan_changed}
    <div class="changed" role="alert">
      <p>
        <strong>The plan has changed since this list was made.</strong> What is done stays done; what is to come follows
        the plan{bench.chosen ? `: ${bench.chosen.words}` : ''}.
      </p>
      <Button onclick={() => void renew()}>Make the list anew</Button>
    </div>
  {/if}
  <ol start={mine[0]?.number ?? 1}>
    {#each mine as { step, number } (step.id)}
      {@const guard = step.outcome ? null : brokenGuard(step.guards, facts)}
      {@const held = step.outcome ? null : runningWait(step, bench?.waits ?? [], waits.now)}
      <li class:done={step.outcome?.how === 'done'} class:skipped={step.outcome?.how === 'skipped'}>
        <span class="mark" aria-hidden="true">{step.outcome ? (step.outcome.how === 'done' ? '✓' : '○') : number}</span>
        <span class="what">
          <strong>{step.text}</strong>
          <small>{details(step)}</small>
          {#if held}<small class="care">{held.words}: {remaining(new Date(held.due).getTime() - waits.now)} left</small>
          {:else if guard && !step.outcome}<small class="care">{guard.remedy}</small>{/if}
        </span>
        {#if !step.outcome}
          <span class="keys">
            <Button disabled={held !== null} onclick={() => finish(step)}
              >{step.shows === 'power' ? 'Go through it' : 'Done'}</Button
            >
            <Button
              kind="bare"
              label="More for step {number}"
              onclick={() => (more = more === step.id ? null : step.id)}>⋯</Button
            >
          </span>
        {/if}
        {#if more === step.id && !step.outcome}
          <span class="more">
            <Button onclick={() => (asked = { kind: 'skip', step })}>Skip with a reason</Button>
            <Button onclick={() => move(step, -1)}>Earlier</Button>
            <Button onclick={() => move(step, 1)}>Later</Button>
          </span>
        {/if}
      </li>
      {#if asked?.step.id === step.id}
        <li class="ask">
          <ReasonPanel
            tone={asked.kind === 'skip' ? 'note' : 'halt'}
            title={asked.kind === 'skip' ? 'Why is this step skipped?' : (asked.guard?.reason ?? '')}
            text={asked.kind === 'skip'
              ? ''
              : `${asked.guard?.remedy ?? ''} If it has happened already, say so: it is recorded as what it is and asks for a check.`}
            ready={asked.kind === 'skip'
              ? ['This model has no such part', 'Done already, before the list', 'Not needed today']
              : ['I saw it too late', 'It slipped']}
            verb={asked.kind === 'skip' ? 'Skip it' : 'It has happened: record it'}
            onsay={answer}
            oncancel={() => (asked = null)}
          />
        </li>
      {/if}
    {/each}
  </ol>
  <div class="foot">
    {#if over}<Button href={benchHref}>Bench mode</Button>
    {:else}<Button kind="main" href={benchHref} key="Enter">Bench mode</Button>{/if}
    <Button disabled={!at.canUndo} onclick={() => at.undo()}>{undoWords}</Button>
    {#if redoWords}<Button onclick={() => at.redo()}>{redoWords}</Button>{/if}
    {#if own === null}<Button onclick={() => (own = '')}>Add a step</Button>{/if}
  </div>
  {#if own !== null}
    <form
      onsubmit={(e) => {
        e.preventDefault();
        add();
      }}
    >
      <TextField
        label="Step of your own, at the end of this stage"
        name="own-step"
        bind:value={own}
        hint="Kept for the model when you save it in Close"
      />
      <Button type="submit" kind="main">Add it</Button>
      <Button onclick={() => (own = null)}>No</Button>
    </form>
  {/if}
  {#if benchWords.table === null}<p class="quiet" role="status">Loading …</p>{/if}
</section>

<style>
  section {
    margin-top: var(--gap-5);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-2) var(--gap-4);
  }
  ol {
    margin: var(--gap-2) 0 0;
    padding: 0;
    list-style: none;
    border-top: 2px solid var(--ink);
  }
  li {
    display: grid;
    grid-template-columns: 2.2rem minmax(0, 1fr) auto;
    align-items: center;
    gap: var(--gap-2);
    min-height: 3.4rem;
    padding: var(--gap-1) 0;
    border-bottom: 1px solid var(--rule);
  }
  .mark {
    font-weight: 700;
    text-align: center;
  }
  .what {
    display: grid;
  }
  .done strong,
  .skipped strong {
    font-weight: 400;
    color: var(--soft);
  }
  small {
    color: var(--soft);
  }
  .care {
    color: var(--care);
    font-weight: 620;
  }
  .keys {
    display: flex;
    gap: var(--gap-1);
  }
  .more {
    grid-column: 2 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2);
  }
  .ask {
    display: block;
    padding: 0;
  }
  .foot,
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: var(--gap-3);
    margin-top: var(--gap-4);
  }
  .changed {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-3);
    margin: var(--gap-2) 0;
    padding: var(--gap-2) var(--gap-3);
    border-left: 5px solid var(--care);
    background: var(--care-tint);
  }
</style>
