<script lang="ts">
  // Every temperature by itself: what stands above its limit comes first.
  import { say } from '$words/page-verdict.ftl';
  import '$words/page-job.ftl';
  import DataTable from '../parts/DataTable.svelte';
  import type { Schemas } from '../api';
  import { change, figure, fixed, NOT_KNOWN } from '../format';

  interface Props {
    sensors: Schemas['SensorOut'][];
  }
  let { sensors }: Props = $props();
  const SHOWN: Record<string, string> = {
    better: say('sensor-table-better'),
    worse: say('sensor-table-worse'),
    changed: say('sensor-table-changed'),
    not_shown: say('effect-table-no-difference'),
    not_known: say('effect-table-not-known'),
  };
  const rows = $derived(
    [...sensors].sort(
      (a, b) => (b.over_limit_k ?? 0) - (a.over_limit_k ?? 0) || sensors.indexOf(a) - sensors.indexOf(b),
    ),
  );
  // The die with its exhaust alone says nothing that the other table does not.
  const judged = $derived(sensors.filter((s) => s.tells));
  // A limit is marked where it was passed, and where nobody noted it.
  const limit = (s: Schemas['SensorOut']) =>
    s.limit_c === null ? NOT_KNOWN : say('sensor-table-limit', { limit: fixed(s.limit_c, 0), noted: s.limit_noted });
</script>

{#if judged.length > 1}
  <div class="sensors">
    {#snippet change_(s: (typeof rows)[number])}
      {#if s.difference_k === null}<span class="quiet">{NOT_KNOWN}</span>{:else}<strong
          >{change(s.difference_k, s.u95_k, 'K')}</strong
        >{/if}
    {/snippet}
    {#snippet limit_(s: (typeof rows)[number])}
      <span class:over={s.over_limit_k !== null}
        >{limit(s)}{#if s.over_limit_k !== null}<strong
            >{say('sensor-table-over', { over: fixed(s.over_limit_k, 0) })}</strong
          >{/if}</span
      >
    {/snippet}
    {#snippet shown(s: (typeof rows)[number])}<span class={s.shown}>{SHOWN[s.shown]}</span>{/snippet}
    <DataTable
      weight="strong"
      {rows}
      key={(s) => s.role}
      columns={[
        { head: say('sensor-table-sensor'), unit: '°C', name: true, text: (s) => s.words },
        { head: say('condition-table-before'), is: 'number before', text: (s) => figure(s.before_c, '°C') },
        { head: say('condition-table-after'), is: 'number after', text: (s) => figure(s.after_c, '°C') },
        { head: say('sensor-table-change'), is: 'number', cell: change_ },
        { head: say('effect-table-shows'), cell: shown },
        { head: say('sensor-table-its-limit'), cell: limit_ },
      ]}
    />
    <p class="quiet small">{say('sensor-table-is')}</p>
  </div>
{/if}

<style>
  .sensors {
    margin: var(--gap-4) 0;
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
  .over {
    color: var(--care);
  }
  .over strong {
    margin-left: var(--gap-2);
    white-space: nowrap;
  }
  .small {
    margin-top: var(--gap-1);
    font-size: var(--size-0);
  }
</style>
