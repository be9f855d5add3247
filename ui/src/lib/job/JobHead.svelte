<script lang="ts">
  import { say } from '$words/page-job.ftl';
  // Whose device it is, how it stands, and its owl.
  import type { Job } from '../api';
  import Owl from '../glyphs/Owl.svelte';
  import Button from '../parts/Button.svelte';
  import { KINDS } from '../words';

  interface Props {
    job: Job;
  }
  let { job }: Props = $props();
</script>

<header>
  <Owl
    before={job.glance_before}
    after={job.glance_after}
    verdict={job.verdict}
    stopped={job.stage === 'stopped'}
    size={64}
  />
  <div class="who">
    <h1>{job.model}</h1>
    <p class="quiet">
      {say('job-room-by-job', {
        kind: KINDS[job.kind],
        maker: job.maker || say('maker-not-known'),
        number: job.number,
        customer_name: job.customer_name,
      })}
    </p>
  </div>
  <nav class="no-print">
    <Button kind="bare" href="/jobs/{job.id}/counter">{say('job-room-counter')}</Button>
    <Button kind="bare" href="/devices/{job.device_id}">{say('job-room-device')}</Button>
    {#if job.attempt > 1 || job.failed}
      <Button kind="bare" href="/jobs/{job.id}/attempts">{say('job-room-attempts', { number: job.attempt })}</Button>
    {/if}
    <Button kind="bare" href="/jobs/{job.id}/runs">{say('job-room-all-runs')}</Button>
  </nav>
  {#if job.stage === 'stopped'}<strong class="stopped">{say('job-room-stopped-for-safety')}</strong>{/if}
  {#if job.handed_over_at}<strong class="closed">{say('job-room-handed-over')}</strong>{/if}
</header>

<style>
  header {
    display: flex;
    align-items: center;
    gap: var(--gap-4);
    min-height: 4rem;
  }
  nav {
    display: flex;
    flex-wrap: wrap;
    justify-content: end;
  }
  @media (max-width: 640px) {
    header {
      flex-wrap: wrap;
      gap: var(--gap-1) var(--gap-3);
    }
    .who {
      flex: 1;
    }
    .who p {
      font-size: var(--size-1);
    }
    nav {
      flex-basis: 100%;
      justify-content: start;
      margin-left: calc(-1 * var(--gap-4));
    }
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
</style>
