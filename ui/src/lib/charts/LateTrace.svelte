<script lang="ts">
  // The trace explorer, whose script comes after the figures: its place is kept, so that nothing below moves.
  import type { ComponentProps } from 'svelte';
  import Late from '../parts/Late.svelte';
  import type TraceExplorer from './TraceExplorer.svelte';

  type Given = ComponentProps<typeof TraceExplorer>;
  let given: Given = $props();
  // The choice of channels, the chart of watts and the key below the first chart [px].
  const BELOW_PX = 190;
  const explorer = () => import('./TraceExplorer.svelte');
</script>

<div style:min-height="{(given.height ?? 250) + (given.pickable === false ? 0 : BELOW_PX)}px">
  <Late load={explorer} {given} />
</div>
