<script lang="ts">
  // What is measured in one run: five figures and the trace; everything else folds, and its line says how it stands.
  import { untrack } from 'svelte';
  import { say } from '$words/page-measure.ftl';
  import type { Run, RunKey } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Why from '../../lib/parts/Why.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { SPOTS } from '../../lib/words';
  import ConditionsForm from './ConditionsForm.svelte';
  import FigureStrip from './FigureStrip.svelte';
  import FrameTimes from './FrameTimes.svelte';
  import LogPanel from './LogPanel.svelte';
  import NoisePanel from './NoisePanel.svelte';
  import SoundPanel from './SoundPanel.svelte';
  import SpotPanel from './SpotPanel.svelte';

  interface Props {
    jobId: string;
    run: Run;
    runKey: RunKey;
    closed: boolean;
    onrun: (run: Run) => Promise<void>;
    onreload: () => Promise<void>;
    onward?: () => void;
  }
  let { jobId, run, runKey, closed, onrun, onreload, onward }: Props = $props();

  const dots = (...parts: (string | false | null | undefined)[]) => parts.filter(Boolean).join(' · ');
  const conditions = $derived(
    dots(
      run.room_c === null ? say('run-panels-room-missing') : `${fixed(run.room_c, 1)} °C`,
      run.load_recipe,
      run.fan_setting,
      run.power_profile,
      run.placement,
    ),
  );
  const noise = $derived(
    run.noise_figure
      ? `${run.noise_figure.upper_bound ? '≤ ' : ''}${fixed(run.noise_figure.level_db, 1)} dB`
      : say('run-panels-none'),
  );
  const sounds = $derived(
    run.sounds.length ? say('run-panels-recordings', { count: run.sounds.length }) : say('run-panels-none'),
  );
  const spots = $derived(
    dots(
      ...run.spots.map((s) => `${SPOTS[s.spot] ?? s.spot} ${fixed(s.reading_c, 1)} °C`),
      run.spots.length === 0 && say('run-panels-none'),
    ),
  );
  // Open from the start while something is missing in it; it never closes under the hand that types in it.
  let open = $state(untrack(() => run.room_c === null));
</script>

{#if run.trace}
  <FigureStrip {run} />
  <LogPanel {jobId} {run} side={runKey} {closed} {onrun} />
{:else}
  <div class="two">
    <LogPanel {jobId} {run} side={runKey} {closed} {onrun} />
    <ConditionsForm {jobId} {run} side={runKey} {onrun} {onreload} {onward} />
  </div>
{/if}
<div class="folds">
  {#if run.trace}
    <Working summary={say('conditions-form-how-was-run')} stand={conditions} bind:open>
      <ConditionsForm {jobId} {run} side={runKey} {onrun} {onreload} {onward} />
    </Working>
  {/if}
  <Working summary={say('noise-panel-noise-by-meter')} stand={noise}>
    <NoisePanel {jobId} {run} side={runKey} {onrun} />
    <Why subject="noise" />
  </Working>
  <Working summary={say('sound-panel-noise-recorded')} stand={sounds}>
    <SoundPanel {jobId} {run} side={runKey} {closed} {onrun} />
    <Why subject="noise" />
  </Working>
  <Working summary={say('spot-panel-spots-under-load-by')} stand={spots}>
    <SpotPanel {jobId} {run} side={runKey} {onrun} />
    <Why subject="temperature" />
  </Working>
  {#if run.trace || run.frames.length}<FrameTimes {jobId} {run} side={runKey} {closed} {onrun} />{/if}
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 20rem), 1fr));
    gap: var(--gap-5);
    align-items: start;
    margin-bottom: var(--gap-4);
  }
</style>
