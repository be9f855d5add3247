<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import { client, take, type Job, type Run } from '../../lib/api';
  import { resource } from '../../lib/asking.svelte';
  import { figure, moment, NOT_KNOWN } from '../../lib/format';
  import { stillToAsk } from '../../lib/job/still-open';

  interface Props {
    job: Job;
    before: Run | null;
    after: Run | null;
  }
  let { job, before, after }: Props = $props();
  // Heat cycles that the latest interface still needs, with the moment they would be over.
  const asked = resource(
    () => (job.fit_done && after?.trace && !job.handed_over_at ? { path: { job_id: job.id } } : null),
    (params) => take(client.GET('/api/jobs/{job_id}/burn-in/open', { params })),
  );
  const runningIn = $derived(asked.value?.open ?? null);

  const open = $derived([
    ...job.gates.filter((g) => g.severity === 'stop').map((g) => ({ text: g.reason, stage: g.stage, halt: true })),
    ...job.gates
      .filter((g) => g.severity === 'acknowledge' && !g.acknowledged_by)
      .map((g) => ({ text: say('open-items-to-settle', { reason: g.reason }), stage: g.stage, halt: false })),
    ...(job.stage === 'stopped' || job.stage === 'done'
      ? []
      : [
          ...stillToAsk(job).map(({ text, stage }) => ({ text, stage, halt: false })),
          ...(before?.trace ? [] : [{ text: say('open-items-before-no-log-yet'), stage: 'before', halt: false }]),
          ...(before?.trace && before.room_c === null
            ? [{ text: say('open-items-before-room-not-noted'), stage: 'before', halt: false }]
            : []),
          ...(job.done.includes('plan') || job.fit_done || !before?.trace
            ? []
            : [{ text: say('open-items-plan-not-decided'), stage: 'plan', halt: false }]),
          ...(job.fit_done ? [] : [{ text: say('open-items-bench-work-not-closed'), stage: 'close', halt: false }]),
          ...(after?.trace ? [] : [{ text: say('open-items-after-no-log-yet'), stage: 'after', halt: false }]),
          ...(after?.trace && after.room_c === null
            ? [{ text: say('open-items-after-room-not-noted'), stage: 'after', halt: false }]
            : []),
          ...(runningIn
            ? [
                {
                  text: say('open-items-run-in', {
                    more: runningIn.more,
                    minutes: runningIn.wait_min,
                    due: runningIn.due ? moment(runningIn.due) : null,
                  }),
                  stage: 'runs',
                  halt: false,
                },
              ]
            : []),
          ...(job.price_cents === null
            ? [{ text: say('open-items-price-not-set'), stage: 'handover', halt: false }]
            : []),
        ]),
  ]);
  const rows = $derived(
    [
      { name: 'room', unit: '°C', values: [before?.room_c, after?.room_c].map((v) => figure(v, '°C')) },
      { name: 'noise', unit: 'dB', values: [before, after].map((r) => figure(r?.noise_figure?.level_db, 'dB')) },
    ].filter((r) => r.values.some((v) => v !== NOT_KNOWN)),
  );
</script>

<div class="items">
  <h2>{say('open-items-still-open')}</h2>
  {#if open.length}
    <ul>
      {#each open as item, at (at)}
        <li class:halt={item.halt}>
          {#if item.stage === 'runs' || job.reachable.includes(item.stage)}<a href="/jobs/{job.id}/{item.stage}"
              >{item.text}</a
            >{:else}{item.text}{/if}
        </li>
      {/each}
    </ul>
  {:else}
    <p class="quiet">{say('open-items-nothing-open')}</p>
  {/if}
  {#if rows.length}
    <h2>{say('open-items-conditions')}</h2>
    <DataTable
      weight="small"
      {rows}
      key={(row) => row.name}
      columns={[
        { head: '', name: true, text: (row) => `${row.name}, ${row.unit}` },
        ...(['before', 'after'] as const).map((side, i) => ({
          head: say(`condition-table-${side}`),
          is: `number ${side}`,
          text: ({ values }: (typeof rows)[number]) => (values[i] === NOT_KNOWN ? '–' : (values[i] ?? '')),
        })),
      ]}
    />
  {/if}
</div>

<style>
  h2 {
    margin: var(--gap-5) 0 var(--gap-2);
    font-size: var(--size-2);
  }
  li {
    position: relative;
    padding: var(--gap-1) 0 var(--gap-1) 1.5rem;
  }
  li::before {
    content: '';
    position: absolute;
    left: 0.15rem;
    top: 0.6rem;
    width: 0.7rem;
    height: 0.7rem;
    border: 2px solid var(--ink);
    border-radius: 50%;
  }
  .halt {
    color: var(--halt);
    font-weight: 620;
  }
  .halt::before {
    border-color: var(--halt);
    border-radius: 0;
    background: var(--halt);
  }
</style>
