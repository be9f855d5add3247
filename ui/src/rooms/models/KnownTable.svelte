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
  <DataTable
    {rows}
    key={(row) => row.words}
    columns={[
      { head: '', name: true, text: (row) => row.words },
      { head: say('known-services'), is: 'number', text: (row) => row.jobs },
      { head: say('known-gain'), text: (row) => spread(row.gain_k_per_w, 2) ?? few(row.jobs) },
      { head: say('known-minutes'), text: (row) => spread(row.minutes, 0) ?? '–' },
      {
        head: say('known-promise'),
        text: (row) =>
          row.promised >= least ? say('known-kept', { kept: row.kept, promised: row.promised }) : few(row.promised),
      },
      { head: say('known-lasting'), text: lasts },
    ]}
  />
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
