<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // Groups in order: places, ties, and bars with their U on one scale.
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import { FACTORS } from '../../lib/words';
  import { digitsOf, levelWords, unitOf } from './figures';

  interface Props {
    ranking: Schemas['RankingOut'];
    factor: string;
    value: string;
  }
  let { ranking, factor, value }: Props = $props();
  const unit = $derived(unitOf(value));
  const written = (v: number) => fixed(v, digitsOf(value));
  const reach = $derived(Math.max(...ranking.groups.map((g) => g.mean + (g.u95 ?? 0)), 1e-9));
  type Group = (typeof ranking.groups)[number];
</script>

{#snippet place(g: Group)}<span class="place">{g.place ?? say('run-list-no-place')}</span>{/snippet}
{#snippet level(g: Group)}
  {levelWords(factor, g.group)}
  {#if g.ties_with.length}<small
      >{say('run-list-tie', { names: g.ties_with.map((t) => levelWords(factor, t)).join(', ') })}</small
    >{/if}
{/snippet}
{#snippet drawn(g: Group)}
  <svg viewBox="0 0 200 26" preserveAspectRatio="none" aria-hidden="true">
    <rect x="0" y="6" width={Math.max(0, (g.mean / reach) * 196)} height="14" />
    {#if g.u95 !== null}
      {@const [low, high] = [((g.mean - g.u95) / reach) * 196, ((g.mean + g.u95) / reach) * 196]}
      <path d="M{low} 13H{high}M{low} 8v10M{high} 8v10" />
    {/if}
  </svg>
{/snippet}
<DataTable
  rows={ranking.groups}
  key={(g) => g.group}
  columns={[
    { head: say('run-list-place'), cell: place },
    { head: FACTORS[factor] ?? '', name: true, cell: level },
    {
      head: say('run-list-mean'),
      is: 'number',
      text: (g) => `${written(g.mean)}${g.u95 === null ? '' : ` ± ${written(g.u95)}`} ${unit}`,
    },
    { head: '', is: 'drawn', cell: drawn },
    { head: say('run-list-runs'), is: 'number', text: (g) => g.n },
  ]}
/>

<style>
  .place {
    width: 4rem;
    font-size: var(--size-3);
    font-variant-numeric: tabular-nums;
  }
  small {
    display: block;
    color: var(--soft);
    font-weight: 400;
  }
  :global(td.drawn) {
    width: 34%;
  }
  svg {
    display: block;
    width: 100%;
    height: 26px;
  }
  rect {
    fill: var(--after-tint);
    stroke: var(--after);
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    vector-effect: non-scaling-stroke;
  }
</style>
