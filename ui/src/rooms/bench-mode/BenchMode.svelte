<script lang="ts">
  import { say } from './words';
  // Bench mode: one step over the whole screen. Enter, Space or a foot switch goes on; nothing needs a mouse.
  import { onMount, untrack } from 'svelte';
  import { canSpeak, hush, keepAwake, speak, wholeScreen } from '../../lib/bench/aids';
  import { BenchJob, benchWords } from '../../lib/bench/bench.svelte';
  import { remaining } from '../../lib/bench/clock';
  import { base, HOLD_MS, Lockout, move, type Does, type Input, type Sight, type State } from '../../lib/bench/machine';
  import { brokenGuard, runningWait, stepFirst } from '../../lib/bench/project';
  import type { Guard, Step, Wait } from '../../lib/bench/types';
  import { waits } from '../../lib/bench/waits.svelte';
  import { client, Problem, take, type Job } from '../../lib/api';
  import { offer } from '../../lib/keys.svelte';
  import { parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { go } from '../../lib/router.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import KeyHelp from '../KeyHelp.svelte';
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
  let begin: BeginList | undefined = $state();
  let count: CountAndClose | undefined = $state();
  let sheet: HTMLElement | undefined = $state();
  let measured = $state('');
  let helpOpen = $state(false);
  let holding = $state(false);
  let holdTimer: ReturnType<typeof setTimeout> | undefined;
  const lock = new Lockout();

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
    const stops = [at.open(), keepAwake(), hush, up];
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
    measured = '';
  }

  function finish(current: Step, more: Record<string, unknown> = {}) {
    const value = current.asks ? parseNumber(measured) : null;
    if (value !== null && Number.isNaN(value)) {
      toast(say('bench-mode-no-number-leave-empty', { measured }), { tone: 'wrong' });
      return;
    }
    at.do('step_done', { step: current.id, ...(value === null ? {} : { value }), ...more });
    onward(current);
  }

  const guard = $derived(step && !step.outcome ? brokenGuard(step.guards, facts) : null);
  const sight = $derived<Sight>({
    begun: bench?.begun != null,
    step: step && {
      settled: step.outcome !== null,
      held: step.held,
      power: step.shows === 'power',
      waits: held !== null,
      broken: guard !== null,
      skippable: step.skippable,
    },
    waiting: running.length > 0,
    tellable: panel?.kind === 'rule' ? !panel.guard.hard : true,
  });
  const mode = $derived<State>(panel === null ? base(sight) : panel.kind === 'rule' ? 'guard' : 'reason');

  /** Ask the machine what an input means here, and do it. */
  function input(what: Input) {
    const { does } = move(mode, what, sight);
    DO[does]();
    if (what === 'press' || what === 'hold') lock.note(does, performance.now());
  }

  const DO: Record<Does, () => void> = {
    begin: () => begin?.begin(true),
    finish: () => step && finish(step),
    onward: () => step && onward(step),
    confirm: () => power?.confirm(),
    close: () => count?.close(),
    first: () => {
      const to =
        panel?.kind === 'rule' ? steps.findIndex((s) => panel?.kind === 'rule' && s.id === panel.first?.id) : -1;
      if (to >= 0) jump(to);
      else panel = null;
    },
    undo: back,
    redo: () => at.redo(),
    rule: () => {
      if (!step || !bench || !guard) return;
      const current = step;
      const first = stepFirst(bench, guard, benchWords.table?.plugs_open ?? 'plugs_open');
      const send = (breach: string) =>
        current.shows === 'power' ? power?.confirm(breach) : finish(current, { breach });
      panel = { kind: 'rule', guard, first, send };
    },
    ask_skip: () => (panel = { kind: 'skip' }),
    ask_mishap: () => (panel = { kind: 'mishap' }),
    ask_clock: () => (panel = { kind: 'wait' }),
    ask_early: () => (panel = { kind: 'early', wait: (held ?? running[0]) as Wait }),
    ask_story: () => panel?.kind === 'rule' && (panel = { kind: 'told', guard: panel.guard, send: panel.send }),
    dismiss: () => (panel = null),
    leave: () => go(leave),
    keep_holding: () => undefined,
    keep_waiting: () => toast(say('bench-mode-wait-not-over-e')),
    never_skipped: () => toast(say('bench-mode-this-step-stands-between')),
    nothing: () => undefined,
  };

  /** The large button, Enter, Space or the foot switch goes down. */
  function down() {
    if (!lock.lets(performance.now()) || at.settling) return;
    const { does } = move(mode, 'press', sight);
    if (does !== 'keep_holding') return input('press');
    up();
    holding = true;
    holdTimer = setTimeout(() => {
      holding = false;
      input('hold');
    }, HOLD_MS);
  }

  function up() {
    clearTimeout(holdTimer);
    holding = false;
  }

  /** Whatever was touched, the foot acts on the step again. Fields keep the focus while one types in them. */
  function refocus(event: MouseEvent) {
    const target = event.target as Element;
    if (panel || target.closest(say('bench-mode-input-not-type-radio'))) return;
    requestAnimationFrame(() => !panel && sheet?.focus({ preventScroll: true }));
  }

  $effect(() => {
    void index;
    if (mode !== 'reason' && mode !== 'guard') sheet?.focus({ preventScroll: true });
  });

  /** A power-on is told with its results; a breach is told as what it is. */
  function switched(results: Record<string, string>, boot: number | null, breach: string | null): void {
    const current = step;
    at.do('power_on', { results, ...(boot === null ? {} : { boot_s: boot }), ...(breach ? { breach } : {}) });
    if (current && !Object.values(results).includes('fails')) onward(current);
  }

  function back() {
    if (!at.canUndo) return;
    if (!at.undo()) {
      toast(say('bench-mode-that-one-on-server'), { tone: 'wrong' });
      return;
    }
    viewed = null;
    toast(say('bench-mode-taken-back-r-brings'));
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

  const quiet = (run: () => void) => () => mode !== 'reason' && run();

  $effect(() =>
    offer([
      {
        key: 'Enter',
        words: say('bench-mode-step-done-go-on'),
        alone: true,
        run: down,
        release: up,
      },
      { key: 'Backspace', words: say('bench-mode-take-last-step-back'), alone: true, run: () => input('back') },
      { key: 'r', words: say('bench-mode-bring-again'), alone: true, run: () => input('again') },
      { key: 'x', words: say('bench-mode-skip-this-step-with'), alone: true, run: () => input('skip') },
      { key: 'm', words: say('bench-mode-something-went-wrong'), alone: true, run: () => input('mishap') },
      { key: 't', words: say('bench-mode-start-clock'), alone: true, run: () => input('clock') },
      { key: 'e', words: say('bench-mode-end-wait-early'), alone: true, run: () => input('early') },
      { key: 'w', words: say('bench-mode-has-happened-record'), alone: true, run: () => input('happened') },
      { key: 'p', words: say('bench-mode-photo-this-step'), alone: true, run: quiet(() => photoField?.click()) },
      { key: 's', words: say('bench-mode-say-step-aloud'), alone: true, run: quiet(sayStep) },
      { key: 'f', words: say('bench-mode-whole-screen'), alone: true, run: () => void wholeScreen() },
      {
        key: 'ArrowRight',
        words: say('bench-mode-look-at-next-step'),
        alone: true,
        run: quiet(() => jump(Math.min(steps.length - 1, index + 1))),
      },
      {
        key: 'ArrowLeft',
        words: say('bench-mode-look-at-step-before'),
        alone: true,
        run: quiet(() => jump(Math.max(0, index - 1))),
      },
      { key: '?', words: say('bench-mode-these-keys'), alone: true, run: () => (helpOpen = true) },
      { key: 'Escape', words: say('bench-mode-leave-bench-mode'), alone: true, run: () => input('cancel') },
      ...Array.from({ length: 10 }, (_, i) => ({
        key: String(i),
        words: i === 1 ? say('bench-mode-numbers-go-to-that') : '',
        alone: true,
        run: quiet(() => digit(String(i))),
      })),
    ]),
  );
</script>

<svelte:window onblur={up} />
<svelte:head><title>{say('bench-mode-bench', { model: job?.model ?? '' })}</title></svelte:head>
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
<div class="bench" data-mode={mode} onclick={refocus}>
  <header>
    <strong class="device">{job?.model ?? '…'}</strong>
    <span class="quiet">{say('bench-mode-job', { number: job?.number ?? '' })}</span>
    <RunningClocks jobId={id} {running} />
    <span class="line"><LineState {at} /></span>
    <Button kind="bare" href={leave} key="Esc" label={say('bench-mode-leave-bench-mode')}
      >{say('bench-mode-leave')}</Button
    >
    <input
      bind:this={photoField}
      class="off-screen"
      type="file"
      accept="image/jpeg,image/png,image/webp"
      capture="environment"
      tabindex="-1"
      aria-label={say('bench-mode-photo-this-step')}
      onchange={photograph}
    />
  </header>
  {#if missing}
    <div class="pad"><Notice tone="care" title={missing.body.detail}>{missing.body.remedy}</Notice></div>
  {:else if bench && !bench.begun}
    <div class="pad" bind:this={sheet} tabindex="-1"><BeginList bind:this={begin} {at} jobId={id} /></div>
  {:else if bench}
    <nav class="ruler" aria-label={say('bench-mode-steps')}><StepRuler {steps} here={index} onjump={jump} /></nav>
    <main id="main" class:sided>
      {#if step}
        <div class="sheet" bind:this={sheet} tabindex="-1">
          <StepSheet {step} number={index + 1} of={steps.length} wide={!sided && step.shows !== 'power'} />
          {#if held}
            <p class="held" role="timer">
              <b>{remaining(new Date(held.due).getTime() - waits.now)}</b>
              <span>{say('bench-mode-then-this-step-another', { to_lower_case: held.words.toLowerCase() })}</span>
            </p>
          {/if}
          {#if step.asks && !step.outcome}
            <div class="asks">
              <TextField
                label={step.asks.words}
                name="measured"
                numeric
                unit={step.asks.unit}
                bind:value={measured}
                hint={say('bench-mode-empty-stays-planned-not')}
              />
            </div>
          {/if}
          {#if step.shows === 'power' && !step.outcome}
            <PowerCheck bind:this={power} {at} large onswitched={switched} />
          {/if}
        </div>
        {#if sided}<SidePane {at} {bench} {step} kind={job?.kind ?? 'laptop'} />{/if}
      {:else}
        <CountAndClose
          bind:this={count}
          {at}
          {bench}
          alone
          onstep={(s) => (viewed = s)}
          onclosed={() => go(`/jobs/${id}/after`)}
        />
      {/if}
    </main>
    <footer>
      {#if panel?.kind === 'rule'}
        {@const rule = panel}
        <RulePanel
          guard={rule.guard}
          first={rule.first ? steps.findIndex((s) => s.id === rule.first?.id) + 1 : null}
          onfirst={() => input('press')}
          onhappened={() => input('happened')}
        />
      {:else if panel?.kind === 'told'}
        {@const told = panel}
        <ReasonPanel
          tone="halt"
          title={say('bench-mode-what-happened')}
          text={say('bench-mode-goes-into-record-as', { reason: told.guard.reason })}
          ready={[say('bench-mode-i-saw-too-late'), say('bench-mode-plug-was-hidden-under'), say('bench-mode-slipped')]}
          verb={say('bench-mode-record')}
          onsay={(words) => {
            told.send(words);
            panel = null;
          }}
          oncancel={() => (panel = null)}
        />
      {:else if panel?.kind === 'skip'}
        <ReasonPanel
          title={say('bench-mode-why-this-step-skipped')}
          ready={[
            say('bench-mode-this-model-has-no'),
            say('bench-mode-done-already-before-list'),
            say('bench-mode-not-needed-today'),
            say('bench-mode-owner-does-not-want'),
          ]}
          verb={say('bench-mode-skip')}
          onsay={skip}
          oncancel={() => (panel = null)}
        />
      {:else if panel?.kind === 'early'}
        {@const early = panel}
        <ReasonPanel
          tone="care"
          title={say('bench-mode-end-early', { words: early.wait.words })}
          text={say('bench-mode-left', { now: remaining(new Date(early.wait.due).getTime() - waits.now) })}
          ready={[
            say('bench-mode-looked-surface-dry'),
            say('bench-mode-dried-with-warm-air'),
            say('bench-mode-started-late-was-lying'),
          ]}
          verb={say('bench-mode-end')}
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
          <button
            class="go"
            class:holding
            type="button"
            data-pedal
            aria-disabled={at.settling || undefined}
            onpointerdown={(e) => e.button === 0 && down()}
            onpointerup={up}
            onpointerleave={up}
            onpointercancel={up}
            oncontextmenu={(e) => e.preventDefault()}
          >
            {#if at.settling}{say('bench-mode-taking-back')}{:else if step.outcome}{say(
                'bench-mode-go-on',
              )}{:else if held}{say('bench-mode-waiting')}{:else if holding}{say(
                'bench-mode-keep-holding',
              )}{:else if step.held && !guard}{say('bench-mode-hold-second', {
                power: step.shows === 'power',
              })}{:else}{say('bench-mode-done-go-on')}{/if}
            <kbd>{say('bench-mode-enter')}</kbd>
          </button>
          <Button key="⌫" disabled={!at.canUndo} onclick={() => input('back')}>{say('bench-mode-take-back')}</Button>
          <Button key="X" disabled={step.outcome !== null || !step.skippable} onclick={() => input('skip')}
            >{say('bench-mode-skip-2')}</Button
          >
          <Button key="M" onclick={() => input('mishap')}>{say('bench-mode-mishap')}</Button>
          <Button key="T" onclick={() => input('clock')}>{say('bench-mode-clock')}</Button>
          <Button key="P" onclick={() => photoField?.click()}>{say('bench-mode-photo')}</Button>
          {#if held}<Button key="E" onclick={() => input('early')}>{say('bench-mode-end-wait')}</Button>{/if}
          {#if canSpeak()}<Button key="S" onclick={sayStep}>{say('bench-mode-say')}</Button>{/if}
          {#if digits}<span class="digits" role="status">{say('bench-mode-step', { digits })}</span>{/if}
        </div>
      {/if}
    </footer>
  {/if}
</div>
<KeyHelp bind:open={helpOpen} />

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
  .sheet:focus,
  .pad:focus {
    outline: none;
  }
  .asks {
    max-width: 22rem;
    margin-top: var(--gap-4);
  }
  .go {
    position: relative;
    overflow: hidden;
    touch-action: none;
    user-select: none;
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
  /* The hold fills the button from the left: it is the progress itself, so it moves with reduced motion too. */
  .go::before {
    content: '';
    position: absolute;
    inset: 0;
    background: currentcolor;
    opacity: 0.28;
    transform: scaleX(0);
    transform-origin: left;
  }
  .go.holding::before {
    transform: scaleX(1);
    transition: transform 1s linear !important;
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
