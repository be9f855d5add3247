<script lang="ts">
  import { say } from '$words/page-bench-mode.ftl';
  // Whether the line stands, what waits on this tablet, what was sent back, and a clock that is wrong: in words.
  import type { BenchJob } from './bench.svelte';
  import { line } from './news.svelte';
  import Button from '../parts/Button.svelte';

  interface Props {
    at: BenchJob;
  }
  let { at }: Props = $props();
  const waiting = $derived(
    at.waiting === 0
      ? ''
      : at.waiting === 1
        ? say('line-state-step-waits-on-this')
        : say('line-state-steps-wait-on-this', { waiting: at.waiting }),
  );
  const off = $derived.by(() => {
    if (at.clockOffS === null) return '';
    const minutes = Math.round(Math.abs(at.clockOffS) / 60);
    return say('line-state-this-tablets-clock-min', { minutes, clock_off_s: at.clockOffS > 0 });
  });
</script>

<div class="line lay-row" role="status">
  {#if !line.stands}
    <strong class="down"
      ><i></i>{say('line-state-no-connection-go-on', { here: waiting || say('line-state-kept-here') })}</strong
    >
  {:else if waiting}
    <span class="busy"><i></i>{waiting}</span>
  {:else}
    <span class="up"><i></i>{say('line-state-in-step')}</span>
  {/if}
  {#if off}<span class="off">{off}</span>{/if}
</div>
{#if at.trouble}
  <div class="back lay-head" role="alert">
    <p><strong>{at.trouble.body.detail}</strong> {at.trouble.body.remedy}</p>
    <Button onclick={() => void at.flush().then(() => at.refresh())}>{say('line-state-try-again')}</Button>
  </div>
{/if}
{#each at.back as one (one.event.id)}
  <div class="back lay-head" role="alert">
    <p><strong>{say('line-state-not-taken', { detail: one.refusal.detail })}</strong> {one.refusal.remedy}</p>
    <Button onclick={() => at.dismiss(one.event.id)}>{say('line-state-seen-put-aside')}</Button>
  </div>
{/each}

<style>
  .line {
    align-items: center;
  }
  .line > * {
    display: inline-flex;
    align-items: center;
    gap: var(--gap-2);
    min-height: 2rem;
  }
  i {
    width: 0.9rem;
    height: 0.9rem;
    border: 2.5px solid currentcolor;
    border-radius: 50%;
  }
  .up i {
    background: currentcolor;
  }
  .up {
    color: var(--after);
  }
  .busy {
    color: var(--owl);
  }
  .down {
    padding: 0 var(--gap-3);
    border: 2px solid var(--care);
    border-radius: var(--round);
    background: var(--care-tint);
    color: var(--care);
  }
  .down i {
    border-radius: 0;
    transform: rotate(45deg);
  }
  .off {
    color: var(--care);
  }
  .back {
    margin-top: var(--gap-2);
    padding: var(--gap-2) var(--gap-3);
    border-left: 5px solid var(--halt);
    background: var(--halt-tint);
  }
</style>
