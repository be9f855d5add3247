<script lang="ts">
  import { say } from '$words/page-true-drop.ftl';
  import type { Schemas } from '../api';
  import { fixed } from '../format';
  import TrueSized from './TrueSized.svelte';

  interface Props {
    drop: Schemas['Drop'];
    widthMm: number;
    lengthMm: number;
  }
  let { drop, widthMm, lengthMm }: Props = $props();
  const long = $derived(Math.max(widthMm, lengthMm));
  const short = $derived(Math.min(widthMm, lengthMm));
  const strokes = $derived.by(() => {
    const half = drop.stroke_mm / 2;
    if (drop.strokes === 1) return [[-half, 0, half, 0]] as const;
    const size = Math.hypot(long, short);
    const [x, y] = [(half * long) / size, (half * short) / size];
    return [
      [-x, -y, x, y],
      [-x, y, x, -y],
    ] as const;
  });
  const words = $derived(
    drop.school === 'film'
      ? say('true-drop-put-drop-mm-on', { diameter_mm: fixed(drop.diameter_mm, 1) })
      : drop.school === 'bead'
        ? say('true-drop-bead-mm-in-middle', { diameter_mm: fixed(drop.diameter_mm, 1) })
        : say('true-drop-mm-mm-thick', {
            strokes: drop.strokes,
            stroke_mm: fixed(drop.stroke_mm, 0),
            diameter_mm: fixed(drop.diameter_mm, 1),
          }),
  );
</script>

<TrueSized
  widthMm={long}
  lengthMm={short}
  label={say('true-drop-on-die-mm', { words, width_mm: fixed(widthMm, 1), length_mm: fixed(lengthMm, 1) })}
  words="{words}."
>
  <rect class="die" x={-long / 2} y={-short / 2} width={long} height={short} rx="0.6" />
  {#if drop.strokes}
    {#each strokes as [x1, y1, x2, y2] (`${y1}:${y2}`)}
      <line class="paste" {x1} {y1} {x2} {y2} stroke-width={drop.diameter_mm} />
    {/each}
  {:else}
    <circle class="drop" r={drop.diameter_mm / 2} />
  {/if}
</TrueSized>

<style>
  .die {
    fill: var(--well);
    stroke: var(--ink);
    stroke-width: 0.3;
  }
  .paste {
    stroke: var(--after);
    stroke-linecap: round;
  }
  .drop {
    fill: var(--after);
  }
</style>
