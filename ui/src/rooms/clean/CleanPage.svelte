<script lang="ts">
  import { say } from '$words/page-clean.ftl';
  // Clean: what is seen, each with a drawing; what follows for the plan; and the steps of this stage.
  import { client, take, type Job, type Plan } from '../../lib/api';
  import { quietly } from '../../lib/asking.svelte';
  import type { BenchJob } from '../../lib/bench/bench.svelte';
  import { fixed } from '../../lib/format';
  import Button from '../../lib/parts/Button.svelte';
  import BeginList from '../../lib/bench/BeginList.svelte';
  import SeenPicker from '../../lib/bench/SeenPicker.svelte';
  import StageFoot from '../../lib/bench/StageFoot.svelte';
  import StageSteps from '../../lib/bench/StageSteps.svelte';
  import Titled from '../../lib/parts/Titled.svelte';

  interface Props {
    at: BenchJob;
    job: Job;
  }
  let { at, job }: Props = $props();
  const bench = $derived(at.bench);
  // The plan as it stood when the page was opened, and as it stands after each finding.
  let first = $state.raw<Plan | null>(null);
  let now = $state.raw<Plan | null>(null);
  const seen = $derived((bench?.found ?? []).map((f) => `${f.id}`).join());
  $effect(() => {
    void seen;
    void load();
  });

  async function load() {
    const plan = await quietly(take(client.GET('/api/jobs/{job_id}/plan', { params: { path: { job_id: job.id } } })));
    first ??= plan;
    now = plan ?? now;
  }

  const taken = (plan: Plan | null) => plan?.options.find((o) => o.key === (plan.chosen?.key ?? '')) ?? null;
  const was = $derived(taken(first));
  const is = $derived(taken(now));
  const barred = $derived(is?.gates.filter((g) => g.severity === 'stop') ?? []);
  const best = $derived(now?.options[0] ?? null);
  const said = $derived.by(() => {
    if (!was || !is) return '';
    const [a, b] = [was.die_c.median, is.die_c.median];
    if (Math.abs(a - b) < 0.5) return say('clean-page-prediction-stays-at-c', { b: fixed(b, 0) });
    return say('clean-page-what-was-seen-moves', { a: fixed(a, 0), b: fixed(b, 0) });
  });
</script>

<Titled why="bench"><h2>{say('clean-page-clean-look-first-then')}</h2></Titled>
{#if bench && !bench.begun}
  <BeginList {at} jobId={job.id} foot />
{:else if bench}
  {#if is}
    <section class="plan lay-head" class:barred={barred.length} aria-live="polite">
      <p><strong>{say('clean-page-planned', { words: is.words })}</strong> {said}</p>
      {#each barred as gate (gate.rule)}<p class="halt">{gate.reason} {gate.remedy}</p>{/each}
      {#if barred.length && best && best.key !== is.key}<p>
          {say('clean-page-first-in-plan-now', { words: best.words })}
        </p>{/if}
      <Button href="/jobs/{job.id}/plan"
        >{barred.length ? say('clean-page-decide-anew-in-plan') : say('clean-page-see-plan')}</Button
      >
    </section>
  {:else if !now}
    <div class="plan lay-head" aria-hidden="true"></div>
  {/if}
  <SeenPicker {at} />
  <StageSteps {at} stage="clean" />
  <StageFoot {at} stage="clean" />
{/if}

<style>
  h2 {
    margin-bottom: var(--gap-4);
  }
  .plan {
    gap: var(--gap-2) var(--gap-4);
    min-height: 4.6rem; /* Its place is kept while the plan comes. */
    margin-bottom: var(--gap-5);
    padding: var(--gap-3) var(--gap-4);
    border-left: 6px solid var(--after);
    background: var(--after-tint);
  }
  .barred {
    border-color: var(--halt);
    background: var(--halt-tint);
  }
  .halt {
    flex-basis: 100%;
    color: var(--halt);
    font-weight: 620;
  }
  @media (max-width: 640px) {
    .plan {
      min-height: 8.2rem;
    }
  }
</style>
