<script lang="ts">
  // What is measured in one run: its log, its conditions, noise, sound and spots.
  import type { Run, RunKey } from '../../lib/api';
  import ConditionsForm from './ConditionsForm.svelte';
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
    onreload: () => void;
  }
  let { jobId, run, runKey, closed, onrun, onreload }: Props = $props();
</script>

<LogPanel {jobId} {run} side={runKey} {closed} {onrun} />
{#if run.trace || run.frames.length}<FrameTimes {jobId} {run} side={runKey} {closed} {onrun} />{/if}
<div class="two">
  <ConditionsForm {jobId} {run} side={runKey} {onrun} {onreload} />
  <div class="right">
    <NoisePanel {jobId} {run} side={runKey} {onrun} />
    <SoundPanel {jobId} {run} side={runKey} {closed} {onrun} />
    <SpotPanel {jobId} {run} side={runKey} {onrun} />
  </div>
</div>

<style>
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
    gap: var(--gap-6);
    margin-top: var(--gap-6);
  }
  .right {
    display: grid;
    gap: var(--gap-6);
    align-content: start;
  }
  @media (max-width: 760px) {
    .two {
      grid-template-columns: 1fr;
    }
  }
</style>
