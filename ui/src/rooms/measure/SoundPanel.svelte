<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import { checkSize, lookOf, uploadSound, type Run, type RunKey } from '../../lib/api';
  import { parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { toast } from '../../lib/toasts.svelte';
  import { removeReading } from './remove-reading';
  import Sending from './Sending.svelte';
  import SoundCard from './SoundCard.svelte';
  import { FileOnItsWay } from './upload.svelte';

  interface Props {
    jobId: string;
    run: Run;
    side: RunKey;
    /** The job was handed over: recordings can be looked at and none added. */
    closed?: boolean;
    onrun: (run: Run) => Promise<void>;
  }
  let { jobId, run, side, closed = false, onrun }: Props = $props();

  const ACCEPT = '.wav,.flac,.ogg,audio/*';
  const way = new FileOnItsWay();
  let reference = $state('');
  let wrong = $state('');
  type Kind = 'device' | 'room' | 'reference';
  let last: Kind = 'device';
  // What only a hand knows is asked once; the last answer is offered.
  const MARKED = 'phone-at-mark';
  let marked = $state(localStorage.getItem(MARKED) === 'yes');
  $effect(() => localStorage.setItem(MARKED, marked ? 'yes' : 'no'));

  async function send(file: File, kind: Kind) {
    last = kind;
    const toCalibrate = kind === 'reference';
    const level = toCalibrate ? parseNumber(reference) : null;
    wrong = '';
    if (toCalibrate && (level === null || Number.isNaN(level))) {
      wrong = say('sound-panel-type-level-meter-or');
      return;
    }
    const refused = checkSize(file, say('sound-panel-cut-to-loaded-part'));
    const kept = await way.send(file, refused, (progress) =>
      uploadSound(jobId, side, file, {
        referenceDb: level,
        background: kind === 'room',
        markedPlace: marked,
        progress,
      }),
    );
    if (!kept) return;
    await onrun(kept);
    way.forget();
    if (toCalibrate) reference = '';
    toast(say('log-panel-read', { name: file.name }));
  }

  const roomKnown = $derived(run.sounds.some((sound) => sound.is_background));

  const remove = (id: string, name: string) =>
    removeReading({ job_id: jobId, side }, 'sound', id, say('log-panel-was-taken-off', { name }), onrun);
</script>

<section class="lay-stack">
  {#each run.sounds as sound (sound.id)}
    <SoundCard
      {sound}
      side={lookOf(side)}
      blades={run.fan_blades}
      onremove={closed ? undefined : () => void remove(sound.id, sound.file_name)}
    />
  {/each}
  {#if closed}
    {#if !run.sounds.length}<p class="quiet">{say('sound-panel-no-recording-was-made')}</p>{/if}
  {:else if way.busy}
    <Sending {way} low />
  {:else if way.problem && way.file}
    <Notice tone="care" title={way.problem.body.detail}>
      {way.problem.body.remedy}
      {#snippet actions()}
        {#if ['offline', 'stopped', 'broken_off'].includes(way.problem?.body.reason ?? '')}
          <Button kind="main" onclick={() => way.file && void send(way.file, last)}
            >{say('refused-log-send-again', { name: way.file?.name })}</Button
          >
        {/if}
        <Button onclick={() => way.forget()}>{say('refused-log-choose-another-file')}</Button>
      {/snippet}
    </Notice>
  {:else}
    <Tick label={say('sound-panel-marked-place')} bind:checked={marked} />
    {#if !marked}<p class="quiet">{say('sound-panel-not-marked')}</p>{/if}
    <FileDrop
      low
      label={say('sound-panel-drop-recording-here')}
      hint={say('sound-panel-wav-same-phone-at')}
      accept={ACCEPT}
      onfile={(f) => void send(f, 'device')}
    />
    <Working summary={roomKnown ? say('sound-panel-room-alone-recorded') : say('sound-panel-record-room-alone-too')}>
      <p class="quiet">
        {say('sound-panel-with-device-off-same')}
      </p>
      <FileDrop
        low
        label={say('sound-panel-drop-room-alone')}
        hint={say('sound-panel-device-off-ten-seconds')}
        accept={ACCEPT}
        onfile={(f) => void send(f, 'room')}
      />
    </Working>
    <Working summary={say('sound-panel-calibrate-by-reference')}>
      <p class="quiet">
        {say('sound-panel-recording-with-same-phone')}
      </p>
      <div class="reference">
        <TextField
          label={say('sound-panel-level-reference')}
          name="reference_db"
          numeric
          unit="dB"
          bind:value={reference}
          error={wrong}
        />
        <FileDrop
          low
          label={say('sound-panel-drop-reference')}
          hint={say('sound-panel-then-all-recordings-follow')}
          accept={ACCEPT}
          onfile={(f) => void send(f, 'reference')}
        />
      </div>
    </Working>
  {/if}
</section>

<style>
  p {
    margin: 0 0 var(--gap-3);
  }
  .reference {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: var(--gap-4);
    align-items: end;
  }
</style>
