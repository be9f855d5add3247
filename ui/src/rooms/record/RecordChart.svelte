<script lang="ts">
  // Temperature under load, before and after, as the record carries it: two named curves and nothing to press.
  import { say } from '$words/page-record.ftl';
  import type { Schemas } from '../../lib/api';

  interface Props {
    chart: Schemas['Lines'];
  }
  let { chart }: Props = $props();

  let width = $state(720);
  const HEIGHT = 250;
  const [LEFT, RIGHT, TOP, FOOT] = [56, 12, 10, 30];
  const times = $derived([...chart.before.time_s, ...chart.after.time_s]);
  const values = $derived([...chart.before.value_c, ...chart.after.value_c]);
  const from = $derived(Math.min(0, ...times));
  const until = $derived(Math.max(60, ...times));
  const low = $derived(Math.floor(Math.min(...values) / 10) * 10);
  const high = $derived(Math.ceil(Math.max(...values) / 10) * 10);
  const x = $derived((t: number) => LEFT + ((t - from) / (until - from)) * (width - LEFT - RIGHT));
  const y = $derived((v: number) => TOP + (1 - (v - low) / Math.max(10, high - low)) * (HEIGHT - TOP - FOOT));
  const path = $derived((line: Schemas['Line']) =>
    line.time_s.map((t, i) => `${i ? 'L' : 'M'}${x(t).toFixed(1)} ${y(line.value_c[i] ?? 0).toFixed(1)}`).join(''),
  );
  const degrees = $derived(
    Array.from({ length: Math.round((high - low) / 10) + 1 }, (_, i) => low + 10 * i).filter(
      (v) => high - low <= 50 || v % 20 === 0,
    ),
  );
  const step = $derived(
    [60, 120, 300, 600, 1200, 1800, 3600, 7200].find((s) => (until - from) / s <= width / 110) ?? 14400,
  );
  const minutes = $derived(
    Array.from({ length: Math.floor(until / step) + 1 }, (_, i) => i * step).filter((t) => t <= until),
  );
  const half = (line: Schemas['Line']) => Math.floor(line.time_s.length * 0.6);
  // The names stand beside their curves, the hotter one above.
  const names = $derived(
    (['before', 'after'] as const).map((side) => {
      const [line, other] = side === 'before' ? [chart.before, chart.after] : [chart.after, chart.before];
      const at = half(line);
      const [mine, theirs] = [line.value_c[at] ?? low, other.value_c[half(other)] ?? low];
      const above = mine > theirs || (mine === theirs && side === 'before');
      const place = y(mine) + (above ? -9 : 20);
      return { side, x: x(line.time_s[at] ?? 0), y: Math.min(HEIGHT - FOOT - 6, Math.max(TOP + 14, place)) };
    }),
  );
</script>

<figure bind:clientWidth={width}>
  <svg viewBox="0 0 {width} {HEIGHT}" height={HEIGHT} role="img" aria-label={say('record-chart-is')}>
    {#each degrees as v (v)}
      <line x1={LEFT} x2={width - RIGHT} y1={y(v)} y2={y(v)} />
      <text x={LEFT - 8} y={y(v) + 5} text-anchor="end">{say('record-chart-degrees', { value: v })}</text>
    {/each}
    {#each minutes as t (t)}
      <text x={x(t)} y={HEIGHT - 8} text-anchor={t ? 'middle' : 'start'}
        >{t ? say('record-chart-minutes', { minutes: t / 60 }) : say('record-chart-load-on')}</text
      >
    {/each}
    <path class="before" d={path(chart.before)} />
    <path class="after" d={path(chart.after)} />
    {#each names as name (name.side)}
      <text class="name {name.side}" x={name.x} y={name.y} text-anchor="middle"
        >{name.side === 'before' ? say('record-room-before') : say('record-room-now')}</text
      >
    {/each}
  </svg>
</figure>

<style>
  figure {
    margin: var(--gap-4) 0;
  }
  svg {
    display: block;
    width: 100%;
  }
  line {
    stroke: var(--rule);
    stroke-width: 1;
  }
  text {
    fill: var(--soft);
    font-size: 14px;
  }
  path {
    fill: none;
    stroke-width: 2.5;
    stroke-linejoin: round;
  }
  path.before {
    stroke: var(--before);
    stroke-dasharray: 7 4;
  }
  path.after {
    stroke: var(--after);
  }
  .name {
    font-weight: 700;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
  }
  .name.before {
    fill: var(--before);
  }
  .name.after {
    fill: var(--after);
  }
</style>
