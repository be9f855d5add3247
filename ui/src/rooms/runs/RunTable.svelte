<script lang="ts">
  import type { Column } from '../../lib/columns';
  import { resource } from '../../lib/asking.svelte';
  import { say } from '$words/page-runs.ftl';
  // A row a log; the row of a run carries its state and conditions, its repeats follow.
  import { client, take, type Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import { upper } from '../../lib/say';
  import { digitsOf, figureWords, isColumn, isMatched, unitOf } from './figures';
  import { conditionsOf, nameOf, stateWords } from '../../lib/run-names';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
    picked: string[];
    /** Runs of the first of two groups, which wait for those they are compared with. */
    first: string[];
    closed: boolean;
    onpick: (key: string) => void;
    onremove: (run: Schemas['RunRowOut']) => void;
    /** From now on it is the Before or the After of the job. */
    onmake: (run: Schemas['RunRowOut'], side: 'before' | 'after') => void;
  }
  let { jobId, found, picked, first, closed, onpick, onremove, onmake }: Props = $props();
  let only = $state('');
  let also = $state('');

  const states = $derived(new Map(found.states.map((s) => [s.id, stateWords(s)])));
  const shown = $derived(found.runs.filter((r) => !only || r.state_id === only));
  const number = (v: number | null, digits: number) => (v === null ? '–' : fixed(v, digits));
  /** A run has a line for each of its logs, and one where it has none. */
  interface Row {
    run: Schemas['RunRowOut'];
    log: Schemas['LogRowOut'] | null;
    at: number;
  }
  const rows = $derived(
    shown.flatMap((run): Row[] => (run.logs.length ? run.logs : [null]).map((log, at) => ({ run, log, at }))),
  );
  const figureOf = (
    figure: string,
    unit: string,
    of: (log: Schemas['LogRowOut']) => number | null,
    digits: number,
  ): Column<Row> => ({
    head: say(`run-list-${figure}`),
    unit,
    is: 'number',
    text: ({ log }) => (log ? number(of(log), digits) : ''),
  });
  // A column that no run fills is not shown.
  const has = (of: (log: Schemas['LogRowOut']) => number | null) =>
    found.runs.some((r) => r.logs.some((l) => of(l) !== null));
  // Figures that have no column of their own; one of them is shown at a time.
  const OWN = [
    'rise_K',
    'power_W',
    'resistance_K_per_W',
    'fan_speed',
    'sag_W',
    'held_share',
    'noise_db',
    'result_score',
  ];
  const further = $derived(found.figures.filter((f) => !OWN.includes(f) && !isMatched(f)));
  const alsoWords = $derived(isColumn(also) ? figureWords(also) : upper(figureWords(also)));
  const asked = resource(
    () => (also && found.runs.length ? { name: also, of: found.runs.map((r) => r.id) } : null),
    async ({ name }) => {
      const params = { path: { job_id: jobId }, query: { name } };
      const { values } = await take(client.GET('/api/jobs/{job_id}/all-runs/figure', { params }));
      return { name, values: new Map(values.map((v) => [v.log, v.value])) };
    },
  );
  // While another figure is asked for, those of the last one stand under no other's name.
  const alsoValues = $derived(asked.value?.name === also ? asked.value.values : new Map<string, number>());
  const scored = $derived(found.runs.some((r) => r.result_score !== null));
  const heard = $derived(found.runs.some((r) => r.noise_db !== null));
</script>

{#if found.states.length > 1 || further.length}
  <div class="filter">
    <Pick
      label={say('run-list-filter')}
      name="only"
      bind:value={only}
      options={[
        { value: '', label: say('run-list-filter-all') },
        ...found.states.map((s) => ({ value: s.id, label: states.get(s.id) ?? '' })),
      ]}
    />
    {#if further.length}
      <Pick
        label={say('run-list-also')}
        name="also"
        bind:value={also}
        options={[
          { value: '', label: say('run-list-also-none') },
          ...further.map((f) => ({ value: f, label: figureWords(f) })),
        ]}
      />
    {/if}
  </div>
{/if}
<div class="wide">
  {#snippet pick({ run, log, at }: Row)}
    {#if log && at === 0}
      <label>
        <input
          type="checkbox"
          checked={picked.includes(run.key) || first.includes(run.key)}
          onchange={() => onpick(run.key)}
          aria-label={say('run-list-pick', { name: nameOf(run) })}
        />
        <span class="seal" aria-hidden="true">{first.includes(run.key) ? 'A' : picked.indexOf(run.key) + 1 || ''}</span>
      </label>
    {/if}
  {/snippet}
  {#snippet name({ run, log, at }: Row)}
    {#if at === 0}
      <a class={run.side} href={run.side === 'other' ? `/jobs/${jobId}/runs/${run.key}` : `/jobs/${jobId}/${run.side}`}
        >{nameOf(run)}</a
      >
    {:else}<span class="quiet">{say('run-list-repeat')}</span>{/if}
    {#if log?.settled === false}<small>{say('run-list-not-settled')}</small>{/if}
  {/snippet}
  {#snippet told({ run, at }: Row)}
    {#if at === 0}
      <div class="told">
        {run.state_id ? states.get(run.state_id) : ''}
        <small>{[run.material, conditionsOf(run)].filter(Boolean).join(' · ')}</small>
      </div>
    {/if}
  {/snippet}
  {#snippet acts({ run, log, at }: Row)}
    {#if at === 0 && run.side === 'other' && !closed}
      {#if log}
        {#each ['before', 'after'] as const as side (side)}
          <Button
            kind="bare"
            label={say(`run-list-make-${side}-of`, { name: run.name })}
            onclick={() => onmake(run, side)}>{say(`run-list-make-${side}`)}</Button
          >
        {/each}
      {/if}
      <Button kind="bare" onclick={() => onremove(run)}>{say('run-list-take-off')}</Button>
    {/if}
  {/snippet}
  <Trouble of={asked} />
  <DataTable
    weight="strong"
    {rows}
    key={({ run, log }) => log?.id ?? run.key}
    columns={[
      { head: '', cell: pick },
      { head: say('run-list-run'), name: true, cell: name },
      { head: `${say('run-list-state')}, ${say('run-list-conditions').toLowerCase()}`, cell: told },
      {
        head: say('run-list-rise'),
        unit: 'K',
        is: 'number',
        text: ({ log }) => (log ? number(log.rise_k, 1) : say('run-list-no-log')),
      },
      figureOf('power', 'W', (log) => log.power_w, 1),
      figureOf('resistance', 'K/W', (log) => log.resistance_k_per_w, 3),
      has((l) => l.fan_rpm) && figureOf('fan', 'rpm', (log) => log.fan_rpm, 0),
      has((l) => l.sag_w) && figureOf('sag', 'W', (log) => log.sag_w, 1),
      has((l) => l.held_share) &&
        figureOf('held', '%', (log) => (log.held_share === null ? null : 100 * log.held_share), 0),
      heard && {
        head: say('run-list-noise'),
        unit: 'dB',
        is: 'number',
        text: ({ run, at }) => (at === 0 ? number(run.noise_db, 1) : ''),
      },
      scored && {
        head: say('run-list-score'),
        is: 'number',
        text: ({ run, at }) => (at === 0 ? number(run.result_score, 0) : ''),
      },
      !!also && {
        head: alsoWords,
        unit: unitOf(also),
        is: 'number',
        text: ({ log }) => (log ? number(alsoValues.get(log.id) ?? null, digitsOf(also)) : ''),
      },
      { head: '', is: 'number', cell: acts },
    ]}
  />
</div>

<style>
  .filter {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(14rem, 26rem));
    gap: var(--gap-4);
    margin-bottom: var(--gap-3);
  }
  .wide {
    overflow-x: auto;
  }
  label {
    display: grid;
    place-items: center;
    width: var(--target);
    height: var(--target);
    cursor: pointer;
  }
  input {
    position: absolute;
    opacity: 0;
  }
  .seal {
    display: grid;
    place-items: center;
    width: 1.75rem;
    height: 1.75rem;
    border: 2px solid var(--edge);
    border-radius: var(--round);
    font-weight: 620;
  }
  input:checked + .seal {
    border-color: var(--owl);
    background: var(--owl);
    color: var(--on-owl);
  }
  input:focus-visible + .seal {
    outline: 3px solid var(--owl);
    outline-offset: 2px;
  }
  a.before {
    color: var(--before);
  }
  a.after {
    color: var(--after);
  }
  small {
    display: block;
    color: var(--soft);
    font-weight: 400;
  }
  .told {
    max-width: 19rem;
  }
</style>
