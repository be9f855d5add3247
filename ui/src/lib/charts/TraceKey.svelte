<script lang="ts">
  // What the lines of a trace chart are.
  import { say } from '../say';
  import HeldBar from './HeldBar.svelte';
  import type { Line } from './scales';
  import TraceLine from './TraceLine.svelte';

  interface Props {
    lines: Line[];
  }
  let { lines }: Props = $props();
</script>

<span class="key">
  {#each lines as l (l.side)}
    <span>
      <svg viewBox="0 0 34 8" width="34" height="8" aria-hidden="true"><TraceLine side={l.side} d="M1 4h32" /></svg>
      {l.name}
    </span>
  {/each}
  {#if lines.some((l) => l.held.length)}
    <span class="quiet">
      <svg viewBox="0 0 24 8" width="24" height="8" aria-hidden="true"
        ><HeldBar side={lines[0]?.side} width={24} height={8} /></svg
      >
      {say('trace-chart-held-back-by-heat')}
    </span>
  {/if}
</span>

<style>
  .key {
    display: flex;
    gap: var(--gap-4);
  }
  svg {
    vertical-align: middle;
  }
</style>
