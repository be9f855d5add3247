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

<DataTable>
  <thead>
    <tr
      ><th scope="col">{say('condition-table-condition')}</th><th scope="col" class="before"
        >{say('condition-table-before')}</th
      ><th scope="col" class="after">{say('condition-table-after')}</th><th scope="col">{say('condition-table-so')}</th
      ></tr
    >
  </thead>
  <tbody>
    {#each rows as c (c.condition)}
      <tr class={c.bearing}>
        <th scope="row">{c.words}</th>
        <td>{c.before ?? '–'}</td>
        <td>{c.after ?? '–'}</td>
        <td>{c.bearing_words}</td>
      </tr>
    {/each}
  </tbody>
</DataTable>

<style>
  .unknown td {
    color: var(--soft);
  }
  .forbids > * {
    color: var(--halt);
    font-weight: 620;
  }
</style>
