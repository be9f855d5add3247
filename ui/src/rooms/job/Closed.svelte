<script lang="ts">
  // What a job that is handed over has left the house with: links of its customer, versions of its record.
  import type { Job, Schemas } from '../../lib/api';
  import CustomerLinks from './CustomerLinks.svelte';
  import Versions from './Versions.svelte';

  interface Props {
    job: Job;
    versions: Schemas['VersionTold'][];
  }
  let { job, versions }: Props = $props();
</script>

<CustomerLinks jobId={job.id} />
<Versions {job} {versions} />
