<script lang="ts">
  // A copper shim on its package, from above and at true size: where the die sits, where bare parts begin, and how far
  // the shim lies from the middle.
  import type { Schemas } from '../api';
  import { fixed } from '../format';
  import { say } from '$words/page-true-drop.ftl';
  import TrueSized from './TrueSized.svelte';

  interface Props {
    spot: Schemas['ShimSpot'];
    /** The shim's middle from the package's, across and along. */
    place: number[];
    words: string;
  }
  let { spot, place, words }: Props = $props();
  const [x, y] = $derived([place[0] ?? 0, place[1] ?? 0]);
  const beside = $derived(spot.neighbours_mm);
  const margin = $derived(beside === null ? 0 : beside + 2);
  const box = (width: number, length: number, atX = 0, atY = 0) => ({
    x: atX - width / 2,
    y: atY - length / 2,
    width,
    height: length,
  });
  const size = (width: number, length: number) => `${fixed(width, 1)} × ${fixed(length, 1)} mm`;
  const label = $derived(
    say('shim-drawing-label', {
      package: size(spot.package_width_mm, spot.package_length_mm),
      die: size(spot.die_width_mm, spot.die_length_mm),
      shim: size(spot.shim_width_mm, spot.shim_length_mm),
      words,
    }),
  );
</script>

<TrueSized
  widthMm={spot.package_width_mm + 2 * margin}
  lengthMm={spot.package_length_mm + 2 * margin}
  {label}
  words={say('shim-drawing-key')}
>
  {#if beside !== null}
    <rect class="beside" {...box(spot.package_width_mm + 2 * beside, spot.package_length_mm + 2 * beside)} />
  {/if}
  <rect class="package" {...box(spot.package_width_mm, spot.package_length_mm)} rx="0.4" />
  <path class="middle" d="M-1.2 0h2.4M0 -1.2v2.4" />
  <rect class="die" {...box(spot.die_width_mm, spot.die_length_mm, spot.offset_x_mm, spot.offset_y_mm)} />
  <rect class="shim" {...box(spot.shim_width_mm, spot.shim_length_mm, x, y)} />
</TrueSized>

<style>
  .package {
    fill: var(--well);
    stroke: var(--soft);
    stroke-width: 0.3;
  }
  .beside {
    fill: none;
    stroke: var(--care);
    stroke-width: 0.3;
    stroke-dasharray: 0.9 0.7;
  }
  .die {
    fill: var(--ink);
    opacity: 0.7;
  }
  .shim {
    fill: none;
    stroke: var(--after);
    stroke-width: 0.5;
  }
  .middle {
    stroke: var(--soft);
    stroke-width: 0.2;
  }
</style>
