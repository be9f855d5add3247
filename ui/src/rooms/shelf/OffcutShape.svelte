<script lang="ts">
  import { say } from '$words/page-shelf.ftl';
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';

  interface Props {
    offcut: Schemas['OffcutOut'];
    onremove: () => void;
  }
  let { offcut, onremove }: Props = $props();
  const scale = $derived(Math.min(92 / offcut.width_mm, 70 / offcut.length_mm));
  const free = $derived(`${fixed(offcut.largest.width_mm, 0)} × ${fixed(offcut.largest.length_mm, 0)} mm`);
</script>

<figure>
  <svg
    viewBox="-0.5 -0.5 {offcut.width_mm + 1} {offcut.length_mm + 1}"
    width={offcut.width_mm * scale}
    height={offcut.length_mm * scale}
    role="img"
    aria-label={say('offcut-shape-offcut-largest-piece', { number: offcut.number, free })}
  >
    <rect class="sheet" width={offcut.width_mm} height={offcut.length_mm} />
    {#each offcut.taken as t, i (i)}
      <rect class="hole" x={t.x_mm} y={t.y_mm} width={t.width_mm} height={t.length_mm} />
    {/each}
  </svg>
  <figcaption>
    <span><strong>{say('offcut-shape-no', { number: offcut.number })}</strong><br />{free}</span>
    <Button kind="bare" label={say('offcut-shape-throw-offcut-away', { number: offcut.number })} onclick={onremove}
      >✕</Button
    >
  </figcaption>
</figure>

<style>
  figure {
    margin: 0;
  }
  .sheet {
    fill: var(--after-tint);
    stroke: var(--after);
    stroke-width: 1.5px;
    vector-effect: non-scaling-stroke;
  }
  .hole {
    fill: var(--sheet);
    stroke: var(--after);
    stroke-width: 1px;
    vector-effect: non-scaling-stroke;
  }
  figcaption {
    display: flex;
    align-items: center;
    font-size: var(--size-0);
    line-height: 1.25;
  }
</style>
