<script lang="ts">
  import { checkLog, client, Problem, take, uploadLog, type Run, type SideName, type Upload } from '../../lib/api';
  import TraceChart from '../../lib/charts/TraceChart.svelte';
  import type { Line } from '../../lib/charts/scales';
  import { bytes, clock } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import Progress from '../../lib/parts/Progress.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { say } from '../../lib/toasts.svelte';
  import { ROLES } from '../../lib/words';
  import ColumnTable from './ColumnTable.svelte';
  import RefusedLog from './RefusedLog.svelte';
  import { removeReading } from './remove-reading';

  interface Props {
    jobId: string;
    run: Run;
    side: SideName;
    onrun: (run: Run) => Promise<void>;
  }
  let { jobId, run, side, onrun }: Props = $props();

  let upload = $state<Upload | null>(null);
  let share = $state(0);
  let file = $state<File | null>(null);
  let problem = $state<Problem | null>(null);
  let replacing = $state(false);
  let channel = $state('');
  let chart = $state<{ lines: Line[]; unit: string; words: string } | null>(null);

  const params = $derived({ path: { job_id: jobId, side } });
  const roles = $derived(run.trace?.channels.filter((c) => c.role).map((c) => c.role ?? '') ?? []);
  const charted = $derived(channel && roles.includes(channel) ? channel : (run.reading?.die_role ?? ''));

  // The chart follows the log, its mapping and the chosen channel.
  $effect(() => {
    const reading = run.reading;
    const wanted = charted;
    if (!reading || !wanted || !run.trace) {
      chart = null;
      return;
    }
    let stale = false;
    void take(
      client.GET('/api/jobs/{job_id}/runs/{side}/chart', {
        params: { ...params, query: { channel: wanted, points: 1200 } },
      }),
    ).then((view) => {
      if (stale) return;
      const zero = reading.onset_s;
      chart = {
        words: view.words,
        unit: view.unit,
        lines: [
          {
            side,
            time: view.time_s.map((t) => t - zero),
            values: view.values,
            window: [reading.from_s - zero, reading.to_s - zero],
            held: reading.throttle_spans.map((s) => [s.from_s - zero, s.to_s - zero] as [number, number]),
          },
        ],
      };
    });
    return () => (stale = true);
  });

  async function send(chosen: File, options: { roles?: Record<string, string | null>; again?: boolean } = {}) {
    file = chosen;
    problem = checkLog(chosen);
    if (problem) return;
    share = 0;
    upload = uploadLog(jobId, side, chosen, { ...options, progress: (s) => (share = s) });
    try {
      const kept = await upload.done;
      replacing = false;
      await onrun(kept);
      file = null;
      say(`${kept.trace?.file_name} is read: ${kept.trace?.samples} samples.`);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      problem = error;
    } finally {
      upload = null;
    }
  }

  async function map(header: string, role: string | null) {
    try {
      await onrun(
        await take(
          client.PUT('/api/jobs/{job_id}/runs/{side}/log/mapping', { params, body: { roles: { [header]: role } } }),
        ),
      );
      say(`“${header}” is now ${role ? (ROLES[role] ?? role).toLowerCase() : 'without a role'}.`);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      say(`${error.body.detail} ${error.body.remedy}`, { tone: 'wrong' });
      await onrun(run);
    }
  }

  async function remove() {
    if (run.trace)
      await removeReading(params.path, 'log', run.trace.id, `${run.trace.file_name} was taken off.`, onrun);
  }
</script>

{#if upload}
  <div class="busy">
    <Progress
      label={share < 1 ? `Sending ${file?.name}, ${Math.round(share * 100)} %` : `Reading ${file?.name} …`}
      share={share < 1 ? share : null}
    />
    <Button onclick={() => upload?.cancel()}>Stop</Button>
  </div>
{:else if problem && file}
  <RefusedLog
    {problem}
    {file}
    onretry={(options) => file && void send(file, options)}
    ondrop={() => {
      problem = null;
      file = null;
    }}
  />
{:else if run.trace && run.reading && !replacing}
  <ul class="findings">
    {#each run.findings as text (text)}<li>{text}</li>{/each}
  </ul>
  {#if run.trouble}<Notice tone="care">{run.trouble}</Notice>{/if}
  <div class="picker">
    <Pick
      label="Charted"
      name="channel"
      bare
      bind:value={() => charted, (v) => (channel = v)}
      options={roles.map((r) => ({ value: r, label: ROLES[r] ?? r }))}
    />
  </div>
  <div class="chart">
    {#if chart}<TraceChart lines={chart.lines} unit={chart.unit} title={`${chart.words}, ${side}`} height={250} />{/if}
  </div>
  <div class="file">
    <span>
      <strong>{run.trace.file_name}</strong>
      <span class="quiet"
        >{bytes(run.trace.size_bytes)}, {run.trace.samples} samples, one each {Number(run.trace.interval_s.toFixed(2))} s,
        {clock(run.trace.duration_s)} long</span
      >
    </span>
    <span class="actions">
      <Button onclick={() => (replacing = true)}>Another file</Button>
      <Button href="/api/jobs/{jobId}/runs/{side}/log/file" download>The original</Button>
      <Button onclick={() => void remove()}>Take off</Button>
    </span>
  </div>
  <Working summary="Columns: {roles.length} of {run.trace.channels.length} understood">
    <ColumnTable channels={run.trace.channels} onmap={(h, r) => void map(h, r)} />
  </Working>
  {#if run.trace.notices.length}
    <Working summary="Mended while reading: {run.trace.notices.length}">
      <ul>
        {#each run.trace.notices as text (text)}<li>{text}</li>{/each}
      </ul>
    </Working>
  {/if}
{:else}
  <FileDrop
    label="Drop the {side === 'before' ? 'Before' : 'After'} log here"
    hint="CSV or text with a header, up to 200 MB; or press Enter to choose a file"
    onfile={(f) => void send(f)}
  />
  {#if replacing}<div class="below">
      <Button onclick={() => (replacing = false)}>Keep the present file</Button>
    </div>{/if}
{/if}

<style>
  .busy {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: var(--gap-4);
    align-items: end;
    min-height: 11rem;
    align-content: center;
    padding: var(--gap-5);
    border: 2px solid var(--ink);
    border-radius: var(--round);
  }
  .findings {
    margin: 0 0 var(--gap-3);
    padding: 0;
    list-style: none;
    font-size: var(--size-2);
  }
  .picker {
    max-width: 17rem;
    margin-bottom: var(--gap-2);
  }
  .chart {
    min-height: 280px;
  }
  .file {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: var(--gap-2) var(--gap-4);
    margin-top: var(--gap-3);
    padding-top: var(--gap-3);
    border-top: var(--line) solid var(--rule);
  }
  .actions {
    display: flex;
    flex-wrap: wrap;
    gap: var(--gap-2);
  }
  .below {
    margin-top: var(--gap-3);
  }
</style>
