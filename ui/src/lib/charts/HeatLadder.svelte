<script lang="ts">
  import { say } from '../say';
  import DataTable from '../parts/DataTable.svelte';
  import type { Ladder } from '../api';
  import { figure } from '../format';
  import { RUNGS } from '../words';
  import { highestRise, shape, spread } from './ladder';

  interface Props {
    before: Ladder | null;
    after: Ladder | null;
    culprit: string | null;
    /** Runs that had not settled: their drops were still growing. */
    rising?: string[];
  }
  let { before, after, culprit, rising = [] }: Props = $props();

  const uid = $props.id();
  const W = 264;
  const FLOOR = 322;
  const TOP = 34;
  const pxPerK = $derived((FLOOR - TOP) / highestRise([before, after]));
  const sides = $derived(
    [
      { name: 'before', ladder: before, x: after && before ? 96 : 118 },
      { name: 'after', ladder: after, x: after && before ? 184 : 118 },
    ].filter((s): s is { name: string; ladder: Ladder; x: number } => s.ladder !== null),
  );
  // The side that tells more parts names them.
  const fuller = $derived(
    sides.reduce<(typeof sides)[number] | undefined>(
      (a, b) => (a && a.ladder.rungs.length >= b.ladder.rungs.length ? a : b),
      undefined,
    ),
  );
  const named = $derived(fuller ? shape(fuller.ladder, FLOOR, pxPerK).spans : []);
  const told = $derived(new Set(sides.flatMap((s) => s.ladder.rungs.map((r) => r.source))));
  const labelY = $derived(
    spread(
      named.map((s) => Math.min(FLOOR - 7, (s.top + s.bottom) / 2 + 5)),
      30,
    ),
  );
  const WIDE = 66;
</script>

{#if sides.length}
  <figure>
    <svg viewBox="0 0 {W} 384" role="img" aria-label={say('heat-ladder-heat-ladder-table-below')}>
      <pattern id="hatch-{uid}" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path class="hatch" d="M0 0V9" />
      </pattern>
      {#each named as span, i (span.name)}
        <text
          class="name"
          class:culprit={span.name === culprit}
          x="0"
          y={(labelY[i] ?? 0) - (span.name === culprit ? 7 : 0)}
        >
          {RUNGS[span.name] ?? span.name}
        </text>
        {#if span.name === culprit}<text class="stops" x="0" y={(labelY[i] ?? 0) + 9}
            >{say('heat-ladder-stops-here')}</text
          >{/if}
      {/each}
      {#each sides as side (side.name)}
        {@const drawn = shape(side.ladder, FLOOR, pxPerK)}
        <g class={side.name}>
          {#each drawn.spans as span, i (span.name)}
            <rect
              class="span"
              class:hatched={span.name === culprit && side.name === 'before'}
              x={side.x}
              y={span.top}
              width={WIDE}
              height={span.bottom - span.top}
              fill={span.name === culprit && side.name === 'before' ? `url(#hatch-${uid})` : undefined}
            />
            {#if i < drawn.spans.length - 1 && span.bottom - span.top > 3}<path
                class="rung"
                d="M{side.x - 5} {span.top}h{WIDE + 10}"
              />{/if}
            {#if span.bottom - span.top > 25}
              <text
                class="drop"
                class:halo={span.name === culprit && side.name === 'before'}
                x={side.x + WIDE / 2}
                y={(span.top + span.bottom) / 2 + 5}>{figure(span.dropK, 'MHz')} K</text
              >
            {/if}
          {/each}
          <path class="rail" d="M{side.x} {FLOOR}V{drawn.top - 8}M{side.x + WIDE} {FLOOR}V{drawn.top - 8}" />
          <path class="rung" d="M{side.x - 5} {drawn.top}h{WIDE + 10}" />
          <text class="die" x={side.x + WIDE / 2} y={drawn.top - 12}>{figure(side.ladder.die_c, 'MHz')} °C</text>
          <text class="watts" x={side.x + WIDE / 2} y={FLOOR + 20}>{side.name}</text>
          <text class="watts" x={side.x + WIDE / 2} y={FLOOR + 37}>
            {side.ladder.power === null ? say('heat-ladder-w-not-known') : `${figure(side.ladder.power, 'W')} W`}
          </text>
          <text class="room" x={side.x + WIDE / 2} y={FLOOR + 55}>{figure(side.ladder.room_c, 'K')} °C</text>
        </g>
      {/each}
      <path class="floor" d="M0 {FLOOR}H{W}" />
      <text class="name" x="0" y={FLOOR + 55}>{say('heat-ladder-room')}</text>
    </svg>
    {#snippet rung(span: { name: string }, at: number)}
      {@const found = sides[at - 1]?.ladder.rungs.find((r) => r.name === span.name)}
      {figure(found?.resistance, 'K/W')}
      <span class="off-screen"
        >{say('heat-ladder-k-from', { drop_k: figure(found?.drop_k, 'K'), source: found?.source })}</span
      >
    {/snippet}
    <DataTable
      weight="small"
      caption={say('heat-ladder-heat-ladder-in-figures')}
      rows={[...named].reverse()}
      key={(span) => span.name}
      columns={[
        { head: say('heat-ladder-drop'), name: true, text: (span) => RUNGS[span.name] ?? span.name },
        ...sides.map((s) => ({ head: s.name, unit: 'K/W', is: `number ${s.name}`, cell: rung })),
      ]}
    />
    <figcaption class="quiet">
      {told.size > 1
        ? say('heat-ladder-drops-by-probe-where')
        : told.has('probe')
          ? say('heat-ladder-drops-by-probe')
          : say('heat-ladder-drops-told-from-log')}
      {#if rising.length}{say('heat-ladder-still-rising-at-end', { and: rising.join(' and ') })}{/if}
    </figcaption>
  </figure>
{:else}
  <p class="quiet">{say('heat-ladder-ladder-stands-once-log')}</p>
{/if}

<style>
  figure {
    margin: 0;
  }
  svg {
    display: block;
    width: 100%;
    max-width: 17.5rem;
    height: auto;
    margin-bottom: var(--gap-2);
  }
  text {
    font-size: 14px;
    fill: var(--ink);
  }
  .name {
    fill: var(--soft);
  }
  .culprit {
    fill: var(--ink);
    font-weight: 700;
  }
  .stops {
    fill: var(--before);
    font-size: 13px;
    font-weight: 700;
  }
  .drop,
  .die,
  .watts,
  .room {
    text-anchor: middle;
  }
  .die {
    font-family: var(--font-head);
    font-size: 20px;
    font-weight: 700;
  }
  .before :is(.die, .watts, .drop) {
    fill: var(--before);
  }
  .after :is(.die, .watts) {
    fill: var(--after);
  }
  .before .drop {
    font-weight: 700;
  }
  .drop.halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 9px;
  }
  .after .drop {
    fill: var(--paper);
    font-weight: 700;
  }
  .room {
    fill: var(--soft);
  }
  .span:not(.hatched) {
    fill: none;
  }
  .after .span:not(.hatched) {
    fill: var(--after);
  }
  .hatch {
    stroke: var(--before);
    stroke-width: 4;
    opacity: 0.5;
  }
  .rail {
    fill: none;
    stroke-width: 3;
  }
  .rung {
    stroke-width: 5;
    stroke-linecap: round;
  }
  .before :is(.rail, .rung) {
    stroke: var(--before);
  }
  .after :is(.rail, .rung) {
    stroke: var(--after);
  }
  .after .rung {
    stroke: color-mix(in srgb, var(--after) 60%, var(--ink));
  }
  .floor {
    stroke: var(--ink);
    stroke-width: 3;
  }
  figcaption {
    margin-top: var(--gap-1);
    font-size: var(--size-0);
  }
</style>
