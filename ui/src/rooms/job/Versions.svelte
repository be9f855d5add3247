<script lang="ts">
  // Every version that left the house, the latest first.
  import { say } from '$words/page-links.ftl';
  import type { Job, Schemas } from '../../lib/api';
  import { moment } from '../../lib/format';

  interface Props {
    job: Job;
    versions: Schemas['VersionTold'][];
  }
  let { job, versions }: Props = $props();
</script>

{#if versions.length}
  <section>
    <h3>{say('versions-title')}</h3>
    <ol reversed>
      {#each versions as version (version.number)}
        <li>
          <a href="/record/{job.id}/{version.number}">{say('versions-version', { number: version.number })}</a>
          <span class="quiet">{say('versions-made', { at: moment(version.made_at), by: version.made_by })}</span>
          <span>{version.anew || version.why || say('versions-handed-over')}</span>
          <a class="file" href="/api/jobs/{job.id}/record.pdf?version={version.number}" download
            >{say('versions-pdf')}</a
          >
          <a class="file" href="/api/jobs/{job.id}/record.zip?version={version.number}" download
            >{say('versions-data-file')}</a
          >
        </li>
      {/each}
    </ol>
  </section>
{/if}

<style>
  section {
    margin: var(--gap-5) 0;
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  h3 {
    margin-bottom: var(--gap-2);
  }
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--gap-4);
    padding: var(--gap-1) 0;
    border-bottom: 1px solid var(--rule);
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: var(--target);
  }
</style>
