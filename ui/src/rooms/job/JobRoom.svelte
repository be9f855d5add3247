<script lang="ts">
  import { say } from '$words/page-job.ftl';
  import { untrack } from 'svelte';
  import type { Job } from '../../lib/api';
  import { MediaQuery } from 'svelte/reactivity';
  import HeatLadder from '../../lib/charts/HeatLadder.svelte';
  import LadderStrip from '../../lib/charts/LadderStrip.svelte';
  import { offer } from '../../lib/keys.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Late from '../../lib/parts/Late.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import Skeleton from '../../lib/parts/Skeleton.svelte';
  import StageRail from '../../lib/parts/StageRail.svelte';
  import { opened } from '../../lib/recent';
  import { go } from '../../lib/router.svelte';
  import { railStage, STAGES } from '../../lib/words';
  import { hear } from '../../lib/bench/news.svelte';
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import { followBench } from '../../lib/bench/follow';
  import { BENCH_STAGES, type BenchStage } from '../../lib/bench/types';
  import JobHead from '../../lib/job/JobHead.svelte';
  import { JobState } from '../../lib/job/job.svelte';
  import OpenItems from './OpenItems.svelte';
  import { roomOf } from '../../lib/rooms';
  import { STAGE_ROOMS, type StageRoom } from '../../pages';
  import Titled from '../../lib/parts/Titled.svelte';
  import Working from '../../lib/parts/Working.svelte';

  interface Props {
    id: string;
    stage?: string;
  }
  let { id, stage }: Props = $props();

  let state_ = $state<JobState | null>(null);
  // Only another job is loaded anew; a derived value holds still while the address changes around it.
  const jobId = $derived(id);
  $effect(() => {
    const fresh = new JobState(jobId);
    untrack(() => {
      state_ = fresh;
      void fresh.load();
    });
  });

  const job = $derived(state_?.job ?? null);
  // Only the number, whose it is and what: enough to find it again.
  $effect(() => {
    if (job) opened({ id: job.id, number: job.number, model: job.model, customer: job.customer_name });
  });
  const home = $derived(
    !job ? 'intake' : job.stage === 'stopped' ? 'intake' : job.stage === 'done' ? 'handover' : job.stage,
  );
  const here = $derived(stage && job?.reachable.includes(stage) ? stage : home);
  const page = $derived(roomOf(STAGE_ROOMS[here as StageRoom]));
  const base = $derived(`/jobs/${id}` as const);
  // Beside the work where there is room for it, else a strip above.
  const broad = new MediaQuery('min-width: 1100px');
  // The plan has a list and an option side by side and takes the whole width.
  const wide = $derived(broad.current && here !== 'plan');
  const WALK = STAGES.flatMap((s) => (s.id === 'after' ? ['after', 'verdict'] : [s.id]));
  const index = $derived(WALK.indexOf(here));
  const nextName = $derived(
    WALK[index + 1] === 'verdict' ? say('job-room-verdict') : STAGES.find((s) => s.id === WALK[index + 1])?.name,
  );

  const hereName = $derived(
    here === 'verdict' ? say('job-room-verdict') : (STAGES.find((s) => s.id === railStage(here))?.name ?? ''),
  );

  function to(offset: number) {
    const next = WALK[index + offset];
    if (next && job?.reachable.includes(next)) go(`${base}/${next}`);
  }

  const refresh = () => void state_?.load();
  let bench = $state.raw<BenchJob | null>(null);
  const atBench = $derived(BENCH_STAGES.includes(here as BenchStage) && job !== null);
  $effect(() => {
    if (atBench) return followBench(jobId, (found) => (bench = found), refresh);
  });

  // Elsewhere another tablet's steps are heard of too.
  $effect(() => (atBench ? undefined : hear((of) => (of === null || of === jobId) && refresh())));

  // Number keys jump to a stage, Backspace steps back; offered anew when the reachable stages change.
  $effect(() => {
    const reachable = job?.reachable ?? [];
    return offer([
      ...STAGES.flatMap((s, i) =>
        reachable.includes(s.id)
          ? [{ key: String(i + 1), words: say('job-room-go-to', { name: s.name }), run: () => go(`${base}/${s.id}`) }]
          : [],
      ),
      { key: 'Backspace', words: say('job-room-one-stage-back'), run: () => to(-1) },
    ]);
  });
</script>

{#snippet ladder(kept: JobState)}
  <Titled why="curve"><h2>{say('job-room-where-heat-stops')}</h2></Titled>
  <HeatLadder
    before={kept.verdict?.before_ladder ?? kept.before?.ladder ?? null}
    after={kept.verdict?.after_ladder ?? kept.after?.ladder ?? null}
    culprit={kept.verdict ? kept.verdict.culprit : (kept.before?.culprit ?? null)}
    rising={[kept.before, kept.after].filter((r) => r?.reading && !r.reading.settled).map((r) => r?.side ?? '')}
  />
{/snippet}
{#snippet afterTabs(shown: Job)}
  {#if shown.reachable.includes('verdict')}
    <nav class="tabs no-print" aria-label={say('job-room-after')}>
      <a href="{base}/after" aria-current={here === 'after' ? 'page' : undefined}>{say('job-room-reading')}</a>
      <a href="{base}/verdict" aria-current={here === 'verdict' ? 'page' : undefined}>{say('job-room-verdict')}</a>
    </nav>
  {/if}
{/snippet}
{#if state_?.trouble}
  <Notice tone="care" title={say('job-room-job-cannot-be-shown')}>
    {state_.trouble}
    {#snippet actions()}<Button href="/">{say('job-room-to-bench')}</Button>{/snippet}
  </Notice>
{:else if state_ && job}
  {@const kept = state_}
  <JobHead {job} />
  <div class="rail">
    <StageRail {base} here={railStage(here)} reachable={job.reachable} done={job.done} next={railStage(home)} />
  </div>
  <div class="room" class:wide>
    <aside>
      {#if wide}
        {@render ladder(kept)}
        <OpenItems {job} before={kept.before} after={kept.after} />
      {:else}
        <Working>
          {#snippet line()}
            <LadderStrip
              before={kept.verdict?.before_ladder ?? kept.before?.ladder ?? null}
              after={kept.verdict?.after_ladder ?? kept.after?.ladder ?? null}
              culprit={kept.verdict ? kept.verdict.culprit : (kept.before?.culprit ?? null)}
            />
          {/snippet}
          <div class="unfolded">
            <div>{@render ladder(kept)}</div>
            <div><OpenItems {job} before={kept.before} after={kept.after} /></div>
          </div>
        </Working>
      {/if}
    </aside>
    <div class="stage" data-stage={hereName}>
      {#key `${job.id}:${here}`}
        {#if here === 'intake'}
          <Late
            load={page}
            given={{
              job,
              onchange: () => kept.load(),
              onsaved: () => {
                if (kept.job?.stage !== 'stopped') to(1);
              },
            }}
          />
        {:else if (here === 'before' && kept.before) || (here === 'after' && kept.after)}
          {@const side = here === 'after' ? ('after' as const) : ('before' as const)}
          {#if here === 'after'}{@render afterTabs(job)}{/if}
          <Late load={page} given={{ state: kept, side, onnext: () => to(1), nextName }} />
        {:else if here === 'plan'}
          <Late load={page} given={{ job, onchange: () => kept.load(), onnext: () => to(1), nextName }} />
        {:else if here === 'open' && bench}
          <Late load={page} given={{ at: bench, job, onchange: () => kept.load() }} />
        {:else if here === 'clean' && bench}
          <Late load={page} given={{ at: bench, job }} />
        {:else if here === 'close' && bench}
          <Late load={page} given={{ at: bench, job, onnext: () => to(1) }} />
        {:else if here === 'fit' && bench}
          <Late
            load={page}
            given={{
              job,
              at: bench,
              onchange: () => kept.load(),
              ondone: async () => {
                await kept.load();
                go(`${base}/after`);
              },
            }}
          />
        {:else if here === 'verdict' && kept.verdict}
          {@render afterTabs(job)}
          <Late load={page} given={{ job, verdict: kept.verdict, onnext: () => to(1) }} />
        {:else if here === 'handover'}
          <Late load={page} given={{ job, verdict: kept.verdict, onchange: () => kept.load() }} />
        {:else if atBench}
          <Skeleton />
        {/if}
      {/key}
    </div>
  </div>
{:else}
  <p class="quiet" role="status">{say('job-room-opening-job')}</p>
{/if}

<style>
  .rail {
    margin: 0 0 var(--gap-3);
  }
  .room {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: var(--gap-3);
    align-items: start;
  }
  .room.wide {
    grid-template-columns: 17.5rem minmax(0, 1fr);
    gap: var(--gap-6);
  }
  aside h2 {
    margin-bottom: var(--gap-3);
    font-size: var(--size-2);
  }
  .stage {
    min-width: 0;
  }
  .tabs {
    display: flex;
    gap: var(--gap-2);
    margin-bottom: var(--gap-4);
  }
  .tabs a {
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
    padding: 0 var(--gap-3);
    font-weight: 620;
    text-decoration: none;
  }
  .tabs a[aria-current] {
    box-shadow: inset 0 -4px 0 var(--owl);
  }
  .unfolded {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(16rem, 1fr));
    gap: 0 var(--gap-6);
  }
  .room:not(.wide) aside {
    border-bottom: var(--line) solid var(--rule);
  }
  @media (max-width: 1099px) {
    .rail {
      margin: var(--gap-2) 0;
    }
  }
</style>
