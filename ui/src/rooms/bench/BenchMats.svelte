<script lang="ts">
  import type { Job } from '../../lib/api';
  import Owl from '../../lib/glyphs/Owl.svelte';
  import { stageToOpen } from './stage-to-open';

  interface Props {
    jobs: Job[];
  }
  let { jobs }: Props = $props();
</script>

<ul>
  {#each jobs as job (job.id)}
    <li>
      <a href={stageToOpen(job)}>
        <Owl
          before={job.glance_before}
          after={job.glance_after}
          verdict={job.verdict}
          stopped={job.stage === 'stopped'}
          size={120}
        />
        <strong>{job.model}</strong>
        <span class="quiet">{job.customer_name}</span>
        <span>{job.next_step}</span>
      </a>
    </li>
  {/each}
</ul>

<style>
  ul {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: var(--gap-4);
    margin: var(--gap-5) 0 0;
    padding: 0;
    list-style: none;
  }
  a {
    display: grid;
    gap: var(--gap-1);
    height: 100%;
    padding: var(--gap-4);
    border: 2px solid var(--rule);
    border-radius: var(--round);
    text-decoration: none;
  }
</style>
