<script lang="ts">
  import { resource } from '../../lib/asking.svelte';
  import { say } from '$words/page-runs.ftl';
  // A row a log; the row of a run carries its state and conditions, its repeats follow.
  import { client, take, type Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
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
    ({ name }) =>
      take(client.GET('/api/jobs/{job_id}/all-runs/figure', { params: { path: { job_id: jobId }, query: { name } } })),
  );
  const alsoValues = $derived(new Map(asked.value?.values.map((v) => [v.log, v.value])));
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
  <DataTable weight="strong">
    <thead>
      <tr>
        <td></td>
        <th scope="col">{say('run-list-run')}</th>
        <th scope="col">{say('run-list-state')}, {say('run-list-conditions').toLowerCase()}</th>
        <th scope="col" class="number">{say('run-list-rise')} <small>K</small></th>
        <th scope="col" class="number">{say('run-list-power')} <small>W</small></th>
        <th scope="col" class="number">{say('run-list-resistance')} <small>K/W</small></th>
        {#if has((l) => l.fan_rpm)}<th scope="col" class="number">{say('run-list-fan')} <small>rpm</small></th>{/if}
        {#if has((l) => l.sag_w)}<th scope="col" class="number">{say('run-list-sag')} <small>W</small></th>{/if}
        {#if has((l) => l.held_share)}<th scope="col" class="number">{say('run-list-held')} <small>%</small></th>{/if}
        {#if heard}<th scope="col" class="number">{say('run-list-noise')} <small>dB</small></th>{/if}
        {#if scored}<th scope="col" class="number">{say('run-list-score')}</th>{/if}
        {#if also}<th scope="col" class="number">{alsoWords} <small>{unitOf(also)}</small></th>{/if}
        <td></td>
      </tr>
    </thead>
    <tbody>
      {#each shown as run (run.key)}
        {#each run.logs.length ? run.logs : [null] as log, at (log?.id ?? run.key)}
          <tr class={run.side}>
            <td class="pick">
              {#if log && at === 0}
                <label>
                  <input
                    type="checkbox"
                    checked={picked.includes(run.key) || first.includes(run.key)}
                    onchange={() => onpick(run.key)}
                    aria-label={say('run-list-pick', { name: nameOf(run) })}
                  />
                  <span class="seal" aria-hidden="true"
                    >{first.includes(run.key) ? 'A' : picked.indexOf(run.key) + 1 || ''}</span
                  >
                </label>
              {/if}
            </td>
            <th scope="row">
              {#if at === 0}
                <a href={run.side === 'other' ? `/jobs/${jobId}/runs/${run.key}` : `/jobs/${jobId}/${run.side}`}
                  >{nameOf(run)}</a
                >
              {:else}<span class="quiet">{say('run-list-repeat')}</span>{/if}
              {#if log?.settled === false}<small>{say('run-list-not-settled')}</small>{/if}
            </th>
            <td class="told">
              {#if at === 0}
                {run.state_id ? states.get(run.state_id) : ''}
                <small>{[run.material, conditionsOf(run)].filter(Boolean).join(' · ')}</small>
              {/if}
            </td>
            {#if log}
              <td class="number">{number(log.rise_k, 1)}</td>
              <td class="number">{number(log.power_w, 1)}</td>
              <td class="number">{number(log.resistance_k_per_w, 3)}</td>
              {#if has((l) => l.fan_rpm)}<td class="number">{number(log.fan_rpm, 0)}</td>{/if}
              {#if has((l) => l.sag_w)}<td class="number">{number(log.sag_w, 1)}</td>{/if}
              {#if has((l) => l.held_share)}<td class="number"
                  >{number(log.held_share === null ? null : 100 * log.held_share, 0)}</td
                >{/if}
              {#if heard}<td class="number">{at === 0 ? number(run.noise_db, 1) : ''}</td>{/if}
              {#if scored}<td class="number">{at === 0 ? number(run.result_score, 0) : ''}</td>{/if}
              {#if also}<td class="number">{number(alsoValues.get(log.id) ?? null, digitsOf(also))}</td>{/if}
            {:else}
              <td colspan="3" class="quiet">{say('run-list-no-log')}</td>
              {#if has((l) => l.fan_rpm)}<td></td>{/if}{#if has((l) => l.sag_w)}<td></td>{/if}
              {#if has((l) => l.held_share)}<td></td>{/if}{#if heard}<td></td>{/if}{#if scored}<td
                ></td>{/if}{#if also}<td></td>{/if}
            {/if}
            <td class="number">
              {#if at === 0 && run.side === 'other' && !closed}
                {#if log}
                  <Button
                    kind="bare"
                    label={say('run-list-make-before-of', { name: run.name })}
                    onclick={() => onmake(run, 'before')}>{say('run-list-make-before')}</Button
                  >
                  <Button
                    kind="bare"
                    label={say('run-list-make-after-of', { name: run.name })}
                    onclick={() => onmake(run, 'after')}>{say('run-list-make-after')}</Button
                  >
                {/if}
                <Button kind="bare" onclick={() => onremove(run)}>{say('run-list-take-off')}</Button>
              {/if}
            </td>
          </tr>
        {/each}
      {/each}
    </tbody>
  </DataTable>
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
  .pick {
    width: 3rem;
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
  th a {
    min-width: var(--target);
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
  }
  .before th a {
    color: var(--before);
  }
  .after th a {
    color: var(--after);
  }
  small {
    display: block;
    color: var(--soft);
    font-weight: 400;
  }
  thead small {
    display: inline;
  }
  .told {
    max-width: 19rem;
  }
</style>
