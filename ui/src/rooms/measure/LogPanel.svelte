<script lang="ts">
  import { action } from '../../lib/asking.svelte';
  import { say } from '$words/page-measure.ftl';
  import { checkSize, client, lookOf, take, uploadLog, type LogOptions, type Run, type RunKey } from '../../lib/api';
  import LateTrace from '../../lib/charts/LateTrace.svelte';
  import { bytes, clock } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { ROLES } from '../../lib/words';
  import ColumnTable from './ColumnTable.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import RefusedLog from './RefusedLog.svelte';
  import { removeReading } from './remove-reading';
  import Repeats from './Repeats.svelte';
  import Sending from './Sending.svelte';
  import { FileOnItsWay } from './upload.svelte';

  interface Props {
    jobId: string;
    run: Run;
    side: RunKey;
    /** The job was handed over: everything can be looked at and nothing changed. */
    closed?: boolean;
    onrun: (run: Run) => Promise<void>;
  }
  let { jobId, run, side, closed = false, onrun }: Props = $props();

  const ACCEPT = '.csv,.txt,.tsv,.log,.xlsx,.jsonl,.ndjson,.json,.parquet,text/csv,text/plain';
  const way = new FileOnItsWay();
  let asked = $state<LogOptions>({});
  let replacing = $state(false);

  const params = $derived({ path: { job_id: jobId, side } });
  const understood = $derived(run.trace?.channels.filter((c) => c.role).length ?? 0);
  // Columns with a role come first, by their words; the others keep their header.
  const channels = $derived(
    (run.trace?.channels ?? [])
      .map((c, i) => ({ value: c.role ?? `c${i}`, label: c.role ? (ROLES[c.role] ?? c.role) : c.header, ...c }))
      .filter((c) => c.numeric || c.role)
      .sort((a, b) => Number(!!b.role) - Number(!!a.role))
      .map(({ value, label }) => ({ value, label })),
  );

  async function send(chosen: File, options: LogOptions = {}) {
    asked = options;
    const refused = checkSize(chosen, say('log-panel-log-fewer-sensors-or'));
    const kept = await way.send(chosen, refused, (progress) =>
      uploadLog(jobId, side, chosen, { ...options, progress }),
    );
    if (!kept) return;
    replacing = false;
    await onrun(kept);
    way.forget();
    toast(say('log-panel-read', { name: chosen.name }));
  }

  const change = action(async (call: () => Promise<Run>, words: string) => {
    try {
      await onrun(await call());
    } catch (error) {
      // The chart goes back to what is stored.
      await onrun(run);
      throw error;
    }
    toast(words);
  });

  const map = (header: string, role: string | null) =>
    change.queue(
      () =>
        take(client.PUT('/api/jobs/{job_id}/runs/{side}/log/mapping', { params, body: { roles: { [header]: role } } })),
      say('log-panel-now-for-this-logger', {
        header,
        role: role ? (ROLES[role] ?? role).toLowerCase() : 'without a role',
      }),
    );

  const choose = (from_s: number | null, to_s: number | null) =>
    change.queue(
      () => take(client.PUT('/api/jobs/{job_id}/runs/{side}/window', { params, body: { from_s, to_s } })),
      from_s === null ? say('log-panel-figures-come-from-stretch') : say('log-panel-figures-come-from-your'),
    );

  async function moveWindow(from: number, to: number) {
    const zero = run.reading?.onset_s ?? 0;
    await choose(from + zero, to + zero);
  }

  const fileStand = (trace: NonNullable<Run['trace']>) =>
    [
      trace.file_name,
      say('log-panel-samples-one-each-s', {
        size_bytes: bytes(trace.size_bytes),
        samples: trace.samples,
        interval_s: Number(trace.interval_s.toFixed(2)),
        duration_s: clock(trace.duration_s),
      }),
      trace.notices.length ? say('log-panel-mended', { count: trace.notices.length }) : '',
    ]
      .filter(Boolean)
      .join(' · ');

  async function remove(id: string, name: string) {
    await removeReading(params.path, 'log', id, say('log-panel-was-taken-off', { name }), onrun);
  }
</script>

<Trouble of={change} />
{#if way.busy}
  <Sending {way} />
{:else if way.problem && way.file}
  <RefusedLog
    problem={way.problem}
    file={way.file}
    {jobId}
    accept={ACCEPT}
    onfile={(chosen) => void send(chosen, asked.repeat ? { repeat: true } : {})}
    onretry={(options) => way.file && void send(way.file, { ...asked, ...options })}
    ondrop={() => way.forget()}
  />
{/if}
{#if run.trace && run.reading && !replacing}
  {#if run.trouble}<Notice tone="care">{run.trouble}</Notice>{/if}
  <LateTrace
    {jobId}
    readings={[
      {
        side: lookOf(side),
        key: side,
        reading: run.reading,
        ...(side === 'before' || side === 'after' ? {} : { name: say('log-panel-this-run') }),
      },
    ]}
    {channels}
    height={190}
    onwindow={closed ? undefined : (from, to) => void moveWindow(from, to)}
  />
  {#if run.reading.chosen}
    <p class="chosen lay-head">
      <span>{say('log-panel-figures-come-from-stretch-2')}</span>
      {#if !closed}<Button onclick={() => void choose(null, null)}>{say('log-panel-back-to-one-found')}</Button>{/if}
    </p>
  {/if}
  <div class="folds">
    <Working summary={say('log-panel-what-the-log-says', { count: run.findings.length })} stand={run.findings[0] ?? ''}>
      <ul class="findings">
        {#each run.findings as text, at (at)}<li>{text}</li>{/each}
      </ul>
    </Working>
    <Working summary={say('log-panel-file')} stand={fileStand(run.trace)}>
      <div class="actions lay-row">
        {#if !closed}<Button onclick={() => (replacing = true)}>{say('log-panel-another-file')}</Button>{/if}
        <Button href="/api/jobs/{jobId}/runs/{side}/log/file" download>{say('log-panel-original')}</Button>
        {#if !closed}
          <Button onclick={() => run.trace && void remove(run.trace.id, run.trace.file_name)}
            >{say('log-panel-take-off')}</Button
          >
        {/if}
      </div>
      {#if run.trace.notices.length}
        <h3>{say('log-panel-mended-while-reading', { count: run.trace.notices.length })}</h3>
        <ul>
          {#each run.trace.notices as text, at (at)}<li>{text}</li>{/each}
        </ul>
      {/if}
    </Working>
    <Repeats
      repeats={run.repeats}
      {closed}
      accept={ACCEPT}
      onfile={(f) => void send(f, { repeat: true })}
      onremove={(id, name) => void remove(id, name)}
    />
    <Working
      summary={say('log-panel-columns')}
      stand={say('log-panel-columns-understood', { understood, count: run.trace.channels.length })}
    >
      <ColumnTable channels={run.trace.channels} onmap={(h, r) => void map(h, r)} />
    </Working>
  </div>
{:else if closed}
  <p class="quiet">{say('log-panel-no-log-was-taken')}</p>
{:else if !way.busy && !way.problem}
  <FileDrop
    label={say('log-panel-drop-log-here', { before: side === 'before' })}
    hint={say('log-panel-csv-or-text-with')}
    accept={ACCEPT}
    onfile={(f) => void send(f)}
  />
  {#if replacing}<div class="below">
      <Button onclick={() => (replacing = false)}>{say('log-panel-keep-present-file')}</Button>
    </div>{/if}
{/if}

<style>
  .folds {
    margin-top: var(--gap-3);
  }
  h3 {
    margin: var(--gap-3) 0 var(--gap-1);
  }
  .chosen {
    gap: var(--gap-2) var(--gap-4);
    margin: var(--gap-3) 0 0;
    padding-top: var(--gap-3);
    border-top: var(--line) solid var(--rule);
  }
  .actions {
    gap: var(--gap-2);
  }
  .below {
    margin-top: var(--gap-3);
  }
</style>
