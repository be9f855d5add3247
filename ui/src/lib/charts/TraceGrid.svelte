<script lang="ts">
  // Ticks, lines and axis of a trace chart.
  import { say } from '../say';
  import type { Box, Scales } from './scales';

  interface Props {
    scales: Scales;
    box: Box;
    unit: string;
  }
  let { scales, box, unit }: Props = $props();
  const floor = $derived(box.height - box.bottom);
</script>

{#each scales.y.ticks(box.height > 200 ? 5 : 3) as v (v)}
  <path class="grid" d="M{box.left} {scales.y(v)}H{box.width - box.right}" />
  <text x={box.left - 8} y={scales.y(v) + 5} text-anchor="end">{v}</text>
{/each}
<text x={box.left - 8} y={14} text-anchor="end">{unit}</text>
{#each scales.minutes as m (m)}
  <path class="axis" d="M{scales.x(m * 60)} {floor}v5" />
  <text x={scales.x(m * 60)} y={floor + 20} text-anchor="middle"
    >{m === 0 ? say('trace-chart-load-on') : `${m} min`}</text
  >
{/each}
<path class="axis" d="M{box.left} {floor}H{box.width - box.right}" />

<style>
  .grid {
    stroke: var(--rule);
  }
  .axis {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  text {
    fill: var(--soft);
    font-size: 14px;
  }
</style>
