<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import DataTable from '../parts/DataTable.svelte';
  import type { Schemas } from '../api';

  interface Props {
    conditions: Schemas['ConditionOut'][];
  }
  let { conditions }: Props = $props();
  const ORDER = ['forbids', 'noted', 'corrected', 'same', 'unknown'];
  const rows = $derived([...conditions].sort((a, b) => ORDER.indexOf(a.bearing) - ORDER.indexOf(b.bearing)));
</script>

<DataTable
  {rows}
  key={(c) => c.condition}
  rowIs={(c) => c.bearing}
  columns={[
    { head: say('condition-table-condition'), name: true, text: (c) => c.words },
    { head: say('condition-table-before'), is: 'before', text: (c) => c.before ?? '–' },
    { head: say('condition-table-after'), is: 'after', text: (c) => c.after ?? '–' },
    { head: say('condition-table-so'), text: (c) => c.bearing_words },
  ]}
/>

<style>
  :global(tr.unknown > td) {
    color: var(--soft);
  }
  :global(tr.forbids > *) {
    color: var(--halt);
    font-weight: 620;
  }
</style>
