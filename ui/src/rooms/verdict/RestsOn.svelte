<script lang="ts">
  // What the answer rests on: what could carry it and is not sure stands first, with the one thing to do.
  import { say } from '$words/page-job.ftl';
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

<DataTable>
  <thead>
    <tr
      ><th scope="col">{say('rests-on-assumed')}</th><th scope="col">{say('rests-on-known')}</th><th scope="col"
        >{say('rests-on-why')}</th
      ></tr
    >
  </thead>
  <tbody>
    {#each rows as a (a.name)}
      <tr class:carries={a.carries}>
        <th scope="row">{a.words}</th>
        <td class="standing">{a.standing_words}</td>
        <td
          >{a.why}
          {#if a.carries}<strong>{a.remedy}</strong>{/if}</td
        >
      </tr>
    {/each}
  </tbody>
</DataTable>

<style>
  .carries .standing {
    color: var(--care);
    font-weight: 620;
  }
  .standing {
    white-space: nowrap;
  }
</style>
