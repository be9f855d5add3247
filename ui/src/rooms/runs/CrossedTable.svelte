<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // Rankings side by side: a row a group, a column a level of a second factor; each column has its own places.
  import type { Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import { FACTORS } from '../../lib/words';
  import { digitsOf, heldWith, levelWords, unitOf } from './figures';

  interface Props {
    crossed: Schemas['CrossedOut'];
    factor: string;
    across: string;
    value: string;
  }
  let { crossed, factor, across, value }: Props = $props();
  const unit = $derived(unitOf(value));
  const written = (v: number) => fixed(v, digitsOf(value));
  const groups = $derived([
    ...new Set(crossed.columns.flatMap((level) => level.ranking?.groups.map((g) => g.group) ?? [])),
  ]);
  const columns = $derived(
    crossed.columns.map(({ setting, ranking }) => ({
      level: levelWords(across, setting),
      told: ranking !== null,
      held: ranking?.held ?? null,
      fanRpm: ranking?.fan_rpm ?? null,
      at: new Map(ranking?.groups.map((g) => [g.group, g])),
    })),
  );
  const rankings = $derived(crossed.columns.flatMap((level) => level.ranking ?? []));
  const reasons = $derived([...new Set(rankings.map((r) => r.reason).filter(Boolean))]);
  const unlike = $derived([...new Set(rankings.flatMap((r) => r.unlike))]);
</script>

<div class="wide">
  {#snippet cell(group: string, at: number)}
    {@const g = columns[at - 1]?.at.get(group)}
    {#if g}
      <span class="place">{g.place ?? say('run-list-no-place')}</span>
      <span class="mean">{written(g.mean)}{g.u95 === null ? '' : ` ± ${written(g.u95)}`}</span>
      {#if g.ties_with.length}
        <small>{say('run-list-tie', { names: g.ties_with.map((t) => levelWords(factor, t)).join(', ') })}</small>
      {/if}
    {:else}<span class="quiet">{say('run-list-not-run')}</span>{/if}
  {/snippet}
  <DataTable
    rows={groups}
    key={(group) => group}
    columns={[
      { head: FACTORS[factor] ?? '', unit, name: true, text: (group) => levelWords(factor, group) },
      ...columns.map((column) => ({
        head: column.level,
        unit: [
          column.held !== null && `${fixed(column.held, 1)} ${unitOf(heldWith(value))}`,
          column.fanRpm !== null && `${fixed(column.fanRpm, 0)} rpm`,
        ]
          .filter(Boolean)
          .join(', '),
        cell,
        rowIs: (group: string) => (column.at.get(group)?.place === 1 ? 'best' : ''),
      })),
    ]}
  />
</div>
{#each columns.filter((column) => !column.told) as column (column.level)}
  <p class="quiet">{say('run-list-too-few-across', { level: column.level })}</p>
{/each}
{#each reasons as reason, at (at)}<p class="quiet">{reason}</p>{/each}
{#if unlike.length}
  <Notice tone="care">{say('run-list-unlike', { names: unlike.map((f) => FACTORS[f]).join(', ') })}</Notice>
{/if}

<style>
  .wide {
    overflow-x: auto;
  }
  .place {
    display: inline-block;
    min-width: 2rem;
    font-size: var(--size-3);
    font-variant-numeric: tabular-nums;
  }
  .mean {
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }
  .wide :global(.best) {
    background: var(--after-tint);
  }
  small {
    display: block;
    color: var(--soft);
    font-weight: 400;
  }
</style>
