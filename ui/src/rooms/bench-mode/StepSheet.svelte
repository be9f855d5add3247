<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // One step in a size to read from where one stands.
  import { minutesWords } from '../../lib/bench/clock';
  import type { Step } from '../../lib/bench/types';

  interface Props {
    step: Step;
    number: number;
    of: number;
    wide: boolean;
    /** What a hold tells, this step first. */
    run?: readonly Step[];
  }
  let { step, number, of, wide, run = [] }: Props = $props();
  const STAGES: Record<string, string> = {
    open: say('step-ruler-open'),
    clean: say('step-ruler-clean'),
    fit: say('step-ruler-fit'),
    close: say('step-ruler-close'),
  };
  const why = $derived(step.why && (/[.!?:]$/.test(step.why) ? step.why : `${step.why}.`));
</script>

<article class:wide aria-live="polite" aria-atomic="true">
  <p class="over">
    {say('step-sheet-step', { stage: STAGES[step.stage], number, of })}
    {#if step.outcome}<strong>{step.outcome.how === 'done' ? '✓ done' : '○ skipped'}</strong>{/if}
  </p>
  <h1>{step.text}</h1>
  {#if step.caution}
    <p class="caution">
      <svg viewBox="0 0 28 28" width="34" height="34" aria-hidden="true"
        ><path class="solid" d="M14 2l13 24H1z" /><path class="mark" d="M14 11v7M14 21v1.5" /></svg
      >
      <span>{step.caution}</span>
    </p>
  {/if}
  {#if why}<p class="why">{why[0]?.toUpperCase()}{why.slice(1)}</p>{/if}
  {#if step.material || step.tool || step.wait}
    <dl>
      {#if step.material}<div class="material">
          <dt>{say('step-sheet-material-and-dose')}</dt>
          <dd>{step.material}</dd>
        </div>{/if}
      {#if step.tool}<div>
          <dt>{say('step-sheet-tool')}</dt>
          <dd>{step.tool}</dd>
        </div>{/if}
      {#if step.wait}<div>
          <dt>{say('step-sheet-then-wait')}</dt>
          <dd>{minutesWords(step.wait_min)}</dd>
        </div>{/if}
    </dl>
  {/if}
  {#if run.length > 1}
    <div class="run">
      <p>{say('step-sheet-in-one-go')}</p>
      <ol start={number + 1}>
        {#each run.slice(1) as next (next.id)}<li>{next.text}</li>{/each}
      </ol>
    </div>
  {/if}
  {#if step.asks && step.outcome?.how === 'done'}
    <p class="why">
      {step.outcome.value === null || step.outcome.value === undefined
        ? say('step-sheet-as-planned-not-weighed')
        : `${step.asks.words}: ${step.outcome.value} ${step.asks.unit}.`}
    </p>
  {/if}
  {#if step.outcome?.words}<p class="why">“{step.outcome.words}”</p>{/if}
</article>

<style>
  .over {
    color: var(--owl);
    font-size: var(--size-3);
    font-weight: 700;
  }
  .over strong {
    margin-left: var(--gap-3);
    color: var(--ink);
  }
  h1 {
    margin: var(--gap-3) 0 var(--gap-4);
    font-size: clamp(1.6rem, 3.6vw, 3.4rem);
    line-height: 1.1;
  }
  .wide h1 {
    font-size: clamp(1.7rem, 5vw, 4.6rem);
  }
  .why {
    margin-top: var(--gap-3);
    font-size: clamp(1.15rem, 1.7vw, 1.6rem);
    color: var(--soft);
  }
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-3) var(--gap-6);
    margin: var(--gap-5) 0 0;
  }
  dt {
    color: var(--soft);
    font-size: var(--size-1);
  }
  dd {
    margin: 0;
    font-size: clamp(1.2rem, 1.8vw, 1.7rem);
    font-weight: 620;
  }
  .material dd {
    padding-bottom: 2px;
    border-bottom: 5px solid var(--after);
  }
  .run {
    margin-top: var(--gap-5);
    padding-top: var(--gap-3);
    border-top: 1px solid var(--rule);
    font-size: clamp(1.05rem, 1.4vw, 1.35rem);
  }
  .run p {
    color: var(--soft);
  }
  .run ol {
    margin: var(--gap-1) 0 0;
    padding-left: 2.2rem;
    list-style: decimal;
  }
  .run li {
    display: list-item;
  }
  .caution {
    display: flex;
    align-items: center;
    gap: var(--gap-3);
    margin-top: var(--gap-5);
    padding: var(--gap-3) var(--gap-4);
    border-left: 8px solid var(--care);
    background: var(--care-tint);
    font-size: clamp(1.15rem, 1.7vw, 1.6rem);
    font-weight: 620;
  }
  .caution svg {
    flex: none;
  }
  .solid {
    fill: var(--care);
  }
  .mark {
    fill: none;
    stroke: var(--care-tint);
    stroke-width: 3;
    stroke-linecap: round;
  }
</style>
