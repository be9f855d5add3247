<script lang="ts">
  import { say } from './words';
  // Which figure of the runs is looked at: the resistance at first, where the runs have one.
  import type { Schemas } from '../../lib/api';
  import Pick from '../../lib/parts/Pick.svelte';
  import { FIGURES, ROLES } from '../../lib/words';

  interface Props {
    found: Schemas['AllRunsOut'];
    value: string;
  }
  let { found, value = $bindable() }: Props = $props();
  const usual = $derived(
    ['resistance_K_per_W', 'rise_K'].find((f) => found.figures.includes(f)) ?? found.figures[0] ?? '',
  );
  // What is chosen holds as long as the runs have it.
  $effect(() => {
    if (!found.figures.includes(value)) value = usual;
  });
</script>

<Pick
  label={say('run-list-of')}
  name="value"
  bind:value
  options={found.figures.map((f) => ({ value: f, label: FIGURES[f] ?? ROLES[f] ?? f }))}
/>
