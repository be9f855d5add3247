<script lang="ts">
  // Bench mode: one step over the whole screen. Enter, Space or a foot switch goes on; nothing needs a mouse.
  import { onMount, untrack } from 'svelte';
  import { canSpeak, hush, keepAwake, speak, wholeScreen } from '../../lib/bench/aids';
  import { BenchJob, benchWords } from '../../lib/bench/bench.svelte';
  import { remaining } from '../../lib/bench/clock';
  import { brokenGuard, runningWait, stepFirst } from '../../lib/bench/project';
  import type { Guard, Step, Wait } from '../../lib/bench/types';
  import { waits } from '../../lib/bench/waits.svelte';
  import { client, Problem, take, type Job } from '../../lib/api';
  import { offer } from '../../lib/keys.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { go } from '../../lib/router.svelte';
  import { say } from '../../lib/toasts.svelte';
  import BeginList from './BeginList.svelte';
  import CountAndClose from './CountAndClose.svelte';
  import LineState from './LineState.svelte';
  import MishapPanel from './MishapPanel.svelte';
  import PowerCheck from './PowerCheck.svelte';
  import ReasonPanel from './ReasonPanel.svelte';
  import RulePanel from './RulePanel.svelte';
  import RunningClocks from './RunningClocks.svelte';
  import SidePane from './SidePane.svelte';
  import StepRuler from './StepRuler.svelte';
  import WaitPanel from './WaitPanel.svelte';
  import StepSheet from './StepSheet.svelte';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  type Panel =
    | { kind: 'rule'; guard: Guard; first: Step | null; send: (breach: string) => void }
    | { kind: 'told'; guard: Guard; send: (breach: string) => void }
    | { kind: 'skip' }
    | { kind: 'mishap' }
    | { kind: 'wait' }
    | { kind: 'early'; wait: Wait };

  const at = untrack(() => new BenchJob(id));
  let job = $state.raw<Job | null>(null);
  let missing = $state.raw<Problem | null>(null);
  let viewed = $state<string | null>(null);
  let panel = $state.raw<Panel | null>(null);
  let digits = $state('');
  let digitTimer: ReturnType<typeof setTimeout> | undefined;
  let power: PowerCheck | undefined = $state();
  let photoField: HTMLInputElement | undefined = $state();

  const bench = $derived(at.bench);
  const steps = $derived(bench?.steps ?? []);
  const openIndex = $derived(steps.findIndex((s) => !s.outcome));
  // What is looked at stays what it is, wherever another tablet goes on.
  const index = $derived.by(() => {
    const found = viewed === null ? -1 : steps.findIndex((s) => s.id === viewed);
    return found >= 0 ? found : openIndex;
  });
  const step = $derived(index >= 0 ? (steps[index] ?? null) : null);
  const facts = $derived(new Set(bench?.facts ?? []));
  const held = $derived(step && !step.outcome ? runningWait(step, bench?.waits ?? [], waits.now) : null);
  const running = $derived((bench?.waits ?? []).filter((w) => !w.ended && new Date(w.due).getTime() > waits.now));
  const leave = $derived(`/jobs/${id}/${step?.stage ?? 'close'}`);
  const sided = $derived(step !== null && (step.shows === 'map' || step.shows === 'seen' || step.photo));

  async function loadJob() {
    try {
      job = await take(client.GET('/api/jobs/{job_id}', { params: { path: { job_id: id } } }));
      missing = null;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      if (error.body.reason !== 'offline') missing = error;
    }
  }

  onMount(() => {
    void loadJob();
    const stops = [at.open(), keepAwake(), hush];
    return () => stops.forEach((stop) => stop());
  });

  function jump(to: number) {
    viewed = steps[to]?.id ?? null;
    panel = null;
  }

  /** Go on from a step: what is next is the first open one behind it, else the first open one. */
  function onward(from: Step) {
    const place = steps.findIndex((s) => s.id === from.id);
    const behind = steps.findIndex((s, i) => i > place && !s.outcome);
    const next = behind >= 0 ? behind : steps.findIndex((s) => !s.outcome && s.id !== from.id);
    viewed = next >= 0 ? (steps[next]?.id ?? null) : null;
    panel = null;
  }

  function finish(current: Step, more: Record<string, unknown> = {}) {
    at.do('step_done', { step: current.id, ...more });
    onward(current);
  }

  function forward() {
    if (!bench || !step) return;
    if (step.outcome) return onward(step);
    if (held) {
      panel = { kind: 'early', wait: held };
      return;
    }
    if (step.shows === 'power') return power?.confirm();
    const current = step;
    const guard = brokenGuard(current.guards, facts);
    if (guard) {
      const first = stepFirst(bench, guard, benchWords.table?.plugs_open ?? 'plugs_open');
      panel = { kind: 'rule', guard, first, send: (breach) => finish(current, { breach }) };
      return;
    }
    finish(current);
  }

  /** A power-on that breaks a rule is told as what it is, like any other step. */
  function powerBroken(results: Record<string, string>, boot: number | null): boolean {
    const current = step;
    const guard = current ? brokenGuard(current.guards, facts) : null;
    const boot_s = boot === null ? {} : { boot_s: boot };
    if (!guard || !bench) {
      at.do('power_on', { results, ...boot_s });
      if (current && !Object.values(results).includes('fails')) onward(current);
      return true;
    }
    const first = stepFirst(bench, guard, benchWords.table?.plugs_open ?? 'plugs_open');
    const send = (breach: string) => at.do('power_on', { results, ...boot_s, breach });
    panel = { kind: 'rule', guard, first, send };
    return true;
  }

  function back() {
    if (panel) {
      panel = null;
      return;
    }
    if (!at.said?.last && !at.queue.length) return;
    viewed = null;
    at.undo();
    say('Taken back. R brings it again.');
  }

  function skip(reason: string) {
    if (!step) return;
    const current = step;
    at.do('step_skipped', { step: current.id, reason });
    onward(current);
  }

  function digit(figure: string) {
    clearTimeout(digitTimer);
    digits += figure;
    const settle = () => {
      const to = Number(digits) - 1;
      digits = '';
      if (steps[to]) jump(to);
    };
    if (digits.length >= String(steps.length).length) settle();
    else digitTimer = setTimeout(settle, 900);
  }

  function sayStep() {
    if (step) speak([step.text, step.material, step.caution].filter(Boolean).join('. '));
  }

  async function photograph(event: Event) {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    // The first look inside and the last one make the pair of the record.
    const what = step?.id === 'cover_off' ? 'before' : step?.stage === 'close' ? 'after' : 'step';
    if (file) await at.addPhoto(file, what, step?.id ?? '');
  }

  function ruleKey(wanted: 'first' | 'happened') {
    if (panel?.kind !== 'rule') return;
    if (wanted === 'happened') panel = { kind: 'told', guard: panel.guard, send: panel.send };
    else if (panel.first) jump(steps.findIndex((s) => panel?.kind === 'rule' && s.id === panel.first?.id));
    else panel = null;
  }

  $effect(() =>
    offer([
      {
        key: 'Enter',
        words: 'Step done, go on',
        alone: true,
        run: () => (panel?.kind === 'rule' ? ruleKey('first') : forward()),
      },
      { key: 'Backspace', words: 'Take the last step back', alone: true, run: back },
      { key: 'r', words: 'Bring it again', alone: true, run: () => at.redo() },
      {
        key: 'x',
        words: 'Skip this step with a reason',
        alone: true,
        run: () => step && !step.outcome && (panel = { kind: 'skip' }),
      },
      { key: 'm', words: 'Something went wrong', alone: true, run: () => (panel = { kind: 'mishap' }) },
      { key: 't', words: 'Start a clock', alone: true, run: () => (panel = { kind: 'wait' }) },
      {
        key: 'e',
        words: 'End the wait early',
        alone: true,
        run: () => (held ?? running[0]) && (panel = { kind: 'early', wait: (held ?? running[0]) as Wait }),
      },
      { key: 'w', words: 'It has happened: record it', alone: true, run: () => ruleKey('happened') },
      { key: 'p', words: 'Photo of this step', alone: true, run: () => photoField?.click() },
      { key: 's', words: 'Say the step aloud', alone: true, run: sayStep },
      { key: 'f', words: 'Whole screen', alone: true, run: () => void wholeScreen() },
      {
        key: 'ArrowRight',
        words: 'Look at the next step',
        alone: true,
        run: () => jump(Math.min(steps.length - 1, index + 1)),
      },
      { key: 'ArrowLeft', words: 'Look at the step before', alone: true, run: () => jump(Math.max(0, index - 1)) },
      { key: 'Escape', words: 'Leave bench mode', alone: true, run: () => (panel ? (panel = null) : go(leave)) },
      ...Array.from({ length: 10 }, (_, i) => ({
        key: String(i),
        words: i === 1 ? 'Numbers: go to that step' : '',
        alone: true,
        run: () => digit(String(i)),
      })),
    ]),
  );
</script>

<svelte:head><title>Bench · {job?.model ?? ''}</title></svelte:head>
<div class="bench">
  <header>
    <strong class="device">{job?.model ?? '…'}</strong>
    <span class="quiet">job {job?.number ?? ''}</span>
    <RunningClocks jobId={id} {running} />
    <span class="line"><LineState {at} /></span>
    <Button kind="bare" href={leave} key="Esc" label="Leave bench mode">Leave</Button>
    <input
      bind:this={photoField}
      class="off-screen"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      capture="environment"
      tabindex="-1"
      aria-label="Photo of this step"
      onchange={photograph}
    />
  </header>
  {#if missing}
    <div class="pad"><Notice tone="care" title={missing.body.detail}>{missing.body.remedy}</Notice></div>
  {:else if bench && !bench.begun}
    <div class="pad"><BeginList {at} jobId={id} /></div>
  {:else if bench}
    <nav class="ruler" aria-label="Steps"><StepRuler {steps} here={index} onjump={jump} /></nav>
    <main id="main" class:sided>
      {#if step}
        <div class="sheet">
          <StepSheet {step} number={index + 1} of={steps.length} wide={!sided && step.shows !== 'power'} />
          {#if held}
            <p class="held" role="timer">
              <b>{remaining(new Date(held.due).getTime() - waits.now)}</b>
              <span>{held.words.toLowerCase()}, then this step. Another job can have your hands meanwhile.</span>
            </p>
          {/if}
          {#if step.shows === 'power' && !step.outcome}
            <PowerCheck bind:this={power} {at} large onbroken={powerBroken} />
          {/if}
        </div>
        {#if sided}<SidePane {at} {bench} {step} kind={job?.kind ?? 'laptop'} />{/if}
      {:else}
        <CountAndClose {at} {bench} alone onstep={(s) => (viewed = s)} onclosed={() => go(`/jobs/${id}/after`)} />
      {/if}
    </main>
    <footer>
      {#if panel?.kind === 'rule'}
        {@const rule = panel}
        <RulePanel
          guard={rule.guard}
          first={rule.first ? steps.findIndex((s) => s.id === rule.first?.id) + 1 : null}
          onfirst={() => ruleKey('first')}
          onhappened={() => ruleKey('happened')}
        />
      {:else if panel?.kind === 'told'}
        {@const told = panel}
        <ReasonPanel
          tone="halt"
          title="What happened?"
          text="{told.guard.reason} It goes into the record as what it is, and asks for a check before closing."
          ready={['I saw it too late', 'The plug was hidden under the cooler', 'It slipped']}
          verb="Record it"
          onsay={(words) => {
            told.send(words);
            panel = null;
          }}
          oncancel={() => (panel = null)}
        />
      {:else if panel?.kind === 'skip'}
        <ReasonPanel
          title="Why is this step skipped?"
          ready={[
            'This model has no such part',
            'Done already, before the list',
            'Not needed today',
            'The owner does not want it',
          ]}
          verb="Skip it"
          onsay={skip}
          oncancel={() => (panel = null)}
        />
      {:else if panel?.kind === 'early'}
        {@const early = panel}
        <ReasonPanel
          tone="care"
          title="{early.wait.words}: end it early?"
          text="{remaining(new Date(early.wait.due).getTime() - waits.now)} are left."
          ready={['Looked: the surface is dry', 'Dried with warm air', 'Started late, it was lying longer']}
          verb="End it"
          onsay={(reason) => {
            at.do('wait_ended', { wait: early.wait.id, reason });
            panel = null;
          }}
          oncancel={() => (panel = null)}
        />
      {:else if panel?.kind === 'wait'}
        <WaitPanel {at} step={step?.id ?? ''} onclose={() => (panel = null)} />
      {:else if panel?.kind === 'mishap'}
        <MishapPanel {at} step={step?.id ?? ''} onclose={() => (panel = null)} />
      {:else if step}
        <div class="strip">
          <button class="go" type="button" onclick={forward}>
            {#if step.outcome}Go on{:else if held}Waiting{:else if step.shows === 'power'}Looked at each, go on{:else}Done,
              go on{/if}
            <kbd>Enter</kbd>
          </button>
          <Button key="⌫" onclick={back}>Take back</Button>
          <Button key="X" disabled={step.outcome !== null} onclick={() => (panel = { kind: 'skip' })}>Skip</Button>
          <Button key="M" onclick={() => (panel = { kind: 'mishap' })}>Mishap</Button>
          <Button key="T" onclick={() => (panel = { kind: 'wait' })}>Clock</Button>
          <Button key="P" onclick={() => photoField?.click()}>Photo</Button>
          {#if held}<Button key="E" onclick={() => held && (panel = { kind: 'early', wait: held })}>End wait</Button
            >{/if}
          {#if canSpeak()}<Button key="S" onclick={sayStep}>Say it</Button>{/if}
          {#if digits}<span class="digits" role="status">step {digits} …</span>{/if}
        </div>
      {/if}
    </footer>
  {/if}
</div>

<style>
  /* The page scrolls inside, so it needs no room for a scroll bar of its own. */
  :global(html):has(.bench) {
    scrollbar-gutter: auto;
  }
  .bench {
    display: grid;
    grid-template: auto minmax(0, 1fr) auto / 6.2rem minmax(0, 1fr);
    position: fixed;
    inset: 0;
    overflow: hidden;
  }
  header {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--gap-2) var(--gap-4);
    padding: var(--gap-2) var(--gap-4);
    border-bottom: 3px solid var(--ink);
  }
  .device {
    font-family: var(--font-head);
    font-size: var(--size-3);
  }
  .pad {
    grid-column: 1 / -1;
    padding: var(--gap-6);
  }
  .ruler {
    min-height: 0;
    padding-left: var(--gap-2);
  }
  main {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: var(--gap-5);
    min-height: 0;
    padding: var(--gap-5) var(--gap-6);
    overflow-y: auto;
    align-content: start;
  }
  main.sided {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.05fr);
  }
  .held {
    display: flex;
    align-items: center;
    gap: var(--gap-4);
    margin-top: var(--gap-5);
    padding: var(--gap-3) var(--gap-4);
    border: 3px dashed var(--owl);
    border-radius: var(--round);
    font-size: var(--size-3);
  }
  .held b {
    font-size: var(--size-5);
    color: var(--owl);
  }
  footer {
    grid-column: 1 / -1;
    border-top: 3px solid var(--ink);
    background: var(--paper);
    max-height: 60dvh;
    overflow-y: auto;
  }
  .strip {
    display: flex;
    flex-wrap: wrap;
    align-items: stretch;
    gap: var(--gap-2);
    padding: var(--gap-3) var(--gap-4);
  }
  .strip :global(.button) {
    min-height: 4.5rem;
    font-size: var(--size-2);
  }
  .go {
    flex: 1 1 18rem;
    display: flex;
    align-items: center;
    justify-content: center;
    gap: var(--gap-3);
    min-height: 4.5rem;
    border: 0;
    border-radius: var(--round);
    background: var(--owl);
    color: var(--on-owl);
    font: inherit;
    font-family: var(--font-head);
    font-size: var(--size-4);
    font-weight: 700;
    cursor: pointer;
  }
  .go kbd {
    padding: 0 0.5em;
    border: 1px solid currentcolor;
    border-radius: 3px;
    font: inherit;
    font-size: var(--size-1);
    font-weight: 400;
  }
  .digits {
    align-self: center;
    font-size: var(--size-3);
    font-weight: 700;
    color: var(--owl);
  }
  @media (max-width: 900px) {
    main.sided {
      grid-template-columns: minmax(0, 1fr);
    }
    .bench {
      grid-template-columns: 4.4rem minmax(0, 1fr);
    }
    main {
      padding: var(--gap-4);
    }
  }
</style>
