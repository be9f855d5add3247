<script lang="ts">
  // Bench mode: one step over the whole screen. Enter, Space or a foot switch goes on; nothing needs a mouse.
  import { resource } from '../../lib/asking.svelte';
  import { onMount, untrack } from 'svelte';
  import { hush, keepAwake, speak } from '../../lib/bench/aids';
  import { client, take } from '../../lib/api';
  import { offer } from '../../lib/keys.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import { go } from '../../lib/router.svelte';
  import { closeAllBack } from './all-back';
  import KeyHelp from '../KeyHelp.svelte';
  import BenchHead from './BenchHead.svelte';
  import BeginList from '../../lib/bench/BeginList.svelte';
  import CountAndClose from '../../lib/bench/CountAndClose.svelte';
  import GoStrip from './GoStrip.svelte';
  import HeldClock from './HeldClock.svelte';
  import { Hands } from './hands.svelte';
  import { keysOf } from './keys';
  import PowerCheck from '../../lib/bench/PowerCheck.svelte';
  import SidePane from './SidePane.svelte';
  import StepPanels from './StepPanels.svelte';
  import StepRuler from './StepRuler.svelte';
  import StepSheet from './StepSheet.svelte';
  import { say } from '$words/page-bench-mode.ftl';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();

  const asked = resource(
    () => ({ path: { job_id: id } }),
    (params) => take(client.GET('/api/jobs/{job_id}', { params })),
  );
  const job = $derived(asked.value);
  const missing = $derived(asked.trouble?.body.reason === 'offline' ? null : asked.trouble);
  let power: PowerCheck | undefined = $state();
  let photoField: HTMLInputElement | undefined = $state();
  let begin: BeginList | undefined = $state();
  let count: CountAndClose | undefined = $state();
  let sheet: HTMLElement | undefined = $state();
  let helpOpen = $state(false);
  let footPx = $state(0);

  const hands = untrack(
    () =>
      new Hands(id, {
        begin: () => begin?.begin(true),
        confirm: (breach) => power?.confirm(breach),
        close: () => count?.close(),
        settled: () => closeAllBack(hands.at),
      }),
  );
  const at = hands.at;
  const bench = $derived(hands.bench);
  const index = $derived(hands.index);
  const step = $derived(hands.step);
  const held = $derived(hands.held);
  const mode = $derived(hands.mode);
  const sided = $derived(
    step !== null && (step.shows === 'map' || step.pads.length > 0 || step.shows === 'seen' || step.photo),
  );

  onMount(() => {
    const stops = [at.open(), keepAwake(), hush, () => hands.letGo()];
    return () => stops.forEach((stop) => stop());
  });

  /** Whatever was touched, the foot acts on the step again. Fields keep the focus while one types in them. */
  function refocus(event: MouseEvent) {
    const target = event.target as Element;
    const field = 'input:not([type="radio"], [type="checkbox"], [type="file"]), textarea, select';
    if (hands.panel || target.closest(field)) return;
    requestAnimationFrame(() => !hands.panel && sheet?.focus({ preventScroll: true }));
  }

  $effect(() => {
    void index;
    if (mode !== 'reason' && mode !== 'guard') sheet?.focus({ preventScroll: true });
  });

  // What is said at the foot of the page stands above the large button.
  $effect(() => {
    document.documentElement.style.setProperty('--foot', `${footPx}px`);
    return () => document.documentElement.style.removeProperty('--foot');
  });

  function sayStep() {
    if (step) speak([step.text, step.material, step.caution].filter(Boolean).join('. '));
  }

  async function photograph(event: Event) {
    const input = event.currentTarget as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    await hands.photograph(file);
  }

  $effect(() =>
    offer(keysOf(hands, { photo: () => photoField?.click(), aloud: sayStep, help: () => (helpOpen = true) })),
  );
</script>

<svelte:window onblur={() => hands.letGo()} />
<svelte:head><title>{say('bench-mode-bench', { model: job?.model ?? '' })}</title></svelte:head>
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
<div class="bench" data-mode={mode} onclick={refocus}>
  <BenchHead {hands} {job}>
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
  </BenchHead>
  {#if missing}
    <div class="pad"><Notice tone="care" title={missing.body.detail}>{missing.body.remedy}</Notice></div>
  {:else if bench && !bench.begun}
    <div class="pad" bind:this={sheet} tabindex="-1"><BeginList bind:this={begin} {at} jobId={id} /></div>
  {:else if bench}
    <nav class="ruler" aria-label={say('bench-mode-steps')}>
      <StepRuler steps={hands.steps} here={index} onjump={(to) => hands.jump(to)} />
    </nav>
    <main id="main" class:sided>
      {#if step}
        <div class="sheet" bind:this={sheet} tabindex="-1">
          <StepSheet
            {step}
            number={index + 1}
            of={hands.steps.length}
            wide={!sided && step.shows !== 'power'}
            run={hands.run}
          />
          {#if held}
            <HeldClock {held} />
          {/if}
          {#if step.asks && !step.outcome}
            <div class="asks">
              <TextField
                label={step.asks.words}
                name="measured"
                numeric
                unit={step.asks.unit}
                bind:value={hands.measured}
                hint={say('bench-mode-empty-stays-planned-not')}
              />
            </div>
          {/if}
          {#if step.shows === 'power' && !step.outcome}
            <PowerCheck bind:this={power} {at} {hands} />
          {/if}
        </div>
        {#if sided}<SidePane {at} {bench} {step} kind={job?.kind ?? 'laptop'} />{/if}
      {:else}
        <CountAndClose
          bind:this={count}
          {at}
          {bench}
          alone
          onstep={(s) => (hands.viewed = s)}
          onclosed={() => go(`/jobs/${id}/after`)}
        />
      {/if}
    </main>
    <footer bind:clientHeight={footPx}>
      {#if hands.panel}
        <StepPanels {hands} />
      {:else if step}
        <GoStrip {hands} {step} onphoto={() => photoField?.click()} onaloud={sayStep} />
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
    --target: clamp(2.75rem, 20vh - 2.25rem, 4rem); /* For gloves; at 200 % a pixel of the page is two. */
    display: grid;
    grid-template: auto minmax(0, 1fr) auto / 6.2rem minmax(0, 1fr);
    position: fixed;
    inset: 0;
    overflow: hidden;
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
  footer {
    grid-column: 1 / -1;
    border-top: 3px solid var(--ink);
    background: var(--paper);
    max-height: 60dvh;
    overflow-y: auto;
  }
  .sheet:focus,
  .pad:focus {
    outline: none;
  }
  .asks {
    max-width: 22rem;
    margin-top: var(--gap-4);
  }
  @media (max-width: 900px) {
    main.sided {
      grid-template-columns: minmax(0, 1fr);
    }
    .bench {
      grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr);
    }
    .ruler {
      padding: 0 var(--gap-3);
    }
    main {
      padding: var(--gap-3) var(--gap-4);
    }
  }
</style>
