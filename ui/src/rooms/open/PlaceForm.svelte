<script lang="ts">
  // What the next tap puts: class of a screw and what it holds, or which plug.
  import { benchWords } from '../../lib/bench/bench.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import type { PlaceDraft } from './place';

  interface Props {
    draft: PlaceDraft;
    kind: 'screw' | 'plug';
  }
  let { draft = $bindable(), kind }: Props = $props();
  const table = $derived(benchWords.table);
  const options = (rows: { name: string; words: string }[] | undefined) =>
    (rows ?? []).map((r) => ({ value: r.name, label: r.words }));
</script>

<div class="form">
  {#if kind === 'screw'}
    <Pick label="Holds the" name="holds" options={options(table?.screw_groups)} bind:value={draft.screwHolds} />
    <TextField label="Length" name="length_mm" numeric unit="mm" bind:value={draft.length} />
    <Pick label="Drive" name="drive" options={options(table?.drives)} bind:value={draft.drive} />
    <Pick label="Head" name="head" options={options(table?.heads)} bind:value={draft.head} />
    <TextField label="Printed number" name="number" numeric bind:value={draft.number} hint="counts on by itself" />
  {:else}
    <Pick label="Plug of the" name="plug" options={options(table?.plug_parts)} bind:value={draft.plugHolds} />
    <TextField label="Which, if there are several" name="note" bind:value={draft.note} hint="white antenna" />
  {/if}
</div>
<p class="quiet">Now tap the map, once for each.</p>

<style>
  .form {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
    gap: var(--gap-3);
  }
  p {
    margin: var(--gap-1) 0 var(--gap-2);
  }
</style>
