<script lang="ts">
  import { say } from '$words/page-handover.ftl';
  import type { Job } from '../../lib/api';
  import Button from '../../lib/parts/Button.svelte';

  interface Props {
    job: Job;
  }
  let { job }: Props = $props();
</script>

<section>
  <h3>{say('hand-over-record')}</h3>
  <div class="lay-row">
    <Button href="/record/{job.id}">{say('hand-over-open-record')}</Button>
    <Button href="/api/jobs/{job.id}/record.pdf" download>{say('hand-over-record-as-pdf')}</Button>
  </div>
</section>

<style>
  section {
    margin: var(--gap-5) 0;
    padding-top: var(--gap-4);
    border-top: var(--line) solid var(--rule);
  }
  h3 {
    margin-bottom: var(--gap-3);
  }
</style>
