<script lang="ts">
  import type { Schemas } from '../../lib/api';

  interface Props {
    conditions: Schemas['ConditionOut'][];
  }
  let { conditions }: Props = $props();
  const ORDER = ['forbids', 'noted', 'corrected', 'same', 'unknown'];
  const rows = $derived([...conditions].sort((a, b) => ORDER.indexOf(a.bearing) - ORDER.indexOf(b.bearing)));
</script>

<table>
  <thead>
    <tr
      ><th scope="col">Condition</th><th scope="col" class="before">before</th><th scope="col" class="after">after</th
      ><th scope="col">so it is</th></tr
    >
  </thead>
  <tbody>
    {#each rows as c (c.condition)}
      <tr class={c.bearing}>
        <th scope="row">{c.words}</th>
        <td>{c.before ?? '–'}</td>
        <td>{c.after ?? '–'}</td>
        <td>{c.bearing}</td>
      </tr>
    {/each}
  </tbody>
</table>

<style>
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    padding: var(--gap-1) var(--gap-3) var(--gap-1) 0;
    border-bottom: 1px solid var(--rule);
    text-align: left;
    vertical-align: top;
    font-weight: 400;
  }
  thead th {
    font-size: var(--size-0);
  }
  thead th:not(.before, .after),
  tbody th,
  .unknown td {
    color: var(--soft);
  }
  .forbids > * {
    color: var(--halt);
    font-weight: 620;
  }
</style>
