<script lang="ts">
  // Sets of runs that separate several changes, named before any of them is run, and how many repeats a difference needs.
  import { action } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { fixed, parseNumber } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import TextField from '../../lib/parts/TextField.svelte';
  import Working from '../../lib/parts/Working.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { FACTORS } from '../../lib/words';
  import FigurePick from './FigurePick.svelte';
  import { digitsOf, unitOf } from './figures';
  import { say } from '$words/page-runs.ftl';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
  }
  let { jobId, found }: Props = $props();
  type Factor = Schemas['PlannedFactorIn']['factor'];
  const OFFERED: Factor[] = ['material', 'firmware', 'tuning', 'placement', 'fan', 'load', 'profile'];
  const MOST = 5;
  let rows = $state<{ factor: Factor; levels: string }[]>([
    { factor: 'material', levels: '' },
    { factor: 'firmware', levels: '' },
  ]);
  let value = $state('');
  let want = $state('');
  let told = $state.raw<Schemas['RunPlansOut'] | null>(null);

  const unused = (own: Factor) => OFFERED.filter((f) => f === own || !rows.some((r) => r.factor === f));
  const split = (levels: string): string[] =>
    levels
      .split(',')
      .map((l) => l.trim())
      .filter(Boolean);

  const propose = action(async () => {
    told = null;
    const least = parseNumber(want);
    const factors = rows.map((r) => ({ factor: r.factor, settings: split(r.levels) }));
    const empty = factors.find((f) => !f.settings.length);
    const body = {
      factors: empty ? factors.map((f) => ({ ...f, settings: f.settings.length ? f.settings : ['–'] })) : factors,
      value,
      want: Number.isFinite(least) ? least : null,
    };
    told = await take(client.POST('/api/jobs/{job_id}/run-plans', { params: { path: { job_id: jobId } }, body }));
  });
  const written = (v: number) => `${fixed(v, digitsOf(value))} ${unitOf(value)}`.trim();
</script>

<Working summary={say('plan-runs')}>
  <p class="quiet">{say('plan-runs-words')}</p>
  <form
    onsubmit={(e) => {
      e.preventDefault();
      void propose.run();
    }}
  >
    {#each rows as row, i (i)}
      <div class="row">
        <Pick
          label={say('plan-runs-factor')}
          name="factor-{i}"
          bind:value={() => row.factor, (next) => (row.factor = next as Factor)}
          options={unused(row.factor).map((f) => ({ value: f, label: FACTORS[f] ?? f }))}
        />
        <TextField label={say('plan-runs-levels')} name="levels-{i}" bind:value={row.levels} />
        {#if rows.length > 2}
          <Button
            kind="bare"
            label={say('plan-runs-take-off', { factor: FACTORS[row.factor] ?? row.factor })}
            onclick={() => (rows = rows.filter((_, at) => at !== i))}>✕</Button
          >
        {/if}
      </div>
    {/each}
    <div class="row">
      <FigurePick {found} matched={false} bind:value />
      <TextField label={say('plan-runs-want')} name="want" numeric unit={unitOf(value)} bind:value={want} />
    </div>
    <div class="lay-row">
      <Button kind="main" type="submit">{say('plan-runs-propose')}</Button>
      {#if rows.length < MOST}
        <Button
          onclick={() => {
            const next = OFFERED.find((f) => !rows.some((r) => r.factor === f));
            if (next) rows = [...rows, { factor: next, levels: '' }];
          }}>{say('plan-runs-add')}</Button
        >
      {/if}
    </div>
  </form>
  <Trouble of={propose} />
  {#if told}
    <ul class="sets">
      {#each told.plans as plan (plan.plan)}
        {@const hand = plan.runs.filter((r) => r.in_hand).length}
        <li>
          <h3>
            {say(`plan-runs-${plan.plan}`)} <small>{say('plan-runs-count', { n: plan.runs.length, hand })}</small>
          </h3>
          <p>
            {plan.tells_pairs ? say('plan-runs-tells-pairs') : say('plan-runs-tells-changes')}
            {#if plan.mixed.length}{say('plan-runs-mixed', { mixed: plan.mixed.join('; ') })}{/if}
          </p>
          <ol>
            {#each plan.runs as run (run.settings.join())}
              <li class:done={run.in_hand}>
                {run.settings.join(' · ')}{#if run.in_hand}<small>{say('plan-runs-in-hand')}</small>{/if}
              </li>
            {/each}
          </ol>
        </li>
      {/each}
    </ul>
    {#if told.repeats}
      <p>
        {say('plan-runs-repeats', {
          n: told.repeats.runs_each,
          u95: written(told.repeats.u95),
          sd: written(told.one_run_sd ?? 0),
        })}
      </p>
    {:else if told.one_run_sd === null}
      <p class="quiet">{say('plan-runs-no-scatter')}</p>
    {/if}
  {/if}
</Working>

<style>
  .row {
    display: grid;
    grid-template-columns: minmax(11rem, 16rem) minmax(0, 1fr) auto;
    align-items: end;
    gap: var(--gap-3);
    margin-bottom: var(--gap-3);
  }
  .sets {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
    gap: var(--gap-4);
    margin: var(--gap-4) 0;
    padding: 0;
    list-style: none;
  }
  h3 {
    margin: 0;
    font-size: var(--size-2);
  }
  small {
    color: var(--soft);
    font-weight: 400;
  }
  ol small {
    margin-left: var(--gap-2);
  }
  .done {
    color: var(--soft);
  }
</style>
