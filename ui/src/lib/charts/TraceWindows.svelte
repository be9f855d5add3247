<script lang="ts">
  // Below a trace: the stretch that its figures are taken from, a row a side.
  import { say } from '../say';
  import type { Box, Line, Scales } from './scales';

  interface Props {
    lines: Line[];
    scales: Scales;
    box: Box;
    shown: (line: Line) => [number, number] | null;
    y: (row: number) => number;
  }
  let { lines, scales, box, shown, y }: Props = $props();
  const inside = (t: number): number => Math.min(box.width - box.right, Math.max(box.left, scales.x(t)));
</script>

{#each lines as l, row (l.side)}
  {@const stretch = shown(l)}
  {#if stretch}
    {@const from = inside(stretch[0])}
    {@const wide = Math.max(2, inside(stretch[1]) - from)}
    <rect class="window {l.side}" x={from} y={y(row)} width={wide} height="18" />
    {#if wide > 250}
      <text class="label {l.side}" x={from + wide / 2} y={y(row) + 13.5} text-anchor="middle"
        >{say('trace-chart-figures-from-this-stretch', { side: l.name })}</text
      >
    {/if}
  {/if}
{/each}

<style>
  .label {
    font-size: 13px;
  }
  .window {
    stroke-width: 1.5;
  }
  .window.before {
    fill: none;
    stroke: var(--before);
    stroke-dasharray: 7 4;
  }
  .window.after {
    fill: var(--after);
    stroke: var(--after);
  }
  text.before {
    fill: var(--before);
  }
  text.after {
    fill: var(--paper);
  }
</style>
