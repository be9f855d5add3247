<script lang="ts">
  // The large button and what stands beside it.
  import { canSpeak } from '../../lib/bench/aids';
  import type { Step } from '../../lib/bench/types';
  import Button from '../../lib/parts/Button.svelte';
  import type { Hands } from './hands.svelte';
  import { say } from '$words/page-bench-mode.ftl';

  interface Props {
    hands: Hands;
    step: Step;
    onphoto: () => void;
    onaloud: () => void;
  }
  // Open stays open from step to step: whoever wants it once wants it again.
  let more = $state(false);
  let keyed = false;
  let { hands, step, onphoto, onaloud }: Props = $props();
  const open = $derived(!step.outcome && !hands.held && !hands.guard);
  const must = $derived(open && step.held);
  const may = $derived(open && !step.held && hands.run.length > 1);
</script>

<div class="strip lay-row">
  <button
    class="go"
    class:holding={hands.holding}
    type="button"
    data-pedal
    data-hold={must ? 'must' : may ? 'may' : undefined}
    aria-disabled={hands.at.settling || undefined}
    onpointerdown={(e) => e.button === 0 && hands.down()}
    onpointerup={() => hands.up()}
    onpointerleave={() => hands.letGo()}
    onpointercancel={() => hands.letGo()}
    onkeydown={() => (keyed = true)}
    onclick={(e) => {
      // Voice control and screen readers send a click with neither pointer nor key.
      if (e.detail === 0 && !keyed) hands.clicked();
      keyed = false;
    }}
    oncontextmenu={(e) => e.preventDefault()}
  >
    {#if hands.at.settling}{say('bench-mode-taking-back')}{:else if step.outcome}{say(
        'bench-mode-go-on',
      )}{:else if hands.held}{say('bench-mode-waiting')}{:else if hands.holding}{say(
        'bench-mode-keep-holding',
      )}{:else if hands.armed}{say('bench-mode-press-again')}{:else if must}{say('bench-mode-hold-second', {
        power: step.shows === 'power',
      })}{:else}<span
        >{say('bench-mode-done-go-on')}{#if may}<small
            >{say('bench-mode-or-hold', { count: hands.run.length })}<span class="to"
              >{say('bench-mode-or-hold-to', { to: hands.run.at(-1)?.text ?? '' })}</span
            ></small
          >{/if}</span
      >{/if}
    <kbd>{say('bench-mode-enter')}</kbd>
  </button>
  <Button key="⌫" disabled={!hands.at.canUndo} onclick={() => hands.input('back')}>{say('bench-mode-take-back')}</Button
  >
  {#if hands.held}<Button key="E" onclick={() => hands.input('early')}>{say('bench-mode-end-wait')}</Button>{/if}
  <Button expanded={more} onclick={() => (more = !more)}>{say('bench-mode-more')}</Button>
  {#if hands.digits}<span class="digits" role="status">{say('bench-mode-step', { digits: hands.digits })}</span>{/if}
</div>
{#if more}
  <div class="strip rest lay-row">
    <Button key="X" disabled={step.outcome !== null || !step.skippable} onclick={() => hands.input('skip')}
      >{say('bench-mode-skip-2')}</Button
    >
    <Button key="M" onclick={() => hands.input('mishap')}>{say('bench-mode-mishap')}</Button>
    <Button key="T" onclick={() => hands.input('clock')}>{say('bench-mode-clock')}</Button>
    <Button key="P" onclick={() => onphoto()}>{say('bench-mode-photo')}</Button>
    {#if canSpeak()}<Button key="S" onclick={onaloud}>{say('bench-mode-say')}</Button>{/if}
  </div>
{/if}

<style>
  .strip {
    align-items: stretch;
    gap: var(--gap-2);
    padding: var(--gap-3) var(--gap-4);
  }
  .strip :global(.button) {
    min-height: 4.5rem;
    font-size: var(--size-2);
  }
  .rest {
    padding-top: 0;
  }
  .rest :global(.button) {
    flex: 1 1 8rem;
    min-height: 4rem;
  }
  @media (max-width: 640px) {
    .strip {
      padding: var(--gap-2) var(--gap-3);
    }
    .strip :global(.button) {
      min-height: 4rem;
      padding: 0 var(--gap-3);
    }
    .strip .go {
      flex-basis: 9rem;
    }
    .go kbd {
      display: none;
    }
    .rest :global(.button) {
      flex: 1 1 40%;
    }
    .rest {
      padding-top: 0;
    }
    /* The steps stand on the sheet above. */
    .to {
      display: none;
    }
  }
  .go {
    position: relative;
    overflow: hidden;
    touch-action: none;
    user-select: none;
    flex: 1 1 16rem;
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
  .go small {
    display: block;
    font-family: var(--font-text);
    font-size: var(--size-1);
    font-weight: 400;
  }
  .go kbd {
    font-size: var(--size-1);
  }
  .digits {
    align-self: center;
    font-size: var(--size-3);
    font-weight: 700;
    color: var(--owl);
  }
</style>
