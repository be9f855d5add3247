<script lang="ts">
  import { say } from '$words/page-open.ftl';
  // One step of a stage: what it is, what is in its way, and what can be done with it.
  import type { BenchJob } from './bench.svelte';
  import { minutesWords, remaining } from './clock';
  import { brokenGuard, runningWait } from './project';
  import type { Step } from './types';
  import { waits } from './waits.svelte';
  import { fixed } from '../format';
  import Button from '../parts/Button.svelte';

  interface Props {
    at: BenchJob;
    step: Step;
    number: number;
    open: boolean;
    onmore: () => void;
    onfinish: () => void;
    onskip: () => void;
    onmove: (by: -1 | 1) => void;
  }
  let { at, step, number, open, onmore, onfinish, onskip, onmove }: Props = $props();
  const facts = $derived(new Set(at.bench?.facts ?? []));
  const guard = $derived(step.outcome ? null : brokenGuard(step.guards, facts));
  const held = $derived(step.outcome ? null : runningWait(step, at.bench?.waits ?? [], waits.now));

  function details(step: Step): string {
    const hands =
      step.outcome && step.hands_min !== null
        ? say('stage-steps-min-hands', { hands_min: fixed(step.hands_min, 0) })
        : '';
    return [
      step.material,
      step.tool,
      step.wait && !step.outcome ? say('stage-steps-then-wait', { wait_min: minutesWords(step.wait_min) }) : '',
      step.outcome?.how === 'skipped' ? say('stage-steps-skipped', { why: step.outcome.words }) : '',
      hands,
      step.outcome && step.waited_min ? say('stage-steps-min-waited', { waited_min: fixed(step.waited_min, 0) }) : '',
    ]
      .filter(Boolean)
      .join(' · ');
  }
</script>

<li class:done={step.outcome?.how === 'done'} class:skipped={step.outcome?.how === 'skipped'}>
  <span class="mark" aria-hidden="true">{step.outcome ? (step.outcome.how === 'done' ? '✓' : '○') : number}</span>
  <span class="what">
    <strong>{step.text}</strong>
    <small>{details(step)}</small>
    {#if held}<small class="care"
        >{say('stage-steps-left', {
          words: held.words,
          now: remaining(new Date(held.due).getTime() - waits.now),
        })}</small
      >
    {:else if guard && !step.outcome}<small class="care">{guard.remedy}</small>{/if}
  </span>
  {#if !step.outcome}
    <span class="keys">
      <Button disabled={held !== null} onclick={onfinish}
        >{step.shows === 'power' ? say('stage-steps-go-through') : say('stage-steps-done')}</Button
      >
      <Button kind="bare" label={say('stage-steps-more-for-step', { number })} onclick={onmore}>⋯</Button>
    </span>
  {/if}
  {#if open && !step.outcome}
    <span class="more lay-row">
      <Button onclick={onskip}>{say('stage-steps-skip-with-reason')}</Button>
      <Button onclick={() => onmove(-1)}>{say('stage-steps-earlier')}</Button>
      <Button onclick={() => onmove(1)}>{say('stage-steps-later')}</Button>
    </span>
  {/if}
</li>

<style>
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
    gap: var(--gap-2);
  }
</style>
