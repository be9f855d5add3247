<script lang="ts">
  import { say } from '$words/page-devices.ftl';
  // Resistance over the visits: as it came in hollow, as it went out solid, each with its U; the drift, and its limit.
  import { linear } from '../../lib/charts/linear';
  import type { Schemas } from '../../lib/api';
  import { day, fixed } from '../../lib/format';

  interface Props {
    device: Schemas['DeviceOut'];
  }
  let { device }: Props = $props();
  const HEIGHT = 260;
  const BOX = { left: 48, right: 16, top: 30, bottom: 44 };
  let width = $state(760);

  const points = $derived(
    device.visits.flatMap((v) =>
      (['before', 'after'] as const).flatMap((side) => {
        const f = v[side];
        return f ? [{ side, months: v.months, on: v.on, value: f.resistance_k_per_w, u95: f.u95_k_per_w }] : [];
      }),
    ),
  );
  const last = $derived(Math.max(...device.visits.map((v) => v.months), 1));
  const limit = $derived(device.limit_k_per_w);
  const ahead = $derived(device.drift?.months_to_limit ?? null);
  const end = $derived(ahead !== null && ahead < 2 * last ? last + ahead : last);
  const x = $derived(linear([-0.02 * end, end * 1.03], [BOX.left, width - BOX.right]));
  const top = $derived(
    Math.max(...points.map((p) => p.value + p.u95), limit !== null && ahead !== null ? limit : 0, 0.1),
  );
  const y = $derived(linear([0, top * 1.08], [HEIGHT - BOX.bottom, BOX.top], 4));
  // The line of the drift begins at the last service that a later visit looked at.
  const line = $derived.by(() => {
    const drift = device.drift;
    if (!drift?.shown) return null;
    const from = [...points].reverse().find((p) => p.side === 'after' && points.some((q) => q.months > p.months));
    if (!from) return null;
    const to = ahead !== null ? end : last;
    return { x1: from.months, y1: from.value, x2: to, y2: from.value + drift.slope_k_per_w_month * (to - from.months) };
  });
  const words = $derived(
    say('devices-chart', {
      months: fixed(last, 0),
      points: points
        .map((p) =>
          say('devices-chart-point', {
            side: p.side,
            day: day(p.on),
            value: fixed(p.value, 2),
            u95: fixed(p.u95, 2),
          }),
        )
        .join(', '),
    }),
  );
</script>

<div bind:clientWidth={width}>
  <svg viewBox="0 0 {width} {HEIGHT}" role="img" aria-label={words}>
    {#each y.ticks(4) as tick (tick)}
      <path class="grid" d="M{BOX.left} {y(tick)}H{width - BOX.right}" />
      <text class="tick end" x={BOX.left - 8} y={y(tick) + 4}>{fixed(tick, 1)}</text>
    {/each}
    {#each x.ticks(6).filter((t) => t >= 0) as tick (tick)}
      <text class="tick middle" x={x(tick)} y={HEIGHT - BOX.bottom + 18}>{tick}</text>
    {/each}
    <text class="tick end" x={width - BOX.right} y={HEIGHT - 4}>{say('devices-months')}</text>
    <text class="tick" x={0} y={14}>{say('devices-k-per-w')}</text>
    {#if limit !== null && limit <= y.domain()[1]}
      <path class="limit" d="M{BOX.left} {y(limit)}H{width - BOX.right}" />
      <text class="tick end care" x={width - BOX.right} y={y(limit) - 6}
        >{say('devices-limit', { limit: fixed(limit, 2) })}</text
      >
    {/if}
    {#if line}<path class="drift" d="M{x(line.x1)} {y(line.y1)}L{x(line.x2)} {y(line.y2)}" />{/if}
    {#each points as p, at (at)}
      {@const shift = p.side === 'before' ? -5 : 5}
      <g class={p.side} transform="translate({shift} 0)">
        <path class="bar" d="M{x(p.months)} {y(p.value - p.u95)}V{y(p.value + p.u95)}" />
        <circle cx={x(p.months)} cy={y(p.value)} r="6" />
      </g>
    {/each}
  </svg>
</div>

<style>
  svg {
    display: block;
    width: 100%;
    height: auto;
  }
  .grid {
    stroke: var(--rule);
  }
  .tick {
    fill: var(--soft);
    font-size: 13px;
    font-variant-numeric: tabular-nums;
  }
  .end {
    text-anchor: end;
  }
  .middle {
    text-anchor: middle;
  }
  .care {
    fill: var(--care);
  }
  .limit {
    fill: none;
    stroke: var(--care);
    stroke-dasharray: 2 5;
    stroke-width: 2;
  }
  .drift {
    fill: none;
    stroke: var(--owl);
    stroke-dasharray: 8 5;
    stroke-width: 2;
  }
  .bar {
    stroke-width: 2;
  }
  .before {
    fill: var(--paper);
    stroke: var(--before);
    stroke-width: 2.5;
  }
  .after {
    fill: var(--after);
    stroke: var(--after);
    stroke-width: 2.5;
  }
</style>
