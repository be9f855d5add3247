<script lang="ts">
  // What a trace tells beside its line: held stretches, phases of load, and moments with a word.
  import HeldBar from './HeldBar.svelte';
  import type { Box, Line, Scales } from './scales';

  interface Props {
    lines: Line[];
    scales: Scales;
    box: Box;
  }
  let { lines, scales, box }: Props = $props();
  const uid = $props.id();
  const floor = $derived(box.height - box.bottom);
  // Two runs over each other have moments of their own; only one alone is told in words.
  const alone = $derived(lines.length === 1 ? lines[0] : undefined);
  const right = $derived(box.width - box.right);
  const inside = (t: number): number => Math.min(right, Math.max(box.left, scales.x(t)));
  const wide = (from: number, to: number): number => Math.max(1, scales.x(to) - scales.x(from));
</script>

<pattern id="lean-{uid}" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
  <path class="lean" d="M0 0V7" />
</pattern>
{#each lines as l (l.side)}
  {#each l.held as [from, to] (from)}
    {#if alone}
      <rect
        fill="url(#lean-{uid})"
        x={scales.x(from)}
        y={box.top}
        width={wide(from, to)}
        height={Math.max(0, floor - box.top)}
      />
    {/if}
    <HeldBar
      side={l.side}
      x={scales.x(from)}
      y={floor - (l.side === 'before' ? 9 : 18)}
      width={wide(from, to)}
      height={7}
    />
  {/each}
{/each}
{#each alone?.phases ?? [] as p (p.from)}
  {@const from = inside(p.from)}
  {@const width = inside(p.to) - from}
  <path class="phase" d="M{from + 2} 33v-7h{Math.max(0, width - 4)}v7" />
  {#if width > 78}<text x={from + width / 2} y="42" text-anchor="middle">{p.words}</text>{/if}
{/each}
{#each alone?.marks ?? [] as m (m.words)}
  {@const late = scales.x(m.at) > box.width - 90}
  <path class="moment" d="M{scales.x(m.at)} 20V{floor}" />
  <text x={scales.x(m.at) + (late ? -6 : 6)} y="15" text-anchor={late ? 'end' : 'start'}>{m.words}</text>
{/each}

<style>
  .lean {
    stroke: var(--edge);
    stroke-width: 1.4;
    opacity: 0.5;
  }
  .phase {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .moment {
    stroke: var(--ink);
    stroke-width: 1.2;
    stroke-dasharray: 1 4;
    stroke-linecap: round;
  }
  text {
    fill: var(--ink);
    font-size: 13px;
  }
</style>
