<script lang="ts">
  import { say } from '$words/page-open.ftl';
  // What the next tap puts: class of a screw and what it holds, or which plug.
  import { benchWords } from '../../lib/bench/bench.svelte';
  import type { FieldList } from '../../lib/fields';
  import Fields from '../../lib/parts/Fields.svelte';
  import type { PlaceDraft, PlaceKind } from './place';

  interface Props {
    draft: PlaceDraft;
    kind: PlaceKind;
  }
  let { draft = $bindable(), kind }: Props = $props();
  const table = $derived(benchWords.table);
  const named = (rows: { name: string; words: string }[] | undefined) =>
    (rows ?? []).map((r) => ({ value: r.name, label: r.words }));
  const mm = 'mm';
  const which = { key: 'note', label: say('place-form-which-if-there-several') } as const;
  const FIELDS = $derived({
    screw: [
      {
        key: 'screwHolds',
        name: 'holds',
        kind: 'pick',
        label: say('place-form-holds'),
        options: named(table?.screw_groups),
      },
      { key: 'length', name: 'length_mm', kind: 'number', label: say('place-form-length'), unit: mm },
      { key: 'drive', kind: 'pick', label: say('place-form-drive'), options: named(table?.drives) },
      { key: 'head', kind: 'pick', label: say('place-form-head'), options: named(table?.heads) },
      {
        key: 'number',
        kind: 'whole',
        label: say('place-form-printed-number'),
        hint: say('place-form-counts-on-by-itself'),
      },
    ],
    pad: [
      { key: 'padHolds', name: 'pad', kind: 'pick', label: say('place-form-pad'), options: named(table?.pad_parts) },
      { key: 'gap', name: 'gap_mm', kind: 'number', label: say('place-form-gap'), unit: mm },
      {
        key: 'thickness',
        name: 'thickness_mm',
        kind: 'number',
        label: say('place-form-thickness'),
        unit: mm,
        hint: say('place-form-thickness-hint'),
      },
      which,
    ],
    plug: [
      {
        key: 'plugHolds',
        name: 'plug',
        kind: 'pick',
        label: say('place-form-plug'),
        options: named(table?.plug_parts),
      },
      { ...which, hint: say('place-form-white-antenna') },
    ],
  } as const satisfies Record<PlaceKind, FieldList>);
</script>

<div class="form lay-form"><Fields list={FIELDS[kind]} bind:form={draft} /></div>
<p class="quiet">{say('place-form-now-tap-map-once')}</p>

<style>
  .form {
    --field: 9rem;
  }
  p {
    margin: var(--gap-1) 0 var(--gap-2);
  }
</style>
