<script lang="ts">
  import { say } from '$words/page-open.ftl';
  // What the next tap puts: class of a screw and what it holds, or which plug.
  import { benchWords } from '../../lib/bench/bench.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import type { PlaceDraft, PlaceKind } from './place';

  interface Props {
    draft: PlaceDraft;
    kind: PlaceKind;
  }
  let { draft = $bindable(), kind }: Props = $props();
  const table = $derived(benchWords.table);
  const options = (rows: { name: string; words: string }[] | undefined) =>
    (rows ?? []).map((r) => ({ value: r.name, label: r.words }));
</script>

<div class="form">
  {#if kind === 'screw'}
    <Pick
      label={say('place-form-holds')}
      name="holds"
      options={options(table?.screw_groups)}
      bind:value={draft.screwHolds}
    />
    <TextField label={say('place-form-length')} name="length_mm" numeric unit="mm" bind:value={draft.length} />
    <Pick label={say('place-form-drive')} name="drive" options={options(table?.drives)} bind:value={draft.drive} />
    <Pick label={say('place-form-head')} name="head" options={options(table?.heads)} bind:value={draft.head} />
    <TextField
      label={say('place-form-printed-number')}
      name="number"
      numeric
      bind:value={draft.number}
      hint={say('place-form-counts-on-by-itself')}
    />
  {:else if kind === 'pad'}
    <Pick label={say('place-form-pad')} name="pad" options={options(table?.pad_parts)} bind:value={draft.padHolds} />
    <TextField label={say('place-form-gap')} name="gap_mm" numeric unit="mm" bind:value={draft.gap} />
    <TextField
      label={say('place-form-thickness')}
      name="thickness_mm"
      numeric
      unit="mm"
      bind:value={draft.thickness}
      hint={say('place-form-thickness-hint')}
    />
    <TextField label={say('place-form-which-if-there-several')} name="note" bind:value={draft.note} />
  {:else}
    <Pick
      label={say('place-form-plug')}
      name="plug"
      options={options(table?.plug_parts)}
      bind:value={draft.plugHolds}
    />
    <TextField
      label={say('place-form-which-if-there-several')}
      name="note"
      bind:value={draft.note}
      hint={say('place-form-white-antenna')}
    />
  {/if}
</div>
<p class="quiet">{say('place-form-now-tap-map-once')}</p>

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
