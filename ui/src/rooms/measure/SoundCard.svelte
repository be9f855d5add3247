<script lang="ts">
  import { say } from '$words/page-measure.ftl';
  import '$words/page-job.ftl';
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

  const unit = $derived(sound.calibrated ? 'dB' : say('sound-card-below-full-scale'));
  const level = (value: number | null) =>
    value === null ? say('effect-table-not-known') : figure(sound.calibrated ? value : Math.abs(value), 'dB');
  const marks = $derived([
    ...(sound.blade_pass_hz ? [{ hz: sound.blade_pass_hz, words: say('sound-card-blades') }] : []),
    ...sound.whines_hz.slice(0, 1).map((hz) => ({ hz, words: say('sound-card-whine') })),
  ]);
  const tones = $derived(sound.tones.filter((t) => t.prominent).slice(0, 3));
</script>

<article class="lay-stack">
  <header>
    <span>
      <strong>{sound.file_name}</strong>
      <span class="quiet">
        {clock(sound.duration_s)}{sound.reference_db === null
          ? ''
          : say('sound-card-reference-db', { reference_db: figure(sound.reference_db, 'dB') })}{sound.is_background
          ? say('sound-card-room-alone')
          : ''}
      </span>
    </span>
    {#if onremove}<Button
        kind="bare"
        label={say('repeats-take-off-2', { file_name: sound.file_name })}
        onclick={onremove}>✕</Button
      >{/if}
  </header>
  {#if sound.laeq_db !== null}
    <dl>
      <div>
        <dt>{say('sound-card-mean-level-l')}<sub>{say('sound-card-aeq')}</sub></dt>
        <dd><strong>{level(sound.laeq_db)}</strong> {unit}</dd>
      </div>
      <div>
        <dt>{say('sound-card-highest-l')}<sub>{say('sound-card-afmax')}</sub></dt>
        <dd>{level(sound.lafmax_db)}</dd>
      </div>
      <div>
        <dt>{say('sound-card-tenth-time-above')}</dt>
        <dd>{level(sound.l10_db)}</dd>
      </div>
      <div>
        <dt>{say('sound-card-nine-tenths-above')}</dt>
        <dd>{level(sound.l90_db)}</dd>
      </div>
    </dl>
    <BandChart bands={sound.bands} {side} {marks} {unit} />
    <ul>
      {#if sound.fan_rpm !== null}
        <li>
          {say('sound-card-fan-at-rpm-from', {
            fan_rpm: figure(sound.fan_rpm, 'rpm'),
            blade_pass_hz: hertz(sound.blade_pass_hz ?? 0),
            blades,
          })}
        </li>
      {:else if blades === null}
        <li class="quiet">{say('sound-card-note-blades-fan-with')}</li>
      {:else}
        <li class="quiet">{say('sound-card-no-blade-tone-stands')}</li>
      {/if}
      {#if tones.length}
        <li>
          {say('sound-card-at', {
            count: tones.length,
            prominence_db: tones
              .map((t) => `${hertz(t.frequency_hz)} (${figure(t.prominence_db, 'dB')} dB over the noise around)`)
              .join(', '),
          })}
        </li>
      {/if}
      {#if sound.beside_hz.length}
        <li class="care">
          {say('sound-card-moves-with-fan', { hz: sound.beside_hz.map(hertz).join(', ') })}
        </li>
      {/if}
      {#each sound.whines_hz as hz, at (at)}
        <li class="care">{say('sound-card-whine-at-bearing-or', { hz: hertz(hz) })}</li>
      {/each}
    </ul>
  {/if}
  {#each sound.faults as fault, at (at)}<p class="care">{fault}</p>{/each}
</article>

<style>
  article {
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
  .care {
    color: var(--care);
    font-weight: 620;
  }
</style>
