<script lang="ts">
  import { say } from '../say';
  // One or both runs of a job over time: two channels at choice, one axis, detail fetched for what is shown.
  import { client, take, type Reading, type RunKey, type Schemas, type SideName } from '../api';
  import { resource } from '../asking.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import Pick from '../parts/Pick.svelte';
  import { makeLine } from './scales';
  import TraceChart from './TraceChart.svelte';

  interface Props {
    jobId: string;
    /** key: the run that it is fetched from, where that is neither Before nor After. */
    readings: { side: SideName; key?: RunKey; name?: string; reading: Reading }[];
    channels: { value: string; label: string }[];
    height?: number;
    /** Lets channels be chosen and shows the second chart. */
    pickable?: boolean;
    onwindow?: ((fromS: number, toS: number) => void) | undefined;
  }
  let { jobId, readings, channels, height = 250, pickable = true, onwindow }: Props = $props();

  type Chart = { views: { side: SideName; view: Schemas['ViewOut'] }[]; unit: string; words: string };
  const POINTS = 1200;
  const NONE = 'none';
  let picked = $state<[string, string]>(['', '']);
  let domain = $state<[number, number] | null>(null);
  let at = $state<number | null>(null);

  const offered = $derived(channels.map((c) => c.value));
  const first = $derived(picked[0] && offered.includes(picked[0]) ? picked[0] : (readings[0]?.reading.die_role ?? ''));
  // The watts of the chip whose temperature is shown; any others when the log has none of it.
  const watts = $derived(
    [first.startsWith('gpu') ? 'gpu_power' : 'cpu_power', 'cpu_power', 'gpu_power', 'total_power'].find((r) =>
      offered.includes(r),
    ) ?? '',
  );
  const second = $derived(picked[1] === NONE ? '' : offered.includes(picked[1]) ? picked[1] : watts);

  async function fetchChart(channel: string, stretch: [number, number] | null): Promise<Chart> {
    const found = await Promise.all(
      readings.map(async ({ side, key, reading }) => {
        // Two runs may have been read from different sensors: each then shows its own.
        const own = readings.length > 1 && !(channel in reading.stats) ? reading.die_role : channel;
        const margin = stretch ? (stretch[1] - stretch[0]) * 0.05 : 0;
        const cut = stretch
          ? { from_s: stretch[0] - margin + reading.onset_s, to_s: stretch[1] + margin + reading.onset_s }
          : {};
        const view: Schemas['ViewOut'] = await take(
          client.GET('/api/jobs/{job_id}/runs/{side}/chart', {
            params: { path: { job_id: jobId, side: key ?? side }, query: { channel: own, points: POINTS, ...cut } },
          }),
        );
        return { side, view };
      }),
    );
    return { views: found, unit: found[0]?.view.unit ?? '', words: found[0]?.view.words ?? channel };
  }

  // The charts follow the readings, the chosen channels and the stretch; a zoom waits a moment for the hand to rest.
  const asked = resource(
    () => ({
      wanted: pickable ? [first, second] : [first],
      stretch: domain,
      of: readings.map((r) => [r.key ?? r.side, r.reading.onset_s]),
    }),
    ({ wanted, stretch }) => Promise.all(wanted.map((c) => (c ? fetchChart(c, stretch) : null))),
    120,
  );
  const charts = $derived<(Chart | null)[]>(asked.value ?? [null, null]);

  // The samples were fetched, the figures beside them may have moved since: lines are made of both as they are now.
  const drawn = $derived(
    charts.map(
      (chart) =>
        chart && {
          ...chart,
          lines: readings.flatMap(({ side, name, reading }) => {
            const view = chart.views.find((v) => v.side === side)?.view;
            return view ? [makeLine(side, reading, view.time_s, view.values, name)] : [];
          }),
        },
    ),
  );
  const sides = $derived(readings.map((r) => r.name ?? r.side).join(' and '));
</script>

{#if pickable && channels.length > 1}
  <div class="pickers">
    <Pick
      label={say('trace-explorer-charted')}
      name="channel"
      bind:value={() => first, (v) => (picked = [v, picked[1]])}
      options={channels}
    />
    <Pick
      label={say('trace-explorer-and-below')}
      name="second"
      bind:value={() => second || NONE, (v) => (picked = [picked[0], v])}
      options={[{ value: NONE, label: say('trace-explorer-nothing') }, ...channels]}
    />
  </div>
{/if}
<Trouble of={asked} />
<div class="chart" style:min-height="{height + 30}px">
  {#if drawn[0]}
    <TraceChart
      lines={drawn[0].lines}
      unit={drawn[0].unit}
      title="{drawn[0].words}, {sides}"
      {height}
      workings={pickable}
      bind:domain
      bind:at
      {onwindow}
    />
  {/if}
</div>
{#if pickable && drawn[1]}
  <TraceChart
    lines={drawn[1].lines}
    unit={drawn[1].unit}
    title="{drawn[1].words}, {sides}"
    height={130}
    workings={false}
    full={false}
    bind:domain
    bind:at
  />
{/if}

<style>
  .pickers {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 17rem));
    gap: var(--gap-4);
    margin-bottom: var(--gap-2);
  }
</style>
