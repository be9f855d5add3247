<script lang="ts">
  import { say } from '$words/page-models.ftl';
  // What the shop's own services tell of models or materials: with how many cases, and nothing below three.
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import DataTable from '../../lib/parts/DataTable.svelte';

  interface Props {
    heading: string;
    rows: Schemas['KnownOut'][];
    least: number;
  }
  let { heading, rows, least }: Props = $props();
  type Spread = Schemas['Spread'] | null;

  const few = (n: number) => (n ? say('known-few', { n, least }) : '–');
  const spread = (found: Spread, digits: number) =>
    found &&
    say('known-spread', {
      median: fixed(found.median, digits),
      low: fixed(found.low, digits),
      high: fixed(found.high, digits),
      n: found.n,
    });

  function lasts(row: Schemas['KnownOut']): string {
    const found = row.lasts;
    if (!found) return few(row.looked_again);
    if (found.median_months === null) return say('known-lasts-beyond', { n: found.n, gone: found.gone });
    return say('known-lasts', {
      n: found.n,
      gone: found.gone,
      median: fixed(found.median_months, 0),
      low: found.low_months === null ? '?' : fixed(found.low_months, 0),
      high: found.high_months === null ? '?' : fixed(found.high_months, 0),
    });
  }
</script>

<section>
  <h2>{heading}</h2>
  <DataTable>
    <thead>
      <tr>
        <td></td>
        <th scope="col" class="number">{say('known-services')}</th>
        <th scope="col">{say('known-gain')}</th>
        <th scope="col">{say('known-minutes')}</th>
        <th scope="col">{say('known-promise')}</th>
        <th scope="col">{say('known-lasting')}</th>
      </tr>
    </thead>
    <tbody>
      {#each rows as row (row.words)}
        <tr>
          <th scope="row">{row.words}</th>
          <td class="number">{row.jobs}</td>
          <td>{spread(row.gain_k_per_w, 2) ?? few(row.jobs)}</td>
          <td>{spread(row.minutes, 0) ?? '–'}</td>
          <td
            >{row.promised >= least
              ? say('known-kept', { kept: row.kept, promised: row.promised })
              : few(row.promised)}</td
          >
          <td>{lasts(row)}</td>
        </tr>
      {/each}
    </tbody>
  </DataTable>
</section>

<style>
  section {
    margin-top: var(--gap-6);
  }
  h2 {
    margin: 0 0 var(--gap-2);
    font-size: var(--size-3);
  }
</style>
