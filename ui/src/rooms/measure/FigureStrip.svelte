<script lang="ts">
  // What a run says, in five figures that are read at arm's length, each with how far it can be trusted.
  import { say } from '$words/page-measure.ftl';
  import type { Run } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Term from '../../lib/parts/Term.svelte';
  import Unit from '../../lib/parts/Unit.svelte';

  interface Props {
    run: Run;
  }
  let { run }: Props = $props();
  const h = $derived(run.headline);
  const held = $derived(run.reading?.throttle_share ?? null);
  const figures = $derived([
    {
      name: say('figure-strip-die'),
      term: 'die temperature',
      value: h.die_c,
      u: h.die_u95_k,
      unit: '°C',
      spread: 'K',
      none: '',
      rising: run.reading?.settled === false,
    },
    {
      name: say('figure-strip-over-room'),
      term: 'rise over room',
      value: h.rise_k,
      u: h.rise_u95_k,
      unit: 'K',
      spread: 'K',
      none: run.room_c === null ? say('figure-strip-room-missing') : '',
    },
    {
      name: say('figure-strip-power'),
      term: 'power',
      value: h.power_w,
      u: h.power_u95_w,
      unit: 'W',
      spread: 'W',
      none: '',
    },
    {
      name: say('figure-strip-throttled'),
      term: 'throttled (held back by heat)',
      value: held === null ? null : 100 * held,
      u: null,
      unit: '%',
      spread: '',
      none: say('figure-strip-no-flag'),
    },
    {
      name: say('figure-strip-noise'),
      term: 'level',
      value: h.noise_db ?? run.noise_figure?.level_db ?? null,
      u: h.noise_u95_db,
      unit: 'dB',
      spread: 'dB',
      none: say('figure-strip-not-measured'),
      most: !!run.noise_figure?.upper_bound,
    },
  ]);
  const digits = (unit: string) => (unit === '%' ? 0 : 1);
</script>

<dl>
  {#each figures as f (f.name)}
    <div>
      <dt><Term of={f.term} words={f.name} /></dt>
      {#if f.value === null}
        <dd class="none">{f.none || say('format-not-known')}</dd>
      {:else}
        <dd>
          <strong>{f.most ? '≤ ' : ''}{fixed(f.value, digits(f.unit))}</strong>
          <Unit of={f.unit} />
          {#if f.u !== null}<small
              >± {fixed(f.u, 1)}
              <Unit of={f.spread} />{#if f.rising}<b>{say('figure-strip-still-rising')}</b>{/if}</small
            >{/if}
        </dd>
      {/if}
    </div>
  {/each}
</dl>

<style>
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(8.25rem, 1fr));
    margin: 0 0 var(--gap-3);
    border-top: 2px solid var(--ink);
    border-bottom: 2px solid var(--ink);
  }
  div {
    padding: var(--gap-1) var(--gap-3) var(--gap-2);
    border-left: 1px solid var(--rule);
  }
  div:first-child {
    padding-left: 0;
    border-left: 0;
  }
  dt {
    color: var(--soft);
    font-size: var(--size-0);
  }
  dd {
    margin: 0;
    white-space: nowrap;
  }
  dd strong {
    font-family: var(--font-head);
    font-size: var(--size-5);
    line-height: 1.1;
  }
  small {
    display: block;
    color: var(--soft);
    font-size: var(--size-1);
  }
  small b {
    display: block;
    color: var(--care);
  }
  .none {
    padding-top: 0.6rem;
    color: var(--soft);
    white-space: normal;
  }
  @media (max-width: 640px) {
    dl {
      grid-template-columns: 1fr 1fr;
    }
    div {
      padding-left: 0;
      border-left: 0;
    }
  }
</style>
