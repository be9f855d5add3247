<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // What each of several changes brought: a waterfall from before to after, effects with U, and the runs still missing.
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { change, fixed } from '../../lib/format';
  import DataTable from '../../lib/parts/DataTable.svelte';
  import Tick from '../../lib/parts/Tick.svelte';
  import Titled from '../../lib/parts/Titled.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { FACTORS } from '../../lib/words';
  import { upper } from '../../lib/say';
  import { unitOf } from './figures';
  import FigurePick from './FigurePick.svelte';
  import Waterfall from './Waterfall.svelte';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
    nameOfRun: (key: string) => string;
  }
  let { jobId, found, nameOfRun }: Props = $props();
  const MOST = 5;
  let left = $state<Record<string, boolean>>({});
  let value = $state('');
  let opened = $state('');

  // A state is what the others make of it; as a factor of its own it would stand in all of them.
  const offered = $derived(found.factors.filter((f) => f !== 'state').slice(0, MOST));
  const chosen = $derived(offered.filter((f) => !left[f]));
  const unit = $derived(unitOf(value));
  const term = (t: string) => (t === 'rest' ? say('run-list-rest') : upper(t.split(':').join(' × ')));
  const levels = (c: Schemas['CombinationOut']) => c.settings.map((s) => s.setting).join(' · ');
  const signed = (e: Schemas['EffectOfOut']) =>
    e.effect === null ? say('run-list-not-told') : e.u95 === null ? fixed(e.effect, 2) : change(e.effect, e.u95, unit);

  const asked = resource(
    () => (found.runs.length && chosen.length && value ? { by: chosen as ['material'], value } : null),
    ({ by, value: of }) =>
      take(client.GET('/api/jobs/{job_id}/factors', { params: { path: { job_id: jobId }, query: { by, value: of } } })),
  );
  const told = $derived(asked.value);
</script>

<section>
  <Titled why="runs"><h2>{say('run-list-factors')}</h2></Titled>
  <p class="quiet">{say('run-list-factors-words')}</p>
  {#if offered.length > 1}
    <div class="chosen lay-row">
      {#each offered as f (f)}
        <Tick label={FACTORS[f] ?? f} bind:checked={() => !left[f], (on) => (left = { ...left, [f]: !on })} />
      {/each}
      <!-- Less power is a gain in kelvins and none in kelvins per watt. -->
      <FigurePick {found} bind:value first={offered.includes('tuning') ? 'rise_K' : ''} />
    </div>
    <Trouble of={asked} />
    {#if told}
      {#if told.fan_rpm !== null}
        <p class="quiet">{say('run-list-one-speed', { rpm: fixed(told.fan_rpm, 0) })}</p>
      {/if}
      {#if told.waterfall.length}
        <Waterfall bars={told.waterfall} {unit} {term} {opened} onopen={(t) => (opened = opened === t ? '' : t)} />
        {#if opened}
          <p class="opened">
            {#each told.in_hand as c (levels(c))}<span><b>{levels(c)}</b>: {c.runs.map(nameOfRun).join(', ')}</span
              >{/each}
          </p>
        {/if}
      {/if}
      {#snippet shown(e: (typeof told.effects)[number])}
        {e.effect === null || e.u95 === null ? '' : e.shown ? say('run-list-shown') : say('run-list-not-shown')}
        {#if e.reason}<small>{e.reason}</small>{/if}
      {/snippet}
      <DataTable
        rows={told.effects}
        key={(e) => e.term + e.high.join()}
        columns={[
          { head: say('run-list-change'), name: true, text: (e) => term(e.term) },
          { head: say('run-list-from-to'), text: (e) => `${e.low.join(', ')} → ${e.high.join(', ')}` },
          { head: say('run-list-brought'), unit, is: 'number', text: signed },
          { head: say('run-list-shows'), cell: shown },
        ]}
      />
      {#if told.missing.length}
        <h3>{told.missing_that_tell_all ? say('run-list-missing') : say('run-list-missing-but-told')}</h3>
        <ul>
          {#each told.missing.slice(0, 8) as c, i (levels(c))}
            <li class:needed={i < told.missing_that_tell_all}>{levels(c)}</li>
          {/each}
        </ul>
        {#if told.missing.length > 8}
          <p class="quiet">{say('run-list-and-more', { n: told.missing.length - 8 })}</p>
        {/if}
      {/if}
      {#if told.without}<p class="quiet">{say('run-list-without', { n: told.without })}</p>{/if}
    {/if}
  {:else}
    <p class="quiet">{say('run-list-factors-need-two')}</p>
  {/if}
</section>

<style>
  h2 {
    margin: 0;
    font-size: var(--size-3);
  }
  h3 {
    margin: var(--gap-4) 0 var(--gap-1);
    font-size: var(--size-2);
  }
  .chosen {
    align-items: end;
    margin: var(--gap-3) 0;
  }
  small {
    display: block;
    color: var(--soft);
    font-weight: 400;
  }
  .needed {
    font-weight: 620;
  }
  .opened span {
    display: block;
  }
</style>
