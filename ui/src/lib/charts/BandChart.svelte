<script lang="ts">
  import { say } from '../say';
  import { hertz, outline, type Band } from './bands';

  interface Props {
    bands: Band[];
    side: 'before' | 'after';
    /** Frequencies to mark, with a word. */
    marks: { hz: number; words: string }[];
    unit: string;
  }
  let { bands, side, marks, unit }: Props = $props();

  const W = 420;
  const H = 96;
  const LEFT = 40;
  const RIGHT = 14;
  const drawn = $derived(outline(bands, W - LEFT - RIGHT, H));
  const loudest = $derived(
    bands.reduce((a, b) => (b.level_db > a.level_db ? b : a), bands[0] ?? { centre_hz: 0, level_db: 0 }),
  );
  const placed = $derived(
    marks
      .filter((m) => bands.length > 1 && m.hz > 0)
      .map((m) => {
        const lowest = Math.log2(bands[0]?.centre_hz ?? 1);
        const highest = Math.log2(bands.at(-1)?.centre_hz ?? 2);
        const share = (Math.log2(m.hz) - lowest) / (highest - lowest);
        return { ...m, x: LEFT + Math.min(1, Math.max(0, share)) * (W - LEFT - RIGHT) };
      }),
  );
</script>

<svg
  viewBox="0 0 {W} {H + 44}"
  role="img"
  aria-label={say('band-chart-third-octaves-highest-at', {
    centre_hz: hertz(loudest.centre_hz),
    level_db: loudest.level_db.toFixed(0),
    unit,
  })}
>
  <g transform="translate(0 18)">
    {#each drawn.ticks as t (t.db)}
      <path class="grid" d="M{LEFT} {t.y}H{W - RIGHT}" />
      <text class="tick" x={LEFT - 6} y={t.y + 5} text-anchor="end">{t.db}</text>
    {/each}
    <path
      class="steps {side}"
      d="M{LEFT} {H}{drawn.points.map(([x, y]) => `L${LEFT + x} ${y}`).join('')}L{W - RIGHT} {H}"
    />
    <path class="axis" d="M{LEFT} {H}H{W - RIGHT}" />
    {#each drawn.names as n (n.words)}
      <text class="tick" x={LEFT + n.x} y={H + 18} text-anchor="middle">{n.words}</text>
    {/each}
    {#each placed as m (m.words)}
      <path class="mark" d="M{m.x} 0V{H}" />
      <text class="word" x={m.x} y="-6" text-anchor={m.x > W - 60 ? 'end' : 'middle'}>{m.words}</text>
    {/each}
  </g>
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    height: auto;
  }
  .grid {
    stroke: var(--rule);
  }
  .axis {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .tick,
  .word {
    font-size: 13px;
    fill: var(--soft);
  }
  .word {
    fill: var(--ink);
  }
  .steps {
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .steps.before {
    fill: var(--before-tint);
    stroke: var(--before);
    stroke-dasharray: 7 4;
  }
  .steps.after {
    fill: var(--after-tint);
    stroke: var(--after);
  }
  .mark {
    stroke: var(--ink);
    stroke-dasharray: 1 4;
    stroke-width: 1.4;
    stroke-linecap: round;
  }
</style>
