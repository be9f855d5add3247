<script lang="ts">
  import { say } from '$words/page-verdict.ftl';
  import '$words/page-job.ftl';
  import DataTable from '../parts/DataTable.svelte';
  import Term from '../parts/Term.svelte';
  import Unit from '../parts/Unit.svelte';
  import type { Schemas } from '../api';
  import { change, clock, differenceUnit, figure, NOT_KNOWN } from '../format';

  interface Props {
    effects: Schemas['EffectOut'][];
  }
  let { effects }: Props = $props();

  const TERMS: Record<string, string> = {
    die_temperature: 'die temperature',
    rise: 'rise over room',
    power: 'power',
    resistance: 'thermal resistance',
    resistance_same_fan: 'same fan',
    sustained_capacity: 'sustained capacity',
    throttle_share: 'throttled (held back by heat)',
    noise: 'level',
    recorded_level: 'L_Aeq, L_AFmax, L10, L90',
  };
  const SHOWN: Record<string, string> = {
    better: 'better',
    worse: 'worse',
    changed: 'changed',
    not_shown: say('effect-table-no-difference'),
    not_known: say('effect-table-not-known'),
  };
  const value = (e: Schemas['EffectOut'], v: number | null) =>
    e.before === null && e.after === null
      ? '–'
      : e.quantity === 'duration' && v !== null
        ? clock(v)
        : figure(v, e.unit);
  const rows = $derived(effects.filter((e) => [e.before, e.after, e.difference].some((v) => v !== null)));
</script>

{#snippet name(e: (typeof rows)[number])}
  {#if TERMS[e.quantity]}<Term of={TERMS[e.quantity] ?? ''} words={e.words} />{:else}{e.words}{/if}
  <span class="quiet"><Unit of={e.unit} /></span>
{/snippet}
{#snippet before(e: (typeof rows)[number])}
  {value(e, e.before)}{#if e.before_u95 !== null}<span class="u">± {figure(e.before_u95, e.unit)}</span>{/if}
{/snippet}
{#snippet after(e: (typeof rows)[number])}
  {value(e, e.after)}{#if e.after_u95 !== null}<span class="u">± {figure(e.after_u95, e.unit)}</span>{/if}
{/snippet}
{#snippet difference(e: (typeof rows)[number])}
  {#if e.difference === null}<span class="quiet">{NOT_KNOWN}</span>{:else}<strong
      >{change(e.difference, e.u95, differenceUnit(e.unit))}</strong
    >{/if}
{/snippet}
{#snippet uncertain()}<Term of="expanded uncertainty" words={say('effect-table-change-u')} />{/snippet}
{#snippet shown(e: (typeof rows)[number])}<span class={e.shown}>{SHOWN[e.shown]}</span>{/snippet}
<DataTable
  weight="strong"
  {rows}
  key={(e) => e.quantity}
  columns={[
    { head: say('effect-table-what'), name: true, cell: name },
    { head: say('condition-table-before'), is: 'number before', cell: before },
    { head: say('condition-table-after'), is: 'number after', cell: after },
    { head: say('effect-table-change-u'), heading: uncertain, is: 'number', cell: difference },
    { head: say('effect-table-shows'), cell: shown },
  ]}
/>

<style>
  .u {
    margin-left: var(--gap-1);
    font-size: var(--size-0);
  }
  .better {
    color: var(--after);
    font-weight: 620;
  }
  .worse {
    color: var(--before);
    font-weight: 620;
  }
  .not_shown,
  .not_known,
  .changed {
    color: var(--soft);
  }
</style>
