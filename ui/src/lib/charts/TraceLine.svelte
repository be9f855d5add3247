<script lang="ts">
  // The line of one side: Before is dashed, so that it is told from After without its colour.
  interface Props {
    side: 'before' | 'after';
    d: string;
  }
  let { side, d }: Props = $props();
</script>

<path class={side} {d} />

<style>
  path {
    fill: none;
    stroke-width: 2.2;
    stroke-linejoin: round;
  }
  .before {
    stroke: var(--before);
    stroke-dasharray: 7 4;
  }
  .after {
    stroke: var(--after);
  }
</style>
