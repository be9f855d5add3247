<script lang="ts">
  // What the answer rests on: what could carry it and is not sure stands first, with the one thing to do.
  import { say } from '$words/page-verdict.ftl';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import type { Schemas } from '../../lib/api';

  interface Props {
    assumptions: Schemas['AssumptionOut'][];
  }
  let { assumptions }: Props = $props();
  const ORDER = ['doubtful', 'unknown', 'noted', 'checked'];
  const rank = (a: Schemas['AssumptionOut']) => (a.carries ? 0 : 10) + ORDER.indexOf(a.standing);
  const rows = $derived([...assumptions].sort((a, b) => rank(a) - rank(b)));
</script>

{#snippet standing(a: (typeof rows)[number])}<span class="standing" class:carries={a.carries}>{a.standing_words}</span
  >{/snippet}
{#snippet why(a: (typeof rows)[number])}
  {a.why}
  {#if a.carries}<strong>{a.remedy}</strong>{/if}
{/snippet}
<DataTable
  {rows}
  key={(a) => a.name}
  rowIs={(a) => (a.carries ? 'carries' : '')}
  columns={[
    { head: say('rests-on-assumed'), name: true, text: (a) => a.words },
    { head: say('rests-on-known'), cell: standing },
    { head: say('rests-on-why'), cell: why },
  ]}
/>

<style>
  .carries {
    color: var(--care);
    font-weight: 620;
  }
  .standing {
    white-space: nowrap;
  }
</style>
