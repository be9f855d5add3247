<script lang="ts">
  // Two groups of runs by one figure: both means, and the difference with its U.
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { change, fixed } from '../../lib/format';
  import Notice from '../../lib/parts/Notice.svelte';
  import { FACTORS } from '../../lib/words';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import FigurePick from './FigurePick.svelte';
  import { digitsOf, unitOf } from './figures';
  import { say } from '$words/page-runs.ftl';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
    first: string[];
    second: string[];
  }
  let { jobId, found, first, second }: Props = $props();
  let value = $state('');
  const asked = resource(
    () => (value ? { first, second, value } : null),
    (query) => take(client.GET('/api/jobs/{job_id}/compare-groups', { params: { path: { job_id: jobId }, query } })),
  );
  const told = $derived(asked.value);

  const unit = $derived(unitOf(value));
  const mean = (g: Schemas['GroupMeanOut']) =>
    `${fixed(g.mean, digitsOf(value))}${g.u95 === null ? '' : ` ± ${fixed(g.u95, digitsOf(value))}`} ${unit}`;
</script>

<section aria-label={say('run-list-groups')}>
  <div class="pick"><FigurePick {found} matched={false} bind:value /></div>
  <Trouble of={asked} />
  {#if told}
    <p class="head">
      {told.u95 === null
        ? say('run-list-groups-unknown')
        : say('run-list-groups-differ', { shown: told.shown, change: change(told.difference, told.u95, unit) })}
    </p>
    <p>
      {say('run-list-groups-first', { mean: mean(told.first), n: told.first.n })}
      {say('run-list-groups-second', { mean: mean(told.second), n: told.second.n })}
    </p>
    {#if told.unlike.length}
      <Notice tone="care"
        >{say('run-list-groups-unlike', { names: told.unlike.map((f) => FACTORS[f]).join(', ') })}</Notice
      >
    {/if}
  {/if}
</section>

<style>
  section {
    margin-bottom: var(--gap-6);
    padding: var(--gap-4);
    border: var(--line) solid var(--edge);
    border-radius: var(--round);
    background: var(--sheet);
  }
  .pick {
    width: min(22rem, 100%);
  }
  .head {
    margin: var(--gap-3) 0 var(--gap-2);
    font-family: var(--font-head);
    font-size: var(--size-3);
  }
</style>
