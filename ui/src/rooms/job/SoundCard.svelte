<script lang="ts">
  import type { Schemas, SideName } from '../../lib/api';
  import BandChart from '../../lib/charts/BandChart.svelte';
  import { hertz } from '../../lib/charts/bands';
  import { clock, figure } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';

  interface Props {
    sound: Schemas['SoundOut'];
    side: SideName;
    blades: number | null;
    onremove: (() => void) | undefined;
  }
  let { sound, side, blades, onremove }: Props = $props();

  const unit = $derived(sound.calibrated ? 'dB' : 'dB below full scale');
  const level = (value: number | null) =>
    value === null ? 'not known' : figure(sound.calibrated ? value : Math.abs(value), 'dB');
  const marks = $derived([
    ...(sound.blade_pass_hz ? [{ hz: sound.blade_pass_hz, words: 'blades' }] : []),
    ...sound.whines_hz.slice(0, 1).map((hz) => ({ hz, words: 'whine' })),
  ]);
  const tones = $derived(sound.tones.filter((t) => t.prominent).slice(0, 3));
</script>

<article>
  <header>
    <span>
      <strong>{sound.file_name}</strong>
      <span class="quiet">
        {clock(sound.duration_s)}{sound.reference_db === null
          ? ''
          : `, the reference of ${figure(sound.reference_db, 'dB')} dB`}{sound.is_background ? ', the room alone' : ''}
      </span>
    </span>
    {#if onremove}<Button kind="bare" label="Take {sound.file_name} off" onclick={onremove}>✕</Button>{/if}
  </header>
  {#if sound.laeq_db !== null}
    <dl>
      <div>
        <dt>mean level, L<sub>Aeq</sub></dt>
        <dd><strong>{level(sound.laeq_db)}</strong> {unit}</dd>
      </div>
      <div>
        <dt>highest, L<sub>AFmax</sub></dt>
        <dd>{level(sound.lafmax_db)}</dd>
      </div>
      <div>
        <dt>a tenth of the time above</dt>
        <dd>{level(sound.l10_db)}</dd>
      </div>
      <div>
        <dt>nine tenths above</dt>
        <dd>{level(sound.l90_db)}</dd>
      </div>
    </dl>
    <BandChart bands={sound.bands} {side} {marks} {unit} />
    <ul>
      {#if sound.fan_rpm !== null}
        <li>Fan at {figure(sound.fan_rpm, 'rpm')} rpm, from {hertz(sound.blade_pass_hz ?? 0)} and {blades} blades.</li>
      {:else if blades === null}
        <li class="quiet">Note the blades of the fan with the conditions, and the fan speed is read from the sound.</li>
      {:else}
        <li class="quiet">No blade tone stands out: the fan speed is not known from this recording.</li>
      {/if}
      {#if tones.length}
        <li>
          {tones.length > 1 ? 'Tones' : 'A tone'} at {tones
            .map((t) => `${hertz(t.frequency_hz)} (${figure(t.prominence_db, 'dB')} dB over the noise around)`)
            .join(', ')}.
        </li>
      {/if}
      {#each sound.whines_hz as hz (hz)}
        <li class="care">Whine at {hertz(hz)}: a bearing or a coil; paste will not cure it.</li>
      {/each}
    </ul>
  {/if}
  {#each sound.faults as fault (fault)}<p class="care">{fault}</p>{/each}
</article>

<style>
  article {
    display: grid;
    gap: var(--gap-2);
    padding-bottom: var(--gap-3);
    border-bottom: var(--line) solid var(--rule);
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
  }
  dl {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--gap-1) var(--gap-4);
    margin: 0;
  }
  dt {
    color: var(--soft);
    font-size: var(--size-0);
  }
  dd {
    margin: 0;
  }
  ul,
  p {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  .care {
    color: var(--care);
    font-weight: 620;
  }
</style>
