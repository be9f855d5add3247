<script lang="ts">
  import { say } from '$words/page-bench.ftl';
  import type { Job } from '../../lib/api';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import { railStage, STAGES } from '../../lib/words';
  import { stageToOpen } from './stage-to-open';

  interface Props {
    job: Job;
  }
  let { job }: Props = $props();
  const stopped = $derived(job.stage === 'stopped');
  const at = $derived(STAGES.findIndex((s) => s.id === railStage(job.stage)));
</script>

<a href={stageToOpen(job)} class:stopped>
  <Owl before={job.glance_before} after={job.glance_after} verdict={job.verdict} {stopped} size={76} />
  <span class="who">
    <strong>{job.model}</strong>
    <span class="quiet">{job.customer_name}, {job.number}</span>
  </span>
  <span class="track" aria-hidden="true">
    {#if stopped}
      <span class="barred">{say('bench-row-stopped-for-safety')}</span>
    {:else}
      {#each STAGES as stage, i (stage.id)}
        <span class="step" class:done={job.done.includes(stage.id)} class:here={i === at}>
          <i></i><small>{i === at ? stage.name : ''}</small>
        </span>
      {/each}
    {/if}
  </span>
  <span class="todo">{job.next_step}</span>
</a>

<style>
  a {
    display: grid;
    grid-template-columns: 5.5rem 13.5rem minmax(0, 1fr) 21rem;
    align-items: center;
    gap: var(--gap-4);
    min-height: 4.75rem;
    padding: var(--gap-2) 0;
    border-bottom: 1px solid var(--rule);
    text-decoration: none;
  }
  a:hover {
    background: var(--owl-tint);
  }
  .who {
    display: grid;
    min-width: 0;
  }
  strong {
    font-size: var(--size-2);
  }
  .track {
    display: flex;
    align-self: end;
    padding-bottom: var(--gap-2);
  }
  .step {
    position: relative;
    flex: 1;
    height: 2.6rem;
  }
  .step i {
    position: absolute;
    left: 0;
    right: 0;
    bottom: 0.55rem;
    border-bottom: 3px dotted var(--edge);
  }
  .step.done i {
    border-bottom: 7px solid var(--ink);
    bottom: calc(0.55rem - 2px);
  }
  .step.here i {
    border-bottom: 9px solid var(--owl);
    bottom: calc(0.55rem - 3px);
  }
  small {
    position: absolute;
    left: 0;
    top: 0;
    color: var(--owl);
    font-size: var(--size-1);
    font-weight: 620;
    white-space: nowrap;
  }
  .step:last-child small {
    left: auto;
    right: 0;
  }
  .barred {
    flex: 1;
    align-self: center;
    margin-bottom: var(--gap-1);
    padding: var(--gap-2);
    border: 2px solid var(--halt);
    border-radius: var(--round);
    background: var(--halt-tint);
    color: var(--halt);
    font-weight: 700;
    text-align: center;
  }
  .stopped .todo {
    color: var(--halt);
  }
  @media (max-width: 1000px) {
    a {
      grid-template-columns: 5.5rem minmax(0, 1fr) minmax(0, 1.2fr);
    }
    .track {
      display: none;
    }
  }
  @media (max-width: 640px) {
    a {
      grid-template-columns: 4.75rem minmax(0, 1fr);
      gap: 0 var(--gap-4);
    }
    .todo {
      grid-column: 2;
    }
  }
</style>
