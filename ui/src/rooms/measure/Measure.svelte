<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import '$words/page-job.ftl';
  import type { Run, SideName } from '../../lib/api';
  import { offer } from '../../lib/keys.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import FootBar from '../../lib/parts/FootBar.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import type { JobState } from '../../lib/job/job.svelte';
  import AskedHere from '../../lib/job/AskedHere.svelte';
  import RunClock from './RunClock.svelte';
  import RunPanels from './RunPanels.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    state: JobState;
    side: SideName;
    onnext: () => void;
    nextName: string | undefined;
  }
  let { state: kept, side, onnext, nextName }: Props = $props();
  const run = $derived(side === 'before' ? kept.before : kept.after);
  const closed = $derived(!!kept.job?.handed_over_at);
  const keep = (next: Run) => kept.keepRun(next);

  // A run that was still rising is not all there, however many fields are filled.
  const note = $derived(
    !run?.trace ? '' : run.reading?.settled === false ? say('figure-strip-still-rising') : say('measure-all-there'),
  );
  const missing = $derived(
    [
      !run?.trace && say('measure-missing-log'),
      run?.room_c === null && say('measure-missing-room'),
      !run?.placement && !closed && say('measure-missing-place'),
      !run?.noise_figure && !run?.sounds.length && !closed && say('measure-missing-noise'),
    ]
      .filter((text): text is string => !!text)
      .map((text) => ({ text })),
  );

  // Once a log is in, the step can be taken by key; offered anew when the log comes or goes.
  $effect(() =>
    run?.trace
      ? offer([{ key: 'Enter', words: say('measure-go-on-to', { next_name: nextName }), run: onnext }])
      : undefined,
  );
</script>

{#if run}
  <div class="head lay-head">
    <Titled why="temperature"
      ><h2>
        {side === 'before' ? run.lead || say('measure-before-how-hot-does') : say('measure-after-same-recipe-again')}
      </h2></Titled
    >
    <RunClock jobId={kept.id} {side} {closed} />
  </div>
  {#if run.prefilled}
    <div class="gap">
      <Notice title={say('measure-before-recipe-filled-in')}>{say('measure-change-only-what-really')}</Notice>
    </div>
  {/if}
  <RunPanels jobId={kept.id} {run} runKey={side} {closed} onrun={keep} onreload={() => kept.load()} onward={onnext} />
  {#if side === 'before' && kept.job && !closed}
    <AskedHere job={kept.job} about="limits" title={say('intake-limits-if-known')} onchange={() => kept.load()} />
  {/if}
  <FootBar {missing} {note}>
    {#if run.trace}<Button kind="main" key="Enter" onclick={onnext}
        >{say('measure-go-on-to', { next_name: nextName })}</Button
      >{:else if !closed}<Button
        kind="main"
        onclick={() => document.querySelector<HTMLElement>('input[type=file]')?.click()}
        >{say('measure-choose-log')}</Button
      >{/if}
  </FootBar>
{/if}

<style>
  .head {
    gap: var(--gap-4);
    min-height: var(--target);
    margin-bottom: var(--gap-2);
  }
  .gap {
    margin-bottom: var(--gap-4);
  }
</style>
