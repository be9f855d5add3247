<script lang="ts">
  import { untrack } from 'svelte';
  import HeatLadder from '../../lib/charts/HeatLadder.svelte';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import { offer } from '../../lib/keys.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import Notice from '../../lib/parts/Notice.svelte';
  import StageRail from '../../lib/parts/StageRail.svelte';
  import { go } from '../../lib/router.svelte';
  import { say } from '../../lib/toasts.svelte';
  import { KINDS, STAGES } from '../../lib/words';
  import Fit from './Fit.svelte';
  import HandOver from './HandOver.svelte';
  import Intake from './Intake.svelte';
  import { JobState } from './job.svelte';
  import Measure from './Measure.svelte';
  import OpenItems from './OpenItems.svelte';
  import PlanPage from '../plan/PlanPage.svelte';
  import VerdictPage from './VerdictPage.svelte';

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
  const home = $derived(
    !job ? 'intake' : job.stage === 'stopped' ? 'intake' : job.stage === 'done' ? 'handover' : job.stage,
  );
  const here = $derived(stage && job?.reachable.includes(stage) ? stage : home);
  const base = $derived(`/jobs/${id}`);
  const index = $derived(STAGES.findIndex((s) => s.id === here));
  const nextName = $derived(STAGES[index + 1]?.name);

  function to(offset: number) {
    const next = STAGES[index + offset];
    if (next && job?.reachable.includes(next.id)) go(`${base}/${next.id}`);
  }

  // Number keys jump to a stage, Backspace steps back; offered anew when the reachable stages change.
  $effect(() => {
    const reachable = job?.reachable ?? [];
    return offer([
      ...STAGES.flatMap((s, i) =>
        reachable.includes(s.id)
          ? [{ key: String(i + 1), words: `Go to ${s.name}`, run: () => go(`${base}/${s.id}`) }]
          : [],
      ),
      { key: 'Backspace', words: 'One stage back', run: () => to(-1) },
    ]);
  });
</script>

{#if state_?.trouble}
  <Notice tone="care" title="The job cannot be shown">
    {state_.trouble}
    {#snippet actions()}<Button href="/">To the Bench</Button>{/snippet}
  </Notice>
{:else if state_ && job}
  {@const kept = state_}
  <header>
    <Owl
      before={job.glance_before}
      after={job.glance_after}
      verdict={job.verdict}
      stopped={job.stage === 'stopped'}
      size={84}
    />
    <div class="who">
      <h1>{job.model}</h1>
      <p class="quiet">{KINDS[job.kind]} by {job.maker || 'an unknown maker'}, job {job.number}, {job.customer_name}</p>
    </div>
    {#if job.stage === 'stopped'}<strong class="stopped">Stopped for safety</strong>{/if}
    {#if job.handed_over_at}<strong class="closed">Handed over</strong>{/if}
  </header>
  <div class="rail"><StageRail {base} {here} reachable={job.reachable} done={job.done} next={home} /></div>
  <div class="room">
    <aside>
      <h2>Where the heat stops</h2>
      <HeatLadder
        before={kept.before?.ladder ?? null}
        after={kept.after?.ladder ?? null}
        culprit={kept.verdict?.culprit ?? kept.before?.culprit ?? null}
        rising={[kept.before, kept.after].filter((r) => r?.reading && !r.reading.settled).map((r) => r?.side ?? '')}
      />
      <OpenItems {job} before={kept.before} after={kept.after} />
    </aside>
    <div class="stage">
      {#key `${job.id}:${here}`}
        {#if here === 'intake'}
          <Intake
            {job}
            onchange={() => kept.load()}
            onsaved={async () => {
              await kept.load();
              say('Intake saved.');
              if (kept.job?.stage !== 'stopped') to(1);
            }}
          />
        {:else if here === 'before' && kept.before}
          <Measure state={kept} side="before" onnext={() => to(1)} {nextName} />
        {:else if here === 'plan'}
          <PlanPage {job} onchange={() => kept.load()} onnext={() => to(1)} {nextName} />
        {:else if here === 'fit'}
          <Fit
            {job}
            onchange={() => kept.load()}
            ondone={async () => {
              await kept.load();
              to(1);
            }}
          />
        {:else if here === 'after' && kept.after}
          <Measure state={kept} side="after" onnext={() => to(1)} {nextName} />
        {:else if here === 'verdict' && kept.verdict}
          <VerdictPage {job} verdict={kept.verdict} onnext={() => to(1)} />
        {:else if here === 'handover'}
          <HandOver {job} verdict={kept.verdict} onchange={() => kept.load()} />
        {/if}
      {/key}
    </div>
  </div>
{:else}
  <p class="quiet" role="status">Opening the job …</p>
{/if}

<style>
  header {
    display: flex;
    align-items: center;
    gap: var(--gap-4);
    min-height: 4rem;
  }
  .who {
    min-width: 0;
    margin-right: auto;
  }
  .stopped,
  .closed {
    padding: var(--gap-2) var(--gap-3);
    border: 2px solid currentcolor;
    border-radius: var(--round);
  }
  .stopped {
    color: var(--halt);
    background: var(--halt-tint);
  }
  .rail {
    margin: var(--gap-3) 0 var(--gap-5);
  }
  .room {
    display: grid;
    grid-template-columns: 17.5rem minmax(0, 1fr);
    gap: var(--gap-6);
    align-items: start;
  }
  aside h2 {
    margin-bottom: var(--gap-3);
    font-size: var(--size-2);
  }
  .stage {
    min-width: 0;
  }
  @media (max-width: 1000px) {
    .room {
      grid-template-columns: 1fr;
    }
    aside {
      order: 2;
      display: grid;
      grid-template-columns: 17.5rem 1fr;
      gap: 0 var(--gap-6);
      padding-top: var(--gap-5);
      border-top: 2px solid var(--ink);
    }
    aside h2 {
      grid-column: 1 / -1;
    }
  }
  @media (max-width: 640px) {
    aside {
      grid-template-columns: 1fr;
    }
    .rail {
      overflow-x: auto;
    }
  }
</style>
