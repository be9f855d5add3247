<script lang="ts">
  // Every temperature by itself: what stands above its limit comes first.
  import { say } from '$words/page-job.ftl';
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
    <DataTable weight="strong">
      <thead>
        <tr>
          <th scope="col">{say('sensor-table-sensor')} <span class="quiet">°C</span></th>
          <th scope="col" class="before number">{say('condition-table-before')}</th>
          <th scope="col" class="after number">{say('condition-table-after')}</th>
          <th scope="col" class="number">{say('sensor-table-change')}</th>
          <th scope="col">{say('effect-table-shows')}</th>
          <th scope="col">{say('sensor-table-its-limit')}</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as s (s.role)}
          <tr>
            <th scope="row">{s.words}</th>
            <td class="number before">{figure(s.before_c, '°C')}</td>
            <td class="number after">{figure(s.after_c, '°C')}</td>
            <td class="number">
              {#if s.difference_k === null}<span class="quiet">{NOT_KNOWN}</span>{:else}<strong
                  >{change(s.difference_k, s.u95_k, 'K')}</strong
                >{/if}
            </td>
            <td class={s.shown}>{SHOWN[s.shown]}</td>
            <td class:over={s.over_limit_k !== null}
              >{limit(s)}{#if s.over_limit_k !== null}<strong
                  >{say('sensor-table-over', { over: fixed(s.over_limit_k, 0) })}</strong
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </DataTable>
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
