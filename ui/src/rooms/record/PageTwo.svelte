<script lang="ts">
  // For the curious: what was measured and how, what went otherwise than planned, and how the promise came out.
  import { say } from '$words/page-record.ftl';
  import type { CustomerRecord } from '../../lib/api';
  import HeatLadder from '../../lib/charts/HeatLadder.svelte';
  import { day } from '../../lib/format';
  import SideBySide from '../../lib/verdict/SideBySide.svelte';
  import ConditionTable from '../../lib/verdict/ConditionTable.svelte';
  import EffectTable from '../../lib/verdict/EffectTable.svelte';
  import Headline from '../../lib/verdict/Headline.svelte';
  import SensorTable from '../../lib/verdict/SensorTable.svelte';

  interface Props {
    record: CustomerRecord;
  }
  let { record }: Props = $props();
  const job = $derived(record.job);
</script>

<h2 class="details">{say('record-room-details')}</h2>
{#if record.verdict}
  <Headline verdict={record.verdict} level="h3" />
  {#each record.verdict.reasons as reason, at (at)}<p class="quiet">{reason}</p>{/each}
  {#if record.verdict.exhaust}<p class="quiet">{record.verdict.exhaust}</p>{/if}
  <div class="pictures">
    <HeatLadder
      before={record.verdict.before_ladder}
      after={record.verdict.after_ladder}
      culprit={record.verdict.culprit}
    />
    <div>
      <h3>{say('record-room-what-was-measured')}</h3>
      <EffectTable effects={record.verdict.effects} />
      <p class="quiet small">{say('record-room-u-expanded-uncertainty-k')}</p>
    </div>
  </div>
  <SensorTable sensors={record.verdict.sensors} />
  <h3>{say('record-room-how-was-measured')}</h3>
  <ConditionTable conditions={record.verdict.conditions.filter((c) => c.before !== null || c.after !== null)} />
{/if}
{#if record.promise || job.fit_note || record.bench.length}
  <h3>{say('record-room-at-the-bench')}</h3>
  {#if record.promise}<p>{record.promise}</p>{/if}
  {#if job.fit_note}<p>{job.fit_note}</p>{/if}
  {#each record.bench as line, at (at)}<p>{line}</p>{/each}
{/if}
{#each job.gates.filter((g) => g.acknowledged_by) as gate (gate.rule)}
  <p class="quiet">
    {say('record-room-agreed', {
      reason: gate.reason,
      words: gate.words,
      acknowledged_by: gate.acknowledged_by,
      acknowledged_at: day(gate.acknowledged_at),
    })}
  </p>
{/each}
{#if record.attempts.length}
  <h3>{say('record-room-attempts')}</h3>
  <SideBySide rows={record.attempts} />
{/if}

<style>
  .details {
    margin: var(--gap-6) 0 var(--gap-3);
    padding-top: var(--gap-4);
    border-top: 2px solid var(--ink);
    font-size: var(--size-3);
  }
  h3 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  .pictures {
    display: grid;
    grid-template-columns: 17.5rem minmax(0, 1fr);
    gap: var(--gap-6);
    align-items: start;
    margin: var(--gap-5) 0;
  }
  .small {
    margin-top: var(--gap-1);
    font-size: var(--size-0);
  }
  @media (max-width: 900px) {
    .pictures {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  @media print {
    .details {
      break-before: page;
      border-top: 0;
    }
    .pictures {
      grid-template-columns: 14rem minmax(0, 1fr);
    }
  }
</style>
