<script lang="ts">
  // Frames of a run, from a log of frame times that lies beside the log of sensors.
  import { checkSize, uploadLog, type Run, type RunKey } from '../../lib/api';
  import { clock, fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { say } from '$words/page-measure.ftl';
  import { removeReading } from './remove-reading';
  import Sending from './Sending.svelte';
  import { FileOnItsWay } from './upload.svelte';

  interface Props {
    jobId: string;
    run: Run;
    side: RunKey;
    closed: boolean;
    onrun: (run: Run) => Promise<void>;
  }
  let { jobId, run, side, closed, onrun }: Props = $props();
  const way = new FileOnItsWay();
  const own = $derived(run.frames.at(-1) ?? null);

  async function send(file: File) {
    const refused = checkSize(file, say('log-panel-log-fewer-sensors-or'));
    const kept = await way.send(file, refused, (progress) => uploadLog(jobId, side, file, { repeat: true, progress }));
    if (!kept) return;
    await onrun(kept);
    way.forget();
    toast(say('log-panel-read', { name: file.name }));
  }

  async function remove(id: string, name: string) {
    const words = say('log-panel-was-taken-off', { name });
    await removeReading({ job_id: jobId, side }, 'frames', id, words, onrun);
  }
</script>

<Working
  summary={say('frame-times-frames-title')}
  stand={own ? say('frame-times-rate', { rate: own.rate_per_s, slow: own.slow_rate_per_s }) : say('frame-times-none')}
>
  <p class="quiet">{say('frame-times-what')}</p>
  {#if own}
    <div class="file lay-head">
      <span>
        <strong>{own.file_name}</strong>
        <span class="quiet">{say('frame-times-frames', { n: fixed(own.frames, 0), time: clock(own.duration_s) })}</span>
      </span>
      {#if !closed}<Button onclick={() => void remove(own.id, own.file_name)}>{say('log-panel-take-off')}</Button>{/if}
    </div>
  {/if}
  {#if way.busy}
    <Sending {way} />
  {:else if way.problem}
    <Notice tone="care" title={way.problem.body.detail}>{way.problem.body.remedy}</Notice>
  {/if}
  {#if !closed}
    <FileDrop
      low
      label={say('frame-times-drop')}
      hint={say('repeats-or-press-enter-to')}
      accept=".csv,.txt,.tsv,.log,text/csv,text/plain"
      onfile={(f) => void send(f)}
    />
  {/if}
</Working>

<style>
  p {
    margin: 0 0 var(--gap-3);
    max-width: 46rem;
  }
  .file {
    gap: var(--gap-2) var(--gap-4);
    margin-bottom: var(--gap-3);
  }
</style>
