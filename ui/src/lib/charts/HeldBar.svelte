<script lang="ts">
  // A stretch in which heat held the device back.
  interface Props {
    side: 'before' | 'after' | undefined;
    x?: number;
    y?: number;
    width: number;
    height: number;
  }
  let { side, x = 0, y = 0, width, height }: Props = $props();
</script>

<rect class={side} {x} {y} {width} {height} />

<style>
  rect {
    opacity: 0.55;
  }
  .before {
    fill: var(--before);
  }
  .after {
    fill: var(--after);
  }
</style>
