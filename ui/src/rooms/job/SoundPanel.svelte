<script lang="ts">
  import { checkSize, uploadSound, type Run, type SideName } from '../../lib/api';
  import { parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import FileDrop from '../../lib/parts/FileDrop.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import { say } from '../../lib/toasts.svelte';
  import { removeReading } from './remove-reading';
  import Sending from './Sending.svelte';
  import SoundCard from './SoundCard.svelte';
  import { FileOnItsWay } from './upload.svelte';

  interface Props {
    jobId: string;
    run: Run;
    side: SideName;
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

  async function send(file: File, kind: Kind) {
    last = kind;
    const toCalibrate = kind === 'reference';
    const level = toCalibrate ? parseNumber(reference) : null;
    wrong = '';
    if (toCalibrate && (level === null || Number.isNaN(level))) {
      wrong = 'Type the level the meter or the calibrator shows, then drop the recording.';
      return;
    }
    const refused = checkSize(file, 'Cut it to the loaded part; ten seconds are enough.');
    const kept = await way.send(file, refused, (progress) =>
      uploadSound(jobId, side, file, { referenceDb: level, background: kind === 'room', progress }),
    );
    if (!kept) return;
    await onrun(kept);
    way.forget();
    if (toCalibrate) reference = '';
    say(`${file.name} is read.`);
  }

  const roomKnown = $derived(run.sounds.some((sound) => sound.is_background));

  const remove = (id: string, name: string) =>
    removeReading({ job_id: jobId, side }, 'sound', id, `${name} was taken off.`, onrun);
</script>

<section>
  <h3>Noise, recorded</h3>
  {#each run.sounds as sound (sound.id)}
    <SoundCard
      {sound}
      {side}
      blades={run.fan_blades}
      onremove={closed ? undefined : () => void remove(sound.id, sound.file_name)}
    />
  {/each}
  {#if closed}
    {#if !run.sounds.length}<p class="quiet">No recording was made.</p>{/if}
  {:else if way.busy}
    <Sending {way} low />
  {:else if way.problem && way.file}
    <Notice tone="care" title={way.problem.body.detail}>
      {way.problem.body.remedy}
      {#snippet actions()}
        {#if ['offline', 'stopped', 'broken_off'].includes(way.problem?.body.reason ?? '')}
          <Button kind="main" onclick={() => way.file && void send(way.file, last)}>Send {way.file?.name} again</Button>
        {/if}
        <Button onclick={() => way.forget()}>Choose another file</Button>
      {/snippet}
    </Notice>
  {:else}
    <FileDrop
      low
      label="Drop a recording here"
      hint="WAV; the same phone at the same place in both runs"
      accept={ACCEPT}
      onfile={(f) => void send(f, 'device')}
    />
    <Working summary={roomKnown ? 'The room alone is recorded' : 'Record the room alone, too'}>
      <p class="quiet">
        With the device off, the same phone at the same place. It is taken out of the other recordings; without it a
        change may be larger than it reads.
      </p>
      <FileDrop
        low
        label="Drop the room alone"
        hint="device off, ten seconds are enough"
        accept={ACCEPT}
        onfile={(f) => void send(f, 'room')}
      />
    </Working>
    <Working summary="Calibrate by a reference">
      <p class="quiet">
        A recording with the same phone of a source whose level is known makes the levels absolute. Without one only the
        change from Before to After is firm.
      </p>
      <div class="reference">
        <TextField
          label="Level of the reference"
          name="reference_db"
          numeric
          unit="dB"
          bind:value={reference}
          error={wrong}
        />
        <FileDrop
          low
          label="Drop the reference"
          hint="then all recordings follow"
          accept={ACCEPT}
          onfile={(f) => void send(f, 'reference')}
        />
      </div>
    </Working>
  {/if}
</section>

<style>
  section {
    display: grid;
    gap: var(--gap-3);
  }
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
