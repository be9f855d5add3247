<script lang="ts">
  import { say } from '../say';
  import type { Drawing } from '../api';
  import { fixed } from '../format';

  interface Props {
    drawing: Drawing;
    /** Largest width on the page, in pixels. */
    most?: number;
  }
  let { drawing, most = 360 }: Props = $props();
  const uid = $props.id();
  const scale = $derived(Math.min(6, most / drawing.width_mm, 300 / drawing.length_mm));
  const sheet = $derived(`${fixed(drawing.width_mm, 0)} × ${fixed(drawing.length_mm, 0)} mm`);
  const said = $derived(
    `${drawing.name}, ${sheet}: ${drawing.pieces.length} piece${drawing.pieces.length === 1 ? '' : 's'}`,
  );
</script>

<figure>
  <svg
    viewBox="-0.5 -0.5 {drawing.width_mm + 1} {drawing.length_mm + 1}"
    width={drawing.width_mm * scale}
    height={drawing.length_mm * scale}
    role="img"
    aria-label={said}
  >
    <defs>
      <pattern id="gone-{uid}" width="3" height="3" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line class="hatch" y2="3" />
      </pattern>
    </defs>
    <rect class="sheet" width={drawing.width_mm} height={drawing.length_mm} />
    {#each drawing.taken as { x_mm: x, y_mm: y, width_mm: width, length_mm: height }, i (i)}
      <rect class="taken" {x} {y} {width} {height} fill="url(#gone-{uid})" />
    {/each}
    {#if drawing.kept}
      <rect
        class="kept"
        x={drawing.kept.x_mm}
        y={drawing.kept.y_mm}
        width={drawing.kept.width_mm}
        height={drawing.kept.length_mm}
      />
    {/if}
    {#each drawing.pieces as piece, i (i)}
      {@const { x_mm: x, y_mm: y, width_mm: width, length_mm: height } = piece.box}
      <rect class="piece" {x} {y} {width} {height} />
      {#if width * scale > 34 && height * scale > 16}
        <text x={x + width / 2} y={y + height / 2} font-size={Math.min(11 / scale, width / (piece.label.length * 0.6))}
          >{piece.label}</text
        >
      {/if}
    {/each}
  </svg>
  <figcaption>
    {drawing.name}, {sheet}{#if drawing.kept}<span class="quiet"
        >{say('cut-drawing-stays-mm-and-more', {
          width_mm: fixed(drawing.kept.width_mm, 0),
          length_mm: fixed(drawing.kept.length_mm, 0),
        })}</span
      >{/if}
  </figcaption>
</figure>

<style>
  figure {
    margin: 0;
  }
  svg {
    display: block;
    max-width: 100%;
  }
  .sheet {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 1.5px;
    vector-effect: non-scaling-stroke;
  }
  .taken {
    stroke: var(--edge);
    stroke-width: 1px;
    vector-effect: non-scaling-stroke;
  }
  .hatch {
    stroke: var(--edge);
    stroke-width: 0.5;
  }
  .kept {
    fill: none;
    stroke: var(--owl);
    stroke-width: 1.5px;
    stroke-dasharray: 6 4;
    vector-effect: non-scaling-stroke;
  }
  .piece {
    fill: var(--after-tint);
    stroke: var(--after);
    stroke-width: 1.5px;
    vector-effect: non-scaling-stroke;
  }
  text {
    fill: var(--ink);
    font-family: var(--font-text);
    text-anchor: middle;
    dominant-baseline: central;
  }
  figcaption {
    margin-top: var(--gap-1);
    font-size: var(--size-1);
  }
</style>
