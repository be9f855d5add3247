<script lang="ts">
  import { say } from '$words/page-open.ftl';
  // Labels for the tray, one a class, to print and cut: letter and shape large, what it is, how many.
  import { untrack } from 'svelte';
  import { BenchJob } from '../../lib/bench/bench.svelte';
  import ClassShape from '../../lib/maps/ClassShape.svelte';
  import Button from '../../lib/parts/Button.svelte';
  import { client, take, type Job } from '../../lib/api';

  interface Props {
    id: string;
  }
  let { id }: Props = $props();
  const at = untrack(() => new BenchJob(id));
  let job = $state.raw<Job | null>(null);
  $effect(() => at.open());
  $effect(
    () => void take(client.GET('/api/jobs/{job_id}', { params: { path: { job_id: id } } })).then((j) => (job = j)),
  );
  const holds = (letter: string) => [
    ...new Set((at.bench?.places ?? []).filter((p) => p.letter === letter && p.kind === 'screw').map((p) => p.holds)),
  ];
</script>

<div class="no-print top lay-head">
  <h1>{say('open-page-tray-labels')}</h1>
  <div class="row">
    <Button kind="main" onclick={() => print()}>{say('tray-labels-print')}</Button>
    <Button href="/jobs/{id}/open">{say('tray-labels-back-to-map')}</Button>
  </div>
</div>
{#if at.bench?.classes.length}
  <ul>
    {#each at.bench.classes as c (c.letter)}
      <li>
        <svg viewBox="-32 -32 64 64" width="92" height="92" aria-hidden="true"
          ><ClassShape shape={c.shape} letter={c.letter} r={24} /></svg
        >
        <div>
          <strong>{c.letter} · {say('tray-labels-screws', { count: c.count })}</strong>
          <span>{c.words}</span>
          <span>{holds(c.letter).join(', ')}</span>
          <small>{job ? say('tray-labels-job', { model: job.model, number: job.number }) : ''}</small>
        </div>
      </li>
    {/each}
  </ul>
{:else}
  <p class="quiet">{say('tray-labels-there-no-screws-on')}</p>
{/if}

<style>
  .top {
    margin-bottom: var(--gap-5);
  }
  .row {
    display: flex;
    gap: var(--gap-3);
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(20rem, 1fr));
    gap: 0;
  }
  li {
    display: flex;
    align-items: center;
    gap: var(--gap-4);
    padding: var(--gap-4);
    border: 1px dashed var(--edge);
    break-inside: avoid;
  }
  div > strong {
    display: block;
    font-size: var(--size-3);
  }
  span,
  small {
    display: block;
  }
  small {
    color: var(--soft);
  }
</style>
