<script lang="ts">
  // What the row of a list said that a job was brought in from, cell by cell.
  import { resource } from '../asking.svelte';
  import { client, take } from '../api';
  import Trouble from '../parts/Trouble.svelte';
  import { say } from '$words/page-data.ftl';

  interface Props {
    jobId: string;
  }
  let { jobId }: Props = $props();
  const asked = resource(
    () => ({ path: { job_id: jobId } }),
    (params) => take(client.GET('/api/jobs/{job_id}/past', { params })),
  );
  const told = $derived(asked.value);
</script>

<section>
  <h3>{say('past-told')}</h3>
  {#if told}
    <p class="quiet">{say('past-told-from', { name: told.file_name, line: told.line })}</p>
    <dl>
      {#each told.cells as { name, text } (name)}
        <div>
          <dt>{name}</dt>
          <dd>{text}</dd>
        </div>
      {/each}
    </dl>
  {/if}
  <Trouble of={asked} />
</section>

<style>
  section {
    margin: var(--gap-5) 0;
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  dl {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 12rem), 1fr));
    gap: var(--gap-3) var(--gap-5);
    max-width: 60rem;
    margin: var(--gap-3) 0;
  }
  dt {
    color: var(--soft);
    font-size: var(--size-1);
  }
  dd {
    margin: 0;
    overflow-wrap: anywhere;
  }
</style>
