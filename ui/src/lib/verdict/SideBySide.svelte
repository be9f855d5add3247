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

<DataTable>
  <thead>
    <tr>
      <td></td>
      {#each numbers as number (number)}
        <th scope="col"
          >{say('attempts-number', { number })}
          {#if number === current}<small>{say('attempts-current')}</small>{/if}</th
        >
      {/each}
    </tr>
  </thead>
  <tbody>
    {#each rows as row, at (at)}
      <tr>
        <th scope="row">{row.words}</th>
        {#each row.cells as cell, i (i)}<td>{cell || '–'}</td>{/each}
      </tr>
    {/each}
  </tbody>
</DataTable>

<style>
  small {
    color: var(--soft);
    font-weight: 400;
  }
  td,
  th {
    vertical-align: top;
  }
</style>
