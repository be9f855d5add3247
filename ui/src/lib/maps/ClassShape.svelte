<script lang="ts">
  // The mark of a screw class: its shape with its letter inside. Shape and letter tell, not colour.
  interface Props {
    shape: string;
    letter: string;
    r?: number;
    x?: number;
    y?: number;
    filled?: boolean;
  }
  let { shape, letter, r = 20, x = 0, y = 0, filled = false }: Props = $props();
  const PATHS: Record<string, string> = {
    square: 'M-.86-.86H.86V.86H-.86Z',
    triangle: 'M0-1.12L1.06.78H-1.06Z',
    diamond: 'M0-1.14L1.14 0L0 1.14L-1.14 0Z',
    bar: 'M-1.2-.66H1.2V.66H-1.2Z',
    hexagon: 'M-.55-.95H.55L1.1 0L.55.95H-.55L-1.1 0Z',
    cross: 'M-.45-1.05H.45V-.45H1.05V.45H.45V1.05H-.45V.45H-1.05V-.45H-.45Z',
    drop: 'M0-1.25Q.95-.2.9.3A.9.9 0 0 1-.9.3Q-.95-.2 0-1.25Z',
  };
  const path = $derived(PATHS[shape]);
</script>

<g transform="translate({x} {y})" class:filled>
  {#if path}
    <path d={path} transform="scale({r})" />
  {:else}
    <circle {r} />
  {/if}
  <text y={shape === 'triangle' ? r * 0.48 : r * 0.38} font-size={r * 1.1}>{letter}</text>
</g>

<style>
  path,
  circle {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2.5px;
    vector-effect: non-scaling-stroke;
  }
  text {
    fill: var(--ink);
    font-weight: 720;
    text-anchor: middle;
  }
  .filled path,
  .filled circle {
    fill: var(--ink);
  }
  .filled text {
    fill: var(--paper);
  }
</style>
