<script lang="ts">
  import { say } from '$words/page-runs.ftl';
  // The runs in order by one factor: places, ties, and bars with their U on one scale.
  import { resource } from '../../lib/asking.svelte';
  import { client, take, type Schemas } from '../../lib/api';
  import { fixed } from '../../lib/format';
  import Notice from '../../lib/parts/Notice.svelte';
  import Pick from '../../lib/parts/Pick.svelte';
  import Titled from '../../lib/parts/Titled.svelte';
  import Trouble from '../../lib/parts/Trouble.svelte';
  import { FACTORS, FIGURES } from '../../lib/words';
  import CrossedTable from './CrossedTable.svelte';
  import FigurePick from './FigurePick.svelte';
  import RankTable from './RankTable.svelte';
  import Choice from '../../lib/parts/Choice.svelte';
  import { heldWith, isMatched, levelWords, mostFirst, unitOf, WISHES } from './figures';

  interface Props {
    jobId: string;
    found: Schemas['AllRunsOut'];
  }
  let { jobId, found }: Props = $props();
  let by = $state('');
  let value = $state('');
  // Levels of other factors that are looked at; all of them where a person says so.
  let only = $state<Record<string, string>>({});
  const ALL = 'all';
  let across = $state('');

  const factor = $derived(found.factors.includes(by) ? by : (found.factors[0] ?? ''));
  // What would be mixed is held: the fan setting and the place that most runs have.
  const held = $derived(
    (
      [
        ['fan', (r: Schemas['RunRowOut']) => r.fan_setting],
        ['placement', (r: Schemas['RunRowOut']) => r.placement],
      ] as const
    )
      // Where one of noise and temperature is held, the fan is what was varied.
      .filter(([name]) => name !== factor && name !== second && !(name === 'fan' && isMatched(value)))
      .map(([name, of]) => ({ name, levels: mostFirst(found.runs.filter((r) => r.logs.length).map(of)) }))
      .filter((f) => f.levels.length > 1)
      .map((f) => ({ ...f, chosen: only[f.name] ?? f.levels[0] ?? ALL })),
  );
  const wishes = $derived(
    Object.entries(WISHES)
      .map(([wish, figures]) => ({ wish, figure: figures.find((f) => found.figures.includes(f)) ?? '' }))
      .filter((w) => w.figure),
  );
  const wish = $derived(wishes.find((w) => w.figure === value)?.wish ?? '');
  // A second factor across; where one of noise and temperature is held, the fan is what was varied.
  const NONE = 'none';
  const crossing = $derived(found.factors.filter((f) => f !== factor && !(f === 'fan' && isMatched(value))));
  const second = $derived(crossing.includes(across) ? across : '');

  // The ranking follows what is chosen and the runs themselves.
  const asked = resource(
    () => {
      if (!factor || !value || !found.runs.length) return null;
      const within = Object.fromEntries(held.filter((f) => f.chosen !== ALL).map((f) => [f.name, f.chosen]));
      return { query: { by: factor as 'material', value, ...within }, over: second };
    },
    async ({ query, over }) => {
      const path = { job_id: jobId };
      if (!over) {
        const ranking = await take(client.GET('/api/jobs/{job_id}/rank', { params: { path, query } }));
        return { ranking, crossed: null };
      }
      const across = { ...query, across: over as 'fan' };
      const crossed = await take(client.GET('/api/jobs/{job_id}/rank-across', { params: { path, query: across } }));
      return { ranking: null, crossed };
    },
  );
  const ranking = $derived(asked.value?.ranking ?? null);
  const crossed = $derived(asked.value?.crossed ?? null);
  const best = $derived(ranking?.groups.filter((g) => g.place === 1).map((g) => levelWords(factor, g.group)) ?? []);
</script>

<section>
  <Titled why="runs"><h2>{say('run-list-rank')}</h2></Titled>
  {#if !found.factors.length || !found.figures.length}
    <p class="quiet">{say('run-list-nothing-differs')}</p>
  {:else}
    {#if wishes.length > 1}
      <Choice
        legend={say('run-list-wish')}
        name="wish"
        bind:value={() => wish, (next) => (value = wishes.find((w) => w.wish === next)?.figure ?? value)}
        options={wishes.map((w) => ({ value: w.wish, label: say(`run-list-wish-${w.wish}`) }))}
      />
    {/if}
    <div class="chosen">
      <Pick
        label={say('run-list-by')}
        name="by"
        bind:value={() => factor, (next) => (by = next)}
        options={found.factors.map((f) => ({ value: f, label: FACTORS[f] ?? f }))}
      />
      <FigurePick {found} bind:value />
      {#if crossing.length}
        <Pick
          label={say('run-list-across')}
          name="across"
          bind:value={() => second || NONE, (next) => (across = next)}
          options={[
            { value: NONE, label: say('run-list-across-none') },
            ...crossing.map((f) => ({ value: f, label: FACTORS[f] ?? f })),
          ]}
        />
      {/if}
      {#each held as f (f.name)}
        <Pick
          label={say('run-list-only', { factor: (FACTORS[f.name] ?? '').toLowerCase() })}
          name={f.name}
          bind:value={() => f.chosen, (next) => (only = { ...only, [f.name]: next })}
          options={[
            ...f.levels.map((level) => ({ value: level, label: level })),
            { value: ALL, label: say('run-list-all-mixed') },
          ]}
        />
      {/each}
    </div>
    <Trouble of={asked} />
    {#if crossed}<CrossedTable {crossed} {factor} across={second} {value} />{/if}
    {#if ranking}
      {#if best.length && best.length < ranking.groups.length}
        <p class="best">{say('run-list-best', { names: best.join(', '), wish: wish || null })}</p>
      {/if}
      {#if ranking.held !== null}
        <p class="quiet">
          {say('run-list-held-alike', {
            figure: (FIGURES[heldWith(value)] ?? '').toLowerCase(),
            at: `${fixed(ranking.held, 1)} ${unitOf(heldWith(value))}`,
          })}
        </p>
      {/if}
      {#if ranking.fan_rpm !== null}
        <p class="quiet">{say('run-list-one-speed', { rpm: fixed(ranking.fan_rpm, 0) })}</p>
      {/if}
      <RankTable {ranking} {factor} {value} />
      {#if ranking.reason}<p class="quiet">{ranking.reason}</p>{/if}
      {#if ranking.unlike.length}
        <Notice tone="care"
          >{say('run-list-unlike', { names: ranking.unlike.map((f) => FACTORS[f]).join(', ') })}</Notice
        >
      {/if}
      {#if ranking.without}<p class="quiet">{say('run-list-without', { n: ranking.without })}</p>{/if}
    {/if}
  {/if}
</section>

<style>
  h2 {
    margin: 0 0 var(--gap-2);
    font-size: var(--size-3);
  }
  .chosen {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(16rem, 1fr));
    gap: var(--gap-4);
    margin: var(--gap-3) 0;
  }
  .best {
    margin: 0 0 var(--gap-2);
    font-family: var(--font-head);
    font-size: var(--size-3);
  }
</style>
