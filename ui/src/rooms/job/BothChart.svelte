<script lang="ts">
  import { client, take, type SideName, type Verdict } from '../../lib/api';
  import TraceChart from '../../lib/charts/TraceChart.svelte';
  import type { Line } from '../../lib/charts/scales';
  import Pick from '../../lib/parts/Pick.svelte';
  import { ROLES } from '../../lib/words';

  interface Props {
    jobId: string;
    verdict: Verdict;
    height?: number;
    pickable?: boolean;
  }
  let { jobId, verdict, height = 320, pickable = true }: Props = $props();

  let channel = $state('');
  let chart = $state<{ lines: Line[]; unit: string; words: string } | null>(null);
  const shared = $derived(
    Object.keys(verdict.before_reading.stats).filter((r) => r in verdict.after_reading.stats && r !== 'throttle_flag'),
  );
  const charted = $derived(shared.includes(channel) ? channel : verdict.before_reading.die_role);

  // Both runs are fetched for the chosen channel and laid over each other from load onset.
  $effect(() => {
    const wanted = charted;
    const readings = { before: verdict.before_reading, after: verdict.after_reading };
    let stale = false;
    const one = async (side: SideName) => {
      const reading = readings[side];
      const role = wanted in reading.stats ? wanted : reading.die_role;
      const view = await take(
        client.GET('/api/jobs/{job_id}/runs/{side}/chart', {
          params: { path: { job_id: jobId, side }, query: { channel: role, points: 1000 } },
        }),
      );
      const zero = reading.onset_s;
      const line: Line = {
        side,
        time: view.time_s.map((t) => t - zero),
        values: view.values,
        window: [reading.from_s - zero, reading.to_s - zero],
        held: reading.throttle_spans.map((s) => [s.from_s - zero, s.to_s - zero] as [number, number]),
      };
      return { line, view };
    };
    void Promise.all([one('before'), one('after')]).then((both) => {
      if (stale) return;
      chart = { lines: both.map((b) => b.line), unit: both[0].view.unit, words: both[0].view.words };
    });
    return () => (stale = true);
  });
</script>

{#if pickable}
  <div class="picker">
    <Pick
      label="Charted"
      name="channel"
      bare
      bind:value={() => charted, (v) => (channel = v)}
      options={shared.map((r) => ({ value: r, label: ROLES[r] ?? r }))}
    />
  </div>
{/if}
<div class="chart" style:min-height="{height + 30}px">
  {#if chart}<TraceChart
      lines={chart.lines}
      unit={chart.unit}
      title="{chart.words}, before and after"
      {height}
      hint={pickable}
    />{/if}
</div>

<style>
  .picker {
    max-width: 17rem;
    margin-bottom: var(--gap-2);
  }
</style>
