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
</script>

<DataTable>
  <thead>
    <tr>
      <th scope="col">{say('run-list-place')}</th>
      <th scope="col">{FACTORS[factor]}</th>
      <th scope="col" class="number">{say('run-list-mean')}</th>
      <td></td>
      <th scope="col" class="number">{say('run-list-runs')}</th>
    </tr>
  </thead>
  <tbody>
    {#each ranking.groups as g (g.group)}
      <tr>
        <td class="place">{g.place ?? say('run-list-no-place')}</td>
        <th scope="row"
          >{levelWords(factor, g.group)}
          {#if g.ties_with.length}<small
              >{say('run-list-tie', { names: g.ties_with.map((t) => levelWords(factor, t)).join(', ') })}</small
            >{/if}</th
        >
        <td class="number">{written(g.mean)}{g.u95 === null ? '' : ` ± ${written(g.u95)}`} {unit}</td>
        <td class="drawn">
          <svg viewBox="0 0 200 26" preserveAspectRatio="none" aria-hidden="true">
            <rect x="0" y="6" width={Math.max(0, (g.mean / reach) * 196)} height="14" />
            {#if g.u95 !== null}
              <path
                d="M{((g.mean - g.u95) / reach) * 196} 13H{((g.mean + g.u95) / reach) * 196}M{((g.mean - g.u95) /
                  reach) *
                  196} 8v10M{((g.mean + g.u95) / reach) * 196} 8v10"
              />
            {/if}
          </svg>
        </td>
        <td class="number">{g.n}</td>
      </tr>
    {/each}
  </tbody>
</DataTable>

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
  .drawn {
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
