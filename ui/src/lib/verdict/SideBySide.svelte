<script lang="ts">
  import { say } from '$words/page-attempts.ftl';
  // Attempts of a visit beside each other, a column each.
  import type { Schemas } from '../api';
  import DataTable from '../parts/DataTable.svelte';

  interface Props {
    rows: Schemas['Row'][];
    /** Number of the attempt on the bench, or null where that is no matter. */
    current?: number | null;
  }
  let { rows, current = null }: Props = $props();
  const numbers = $derived((rows[0]?.cells ?? []).map((_, i) => i + 1));
</script>

<DataTable
  {rows}
  key={(row) => row.words}
  columns={[
    { head: '', name: true, text: (row) => row.words },
    ...numbers.map((number, i) => ({
      head: say('attempts-number', { number }),
      unit: number === current ? say('attempts-current') : '',
      text: (row: (typeof rows)[number]) => row.cells[i] || '–',
    })),
  ]}
/>
