<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // Which figure of the runs is looked at: the resistance at first, where the runs have one and no other is asked for.
  import type { Schemas } from '../../lib/api';
  import Pick from '../../lib/parts/Pick.svelte';
  import { figureWords, isMatched } from './figures';

  interface Props {
    found: Schemas['AllRunsOut'];
    value: string;
    /** Whether figures are offered where one of noise and temperature is held. */
    matched?: boolean;
    /** The figure that is looked at first, where the runs have it. */
    first?: string;
  }
  let { found, value = $bindable(), matched = true, first = '' }: Props = $props();
  const offered = $derived(found.figures.filter((f) => matched || !isMatched(f)));
  const usual = $derived(
    [first, 'resistance_K_per_W', 'rise_K'].find((f) => found.figures.includes(f)) ?? found.figures[0] ?? '',
  );
  // What is chosen holds as long as the runs have it.
  $effect(() => {
    if (!offered.includes(value)) value = usual;
  });
</script>

<Pick
  label={say('run-list-of')}
  name="value"
  bind:value
  options={offered.map((f) => ({ value: f, label: figureWords(f) }))}
/>
